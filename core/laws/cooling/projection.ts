import type { Estimate } from "../../ground/estimate";
import type { ProbeReading } from "../lethality";
import { type Result, ok, refuse } from "../../ground/result";

/** Standard deviation of a probe reading on the way down, K. */
const READING_SD = 0.5;
const LAST_READINGS = 8;
/** The pace expected before any reading may be this far off, one standard deviation. Our estimate. */
const PRIOR_SD = 0.4;
const DRIFT = 0.1;
const Z90 = 1.645;
const LONGEST_S = 48 * 3600;

export interface Projection {
  /** Minutes from the first reading's clock at which a temperature is crossed; `null`: not within two days. */
  readonly crossing: (toC: number) => Estimate | null;
  /** Minutes in which the excess over the cold falls to 1/e. */
  readonly minutesPerFold: number;
}

export const OUTLOOKS = ["on-track", "at-risk", "too-late"] as const;
export type Outlook = (typeof OUTLOOKS)[number];

/** A crossing that is still ahead, held against its limit. */
export function outlook(crossing: { lo: number; hi: number | null } | null, limit: number): Outlook {
  if (crossing === null) return "too-late";
  if (crossing.hi !== null && crossing.hi <= limit) return "on-track";
  return crossing.lo <= limit ? "at-risk" : "too-late";
}

/**
 * Where a cooling batch is heading, from its last readings in the same cold.
 *
 * Weighted least squares of the logarithm of the excess over the cold, with the expected pace as a prior; the crossing
 * and its limits follow from the line and its spread.
 *
 * @param sinkC          °C of the cold it stands in
 * @param minutesPerFold expected minutes for the excess to fall to 1/e
 * @errors NO_PROJECTION it is not falling, or as cold as its bath · EMPTY
 * Source: docs/models.md "Cooling", own derivation (Bayesian line).
 */
export function projectCooling(
  readings: readonly ProbeReading[],
  sinkC: number,
  minutesPerFold: number,
): Result<Projection> {
  const last = readings.at(-1);
  if (!last) return refuse({ code: "EMPTY", field: "readings", message: "There is no reading yet." });
  const noProjection = refuse({
    code: "NO_PROJECTION",
    field: "readings",
    value: last.c,
    message: `It does not fall towards ${sinkC} °C: check the probe, the bath and whether it was moved.`,
  });
  if (!(last.c > sinkC) || !(minutesPerFold > 0)) return noProjection;
  const expected = 1 / (minutesPerFold * 60);
  const used = readings.slice(-LAST_READINGS).filter(r => r.c > sinkC);
  const prior = (PRIOR_SD * expected) ** -2;
  let [s11, s12, s22, r1, r2] = [0, 0, prior, 0, expected * prior];
  for (const reading of used) {
    const y = Math.log(reading.c - sinkC);
    const x = -(reading.min - last.min) * 60;
    const w = ((reading.c - sinkC) / READING_SD) ** 2;
    s11 += w;
    s12 += w * x;
    s22 += w * x * x;
    r1 += w * y;
    r2 += w * x * y;
  }
  const det = s11 * s22 - s12 * s12;
  const alpha = (s22 * r1 - s12 * r2) / det;
  const b = (s11 * r2 - s12 * r1) / det;
  if (!(b > 0)) return noProjection;
  const [vAlpha, vB, vAlphaB] = [s22 / det, s11 / det, -s12 / det];
  const mean = (d: number) => alpha - b * d;
  const sd = (d: number) =>
    Math.sqrt(Math.max(0, vAlpha - 2 * d * vAlphaB + d * d * vB + (DRIFT * b * d) ** 2));
  const crossing = (toC: number): Estimate | null => {
    if (toC <= sinkC) return null;
    const goal = Math.log(toC - sinkC);
    const value = firstBelow(d => mean(d) - goal);
    const lo = firstBelow(d => mean(d) - Z90 * sd(d) - goal);
    const hi = firstBelow(d => mean(d) + Z90 * sd(d) - goal);
    if (value === null || lo === null) return null;
    const at = (d: number) => last.min + d / 60;
    return {
      value: at(value),
      lo: at(lo),
      hi: hi === null ? null : at(hi),
      basis: "estimate",
      notes: used.length < 2 ? ["EXPECTED_PACE"] : [],
    };
  };
  return ok({ crossing, minutesPerFold: 1 / b / 60 });
}

/** First d ≥ 0 where f is no longer positive, within two days; marches in growing steps, then halves. */
function firstBelow(f: (d: number) => number): number | null {
  if (f(0) <= 0) return 0;
  let from = 0;
  let to = 60;
  let step = 60;
  while (f(to) > 0) {
    if (to >= LONGEST_S) return null;
    from = to;
    step *= 1.3;
    to = Math.min(LONGEST_S, to + step);
  }
  for (let pass = 0; pass < 60; pass++) {
    const middle = (from + to) / 2;
    if (f(middle) > 0) from = middle;
    else to = middle;
  }
  return (from + to) / 2;
}
