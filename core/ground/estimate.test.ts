import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { FACTS, FACT_IDS, NOMINAL_FACTS } from "./facts";
import { type Swing, swingIntervals, weakest } from "./estimate";

const swing = (key: string, value: number, lo: number, hi: number): Swing => ({ key, value, lo, hi });
const valueIn = (
  swings: readonly Swing[],
  moved: { key: string; value: number } | null,
  key: string,
): number => (moved?.key === key ? moved.value : swings.find(s => s.key === key)?.value) ?? NaN;
const one = (evaluate: (get: (key: string) => number) => number, swings: readonly Swing[], positive = true) =>
  swingIntervals(moved => [evaluate(key => valueIn(swings, moved, key))], swings, positive)[0];

describe("intervals by swings", () => {
  test("one linear parameter gives its own limits", () => {
    expect(one(get => 3 * get("a"), [swing("a", 2, 1, 4)], false)).toEqual({ value: 6, lo: 3, hi: 12 });
  });
  test("two independent ones add up in quadrature", () => {
    const found = one(get => get("a") + get("b"), [swing("a", 10, 7, 13), swing("b", 20, 16, 24)], false);
    expect(found?.lo).toBeCloseTo(25, 9);
    expect(found?.hi).toBeCloseTo(35, 9);
  });
  test("a positive result is formed on its logarithm: factors stay factors", () => {
    const found = one(get => 60 / get("heat"), [swing("heat", 1, 0.5, 2)]);
    expect(found?.lo).toBeCloseTo(30, 9);
    expect(found?.hi).toBeCloseTo(120, 9);
  });
  test("what moves both ways the same way widens one side only", () => {
    const found = one(get => 5 + get("a") ** 2, [swing("a", 0, -2, 2)], false);
    expect(found).toEqual({ value: 5, lo: 5, hi: 9 });
  });
  test("a limit at which it never arrives leaves no upper bound", () => {
    expect(
      one(get => (get("heat") < 0.6 ? NaN : 10 / get("heat")), [swing("heat", 1, 0.5, 2)]),
    ).toMatchObject({ hi: null });
  });
  test("the same physical thing in two places moves in both together", () => {
    const together = one(get => get("flame") + get("flame"), [swing("flame", 10, 8, 12)], false);
    expect(together).toEqual({ value: 20, lo: 16, hi: 24 });
  });
  property.prop([
    fc.array(
      fc.tuple(fc.double({ min: 0.5, max: 2, noNaN: true }), fc.double({ min: 0, max: 0.5, noNaN: true })),
      { maxLength: 6 },
    ),
  ])("the value lies inside, and more unknowns never make it narrower", drawn => {
    const swings = drawn.map(([value, spread], i) => swing(`p${i}`, value, value - spread, value + spread));
    const product = (moved: { key: string; value: number } | null) => [
      swings.reduce((all, { key }) => all * Math.max(valueIn(swings, moved, key), 1e-3), 1),
    ];
    const [all] = swingIntervals(product, swings);
    const [fewer] = swingIntervals(product, swings.slice(1));
    expect(all?.lo).toBeLessThanOrEqual((all?.value ?? 0) * (1 + 1e-12));
    expect(all?.hi ?? Infinity).toBeGreaterThanOrEqual((all?.value ?? 0) * (1 - 1e-12));
    expect((all?.hi ?? 0) - (all?.lo ?? 0)).toBeGreaterThanOrEqual(
      (fewer?.hi ?? 0) - (fewer?.lo ?? 0) - 1e-9,
    );
  });
});

test("the weakest kind of knowledge that entered is the one that counts", () => {
  expect(weakest([])).toBe("exact");
  expect(weakest(["published", "measured"])).toBe("published");
  expect(weakest(["published", "estimate", "memory"])).toBe("estimate");
});

describe("the register of facts", () => {
  test.each(FACT_IDS)("%s has a range around its value, a mark, words and a source", id => {
    const fact = FACTS[id];
    expect(fact.lo).toBeLessThanOrEqual(fact.value);
    expect(fact.hi).toBeGreaterThanOrEqual(fact.value);
    expect(fact.label.length).toBeGreaterThan(8);
    expect(fact.source.length).toBeGreaterThan(5);
    expect(["P", "M", "T", "E"]).toContain(fact.mark);
    expect(NOMINAL_FACTS[id]).toBe(fact.value);
  });
});
