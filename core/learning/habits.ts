import { grouped } from "../ground/grouped";
import type { Habit } from "../formula";
import type { KeptMark } from "./readings";
import { standingOf } from "./marks";

/** What a chef has taken of how long sauces take and how much comes out, by formula. */
export function habitsOf(marks: readonly KeptMark[]): Record<string, Habit> {
  const habits: Record<string, Habit> = {};
  for (const group of ["time", "yield"] as const)
    for (const [formulaId, own] of grouped(
      marks.filter(mark => mark.group === group),
      mark => mark.key,
    )) {
      const { accepted } = standingOf(own);
      if (accepted) habits[formulaId] = { ...habits[formulaId], [group]: accepted.value };
    }
  return habits;
}
