import { type StateAfterStep, type StepIntervals, courseOf, interpolate, kindOf, whenAt } from "../formula";
import { type Grams, g } from "../quantity";
import type { Reading, RunState, StepProgress } from "./fold";

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
}

/** Relative 90 % width of a step: its duration, and the pace at which it loses mass; low and high end over the value. */
export interface StepBand {
  readonly lo: number;
  readonly hi: number | null;
  readonly pace: { readonly lo: number; readonly hi: number };
  /** Of everything in the pot at the end of the step, as planned: what counts while nobody has weighed. */
  readonly mass: { readonly lo: number; readonly hi: number };
  /** Of the amounts the sums worked out, by name. */
  readonly computed: Readonly<Record<string, { readonly lo: number; readonly hi: number | null }>>;
}

/** The widths of a step from its intervals: on the way to a mark the pace is what makes the time uncertain. */
export function stepBand(state: StateAfterStep, intervals: StepIntervals): StepBand {
  const { durationS } = intervals;
  const relative = (of: { value: number; lo: number; hi: number | null }) =>
    of.value > 0 ? { lo: of.lo / of.value, hi: of.hi === null ? null : of.hi / of.value } : { lo: 1, hi: 1 };
  const time = relative(durationS);
  const lost = state.computed.find(c => c.way === "out");
  const loss = lost ? relative(intervals.computedG[lost.what] ?? durationS) : { lo: 1, hi: 1 };
  const pace = kindOf(state.step).endsAtMark
    ? { lo: time.hi === null ? 0 : 1 / time.hi, hi: 1 / Math.max(0.05, time.lo) }
    : { lo: loss.lo, hi: loss.hi ?? 2 };
  const mass = relative(intervals.massG);
  const computed = Object.fromEntries(
    Object.entries(intervals.computedG).map(([what, of]) => [what, relative(of)]),
  );
  return { ...time, pace, mass: { lo: mass.lo, hi: mass.hi ?? 2 }, computed };
}

/**
 * Where the step at work should stand now and when it will be there.
 *
 * A reading of the mass slides the foreseen course along the clock until it passes through the reading; what is left
 * keeps the relative width of the whole. Steps that end by the clock keep their end; only their mass is corrected.
 *
 * @param now  ms since the epoch
 * @param band 90 % widths of the step
 * @param weighedBefore whether an earlier step was weighed: then only this step's pace is uncertain
 * Valid for: a first forecast without learning from the pace.
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
  const course = courseOf(progress.from, foreseen);
  const reading = progress.readings
    .filter(r => r.massG !== undefined && r.kind !== "added" && r.at >= begunAt)
    .at(-1);
  const spread = (from: number, left: number) => {
    const latest = band.hi === null ? null : from + left * band.hi;
    return {
      endsAt: from + left,
      earliest: from + left * band.lo,
      latest,
      late: now > (latest ?? from + left),
    };
  };
  const byClock = Math.min(1, (elapsed * 1000) / Math.max(1, durationMs));
  if (!course)
    return {
      massNowG: null,
      massLoG: null,
      massHiG: null,
      ...spread(begunAt, durationMs),
      progress: byClock,
      lastAgainst: null,
    };

  const massAt = (second: number) => interpolate(course.seconds, course.mass, second);
  const weighedG = reading?.massG;
  const lastAgainst =
    reading && weighedG !== undefined
      ? { reading, foreseenG: g(massAt((reading.at - begunAt) / 1000)) }
      : null;
  const startMass = course.mass[0] ?? 0;
  /** Limits: from the last weighing only the pace is uncertain; without one, all that was estimated before counts too. */
  const limits = (massNow: number) => {
    if (weighedG === undefined && !weighedBefore)
      return { massNowG: g(massNow), massLoG: g(massNow * band.mass.lo), massHiG: g(massNow * band.mass.hi) };
    const from = weighedG ?? startMass;
    const lost = Math.max(0, from - massNow);
    const scale = SCALE_ERROR * from;
    return {
      massNowG: g(massNow),
      massLoG: g(massNow - Math.hypot(lost * (band.pace.hi - 1), scale)),
      massHiG: g(massNow + Math.hypot(lost * (1 - band.pace.lo), scale)),
    };
  };

  if (!kindOf(progress.step).endsAtMark) {
    const offset = lastAgainst && weighedG !== undefined ? weighedG - lastAgainst.foreseenG : 0;
    return {
      ...limits(massAt(elapsed) + offset),
      ...spread(begunAt, durationMs),
      progress: byClock,
      lastAgainst,
    };
  }
  const anchor =
    reading && weighedG !== undefined
      ? { courseS: whenAt(course, weighedG), at: reading.at }
      : { courseS: 0, at: begunAt };
  const ends = spread(anchor.at, Math.max(0, foreseen.durationS - anchor.courseS) * 1000);
  const massNow = massAt(anchor.courseS + (now - anchor.at) / 1000);
  const all = startMass - (course.mass.at(-1) ?? 0);
  return {
    ...limits(massNow),
    ...ends,
    progress: all > 0 ? Math.min(1, Math.max(0, (startMass - massNow) / all)) : 1,
    lastAgainst,
  };
}

/** 90 % error of a kitchen scale under a pot, share of the reading. */
const SCALE_ERROR = 0.005;

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
    .some(step => step.readings.some(r => r.massG !== undefined && r.kind !== "added"));
  return liveForecast(progress, now, bandOf(run.current), weighedBefore);
}

/** For a step whose intervals are not at hand: nothing is known of its end. */
export const UNKNOWN_BAND: StepBand = {
  lo: 1,
  hi: null,
  pace: { lo: 0, hi: 2 },
  mass: { lo: 0, hi: 2 },
  computed: {},
};
