import type { PaceReading } from "../formula";
import { PACE_SPREAD } from "../laws/reduction";
import { potMass } from "../things/pot";
import type { StepProgress } from "./progress";
import { trackStep } from "./track";

/** What a step’s readings teach of its pot on its burner. */

/** Fewer readings teach nothing. Source: docs/models.md "The live forecast". */
const LEAST_READINGS = 4;
/** A pair that is well known is still no surer than this. */
const LEAST_SD = 0.08;
const START_SD = 0.02;

/** How far the pace of a pot may be off before anything is read of it: less once its pair has been learned. */
export const paceSdOf = ({ learned }: Pick<StepProgress, "learned">): number =>
  learned ? Math.max(LEAST_SD, Math.sqrt(learned.s2)) : PACE_SPREAD;

/**
 * How fast a reduction went in the end, if that can be known: read often enough, on one burner all the time, and nothing
 * in its readings that nobody explained.
 */
export function paceOf(progress: StepProgress): PaceReading | null {
  const { step, status, legs, foreseen, learned, from, begunAt, doneAt } = progress;
  if (step.kind !== "reduce" || status !== "done" || !foreseen?.fire || !foreseen.vessel) return null;
  if (begunAt === null || doneAt === null || legs.some(leg => leg.turn?.massG === 0 || leg.paused))
    return null;
  const tracked = trackStep(progress, START_SD * potMass(from), paceSdOf(progress));
  if (!tracked || tracked.tracker.accepted < LEAST_READINGS) return null;
  if (tracked.tracker.events.some(e => e.code === "JUMP" || e.code === "RATE_CHANGED")) return null;
  const { pace, p22 } = tracked.tracker;
  return {
    burnerId: foreseen.fire.burner.id,
    vesselId: foreseen.vessel.id,
    pace,
    sd: Math.sqrt(Math.max(0, p22)),
    muUsed: learned?.mu ?? 0,
  };
}
