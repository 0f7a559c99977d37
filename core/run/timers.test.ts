import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { type RunEvent, type RunPayload, timersOf } from ".";

const START = Date.UTC(2026, 10, 30, 8);
let made = 0;
const at = (s: number, payload: RunPayload): RunEvent => ({
  id: `01HTMR${String((made += 1)).padStart(20, "0")}`,
  at: new Date(START + 1000 * s).toISOString(),
  clockOffsetMs: 0,
  personId: "noor",
  payload,
});
const set = (s: number, name: string, seconds: number, every = false) =>
  at(s, { kind: "timer-set", stepId: "a", timerId: name, name, seconds, every });
const heard = (s: number, timerId: string) => at(s, { kind: "timer-heard", stepId: "a", timerId });
const rings = (events: readonly RunEvent[], s: number) =>
  timersOf(events, START + 1000 * s).filter(t => t.rings).map(t => t.name); // prettier-ignore

describe("C178 timers", () => {
  test("one rings when its time is over and until somebody hears it", () => {
    const events = [set(0, "roux", 240)];
    expect(rings(events, 239)).toEqual([]);
    expect(rings(events, 240)).toEqual(["roux"]);
    expect(rings(events, 4000)).toEqual(["roux"]);
    expect(timersOf([...events, heard(250, "roux")], START + 251_000)).toEqual([]);
  });
  test("an interval rings again a whole interval later, and once for all that was slept through", () => {
    const events = [set(0, "skim", 600, true)];
    expect(rings(events, 4000)).toEqual(["skim"]);
    const later = [...events, heard(4000, "skim")];
    expect(rings(later, 4100)).toEqual([]);
    expect(timersOf(later, START + 4_100_000)[0]?.dueAt).toBe(START + 4_200_000);
    expect(rings(later, 4200)).toEqual(["skim"]);
  });
  test("a stopped one is gone, one taken back too, and a finished pot has none", () => {
    const skim = set(0, "skim", 600, true);
    expect(timersOf([skim, at(9, { kind: "timer-stopped", stepId: "a", timerId: "skim" })], START)).toEqual(
      [],
    );
    expect(timersOf([skim, at(9, { kind: "undone", eventId: skim.id })], START)).toEqual([]);
    expect(timersOf([skim, at(9, { kind: "finished" })], START)).toEqual([]);
  });
  property.prop([
    fc.array(fc.integer({ min: 5, max: 90_000 }), { minLength: 1, maxLength: 12 }),
    fc.integer({ min: 0, max: 90_000 }),
  ])(
    "many at once: each by its own, in the order they are due, whatever order the events come in",
    (times, now) => {
      const events = times.map((seconds, i) => set(0, `t${i}`, seconds));
      const timers = timersOf([...events].reverse(), START + 1000 * now);
      expect(timers.map(t => t.dueAt)).toEqual([...times].sort((a, b) => a - b).map(s => START + 1000 * s));
      for (const timer of timers) expect(timer.rings).toBe(START + 1000 * now >= timer.dueAt);
    },
  );
});
