import type { Route } from "./+types/range";
import { database, liveRehearsals } from "~/data";
import { requirePerson } from "../people/person.server";
import { loadLiveRuns } from "./live-run.server";

/** A rehearsal that nobody has gone on with for a day is left. */
const REHEARSED_WITHIN_MS = 24 * 3_600_000;

export async function loader({ context, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const [runs, rehearsals] = await Promise.all([
    loadLiveRuns(section),
    liveRehearsals(
      database().db,
      section.kitchenId,
      section.person.id,
      new Date(Date.now() - REHEARSED_WITHIN_MS),
    ),
  ]);
  return {
    runs: runs.map(run => run.live),
    personId: section.person.id,
    rehearsals: rehearsals.map(({ id, formulaId, startedAt, rehearsal }) => ({
      id,
      formulaId,
      startedAt: startedAt.getTime(),
      speed: rehearsal?.speed ?? 1,
    })),
    people: section.people,
    now: Date.now(),
  };
}
