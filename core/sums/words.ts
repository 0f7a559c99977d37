import type { Estimate } from "../ground/estimate";
import {
  g,
  honestDecimals,
  ml,
  printDuration,
  printKilograms,
  printMass,
  printNumber,
  printVolume,
  s,
} from "../ground/quantity";

/** Figures in the sentences of the sums. A cook reads them: never more digits than the interval carries. */
export const grams = (x: number): string => (Math.abs(x) >= 10_000 ? printKilograms(g(x)) : printMass(g(x)));
export const volumeOf = (x: number): string => printVolume(ml(x));
export const time = (min: number): string => printDuration(s(min * 60));
export const num = printNumber;
export const pct = (x: number, decimals = 1): string => `${printNumber(x, decimals)} %`;

/** Two sides that differ by less than a third are written ±. */
const LOPSIDED = 1 / 3;

/** "± 3", "5–10", "at least 5", or nothing for an exact one; `print` gives the unit. */
export function around(of: Estimate, print: (x: number) => string): string {
  if (of.hi === null) return ` (at least ${print(of.lo)})`;
  const [up, down] = [of.hi - of.value, of.value - of.lo];
  const wide = Math.max(up, down);
  if (wide <= 0.002 * Math.abs(of.value)) return "";
  return Math.abs(up - down) <= LOPSIDED * wide
    ? ` (± ${print(wide)})`
    : ` (${print(of.lo)} to ${print(of.hi)})`;
}

/** A number of an estimate with as many decimals as its interval supports. */
export const honest = (of: Estimate, most = 2): string =>
  printNumber(of.value, of.hi === null ? 0 : honestDecimals(of.lo, of.hi, most));
