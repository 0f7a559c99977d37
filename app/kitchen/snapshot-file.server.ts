import { requirePerson } from "../people/person.server";
import type { Route } from "./+types/snapshot-file";
import { keptNames, keptSnapshot, madeHereOf, seesNoCost, snapshotOf } from "./kitchen.server";

const FOREVER = "private, max-age=31536000, immutable";

/**
 * `12.json`: the kitchen at revision 12; `plain-12.json`: the same without what things cost; `names-3.json`: what its formulas are called. A revision never changes, so a
 * browser asks once. One that is gone is answered with that of now, which nobody keeps.
 */
export async function loader({ context, params, request }: Route.LoaderArgs): Promise<Response> {
  const section = requirePerson(context, request);
  const [, kind, digits] = /^(names-|plain-)?(\d{1,9})\.json$/.exec(params.file) ?? [];
  if (!digits) throw new Response("There is no such file of this kitchen.", { status: 404 });
  const isNames = kind === "names-";
  const plain = seesNoCost(section);
  // A file holds one thing whoever asks: a browser keeps it for everybody who shares it.
  if (!isNames && plain !== (kind === "plain-"))
    throw new Response("This is not for who is signed in now. Load the page again.", { status: 403 });
  const asked = Number(digits);
  const kept = isNames ? keptNames(section.kitchenId, asked) : keptSnapshot(section.kitchenId, asked, plain);
  const now = isNames ? section.namesRevision : section.revision;
  const body = await (kept ?? (isNames ? madeHereOf(section) : snapshotOf(section)));
  return Response.json(body, {
    headers: {
      "Cache-Control": kept || asked === now ? FOREVER : "no-store",
      // What one person’s browser keeps is not for the next who signs in on it.
      Vary: "Cookie",
    },
  });
}
