import { describe, expect, test } from "vitest";
import { EVERY_FORMULA } from "../families/testing";
import { type FormulaDocument, finalState, kindOf, openKitchen, panOf, walk } from "../formula";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { POOLS, accountedFor, potMass } from "../things/pot";
import { type RunEvent, type RunPayload, UNKNOWN_BAND, batchRecord, fold, forecastOf } from ".";

const kitchen = openKitchen(DEMO_KITCHEN);
const START = Date.UTC(2026, 10, 23, 8, 0, 0);
/** A step that takes no time is still done a moment after it was begun. */
const LEAST_S = 1;

type Log = (atS: number, payload: RunPayload) => void;

/** A log book: events with ascending ids, timed in seconds since the start. */
function book() {
  const events: RunEvent[] = [];
  const log: Log = (atS, payload) =>
    events.push({
      id: `01HZZZZZZZZZZZZZZZZZ${String(events.length + 1).padStart(6, "0")}`,
      at: new Date(START + atS * 1000).toISOString(),
      clockOffsetMs: 0,
      personId: "noor",
      payload,
    });
  log(0, { kind: "started", burnerId: DEMO_KITCHEN.defaultBurnerId });
  return { events, log };
}

/** All steps begun and ended when the plan says; what is logged in each besides is up to the test. */
function cooked(
  document: FormulaDocument,
  inStep: (log: Log, stepIndex: number, beganS: number, endsS: number) => void = () => undefined,
): RunEvent[] {
  const { events, log } = book();
  let at = 1;
  for (const [i, { step, durationS }] of walk(document, kitchen).states.entries()) {
    const end = at + Math.max(LEAST_S, durationS);
    log(at, { kind: "step-begun", stepId: step.id });
    inStep(log, i, at, end);
    log(end, { kind: "step-done", stepId: step.id });
    at = end + LEAST_S;
  }
  log(at, { kind: "finished" });
  return events;
}

describe.each(EVERY_FORMULA)("%s", (_, document) => {
  const planned = walk(document, kitchen);
  const last = finalState(planned.states);
  const nextInSamePot = (i: number) =>
    planned.states.findIndex(({ step }, j) => j > i && panOf(step) === panOf(planned.states[i]?.step ?? {}));
  const stateOf = (events: readonly RunEvent[]) => fold(events, document, kitchen);

  test("cooked as planned and never read, the pot is the planned one", () => {
    const run = stateOf(cooked(document));
    expect(run.problems).toEqual([]);
    expect(run.current).toBe(planned.states.length);
    expect(potMass(run.pot) / (last?.massG ?? NaN)).toBeCloseTo(1, 3);
    expect(run.pot.temperatureC).toBeCloseTo(last?.temperatureC ?? NaN, 1);
  });

  test("weighed after each step at what was planned, nothing moves, and the record is even", () => {
    const run = stateOf(
      cooked(document, (log, i, _began, ends) => {
        const state = planned.states[i];
        if (state)
          log(ends, { kind: "weighed", stepId: state.step.id, netG: Math.round(state.massG * 1000) / 1000 });
      }),
    );
    expect(run.problems).toEqual([]);
    expect(potMass(run.pot)).toBeCloseTo(last?.massG ?? NaN, 1);
    const record = batchRecord(run);
    const even = [
      record.yieldG,
      record.yieldMl,
      ...record.steps.flatMap(s => s.figures).filter(f => f.unit === "g"),
    ];
    for (const { what, planned: plan, actual } of even)
      if (actual !== null && plan !== null)
        expect(Math.abs(actual - plan), `${what}: ${plan} planned, ${actual}`).toBeLessThan(
          0.002 * plan + 0.5,
        );
  });

  test("a pot found a twentieth short is so much short afterwards; every gram of it is accounted for, none negative", () => {
    for (const [i, state] of planned.states.entries()) {
      // A second pan that is poured out next is not seen again by itself.
      if (state.massG < 50 || (panOf(state.step) && nextInSamePot(i) < 0)) continue;
      const netG = 0.95 * state.massG;
      const run = stateOf(
        cooked(document, (log, at, _began, ends) => {
          if (at === i) log(ends, { kind: "weighed", stepId: state.step.id, netG });
        }),
      );
      const after = run.steps[nextInSamePot(i)]?.from ?? run.pot;
      expect(potMass(after), `after ${state.step.kind}`).toBeCloseTo(netG, 3);
      const accounted = accountedFor(after);
      for (const pool of POOLS) {
        expect(after.liquor[pool], `${pool} after ${state.step.kind}`).toBeGreaterThanOrEqual(-1e-9);
        expect(accounted[pool], `${pool} after ${state.step.kind}`).toBeCloseTo(after.entered[pool], 3);
      }
    }
  });

  test("lines weighed in a tenth more: what was weighed is what went in", () => {
    const run = stateOf(
      cooked(document, (log, i, began) => {
        for (const line of planned.states[i]?.lines ?? [])
          log(began, {
            kind: "added",
            stepId: planned.states[i]?.step.id ?? "",
            lineId: line.lineId,
            massG: 1.1 * line.massG,
          });
      }),
    );
    for (const { step, foreseen, planned: plan } of run.steps) {
      if (!foreseen) continue;
      expect(Number.isFinite(foreseen.massG), step.kind).toBe(true);
      for (const line of plan.lines)
        expect(run.steps.flatMap(s => s.readings).find(r => r.lineId === line.lineId)?.massG).toBeCloseTo(
          1.1 * line.massG,
          6,
        );
    }
  });

  test("any one step skipped: the rest goes on, or says in words why it cannot", () => {
    for (const { step } of planned.states) {
      const events = cooked(document).map((event): RunEvent =>
        event.payload.kind === "step-begun" && event.payload.stepId === step.id
          ? { ...event, payload: { kind: "skipped", stepId: step.id } }
          : event,
      );
      const run = stateOf(events);
      expect(run.current).toBe(planned.states.length);
      expect(Number.isFinite(potMass(run.pot))).toBe(true);
      for (const { message } of run.problems)
        expect(message, `without ${step.kind}`).toMatch(/^[A-Z“].{12,}[.?!]$/);
    }
  });

  test("events that come late, twice or out of order tell the same run", () => {
    const events = cooked(document);
    const again = stateOf([...events].reverse().concat(events));
    expect(again).toEqual(stateOf(events));
  });

  test("at every moment of every step: limits around the value, an end between its limits, progress that never goes back", () => {
    const events = cooked(document);
    for (const [i, state] of planned.states.entries()) {
      const begun = events.findIndex(
        e => e.payload.kind === "step-begun" && e.payload.stepId === state.step.id,
      );
      const run = stateOf(events.slice(0, begun + 1));
      const beganAt = run.steps[i]?.begunAt ?? NaN;
      let before = -Infinity;
      for (const share of [0, 0.25, 0.5, 0.75, 1, 1.5]) {
        const now = forecastOf(run, beganAt + 1000 * share * state.durationS, () => UNKNOWN_BAND);
        const where = `${kindOf(state.step).kind} at ${share}`;
        expect(now, where).not.toBeNull();
        if (!now) continue;
        expect(now.progress, where).toBeGreaterThanOrEqual(before - 1e-9);
        expect(now.progress, where).toBeLessThanOrEqual(1);
        before = now.progress;
        expect(now.earliest, where).toBeLessThanOrEqual(now.endsAt);
        if (now.latest !== null) expect(now.latest, where).toBeGreaterThanOrEqual(now.endsAt);
        if (now.massNowG === null) continue;
        expect(now.massLoG ?? NaN, where).toBeLessThanOrEqual(now.massNowG);
        expect(now.massHiG ?? NaN, where).toBeGreaterThanOrEqual(now.massNowG);
        if (share === 1) expect(now.massNowG / state.massG, where).toBeCloseTo(1, 3);
      }
    }
  });
});
