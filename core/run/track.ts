import { type Course, interpolate } from "../formula";
import { type Tracker, jugSd, profileOf, read, scaleSd, startTracker, stickSd } from "../laws/reduction";
import { geometryOfVessel } from "../things/vessel";
import { mm } from "../ground/quantity";
import type { Reading, StepProgress } from "./fold";

/** From this share of its fastest pace on a pot counts as heated up. */
const HEATED = 0.5;

/** Standard deviation of a reading as a mass, g. */
export function readingSd(reading: Reading, progress: Pick<StepProgress, "foreseen" | "fromVessel">): number {
  const mass = reading.massG ?? 0;
  if (reading.kind === "dipped" && reading.levelMm !== undefined) {
    const vessel = progress.foreseen?.vessel ?? progress.fromVessel;
    if (vessel) {
      const geometry = geometryOfVessel(vessel);
      const level = mm(Math.min(reading.levelMm, geometry.heightMm));
      return stickSd(geometry.surfaceMm2(level));
    }
  }
  return reading.kind === "jugged" ? jugSd(mass) : scaleSd(mass);
}

/** Where the heating up is over: the first moment the pot loses at half its fastest pace. */
function heatedIndex(course: Course): number {
  const rate = (i: number): number => {
    const [m0 = 0, m1 = 0, t0 = 0, t1 = 0] = [
      course.mass[i],
      course.mass[i + 1],
      course.seconds[i],
      course.seconds[i + 1],
    ];
    return t1 > t0 ? (m0 - m1) / (t1 - t0) : 0;
  };
  const rates = course.seconds.slice(0, -1).map((_, i) => rate(i));
  const most = rates.reduce((a, b) => Math.max(a, b), 0);
  return Math.max(
    0,
    rates.findIndex(r => r >= HEATED * most),
  );
}

export interface TrackedStep {
  readonly tracker: Tracker;
  readonly readings: readonly Reading[];
  /** What the tracker said to the last reading, when it did not fit. */
  readonly said: string | null;
}

/**
 * Follows the step at work through its readings of the mass.
 *
 * The filter begins where the pot has come to heat; what was read before sets the mass it begins with.
 * `null`: nothing was read, or nothing is foreseen to leave.
 */
export function trackStep(progress: StepProgress, course: Course, startSdG: number): TrackedStep | null {
  const { begunAt } = progress;
  if (begunAt === null) return null;
  const readings = progress.readings.filter(
    r => r.massG !== undefined && r.kind !== "added" && r.at >= begunAt,
  );
  if (!readings.length) return null;
  const from = heatedIndex(course);
  const heatedS = course.seconds[from] ?? 0;
  const heatedG = course.mass[from] ?? 0;
  const points = course.seconds.slice(from).map((atS, i) => ({ atS, massG: course.mass[from + i] ?? 0 }));
  const at = (r: Reading) => (r.at - begunAt) / 1000;
  const early = readings.filter(r => at(r) <= heatedS).at(-1);
  let tracker = startTracker({
    atS: heatedS,
    massG: early?.massG
      ? early.massG + heatedG - interpolate(course.seconds, course.mass, at(early))
      : heatedG,
    massSdG: early ? readingSd(early, progress) : startSdG,
    profile: profileOf(points),
    durationS: Math.max(60, (course.seconds.at(-1) ?? 0) - heatedS),
  });
  let said: string | null = null;
  for (const reading of readings) {
    if (at(reading) <= heatedS || reading.massG === undefined) continue;
    const next = read(tracker, {
      atS: at(reading),
      massG: reading.massG,
      sdG: readingSd(reading, progress),
    });
    // Two readings of the same second: the first stands.
    if (!next.ok) continue;
    said =
      next.value.events.length > tracker.events.length ? (next.value.events.at(-1)?.message ?? null) : null;
    tracker = next.value;
  }
  return { tracker, readings, said };
}
