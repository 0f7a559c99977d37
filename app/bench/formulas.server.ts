import { openKitchen, walk, panOf } from "~/core/formula";
import { printKilograms, g } from "~/core/ground/quantity";
import { BANDS, bandOf } from "~/core/laws/texture";
import type { Ingredient } from "~/core/things/larder";
import { type KitchenSnapshot, type MeantWord, database, lastCooked, listFormulas } from "~/data";
import type { Route } from "./+types/formulas";
import { drawnOnBy, snapshotOf } from "../kitchen/kitchen.server";
import { Lately } from "../lately.server";
import { bearing, meantBy } from "../search/meant-by.server";
import { pageAsked, pagesOf, partOf } from "../page.server";
import { type SectionWithPerson, requirePerson } from "../people/person.server";

export async function loader({ context, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { kitchenId } = section;
  const asked = pageAsked(request);
  const { db } = database();
  const snapshot = await snapshotOf(section);
  const meant = withBodies(asked.words, snapshot.ingredients);
  // What a formula makes is worked out, not stored: only who asks for a body waits for it.
  const bodies = meant.some(word => word.bodies.length)
    ? await bodiesOf(section, snapshot, BODIES_WITHIN_MS)
    : { found: [], left: 0 };
  const { formulas, of } = await listFormulas(db, kitchenId, {
    ...partOf(asked),
    meant: meant.map(word => ({
      ...word,
      formulas: bodies.found.filter(one => word.bodies.includes(one.body)).map(one => one.id),
    })),
  });
  const [cooked, drawn] = await Promise.all([
    lastCooked(db, kitchenId, formulas.map(f => f.id)), // prettier-ignore
    drawnOnBy(section, formulas.map(f => f.document)), // prettier-ignore
  ]);
  const kitchen = openKitchen({ ...snapshot, formulas: drawn });
  const outcomes = await Promise.all(
    formulas.map(f => walked.get(keyOf(f, section), () => Promise.resolve(made(f.document, kitchen)))),
  );
  return {
    ...asked,
    of,
    bodiesLeft: bodies.left,
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

// What others of the kitchen change is seen when this one or the larder and kit change; a list may be so much behind.
const keyOf = (
  f: { readonly versionId: string; readonly rowVersion: number },
  { kitchenId, revision }: SectionWithPerson,
): string => `${kitchenId} ${f.versionId} ${f.rowVersion} ${revision}`;

/** So long a search for a body walks what nobody has walked yet; the rest is looked at the next time, and that is said. */
const BODIES_WITHIN_MS = 1500;

/** The body words of all formulas that are known within a time, and how many are still to be walked. */
async function bodiesOf(
  section: SectionWithPerson,
  snapshot: KitchenSnapshot,
  withinMs: number,
): Promise<{ readonly found: readonly { id: string; body: string }[]; readonly left: number }> {
  const { formulas } = await listFormulas(database().db, section.kitchenId, { most: MOST_WALKED });
  const drawn = await drawnOnBy(section, formulas.map(f => f.document)); // prettier-ignore
  const kitchen = openKitchen({ ...snapshot, formulas: drawn });
  const until = performance.now() + withinMs;
  const found: { id: string; body: string }[] = [];
  let left = 0;
  for (const f of formulas) {
    const key = keyOf(f, section);
    const known = walked.known(key);
    if (!known && performance.now() > until) {
      left += 1;
      continue;
    }
    const { body } = await (known ?? walked.get(key, () => Promise.resolve(made(f.document, kitchen))));
    if (body) found.push({ id: f.id, body });
  }
  return { found, left };
}

/** What each word may mean, a body too. */
const withBodies = (
  words: string,
  ingredients: readonly Ingredient[],
): (MeantWord & { bodies: string[] })[] =>
  meantBy(words, ingredients).map(meant => ({
    ...meant,
    bodies: BANDS.filter(band => bearing(meant.word)(band.name)).map(band => band.name),
  }));
