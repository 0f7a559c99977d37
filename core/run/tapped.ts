import type { StepProgress } from "./progress";

/** A step of some minutes that was ended in less than this share of them was tapped through, not cooked. Our estimate. */
const TAPPED_UNDER = 0.15;
/** Shorter steps are often done by the time they are begun, min. */
const TIMED_FROM_MIN = 3;

/** Whether a step was begun and ended by taps alone: its minutes tell nothing, and must teach nothing. */
export function isTappedThrough({ begunAt, doneAt, planned }: StepProgress): boolean {
  if (begunAt === null || doneAt === null) return false;
  const plannedMin = planned.durationS / 60;
  return plannedMin >= TIMED_FROM_MIN && (doneAt - begunAt) / 60_000 < TAPPED_UNDER * plannedMin;
}
