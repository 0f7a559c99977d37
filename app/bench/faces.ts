import type { LineAmount } from "~/core/formula";
import { printMass, printNumber } from "~/core/ground/quantity";

/** The three faces of an amount. */
export const FACES = ["grams", "ratio", "per litre"] as const;
export type Face = (typeof FACES)[number];

/** An amount in the face that is turned up. @param finishedMl what the formula yields */
export function faceOf(line: LineAmount, face: Face, finishedMl: number): string {
  if (face === "grams") return printMass(line.massG);
  if (face === "ratio") return `${printNumber(line.ratioPct, line.ratioPct < 10 ? 2 : 1)} %`;
  if (!(finishedMl > 0)) return "no yield";
  const gPerL = (1000 * line.massG) / finishedMl;
  return `${printNumber(gPerL, gPerL < 10 ? 2 : 0)} g/l`;
}
