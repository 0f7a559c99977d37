import { FAMILIES } from "~/core/families";
import { openKitchen, walk, panOf } from "~/core/formula";
import { printKilograms, g } from "~/core/ground/quantity";
import { bandOf } from "~/core/laws/texture";
import { ALLERGENS, ALLERGEN_IDS, type Ingredient, plainName } from "~/core/things/larder";
import { type MeantWord, database, lastCooked, listFormulas } from "~/data";
import type { Route } from "./+types/formulas";
import { drawnOnBy, snapshotOf } from "../kitchen/kitchen.server";
import { Lately } from "../lately.server";
import { pageAsked, pagesOf, partOf } from "../page.server";
import { requirePerson } from "../people/person.server";

export async function loader({ context, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { kitchenId } = section;
  const asked = pageAsked(request);
  const { db } = database();
  const snapshot = await snapshotOf(section);
  const { formulas, of } = await listFormulas(db, kitchenId, {
    ...partOf(asked),
    meant: meantBy(asked.words, snapshot.ingredients),
  });
  const [cooked, drawn] = await Promise.all([
    lastCooked(db, kitchenId, formulas.map(f => f.id)), // prettier-ignore
    drawnOnBy(section, formulas.map(f => f.document)), // prettier-ignore
  ]);
  const kitchen = openKitchen({ ...snapshot, formulas: drawn });
  const outcomes = await Promise.all(
    formulas.map(f =>
      // What others of the kitchen change is seen when this one or the larder and kit change; a list may be so much behind.
      walked.get(`${kitchenId} ${f.versionId} ${f.rowVersion} ${section.revision}`, () =>
        Promise.resolve(made(f.document, kitchen)),
      ),
    ),
  );
  return {
    ...asked,
    of,
    pages: pagesOf(of),
    formulas: formulas.map((f, i) => ({
      id: f.id,
      name: f.document.name,
      school: f.document.school,
      family: f.document.family,
      number: f.number,
      base: `${printKilograms(g(f.document.base.massG))} ${f.document.base.name}`,
      ...(outcomes[i] ?? NOTHING_YET),
      cookedAt: cooked.get(f.id) ?? null,
      editedBy: f.editedBy,
      editedAt: f.editedAt,
    })),
  };
}

interface Outcome {
  readonly finished: string | null;
  readonly body: string | null;
}
const NOTHING_YET: Outcome = { finished: null, body: null };
/** Walked once for each version: a list of two thousand is read page by page. */
const MOST_WALKED = 4000;
const walked = new Lately<Outcome>(MOST_WALKED);

/** What comes out, and the word for its body; nothing where the formula does not walk to its end. */
function made(...of: Parameters<typeof walk>): Outcome {
  const { finishedG, states, problems } = walk(...of);
  if (problems.length || !(finishedG > 0)) return NOTHING_YET;
  const body = states.findLast(state => panOf(state.step) === "" && state.body)?.body?.thickness;
  return { finished: printKilograms(finishedG), body: body === undefined ? null : bandOf(body).name };
}

/** A shorter word is in too many names to mean one of them. */
const SHORTEST = 3;

/** What each word may mean: a part of a name, a family, a thing that goes in, an allergen. */
function meantBy(words: string, ingredients: readonly Ingredient[]): MeantWord[] {
  return words
    .split(/\s+/)
    .filter(Boolean)
    .map(word => {
      const plain = plainName(word);
      const bears = (name: string) => plain.length >= SHORTEST && plainName(name).includes(plain);
      const allergens = ALLERGEN_IDS.filter(id => bears(ALLERGENS[id]) || bears(id));
      return {
        word,
        families: FAMILIES.filter(family => bears(family.name)).map(family => family.id),
        ingredients: ingredients
          .filter(i => [i.name, ...i.aliases].some(bears) || i.allergens?.some(a => allergens.includes(a)))
          .map(i => i.id),
      };
    });
}
