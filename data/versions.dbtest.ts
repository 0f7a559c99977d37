import { afterAll, beforeAll, expect, test } from "vitest";
import { type FormulaDocument, atSize, basisOf } from "../core/formula";
import { g } from "../core/ground/quantity";
import { DEMO_KITCHEN, KITCHEN_ID } from "../demo/kitchen";
import { loadDemo } from "../demo/load";
import {
  type Connection,
  bringInVersion,
  findFormula,
  goOnFrom,
  keepVersion,
  listPeople,
  listVersions,
  markOf,
  saveDisplay,
  saveFormula,
  saveHouse,
} from ".";
import { openFresh } from "./testing/fresh";
import { loadKitchen } from "./testing/kitchen";

const NOW = new Date("2026-11-23T08:00:00.000Z");
const ID = "buckwheat-brown-gravy";
let connection: Connection;

beforeAll(async () => {
  connection = await openFresh();
  await loadDemo(connection.db, NOW);
});
afterAll(() => connection.close());

const current = async () => {
  const found = await findFormula(connection.db, KITCHEN_ID, ID);
  if (!found) throw new Error("The demo gravy was not loaded.");
  return found;
};
const common = async (reason: string) => ({
  kitchenId: KITCHEN_ID,
  id: ID,
  rowVersion: (await current()).rowVersion,
  reason,
  personId: "ilse",
  now: NOW,
  basis: (document: FormulaDocument) => basisOf(document, DEMO_KITCHEN),
});

test("C161 a kept version stays as it is, the next edit is a new one, and both can be gone on from", async () => {
  const { db } = connection;
  const first = await current();
  const kept = await keepVersion(db, await common("as served in spring"));
  expect(kept?.ok && kept.saved).toMatchObject({ frozen: true, reason: "as served in spring" });
  const edited = await saveFormula(db, {
    kitchenId: KITCHEN_ID,
    id: ID,
    rowVersion: (await current()).rowVersion,
    document: atSize(first.document, g(4000)),
    personId: "tomas",
    now: NOW,
  });
  expect(edited?.ok && edited.saved.number).toBe(first.number + 1);
  const branch = await goOnFrom(db, {
    ...(await common("less acid, as a trial")),
    fromVersionId: first.versionId,
    as: "trial",
  });
  expect(branch?.ok && branch.saved).toMatchObject({
    number: first.number + 2,
    state: "trial",
    parentId: first.versionId,
  });
  expect((await current()).document.base.massG).toBe(first.document.base.massG);
  const versions = await listVersions(db, KITCHEN_ID, ID);
  expect(versions.map(v => v.number)).toEqual([first.number + 2, first.number + 1, first.number]);
});

test("what comes in from a file lies on top; what stood here stays among the versions", async () => {
  const { db } = connection;
  const before = await current();
  const document = { ...before.document, notes: "from next door" };
  const came = await bringInVersion(db, { ...(await common("brought in")), document });
  expect(came?.ok && came.saved).toMatchObject({ number: before.number + 1, reason: "brought in" });
  const versions = await listVersions(db, KITCHEN_ID, ID);
  const stood = versions.find(v => v.versionId === before.versionId);
  expect(stood).toMatchObject({ frozen: true, document: before.document });
});

test("a stale page keeps nothing and is shown what stands", async () => {
  const stale = await keepVersion(connection.db, { ...(await common("too late")), rowVersion: 0 });
  expect(stale?.ok).toBe(false);
});

test("the house's words and a cook's display are kept", async () => {
  const { db } = connection;
  const change = { kitchenId: KITCHEN_ID, personId: "ilse", now: NOW };
  const own = { demiGlace: { to: 0.4, bound: true }, labourPerH: 30, flamePerH: 3 };
  const before = (await loadKitchen(db, KITCHEN_ID))?.house;
  await saveHouse(db, change, own, markOf(before));
  expect((await loadKitchen(db, KITCHEN_ID))?.house.demiGlace).toEqual({ to: 0.4, bound: true });
  expect(await saveHouse(db, change, { ...own, flamePerH: 4 }, markOf(before))).toEqual({
    kept: false,
    theirs: own,
  });
  await saveHouse(db, change, DEMO_KITCHEN.house, markOf(own));
  await saveDisplay(db, KITCHEN_ID, "petr", { units: "us", roundG: 10 });
  const people = await listPeople(db, KITCHEN_ID);
  expect(people.find(p => p.id === "petr")?.display).toEqual({ units: "us", roundG: 10 });
});
