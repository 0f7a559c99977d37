import type { LineAmount } from "~/core/formula";
import { printMass, printNumber } from "~/core/ground/quantity";

/** The three faces of an amount. */
export const AMOUNT_VIEWS = ["grams", "ratio", "per litre"] as const;
export type AmountView = (typeof AMOUNT_VIEWS)[number];

/** An amount in the view that is turned up. @param finishedMl what the formula yields */
export function amountIn(line: LineAmount, view: AmountView, finishedMl: number): string {
  if (view === "grams") return printMass(line.massG);
  if (view === "ratio") return `${printNumber(line.ratioPct, line.ratioPct < 10 ? 2 : 1)} %`;
  if (!(finishedMl > 0)) return "no yield";
  const gPerL = (1000 * line.massG) / finishedMl;
  return `${printNumber(gPerL, gPerL < 10 ? 2 : 0)} g/l`;
}
