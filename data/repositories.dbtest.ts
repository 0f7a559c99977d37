import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { ulid } from "ulid";
import { atSize, basisOf, openKitchen } from "../core/formula";
import { g } from "../core/ground/quantity";
import { type RunEvent, type RunPayload, batchRecord, fold } from "../core/run";
import { STOCK_ID } from "../demo/formulas";
import { DEMO_KITCHEN, KITCHEN_ID } from "../demo/kitchen";
import { loadDemo } from "../demo/load";
import { databaseCode } from "./database-errors";
import {
  type Connection,
  addBurner,
  appendEvents,
  batchesOf,
  feltLately,
  findBatch,
  eventsOf,
  findFormula,
  findRun,
  findStoredIngredient,
  findStoredVessel,
  figuresOf,
  seasonedBatches,
  findVersion,
  importIngredients,
  listCooked,
  listPeople,
  liveRuns,
  markOf,
  migrateDatabase,
  moveBurner,
  openDatabase,
  priceHistory,
  saveAppliance,
  saveFact,
  saveFormula,
  saveIngredient,
  saveKitchenFigures,
  savePrice,
  saveVessel,
  startRun,
} from ".";
import { freshDatabase } from "./testing/fresh";
import { loadKitchen } from "./testing/kitchen";
import { audit, person, runEvent } from "./schema";

const NOW = new Date("2026-11-23T08:00:00.123Z");
let url: string;
let connection: Connection;

beforeAll(async () => {
  url = await freshDatabase();
  connection = openDatabase(url);
  await loadDemo(connection.db, NOW);
});
afterAll(() => connection.close());

const stock = async () => {
  const found = await findFormula(connection.db, KITCHEN_ID, STOCK_ID);
  if (!found) throw new Error("The demo stock was not loaded.");
  return found;
};
const save = async (massG: number, rowVersion: number, personId = "noor") =>
  saveFormula(connection.db, {
    kitchenId: KITCHEN_ID,
    id: STOCK_ID,
    rowVersion,
    document: atSize((await stock()).document, g(massG)),
    personId,
    now: NOW,
  });
const event = (payload: RunPayload, over: Partial<RunEvent> = {}): RunEvent => ({
  id: ulid(),
  at: NOW.toISOString(),
  clockOffsetMs: 0,
  personId: "noor",
  payload,
  ...over,
});

describe("the database", () => {
  test("tables are brought up to date any number of times, at once or in turn", async () => {
    await Promise.all([1, 2, 3].map(() => migrateDatabase(url)));
    await expect(connection.ping()).resolves.toBeUndefined();
  });
  test("the demo is loaded once; a second loading changes nothing", async () => {
    const before = await stock();
    expect(await loadDemo(connection.db, new Date())).toBe(false);
    expect(await stock()).toEqual(before);
  });
  test("the kitchen comes back as it went in", async () => {
    const kitchen = await loadKitchen(connection.db, KITCHEN_ID);
    expect(kitchen?.vessels).toEqual(DEMO_KITCHEN.vessels);
    expect(kitchen?.burners).toEqual(DEMO_KITCHEN.burners);
    expect(kitchen?.formulas).toEqual(DEMO_KITCHEN.formulas);
    expect(kitchen?.ingredients).toHaveLength(DEMO_KITCHEN.ingredients.length);
    expect(kitchen?.demo).toBe(true);
    expect(await loadKitchen(connection.db, "nowhere")).toBeNull();
    expect((await listPeople(connection.db, KITCHEN_ID)).map(p => p.name)).toEqual([
      "Ilse Varga",
      "Tomas Reyhl",
      "Noor Adeyi",
      "Petr Lind",
      "Sana Okoye",
    ]);
  });
  test("names that differ by an umlaut stay apart; instants keep their milliseconds", async () => {
    await connection.db.insert(person).values([
      { id: "a1", kitchenId: KITCHEN_ID, name: "Ute", role: "x", position: 8 },
      { id: "ä1", kitchenId: KITCHEN_ID, name: "Üte", role: "x", position: 9 },
    ]);
    expect((await stock()).editedAt.getTime()).toBe(NOW.getTime());
  });
});

describe("saving a formula", () => {
  test("an edit names the version it started from; the next one starts from the new", async () => {
    const before = await stock();
    const saved = await save(7000, before.rowVersion);
    expect(saved).toMatchObject({
      ok: true,
      saved: { rowVersion: before.rowVersion + 1, number: before.number, editedBy: "Noor Adeyi" },
    });
  });
  test("of two edits that start alike the second loses nothing and overwrites nothing", async () => {
    const before = await stock();
    const outcomes = await Promise.all([
      save(7100, before.rowVersion, "noor"),
      save(7200, before.rowVersion, "petr"),
    ]);
    expect(outcomes.map(o => o?.ok).sort()).toEqual([false, true]);
    const lost = outcomes.find(o => o && !o.ok);
    const won = outcomes.find(o => o?.ok);
    expect(lost && !lost.ok && lost.current.document.base.massG).toBe(
      won?.ok && won.saved.document.base.massG,
    );
  });
  test("who saved is kept", async () => {
    const rows = await connection.db.select().from(audit);
    expect(rows.filter(r => r.what === "formula.saved").map(r => r.personId)).toContain("noor");
  });
  test("a formula that is gone saves nowhere", async () => {
    expect(
      await saveFormula(connection.db, {
        kitchenId: KITCHEN_ID,
        id: "gone",
        rowVersion: 1,
        document: (await stock()).document,
        personId: "noor",
        now: NOW,
      }),
    ).toBeNull();
  });
});

describe("runs", () => {
  const begin = async () => {
    const { versionId, document } = await stock();
    const runId = await startRun(connection.db, {
      kitchenId: KITCHEN_ID,
      formulaId: STOCK_ID,
      formulaVersionId: versionId,
      baseG: document.base.massG,
      burnerId: "plate-hot",
      personId: "tomas",
      now: NOW,
      basis: basisOf(document, DEMO_KITCHEN),
    });
    return { runId, versionId, document };
  };

  test("cooking freezes the version; the next edit becomes a new one and the old stays", async () => {
    const { versionId, document } = await begin();
    const frozen = await stock();
    expect(frozen.frozen).toBe(true);
    const saved = await save(9100, frozen.rowVersion);
    expect(saved).toMatchObject({ ok: true, saved: { number: frozen.number + 1, frozen: false } });
    expect((await findVersion(connection.db, KITCHEN_ID, versionId))?.document).toEqual(document);
    const { cards, of } = await listCooked(connection.db, KITCHEN_ID);
    expect(cards.map(c => c.versionId)).toContain(versionId);
    expect(of).toBe(cards.length);
    expect(
      (
        await listCooked(connection.db, KITCHEN_ID, {
          search: {
            words: [{ word: "nosuchcard", families: [], ingredients: [], formulas: [] }],
            family: null,
            without: { ingredients: [], formulas: [] },
          },
        })
      ).cards,
    ).toEqual([]);
    expect((await listCooked(connection.db, KITCHEN_ID, { from: of })).cards).toEqual([]);
  });

  test("a queue sent twice changes nothing; another content under the same id is refused whole", async () => {
    const { runId } = await begin();
    const events = [
      event({ kind: "step-begun", stepId: "s1" }),
      event({ kind: "weighed", stepId: "s1", netG: 8123.5 }),
    ];
    const send = (list: readonly RunEvent[]) =>
      appendEvents(connection.db, { kitchenId: KITCHEN_ID, runId, events: list, now: NOW });
    expect(await send(events)).toEqual({ ok: true });
    expect(await send(events)).toEqual({ ok: true });
    expect(await send(events.map(e => ({ ...e, clockOffsetMs: 40 })))).toEqual({ ok: true });
    expect((await eventsOf(connection.db, [runId]))[runId]).toHaveLength(3);
    const [, weighed] = events;
    const forged = { ...event({ kind: "finished" }), id: weighed?.id ?? "" };
    expect(await send([event({ kind: "noted", stepId: "s1", text: "new" }), forged])).toEqual({
      ok: false,
      conflicting: weighed?.id,
    });
    expect((await eventsOf(connection.db, [runId]))[runId]).toHaveLength(3);
  });

  test("two deliveries that cross keep one of each", async () => {
    const { runId } = await begin();
    const events = Array.from({ length: 20 }, (_, i) =>
      event({ kind: "noted", stepId: "s1", text: `note ${i}` }),
    );
    await Promise.all(
      [1, 2, 3].map(() => appendEvents(connection.db, { kitchenId: KITCHEN_ID, runId, events, now: NOW })),
    );
    expect((await eventsOf(connection.db, [runId]))[runId]).toHaveLength(21);
  });

  test("many small deliveries at once lose nothing and fail nothing", async () => {
    const { runId } = await begin();
    const all = Array.from({ length: 30 }, (_, i) => event({ kind: "noted", stepId: "s1", text: `n ${i}` }));
    const deliveries = Array.from({ length: 12 }, (_, i) => all.slice(0, 10 + i));
    const outcomes = await Promise.all(
      [...deliveries, all].map(events =>
        appendEvents(connection.db, { kitchenId: KITCHEN_ID, runId, events, now: NOW }),
      ),
    );
    expect(outcomes.every(o => o.ok)).toBe(true);
    expect((await eventsOf(connection.db, [runId]))[runId]).toHaveLength(31);
  });

  test("a finished run leaves the range and keeps its batch; undoing the finish brings it back", async () => {
    const { runId, versionId, document } = await begin();
    const log = (logged: RunEvent) =>
      appendEvents(connection.db, {
        kitchenId: KITCHEN_ID,
        runId,
        events: [logged],
        now: NOW,
        endOf: events => {
          const state = fold(events, document, openKitchen(DEMO_KITCHEN));
          return {
            finishedAt: state.finishedAt === null ? null : new Date(state.finishedAt),
            abandoned: state.abandoned !== null,
            record: batchRecord(state),
          };
        },
      });
    expect(await feltLately(connection.db, KITCHEN_ID)).toEqual([]);
    await log(event({ kind: "felt", stepId: "s1", touch: "springy", temperatureC: 51.5 }));
    const finished = event({ kind: "finished" });
    await log(finished);
    expect((await liveRuns(connection.db, KITCHEN_ID)).map(r => r.id)).not.toContain(runId);
    const [batch] = await batchesOf(connection.db, versionId);
    expect(batch).toMatchObject({ runId, actualMl: null });
    expect(batch?.plannedMl).toBeGreaterThan(1000);
    const booked = await findBatch(connection.db, KITCHEN_ID, runId);
    expect(booked?.record.yieldMl.planned).toBe(batch?.plannedMl);
    expect(booked?.formulaVersionId).toBe(versionId);
    expect(await feltLately(connection.db, KITCHEN_ID)).toEqual([{ touch: "springy", temperatureC: 51.5 }]);
    expect((await seasonedBatches(connection.db, KITCHEN_ID, STOCK_ID))[0]).toMatchObject({
      baseG: booked?.baseG,
    });
    await log(event({ kind: "undone", eventId: finished.id }));
    expect((await findRun(connection.db, KITCHEN_ID, runId))?.finishedAt).toBeNull();
    expect(await batchesOf(connection.db, versionId)).toEqual([]);
    // Given up it is at its end, and no batch.
    await log(event({ kind: "abandoned", reason: "the bones were off" }));
    expect((await findRun(connection.db, KITCHEN_ID, runId))?.finishedAt).not.toBeNull();
    expect(await batchesOf(connection.db, versionId)).toEqual([]);
  });

  test("readings of a kitchen are counted as they come in, also when several devices send at once", async () => {
    const [one, other] = [await begin(), await begin()];
    const note = () => event({ kind: "noted", stepId: "s1", text: "clear" });
    const send = (runId: string) =>
      appendEvents(connection.db, { kitchenId: KITCHEN_ID, runId, events: [note(), note()], now: NOW });
    await Promise.all([one, other, one, other].map(run => send(run.runId)));
    const rows = await connection.db.select({ seq: runEvent.seq }).from(runEvent);
    const seqs = rows.map(row => row.seq).sort((a, b) => a - b);
    expect(seqs).toEqual(seqs.map((_, i) => i + 1));
  });

  test("a reading from a newer Hondaro is kept and shown as such, and takes no page down", async () => {
    const { runId, document } = await begin();
    await connection.db.insert(runEvent).values({
      ...{ id: ulid(), runId, kitchenId: KITCHEN_ID, at: NOW, clockOffsetMs: 0, personId: "noor" },
      ...{ kind: "smelt", payload: { kind: "smelt", of: "the sea" }, payloadVersion: 2, receivedAt: NOW },
      seq: 1_000_000,
    });
    const events = (await eventsOf(connection.db, [runId]))[runId] ?? [];
    expect(events.map(e => e.payload)).toContainEqual({ kind: "unknown", of: "smelt" });
    const state = fold(events, document, openKitchen(DEMO_KITCHEN));
    expect(state.problems.map(p => p.message).join()).toContain("(smelt) came from a newer Hondaro");
  });

  test("a stranger’s reading is refused by the database too", async () => {
    const { runId } = await begin();
    const failed = await appendEvents(connection.db, {
      kitchenId: KITCHEN_ID,
      runId,
      events: [event({ kind: "finished" }, { personId: "nobody" })],
      now: NOW,
    }).catch(databaseCode);
    expect(failed).toBe("ER_NO_REFERENCED_ROW_2");
  });
});

describe("larder and kit", () => {
  const change = { kitchenId: KITCHEN_ID, personId: "ilse", now: NOW };
  test("an ingredient is saved once per version; the loser is told", async () => {
    const stored = await findStoredIngredient(connection.db, KITCHEN_ID, "shallot");
    if (!stored) throw new Error("The demo has no shallot.");
    const leaner = { ...stored.ingredient, ediblePct: 78 };
    expect(await saveIngredient(connection.db, change, leaner, stored.rowVersion)).toBe("saved");
    expect(await saveIngredient(connection.db, change, leaner, stored.rowVersion)).toBe("stale");
    expect(await saveIngredient(connection.db, change, leaner, 0)).toBe("stale");
    const again = await findStoredIngredient(connection.db, KITCHEN_ID, "shallot");
    expect(again).toMatchObject({ rowVersion: stored.rowVersion + 1, ingredient: { ediblePct: 78 } });
  });
  test("prices have a history; the latest day counts, a day has one price", async () => {
    const before = await priceHistory(connection.db, KITCHEN_ID, "butter");
    expect(before.length).toBeGreaterThan(1);
    const source = { mark: "measured" as const, text: "as invoiced" };
    for (const perKg of [9.9, 10.1])
      await savePrice(connection.db, change, "butter", {
        since: "2026-11-23",
        perKg,
        currency: "EUR",
        source,
      });
    const [latest] = await priceHistory(connection.db, KITCHEN_ID, "butter");
    expect(latest).toMatchObject({ since: "2026-11-23", perKg: 10.1 });
    const kitchen = await loadKitchen(connection.db, KITCHEN_ID);
    expect(kitchen?.ingredients.find(i => i.id === "butter")?.price?.perKg).toBe(10.1);
  });
  test("an import is whole or nothing", async () => {
    const larder = (await loadKitchen(connection.db, KITCHEN_ID))?.ingredients ?? [];
    const [first] = larder;
    if (!first) throw new Error("The larder is empty.");
    const good = { ...first, id: "birch-syrup", name: "birch syrup" };
    const tooLong = { ...first, id: "x".repeat(60), name: "too long an id" };
    await expect(importIngredients(connection.db, change, [good, tooLong])).rejects.toThrow();
    expect(await findStoredIngredient(connection.db, KITCHEN_ID, "birch-syrup")).toBeNull();
    await importIngredients(connection.db, change, [good]);
    expect((await findStoredIngredient(connection.db, KITCHEN_ID, "birch-syrup"))?.ingredient.name).toBe(
      "birch syrup",
    );
  });
  test("burners move, vessels keep their versions, tools and air are kept", async () => {
    const to = { xMm: 2100, yMm: 470 };
    expect(await moveBurner(connection.db, change, "open-4", to)).toEqual({ kept: true });
    expect(await moveBurner(connection.db, change, "nowhere", { xMm: 0, yMm: 0 })).toBeNull();
    // Who moves it from where it no longer stands is shown where it stands.
    const stale = markOf({ xMm: 1, yMm: 1 });
    expect(await moveBurner(connection.db, change, "open-4", { xMm: 0, yMm: 0 }, stale)).toEqual({
      kept: false,
      theirs: to,
    });
    const stored = await findStoredVessel(connection.db, KITCHEN_ID, "low-36");
    if (!stored) throw new Error("The demo has no low pot.");
    const heavier = { ...stored.vessel, tareG: 4700 };
    expect(await saveVessel(connection.db, change, heavier, stored.rowVersion)).toBe("saved");
    expect(await saveVessel(connection.db, change, heavier, stored.rowVersion)).toBe("stale");
    expect(await saveVessel(connection.db, change, heavier, 0)).toBe("stale");
    const ladle = { id: "ladle-250", name: "Big ladle", kind: "measure" as const, holdsMl: 250 };
    await saveAppliance(connection.db, change, ladle, markOf(null));
    await saveAppliance(connection.db, change, { ...ladle, holdsMl: 240 }, markOf(ladle));
    await addBurner(connection.db, change, {
      id: "plate",
      name: "Plate",
      kind: "induction-pro",
      xMm: 3000,
      yMm: 30,
      widthMm: 400,
      depthMm: 400,
    });
    const figures = { altitudeM: 1180, pressurePa: 88_000, ambientC: 27, humidity: 0.4 };
    const shown = await loadKitchen(connection.db, KITCHEN_ID);
    if (!shown) throw new Error("The demo kitchen is gone.");
    await saveKitchenFigures(connection.db, change, figures, markOf(figuresOf(shown)));
    const kitchen = await loadKitchen(connection.db, KITCHEN_ID);
    expect(kitchen).toMatchObject(figures);
    expect(kitchen?.burners.find(b => b.id === "open-4")).toMatchObject({ xMm: 2100 });
    expect(kitchen?.burners.at(-1)?.id).toBe("plate");
    expect(kitchen?.vessels.find(v => v.id === "low-36")?.tareG).toBe(4700);
    expect(kitchen?.appliances.filter(a => a.id === "ladle-250")).toMatchObject([{ holdsMl: 240 }]);
  });
  test("a kitchen's own figures are kept one by one, and given up again", async () => {
    const { db } = connection;
    const before = (await loadKitchen(db, KITCHEN_ID))?.facts;
    await Promise.all([
      saveFact(db, change, "starchPower", 3.3, markOf(before?.starchPower)),
      saveFact(db, change, "rawEggDays", 0, markOf(before?.rawEggDays)),
      saveFact(db, change, "gelatinInWater", 0.31, markOf(before?.gelatinInWater)),
    ]);
    expect((await loadKitchen(db, KITCHEN_ID))?.facts).toEqual({
      ...before,
      starchPower: 3.3,
      rawEggDays: 0,
      gelatinInWater: 0.31,
    });
    for (const id of ["starchPower", "rawEggDays", "gelatinInWater"] as const)
      await saveFact(db, change, id, null, markOf((await loadKitchen(db, KITCHEN_ID))?.facts[id]));
    expect((await loadKitchen(db, KITCHEN_ID))?.facts).toEqual(before);
    const trail = (await db.select().from(audit)).filter(
      a => a.what === "fact" && a.subject === "rawEggDays",
    );
    expect(trail.map(a => a.detail)).toEqual(
      expect.arrayContaining([
        { before: null, after: 0 },
        { before: 0, after: null },
      ]),
    );
  });
});
