import { describe, expect, test } from "vitest";
import { openKitchen } from "../core/formula";
import { batchRecord, fold } from "../core/run";
import { DEMO_FORMULAS } from "./formulas";
import { DEMO_KITCHEN } from "./kitchen";
import { livedIn } from "./lived-in";

const kitchen = { ...DEMO_KITCHEN, formulas: DEMO_FORMULAS };
const now = new Date("2026-11-23T10:00:00Z");
const runs = livedIn(DEMO_FORMULAS, kitchen, now).map(run => ({
  ...run,
  state: fold(run.events, run.document, openKitchen(kitchen, {}, run.burnerId)),
}));

describe("a kitchen at work", () => {
  test("three pots are on the fire at different stages, and nothing has happened after now", () => {
    const live = runs.filter(run => run.state.finishedAt === null);
    expect(live).toHaveLength(3);
    expect(live.every(run => run.state.steps[run.state.current]?.status === "live")).toBe(true);
    for (const event of runs.flatMap(run => run.events))
      expect(Date.parse(event.at)).toBeLessThanOrEqual(now.getTime());
  });
  test("what is behind them came out about as planned, and nothing of it could not be", () => {
    const done = runs.filter(run => run.state.finishedAt !== null);
    expect(done.length).toBeGreaterThanOrEqual(8);
    for (const { state } of done) {
      expect(state.problems).toEqual([]);
      const { minutes, yieldMl } = batchRecord(state);
      // The stove of this kitchen is a slow one: what it teaches is for its forecasts to learn.
      expect(Math.abs(minutes.deviation ?? 1)).toBeLessThan(0.7);
      expect(Math.abs(yieldMl.deviation ?? 0)).toBeLessThan(0.15);
    }
  });
  test("one of them split and was rescued, and says so", () => {
    const told = runs.flatMap(run => run.state.told.incidents);
    expect(told.map(i => i.what)).toContain("split");
  });
});
