import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { valueOf } from "../ground/result";
import type { BatchRecord } from "../run";
import { attributesOf, readiness, scoreOf } from ".";

const good = (n: number) => Array<number>(n).fill(0.01);
const of = (...lists: readonly number[][]) =>
  readiness(lists.map((deviations, i) => ({ name: `a${i}`, deviations, tolerance: 0.05 })));

describe("readiness to become the standard", () => {
  // Check values of the design, made with an independent beta function.
  test.each([
    [10, 10, 91.41],
    [9, 9, 89.26],
    [14, 15, 85.93],
  ])("%i of %i inside score %f", (inside, n, score) => expect(scoreOf(inside, n)).toBeCloseTo(score, 2));
  test("ten of ten is the first perfect record that passes; nine of nine lacks one", () => {
    expect(valueOf(of(good(10)))).toMatchObject({ ready: true, missing: 0 });
    expect(valueOf(of(good(9)))).toMatchObject({ ready: false, missing: 1 });
    expect(valueOf(of(good(0), good(2)))).toMatchObject({ missing: 8 });
  });
  test("the weakest attribute decides, and one of the last three outside holds it up", () => {
    const both = valueOf(of(good(20), good(9)));
    expect(both.score).toBeCloseTo(89.26, 2);
    const late = valueOf(of([...good(30), 0.2, 0.01]));
    expect(late.attributes[0]).toMatchObject({ n: 32, inside: 31, lastInside: false });
    expect(late.ready).toBe(false);
  });
  test("a last batch far from its neighbours rings, though it is inside", () => {
    const quiet = [0.001, 0.002, 0.001, 0.003, 0.002, 0.001, 0.002, 0.003, 0.002, 0.001, 0.002];
    expect(valueOf(of([...quiet, 0.04])).attributes[0]?.alarm).toBe(true);
    expect(valueOf(of([...quiet, 0.002])).ready).toBe(true);
  });
  test("nothing measured is said, not scored", () => {
    const none = of([], []);
    expect(none.ok ? "" : none.problems[0]?.code).toBe("EMPTY");
    expect(of([NaN]).ok).toBe(false);
  });
  test("one more good batch never lowers the score, one more bad one never raises it", () =>
    fc.assert(
      fc.property(fc.nat(60), fc.nat(60), (a, b) => {
        const [inside, n] = [Math.min(a, b), Math.max(a, b)];
        expect(scoreOf(inside + 1, n + 1)).toBeGreaterThanOrEqual(scoreOf(inside, n) - 1e-9);
        expect(scoreOf(inside, n + 1)).toBeLessThanOrEqual(scoreOf(inside, n) + 1e-9);
      }),
    ));
});

test("of batches yield, time and salt are held against what was wanted; what nobody measured is left out", () => {
  const compared = (deviation: number | null) => ({ deviation }) as BatchRecord["yieldG"];
  const salt = (first: number, ...more: number[]) =>
    [
      {
        ingredientId: "fine-salt",
        doses: [first, ...more].map(massG => ({ massG })),
        totalG: [first, ...more].reduce((a, b) => a + b, 0),
      },
    ] as unknown as BatchRecord["seasoned"];
  const record = (over: Partial<BatchRecord>) =>
    ({ yieldG: compared(null), yieldMl: compared(null), minutes: compared(null), ...over }) as BatchRecord;
  const of = attributesOf([
    record({ yieldG: compared(-0.04), seasoned: salt(27.5, 5, 5, 4, 3) ?? [] }),
    record({ yieldMl: compared(0.02), minutes: compared(0.1), thickness: { planned: 42, actual: 47 } }),
  ]);
  const [yields, time, thickness, salts] = of.map(({ name, deviations }) => [name, deviations] as const);
  expect(yields).toEqual(["yield", [-0.04, 0.02]]);
  expect(time).toEqual(["time", [0.1]]);
  // Five points of the scale of body.
  expect(thickness).toEqual(["thickness", [0.05]]);
  // 44.5 g where 27.5 g were written.
  expect(salts?.[1][0]).toBeCloseTo(0.618, 3);
  expect(salts?.[1]).toHaveLength(1);
});
