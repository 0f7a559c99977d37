import { fShare, studentInverse } from "../ground/distributions";
import { mean, sampleStandardDeviation } from "simple-statistics";
import { type Result, ok, refuse } from "../ground/result";

/** What judges’ scores say of one sauce, or of several tasted by the same judges. */

const LEVEL = 0.05;
/** With fewer judges a mean says little. */
export const LEAST_JUDGES = 8;

export interface Scored {
  readonly mean: number;
  readonly sd: number;
  /** Where the mean lies, with 95 % confidence. */
  readonly lo: number;
  readonly hi: number;
  readonly n: number;
}

/**
 * One sauce.
 * @param scores one a judge, at least two
 * @errors NOT_ENOUGH · NOT_FINITE
 * Source: Student’s t. @example 6 7 7 8 5 6 7 7: mean 6.625, 5.86–7.39
 */
export function scored(scores: readonly number[]): Result<Scored> {
  if (scores.length < 2)
    return refuse({ code: "NOT_ENOUGH", field: "scores", message: "Two scores at least make a mean." });
  if (!scores.every(Number.isFinite))
    return refuse({ code: "NOT_FINITE", field: "scores", message: "A judge has no score here." });
  const n = scores.length;
  const middle = mean([...scores]);
  const sd = sampleStandardDeviation([...scores]);
  const half = (studentInverse(1 - LEVEL / 2, n - 1) * sd) / Math.sqrt(n);
  return ok({ mean: middle, sd, lo: middle - half, hi: middle + half, n });
}

export interface ScoresCompared {
  readonly means: readonly number[];
  /** Variance that is left once each judge’s own level is taken out. */
  readonly errorVariance: number;
  readonly f: number;
  readonly p: number;
  readonly shown: boolean;
  /** Two means further apart than this differ; only where there is a difference at all. */
  readonly leastDifference: number;
  readonly judges: number;
}

/**
 * Several sauces by the same judges: a two-way table without replication, so that a hard judge is hard on all.
 * @param table a row for each judge, a score for each sauce
 * @errors NOT_ENOUGH fewer than two judges or sauces · NOT_FINITE a hole in the table
 * Source: analysis of variance; docs/models.md "Tastings".
 * @example 675 786 575 886 687: means 6.4, 7.6, 5.8, F 11.45, p 0.0045, least difference 0.883
 */
export function scoresCompared(table: readonly (readonly number[])[]): Result<ScoresCompared> {
  const b = table.length;
  const t = table[0]?.length ?? 0;
  if (b < 2 || t < 2)
    return refuse({
      code: "NOT_ENOUGH",
      field: "scores",
      message: "Two judges and two sauces at least can be compared.",
    });
  if (!table.every(row => row.length === t && row.every(Number.isFinite)))
    return refuse({
      code: "NOT_FINITE",
      field: "scores",
      message: "Every judge must have scored every sauce.",
    });
  const all = mean(table.flat());
  const means = Array.from({ length: t }, (_, j) => mean(table.map(row => row[j] ?? 0)));
  const judges = table.map(row => mean([...row]));
  const sumOf = (xs: readonly number[]): number => xs.reduce((sum, x) => sum + (x - all) ** 2, 0);
  const between = b * sumOf(means);
  const left = Math.max(0, sumOf(table.flat()) - between - t * sumOf(judges));
  const df = (b - 1) * (t - 1);
  const errorVariance = left / df;
  // Judges who agree to the last point leave nothing to compare with.
  const f = errorVariance > 1e-12 ? between / (t - 1) / errorVariance : between > 1e-12 ? Infinity : 0;
  const p = f === Infinity ? 0 : f === 0 ? 1 : 1 - fShare(f, t - 1, df);
  return ok({
    means,
    errorVariance,
    f,
    p,
    shown: p <= LEVEL,
    leastDifference: studentInverse(1 - LEVEL / 2, df) * Math.sqrt((2 * errorVariance) / b),
    judges: b,
  });
}

/** Two samples of the same pot that one judge scored apart from the other by no more than this, points of ten. */
export const REPEATS_WITHIN = 0.5;

/**
 * How well judges agree with themselves on a sample they got twice without knowing it.
 * @param pairs first and second score of each judge
 * @returns for each judge the difference, and whether it is accepted
 */
export const repeats = (
  pairs: readonly (readonly [number, number])[],
): readonly { readonly apart: number; readonly accepted: boolean }[] =>
  pairs.map(([a, b]) => {
    const apart = Math.abs(a - b);
    return { apart, accepted: apart <= REPEATS_WITHIN + 1e-9 };
  });
