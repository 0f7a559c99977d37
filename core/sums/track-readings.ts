import { g, mm } from "../ground/quantity";
import { type Problem, type Result, ok, refuse } from "../ground/result";
import { type TrackerStatus, scaleSd, stickSd } from "../laws/reduction";
import { type Pools, massOfPools, volumeMlOf } from "../things/pot";
import { netOfGross, volumeOfLevel } from "../things/vessel";
import type { VesselField } from "./fields";
import { vesselOf } from "./inputs";
import { type SumWorld, missing } from "./sum";

/** Readings of a reduction, as typed: what each weighs, and what the last of them say of the pace. */

interface TypedReadings {
  readonly vessel?: VesselField | undefined;
  readonly tareG?: number | undefined;
  readonly solidsMl?: number | undefined;
  readonly readings: readonly {
    readonly min: number;
    readonly grossG?: number | undefined;
    readonly netG?: number | undefined;
    readonly levelMm?: number | undefined;
    readonly c?: number | undefined;
    readonly sdG?: number | undefined;
  }[];
}

/** What the pot weighed at a time, g, and how surely. */
export interface Reading {
  readonly atS: number;
  readonly massG: number;
  readonly sdG: number;
  readonly field: string;
}

/** The readings as masses. @errors TIME_ORDER · MISSING · those of pots and levels */
export function readingsOf(input: TypedReadings, start: Pools, world: SumWorld): Result<Reading[]> {
  const problems: Problem[] = [];
  const known = input.vessel ? vesselOf(input.vessel, world) : null;
  if (known && !known.ok) return known;
  const found = input.readings.flatMap((r, i): Reading[] => {
    const field = `readings.${i}`;
    if (i > 0 && !(r.min > (input.readings[i - 1]?.min ?? -1)))
      problems.push({
        code: "TIME_ORDER",
        field: `${field}.min`,
        value: r.min,
        message: `Reading ${i + 1} is not later than the one before.`,
      });
    const base = { atS: r.min * 60, field: `${field}.min` };
    if (r.netG !== undefined) return [{ ...base, massG: r.netG, sdG: r.sdG ?? scaleSd(r.netG) }];
    if (r.grossG !== undefined) {
      if (input.tareG === undefined) {
        problems.push(missing("tareG", "A reading with the pot needs the weight of the empty pot."));
        return [];
      }
      const net = netOfGross(g(r.grossG), g(input.tareG), `${field}.grossG`);
      if (!net.ok) {
        problems.push(...net.problems);
        return [];
      }
      return [{ ...base, massG: net.value, sdG: r.sdG ?? scaleSd(net.value) }];
    }
    if (r.levelMm !== undefined) {
      if (!known?.ok) {
        problems.push(missing("vessel", "A level needs the pot it was read in."));
        return [];
      }
      const { geometry } = known.value;
      const filled = volumeOfLevel(geometry, mm(r.levelMm), `${field}.levelMm`);
      if (!filled.ok) {
        problems.push(...filled.problems);
        return [];
      }
      const massG = massAtVolume(start, filled.value - (input.solidsMl ?? 0), r.c ?? 95);
      const sdG = r.sdG ?? stickSd(geometry.surfaceMm2(mm(r.levelMm)), r.c);
      return [{ ...base, massG, sdG }];
    }
    problems.push(missing(field, `Reading ${i + 1} needs a weight or a level.`));
    return [];
  });
  return problems.length ? refuse(...problems) : ok(found);
}

/** Mass of a liquor that has boiled down to a volume: water alone has left. Bisection. */
function massAtVolume(start: Pools, volume: number, t: number): number {
  let [lo, hi] = [-start.water, start.water * 4];
  for (let pass = 0; pass < 60; pass++) {
    const middle = (lo + hi) / 2;
    if (volumeMlOf({ ...start, water: start.water + middle }, t) > volume) hi = middle;
    else lo = middle;
  }
  return massOfPools(start) + (lo + hi) / 2;
}

/** The pace of the last two readings counts beside what the tracker has learned: a flame that has just died is news. */
export const DEAD = 0.25;
export const HALF_PACE = 0.65;
/** Two readings closer than this tell no pace, s. */
const TELLS_FROM_S = 240;

/** What the last readings lost, g a minute; from the start only where the cook told its pace. */
export function lastSeen(startG: number, readings: readonly Reading[], fromStart: boolean) {
  const points = [...(fromStart ? [{ atS: 0, massG: startG }] : []), ...readings];
  const last = points.at(-1);
  const before = last && points.filter(p => last.atS - p.atS >= TELLS_FROM_S).at(-1);
  return last && before && readings.length > 0
    ? { gPerMin: (60 * (before.massG - last.massG)) / (last.atS - before.atS) }
    : null;
}

export const byTheLastReadings = (
  status: TrackerStatus,
  seen: { readonly gPerMin: number } | null,
  foreseen: number,
): TrackerStatus =>
  status !== "on-pace" || !seen || seen.gPerMin >= HALF_PACE * foreseen
    ? status
    : seen.gPerMin < DEAD * foreseen
      ? "stalled"
      : "slow";
