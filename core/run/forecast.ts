import { kindOf } from "../formula";
import { type Grams, g } from "../quantity";
import { courseOf, interpolate, whenAt } from "../formula";
import type { Reading, RunState, StepProgress } from "./fold";

/** The step at work as it should stand at a moment. */
export interface LiveForecast {
  /** Everything in the pot now, g; `null` where the step has no course. */
  readonly massNowG: Grams | null;
  readonly temperatureNowC: number | null;
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
}

/** Relative width of the duration of a step: low and high end over the value. */
export interface DurationBand {
  readonly lo: number;
  readonly hi: number | null;
}

/**
 * Where the step at work should stand now and when it will be there.
 *
 * A reading of the mass slides the foreseen course along the clock until it passes through the reading; what is left
 * keeps the relative width of the whole. Steps that end by the clock keep their end; only their mass is corrected.
 *
 * @param now  ms since the epoch
 * @param band 90 % width of the step's duration, low and high over the value
 * Valid for: a first forecast without learning from the pace.
 */
export function liveForecast(progress: StepProgress, now: number, band: DurationBand): LiveForecast | null {
  const { foreseen, begunAt } = progress;
  if (!foreseen || begunAt === null) return null;
  const durationMs = foreseen.durationS * 1000;
  const elapsed = Math.max(0, now - begunAt) / 1000;
  const course = courseOf(progress.from, foreseen);
  const reading =
    progress.readings.filter(r => r.massG !== undefined && r.kind !== "added" && r.at >= begunAt).at(-1) ??
    null;
  const spread = (from: number, left: number) => ({
    endsAt: from + left,
    earliest: from + left * band.lo,
    latest: band.hi === null ? null : from + left * band.hi,
  });

  if (!course)
    return {
      massNowG: null,
      temperatureNowC: null,
      ...spread(begunAt, durationMs),
      progress: Math.min(1, (elapsed * 1000) / Math.max(1, durationMs)),
      lastAgainst: null,
      late: now > begunAt + durationMs,
    };

  const lastAgainst =
    reading?.massG !== undefined
      ? { reading, foreseenG: g(interpolate(course.seconds, course.mass, (reading.at - begunAt) / 1000)) }
      : null;
  const startMass = course.mass[0] ?? 0;
  const endMass = course.mass.at(-1) ?? 0;
  if (!kindOf(progress.step).endsAtMark) {
    const offset = lastAgainst && reading?.massG !== undefined ? reading.massG - lastAgainst.foreseenG : 0;
    return {
      massNowG: g(interpolate(course.seconds, course.mass, elapsed) + offset),
      temperatureNowC: interpolate(course.seconds, course.temperature, elapsed),
      ...spread(begunAt, durationMs),
      progress: Math.min(1, (elapsed * 1000) / Math.max(1, durationMs)),
      lastAgainst,
      late: now > begunAt + durationMs,
    };
  }
  const anchor =
    reading?.massG !== undefined
      ? { courseS: whenAt(course, reading.massG), at: reading.at }
      : { courseS: 0, at: begunAt };
  const left = Math.max(0, foreseen.durationS - anchor.courseS) * 1000;
  const ends = spread(anchor.at, left);
  const inCourse = anchor.courseS + (now - anchor.at) / 1000;
  const massNow = interpolate(course.seconds, course.mass, inCourse);
  return {
    massNowG: g(massNow),
    temperatureNowC: interpolate(course.seconds, course.temperature, inCourse),
    ...ends,
    progress:
      startMass > endMass ? Math.min(1, Math.max(0, (startMass - massNow) / (startMass - endMass))) : 1,
    lastAgainst,
    late: now > (ends.latest ?? ends.endsAt),
  };
}

/** The forecast of the step a run stands at. */
export function forecastOf(
  run: RunState,
  now: number,
  bandOf: (stepIndex: number) => DurationBand,
): LiveForecast | null {
  const progress = run.steps[run.current];
  return progress ? liveForecast(progress, now, bandOf(run.current)) : null;
}
