import { data } from "react-router";
import { changedSince } from "~/core/formula";
import { database, findBatch, findVersion } from "~/data";
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
