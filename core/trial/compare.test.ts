import { describe, expect, test } from "vitest";
import { type TriedBatch, compareVariants } from ".";

const batch = (more: Partial<TriedBatch>): TriedBatch => ({
  baseG: 10_000,
  actualG: null,
  actualMin: null,
  body: null,
  brix: null,
  salt: null,
  ph: null,
  score: null,
  cost: null,
  ...more,
});

describe("C162 variants side by side", () => {
  test("vegetables early against late: yield 9.6 and 9.9 l, score 6.8 and 7.6, size taken out", () => {
    const rows = compareVariants([
      { foreseen: null, batches: [batch({ actualG: 9600, score: 6.8 })] },
      { foreseen: null, batches: [batch({ baseG: 5000, actualG: 4950, score: 7.6 })] },
    ]);
    expect(rows.map(row => [row.label, ...row.variants.map(v => v.cooked?.value)])).toEqual([
      ["yield", 960, 990],
      ["score", 6.8, 7.6],
    ]);
    expect(rows.every(row => row.apart === null)).toBe(true);
  });
  test("far apart and close together is told apart; scattered is not", () => {
    const scored = (...scores: number[]) => ({
      foreseen: null,
      batches: scores.map(score => batch({ score })),
    });
    const apart = (a: number[], b: number[]) =>
      compareVariants([scored(...a), scored(...b)]).find(r => r.label === "score")?.apart;
    expect(apart([6.8, 6.9, 6.7], [7.9, 8.0, 8.1])).toBe(true);
    expect(apart([6, 8, 7], [7, 8.5, 6.5])).toBe(false);
    expect(apart([6.8], [9])).toBeNull();
  });
});
