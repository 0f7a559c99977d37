import { eq } from "drizzle-orm";
import { afterAll, beforeAll, expect, test } from "vitest";
import { ulid } from "ulid";
import { openKitchen, walk } from "../core/formula";
import { KITCHEN_ID } from "../demo/kitchen";
import { loadDemo } from "../demo/load";
import { type Connection, addBodyReading, findStoredIngredient, undoBodyReading } from ".";
import { openFresh } from "./testing/fresh";
import { loadKitchen } from "./testing/kitchen";
import { bodyReading, ingredient } from "./schema";

const NOW = new Date("2026-11-23T08:00:00.000Z");
const ID = "smoked-trout-veloute";
const change = { kitchenId: KITCHEN_ID, personId: "noor", now: NOW };
let connection: Connection;

beforeAll(async () => {
  connection = await openFresh();
  await loadDemo(connection.db, NOW);
});
afterAll(() => connection.close());

const kitchenNow = async () => {
  const kitchen = await loadKitchen(connection.db, KITCHEN_ID);
  if (!kitchen) throw new Error("The demo kitchen is gone.");
  return kitchen;
};
const bodyNow = async () => {
  const kitchen = await kitchenNow();
  const document = kitchen.formulas[ID];
  if (!document) throw new Error("The demo velouté is gone.");
  return walk(document, openKitchen(kitchen)).states.at(-1)?.body;
};

test("three readings put a kitchen's veloutés right; one taken back, they count no more, and stay in the table", async () => {
  const before = await bodyNow();
  const forecast = before?.forecast ?? 0;
  const family = (await kitchenNow()).formulas[ID]?.family ?? "";
  const ids = [ulid(), ulid(), ulid()];
  const keep = (id: string, off: number) =>
    addBodyReading(connection.db, change, ID, {
      id,
      family,
      formulaName: "Smoked-trout velouté",
      forecast,
      test: "line",
      reading: 6,
      temperatureC: 60,
      measured: forecast + off,
    });
  await keep(ids[0] ?? "", 7);
  await keep(ids[1] ?? "", 8);
  expect((await bodyNow())?.learnedFrom).toBeUndefined();
  await keep(ids[2] ?? "", 9);
  // The same reading sent twice is one reading.
  await keep(ids[2] ?? "", 9);
  const after = await bodyNow();
  expect(after?.learnedFrom).toBe(3);
  expect(after?.forecast).toBeCloseTo(forecast, 9);
  expect(after?.thickness ?? 0).toBeGreaterThan(forecast + 4);
  expect((await kitchenNow()).bodyReadings?.map(r => r.by)).toEqual([
    "Noor Adeyi",
    "Noor Adeyi",
    "Noor Adeyi",
  ]);

  await undoBodyReading(connection.db, change, ids[1] ?? "");
  expect((await bodyNow())?.thickness).toBeCloseTo(before?.thickness ?? -1, 9);
  expect(await connection.db.select().from(bodyReading)).toHaveLength(3);
});

test("an ingredient stored before starch was told apart takes its nature from the reference larder", async () => {
  const [row] = await connection.db.select().from(ingredient).where(eq(ingredient.id, "wheat-flour"));
  if (!row) throw new Error("no flour");
  const { carries, ...bare } = row.document;
  expect(carries).toEqual({ thickener: "flour" });
  await connection.db.update(ingredient).set({ document: bare }).where(eq(ingredient.id, "wheat-flour"));
  const read = await findStoredIngredient(connection.db, KITCHEN_ID, "wheat-flour");
  expect(read?.ingredient.carries).toEqual({ thickener: "flour" });
});
