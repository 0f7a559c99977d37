import { courseOf, interpolate, kindOf, panOf } from "../formula";
import { type Grams, g } from "../ground/quantity";
import {
  SCALE_SHARE,
  STATUS_WORDS,
  type TrackerStatus,
  arrival,
  massNow,
  predict,
  statusOf,
} from "../laws/reduction";
import type { StepBand } from "./band";
import type { Reading, RunState, StepProgress } from "./fold";
import { readingSd, trackStep } from "./track";

/** The step at work as it should stand at a moment. */
export interface LiveForecast {
  /** Everything in the pot now, g, with its 90 % limits; `null` where the step has no course. */
  readonly massNowG: Grams | null;
  readonly massLoG: Grams | null;
  readonly massHiG: Grams | null;
  /** When it will be there, ms since the epoch. */
  readonly endsAt: number;
  readonly earliest: number;
  /** `null`: no upper bound yet. */
  readonly latest: number | null;
  /** How far along, 0–1: by mass for steps that end at a mark, by time for the others. */
  readonly progress: number;
  /** Last reading of the mass against what was foreseen at that moment. */
  readonly lastAgainst: { readonly reading: Reading; readonly foreseenG: Grams } | null;
  /** Past its time by the forecast. */
  readonly late: boolean;
  /** How the readings compare with what was foreseen; `null` before anything was read. */
  readonly pace: { readonly times: number; readonly status: TrackerStatus; readonly words: string } | null;
}

/**
 * Where the step at work should stand now and when it will be there.
 *
 * Before anything was read in the step the plan and its widths stand. From the first reading on the tracker follows
 * the pot: readings sharpen the mass and the pace, and the arrival follows from both. Steps that end by the clock keep
 * their end; only their mass is followed.
 *
 * @param now  ms since the epoch
 * @param band 90 % widths of the step
 * @param weighedBefore whether an earlier step was weighed: then only this step's pace is uncertain
 */
export function liveForecast(
  progress: StepProgress,
  now: number,
  band: StepBand,
  weighedBefore = false,
): LiveForecast | null {
  const { foreseen, begunAt } = progress;
  if (!foreseen || begunAt === null) return null;
  const durationMs = foreseen.durationS * 1000;
  const elapsed = Math.max(0, now - begunAt) / 1000;
  const latest = band.hi === null ? null : begunAt + durationMs * band.hi;
  const end = begunAt + durationMs;
  const byPlan = {
    endsAt: end,
    earliest: begunAt + durationMs * band.lo,
    latest,
    late: now > (latest ?? end),
  };
  const byClock = Math.min(1, (elapsed * 1000) / Math.max(1, durationMs));
  const nothingRead = { lastAgainst: null, pace: null };
  const course = courseOf(progress.from, foreseen);
  if (!course)
    return { massNowG: null, massLoG: null, massHiG: null, ...byPlan, progress: byClock, ...nothingRead };

  const toMark = kindOf(progress.step).endsAtMark;
  const massAt = (second: number) => interpolate(course.seconds, course.mass, second);
  const startMass = course.mass[0] ?? 0;
  const endMass = course.mass.at(-1) ?? 0;
  const along = (mass: number) =>
    toMark && startMass > endMass
      ? Math.min(1, Math.max(0, (startMass - mass) / (startMass - endMass)))
      : byClock;

  const startSd = weighedBefore
    ? SCALE_SHARE * startMass
    : Math.max(SCALE_SHARE, (band.mass.hi - band.mass.lo) / 2 / Z90) * startMass;
  const tracked = trackStep(progress, course, startSd);
  const reading = tracked?.readings.at(-1);
  if (!tracked || reading?.massG === undefined) {
    const mass = massAt(elapsed);
    return {
      ...plannedLimits(mass, startMass, band, weighedBefore),
      ...byPlan,
      progress: along(mass),
      ...nothingRead,
    };
  }
  const { tracker } = tracked;
  const at = predict(tracker, elapsed - tracker.atS);
  const { value, lo, hi } = massNow(at);
  const status = statusOf(at, endMass, readingSd(reading, progress));
  const there = arrival(tracker, endMass);
  const clock = (second: number) => begunAt + second * 1000;
  const last = there.hi === null ? null : clock(there.hi);
  const arriving = {
    endsAt: clock(there.value ?? there.lo),
    earliest: clock(there.lo),
    latest: last,
    late: now > (last ?? Infinity),
  };
  return {
    massNowG: value,
    massLoG: lo,
    massHiG: hi,
    ...(toMark ? arriving : byPlan),
    progress: along(value),
    lastAgainst: { reading, foreseenG: g(massAt((reading.at - begunAt) / 1000)) },
    pace: { times: at.pace, status, words: tracked.said ?? STATUS_WORDS[status] },
  };
}

const Z90 = 1.645;

/** Limits while nobody has read anything in the step: all that was estimated before counts, unless a scale spoke since. */
function plannedLimits(mass: number, startMass: number, band: StepBand, weighedBefore: boolean) {
  if (!weighedBefore)
    return { massNowG: g(mass), massLoG: g(mass * band.mass.lo), massHiG: g(mass * band.mass.hi) };
  const lost = Math.max(0, startMass - mass);
  const scale = SCALE_SHARE * startMass;
  return {
    massNowG: g(mass),
    massLoG: g(mass - Math.hypot(lost * (band.pace.hi - 1), scale)),
    massHiG: g(mass + Math.hypot(lost * (1 - band.pace.lo), scale)),
  };
}

/** The forecast of the step a run stands at. */
export function forecastOf(
  run: RunState,
  now: number,
  bandOf: (stepIndex: number) => StepBand,
): LiveForecast | null {
  const progress = run.steps[run.current];
  if (!progress) return null;
  const weighedBefore = run.steps
    .slice(0, run.current)
    .filter(({ step }) => panOf(step) === panOf(progress.step))
    .some(step => step.readings.some(r => r.massG !== undefined && r.kind !== "added"));
  return liveForecast(progress, now, bandOf(run.current), weighedBefore);
}
