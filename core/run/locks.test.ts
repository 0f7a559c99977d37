import { describe, expect, test } from "vitest";
import { type FormulaDocument, type Step, STEP_KINDS, blankFormula } from "../formula";
import { fixed, kitchen, line } from "../formula/walk/testing";
import { massOfPools } from "../things/pot";
import { type RunEvent, type RunPayload, batchRecord, fold, locksOf, waitingSalt } from ".";

const step = (kind: Step["kind"], id: string, lines: Step["lines"] = [], fields: object = {}): Step =>
  ({ ...STEP_KINDS[kind].blank(id), lines, ...fields }) as Step;
let n = 0;
const event = (payload: RunPayload): RunEvent => ({
  id: `01J${String(++n).padStart(23, "0")}`,
  at: new Date(Date.UTC(2026, 10, 23, 10, n)).toISOString(),
  clockOffsetMs: 0,
  personId: "noor",
  payload,
});
const begun = (stepId: string) => event({ kind: "step-begun", stepId });
const done = (stepId: string) => [begun(stepId), event({ kind: "step-done", stepId })];
const cooks = (document: FormulaDocument, events: readonly RunEvent[]) => fold(events, document, kitchen);

describe("C66 no salt until the salty things are in", () => {
  const document: FormulaDocument = {
    ...blankFormula("Mustard sauce", { name: "stock", massG: 1000 }),
    steps: [
      step("add", "in", [line("stock", "bought-white-stock", fixed(1000))]),
      step("season", "salt", [line("salt", "salt", fixed(6))]),
      step("add", "mustard", [line("mustard", "mustard", fixed(80))]),
      step("season", "last"),
    ],
  };
  const atSalt = [...done("in"), begun("salt")];
  const leftOut = event({ kind: "added", stepId: "salt", lineId: "salt", massG: 0 });
  test("the line of salt is closed, and says what is still to come", () => {
    const [lock, ...more] = locksOf(cooks(document, atSalt));
    expect(more).toEqual([]);
    expect(lock).toMatchObject({ lineId: "salt", before: "end" });
    expect(lock?.why).toMatch(/Still to come: smooth mustard. It brings salt/);
  });
  test("left out it waits, and goes in once the mustard is: the pot holds it then", () => {
    const until = [...atSalt, leftOut, event({ kind: "step-done", stepId: "salt" })];
    expect(locksOf(cooks(document, until))).toEqual([]);
    expect(waitingSalt(cooks(document, atSalt))).toEqual([]);
    const after = [...until, ...done("mustard"), begun("last")];
    const now = cooks(document, after);
    expect(waitingSalt(now)).toEqual([{ lineId: "salt", name: "fine salt", massG: 6 }]);
    const added = cooks(document, [
      ...after,
      event({ kind: "added", stepId: "last", lineId: "salt", massG: 4 }),
      event({ kind: "step-done", stepId: "last" }),
    ]);
    expect(waitingSalt(added)).toEqual([]);
    expect(added.pot.liquor.salt - now.pot.liquor.salt).toBeGreaterThan(3.9);
    expect(massOfPools(added.pot.liquor) - massOfPools(now.pot.liquor)).toBeCloseTo(4, 6);
  });
  test("with a reason it opens, and the batch keeps the reason", () => {
    const lock = locksOf(cooks(document, atSalt))[0];
    const opened = cooks(document, [
      ...atSalt,
      event({
        kind: "overridden",
        stepId: "salt",
        what: lock?.what ?? "",
        reason: "mustard without salt today",
      }),
    ]);
    expect(locksOf(opened)).toEqual([]);
    const notes = batchRecord(opened).steps.flatMap(s => s.notes.map(note => note.text));
    expect(notes).toEqual(["No fine salt yet – done all the same: mustard without salt today"]);
  });
  test("where the mustard is skipped nothing is closed", () =>
    expect(locksOf(cooks(document, [...atSalt, event({ kind: "skipped", stepId: "mustard" })]))).toEqual([]));
});

describe("C110 potato and blade", () => {
  const purée = (tool: string, water: number): FormulaDocument => ({
    ...blankFormula("Potato", { name: "potato", massG: 1000 }),
    steps: [
      step("add", "in", [line("potato", "potato-floury", fixed(1000)), line("water", "water", fixed(water))]),
      step("simmer", "cook", [], { durationMin: 20 }),
      step("drain", "drain"),
      step("blend", "blend", [], { tool }),
    ],
  });
  const until = [...done("in"), ...done("cook"), ...done("drain")];
  test("a purée of floury potato does not begin under a blade; under the ricer it does", () => {
    expect(locksOf(cooks(purée("stick blender", 1500), until))[0]).toMatchObject({ before: "begin" });
    expect(locksOf(cooks(purée("ricer", 1500), until))).toEqual([]);
  });
  test("in a soup the potato only binds", () => {
    const soup = purée("stick blender", 3000);
    const bound = { ...soup, steps: soup.steps.filter(s => s.kind !== "drain") };
    expect(locksOf(cooks(bound, [...done("in"), ...done("cook")]))).toEqual([]);
  });
});
