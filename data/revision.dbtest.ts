import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { ulid } from "ulid";
import { DEMO_KITCHEN, KITCHEN_ID } from "../demo/kitchen";
import { loadDemo } from "../demo/load";
import {
  type Connection,
  addBodyReading,
  addBurner,
  figuresOf,
  findFormula,
  findStoredIngredient,
  findStoredVessel,
  importIngredients,
  insertFormula,
  markOf,
  moveBurner,
  firstKitchen,
  priceHistory,
  readSnapshot,
  saveAppliance,
  saveDisplay,
  saveFact,
  saveFormula,
  saveHouse,
  saveIngredient,
  saveKitchenFigures,
  savePrice,
  saveVessel,
} from ".";
import { openFresh } from "./testing/fresh";

const NOW = new Date("2026-11-23T08:00:00.000Z");
const change = { kitchenId: KITCHEN_ID, personId: "noor", now: NOW };
let connection: Connection;
beforeAll(async () => {
  connection = await openFresh();
  await loadDemo(connection.db, NOW);
});
afterAll(() => connection.close());

const head = async () => {
  const found = await firstKitchen(connection.db);
  if (!found) throw new Error("no kitchen");
  return found;
};
const snapshot = async () => {
  const found = await readSnapshot(connection.db, KITCHEN_ID);
  if (!found) throw new Error("no kitchen");
  return found;
};
const butter = async () => {
  const found = await findStoredIngredient(connection.db, KITCHEN_ID, "butter");
  if (!found) throw new Error("no butter");
  return found;
};
const price = {
  since: "2026-11-29",
  perKg: 9,
  currency: "EUR",
  source: { mark: "measured" as const, text: "as invoiced" },
};

/** Every way there is to change what a snapshot holds. */
const CHANGES: Record<string, () => Promise<unknown>> = {
  "an ingredient": async () => {
    const { ingredient, rowVersion } = await butter();
    return saveIngredient(connection.db, change, { ...ingredient, aliases: ["beurre"] }, rowVersion);
  },
  "a price": async () =>
    savePrice(
      connection.db,
      change,
      "butter",
      price,
      markOf(await priceHistory(connection.db, KITCHEN_ID, "butter")),
    ),
  "an import": async () =>
    importIngredients(connection.db, change, [{ ...(await butter()).ingredient, id: "butter-2" }]),
  "a vessel": async () => {
    const stored = await findStoredVessel(connection.db, KITCHEN_ID, "low-36");
    if (!stored) throw new Error("no pot");
    return saveVessel(connection.db, change, { ...stored.vessel, tareG: 4800 }, stored.rowVersion);
  },
  "a new burner": () =>
    addBurner(connection.db, change, {
      id: "x",
      name: "X",
      kind: "gas-pro",
      xMm: 4000,
      yMm: 30,
      widthMm: 400,
      depthMm: 400,
    }),
  "a burner moved": () => moveBurner(connection.db, change, "x", { xMm: 4100, yMm: 30 }),
  "a tool": () =>
    saveAppliance(connection.db, change, { id: "l", name: "L", kind: "measure", holdsMl: 90 }, markOf(null)),
  "a fact": async () =>
    saveFact(connection.db, change, "starchPower", 3.1, markOf((await snapshot()).facts.starchPower)),
  "the air": async () => {
    const before = figuresOf(await snapshot());
    return saveKitchenFigures(connection.db, change, { ...before, ambientC: 29 }, markOf(before));
  },
  "the house’s words": async () => {
    const { house } = await snapshot();
    return saveHouse(connection.db, change, { ...house, flamePerH: 2 }, markOf(house));
  },
  "a reading of body": () =>
    addBodyReading(connection.db, change, "smoked-trout-veloute", {
      id: ulid(),
      family: "veloute",
      formulaName: "Smoked-trout velouté",
      forecast: 40,
      test: "line",
      reading: 6,
      temperatureC: 60,
      measured: 44,
    }),
  "how a cook wants amounts": () =>
    saveDisplay(connection.db, KITCHEN_ID, "petr", { units: "us", roundG: 10 }),
};

describe("a kitchen’s revision", () => {
  test.each(Object.keys(CHANGES))("is raised by %s, and the snapshot carries it", async what => {
    const before = await head();
    await CHANGES[what]?.();
    const after = await head();
    expect(after.revision).toBe(before.revision + 1);
    expect(after.namesRevision).toBe(before.namesRevision);
    expect((await snapshot()).revision).toBe(after.revision);
  });
  test("stays where nothing was changed: a stale form, a burner that is not there", async () => {
    const before = await head();
    await saveHouse(connection.db, change, DEMO_KITCHEN.house, "stale");
    await moveBurner(connection.db, change, "no-such", { xMm: 0, yMm: 0 });
    await saveIngredient(connection.db, change, (await butter()).ingredient, 999);
    expect(await head()).toEqual(before);
  });
  test("changes at once follow one another: each raises it, none is lost", async () => {
    const before = await head();
    await Promise.all([
      moveBurner(connection.db, change, "open-3", { xMm: 2100, yMm: 30 }),
      savePrice(connection.db, change, "cream", price),
      savePrice(connection.db, change, "salt", price),
      saveDisplay(connection.db, KITCHEN_ID, "noor", { units: "metric", roundG: 5 }),
    ]);
    expect((await head()).revision).toBe(before.revision + 4);
  });
  test("names: raised by a new formula and by another name, not by what stands in it", async () => {
    const before = await head();
    const stored = await findFormula(connection.db, KITCHEN_ID, "buckwheat-brown-gravy");
    if (!stored) throw new Error("no gravy");
    const save = (rowVersion: number, document: typeof stored.document) =>
      saveFormula(connection.db, { ...change, id: stored.id, rowVersion, document });
    await save(stored.rowVersion, { ...stored.document, notes: "thinner" });
    expect(await head()).toEqual(before);
    await save(stored.rowVersion + 1, { ...stored.document, name: "Gravy of the pass" });
    await insertFormula(connection.db, { ...change, document: stored.document });
    expect((await head()).namesRevision).toBe(before.namesRevision + 2);
  });
});
