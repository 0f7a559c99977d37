import type { Seasoned } from "../run";
import { standardDose } from "./dose";
import { LAST, tastedRight } from "./readings";

/** What a batch of a sauce had of its seasonings, and how it tasted. */
export interface SeasonedBatch {
  readonly baseG: number;
  readonly score: number | null;
  readonly seasoned: readonly Seasoned[];
}

/**
 * What the last batch had, with what to put in first this time by all that were seasoned well: nine tenths of the last one
 * until three have taught more.
 * @param batches the latest first
 */
export function nextDoses<T extends SeasonedBatch>(
  batches: readonly T[],
  counts: (ingredientId: string, batch: T) => boolean,
): { readonly baseG: number; readonly seasoned: readonly Seasoned[] } | undefined {
  const [last] = batches;
  if (!last) return undefined;
  const seasoned = last.seasoned.map(one => {
    const doses = batches
      .filter(tastedRight)
      .flatMap(batch =>
        batch.seasoned
          .filter(other => other.ingredientId === one.ingredientId && counts(one.ingredientId, batch))
          .map(other => other.pctOfPot),
      );
    const known = standardDose(doses.slice(0, LAST));
    if (known?.firstShare == null || one.pctOfPot <= 0) return one;
    return {
      ...one,
      nextFirstG: (known.firstShare * known.mean.value * one.totalG) / one.pctOfPot,
    };
  });
  return { baseG: last.baseG, seasoned };
}
