import { database, listPeople, onlyKitchen } from "~/data";
import type { Route } from "./+types/root";
import { databaseAwayContext, firstKitchenContext, sectionContext } from "./context.server";
import type { Heads } from "./kitchen/at-hand";
import { madeHereOf, snapshotOf } from "./kitchen/kitchen.server";
import { later } from "./later.server";
import { personCookie } from "./people/person.server";

/** Finds the kitchen and who is cooking, for every request. */
const findSection: Route.MiddlewareFunction = async ({ request, context }) => {
  const { db } = database();
  const kitchen = await onlyKitchen(db);
  if (!kitchen)
    throw new Response(
      "No kitchen has been set up yet. Start Hondaro without --no-demo to load the demo kitchen.",
      { status: 404 },
    );
  const { id: kitchenId, ...heads } = kitchen;
  const people = await listPeople(db, kitchenId);
  const id: unknown = await personCookie.parse(request.headers.get("Cookie"));
  context.set(sectionContext, {
    kitchenId,
    ...heads,
    people,
    person: people.find(p => p.id === id) ?? null,
  });
};

/** A database that is away for a moment breaks no page: whoever asked is told to ask again. */
const whileDatabaseIsAway: Route.MiddlewareFunction = async ({ request, context }, next) => {
  const response = await next();
  return context.get(databaseAwayContext).away ? later(request) : response;
};

export const middleware: Route.MiddlewareFunction[] = [whileDatabaseIsAway, findSection];

/** Tells which kitchen the page is made of; the kitchen itself is fetched once for each revision. */
export async function loader({ context }: Route.LoaderArgs): Promise<Heads> {
  const section = context.get(sectionContext);
  if (!section.person) return { revision: null, namesRevision: null, owner: null };
  const [snapshot, madeHere] = await Promise.all([snapshotOf(section), madeHereOf(section)]);
  context.set(firstKitchenContext, { snapshot, madeHere });
  return {
    revision: section.revision,
    namesRevision: section.namesRevision,
    owner: { kitchenId: section.kitchenId, personId: section.person.id },
  };
}
