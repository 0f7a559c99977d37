import { type Course, courseOf, interpolate } from "../formula";
import {
  type RateProfile,
  type Tracker,
  added,
  backOnFire,
  heatChanged,
  jugSd,
  profileOf,
  read,
  scaleSd,
  startTracker,
  stickSd,
} from "../laws/reduction";
import { geometryOfVessel } from "../things/vessel";
import { mm } from "../ground/quantity";
import { type Leg, type Reading, type StepProgress, legAt } from "./progress";

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

/** A leg as a filter sees it, in seconds since the step began. */
interface Stretch {
  readonly leg: Leg;
  readonly course: Course;
  /** When the pot has come to heat in it, and what it weighs then. */
  readonly heatedS: number;
  readonly heatedG: number;
  readonly endsS: number;
  readonly untilS: number;
  readonly profile: RateProfile;
}

function stretchOf(leg: Leg, begunAt: number, until: number): Stretch | null {
  const course = courseOf(leg.from, leg.foreseen);
  if (!course) return null;
  const startS = (leg.at - begunAt) / 1000;
  const from = heatedIndex(course);
  return {
    leg,
    course,
    heatedS: startS + (course.seconds[from] ?? 0),
    heatedG: course.mass[from] ?? 0,
    endsS: startS + (course.seconds.at(-1) ?? 0),
    untilS: (until - begunAt) / 1000,
    profile: profileOf(
      course.seconds.slice(from).map((atS, i) => ({ atS, massG: course.mass[from + i] ?? 0 })),
    ),
  };
}

export interface TrackedStep {
  readonly tracker: Tracker;
  readonly readings: readonly Reading[];
  /** What the tracker said to the last reading, when it did not fit. */
  readonly said: string | null;
}

/**
 * Follows the step at work through its readings of the mass, and through what was changed of it.
 *
 * The filter begins where the pot has come to heat; what was read before sets the mass it begins with. A change of the
 * heat opens the pace again; what went in or out moves the mass.
 * `null`: nothing was read, or nothing is foreseen to leave.
 */
export function trackStep(
  progress: Pick<StepProgress, "begunAt" | "legs" | "readings" | "foreseen" | "fromVessel">,
  startSdG: number,
  paceSd?: number,
): TrackedStep | null {
  const { begunAt, legs } = progress;
  if (begunAt === null) return null;
  const readings = progress.readings.filter(
    r => r.massG !== undefined && r.kind !== "added" && r.at >= begunAt,
  );
  if (!readings.length) return null;
  let tracker: Tracker | null = null;
  let said: string | null = null;
  for (const [i, leg] of legs.entries()) {
    const own = readings.filter(r => legAt(legs, r.at) === leg);
    if (leg.paused) continue;
    const stretch = stretchOf(leg, begunAt, legs[i + 1]?.at ?? Infinity);
    if (!stretch) return null;
    if (!tracker && !own.length) continue;
    const at = (r: Reading) => (r.at - begunAt) / 1000;
    const early = own.filter(r => at(r) <= stretch.heatedS).at(-1);
    const legS = (leg.at - begunAt) / 1000;
    tracker = tracker
      ? turned(tracker, stretch, legs[i - 1], legS)
      : startTracker({
          atS: stretch.heatedS,
          massG: early?.massG
            ? early.massG +
              stretch.heatedG -
              interpolate(stretch.course.seconds, stretch.course.mass, at(early) - legS)
            : stretch.heatedG,
          massSdG: early ? readingSd(early, progress) : startSdG,
          profile: stretch.profile,
          durationS: Math.max(60, stretch.endsS - stretch.heatedS),
          ...(paceSd !== undefined && { paceSd }),
        });
    for (const reading of own) {
      if (at(reading) <= tracker.atS || reading.massG === undefined) continue;
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
  }
  return tracker && { tracker, readings, said };
}

/** The filter goes over into the next leg: it has to heat up again where something cold came in. */
function turned(t: Tracker, stretch: Stretch, before: Leg | undefined, atS: number): Tracker {
  const { leg, profile, heatedS, heatedG } = stretch;
  const mass = leg.turn?.massG ?? 0;
  const next = before?.paused
    ? backOnFire({ ...t, profile }, atS)
    : mass !== 0
      ? added(t, atS, mass, undefined, profile)
      : heatChanged(t, atS, profile);
  if (heatedS <= atS) return next;
  const start = stretch.course.mass[0] ?? heatedG;
  return { ...next, atS: heatedS, massG: next.massG - (start - heatedG) };
}
