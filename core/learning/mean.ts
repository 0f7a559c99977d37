import { studentInverse } from "../ground/distributions";

/** The middle of some readings, with where it lies nine times in ten. */
export interface Mean {
  readonly n: number;
  readonly value: number;
  /** `null` with a single reading. */
  readonly lo: number | null;
  readonly hi: number | null;
}

/** Readings from which a middle is worth proposing. */
export const LEAST_READINGS = 3;
const NINE_IN_TEN = 0.95;

/**
 * Mean with its 90 % interval by Student’s t; `null` of nothing.
 * @example 0.94, 0.97, 0.95 → 0.953, 0.928–0.979
 */
export function meanOf(values: readonly number[]): Mean | null {
  const n = values.length;
  if (n === 0) return null;
  const value = values.reduce((sum, x) => sum + x, 0) / n;
  if (n === 1) return { n, value, lo: null, hi: null };
  const sd = Math.sqrt(values.reduce((sum, x) => sum + (x - value) ** 2, 0) / (n - 1));
  const half = (studentInverse(NINE_IN_TEN, n - 1) * sd) / Math.sqrt(n);
  return { n, value, lo: value - half, hi: value + half };
}
