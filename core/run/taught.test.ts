import { describe, expect, test } from "vitest";
import { type FormulaDocument, type Step, FIGURES, STEP_KINDS, updateStep } from "../formula";
import { potMass } from "../things/pot";
import { STOCK_ID } from "../../demo/formulas";
import { type RunPayload, batchRecord, chapterTime, fold, storyOf } from ".";
import { taughtBy } from "./taught";
import { KITCHEN, demo, doneBefore, event } from "./testing";

const stock = demo(STOCK_ID);
const SIMMER = stock.steps.findIndex(step => step.kind === "simmer");

/** A run that came to a step, worked it from minute 100 for so long, with what was logged in it. */
function worked(
  index: number,
  minutes: number,
  logged: readonly (readonly [number, RunPayload])[],
  document = stock,
) {
  const stepId = document.steps[index]?.id ?? "";
  return fold(
    [
      event(0, { kind: "started", burnerId: "plate-hot" }),
      ...doneBefore(document, index),
      event(100, { kind: "step-begun", stepId }),
      ...logged.map(([minute, payload]) => event(100 + minute, payload)),
      event(100 + minutes, { kind: "step-done", stepId }),
    ],
    document,
    KITCHEN,
  );
}
const simmerId = stock.steps[SIMMER]?.id ?? "";
const brix = (value: number): RunPayload => ({
  kind: "measured",
  stepId: simmerId,
  what: "brix",
  value,
  temperatureC: 20,
});

describe("what a batch says of the sums", () => {
  test("°Brix at the end of a simmer stands beside what was foreseen, under the bones that weigh most", () => {
    const run = worked(SIMMER, 300, [[295, brix(2.4)]]);
    const foreseen = run.steps[SIMMER]?.foreseen;
    expect(taughtBy(run)).toEqual([
      { what: "extraction", of: "poultry", foreseen: foreseen && FIGURES.brix.of(foreseen), read: 2.4 },
    ]);
    expect(batchRecord(run).taught).toEqual(taughtBy(run));
  });
  test("read half-way it says nothing of the end; tapped through it says nothing at all", () => {
    expect(taughtBy(worked(SIMMER, 300, [[150, brix(2.4)]]))).toEqual([]);
    expect(taughtBy(worked(SIMMER, 2, [[2, brix(2.4)]]))).toEqual([]);
  });
  test("a hold weighed at its end says how much steamed off, beside what was foreseen", () => {
    const strain = stock.steps.findIndex(step => step.kind === "strain");
    const held = {
      ...stock,
      steps: [
        ...stock.steps.slice(0, strain + 1),
        { ...STEP_KINDS.hold.blank("held"), durationMin: 120, lid: "off" },
      ],
    } as FormulaDocument;
    const at = held.steps.length - 1;
    const plain = worked(at, 120, [], held);
    const before = potMass(plain.steps[at]?.from ?? plain.pot);
    const run = worked(at, 120, [[119, { kind: "weighed", stepId: "held", netG: before - 600 }]], held);
    const [hold] = taughtBy(run);
    expect(hold?.what).toBe("holding");
    expect(hold?.read).toBeCloseTo(600, 0);
    expect(hold?.foreseen).toBeGreaterThan(0.01 * before);
  });
  test("C158f an oven set to 205 that reads 196 and 198: its mean beside its dial", () => {
    const roast = updateStep(stock, "s1", { ovenC: 205, durationMin: 90 } as Partial<Step>);
    const probe = (temperatureC: number): RunPayload => ({
      kind: "probed",
      stepId: "s1",
      temperatureC,
      where: "oven",
    });
    const run = worked(
      0,
      90,
      [
        [20, probe(196)],
        [60, probe(198)],
      ],
      roast,
    );
    expect(taughtBy(run)).toEqual([{ what: "oven", of: "", foreseen: 205, read: 197 }]);
  });
});

describe("the story of a batch", () => {
  const told = worked(SIMMER, 300, [
    [10, { kind: "noted", stepId: simmerId, text: "skimmed" }],
    [200, { kind: "incident", stepId: simmerId, what: "boiled over", lostG: 400 }],
    [295, brix(2.4)],
    [296, { kind: "looked", stepId: simmerId, clarity: "clear", colour: 3 }],
  ]);
  const story = storyOf(told, ({ step }) => step.kind);
  test("every step is a chapter, in its order, with its minutes beside the plan", () => {
    expect(story.map(c => c.title)).toEqual(stock.steps.map(step => step.kind));
    const simmer = story[SIMMER];
    expect(simmer && chapterTime(simmer)?.replace(/[\u00a0\u202f]/g, " ")).toMatch(
      /^5 h.*planned 4 h 5\d|^5 h.*planned/,
    );
  });
  test("what happened in it follows in time; C134 the colour is told beside its reference", () => {
    expect(story[SIMMER]?.moments.map(m => [m.kind, m.words.replace(/[\u00a0\u202f]/g, " ")])).toEqual([
      ["said", "“skimmed”"],
      ["wrong", "boiled over, 400 g lost"],
      ["read", "2.4 °Bx"],
      ["seen", "clear, colour 3 of 6"],
    ]);
  });
});
