import { GROUPS, type GroupId } from "~/core/learning";
import { printNumber } from "~/core/ground/quantity";

export const readingsInWords = (n: number): string => `${n} ${n === 1 ? "reading" : "readings"}`;

/** A learned value with as many places as its kind deserves; an oven with its sign. */
export function valueText(group: GroupId, value: number): string {
  const text = printNumber(value, GROUPS[group].decimals);
  return group === "oven" && value > 0 ? `+${text}` : text;
}
