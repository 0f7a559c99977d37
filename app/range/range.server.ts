import type { Route } from "./+types/range";
import { requirePerson } from "../people/person.server";
import { loadLiveRuns } from "./live-run.server";

export async function loader({ context, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const runs = await loadLiveRuns(section);
  return { runs: runs.map(run => run.live), now: Date.now() };
}
