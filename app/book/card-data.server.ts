import { data } from "react-router";
import {
  type Change,
  type FormulaDocument,
  type KitchenData,
  atSize,
  changedSince,
  costOf,
  diffFormulas,
  openKitchen,
  walk,
} from "~/core/formula";
import { USUAL_DISPLAY } from "~/core/things/house";
import { g } from "~/core/ground/quantity";
import { ok } from "~/core/ground/result";
import { attributesOf, cardOf, readColumns, readiness } from "~/core/standard";
import {
  batchesOf,
  database,
  findVersion,
  listVersions,
  recordsOf,
  signaturesOf,
  standardOf,
  tastingsOf,
} from "~/data";
import { basisAt, kitchenFor, withoutCost } from "../kitchen/kitchen.server";
import { type SectionWithPerson, holds } from "../people/person.server";
import { readMass } from "../ui/read";
import { columnsInPool, intervalsInPool } from "../workers/pool.server";

/** What a card is asked for: its size, in the kitchen it was kept in or that of today, with which columns. */
export interface CardAsked {
  readonly base: string | null;
  readonly asOfToday: boolean;
  /** `null`: no columns; empty: the kitchen’s own pots. */
  readonly columns: string | null;
}

export const cardAsked = (query: URLSearchParams): CardAsked => ({
  base: query.get("base"),
  asOfToday: query.get("in") === "today",
  columns: query.get("columns"),
});

/** All that a card says, on a screen or on paper. */
export async function readCard(section: SectionWithPerson, versionId: string, asked: CardAsked) {
  const { kitchenId, person } = section;
  const { db } = database();
  const version = await findVersion(db, kitchenId, versionId);
  if (!version) throw data("There is no such card in the Book.", { status: 404 });
  const [today, basis] = await Promise.all([
    kitchenFor(section, [version.document]),
    version.basisHash ? basisAt(version.basisHash) : null,
  ]);
  const kept = basis && (holds(section, "cost") ? basis : withoutCost(basis));
  const kitchen = asked.asOfToday || !kept ? today : kept;
  const size = asked.base === null ? null : readMass("The batch size", "kg")(asked.base);
  const batches = await batchesOf(db, version.versionId);
  const baseG = size?.ok ? size.value : (batches[0]?.baseG ?? version.document.base.massG);
  const document = atSize(version.document, g(baseG));
  const wanted = columnsAsked(asked.columns, kitchen.vessels);
  const [intervals, signatures, standard, ready, columns, versions, tastings] = await Promise.all([
    intervalsInPool(document, kitchen),
    signaturesOf(db, kitchenId, version.versionId),
    standardOf(db, kitchenId, version.id),
    readyOf(kitchenId, version.versionId),
    wanted?.ok ? columnsInPool(version.document, kitchen, wanted.value) : [],
    listVersions(db, kitchenId, version.id),
    tastingsOf(db, kitchenId, version.versionId),
  ]);
  const before = versions.filter(v => v.number < version.number).sort((a, b) => b.number - a.number)[0];
  return {
    version,
    document,
    kitchen,
    today,
    baseG,
    times: baseG / version.document.base.massG,
    intervals,
    signatures,
    standard,
    ready,
    batches,
    since: kept ? changedSince(kept, today, today.formulas) : [],
    columns: columns.flatMap(column => (column.ok ? [column.value] : [])),
    refusals: [
      ...(size && !size.ok ? size.problems : []),
      ...(wanted && !wanted.ok ? wanted.problems : []),
      ...columns.flatMap(column => (column.ok ? [] : column.problems)),
    ].map(problem => problem.message),
    lastVersion: before && {
      number: before.number,
      changes: diffFormulas(before.document, version.document, {
        before: walk(before.document, openKitchen(today)),
        after: walk(version.document, openKitchen(today)),
      }).map(inWords),
    },
    tastings,
    cost: holds(section, "cost") ? costOn(document, kitchen) : null,
    display: person.display ?? USUAL_DISPLAY,
  };
}

const inWords = ({ where, before, after }: Change): string =>
  !before ? `${where}: new, ${after}` : !after ? `${where}: taken out` : `${where}: ${before} → ${after}`;

export type CardRead = Awaited<ReturnType<typeof readCard>>;

/** What the card itself says, drawn from what was read. */
export const cardFrom = ({ document, kitchen, intervals, times }: CardRead) =>
  cardOf(document, openKitchen(kitchen), intervals, undefined, times);

const readGrams = readMass("A batch size", "kg");
function columnsAsked(
  text: string | null,
  vessels: Parameters<typeof readColumns>[1],
): ReturnType<typeof readColumns> | null {
  if (text === null) return null;
  return text.trim()
    ? readColumns(text, vessels, words => {
        const read = readGrams(words);
        return read.ok ? read.value : null;
      })
    : ok([]);
}

/** How ready a version is to be the standard; `null` where none of its batches was measured. */
export async function readyOf(kitchenId: string, versionId: string) {
  const found = readiness(attributesOf(await recordsOf(database().db, kitchenId, versionId)));
  return found.ok ? found.value : null;
}

/** What one batch costs, with what nobody has priced; `null` where it cannot be walked. */
function costOn(document: FormulaDocument, kitchen: KitchenData) {
  const walked = walk(document, openKitchen(kitchen));
  if (walked.problems.length) return null;
  const { currency, foodCost, perKg, perPortion, unpriced } = costOf(document, walked, kitchen.house);
  return { currency, foodCost, perKg, perPortion, unpriced };
}
