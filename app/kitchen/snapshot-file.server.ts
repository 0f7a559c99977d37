import { requirePerson } from "../people/person.server";
import type { Route } from "./+types/snapshot-file";
import { keptNames, keptSnapshot, madeHereOf, snapshotOf } from "./kitchen.server";

const FOREVER = "private, max-age=31536000, immutable";

/**
 * `12.json`: the kitchen at revision 12; `names-3.json`: what its formulas are called. A revision never changes, so a
 * browser asks once. One that is gone is answered with that of now, which nobody keeps.
 */
export async function loader({ context, params, request }: Route.LoaderArgs): Promise<Response> {
  const section = requirePerson(context, request);
  const [, isNames, digits] = /^(names-)?(\d{1,9})\.json$/.exec(params.file) ?? [];
  if (!digits) throw new Response("There is no such file of this kitchen.", { status: 404 });
  const asked = Number(digits);
  const kept = (isNames ? keptNames : keptSnapshot)(section.kitchenId, asked);
  const now = isNames ? section.namesRevision : section.revision;
  const body = await (kept ?? (isNames ? madeHereOf(section) : snapshotOf(section)));
  return Response.json(body, {
    headers: { "Cache-Control": kept || asked === now ? FOREVER : "no-store" },
  });
}
