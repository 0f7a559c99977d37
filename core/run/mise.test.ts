import { describe, expect, test } from "vitest";
import { type FormulaDocument, STEP_KINDS, type Step, blankFormula } from "../formula";
import { fixed, kitchen, line } from "../formula/walk/testing";
import { type RunPayload, fold, gatesOf, miseLock, miseOf, readyWords } from ".";
import { event } from "./testing";

const step = (kind: Step["kind"], id: string, lines: Step["lines"] = [], fields: object = {}): Step =>
  ({ ...STEP_KINDS[kind].blank(id), lines, ...fields }) as Step;
const document: FormulaDocument = {
  ...blankFormula("Broth", { name: "carcasses", massG: 2000 }),
  steps: [
    step("add", "in", [
      line("bones", "guinea-fowl-carcass", fixed(2000)),
      line("water", "water", fixed(3000)),
    ]),
    step("season", "herbs", [line("parsley", "parsley", fixed(20))]),
    step("strain", "strain"),
  ],
};
const runWith = (...payloads: RunPayload[]) =>
  fold(
    payloads.map((payload, i) => event(i, payload)),
    document,
    kitchen,
  );

describe("C16 what stands ready", () => {
  test("lists each ingredient once with all it takes, each pot and tool, and knows what it would stop for", () => {
    const items = miseOf(runWith());
    expect(items.filter(i => i.massG !== null).map(i => i.massG)).toEqual([2000, 3000, 20]);
    expect(items.find(i => i.what === "strainer")?.critical).toBe(true);
    expect(new Set(items.map(i => i.what)).size).toBe(items.length);
  });
  test("the first step is locked until the strainer is ticked, and only the first", () => {
    expect(miseLock(runWith())).toHaveLength(1);
    expect(miseLock(runWith({ kind: "ticked", stepId: "in", what: readyWords("strainer") }))).toEqual([]);
    expect(miseLock(runWith({ kind: "step-begun", stepId: "in" }))).toEqual([]);
  });
});

describe("C34 raw to clean", () => {
  const atHerbs: RunPayload[] = [
    { kind: "step-begun", stepId: "in" },
    { kind: "step-done", stepId: "in" },
  ];
  test("after raw bones, herbs wait for washed hands; ticked, they go on", () => {
    const [gate] = gatesOf(runWith(...atHerbs), 1);
    expect(gate).toMatch(/washed after the raw/);
    expect(gatesOf(runWith(...atHerbs, { kind: "ticked", stepId: "herbs", what: gate ?? "" }), 1)).toEqual(
      [],
    );
  });
});
