import { chiSquareShare } from "../ground/distributions";
import { type Result, ok, refuse } from "../ground/result";

/** Which of several sauces ranks best, by what judges put in order. */

export interface Ranked {
  /** Sum of ranks of each product; the smallest was put first most. */
  readonly sums: readonly number[];
  /** Friedman’s statistic, corrected for ties. */
  readonly statistic: number;
  readonly p: number;
  readonly exact: boolean;
  readonly shown: boolean;
  /** Two sums further apart than this differ; only where there is a difference at all. */
  readonly leastDifference: number;
  readonly judges: number;
}

const LEVEL = 0.05;
const TWO_SIDED_95 = 1.959964;
/** Up to so many judges every order of every judge is counted. */
const EXACT_JUDGES: Readonly<Record<number, number>> = { 3: 20, 4: 10 };

/**
 * @param ranks a row for each judge, a rank for each product, 1 the first; ties share the mean of their places
 * @errors NOT_ENOUGH fewer than two judges or products · OUT_OF_RANGE a row that is no ranking
 * Source: Friedman’s test, exact by counting all orders where they are few, else by chi-square; docs/models.md "Tastings".
 * @example six judges 123 213 123 132 123 213: sums 8, 11, 17, statistic 7.00, p 0.0289
 */
export function ranked(ranks: readonly (readonly number[])[]): Result<Ranked> {
  const t = ranks[0]?.length ?? 0;
  const b = ranks.length;
  if (b < 2 || t < 2)
    return refuse({
      code: "NOT_ENOUGH",
      field: "ranks",
      message: "Two judges and two sauces at least make a ranking.",
    });
  const whole = (t * (t + 1)) / 2;
  const bad = ranks.findIndex(
    row => row.length !== t || Math.abs(row.reduce((sum, r) => sum + r, 0) - whole) > 1e-9,
  );
  if (bad >= 0)
    return refuse({
      code: "OUT_OF_RANGE",
      field: "ranks",
      message: `Judge ${bad + 1} has not put all ${t} sauces in an order.`,
    });
  const sums = Array.from({ length: t }, (_, j) => ranks.reduce((sum, row) => sum + (row[j] ?? 0), 0));
  const squares = sums.reduce((sum, r) => sum + r * r, 0);
  const plain = (12 / (b * t * (t + 1))) * squares - 3 * b * (t + 1);
  const tied = ranks.reduce((sum, row) => sum + tiesIn(row), 0);
  const correction = 1 - tied / (b * (t ** 3 - t));
  const statistic = correction > 0 ? plain / correction : 0;
  const exact = tied === 0 && b <= (EXACT_JUDGES[t] ?? 0);
  const p = exact ? exactTail(b, t, squares) : 1 - chiSquareShare(statistic, t - 1);
  return ok({
    sums,
    statistic,
    p,
    exact,
    shown: p <= LEVEL,
    leastDifference: TWO_SIDED_95 * Math.sqrt((b * t * (t + 1)) / 6),
    judges: b,
  });
}

/** Σ(τ³ − τ) over the groups of equal ranks of one judge. */
function tiesIn(row: readonly number[]): number {
  const groups = new Map<number, number>();
  for (const r of row) groups.set(r, (groups.get(r) ?? 0) + 1);
  return [...groups.values()].reduce((sum, n) => sum + n ** 3 - n, 0);
}

function ordersOf(t: number): number[][] {
  if (t === 0) return [[]];
  return ordersOf(t - 1).flatMap(order =>
    Array.from({ length: t }, (_, at) => [...order.slice(0, at), t, ...order.slice(at)]),
  );
}

/** Probability of sums of ranks whose squares add to at least so much, were all orders equally likely. */
function exactTail(b: number, t: number, squares: number): number {
  const orders = ordersOf(t);
  // Which product has which sum is of no matter: sorted, far fewer are left.
  let reached = new Map<string, { sums: number[]; share: number }>([
    ["", { sums: Array<number>(t).fill(0), share: 1 }],
  ]);
  for (let judge = 0; judge < b; judge++) {
    const next = new Map<string, { sums: number[]; share: number }>();
    for (const { sums, share } of reached.values())
      for (const order of orders) {
        const then = sums.map((s, j) => s + (order[j] ?? 0)).sort((x, y) => x - y);
        const key = then.join();
        const was = next.get(key);
        if (was) was.share += share / orders.length;
        else next.set(key, { sums: then, share: share / orders.length });
      }
    reached = next;
  }
  return [...reached.values()]
    .filter(({ sums }) => sums.reduce((sum, r) => sum + r * r, 0) >= squares)
    .reduce((sum, { share }) => sum + share, 0);
}
