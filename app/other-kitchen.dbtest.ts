import { afterAll, beforeAll, expect, test } from "vitest";
import { basisOf } from "~/core/formula";
import { STOCK_ID } from "~/demo/formulas";
import { DEMO_KITCHEN, KITCHEN_ID } from "~/demo/kitchen";
import {
  type Connection,
  connectDevice,
  database,
  findFormula,
  insertKitchen,
  listChanges,
  startRun,
} from "~/data";
import * as formulaFile from "./api/formula-file.server";
import * as photos from "./api/photos.server";
import * as rehearsal from "./api/rehearsal.server";
import * as runEvents from "./api/run-events.server";
import * as batch from "./batch/batch.server";
import * as bench from "./bench/bench.server";
import * as toCard from "./bench/to-card.server";
import * as versions from "./bench/versions/versions.server";
import * as book from "./book/book.server";
import * as card from "./book/card.server";
import * as kit from "./kit/kit.server";
import * as people from "./people/people.server";
import * as stove from "./stove/stove.server";
import { answered, argsFor, get, openDemo, sentForm, sentJson } from "./testing/asked.server";

/** Two kitchens in one database: whoever belongs to the one reaches nothing of the other, whatever id they know. */

const OTHER = "other-kitchen";
let connection: Connection;
let ids: Record<string, string>;

beforeAll(async () => {
  connection = await openDemo();
  const { db } = connection;
  const { formulas: _none, ...kitchen } = DEMO_KITCHEN;
  await insertKitchen(db, { ...kitchen, id: OTHER, name: "Other", formulas: {}, demo: false }, [
    { id: "olga", name: "Olga", role: "chef", rank: "chef", login: "olga" },
  ]);
  const stored = await findFormula(db, KITCHEN_ID, STOCK_ID);
  if (!stored) throw new Error("The demo has no stock.");
  const runId = await startRun(db, {
    kitchenId: KITCHEN_ID,
    formulaId: STOCK_ID,
    formulaVersionId: stored.versionId,
    baseG: 8000,
    burnerId: "open-1",
    personId: "noor",
    now: new Date(),
    basis: basisOf(stored.document, DEMO_KITCHEN),
  });
  const change = { kitchenId: KITCHEN_ID, personId: "ilse", now: new Date() };
  await connectDevice(db, change, { key: "pass-scale", kind: "scale", name: "Scale", secretHash: "x" });
  ids = {
    formulaId: STOCK_ID,
    file: `${STOCK_ID}.json`,
    versionId: stored.versionId,
    runId,
    key: "pass-scale",
  };
});
afterAll(() => connection.close());

const asOlga = async (request: Request) => argsFor(request, ids, "olga");

test.each([
  ["a formula", bench.loader],
  ["its versions", versions.loader],
  ["its card, by the formula", toCard.loader],
  ["its card", card.loader],
  ["its file", formulaFile.loader],
  ["a pot", stove.loader],
  ["a batch", batch.loader],
  ["a rehearsal", rehearsal.loader],
])("%s of another kitchen is not there to read", async (_what, loader) => {
  const { status } = await answered((loader as (args: never) => unknown)(await asOlga(get())));
  expect(status).toBe(404);
});

test.each([
  ["a formula", bench.action, () => sentForm({ run: "01JDQ00000000000000000TEST", burner: "open-1" })],
  ["an edit of it", bench.action, () => sentJson({ intent: "save", rowVersion: 1, document: {} })],
  ["a version", versions.action, () => sentForm({ intent: "keep", reason: "x", rowVersion: "1" })],
  [
    "a signature",
    card.action,
    () => sentForm({ intent: "sign", state: "trial", id: "01JDQ00000000000000000TEST", reason: "x" }),
  ],
  ["readings", runEvents.action, () => sentJson({ events: [] })],
  ["a picture", photos.action, () => new Request("http://x/", { method: "POST", body: "x" })],
  ["a batch", batch.action, () => sentForm({})],
])("%s of another kitchen is not there to write", async (_what, action, request) => {
  const { status } = await answered((action as (args: never) => unknown)(await asOlga(request())));
  expect([404, 409, 422]).toContain(status);
});

test("lists hold one’s own only", async () => {
  const shown = async (loader: unknown) =>
    JSON.stringify((await answered((loader as (args: never) => unknown)(await asOlga(get())))).body);
  for (const loader of [book.loader, people.loader]) {
    const said = await shown(loader);
    expect(said).not.toContain("Guinea");
    expect(said).not.toContain("Noor");
  }
  expect(await shown(kit.loader)).not.toContain("pass-scale");
  await people.action(await argsFor(sentForm({ intent: "leaves", person: "noor" }), {}, "olga"));
  expect(await listChanges(database().db, OTHER, { most: 10 })).toEqual([]);
});
