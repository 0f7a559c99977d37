import { GROUPS, type GroupId, type Learned } from "~/core/learning";
import { printNumber } from "~/core/ground/quantity";

export const readingsInWords = (n: number): string => `${n} ${n === 1 ? "reading" : "readings"}`;

/** A learned value with as many places as its kind deserves; an oven with its sign. */
export function valueText(group: GroupId, value: number): string {
  const text = printNumber(value, GROUPS[group].decimals);
  return group === "oven" && value > 0 ? `+${text}` : text;
}

const offBy = (times: number): string => `${printNumber(Math.abs(100 * (times - 1)))} %`;

/** What a value says, as a cook would. @example a time of 1.07 → "takes 7 % longer than planned" */
export function inWords({ group, now, before }: Pick<Learned, "group" | "now" | "before">): string {
  const more = now > 1;
  switch (group) {
    case "pace":
      return `boils away ${offBy(now)} ${more ? "faster" : "slower"} than the sums`;
    case "body": {
      const points = now - (before ?? now);
      return `comes out ${printNumber(Math.abs(points))} points ${points > 0 ? "thicker" : "thinner"}`;
    }
    case "dose":
      return `takes ${printNumber(now, GROUPS.dose.decimals)} g on the kilo`;
    case "time":
      return `takes ${offBy(now)} ${more ? "longer" : "less"} than planned`;
    case "yield":
      return `${offBy(now)} ${more ? "more" : "less"} comes out than planned`;
    case "extraction":
      return `give ${offBy(now)} ${more ? "more" : "less"} than the sums say`;
    case "holding":
      return `${offBy(now)} ${more ? "more" : "less"} steams off than the sums say`;
    case "oven":
      return `${printNumber(Math.abs(now), 1)} K ${now > 0 ? "over" : "under"} the dial`;
    case "trim":
      return `${printNumber(now, 1)} % is left of what is bought`;
    case "piece":
      return `gives ${printNumber(now, 1)} g`;
  }
}
