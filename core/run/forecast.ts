import { courseOf, interpolate, kindOf, panOf } from "../formula";
import { potMass } from "../things/pot";
import { type Grams, g } from "../ground/quantity";
import {
  SCALE_SHARE,
  type TrackerStatus,
  arrival,
  massNow,
  paceWords,
  predict,
  statusOf,
  filmSolids,
  trackerWarnings,
} from "../laws/reduction";
import type { StepBand } from "./band";
import type { RunState } from "./fold";
import { paceSdOf } from "./pace";
import { type Reading, type StepProgress, courseSoFar } from "./progress";
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
  /** Off the fire: it waits, and its end moves on with the clock. */
  readonly paused: boolean;
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
  const { begunAt, legs } = progress;
  const leg = legs.at(-1);
  if (!leg || begunAt === null) return null;
  const { foreseen } = leg;
  // What waits off the fire begins again whenever it is put back.
  const startAt = leg.paused ? now : leg.at;
  const durationMs = foreseen.durationS * 1000;
  const elapsed = Math.max(0, now - startAt) / 1000;
  const latest = band.hi === null ? null : startAt + durationMs * band.hi;
  const end = startAt + durationMs;
  const byPlan = {
    endsAt: end,
    earliest: startAt + durationMs * band.lo,
    latest,
    late: !leg.paused && now > (latest ?? end),
    paused: leg.paused,
  };
  const wholeMs = end - begunAt;
  const byClock = Math.min(1, Math.max(0, now - begunAt) / Math.max(1, wholeMs));
  const nothingRead = { lastAgainst: null, pace: null };
  const course = leg.paused ? null : courseOf(leg.from, foreseen);
  if (leg.paused) {
    const mass = g(potMass(leg.from));
    return { massNowG: mass, massLoG: mass, massHiG: mass, ...byPlan, progress: byClock, ...nothingRead };
  }
  if (!course)
    return { massNowG: null, massLoG: null, massHiG: null, ...byPlan, progress: byClock, ...nothingRead };

  const toMark = kindOf(progress.step).endsAtMark;
  const massAt = (second: number) => interpolate(course.seconds, course.mass, second);
  const startMass = course.mass[0] ?? 0;
  const endMass = course.mass.at(-1) ?? 0;
  const whole = courseSoFar(progress);
  const first = whole?.mass[0] ?? startMass;
  const along = (mass: number) =>
    toMark && first > endMass ? Math.min(1, Math.max(0, (first - mass) / (first - endMass))) : byClock;

  const startSd = weighedBefore
    ? SCALE_SHARE * startMass
    : Math.max(SCALE_SHARE, (band.mass.hi - band.mass.lo) / 2 / Z90) * startMass;
  const tracked = trackStep(progress, startSd, paceSdOf(progress));
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
  const sinceBegun = (now - begunAt) / 1000;
  const at = predict(tracker, sinceBegun - tracker.atS);
  const { value, lo, hi } = massNow(at);
  const status = statusOf(at, endMass, readingSd(reading, progress));
  const solids = filmSolids(foreseen.pot.liquor);
  const there = arrival(tracker, endMass);
  const clock = (second: number) => begunAt + second * 1000;
  const last = there.hi === null ? null : clock(there.hi);
  const arriving = {
    endsAt: clock(there.value ?? there.lo),
    earliest: clock(there.lo),
    latest: last,
    late: now > (last ?? Infinity),
    paused: false,
  };
  return {
    massNowG: value,
    massLoG: lo,
    massHiG: hi,
    ...(toMark ? arriving : byPlan),
    progress: along(value),
    lastAgainst: {
      reading,
      foreseenG: g(interpolate(whole?.seconds ?? [], whole?.mass ?? [], (reading.at - begunAt) / 1000)),
    },
    pace: {
      times: at.pace,
      status,
      words: [tracked.said ?? paceWords(at, status), ...trackerWarnings(at, solids).map(w => w.message)].join(
        " ",
      ),
    },
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
