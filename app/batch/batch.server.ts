import { data, redirect } from "react-router";
import { asCooked, draftOf, isImprovised } from "~/core/run";
import { changedSince } from "~/core/formula";
import { database, findBatch, findFormula, findRun, findVersion, saveFormula } from "~/data";
import { foldLive, loadRuns } from "../range/live-run.server";
import { basisAt, kitchenFor } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import type { Route } from "./+types/batch";

/** A batch as it was booked: nothing of it is worked out anew. */
export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { kitchenId, people } = section;
  const { db } = database();
  const batch = await findBatch(db, kitchenId, params.runId);
  const version = batch && (await findVersion(db, kitchenId, batch.formulaVersionId));
  if (!batch || !version) throw data("There is no such batch in this kitchen.", { status: 404 });
  const since = batch.basisHash
    ? await Promise.all([basisAt(batch.basisHash), kitchenFor(section, [version.document])])
    : null;
  return {
    batch,
    name: version.document.name,
    versionNumber: version.number,
    since: since ? changedSince(since[0], since[1], since[1].formulas) : [],
    people,
  };
}

/** Makes what was cooked the new version of its formula; it is a draft, with its differences to be looked at on the Bench. */
export async function action({ context, params, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const { kitchenId, person } = section;
  const { db } = database();
  const run = await findRun(db, kitchenId, params.runId);
  const stored = run && (await findFormula(db, kitchenId, run.formulaId));
  const [loaded] = run && !run.rehearsal ? await loadRuns(section, [run]) : [];
  if (!stored || !loaded) throw data("There is no such batch in this kitchen.", { status: 404 });
  const state = foldLive(loaded);
  const { document, changes } = isImprovised(loaded.live.document)
    ? draftOf(state, stored.document)
    : asCooked(state, stored.document);
  if (changes.length)
    await saveFormula(db, {
      kitchenId,
      id: stored.id,
      rowVersion: stored.rowVersion,
      document,
      personId: person.id,
      now: new Date(),
    });
  return redirect(`/bench/${stored.id}`);
}
