import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { DEMO_KITCHEN, KITCHEN_ID } from "../demo/kitchen";
import { loadDemo } from "../demo/load";
import {
  type Connection,
  addBodyReading,
  addTrial,
  addYieldReading,
  decideTrial,
  findStoredIngredient,
  findTrial,
  listTrials,
  markLearned,
  readSnapshot,
  undoYieldReading,
  yieldReadings,
} from ".";
import { openFresh } from "./testing/fresh";

let connection: Connection;
beforeAll(async () => {
  connection = await openFresh();
  await loadDemo(connection.db, new Date());
});
afterAll(() => connection.close());

const change = (at = new Date()) => ({ kitchenId: KITCHEN_ID, personId: "ilse", now: at });
const snapshot = async () => {
  const found = await readSnapshot(connection.db, KITCHEN_ID);
  if (!found) throw new Error("no kitchen");
  return found;
};

describe("what a chef says of a learned value", () => {
  test("taken, the kitchen counts with it under a new revision; reset, it is gone", async () => {
    const before = await snapshot();
    const of = { group: "time" as const, key: "nettle-soup" };
    await markLearned(connection.db, change(), { ...of, kind: "accepted", value: 1.12 });
    const taken = await snapshot();
    expect(taken.habits).toEqual({ "nettle-soup": { time: 1.12 } });
    expect(taken.revision).toBeGreaterThan(before.revision);
    await markLearned(connection.db, change(new Date(Date.now() + 10)), {
      ...of,
      kind: "reset",
      value: null,
    });
    expect((await snapshot()).habits).toEqual({});
  });
  test("figures of the sums are moved with the mark and given back, the others stay", async () => {
    const own = (await snapshot()).facts;
    const of = { group: "oven" as const, key: "" };
    const moved = (value: number | null) => ({ facts: [{ id: "ovenOff" as const, value }] });
    await markLearned(connection.db, change(), { ...of, kind: "accepted", value: -7 }, moved(-7));
    expect((await snapshot()).facts).toEqual({ ...own, ovenOff: -7 });
    await markLearned(connection.db, change(), { ...of, kind: "reset", value: null }, moved(null));
    expect((await snapshot()).facts).toEqual(own);
  });
  test("an ingredient somebody changed since is left alone, and nothing is marked", async () => {
    const leek = DEMO_KITCHEN.ingredients.find(i => i.id === "leek");
    const stored = await findStoredIngredient(connection.db, KITCHEN_ID, "leek");
    if (!leek || !stored) throw new Error("no leek");
    const take = (rowVersion: number) =>
      markLearned(
        connection.db,
        change(),
        { group: "trim", key: "leek", kind: "accepted", value: 43 },
        { ingredient: { of: { ...leek, ediblePct: 43 }, rowVersion } },
      );
    expect(await take(stored.rowVersion + 5)).toBe(false);
    expect((await findStoredIngredient(connection.db, KITCHEN_ID, "leek"))?.ingredient.ediblePct).toBe(
      stored.ingredient.ediblePct,
    );
    expect(await take(stored.rowVersion)).toBe(true);
    expect((await findStoredIngredient(connection.db, KITCHEN_ID, "leek"))?.ingredient.ediblePct).toBe(43);
  });
  test("readings of body from before a reset no longer count in any sum", async () => {
    const at = new Date(Date.now() - 60_000);
    const reading = { id: "b1", family: "jus", formulaName: "a jus", forecast: 40, test: "coat" as const };
    await addBodyReading(connection.db, change(at), "some-jus", {
      ...reading,
      reading: 45,
      temperatureC: 60,
      measured: 45,
    });
    const own = async () => (await snapshot()).bodyReadings?.filter(r => r.id === "b1");
    expect(await own()).toHaveLength(1);
    await markLearned(connection.db, change(), { group: "body", key: "jus", kind: "reset", value: null });
    expect(await own()).toHaveLength(0);
  });
});

describe("weighings", () => {
  test("sent twice is weighed once; taken back it no longer counts", async () => {
    const one = { id: "y1", ingredientId: "leek", what: "trimmed" as const, from: 5000, gotG: 2100 };
    for (let i = 0; i < 2; i++) await addYieldReading(connection.db, change(), one);
    expect(await yieldReadings(connection.db, KITCHEN_ID, "leek")).toMatchObject([one]);
    expect(await yieldReadings(connection.db, "elsewhere", "leek")).toEqual([]);
    await undoYieldReading(connection.db, { ...change(), kitchenId: "elsewhere" }, "y1");
    expect(await yieldReadings(connection.db, KITCHEN_ID)).toHaveLength(1);
    await undoYieldReading(connection.db, change(), "y1");
    expect(await yieldReadings(connection.db, KITCHEN_ID)).toEqual([]);
  });
});

describe("a trial", () => {
  test("is kept with its versions in their order, and what was decided", async () => {
    const of = {
      id: "t1",
      formulaId: "nettle-soup",
      name: "Two soups",
      difference: "milk",
      versionIds: ["b", "a"],
    };
    for (let i = 0; i < 2; i++) await addTrial(connection.db, change(), of);
    expect(await listTrials(connection.db, KITCHEN_ID)).toMatchObject([
      { ...of, by: "Ilse Varga", decidedAt: null },
    ]);
    await decideTrial(connection.db, change(), "t1", { adopted: "a", decision: "rounder" });
    expect(await findTrial(connection.db, KITCHEN_ID, "t1")).toMatchObject({
      adopted: "a",
      decision: "rounder",
    });
    expect(await findTrial(connection.db, "elsewhere", "t1")).toBeNull();
  });
});
