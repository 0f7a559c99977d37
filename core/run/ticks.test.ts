import { describe, expect, test } from "vitest";
import { type FormulaDocument, type Step, STEP_KINDS, blankFormula } from "../formula";
import { fixed, kitchen, line } from "../formula/walk/testing";
import { type RunEvent, type RunPayload, fold, openTicks } from ".";

const step = (kind: Step["kind"], id: string, lines: Step["lines"] = [], fields: object = {}): Step =>
  ({ ...STEP_KINDS[kind].blank(id), lines, ...fields }) as Step;

const document: FormulaDocument = {
  ...blankFormula("Bisque, finished", { name: "stock", massG: 2000 }),
  steps: [
    step("add", "in", [line("stock", "bought-fish-stock", fixed(2000)), line("rice", "rice", fixed(120))]),
    step("steep", "steep", [line("bay", "bay-leaf", fixed(2))]),
    step("lift", "lift", [], { tally: "2 cinnamon, 5 bay and 8 garlic" }),
    step("blend", "blend", [], { reserveFirst: "60 prawns (825 g)" }),
    step("pass", "pass"),
  ],
};
let n = 0;
const event = (payload: RunPayload): RunEvent => ({
  id: `01J${String(++n).padStart(23, "0")}`,
  at: new Date(Date.UTC(2026, 10, 23, 10, n)).toISOString(),
  clockOffsetMs: 0,
  personId: "noor",
  payload,
});
const done = (...stepIds: string[]) =>
  stepIds.flatMap(stepId => [event({ kind: "step-begun", stepId }), event({ kind: "step-done", stepId })]);
const tick = (stepId: string, what: string) => event({ kind: "ticked", stepId, what });
const ticksNow = (events: readonly RunEvent[]) => {
  const state = fold(events, document, kitchen);
  const progress = state.steps[state.current];
  if (!progress) throw new Error("through");
  return openTicks(progress);
};

describe("C29 nothing is forgotten before the blender runs", () => {
  const before = done("in", "steep", "lift");
  const what = "Set aside before blending: 60 prawns (825 g)";
  test("what is to be set aside must be ticked before the blending can begin", () => {
    expect(ticksNow(before)).toEqual([what]);
    expect(ticksNow([...before, tick("blend", what)])).toEqual([]);
  });
  test("an undone tick is open again", () => {
    const ticked = tick("blend", what);
    expect(ticksNow([...before, ticked, event({ kind: "undone", eventId: ticked.id })])).toEqual([what]);
  });
});

describe("C127, C128 what was counted in is counted out", () => {
  const before = [...done("in", "steep"), event({ kind: "step-begun", stepId: "lift" })];
  test("each piece of the tally is ticked: 2, 5, 8", () => {
    const all = ticksNow(before);
    expect(all).toEqual(["Out again: 2 cinnamon", "Out again: 5 bay", "Out again: 8 garlic"]);
    expect(ticksNow([...before, tick("lift", all[0] ?? ""), tick("lift", all[2] ?? "")])).toEqual([all[1]]);
  });
  test("a tied bundle is one retrieval", () => {
    const [first, ...rest] = document.steps;
    const bundle = {
      ...document,
      steps: [first, ...rest].map(s => (s?.id === "lift" ? { ...s, tally: "the bundle of 4" } : s)),
    };
    const state = fold(before, bundle as FormulaDocument, kitchen);
    const progress = state.steps[state.current];
    expect(progress && openTicks(progress)).toEqual(["Out again: the bundle of 4"]);
  });
});

test("C158d the clean pan is ticked before a sieved purée goes on", () => {
  const blended = [...done("in", "steep", "lift", "blend"), event({ kind: "step-begun", stepId: "pass" })];
  expect(ticksNow(blended)).toEqual(["Underside of the sieve scraped off, no grain in the clean pan"]);
});
