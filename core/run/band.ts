import { type StateAfterStep, type StepIntervals, kindOf } from "../formula";

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

/** For a step whose intervals are not at hand: nothing is known of its end. */
export const UNKNOWN_BAND: StepBand = {
  lo: 1,
  hi: null,
  pace: { lo: 0, hi: 2 },
  mass: { lo: 0, hi: 2 },
  computed: {},
};
