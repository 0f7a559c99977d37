/** What batches of a version have given, for the size a card stands at. */
export interface BatchYield {
  readonly n: number;
  /** ml. */
  readonly meanMl: number;
  /** Two standard deviations to either side, ml; `null` of fewer than two batches. */
  readonly band: { readonly loMl: number; readonly hiMl: number } | null;
  /** Too few to lean on. */
  readonly few: boolean;
}

/** From so many on a band is more than a guess. Our estimate; the score of readiness asks for as many. */
const ENOUGH = 8;
const SDS = 2;

/**
 * The yield that batches have shown, each taken to this size by the weight of its base; `null` where none was measured.
 *
 * @example 1.22, 1.27 and 1.19 l of the same size: 1.23 l, 1.15–1.31 (three batches only)
 */
export function batchYield(
  batches: readonly { readonly baseG: number; readonly actualMl: number | null }[],
  baseG: number,
): BatchYield | null {
  const given = batches.flatMap(b =>
    b.actualMl !== null && b.baseG > 0 ? [(b.actualMl / b.baseG) * baseG] : [],
  );
  const n = given.length;
  if (!n) return null;
  const meanMl = given.reduce((sum, v) => sum + v, 0) / n;
  const sd = n > 1 ? Math.sqrt(given.reduce((sum, v) => sum + (v - meanMl) ** 2, 0) / (n - 1)) : null;
  return {
    n,
    meanMl,
    band: sd === null ? null : { loMl: Math.max(0, meanMl - SDS * sd), hiMl: meanMl + SDS * sd },
    few: n < ENOUGH,
  };
}
