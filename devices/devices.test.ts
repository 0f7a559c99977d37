import { describe, expect, test } from "vitest";
import { DEMO_FORMULAS, GLACE_ID } from "../demo/formulas";
import { DEMO_KITCHEN } from "../demo/kitchen";
import { FACTS } from "../core/ground/facts";
import { InvariantError } from "../core/ground/result";
import type { RunEvent, RunPayload } from "../core/run";
import { INSTRUMENTS, shows } from "./instruments";
import { chance } from "./random";
import { trueKitchen } from "./true-kitchen";
import { truePot } from "./true-pot";

const glace = DEMO_FORMULAS[GLACE_ID];
if (!glace) throw new InvariantError("The glace is gone.");
const START = Date.UTC(2026, 10, 23, 8, 0, 0);
const at = (minute: number) => START + minute * 60_000;
let counter = 0;
const event = (minute: number, payload: RunPayload): RunEvent => ({
  id: `01HVVVVVVVVVVVVVVVVV${String(++counter).padStart(6, "0")}`,
  at: new Date(at(minute)).toISOString(),
  clockOffsetMs: 0,
  personId: "petr",
  payload,
});
const reducing = glace.steps.findIndex(step => step.kind === "reduce");
const stepId = glace.steps[reducing]?.id ?? "";
const begun = [
  event(0, { kind: "started", burnerId: "plate-hot" }),
  ...glace.steps
    .slice(0, reducing)
    .flatMap((step, i) => [
      event(i, { kind: "step-begun", stepId: step.id }),
      event(i + 0.5, { kind: "step-done", stepId: step.id }),
    ]),
  event(5, { kind: "step-begun", stepId }),
];
const stove = (seed: number) => trueKitchen(DEMO_KITCHEN, seed);
const pot = (minute: number, more: readonly RunEvent[] = [], seed = 7) =>
  truePot([...begun, ...more], glace, stove(seed), "plate-hot", at(minute));

describe("the simulated stove", () => {
  test("is the same from the same seed, another from another, and never outside what a stove can be", () => {
    expect(stove(7).facts).toEqual(stove(7).facts);
    expect(stove(7).facts).not.toEqual(stove(8).facts);
    for (let seed = 0; seed < 40; seed++) {
      const { gasPro = 0 } = stove(seed).facts;
      expect(gasPro).toBeGreaterThanOrEqual(FACTS.gasPro.lo);
      expect(gasPro).toBeLessThanOrEqual(FACTS.gasPro.hi);
    }
  });
  test("its pot loses as time goes, and what somebody reads of it changes nothing", () => {
    const masses = [10, 40, 80, 120].map(m => pot(m).massG);
    expect(masses).toEqual([...masses].sort((a, b) => b - a));
    const read = event(30, { kind: "weighed", stepId, netG: 1 });
    expect(pot(40, [read]).massG).toBe(pot(40).massG);
  });
  test("left alone it runs past its mark until it is dry, and says so", () => {
    expect(pot(900).wrong.map(w => w.what)).toContain("ran dry");
    expect(pot(40).wrong).toEqual([]);
  });
  test("a step that is ended stops where it was", () => {
    const ended = [event(60, { kind: "step-done", stepId })];
    expect(pot(61, ended).massG).toBeCloseTo(pot(60).massG, -1);
    expect(pot(300, ended).massG).toBeCloseTo(pot(61, ended).massG, 0);
  });
  test("off the fire it stands still", () => {
    const off = [event(30, { kind: "moved", stepId, burnerId: null })];
    expect(pot(120, off).massG).toBeCloseTo(pot(31, off).massG, 6);
  });
});

describe("simulated instruments", () => {
  test("show what is true to within their noise, in their own steps", () => {
    const truth = pot(40);
    const scale = shows("scale", truth, 1);
    expect(Math.abs((scale?.value ?? 0) - truth.massG - (truth.vessel?.tareG ?? 0))).toBeLessThan(25);
    expect((scale?.value ?? 1) % 5).toBe(0);
    for (const one of INSTRUMENTS) expect(shows(one, truth, 3)).toEqual(shows(one, truth, 3));
  });
  test("a probe shows its offset too: what is added to put it right is missing from what it shows", () => {
    const truth = pot(40);
    expect((shows("probe", truth, 5, -1)?.value ?? 0) - (shows("probe", truth, 5)?.value ?? 0)).toBeCloseTo(
      1,
      1,
    );
  });
  test("their noise is normal: mean 0, spread 1", () => {
    const { normal } = chance(11);
    const all = Array.from({ length: 4000 }, normal);
    const mean = all.reduce((a, b) => a + b, 0) / all.length;
    expect(Math.abs(mean)).toBeLessThan(0.05);
    expect(Math.sqrt(all.reduce((a, b) => a + (b - mean) ** 2, 0) / all.length)).toBeCloseTo(1, 1);
  });
});
