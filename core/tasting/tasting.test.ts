import { betaInverse } from "../ground/distributions";
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { valueOf } from "../ground/result";
import {
  type Kind,
  type Seat,
  checkAnswer,
  discriminated,
  leastRight,
  outcomeOf,
  powerOf,
  ranked,
  repeats,
  scored,
  scoresCompared,
  servingPlan,
  tastersNeeded,
  tastingTold,
} from ".";

/** Check values I-1 … I-9 of the design’s models. */

describe("a triangle", () => {
  test("I-1 fourteen of twenty-four tell them apart, and more than a third of people do", () => {
    const found = valueOf(discriminated("triangle", 24, 14));
    expect(found.p).toBeCloseTo(0.010341, 5);
    expect(found.shown).toBe(true);
    expect(found.share.value).toBeCloseTo(0.375, 9);
    // 0.3664–0.7789 of right answers.
    expect(found.share.lo).toBeCloseTo((0.3664 - 1 / 3) / (2 / 3), 3);
    expect(found.share.hi).toBeCloseTo((0.7789 - 1 / 3) / (2 / 3), 3);
  });
  test("I-2 twelve of twenty-four do not show it, thirteen do", () => {
    expect(valueOf(discriminated("triangle", 24, 12)).p).toBeCloseTo(0.06766, 5);
    expect(valueOf(discriminated("triangle", 24, 13)).p).toBeCloseTo(0.02844, 5);
    expect(valueOf(discriminated("triangle", 24, 12)).shown).toBe(false);
  });
  test("fewest right answers, 6 to 60 tasters, at 5 and 1 %", () => {
    // ISO 4120:2021, table A.1, from memory; equal to exact rational arithmetic.
    const five =
      "5 5 6 6 7 7 8 8 9 9 9 10 10 11 11 12 12 12 13 13 14 14 15 15 15 16 16 17 17 17 18 18 19 19 19 20 20 20 21 21 22 22 22 23 23 24 24 24 25 25 26 26 26 27 27";
    const one =
      "6 6 7 7 8 8 9 9 10 10 11 11 12 12 13 13 14 14 15 15 15 16 16 17 17 18 18 18 19 19 20 20 21 21 21 22 22 23 23 24 24 24 25 25 26 26 26 27 27 28 28 28 29 29 30";
    const found = (level: number) =>
      Array.from({ length: 55 }, (_, i) => valueOf(leastRight("triangle", i + 6, level))).join(" ");
    expect(found(0.05)).toBe(five);
    expect(found(0.01)).toBe(one);
  });
  test("two tasters can show nothing", () => {
    expect(valueOf(leastRight("triangle", 2))).toBeNull();
    expect(valueOf(powerOf("triangle", 2, 0.9))).toBe(0);
  });
  test("power, as a saw", () => {
    for (const [noticing, n, power] of [
      [0.2, 18, 0.3009],
      [0.2, 24, 0.2967],
      [0.3, 36, 0.7155],
      [0.5, 12, 0.6315],
      [0.5, 60, 0.9998],
    ] as const)
      expect(valueOf(powerOf("triangle", n, noticing))).toBeCloseTo(power, 4);
  });
  test("I-4 tasters needed", () => {
    expect(valueOf(tastersNeeded("triangle", 0.3, 0.8))).toBe(42);
    expect(valueOf(tastersNeeded("triangle", 0.5, 0.9))).toBe(22);
    expect(tastersNeeded("triangle", 0.01, 0.9).ok).toBe(false);
  });
});

test("duo-trio and preference, fewest right at 5 and 1 %", () => {
  const row = (of: "duo-trio" | "paired preference") =>
    [8, 12, 20, 30, 48, 60].map(n => [0.05, 0.01].map(level => valueOf(leastRight(of, n, level))).join("/"));
  expect(row("duo-trio")).toEqual(["7/8", "10/11", "15/16", "20/22", "31/33", "37/40"]);
  expect(row("paired preference")).toEqual(["8/8", "10/11", "15/17", "21/23", "32/34", "39/41"]);
});

test("I-3 a preference of twenty in thirty is not shown, either way round", () => {
  expect(valueOf(discriminated("paired preference", 30, 20)).p).toBeCloseTo(0.09874, 5);
  expect(valueOf(discriminated("paired preference", 30, 10)).p).toBeCloseTo(0.09874, 5);
});

test("the exact sums are those of the beta distribution of a library", () => {
  // P(X ≥ x) = I_p(x, n − x + 1): turned round, its inverse gives p back.
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 120 }), fc.double({ min: 0.1, max: 0.9, noNaN: true }), (n, at) => {
      const x = Math.max(1, Math.round(at * n));
      const { p } = valueOf(discriminated("triangle", n, x));
      if (p > 1e-6 && p < 1 - 1e-6) expect(betaInverse(p, x, n - x + 1)).toBeCloseTo(1 / 3, 6);
    }),
    { seed: 20261201 },
  );
});

test("answers that cannot be are refused in words", () => {
  expect(discriminated("triangle", 0, 0).ok).toBe(false);
  expect(discriminated("triangle", 5, 6).ok).toBe(false);
  expect(leastRight("triangle", 5.5).ok).toBe(false);
});

const rows = (...of: string[]) => of.map(row => [...row].map(Number));

describe("a ranking", () => {
  test("I-5 six judges, three sauces", () => {
    const found = valueOf(ranked(rows("123", "213", "123", "132", "123", "213")));
    expect(found.sums).toEqual([8, 11, 17]);
    expect(found.statistic).toBeCloseTo(7, 9);
    expect(found.p).toBeCloseTo(0.02894, 5);
    expect(found.leastDifference).toBeCloseTo(6.79, 2);
    expect(found.exact).toBe(true);
  });
  test("I-6 a printed point: three sauces, four judges, 6.5 → .042", () => {
    // Friedman 1937, table of exact points; from memory.
    const found = valueOf(ranked(rows("123", "123", "123", "132")));
    expect(found.statistic).toBeCloseTo(6.5, 9);
    expect(found.p).toBeCloseTo(0.04167, 5);
  });
  test("I-7 ties share their places, and the statistic says so", () => {
    const found = valueOf(
      ranked([
        [1, 2.5, 2.5, 4],
        [1, 2, 3, 4],
        [2, 1, 4, 3],
        [1.5, 1.5, 3, 4],
        [1, 3, 2, 4],
      ]),
    );
    expect(found.sums).toEqual([6.5, 10, 14.5, 19]);
    expect(found.statistic).toBeCloseTo(11.0625, 4);
    expect(found.p).toBeCloseTo(0.01139, 5);
    expect(found.exact).toBe(false);
  });
  test("all equal shows nothing; a row that is no order is refused", () => {
    expect(valueOf(ranked(rows("123", "231", "312"))).p).toBeCloseTo(1, 9);
    expect(ranked(rows("123", "133")).ok).toBe(false);
  });
});

describe("scores", () => {
  test("I-8 one sauce", () => {
    const found = valueOf(scored([6, 7, 7, 8, 5, 6, 7, 7]));
    expect(found.mean).toBeCloseTo(6.625, 9);
    expect(found.sd).toBeCloseTo(0.9161, 4);
    expect([found.lo, found.hi]).toEqual([expect.closeTo(5.859, 3), expect.closeTo(7.391, 3)]);
  });
  test("I-9 three sauces by five judges", () => {
    const found = valueOf(scoresCompared(rows("675", "786", "575", "886", "687")));
    expect(found.means).toEqual([expect.closeTo(6.4, 9), expect.closeTo(7.6, 9), expect.closeTo(5.8, 9)]);
    expect(found.errorVariance).toBeCloseTo(0.3667, 4);
    expect(found.f).toBeCloseTo(11.455, 3);
    expect(found.p).toBeCloseTo(0.0045, 4);
    expect(found.leastDifference).toBeCloseTo(0.883, 3);
  });
  test("a judge who is harder on all of them changes nothing", () => {
    const table = rows("675", "786", "575", "886", "687");
    const harder = table.map((row, i) => row.map(x => (i === 2 ? x - 2 : x)));
    expect(valueOf(scoresCompared(harder)).p).toBeCloseTo(valueOf(scoresCompared(table)).p, 12);
  });
  test("C129 the same pot twice: half a point apart is accepted", () => {
    expect(
      repeats([
        [7, 6.5],
        [6, 7],
      ]),
    ).toEqual([
      { apart: 0.5, accepted: true },
      { apart: 1, accepted: false },
    ]);
  });
});

describe("cups", () => {
  const plan = (kind: Kind, samples: number, seats: number, duplicate = false) =>
    valueOf(servingPlan(kind, { samples, seats, duplicate, start: 417 }));
  test("a triangle goes through its six orders equally often; no code stands twice", () => {
    const seats = plan("triangle", 2, 24);
    const orders = seats.map(cups => cups.map(c => c.key).join(""));
    for (const order of ["AAB", "ABA", "BAA", "BBA", "BAB", "ABB"])
      expect(orders.filter(o => o === order)).toHaveLength(4);
    const codes = seats.flat().map(c => c.code);
    expect(new Set(codes).size).toBe(codes.length);
    expect(codes.every(code => /^\d{3}$/.test(code))).toBe(true);
  });
  test.each([3, 4, 5, 6])("%i samples stand at every place, and after every other, equally often", t => {
    const rows = plan("ranking", t, t % 2 ? 2 * t : t).map(cups => cups.map(c => c.key));
    const counts = (of: (row: string[]) => string[]) => {
      const n = new Map<string, number>();
      for (const x of rows.flatMap(of)) n.set(x, (n.get(x) ?? 0) + 1);
      return [new Set(n.values()).size, n.size];
    };
    expect(counts(row => row.map((key, i) => `${i}${key}`))).toEqual([1, t * t]);
    expect(counts(row => row.slice(1).map((key, i) => `${row[i]}${key}`))).toEqual([1, t * (t - 1)]);
  });
  test("C129 one sample comes twice where judges are to be tried", () => {
    const [first = []] = plan("scores", 2, 6, true);
    expect(first.map(c => c.key).sort()).toEqual(["A", "A", "B"]);
  });
  test("too few samples, too many cups: refused in words", () => {
    expect(servingPlan("triangle", { samples: 3, seats: 6, duplicate: false, start: 0 }).ok).toBe(false);
    const many = servingPlan("scores", { samples: 6, seats: 120, duplicate: true, start: 0 });
    expect(many.ok).toBe(true);
    const crowd = servingPlan("ranking", { samples: 4, seats: 121, duplicate: false, start: 0 });
    expect(!crowd.ok && crowd.problems[0]?.message).toContain("120");
  });
});

describe("a panel", () => {
  const names = ["The old one", "The new one"];
  const triangle = (rightOnes: number, n = 24): Seat[] =>
    valueOf(servingPlan("triangle", { samples: 2, seats: n, duplicate: false, start: 5 })).map((cups, i) => {
      const odd = cups.find(c => cups.filter(d => d.key === c.key).length === 1);
      const other = cups.find(c => c !== odd);
      return { cups, answer: { chosen: (i < rightOnes ? odd : other)?.code ?? "" } };
    });
  const told = (seats: Seat[]) =>
    tastingTold("triangle", valueOf(outcomeOf("triangle", 2, seats)), { names, question: "", expected: "A" });
  test("fourteen of twenty-four: told apart", () => {
    const { shown, verdict } = told(triangle(14));
    expect([shown, verdict]).toEqual([true, "People can tell them apart: 14 of 24 were right."]);
  });
  test("ten of twenty-four: not shown, and no proof of sameness", () => {
    const { shown, more } = told(triangle(10));
    expect(shown).toBe(false);
    expect(more.join(" ")).toContain("13 of 24 would have shown it.");
    expect(more.join(" ")).toContain("no proof they are the same");
  });
  test("seats without an answer do not count", () => {
    const seats = triangle(6, 12).map((seat, i) => (i >= 10 ? { ...seat, answer: null } : seat));
    expect(valueOf(outcomeOf("triangle", 2, seats))).toMatchObject({ found: { n: 10, right: 6 } });
    expect(outcomeOf("triangle", 2, []).ok).toBe(false);
  });
  test("scores of two samples, one of them twice: judges are tried by it", () => {
    const plan = valueOf(servingPlan("scores", { samples: 2, seats: 8, duplicate: true, start: 9 }));
    const seats = plan.map((cups, judge): Seat => {
      let again = 0;
      return {
        cups,
        answer: {
          scores: Object.fromEntries(
            cups.map(c => [c.code, c.key === "B" ? 8 - (judge % 2) : 6 + (judge === 0 && again++ ? 2 : 0)]),
          ),
        },
      };
    });
    const outcome = valueOf(outcomeOf("scores", 2, seats));
    const said = tastingTold("scores", outcome, { names, question: "", expected: "A" });
    expect(said.verdict).toBe("The new one scores best, shown above The old one.");
    expect(said.more.join(" ")).toContain(
      "7 of 8 judges scored it the same within half a point; the other 1",
    );
  });
  test("a preference leaves out who has none", () => {
    const seats = valueOf(
      servingPlan("paired preference", { samples: 2, seats: 10, duplicate: false, start: 1 }),
    ).map((cups, i): Seat => ({
      cups,
      answer: { chosen: i < 2 ? null : (cups.find(c => c.key === "B")?.code ?? null) },
    }));
    const outcome = valueOf(outcomeOf("paired preference", 2, seats));
    expect(outcome).toMatchObject({ none: 2, found: { n: 8, right: 0, shown: true } });
    expect(tastingTold("paired preference", outcome, { names, question: "", expected: "A" }).verdict).toBe(
      "The new one is liked better: 8 of 8 chose it.",
    );
  });
  test("an answer must be one to these cups", () => {
    const [cups = []] = valueOf(servingPlan("ranking", { samples: 3, seats: 1, duplicate: false, start: 0 }));
    const codes = cups.map(c => c.code);
    expect(checkAnswer("ranking", cups, { order: codes }).ok).toBe(true);
    expect(checkAnswer("ranking", cups, { order: codes.slice(1) }).ok).toBe(false);
    expect(checkAnswer("triangle", cups, { chosen: "999" }).ok).toBe(false);
    expect(checkAnswer("triangle", cups, { chosen: null }).ok).toBe(false);
  });
});
