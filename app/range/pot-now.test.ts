import { describe, expect, test } from "vitest";
import { STOCK_ID } from "~/demo/formulas";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import type { RunEvent } from "~/core/run";
import { potNow } from "./testing";
import { batchOf, logged as event, minute as at, stepsBefore } from "./testing";

const stock = batchOf(STOCK_ID).document;
const simmer = stock.steps.findIndex(step => step.kind === "simmer");
const simmerId = stock.steps[simmer]?.id ?? "";
const run = (...after: RunEvent[]) => batchOf(STOCK_ID, after);
const untilSimmer = (): RunEvent[] => [
  ...stepsBefore(stock, simmer),
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
