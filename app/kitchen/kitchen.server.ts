import { type FormulaDocument, type KitchenData, linesOf } from "~/core/formula";
import {
  type KitchenSnapshot,
  database,
  documentsOf,
  formulaNames,
  listFormulas,
  readBasis,
  readSnapshot,
} from "~/data";
import { may } from "~/core/things/rank";
import type { Section } from "../context.server";
import { Lately } from "../lately.server";
import type { MadeHere } from "./context";

/** Whose kitchen, and how often it has changed: enough to know whether what this process keeps is of now. */
type Head = Pick<Section, "kitchenId" | "revision" | "namesRevision"> & {
  readonly person?: Section["person"];
};

/** Some of the latest are kept: a page that was sent a moment ago asks for the one it was made of. */
const MOST_KEPT = 6;

/**
 * What this process has read and parsed, by kitchen and revision. The database is asked for the number only; a change made
 * by another process is seen at the next request.
 */
const snapshots = new Lately<KitchenSnapshot>(MOST_KEPT);
const names = new Lately<MadeHere>(MOST_KEPT);

const keyOf = (kitchenId: string, revision: number): string => `${kitchenId} ${revision}`;

async function readNow(kitchenId: string): Promise<KitchenSnapshot> {
  const found = await readSnapshot(database().db, kitchenId);
  if (!found) throw new Response("This kitchen is not here any more.", { status: 404 });
  return found;
}

/** Without what anything costs. */
export const withoutCost = <K extends Pick<KitchenData, "ingredients" | "house">>(kitchen: K): K => ({
  ...kitchen,
  ingredients: kitchen.ingredients.map(({ price: _price, ...rest }) => rest),
  house: { ...kitchen.house, labourPerH: 0, flamePerH: 0 },
});
const plainSnapshots = new Lately<KitchenSnapshot>(MOST_KEPT);

/** Whether who asks sees no cost: somebody without the right, or nobody known. */
export const seesNoCost = ({ person }: Pick<Head, "person">): boolean =>
  person !== undefined && (person === null || !may(person, "cost"));

/** Larder, kit, air and facts of the request, for who asks. */
export const snapshotOf = (head: Head): Promise<KitchenSnapshot> => {
  const key = keyOf(head.kitchenId, head.revision);
  const whole = () => snapshots.get(key, () => readNow(head.kitchenId));
  return seesNoCost(head) ? plainSnapshots.get(key, async () => withoutCost(await whole())) : whole();
};

/** What the kitchen’s formulas are called. */
export const madeHereOf = ({ kitchenId, namesRevision }: Head): Promise<MadeHere> =>
  names.get(keyOf(kitchenId, namesRevision), () => formulaNames(database().db, kitchenId));

/** A snapshot or list of names that a page was made of, if this process still has it. */
export const keptSnapshot = (
  kitchenId: string,
  revision: number,
  plain: boolean,
): Promise<KitchenSnapshot> | undefined =>
  (plain ? plainSnapshots : snapshots).known(keyOf(kitchenId, revision));
export const keptNames = (kitchenId: string, revision: number): Promise<MadeHere> | undefined =>
  names.known(keyOf(kitchenId, revision));

/** Every formula that some draw on, and those draw on in turn, by id. */
export async function drawnOnBy(
  { kitchenId }: Head,
  documents: readonly FormulaDocument[],
): Promise<Record<string, FormulaDocument>> {
  const drawn: Record<string, FormulaDocument> = {};
  let wanted = idsIn(documents);
  while (wanted.length) {
    const found = await documentsOf(database().db, kitchenId, wanted);
    Object.assign(drawn, found);
    wanted = idsIn(Object.values(found)).filter(id => !Object.hasOwn(drawn, id));
  }
  return drawn;
}

const idsIn = (documents: readonly FormulaDocument[]): string[] => [
  ...new Set(documents.flatMap(linesOf).flatMap(line => ("formula" in line.of ? [line.of.formula] : []))),
];

type Demo = { readonly demo: boolean };

/** The kitchen of the request with what some formulas draw on: all that walking them needs. */
export async function kitchenFor(
  head: Head,
  documents: readonly FormulaDocument[],
): Promise<KitchenData & Demo> {
  const [snapshot, madeHere, formulas] = await Promise.all([
    snapshotOf(head),
    madeHereOf(head),
    drawnOnBy(head, documents),
  ]);
  return { ...snapshot, madeHere, formulas };
}

/** What never changes is kept as long as there is room. */
const MOST_BASES = 200;
const bases = new Lately<KitchenData>(MOST_BASES);

/** What a run or a version was walked in. */
export const basisAt = (hash: string): Promise<KitchenData> =>
  bases.get(hash, () => readBasis(database().db, hash));

/** The kitchen with every formula it has: for what goes out whole, and for what looks through all of them. */
export async function wholeKitchen(head: Head): Promise<KitchenData & Demo> {
  const [snapshot, { formulas }] = await Promise.all([
    snapshotOf(head),
    listFormulas(database().db, head.kitchenId, { most: 100_000 }),
  ]);
  return { ...snapshot, formulas: Object.fromEntries(formulas.map(f => [f.id, f.document])) };
}
