import { LEAST_READINGS, type Mean, meanOf } from "./mean";

/** How sure a kitchen is of what a sauce takes of a seasoning. */
export interface StandardDose {
  readonly mean: Mean;
  readonly status: "learning" | "usual" | "standard";
  /** Share of the middle that goes in before the first taste; `null` while it is being learned. */
  readonly firstShare: number | null;
}

const STANDARD_FROM = 5;
const WITHIN = 0.1;
const USUAL_FIRST = 2 / 3;
const STANDARD_FIRST = 0.9;

/**
 * Standard dose of a seasoning from the batches that tasted right, g per kg or per cent alike.
 *
 * From three on two thirds go in before the first taste; from five that agree within a tenth, nine tenths.
 * @param doses in one unit, for the same size
 * Source: docs/models.md "Standard dose".
 * @example 8.8, 8.9, 8.7, 8.9, 8.8 g/kg → standard, 0.9 of 8.82 first
 */
export function standardDose(doses: readonly number[]): StandardDose | null {
  const mean = meanOf(doses);
  if (!mean) return null;
  if (mean.n < LEAST_READINGS) return { mean, status: "learning", firstShare: null };
  const half = mean.hi === null ? Infinity : mean.hi - mean.value;
  return mean.n >= STANDARD_FROM && half <= WITHIN * mean.value
    ? { mean, status: "standard", firstShare: STANDARD_FIRST }
    : { mean, status: "usual", firstShare: USUAL_FIRST };
}
