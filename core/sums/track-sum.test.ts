import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { est, num, pot, refusal, work } from "./testing";

/** 6.4 kg to a third at 40 g/min: 106.75 min. Exact arithmetic. */
const plain = { startG: 6400, targetG: 2130, rateGPerMin: 40 };
const reading = (min: number, netG: number) => ({ min, netG });
const track = (input: object) => work("reduce-track", { ...plain, readings: [], ...input });
const ready = (input: object) => est(track(input).readyAtMin);

describe("before anything is read", () => {
  test("the rate that was said tells the end, as an estimate", () => {
    expect(ready({}).value).toBeCloseTo((6400 - 2130) / 40, 1);
    expect(ready({}).basis).toBe("estimate");
  });
  test("a pace learned shortens it as much", () => {
    expect(ready({ pace: 1.25 }).value).toBeCloseTo((6400 - 2130) / 50, 1);
  });
  test("without rate and pan half an hour is guessed, and it says so", () => {
    const guessed = work("reduce-track", { startG: 6400, targetG: 2130, readings: [] });
    expect(est(guessed.readyAtMin).value).toBeCloseTo(30, 1);
    expect(guessed.warnings.map(w => w.code)).toContain("PACE_GUESSED");
  });
  test("from pan and flame it is as long as the reduction’s own sum says", () => {
    const pan = { vessel: pot(360, 200), heat: { watts: 3000 } };
    const model = work("reduce", { startG: 6400, ...pan, target: { endG: 2130 } });
    const tracked = work("reduce-track", { startG: 6400, targetG: 2130, ...pan, readings: [] });
    const boil = est(tracked.readyAtMin).value;
    // The tracker begins when it boils; what comes before is in the other.
    expect(boil).toBeLessThan(est(model.minutes).value + 1);
    expect(boil).toBeGreaterThan(0.5 * est(model.minutes).value);
  });
});

describe("with readings", () => {
  test("time off the fire is no slowness, and what was seen is counted on next time", () => {
    const readings = [reading(10, 6000), reading(40, 5580)];
    const off = track({ readings, events: [{ min: 12, offMin: 18 }] });
    expect(off.status).toBe("on-pace");
    expect(track({ readings }).status).not.toBe("on-pace");
    const slow = track({ readings: [reading(20, 5760), reading(40, 5120), reading(60, 4480)] });
    expect(num(slow.nextPace)).toBeGreaterThan(num(slow.pace));
    expect(num(slow.nextPace)).toBeLessThan(0.9);
  });
  test("as foreseen: nothing moves, and the limits close in", () => {
    const two = track({ readings: [reading(20, 5600), reading(40, 4800)] });
    expect(two.status).toBe("on-pace");
    expect(est(two.readyAtMin).value).toBeCloseTo(106.75, 0);
    const width = (e: { lo: number; hi: number | null }) => (e.hi ?? Infinity) - e.lo;
    expect(width(est(two.readyAtMin))).toBeLessThan(width(ready({})));
    expect(est(two.readyAtMin).basis).toBe("measured");
  });
  test.each([
    ["slow", [6200, 6000, 5800], /slower than foreseen/],
    ["fast", [5600, 4800, 4000], /faster than foreseen/],
  ] as const)("%s is said, and moves the arrival", (status, masses, words) => {
    const found = track({ readings: masses.map((m, i) => reading(10 * (i + 1), m)) });
    expect(found.status).toBe(status);
    expect(found.sentence).toMatch(words);
    const late = est(found.readyAtMin).value > 106.75;
    expect(late).toBe(status === "slow");
  });
  test("at the mark it is there", () => {
    const found = track({ readings: [reading(60, 4000), reading(107, 2126)] });
    expect(found.status).toBe("there");
    expect(found.sentence).toMatch(/it is there/);
  });
  test("what was topped up is not taken for a misread scale", () => {
    const found = track({
      readings: [reading(10, 6000), reading(21, 6560)],
      events: [{ min: 20, addedG: 1000 }],
    });
    const codes = (found.events as { code: string }[]).map(e => e.code);
    expect(codes).toEqual(["ADDED"]);
    expect(est(found.massG).value).toBeCloseTo(6560, -2);
  });
  test("the same weighed with the pot, read on the stick, or read off as kilograms without it", () => {
    const cylinder = pot(300, 300);
    // 300 mm wide: 70.686 cm² times the level; 0.9617 g/ml is water at 96 °C (handbook value).
    const levelMm = (grams: number) => grams / 0.9617 / (Math.PI * 150 ** 2 * 0.001);
    const net = track({ readings: [reading(20, 5600)] });
    const gross = track({ tareG: 2300, readings: [{ min: 20, grossG: 7900 }] });
    const dipped = track({
      vessel: cylinder,
      readings: [{ min: 20, levelMm: levelMm(5600), c: 96 }],
    });
    expect(est(gross.massG).value).toBeCloseTo(est(net.massG).value, 6);
    expect(Math.abs(est(dipped.massG).value - 5600)).toBeLessThan(40);
    const width = (e: { lo: number; hi: number | null }) => (e.hi ?? Infinity) - e.lo;
    // Bubbles lift a level by millimetres: 400 g on this floor.
    expect(width(est(dipped.massG))).toBeGreaterThan(width(est(net.massG)));
  });
  test("solids on the floor are not taken for liquor", () => {
    const at = (solidsMl: number) =>
      est(track({ vessel: pot(300, 300), solidsMl, readings: [{ min: 20, levelMm: 90, sdG: 5 }] }).massG)
        .value;
    expect(at(0) - at(500)).toBeGreaterThan(400);
  });
  test("a target said as a share is the mass that share leaves", () => {
    const said = work("reduce-track", { startG: 6000, target: { by: 0.5 }, rateGPerMin: 50, readings: [] });
    // Half of 6 kg of water at 20 °C, 998.2 g/l: 3 kg to go.
    expect(est(said.readyAtMin).value).toBeCloseTo(60, 0);
  });
});

describe("what cannot be is told, with its place", () => {
  const told = (input: object) => refusal("reduce-track", { ...plain, readings: [], ...input })[0];
  test.each([
    ["no end", { targetG: undefined }, "targetG", /where it ends/],
    ["an end above the start", { targetG: 7000 }, "targetG", /must be less/],
    [
      "readings that go back in time",
      { readings: [reading(20, 5600), reading(10, 5000)] },
      "readings.1.min",
      /not later/,
    ],
    ["a gross weight without the tare", { readings: [{ min: 5, grossG: 8000 }] }, "tareG", /empty pot/],
    [
      "less than the empty pot",
      { tareG: 2300, readings: [{ min: 5, grossG: 2000 }] },
      "readings.0.grossG",
      /.{10}/,
    ],
    ["a level without its pot", { readings: [{ min: 5, levelMm: 80 }] }, "vessel", /pot it was read in/],
    [
      "a level above the rim",
      { vessel: pot(300, 200), readings: [{ min: 5, levelMm: 900 }] },
      "readings.0.levelMm",
      /.{10}/,
    ],
    ["a reading of nothing", { readings: [{ min: 5 }] }, "readings.0", /needs a weight or a level/],
  ])("%s", (_, input, field, words) => {
    const problem = told(input);
    expect(problem?.field).toBe(field);
    expect(problem?.message).toMatch(words);
  });
});

property.prop([
  fc.double({ min: 0.5, max: 2, noNaN: true }),
  fc.array(fc.integer({ min: 2, max: 12 }), { minLength: 3, maxLength: 6 }),
])("whatever the true pace, the readings find it", (pace, gaps) => {
  let at = 0;
  const readings = gaps.flatMap(gap => {
    at += gap;
    const massG = 6400 - 40 * pace * at;
    return massG > 2400 ? [reading(at, massG)] : [];
  });
  if (readings.length < 3) return;
  const found = track({ readings });
  const truth = (6400 - 2130) / (40 * pace);
  const { lo, hi, value } = est(found.readyAtMin);
  expect(num(found.pace) / pace).toBeGreaterThan(0.7);
  expect(num(found.pace) / pace).toBeLessThan(1.4);
  expect(value).toBeGreaterThanOrEqual(lo);
  expect(lo).toBeLessThan(truth * 1.15);
  if (hi !== null) expect(hi).toBeGreaterThan(truth * 0.85);
});
