import type { LineAmount } from "~/core/formula";
import { printMass, printNumber } from "~/core/quantity";

/** The three faces of an amount. */
export const FACES = ["grams", "ratio", "per litre"] as const;
export type Face = (typeof FACES)[number];

/** An amount in the face that is turned up. */
export function faceOf(line: LineAmount, face: Face): string {
  if (face === "grams") return printMass(line.massG);
  if (face === "ratio") return `${printNumber(line.ratioPct, line.ratioPct < 10 ? 2 : 1)} %`;
  return line.gPerL === null ? "no yield" : `${printNumber(line.gPerL, line.gPerL < 10 ? 2 : 0)} g/l`;
}
