import { FAMILIES } from "~/core/families";
import { ALLERGENS, ALLERGEN_IDS, type Allergen, type Ingredient } from "~/core/things/larder";
import { type Search, database, listCooked, mothersHolding, versionsHolding } from "~/data";
import type { Route } from "./+types/book";
import { Lately } from "../lately.server";
import { madeHereOf, snapshotOf } from "../kitchen/kitchen.server";
import { pageAsked, pagesOf, partOf } from "../page.server";
import { type SectionWithPerson, requirePerson } from "../people/person.server";
import { type KnownWords, knownWords, meantBy, probablyMeant } from "../search/meant-by.server";

const STATES = ["standard", "trial", "draft", "retired"] as const;

/** What of the Book is asked for besides words: a family, a state, and what must not be recorded in it. */
export function shelfAsked(query: URLSearchParams) {
  return {
    family: FAMILIES.find(f => f.id === query.get("family"))?.id ?? null,
    state: STATES.find(s => s === query.get("state")) ?? null,
    without: ALLERGEN_IDS.find(a => a === query.get("without")) ?? null,
  };
}

export async function loader({ context, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const asked = pageAsked(request);
  const shelf = shelfAsked(new URL(request.url).searchParams);
  const { ingredients } = await snapshotOf(section);
  const shown = await cardsFor(section, partOf(asked), shelf, ingredients);
  const meant = shown.of === 0 && asked.words ? await nearest(section, asked.words, ingredients) : null;
  const found =
    meant === null ? shown : await cardsFor(section, { ...partOf(asked), words: meant }, shelf, ingredients);
  // What nobody has entered is not free of anything: it is said of each card that is shown.
  const unknown = shelf.without
    ? await versionsHolding(
        database().db,
        found.cards.map(card => card.versionId),
        await withMothers(
          section.kitchenId,
          ingredients.filter(i => !i.allergens),
        ),
      )
    : null;
  return {
    ...asked,
    ...shelf,
    meant: meant !== null && found.of > 0 ? meant : null,
    of: found.of,
    pages: pagesOf(found.of),
    cards: found.cards.map(card => ({ ...card, notKnown: unknown?.has(card.versionId) ?? false })),
    families: FAMILIES.map(({ id, name }) => ({ id, name })),
    allergens: ALLERGEN_IDS.map(id => ({ id, name: ALLERGENS[id] })),
  };
}

/** A part of the cards that are asked for, and how many there are. */
export async function cardsFor(
  { kitchenId }: SectionWithPerson,
  { words, from, most }: ReturnType<typeof partOf>,
  shelf: ReturnType<typeof shelfAsked>,
  ingredients: readonly Ingredient[],
) {
  const { db } = database();
  const search: Search = {
    words: meantBy(words, ingredients),
    family: shelf.family,
    without: await heldBy(kitchenId, shelf.without, ingredients),
  };
  return listCooked(db, kitchenId, { search, state: shelf.state, from, most });
}

/** What holds an allergen as it is recorded: things of the larder, and formulas that bring any of them. */
const heldBy = (kitchenId: string, allergen: Allergen | null, all: readonly Ingredient[]) =>
  withMothers(kitchenId, allergen === null ? [] : all.filter(i => i.allergens?.includes(allergen)));

async function withMothers(kitchenId: string, held: readonly Ingredient[]) {
  const ingredients = held.map(i => i.id);
  return { ingredients, formulas: await mothersHolding(database().db, kitchenId, ingredients) };
}

/** The words of some kitchens’ names: made anew when a name changes. */
const known = new Lately<KnownWords>(4);

async function nearest(
  section: SectionWithPerson,
  words: string,
  ingredients: readonly Ingredient[],
): Promise<string | null> {
  const { kitchenId, revision, namesRevision } = section;
  return probablyMeant(
    words,
    await known.get(`${kitchenId} ${revision} ${namesRevision}`, async () =>
      knownWords([
        ...Object.values(await madeHereOf(section)).map(({ name }) => name),
        ...FAMILIES.map(f => f.name),
        ...ingredients.flatMap(i => [i.name, ...i.aliases]),
      ]),
    ),
  );
}
