import { type PotState, liquorMass, volumeAt20 } from "../../things/pot";
import type { Step } from "./index";

/** A step that is changed under way: what has been done of it, and what is left to do. */

/** Heating up comes before the time a step is written with, s. */
const heatsUpS = (clockMin: number, wholeS: number): number => Math.max(0, wholeS - 60 * clockMin);

/** The time a step is written with, min. */
const clockOf = (step: Step): number | null => ("durationMin" in step ? (step.durationMin ?? null) : null);

/**
 * What a step has done by a moment, as a step of its own; `null` where that is only a matter of heat and steam: while it
 * heats up, or where it has no clock.
 *
 * @param atS    s since it began
 * @param wholeS s it was foreseen to take, heating up and all
 */
export function doneOf(step: Step, atS: number, wholeS: number): Step | null {
  if (step.kind === "reduce") return atS >= 1 ? { ...step, orAfterMin: atS / 60 } : null;
  const clock = clockOf(step);
  if (clock === null) return null;
  const held = atS - heatsUpS(clock, wholeS);
  return held > 0 ? ({ ...step, durationMin: held / 60 } as Step) : null;
}

/**
 * What is left of a step: so much time, and the end it was to come to. A share is a share of what was there when the step
 * began, whatever goes in or out on the way.
 *
 * @param from the pot the step began with
 */
export function restOf(step: Step, atS: number, wholeS: number, from: PotState): Step {
  const on = { ...step, lines: [] };
  if (on.kind === "reduce") {
    const share = "to" in on.target ? on.target.to : "by" in on.target ? 1 - on.target.by : null;
    const left = on.orAfterMin && Math.max(0.1, on.orAfterMin - atS / 60);
    return {
      ...on,
      ...(left && { orAfterMin: left }),
      ...(share !== null && liquorMass(from) > 0 && { target: { endMl: share * volumeAt20(from.liquor) } }),
    };
  }
  const clock = clockOf(on);
  if (clock === null) return on;
  const held = Math.max(0, atS - heatsUpS(clock, wholeS));
  return { ...on, durationMin: Math.max(0.1, clock - held / 60) } as Step;
}
