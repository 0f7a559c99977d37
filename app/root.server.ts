import { redirect } from "react-router";
import { may } from "~/core/things/rank";
import { database, firstKitchen, listPeople, signedIn } from "~/data";
import type { Route } from "./+types/root";
import { type Section, databaseAwayContext, firstKitchenContext, sectionContext } from "./context.server";
import type { Heads } from "./kitchen/at-hand";
import { madeHereOf, snapshotOf } from "./kitchen/kitchen.server";
import { later } from "./later.server";
import { sessionToken } from "./people/cookies.server";
import { admit } from "./people/person.server";

/** Before there is a kitchen there is one page: the one that founds it. */
const FOUNDING = "first";

const NO_KITCHEN: Section = {
  kitchenId: "",
  revision: 0,
  namesRevision: 0,
  demo: false,
  people: [],
  person: null,
  signedIn: null,
};

/** Finds who is signed in and their kitchen, for every request: nothing a request says of itself chooses either. */
const findSection: Route.MiddlewareFunction = async ({ request, context, pattern }) => {
  const { db } = database();
  const token = await sessionToken(request);
  const here = token === null ? null : await signedIn(db, token, new Date());
  const kitchen = here?.kitchen ?? (await firstKitchen(db));
  if (!kitchen) {
    if (pattern.replace("/", "") !== FOUNDING) throw redirect(`/${FOUNDING}`);
    return context.set(sectionContext, NO_KITCHEN);
  }
  const { id: kitchenId, ...heads } = kitchen;
  context.set(sectionContext, {
    kitchenId,
    ...heads,
    people: await listPeople(db, kitchenId, { left: true }),
    person: here?.person ?? null,
    signedIn: here,
  });
};

/** Who may do what is settled here, before any route is asked. */
const atTheDoor: Route.MiddlewareFunction = args => admit(args);

/** A database that is away for a moment breaks no page: whoever asked is told to ask again. */
const whileDatabaseIsAway: Route.MiddlewareFunction = async ({ request, context }, next) => {
  const response = await next();
  return context.get(databaseAwayContext).away ? later(request) : response;
};

export const middleware: Route.MiddlewareFunction[] = [whileDatabaseIsAway, findSection, atTheDoor];

/** Tells which kitchen the page is made of; the kitchen itself is fetched once for each revision. */
export async function loader({ context }: Route.LoaderArgs): Promise<Heads> {
  const section = context.get(sectionContext);
  if (!section.person) return { revision: null, namesRevision: null, plain: false, rank: null, owner: null };
  const [snapshot, madeHere] = await Promise.all([snapshotOf(section), madeHereOf(section)]);
  context.set(firstKitchenContext, { snapshot, madeHere });
  return {
    revision: section.revision,
    namesRevision: section.namesRevision,
    plain: !may(section.person, "cost"),
    rank: section.person.rank,
    owner: { kitchenId: section.kitchenId, personId: section.person.id },
  };
}
