import { count, eq } from "drizzle-orm";
import { ulid } from "ulid";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { atSize, basisOf } from "../core/formula";
import { g } from "../core/ground/quantity";
import { type RunEvent } from "../core/run";
import { STOCK_ID } from "../demo/formulas";
import { DEMO_KITCHEN, KITCHEN_ID } from "../demo/kitchen";
import { loadDemo } from "../demo/load";
import {
  type Connection,
  appendEvents,
  eventsOf,
  findFormula,
  findStoredVessel,
  insertFormula,
  listFormulas,
  liveRuns,
  markOf,
  priceHistory,
  saveFormula,
  savePrice,
  saveVessel,
  startRun,
  undoBodyReading,
} from ".";
import { openFresh } from "./testing/fresh";
import { audit, runEvent } from "./schema";

const NOW = new Date("2026-11-23T09:00:00.000Z");
const change = { kitchenId: KITCHEN_ID, personId: "noor", now: NOW };
let connection: Connection;

beforeAll(async () => {
  connection = await openFresh();
  await loadDemo(connection.db, NOW);
});
afterAll(() => connection.close());

const stock = async () => {
  const found = await findFormula(connection.db, KITCHEN_ID, STOCK_ID);
  if (!found) throw new Error("The demo stock was not loaded.");
  return found;
};
const onTheFire = async (id: string) => {
  const { versionId, document } = await stock();
  const run = {
    ...change,
    id,
    formulaId: STOCK_ID,
    formulaVersionId: versionId,
    baseG: 8000,
    burnerId: "open-1",
    basis: basisOf(document, DEMO_KITCHEN),
  };
  return startRun(connection.db, run);
};
const note = (text: string, over: Partial<RunEvent> = {}): RunEvent => ({
  id: ulid(),
  at: NOW.toISOString(),
  clockOffsetMs: 0,
  personId: "noor",
  payload: { kind: "noted", stepId: "s1", text },
  ...over,
});
const append = (runId: string, events: readonly RunEvent[]) =>
  appendEvents(connection.db, { kitchenId: KITCHEN_ID, runId, events, now: NOW });

describe("an answer that got lost doubles nothing", () => {
  test("the same pot put on twice, also at once, is one pot", async () => {
    const id = ulid();
    await Promise.all([onTheFire(id), onTheFire(id)]);
    await onTheFire(id);
    expect((await liveRuns(connection.db, KITCHEN_ID)).filter(run => run.id === id)).toHaveLength(1);
    expect((await eventsOf(connection.db, [id]))[id]).toHaveLength(1);
  });
  test("a new formula sent twice is made once", async () => {
    const { document } = await stock();
    const id = ulid();
    const named = { ...change, id, document: { ...document, name: "Sent twice" } };
    await insertFormula(connection.db, named);
    await insertFormula(connection.db, named);
    const all = await listFormulas(connection.db, KITCHEN_ID, { words: "sent twice" });
    expect(all).toMatchObject({ of: 1, formulas: [{ id, number: 1 }] });
  });
  test("a save that is there already is saved; another edit from the same ground is not", async () => {
    const before = await stock();
    const send = (massG: number) =>
      saveFormula(connection.db, {
        ...change,
        id: STOCK_ID,
        rowVersion: before.rowVersion,
        document: atSize(before.document, g(massG)),
      });
    expect((await send(6100))?.ok).toBe(true);
    expect(await send(6100)).toMatchObject({ ok: true, saved: { rowVersion: before.rowVersion + 1 } });
    expect((await send(6200))?.ok).toBe(false);
  });
  test("one reading twice in a batch is one; two of one id that differ are refused", async () => {
    const run = await onTheFire(ulid());
    const one = note("clear");
    expect(await append(run, [one, one])).toEqual({ ok: true });
    const other = note("cloudy");
    const outcome = await append(run, [other, { ...other, personId: "petr" }]);
    expect(outcome).toEqual({ ok: false, conflicting: other.id });
    expect((await eventsOf(connection.db, [run]))[run]?.map(e => e.payload.kind)).toEqual([
      "started",
      "noted",
    ]);
  });
});

test("a device clock that is years off delivers", async () => {
  const run = await onTheFire(ulid());
  const far = note("the clock was never set", {
    at: "1970-01-01T00:10:00.000Z",
    clockOffsetMs: NOW.getTime(),
  });
  expect(await append(run, [far])).toEqual({ ok: true });
  expect((await eventsOf(connection.db, [run]))[run]?.[0]?.clockOffsetMs).toBe(NOW.getTime());
});

test("a run takes thousands of readings, and says when it is full", async () => {
  const run = await onTheFire(ulid());
  for (let i = 0; i < 10; i++)
    await append(
      run,
      Array.from({ length: 499 }, (_, n) => note(`${i} ${n}`)),
    );
  expect(
    await append(
      run,
      Array.from({ length: 499 }, () => note("more")),
    ),
  ).toEqual({ ok: false, full: 5000 });
  expect(await append(run, [note("the last")])).toEqual({ ok: true });
  const [held] = await connection.db.select({ n: count() }).from(runEvent).where(eq(runEvent.runId, run));
  expect(held?.n).toBe(4992);
});

describe("two people at once", () => {
  test("the same new vessel twice is one, and the second hears of it", async () => {
    const low = await findStoredVessel(connection.db, KITCHEN_ID, "low-36");
    if (!low) throw new Error("The demo has no low pot.");
    const made = { ...low.vessel, id: "twin", name: "Twin" };
    const outcomes = await Promise.all([1, 2].map(() => saveVessel(connection.db, change, made, 0)));
    expect(outcomes.sort()).toEqual(["saved", "stale"]);
  });
  test("of two prices for one day the second sees the first", async () => {
    const seen = markOf(await priceHistory(connection.db, KITCHEN_ID, "butter"));
    const price = (perKg: number) => ({
      since: "2026-11-29",
      perKg,
      currency: "EUR",
      source: { mark: "measured" as const, text: "as invoiced" },
    });
    const outcomes = await Promise.all(
      [9.4, 9.8].map(perKg => savePrice(connection.db, change, "butter", price(perKg), seen)),
    );
    expect(outcomes.map(o => o.kept).sort()).toEqual([false, true]);
    const lost = outcomes.find(o => !o.kept);
    const [latest] = await priceHistory(connection.db, KITCHEN_ID, "butter");
    expect(lost && !lost.kept && lost.theirs[0]).toEqual(latest);
  });
});

test("taking back a reading that nobody knows leaves no trace", async () => {
  const traces = async () => (await connection.db.select({ n: count() }).from(audit))[0]?.n;
  const before = await traces();
  await undoBodyReading(connection.db, change, ulid());
  expect(await traces()).toBe(before);
});
