import { mean, sampleStandardDeviation } from "simple-statistics";
import { type Result, ok, refuse } from "../ground/result";
import { CHART, refusedSeries } from "./chart";
import type { Band } from "./drift";

/** Whether a recipe keeps to its band, told with the honesty that few batches ask for. */

export interface Capability {
  /** Band over what wobble from batch to batch takes; `null` where one side is open. */
  readonly cp: number | null;
  readonly cpk: number;
  /** The same with all the spread there is. */
  readonly pp: number | null;
  readonly ppk: number;
  /** What Ppk is at least, with 95 % confidence. Approximate. */
  readonly lower: number;
  readonly verdict: "capable" | "workable" | "not shown as capable";
}

/** Fewer batches show nothing. */
export const LEAST_FOR_CAPABILITY = 8;
const ONE_SIDED_95 = 1.644854;
const CAPABLE = 1.33;
const WORKABLE = 1;

/**
 * @param values batches of one version, in order; at least 8
 * @errors as `controlChart`, and NOT_ENOUGH fewer than eight · OUT_OF_RANGE a band that is none · MISSING no edge · EMPTY no spread
 * Source: docs/models.md "Drift and limits".
 * @example the twelve yields in 0.380–0.430: Cp 1.034, Cpk 0.983, Ppk 1.140, at least 0.710: not shown as capable
 */
export function capabilityOf(values: readonly number[], { low, high }: Band): Result<Capability> {
  const refused = refusedSeries(values);
  if (refused) return refused;
  if (values.length < LEAST_FOR_CAPABILITY)
    return refuse({
      code: "NOT_ENOUGH",
      field: "values",
      message: `${values.length} batches show nothing of it: eight do.`,
    });
  if (low === null && high === null)
    return refuse({ code: "MISSING", field: "band", message: "The recipe says no band for this." });
  if (low !== null && high !== null && low >= high)
    return refuse({ code: "OUT_OF_RANGE", field: "band", message: "The band begins above its end." });
  const n = values.length;
  const middle = mean([...values]);
  const within = mean(values.slice(1).map((x, i) => Math.abs(x - (values[i] ?? x)))) / CHART.d2;
  const s = sampleStandardDeviation([...values]);
  if (!(within > 0 && s > 0))
    return refuse({
      code: "EMPTY",
      field: "values",
      message: "All batches read the same: the scale is too coarse to say more.",
    });
  const nearest = Math.min(high === null ? Infinity : high - middle, low === null ? Infinity : middle - low);
  const whole = (spread: number) => (low === null || high === null ? null : (high - low) / (6 * spread));
  const ppk = nearest / (3 * s);
  const lower = ppk - ONE_SIDED_95 * Math.sqrt(1 / (9 * n) + ppk ** 2 / (2 * (n - 1)));
  return ok({
    cp: whole(within),
    cpk: nearest / (3 * within),
    pp: whole(s),
    ppk,
    lower,
    verdict: lower >= CAPABLE ? "capable" : lower >= WORKABLE ? "workable" : "not shown as capable",
  });
}
