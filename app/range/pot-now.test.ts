import { describe, expect, test } from "vitest";
import { type FormulaDocument, intervalsAlong, openKitchen, walk } from "~/core/formula";
import { type RunEvent, type RunPayload, UNKNOWN_BAND, stepBand } from "~/core/run";
import { DEMO_FORMULAS, STOCK_ID } from "~/demo/formulas";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import type { LiveRun } from "./live-run.server";
import { potNow } from "./pot-now";

const found = DEMO_FORMULAS[STOCK_ID];
if (!found) throw new Error("The demo stock is gone.");
const stock: FormulaDocument = found;
const START = Date.UTC(2026, 10, 23, 8, 0, 0);
const at = (minute: number) => START + minute * 60_000;
let counter = 0;
const event = (minute: number, payload: RunPayload): RunEvent => ({
  id: `01HZZZZZZZZZZZZZZZZZ${String(++counter).padStart(6, "0")}`,
  at: new Date(at(minute)).toISOString(),
  clockOffsetMs: 0,
  personId: "noor",
  payload,
});

const burnerId = DEMO_KITCHEN.defaultBurnerId;
const walked = walk(stock, openKitchen(DEMO_KITCHEN, {}, burnerId));
const intervals = intervalsAlong(stock, DEMO_KITCHEN, burnerId);
const bands = walked.states.map((state, i) => (intervals[i] ? stepBand(state, intervals[i]) : UNKNOWN_BAND));
const simmer = stock.steps.findIndex(step => step.kind === "simmer");
const simmerId = stock.steps[simmer]?.id ?? "";

/** A batch of the demo stock with these events after its start. */
const run = (...events: RunEvent[]): LiveRun => ({
  run: {
    id: "run",
    formulaId: STOCK_ID,
    formulaVersionId: "version",
    baseG: stock.base.massG,
    burnerId,
    startedBy: "Noor",
    startedAt: new Date(START),
    finishedAt: null,
  },
  versionNumber: 1,
  document: stock,
  events: [event(0, { kind: "started", burnerId }), ...events],
  bands,
});
const untilSimmer = (): RunEvent[] => [
  ...stock.steps
    .slice(0, simmer)
    .flatMap((step, i) => [
      event(1 + i * 10, { kind: "step-begun", stepId: step.id }),
      event(9 + i * 10, { kind: "step-done", stepId: step.id }),
    ]),
  event(60, { kind: "step-begun", stepId: simmerId }),
];

describe("a pot as it stands now", () => {
  test("before the first step it says what comes first, and where", () => {
    const pot = potNow(run(), DEMO_KITCHEN, at(1));
    expect(pot.title).toMatch(/^Roast/);
    expect(pot.place).toBe("oven");
    expect(pot.forecast?.massNowG ?? null).toBeNull();
  });
  test("while it simmers the level falls with the clock, between its limits", () => {
    const live = run(...untilSimmer());
    const [early, late] = [potNow(live, DEMO_KITCHEN, at(90)), potNow(live, DEMO_KITCHEN, at(300))];
    expect(early.title).toMatch(/^Simmer/);
    expect(late.nowMm ?? Infinity).toBeLessThan(early.nowMm ?? 0);
    for (const pot of [early, late]) {
      expect(pot.nowLoMm ?? 0).toBeLessThanOrEqual(pot.nowMm ?? 0);
      expect(pot.nowHiMm ?? 0).toBeGreaterThanOrEqual(pot.nowMm ?? 0);
    }
  });
  test("a reading on the scale draws the level where it says, and the limits close in", () => {
    const foreseen = potNow(run(...untilSimmer()), DEMO_KITCHEN, at(200));
    const netG = (foreseen.forecast?.massNowG ?? 0) - 600;
    const weighed = potNow(
      run(...untilSimmer(), event(200, { kind: "weighed", stepId: simmerId, netG })),
      DEMO_KITCHEN,
      at(200),
    );
    expect(weighed.nowMm ?? 0).toBeLessThan(foreseen.nowMm ?? 0);
    expect((weighed.nowHiMm ?? 0) - (weighed.nowLoMm ?? 0)).toBeLessThan(
      (foreseen.nowHiMm ?? 0) - (foreseen.nowLoMm ?? 0),
    );
  });
  test("a pot too heavy for the scales of this kitchen is dipped", () => {
    const live = run(...untilSimmer());
    const appliances = DEMO_KITCHEN.appliances.map(a => (a.kind === "scale" ? { ...a, capacityG: 5000 } : a));
    const small = potNow(live, { ...DEMO_KITCHEN, appliances }, at(90));
    expect(small.reading.weigh).toBe(false);
    expect(small.reading.words).toMatch(/^too heavy for the scales here \(\d+ kg\): dip the stick/);
    const large = DEMO_KITCHEN.appliances.map(a => (a.kind === "scale" ? { ...a, capacityG: 60_000 } : a));
    expect(potNow(live, { ...DEMO_KITCHEN, appliances: large }, at(90)).reading.weigh).toBe(true);
  });
  test("what the kitchen has measured for itself is what its pots are reckoned with", () => {
    const own = { ...DEMO_KITCHEN, facts: { whiskPace: 0.006 } };
    expect(potNow(run(), own, at(1)).facts.whiskPace).toBe(0.006);
  });
  test("with every step done there is nothing left to do", () => {
    const done = stock.steps.flatMap((step, i) => [
      event(1 + i * 30, { kind: "step-begun", stepId: step.id }),
      event(20 + i * 30, { kind: "step-done", stepId: step.id }),
    ]);
    const pot = potNow(run(...done), DEMO_KITCHEN, at(600));
    expect(pot.title).toBe("All steps done");
    expect(pot.detail).toBe("");
  });
});
