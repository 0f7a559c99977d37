import { data } from "react-router";
import { counted, nextDoses } from "~/core/learning";
import { database, feltLately, findRun, learnedMarks, liveRuns, seasonedBatches, standings } from "~/data";
import type { Route } from "./+types/stove";
import { requirePerson } from "../people/person.server";
import { loadRuns } from "../range/live-run.server";

export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { kitchenId, person, people } = section;
  const { db } = database();
  const [run, onFire] = await Promise.all([findRun(db, kitchenId, params.runId), liveRuns(db, kitchenId)]);
  // A rehearsal stands alone: its clock is not that of the kitchen.
  const others = run?.rehearsal ? [] : onFire.filter(other => other.id !== run?.id);
  const runs = (await loadRuns(section, run ? [run, ...others] : [])).map(loaded => loaded.live);
  const live = runs.find(one => one.run.id === run?.id);
  if (!live) throw data("There is no such pot on this range.", { status: 404 });
  const { formulaId } = live.run;
  const [seasoned, marks, felt] = await Promise.all([
    seasonedBatches(db, kitchenId, formulaId),
    learnedMarks(db, kitchenId),
    feltLately(db, kitchenId),
  ]);
  const standing = standings(marks);
  const before = nextDoses(
    seasoned,
    (ingredientId, batch) => counted([batch], standing("dose", `${formulaId} ${ingredientId}`)).length > 0,
  );
  return {
    live,
    before: before ?? null,
    felt,
    others: runs.filter(one => one !== live),
    person,
    people,
    now: Date.now(),
  };
}
