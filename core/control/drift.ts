import { normalShare } from "../ground/distributions";
import { mean, median } from "simple-statistics";
import { type Result, ok } from "../ground/result";
import { CHART, refusedSeries } from "./chart";

/** Whether a sauce wanders, and when it will have left what is wanted of it. */

/** What a recipe allows; one side may be open. */
export interface Band {
  readonly low: number | null;
  readonly high: number | null;
}

export interface Drift {
  /** Middle of all slopes between two batches, units a batch (Theil–Sen). */
  readonly slope: number;
  /** Rises less falls over all pairs (Mann–Kendall). */
  readonly s: number;
  readonly z: number;
  /** Two-sided, by the normal approximation. */
  readonly p: number;
  readonly drifting: boolean;
  /** Where it stands now by its own line. */
  readonly level: number;
  /** Batches until it leaves the band at this pace, 0 where it is out; `null` where it does not drift or there is no band. */
  readonly batchesToEdge: number | null;
}

/** Fewer show no drift. */
const LEAST = 8;
const LEVEL = 0.05;
/** It must also matter: a quarter of the band over all batches. */
const SHARE_OF_BAND = 0.25;

/**
 * @param values in the order the batches were made, one version
 * @errors as `controlChart`
 * Source: Theil–Sen slope and Mann–Kendall test with its correction for ties; docs/models.md "Drift and limits".
 * @example the twelve yields of `controlChart`: slope −0.001108 a batch, S −28, z −1.85, p 0.064: not shown
 */
export function driftOf(values: readonly number[], band: Band | null = null): Result<Drift> {
  const refused = refusedSeries(values);
  if (refused) return refused;
  const n = values.length;
  const slopes: number[] = [];
  let s = 0;
  values.forEach((a, i) =>
    values.slice(i + 1).forEach((b, k) => {
      slopes.push((b - a) / (k + 1));
      s += Math.sign(b - a);
    }),
  );
  const slope = median(slopes);
  const ties = new Map<number, number>();
  for (const x of values) ties.set(x, (ties.get(x) ?? 0) + 1);
  const tied = [...ties.values()].reduce((sum, t) => sum + t * (t - 1) * (2 * t + 5), 0);
  const variance = (n * (n - 1) * (2 * n + 5) - tied) / 18;
  const z = s === 0 || variance <= 0 ? 0 : (s - Math.sign(s)) / Math.sqrt(variance);
  const p = 2 * normalShare(-Math.abs(z));
  const ranges = values.slice(1).map((x, i) => Math.abs(x - (values[i] ?? x)));
  const width = band && band.low !== null && band.high !== null ? band.high - band.low : null;
  const matters = width === null ? mean(ranges) / CHART.d2 : SHARE_OF_BAND * width;
  const drifting = n >= LEAST && p < LEVEL && Math.abs(slope) * (n - 1) > matters;
  const level = mean([...values]) + (slope * (n - 1)) / 2;
  const edge = band && (slope > 0 ? band.high : band.low);
  return ok({
    slope,
    s,
    z,
    p,
    drifting,
    level,
    batchesToEdge: drifting && edge !== null ? Math.max(0, (edge - level) / slope) : null,
  });
}
