import { ulid } from "ulid";
import { afterAll, beforeAll, expect, test } from "vitest";
import { type FormulaDocument, atSize, basisOf } from "../core/formula";
import { g } from "../core/ground/quantity";
import { DEMO_KITCHEN, KITCHEN_ID } from "../demo/kitchen";
import { loadDemo } from "../demo/load";
import {
  type Connection,
  type SignedState,
  findFormula,
  findVersion,
  listCooked,
  saveFormula,
  signVersion,
  signaturesOf,
  standardOf,
} from ".";
import { openFresh } from "./testing/fresh";

const NOW = new Date("2026-11-23T08:00:00.000Z");
const ID = "smoked-trout-veloute";
let connection: Connection;

beforeAll(async () => {
  connection = await openFresh();
  await loadDemo(connection.db, NOW);
});
afterAll(() => connection.close());

const current = async () => {
  const found = await findFormula(connection.db, KITCHEN_ID, ID);
  if (!found) throw new Error("The demo velouté was not loaded.");
  return found;
};
const sign = (versionId: string, state: SignedState, reason: string, minutes: number, id = ulid()) =>
  signVersion(connection.db, {
    id,
    kitchenId: KITCHEN_ID,
    versionId,
    state,
    reason,
    personId: "ilse",
    now: new Date(NOW.getTime() + minutes * 60_000),
    score: null,
    basis: (document: FormulaDocument) => basisOf(document, DEMO_KITCHEN),
  });

test("a standard never changes: an edit is a new draft, and a new standard retires the one before it", async () => {
  const { db } = connection;
  const first = await current();
  expect(await standardOf(db, KITCHEN_ID, ID)).toBeNull();
  const id = ulid();
  await sign(first.versionId, "standard", "as it goes to the pass", 0, id);
  // The answer got lost: it is signed once.
  expect(await sign(first.versionId, "standard", "as it goes to the pass", 1, id)).toHaveLength(1);
  expect(await standardOf(db, KITCHEN_ID, ID)).toEqual({
    versionId: first.versionId,
    number: first.number,
  });
  const edited = await saveFormula(db, {
    kitchenId: KITCHEN_ID,
    id: ID,
    rowVersion: (await current()).rowVersion,
    document: atSize(first.document, g(2000)),
    personId: "tomas",
    now: NOW,
  });
  if (!edited?.ok) throw new Error("The edit was not saved.");
  expect(edited.saved).toMatchObject({ number: first.number + 1, state: "draft" });
  const kept = await findVersion(db, KITCHEN_ID, first.versionId);
  expect(kept?.document).toEqual(first.document);
  expect(kept?.basisHash).toBeTruthy();

  await sign(edited.saved.versionId, "standard", "twice as much", 2);
  expect((await findVersion(db, KITCHEN_ID, first.versionId))?.state).toBe("retired");
  const [last] = await signaturesOf(db, KITCHEN_ID, first.versionId);
  expect(last).toMatchObject({
    state: "retired",
    by: "Ilse Varga",
    reason: `Version ${first.number + 1} took its place.`,
  });
  const { cards } = await listCooked(db, KITCHEN_ID);
  expect(cards.map(({ number, state }) => [number, state])).toEqual([
    [first.number + 1, "standard"],
    [first.number, "retired"],
  ]);
});

test("a version of nobody here is signed by nobody", async () => {
  const { versionId } = await current();
  const there = await signVersion(connection.db, {
    id: ulid(),
    kitchenId: "another-kitchen",
    versionId,
    state: "retired",
    reason: "not ours",
    personId: "ilse",
    now: NOW,
    score: null,
    basis: () => {
      throw new Error("Nothing is kept of it.");
    },
  });
  expect(there).toBeNull();
  expect((await current()).state).not.toBe("retired");
});
