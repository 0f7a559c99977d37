import { count } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { type KitchenData, atSize, basisOf, openKitchen, walk } from "../core/formula";
import { g } from "../core/ground/quantity";
import { KITCHEN_ID } from "../demo/kitchen";
import { loadDemo } from "../demo/load";
import {
  type Connection,
  findFormula,
  findRun,
  findStoredIngredient,
  findVersion,
  listFormulas,
  markOf,
  priceHistory,
  readBasis,
  readSnapshot,
  saveFact,
  saveFormula,
  saveIngredient,
  savePrice,
  startRun,
} from ".";
import { frozenPart } from "./schema";
import { openFresh } from "./testing/fresh";
import { loadKitchen } from "./testing/kitchen";

const NOW = new Date("2026-11-23T08:00:00.000Z");
const change = { kitchenId: KITCHEN_ID, personId: "noor", now: NOW };
let connection: Connection;
let kitchen: KitchenData;
/** A formula that draws on another, so that all four kinds of change can reach it. */
let id: string;
let drawnOn: string;

beforeAll(async () => {
  connection = await openFresh();
  await loadDemo(connection.db, NOW);
  const whole = await loadKitchen(connection.db, KITCHEN_ID);
  if (!whole) throw new Error("The demo kitchen is gone.");
  kitchen = whole;
  const found = Object.entries(whole.formulas)
    .map(([key, document]) => [key, Object.keys(basisOf(document, whole).formulas)[0]] as const)
    .find(([, other]) => other);
  if (!found?.[1]) throw new Error("No demo formula draws on another.");
  [id, drawnOn] = [found[0], found[1]];
});
afterAll(() => connection.close());

const stored = async (of: string) => {
  const found = await findFormula(connection.db, KITCHEN_ID, of);
  if (!found) throw new Error(`The demo has no ${of}.`);
  return found;
};
const putOn = async () => {
  const { versionId, document } = await stored(id);
  return startRun(connection.db, {
    ...change,
    formulaId: id,
    formulaVersionId: versionId,
    baseG: document.base.massG,
    burnerId: kitchen.defaultBurnerId,
    basis: basisOf(document, kitchen),
  });
};
const parts = async () => (await connection.db.select({ n: count() }).from(frozenPart))[0]?.n ?? 0;

describe("a card and a batch say what they said when they were kept", () => {
  test("after a price, a composition, a fact and a formula drawn on have changed: the same to the digit", async () => {
    const { db } = connection;
    const { document, versionId } = await stored(id);
    const before = walk(document, openKitchen(kitchen));
    const runId = await putOn();

    const ingredientId = basisOf(document, kitchen).ingredients.find(i => i.id !== "water")?.id ?? "";
    const jar = await findStoredIngredient(db, KITCHEN_ID, ingredientId);
    if (!jar) throw new Error(`The larder has no ${ingredientId}.`);
    const { composition } = jar.ingredient;
    await saveIngredient(
      db,
      change,
      {
        ...jar.ingredient,
        composition: { ...composition, water: composition.water - 1, other: composition.other + 1 },
      },
      jar.rowVersion,
    );
    const price = {
      since: "2026-11-30",
      perKg: 77,
      currency: "EUR",
      source: { mark: "E" as const, text: "x" },
    };
    await savePrice(
      db,
      change,
      ingredientId,
      price,
      markOf(await priceHistory(db, KITCHEN_ID, ingredientId)),
    );
    const facts = (await readSnapshot(db, KITCHEN_ID))?.facts;
    await saveFact(db, change, "airSpeed", 0.9, markOf(facts?.airSpeed));
    const other = await stored(drawnOn);
    await saveFormula(db, {
      ...change,
      id: drawnOn,
      rowVersion: other.rowVersion,
      document: atSize(other.document, g(other.document.base.massG * 2)),
    });

    const today = await loadKitchen(db, KITCHEN_ID);
    if (!today) throw new Error("The kitchen is gone.");
    expect(walk(document, openKitchen(today))).not.toEqual(before);
    const run = await findRun(db, KITCHEN_ID, runId);
    const version = await findVersion(db, KITCHEN_ID, versionId);
    expect(version?.basisHash).toBe(run?.basisHash);
    const kept = await readBasis(db, run?.basisHash ?? "");
    // As JSON: what a walk leaves undefined is not kept, and is nothing.
    expect(JSON.parse(JSON.stringify(walk(document, openKitchen(kept))))).toEqual(
      JSON.parse(JSON.stringify(before)),
    );
  });
  test("what many share is kept once: the same again adds nothing, one price adds one", async () => {
    await putOn();
    const before = await parts();
    await putOn();
    expect(await parts()).toBe(before);
    const used = basisOf((await stored(id)).document, kitchen).ingredients[0]?.id;
    kitchen = {
      ...kitchen,
      ingredients: kitchen.ingredients.map(i => (i.id === used ? { ...i, aliases: [...i.aliases, "x"] } : i)),
    };
    await putOn();
    expect(await parts()).toBe(before + 1);
  });
  test("a version that was kept before anybody cooked it has its basis too", async () => {
    const { formulas } = await listFormulas(connection.db, KITCHEN_ID);
    const kept = await Promise.all(
      formulas.filter(f => f.parentId).map(f => findVersion(connection.db, KITCHEN_ID, f.parentId ?? "")),
    );
    expect(kept.length).toBeGreaterThan(0);
    for (const version of kept) expect(version?.basisHash, version?.document.name).toMatch(/^[\w-]{43}$/);
  });
});
