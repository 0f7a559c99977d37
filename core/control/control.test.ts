import fc from "fast-check";
import { describe, expect, test } from "vitest";
import {
  CHART,
  type ChartedBatch,
  RULES,
  capabilityOf,
  controlChart,
  driftOf,
  seriesInWords,
  seriesOf,
} from ".";
import { valueOf } from "../ground/result";

/** Twelve yields, kg/kg, and the band their recipe allows. Check values J-1 … J-4 of the design’s models. */
const YIELDS = [0.412, 0.405, 0.418, 0.409, 0.401, 0.415, 0.398, 0.407, 0.411, 0.403, 0.396, 0.4];
const BAND = { low: 0.38, high: 0.43 };

test("constants of a chart of single values, as handbooks print them: 1.128, 2.660, 3.267", () => {
  // ASTM MNL 7, table of factors for n = 2; from memory.
  expect(CHART.d2).toBeCloseTo(1.128, 3);
  expect(CHART.e2).toBeCloseTo(2.66, 2);
  expect(CHART.d4).toBeCloseTo(3.267, 3);
});

describe("limits", () => {
  test("J-1 of twelve yields", () => {
    const chart = valueOf(controlChart(YIELDS));
    expect(chart.mean).toBeCloseTo(0.40625, 5);
    expect(chart.mrBar).toBeCloseTo(0.009091, 5);
    expect(chart.sigma).toBeCloseTo(0.008057, 5);
    expect(chart.upper).toBeCloseTo(0.43042, 5);
    expect(chart.lower).toBeCloseTo(0.38208, 5);
    expect(chart.upperRange).toBeCloseTo(0.0297, 5);
    expect(chart.stage).toBe("full");
  });
  test("four batches are drawn only; eleven have provisional limits, and only what is far out is said", () => {
    expect(valueOf(controlChart(YIELDS.slice(0, 4)))).toMatchObject({ stage: "plot only", sigma: null });
    const eleven = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11];
    expect(valueOf(controlChart(eleven))).toMatchObject({ stage: "provisional" });
    expect(valueOf(controlChart(eleven)).alarms.every(a => a.rule === "one-far-out")).toBe(true);
  });
  test("from twenty batches on they stand still: what comes after is judged by them", () => {
    const steady = Array.from({ length: 20 }, (_, i) => 10 + (i % 2 ? 0.1 : -0.1));
    const before = valueOf(controlChart(steady));
    const after = valueOf(controlChart([...steady, 14, 15, 16]));
    expect([after.upper, after.stage]).toEqual([before.upper, "frozen"]);
    expect(after.alarms.filter(a => a.rule === "one-far-out").map(a => a.index)).toEqual([20, 21, 22]);
  });
  test("a batch whose cause is known sets no limit and raises no alarm, and keeps its place", () => {
    const odd = [...YIELDS.slice(0, 6), 0.9, ...YIELDS.slice(6)];
    const chart = valueOf(controlChart(odd, { explained: new Set([6]) }));
    expect(chart.mean).toBeCloseTo(0.40625, 5);
    expect(chart.alarms).toEqual([]);
  });
  test("equal to the last gram: the spread is that of the scale, and it is said", () => {
    const chart = valueOf(controlChart(Array<number>(8).fill(500), { resolution: 5 }));
    expect(chart).toMatchObject({ fromResolution: true, scaleDecides: true });
    expect(chart.sigma).toBeCloseTo(5 / Math.sqrt(12), 9);
  });
  test("one batch is none, and no number is refused", () => {
    expect(controlChart([1]).ok).toBe(false);
    expect(controlChart([1, Number.NaN]).ok).toBe(false);
  });
});

test("J-4 run rules, each by the batch that shows it", () => {
  // Limits are set by what was before: mean 50, sigma 1.5.
  const x = [50, 51, 49, 50, 52, 51, 52, 53, 52, 51, 52, 58];
  const before = Array.from({ length: 20 }, (_, i) => 50 + (i % 2 ? 1 : -1) * 1.5 * CHART.d2 * 0.5);
  const { alarms, mean, sigma } = valueOf(controlChart([...before, ...x]));
  expect([mean, sigma]).toEqual([expect.closeTo(50, 9), expect.closeTo(1.5, 9)]);
  const short = {
    "one-far-out": 1,
    "two-of-three": 2,
    "four-of-five": 3,
    "eight-on-a-side": 4,
    "six-steadily": 5,
  };
  expect(alarms.map(a => `R${short[a.rule]}@${a.index - 20}`).sort()).toEqual(
    ["R1@11", "R3@10", "R3@11", "R3@8", "R4@11"].sort(),
  );
});

test("six in a row that rise are said; five are not", () => {
  const rising = (n: number) => [
    ...Array.from({ length: 20 }, (_, i) => (i % 2 ? 1 : -1)),
    ...Array.from({ length: n }, (_, i) => -0.5 + i / 10),
  ];
  const steadily = (n: number) =>
    valueOf(controlChart(rising(n))).alarms.filter(a => a.rule === "six-steadily").length;
  // The value before the first is −/+1: it may begin the row.
  expect(steadily(4)).toBe(0);
  expect(steadily(6)).toBeGreaterThan(0);
});

test("every rule has its words", () => {
  expect(Object.values(RULES).every(words => words.length > 10)).toBe(true);
});

describe("drift", () => {
  test("J-3 twelve yields: a slope, not yet shown", () => {
    const drift = valueOf(driftOf(YIELDS, BAND));
    expect(drift.slope).toBeCloseTo(-0.001108, 6);
    expect(drift.s).toBe(-28);
    expect(drift.z).toBeCloseTo(-1.8515, 4);
    expect(drift.p).toBeCloseTo(0.0641, 4);
    expect(drift).toMatchObject({ drifting: false, batchesToEdge: null });
  });
  test("a salt that climbs tells when it leaves its band", () => {
    const salt = [1.0, 1.01, 1.01, 1.03, 1.04, 1.04, 1.06, 1.07, 1.08, 1.09];
    const drift = valueOf(driftOf(salt, { low: 0.9, high: 1.15 }));
    expect(drift.drifting).toBe(true);
    // It stands at 1.09 and climbs by 0.01 a batch: six more.
    expect(drift.batchesToEdge).toBeGreaterThan(4);
    expect(drift.batchesToEdge).toBeLessThan(8);
  });
  test("turned about it falls as much as it rose; shifted it is the same", () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -50, max: 50, noNaN: true }), { minLength: 8, maxLength: 25 }),
        xs => {
          const there = valueOf(driftOf(xs));
          const back = valueOf(driftOf([...xs].reverse()));
          expect(back.s + there.s).toBe(0);
          expect(back.slope).toBeCloseTo(-there.slope, 9);
        },
      ),
      { seed: 20261201 },
    ));
});

describe("keeping to the band", () => {
  test("J-2 twelve yields", () => {
    const found = valueOf(capabilityOf(YIELDS, BAND));
    expect(found.cp).toBeCloseTo(1.0343, 4);
    expect(found.cpk).toBeCloseTo(0.9826, 4);
    expect(found.ppk).toBeCloseTo(1.1402, 4);
    expect(found.lower).toBeCloseTo(0.7102, 4);
    expect(found.verdict).toBe("not shown as capable");
  });
  test("an open side counts for nothing, and seven batches show nothing", () => {
    const open = valueOf(capabilityOf(YIELDS, { low: 0.38, high: null }));
    expect(open.cp).toBeNull();
    expect(open.cpk).toBeCloseTo((0.40625 - 0.38) / (3 * 0.008057), 2);
    expect(capabilityOf(YIELDS.slice(0, 7), BAND).ok).toBe(false);
  });
});

describe("a sauce from batch to batch", () => {
  const NOTHING = {
    plannedG: null,
    actualG: null,
    plannedMin: null,
    actualMin: null,
    brixPlanned: null,
    brix: null,
    ph: null,
    saltPlanned: null,
    salt: null,
    bodyPlanned: null,
    body: null,
    score: null,
  };
  const salted = (salts: readonly (number | null)[], version = 1): ChartedBatch[] =>
    salts.map((salt, i) => ({ ...NOTHING, runId: `r${version}-${i}`, at: i, version, salt, saltPlanned: 1 }));
  const steady = [1, 1.02, 0.98, 1.01, 0.99, 1, 1.02, 0.99, 1.01, 0.98, 1, 1.01];
  test("a new version is a new phase: its own middle, its own limits", () => {
    const batches = [
      ...salted(steady, 1),
      ...salted(
        steady.map(x => x + 0.3),
        2,
      ),
    ];
    const { phases } = seriesOf(batches, "salt", {});
    expect(phases.map(p => [p.version, p.from, p.to])).toEqual([
      [1, 0, 11],
      [2, 12, 23],
    ]);
    expect(phases[1]?.chart?.mean).toBeCloseTo((phases[0]?.chart?.mean ?? 0) + 0.3, 9);
    expect(seriesOf(batches, "salt", {}).open).toBe(false);
  });
  test("a drift is told with the batches until it leaves its band, and closes the talk of capability", () => {
    const series = seriesOf(salted(Array.from({ length: 14 }, (_, i) => 0.96 + i * 0.01)), "salt", {});
    expect(series.drift?.drifting).toBe(true);
    expect(series.open).toBe(true);
    expect(seriesInWords(series, "salt").join(" ")).toMatch(/climbs by 0.010 % a batch: about \d+ more/);
    expect(series.capability).toBeNull();
  });
  test("a batch whose cause is said keeps its place and closes its alarm; what nobody measured is counted", () => {
    const batches = salted([...steady, 1.6, null]);
    expect(seriesOf(batches, "salt", {}).open).toBe(true);
    const told = seriesOf(batches, "salt", { "r1-12": "salted twice" });
    expect(told.open).toBe(false);
    expect(told.points.at(-1)).toMatchObject({ value: 1.6, cause: "salted twice" });
    expect(told.unmeasured).toBe(1);
    expect(seriesInWords(told, "salt").at(-1)).toBe("In 1 batch nobody measured it.");
  });
  test("before anything was measured it says that, and no more", () => {
    expect(seriesInWords(seriesOf([], "ph", {}), "ph")).toEqual(["Nobody has measured its pH yet."]);
  });
});
