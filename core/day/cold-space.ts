import type { Kitchen } from "../formula";
import { printNumber } from "../ground/quantity";
import type { InStock } from "./needs";
import type { DayPlan } from "./plan-day";
import { clockOf } from "./words";

/** Whether all that has cooled finds room to stand until it is wanted. */

export interface ColdSpace {
  /** Most that stands there at one time, ml, and when, in minutes of the plan. */
  readonly mostMl: number;
  readonly atMin: number;
  /** What the places that keep hold together, ml. */
  readonly holdsMl: number;
  readonly names: readonly string[];
}

/** Stock is about as heavy as water; one kilogram takes a litre. */
const ML_PER_G = 1;

/**
 * What stands in the cold over a plan: what was there, and each pot from the end of its cooling until its line goes on, or
 * until service. An ice sink keeps nothing; `null` in a kitchen without a cold place.
 * @param without gear that is not to be had, by id
 */
export function coldSpaceOf(
  plan: Pick<DayPlan, "jobs" | "dueMin">,
  kitchen: Kitchen,
  stock: readonly InStock[],
  without: readonly string[],
): ColdSpace | null {
  const places = kitchen.data.appliances.flatMap(a =>
    a.kind === "cold place" && !a.method.startsWith("ice") && !without.includes(a.id) ? [a] : [],
  );
  if (!places.length) return null;
  const holdsMl = places.reduce((sum, place) => sum + place.holdsMl, 0);
  const standing = plan.jobs.flatMap(({ job, task }) => {
    if (job.place !== "cold") return [];
    const next = plan.jobs
      .filter(other => other.job.batchId === job.batchId && other.task.start >= task.finish)
      .reduce((least, other) => Math.min(least, other.task.start), plan.dueMin);
    return next > task.finish ? [{ from: task.finish, to: next, ml: job.volumeMl }] : [];
  });
  const before = stock.reduce((sum, lot) => sum + lot.massG * ML_PER_G, 0);
  return standing
    .map(({ from }) => ({
      atMin: from,
      mostMl: standing.reduce((sum, s) => sum + (s.from <= from && from < s.to ? s.ml : 0), before),
    }))
    .reduce<ColdSpace>((most, one) => (one.mostMl > most.mostMl ? { ...most, ...one } : most), {
      mostMl: before,
      atMin: 0,
      holdsMl,
      names: places.map(place => place.name),
    });
}

/** "Walk-in: 42 l are to stand there at 16:00, it takes 30 l …"; `null` where there is room. */
export function coldSpaceInWords(
  space: ColdSpace | null,
  plan: Pick<DayPlan, "midnightMin">,
  weekday: number,
): string | null {
  if (!space || space.mostMl <= space.holdsMl) return null;
  const litres = (ml: number): string => `${printNumber(ml / 1000, 1)} l`;
  return `${space.names.join(" and ")}: ${litres(space.mostMl)} are to stand there at ${clockOf(space.atMin, plan, weekday)}, there is room for ${litres(space.holdsMl)}. Make less ahead, or find another cold place.`;
}
