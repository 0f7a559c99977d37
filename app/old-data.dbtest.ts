import { readFileSync } from "node:fs";
import { gunzipSync } from "node:zlib";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { openKitchen, walk } from "~/core/formula";
import { KITCHEN_ID } from "~/demo/kitchen";
import { type Connection, database, findFormula } from "~/data";
import { loadKitchen } from "~/data/testing/kitchen";
import * as batch from "./batch/batch.server";
import * as bench from "./bench/bench.server";
import * as book from "./book/book.server";
import * as card from "./book/card.server";
import * as range from "./range/range.server";
import { foldLive, loadLiveRuns } from "./range/live-run.server";
import { answered, argsFor, get, openEarlier } from "./testing/asked.server";
import { sectionContext } from "./context.server";
import type { RouterContextProvider } from "react-router";

/**
 * A kitchen as the version before revisions, frozen records and sequences left it: the demo, a stock on the fire with
 * its readings, a mayonnaise finished, a plate read, a figure of its own.
 */
let connection: Connection;
beforeAll(async () => {
  connection = await openEarlier(
    gunzipSync(readFileSync("data/testing/before-revisions.sql.gz")).toString("utf8"),
  );
});
afterAll(() => connection.close());

describe("a kitchen of an earlier version", () => {
  test("has all it had: every formula walks, its own figure counts, its plate teaches", async () => {
    const kitchen = await loadKitchen(database().db, KITCHEN_ID);
    if (!kitchen) throw new Error("The kitchen is gone.");
    expect(kitchen.facts).toMatchObject({ ladleFat: 0.8 });
    expect(kitchen.bodyReadings).toHaveLength(1);
    expect(kitchen.ingredients.length).toBeGreaterThan(100);
    const ids = Object.keys(kitchen.formulas);
    expect(ids).toHaveLength(17);
    for (const id of ids) {
      const document = (await findFormula(database().db, KITCHEN_ID, id))?.document;
      expect(document && walk(document, openKitchen(kitchen)).problems, id).toEqual([]);
      const opened = await answered(bench.loader(await argsFor(get(), { formulaId: id })));
      expect(opened.status, id).toBe(200);
    }
  });
  test("still has its stock on the fire, with every reading", async () => {
    const args = await argsFor(get());
    const { body } = await answered(range.loader(args));
    const section = (args as { context: RouterContextProvider }).context.get(sectionContext);
    const [stock] = await loadLiveRuns(section);
    if (!stock) throw new Error("Nothing is on the fire.");
    expect(body).toMatchObject({ runs: [{ document: { name: stock.live.document.name } }] });
    const state = foldLive(stock);
    expect(state.steps[state.current]?.step.kind).toBe("brown");
    const readings = stock.live.events.map(event => event.payload.kind);
    expect(readings).toEqual(
      expect.arrayContaining(["step-begun", "noted", "probed", "step-done", "weighed"]),
    );
  });
  test("still has what it booked, and its card", async () => {
    const { body } = await answered(book.loader(await argsFor(get("book?q=mayonnaise"))));
    const [entry] = (body as { cards: { versionId: string; batches: number }[] }).cards;
    expect(entry).toMatchObject({ batches: 1 });
    const shown = await answered(card.loader(await argsFor(get(), { versionId: entry?.versionId ?? "" })));
    expect(shown.status).toBe(200);
    const [{ runId } = { runId: "" }] = (shown.body as { batches: { runId: string }[] }).batches;
    const booked = await answered(batch.loader(await argsFor(get(), { runId })));
    expect(booked).toMatchObject({ status: 200, body: { batch: { runId, startedBy: "Noor Adeyi" } } });
  });
});
