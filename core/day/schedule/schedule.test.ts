import { describe, expect, test } from "vitest";
import { type Schedule, type ScheduleInput, bufferOf, schedule, scheduleWithBuffer } from ".";
import { KITCHEN_K, onBurners, pieces } from "./testing";

const planned = (input: ScheduleInput): Schedule => {
  const result = schedule(input);
  if (!result.ok) throw new Error(result.problems[0]?.message);
  return result.value;
};
const times = (plan: Schedule) => Object.fromEntries(plan.tasks.map(t => [t.id, `${t.start}–${t.finish}`]));
const at = (plan: Schedule, id: string) => plan.tasks.find(t => t.id === id);
const refused = (input: ScheduleInput) => {
  const result = schedule(input);
  return result.ok ? [] : result.problems.map(p => p.code);
};

// Check values K-1 to K-8 of the model (docs/models.md, "The day"), worked by hand there.
describe("kitchen K", () => {
  const plan = planned(KITCHEN_K);
  test("K-1 every job as late as it may be", () => {
    expect(times(plan)).toEqual({
      bones: "305–360",
      stock: "360–630",
      reduce: "630–700",
      roux: "648–660",
      veloute: "660–700",
      puree: "645–695",
      holl: "680–695",
      pass: "700–720",
    });
    expect(plan.objective).toEqual([0, 415, 40]);
    expect(plan.rule).toBe("head");
  });
  test("K-2 the chain that decides the day", () => {
    expect(plan.chain).toEqual(["bones", "stock", "reduce", "pass"]);
  });
  test("K-3 why the purée and the hollandaise are early", () => {
    for (const id of ["puree", "holl"])
      expect(at(plan, id)?.reason).toMatchObject({ kind: "resource", resource: "cook", task: "veloute" });
  });
  test("K-4 the buffer, and the plan that stands off by it", () => {
    expect(bufferOf(plan.chain, KITCHEN_K.tasks)).toBeCloseTo(20.23, 2);
    const buffered = scheduleWithBuffer(KITCHEN_K);
    expect(buffered.ok && at(buffered.value.plan, "bones")?.start).toBe(284);
    expect(buffered.ok && buffered.value.onTime).toBeGreaterThan(0.8);
  });
});

test("K-5 one burner, and K-6 two", () => {
  const one = planned(onBurners(1));
  expect(times(one)).toEqual({ a: "60–90", b: "90–110", c: "110–120" });
  expect(one.objective).toEqual([0, 60, 20]);
  const two = planned(onBurners(2));
  expect(times(two)).toEqual({ a: "80–110", b: "90–110", c: "110–120" });
  expect(two.objective).toEqual([0, 40, 0]);
});

describe("ovens that stand at one temperature at a time", () => {
  const oven = (id: string, setting: string, minutes: number, more = {}) => ({
    id,
    segments: [{ minutes, use: {}, atSetting: { anyOf: ["oven 1", "oven 2"], units: 1, setting } }],
    ...more,
  });
  test("two temperatures on one oven: one waits until it has changed", () => {
    const plan = planned({
      capacity: { "oven 1": 4 },
      due: 200,
      tasks: [oven("bones", "220 °C", 60), oven("confit", "130 °C", 90)],
    });
    expect(times(plan)).toEqual({ confit: "110–200", bones: "40–100" });
  });
  test("the same temperature shares one while it has trays; a second oven takes the other", () => {
    const tasks = [oven("bones", "220 °C", 60), oven("roots", "220 °C", 60), oven("confit", "130 °C", 90)];
    const plan = planned({ capacity: { "oven 1": 2, "oven 2": 2 }, due: 100, tasks });
    expect(plan.tasks.map(t => t.finish)).toEqual([100, 100, 100]);
    expect(at(plan, "bones")?.ovens).toEqual(at(plan, "roots")?.ovens);
    expect(at(plan, "confit")?.ovens).not.toEqual(at(plan, "bones")?.ovens);
  });
});

describe("what is set", () => {
  const job = (id: string, minutes: number, more = {}) => ({
    id,
    segments: pieces(`${minutes} cook`),
    ...more,
  });
  test("nobody in the house: the work is done before, and says why", () => {
    const plan = planned({
      capacity: { cook: 1 },
      due: 600,
      closed: [{ resource: "cook", from: 300, to: 590, units: 1, why: "nobody is in the house" }],
      tasks: [job("strain", 30)],
    });
    expect(at(plan, "strain")).toMatchObject({ finish: 300, reason: { kind: "resource", task: null } });
  });
  test("a locked job stays where it is, the rest goes around it", () => {
    const plan = planned({
      capacity: { cook: 1 },
      due: 100,
      tasks: [job("locked", 30, { fixedAt: 70 }), job("other", 20)],
    });
    expect(times(plan)).toEqual({ locked: "70–100", other: "50–70" });
  });
  test("a locked job that comes too late for the next is told, not hidden", () => {
    const plan = planned({
      capacity: { cook: 2 },
      due: 100,
      tasks: [job("first", 30, { fixedAt: 80 }), job("next", 20, { after: [{ id: "first" }] })],
    });
    expect(plan.violations.map(v => v.kind)).toEqual(expect.arrayContaining(["order", "due"]));
  });
  test("too late for service: the plan that is possible, and by how much", () => {
    const result = scheduleWithBuffer({ capacity: { cook: 1 }, due: 100, from: 60, tasks: [job("jus", 75)] });
    expect(result.ok && result.value.lateMin).toBe(35);
  });
});

describe("refused", () => {
  const a = { id: "a", segments: pieces("10 cook") };
  const base = { capacity: { cook: 1 }, due: 60 };
  test.each([
    ["twice the same name", { ...base, tasks: [a, a] }, "DUPLICATE"],
    ["waiting for something unknown", { ...base, tasks: [{ ...a, after: [{ id: "x" }] }] }, "UNKNOWN_ID"],
    [
      "waiting in a round",
      {
        ...base,
        tasks: [
          { ...a, after: [{ id: "b" }] },
          { ...a, id: "b", after: [{ id: "a" }] },
        ],
      },
      "CYCLE",
    ],
    [
      "more cooks than there are",
      { ...base, tasks: [{ id: "a", segments: pieces("5 cook cook") }] },
      "NOTHING_FITS",
    ],
    ["half minutes", { ...base, tasks: [{ id: "a", segments: pieces("2.5 cook") }] }, "OUT_OF_RANGE"],
    ["more than two weeks", { ...base, due: 20_161, tasks: [a] }, "OUT_OF_RANGE"],
    [
      "most wait under the least",
      { ...base, tasks: [a, { ...a, id: "b", after: [{ id: "a", lag: 9, hold: 3 }] }] },
      "OUT_OF_RANGE",
    ],
    ["no time left", { ...base, due: 5, tasks: [a] }, "HORIZON"],
  ])("%s", (_, input, code) => {
    expect(refused(input)).toContain(code);
  });
});
