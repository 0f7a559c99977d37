import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { NO_POOLS, type Pools, brixOf, massOfPools, volumeAt20 } from "../things/pot";
import { valueOf } from "../ground/result";
import { endOf, targetWords } from "./target";

const water = (grams: number): Pools => ({ ...NO_POOLS, water: grams });
/** A syrup: 60 g of sugar in a kilogram. */
const syrup: Pools = { ...NO_POOLS, water: 940, sugars: 60 };
/** What is in the pan when so much is left, by water alone. */
const leftAt = (liquor: Pools, endMl: number): Pools => {
  let [lo, hi] = [0, liquor.water];
  for (let i = 0; i < 60; i++) {
    const middle = (lo + hi) / 2;
    if (volumeAt20({ ...liquor, water: middle }) > endMl) hi = middle;
    else lo = middle;
  }
  return { ...liquor, water: (lo + hi) / 2 };
};

describe("where a reduction ends", () => {
  test("by a half and to a half are the same half", () => {
    const whole = volumeAt20(water(1000));
    expect(valueOf(endOf({ by: 0.5 }, water(1000))).endMl).toBeCloseTo(whole / 2, 6);
    expect(valueOf(endOf({ to: 0.5 }, water(1000))).endMl).toBeCloseTo(whole / 2, 6);
    expect(valueOf(endOf({ by: 0.9 }, water(1000))).endMl).toBeCloseTo(whole / 10, 6);
  });
  test("to a volume, to a weight, to a share of the weight", () => {
    expect(valueOf(endOf({ endMl: 300 }, water(1000))).endMl).toBe(300);
    const byWeight = valueOf(endOf({ endG: 600 }, syrup));
    expect(massOfPools(leftAt(syrup, byWeight.endMl))).toBeCloseTo(600, 3);
    const ofWeight = valueOf(endOf({ massRatio: 0.6 }, syrup));
    expect(ofWeight.endMl).toBeCloseTo(byWeight.endMl, 6);
  });
  test("to a refractometer reading: what is left then shows it", () => {
    const { endMl } = valueOf(endOf({ brix: 30 }, syrup));
    expect(brixOf(leftAt(syrup, endMl))).toBeCloseTo(30, 3);
    // 60 g of sugar at 30 °Bx weigh 200 g: the definition of the degree.
    expect(massOfPools(leftAt(syrup, endMl))).toBeCloseTo(200, 0);
  });
  test("of what was poured last: wine onto a glaze goes down by half, the glaze stays", () => {
    const glaze = water(100);
    const both = water(400);
    const kept = volumeAt20(glaze);
    const { endMl } = valueOf(endOf({ by: 0.5, of: "added" }, both, glaze));
    expect(endMl).toBeCloseTo(kept + (volumeAt20(both) - kept) / 2, 6);
    const weighed = valueOf(endOf({ endG: 150, of: "added" }, both, glaze));
    expect(massOfPools(leftAt(both, weighed.endMl))).toBeCloseTo(250, 3);
  });
});

describe("an end that cannot be is refused, with what is there", () => {
  const told = (target: Parameters<typeof endOf>[0], liquor = syrup) => {
    const end = endOf(target, liquor);
    return end.ok ? null : end.problems[0];
  };
  test.each([
    [{ endMl: 5000 }, "TARGET_ABOVE_START", /must end below/],
    [{ endG: 1000 }, "TARGET_ABOVE_START", /There are 1.000.g in the pan/],
    [{ brix: 3 }, "TARGET_ABOVE_START", /°Bx in the pan/],
    [{ endG: 40 }, "TARGET_BELOW_SOLIDS", /not water alone weighs 60/],
    [{ brix: 99 }, "TARGET_BELOW_SOLIDS", /Nearly dry it shows \d+ °Bx/],
  ] as const)("%j", (target, code, words) => {
    const problem = told(target);
    expect(problem?.code).toBe(code);
    expect(problem?.message).toMatch(words);
    expect(problem?.field).toBe("target");
  });
});

test("ends as a cook says them", () => {
  expect(targetWords({ by: 0.5 })).toBe("by 50 %");
  expect(targetWords({ to: 0.25 })).toBe("to 25 %");
  expect(targetWords({ massRatio: 0.333 })).toBe("to 33 % of its weight");
  expect(targetWords({ endG: 600 })).toMatch(/^to 600.g$/);
  expect(targetWords({ brix: 32 })).toBe("to 32.0 °Bx");
  expect(targetWords({ endMl: 300 })).toMatch(/^to .*(ml|l)$/);
});

property.prop([
  fc.double({ min: 200, max: 5000, noNaN: true }),
  fc.double({ min: 1, max: 30, noNaN: true }),
  fc.double({ min: 0.05, max: 0.95, noNaN: true }),
])("further down is always less, and never below what is not water", (grams, sugarPct, share) => {
  const liquor = { ...NO_POOLS, water: grams * (1 - sugarPct / 100), sugars: (grams * sugarPct) / 100 };
  const end = endOf({ massRatio: share }, liquor);
  if (!end.ok) {
    expect(share).toBeLessThanOrEqual(sugarPct / 100 + 1e-9);
    return;
  }
  const nearer = valueOf(endOf({ massRatio: (1 + share) / 2 }, liquor));
  expect(end.value.endMl).toBeLessThan(nearer.endMl);
  expect(end.value.endMl).toBeGreaterThan(0);
});
