import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { POOLS, accountedFor, volumeAt20 } from "../../things/pot";
import { g } from "../../ground/quantity";
import {
  type FormulaDocument,
  STEP_KINDS,
  type Step,
  type StepKindName,
  explain,
  factsRead,
  intervalsAlong,
  labelOf,
  openKitchen,
  traceOf,
  updateStep,
  walk,
  atSize,
} from "..";
import { kitchen, stock, glace, line, share, blank, adding } from "./testing";

describe("the walk of the demo stock at 8.6 kg", () => {
  const walked = walk(atSize(stock, g(8600)), kitchen, { trace: true });
  test("reaches the end, every step with a state", () => {
    expect(walked.problems).toEqual([]);
    expect(walked.states).toHaveLength(stock.steps.length);
    expect(walked.finishedMl / 1000).toBeGreaterThan(9);
    expect(walked.finishedMl / 1000).toBeLessThan(14);
  });
  test("mirepoix 516, 258, 258 g net; as purchased 586, 315, 344 g", () => {
    const brown = walked.states[1]?.lines ?? [];
    expect(brown.map(l => Math.round(l.massG))).toEqual([516, 258, 258]);
    expect(brown.map(l => Math.round(l.purchasedG))).toEqual([586, 315, 344]);
  });
  test("the books are whole after every step", () => {
    for (const state of walked.states) {
      const accounted = accountedFor(state.pot);
      for (const pool of POOLS)
        expect(Math.abs(accounted[pool] - state.pot.entered[pool])).toBeLessThan(1e-3);
    }
  });
  test("amounts per finished litre come out as asked", () => {
    const steep = walked.states[6]?.lines ?? [];
    expect(steep.map(l => ((1000 * l.massG) / walked.finishedMl).toFixed(3))).toEqual([
      "4.000",
      "0.800",
      "0.200",
    ]);
    expect((steep[0]?.massG ?? 0) / (walked.finishedMl / 1000)).toBeCloseTo(4, 6);
  });
  test("a stock sets: gelatin between 0.8 and 3 %, in proportion with common practice, no source", () => {
    const liquor = walked.states.at(-1)?.pot.liquor;
    const pct = liquor ? (100 * liquor.collagen) / walked.finishedG : 0;
    expect(pct).toBeGreaterThan(0.8);
    expect(pct).toBeLessThan(3);
  });
  test("celery is declared through the sub-formula", () => {
    const label = labelOf(walk(glace, kitchen));
    expect(label).toMatchObject({ allergens: ["celery"], known: true });
    expect(label.diet).toEqual(["meat", "gelatin"]);
  });
  test("the trace runs forward in time and starts and ends with the pot", () => {
    for (const quantity of ["mass", "litres", "temperature"] as const) {
      const points = traceOf(walked, quantity);
      expect(points.every((p, i) => i === 0 || p.atS >= (points[i - 1]?.atS ?? 0))).toBe(true);
    }
    expect(traceOf(walked, "mass").at(-1)?.value).toBeCloseTo((walked.states.at(-1)?.massG ?? 0) / 1000, 9);
  });
});

describe("the glace", () => {
  const walked = walk(glace, kitchen);
  test("each reduction ends at a third of its volume, with a mark on the stick", () => {
    const [start, first, , second] = walked.states;
    expect((first?.volumeMl ?? 0) / (start?.volumeMl ?? 1)).toBeCloseTo(1 / 3, 6);
    expect((second?.volumeMl ?? 0) / (first?.volumeMl ?? 1)).toBeCloseTo(1 / 3, 6);
    expect(first?.mark?.markMm).toBeCloseTo((first?.mark?.startMm ?? 0) / 3, 3);
  });
  test("salt and gelatin stay, so they grow as the mass falls", () => {
    const [start, first] = walked.states;
    expect(first?.pot.liquor.salt).toBe(start?.pot.liquor.salt);
    expect(volumeAt20(first?.pot.liquor ?? stockless)).toBeLessThan(
      volumeAt20(start?.pot.liquor ?? stockless),
    );
  });
  const stockless = walked.states[0]?.pot.liquor ?? ({} as never);
});

describe("what cannot be walked says why and where", () => {
  const first = (document: FormulaDocument) => walk(document, kitchen).problems[0];
  test("an ingredient that is gone, a formula that is gone", () => {
    expect(first(blank(100, [adding([line("x", "unicorn", share(5))])]))).toMatchObject({
      code: "UNKNOWN_ID",
      field: "steps.0.lines.0.of",
    });
    expect(
      first(blank(100, [adding([{ ...line("x", "water", share(5)), of: { formula: "gone" } }])])),
    ).toMatchObject({ code: "UNKNOWN_ID" });
  });
  test("a sauce made from itself names the circle", () => {
    const loop: FormulaDocument = {
      ...glace,
      name: "Loop",
      steps: [
        {
          id: "l",
          kind: "add",
          lines: [{ ...line("x", "water", share(100)), of: { formula: "loop" } }],
          durationMin: 1,
        },
      ],
    };
    const problem = walk(loop, openKitchen({ ...DEMO_KITCHEN, formulas: { loop } })).problems[0];
    expect(problem).toMatchObject({ code: "CYCLE" });
    expect(problem?.message).toContain("Loop → Loop");
  });
  test("an amount per litre that feeds its own yield does not converge, and the line is named", () => {
    const problem = first(
      blank(1000, [
        adding([line("w", "water", { kind: "per-litre", gPerL: 1500 }), line("v", "water", share(100))]),
      ]),
    );
    expect(problem).toMatchObject({ code: "NO_CONVERGENCE" });
    expect(problem?.message).toContain("water");
  });
  test("simmering where nothing is, covering nothing, more bones than any pot holds", () => {
    expect(first(blank(100, [STEP_KINDS.simmer.blank("s")]))).toMatchObject({
      code: "EMPTY",
    });
    expect(first(blank(100, [STEP_KINDS.cover.blank("c")]))).toMatchObject({ code: "EMPTY" });
    expect(first(atSize(stock, g(60_000)))).toMatchObject({ code: "NOTHING_FITS" });
  });
  test("the steps before the trouble still stand", () => {
    const walked = walk(atSize(stock, g(60_000)), kitchen);
    expect(walked.states).toHaveLength(4);
    expect(walked.problems[0]?.field.startsWith("steps.4")).toBe(true);
  });
  test("reducing below what is dissolved", () =>
    expect(first(updateStep(glace, "g4", { target: { to: 0.001 } } as Partial<Step>))).toMatchObject({
      code: "TARGET_BELOW_SOLIDS",
    }));
});

test("simmering hotter than it boils up here is counted on the boil, and said", () => {
  const { problems, states } = walk(updateStep(stock, "s6", { holdC: 105 } as Partial<Step>), kitchen);
  expect(problems).toEqual([]);
  const simmered = states.find(state => state.step.id === "s6");
  expect(simmered?.temperatureC).toBeLessThan(97);
  expect(simmered?.warnings.map(warning => warning.code)).toContain("OVER_THE_BOIL");
});

describe("intervals along the line", () => {
  const intervals = intervalsAlong(stock, DEMO_KITCHEN);
  const walked = walk(stock, kitchen);
  test("enclose the value and rest on our estimates", () => {
    intervals.forEach((of, i) => {
      expect(of.massG.lo).toBeLessThanOrEqual(walked.states[i]?.massG ?? 0);
      expect(of.massG.hi ?? Infinity).toBeGreaterThanOrEqual(walked.states[i]?.massG ?? 0);
    });
    expect(intervals.at(-1)?.volumeMl).toMatchObject({ basis: "estimate" });
    expect(intervals.at(-1)?.volumeMl?.lo).toBeLessThan(walked.finishedMl * 0.95);
  });
  test("what the sums put in or take out carries its own", () => {
    const water = intervals[4]?.computedG.water;
    expect(water?.lo).toBeLessThan((water?.value ?? 0) * 0.9);
    expect(water?.hi).toBeGreaterThan((water?.value ?? 0) * 1.1);
    expect(water?.value).toBeCloseTo(walked.states[4]?.computed[0]?.massG ?? 0, 6);
  });
  test("only facts that a step reads move it", () => {
    const reads = factsRead(stock, kitchen);
    expect(reads[0]).toContain("dryTimePoultry");
    expect(reads[0]).not.toContain("surfaceLazy");
    expect(reads[5]).toContain("surfaceLazy");
    expect(reads[5]).not.toContain("gelatinVeal");
  });
  test("what the kitchen has measured replaces the estimate", () => {
    const measured = openKitchen({ ...DEMO_KITCHEN, facts: { dryTimePoultry: 40 } });
    expect(walk(stock, measured).states[0]?.massG).toBeLessThan(walked.states[0]?.massG ?? 0);
  });
});

describe("asking a number", () => {
  const walked = walk(stock, kitchen);
  test("mass, litres, yield and mark can be followed down to what was typed", () => {
    const yielded = explain({ ask: "yield" }, stock, walked, kitchen);
    const litres = yielded?.inputs[0]?.then;
    const mass = litres && explain(litres, stock, walked, kitchen)?.inputs[0]?.then;
    expect(mass).toMatchObject({ ask: "mass", step: 9 });
    const roast = explain({ ask: "mass", step: 0 }, stock, walked, kitchen);
    const carcass = roast?.inputs.find(i => i.then?.ask === "line")?.then;
    expect(carcass && explain(carcass, stock, walked, kitchen)?.inputs[0]?.source).toContain("typed here");
    expect(explain({ ask: "mark", step: 1 }, glace, walk(glace, kitchen), kitchen)?.symbols).toContain("h(r");
  });
  test("an estimate says whose it is and what would sharpen it", () => {
    const water = explain({ ask: "computed", step: 4, what: "water" }, stock, walked, kitchen);
    expect(water?.inputs.some(i => i.basis === "estimate" && i.range && i.source === "our estimate")).toBe(
      true,
    );
    expect(water?.sharpen.length).toBeGreaterThan(10);
    expect(explain({ ask: "mass", step: 99 }, stock, walked, kitchen)).toBeNull();
  });
});

const anyStep = fc
  .constantFrom(...(Object.keys(STEP_KINDS) as StepKindName[]))
  .map(kind => STEP_KINDS[kind].blank("x") as Step);
const anyLine = fc.record({
  larder: fc.constantFrom(...DEMO_KITCHEN.ingredients.map(i => i.id)),
  pct: fc.double({ min: 0, max: 120, noNaN: true }),
});

property.prop(
  [
    fc.array(fc.tuple(anyStep, fc.array(anyLine, { maxLength: 2 })), { maxLength: 7 }),
    fc.integer({ min: 50, max: 15_000 }),
  ],
  { numRuns: 60 },
)("any line of steps keeps its books to 1 mg, or says why it stops; it never breaks", (drawn, base) => {
  const steps = drawn.map(
    ([step, lines], i) =>
      ({
        ...step,
        id: `s${i}`,
        lines: lines.map((l, j) => line(`l${i}-${j}`, l.larder, share(l.pct))),
      }) as Step,
  );
  const walked = walk(blank(base, steps), kitchen);
  expect(walked.states.length === steps.length || walked.problems.length > 0).toBe(true);
  for (const state of walked.states) {
    const accounted = accountedFor(state.pot);
    for (const pool of POOLS) expect(Math.abs(accounted[pool] - state.pot.entered[pool])).toBeLessThan(1e-3);
  }
});

test("C9 a cup of salt in two litres is questioned where it is typed", () => {
  const base = Object.values(DEMO_KITCHEN.formulas)[0] as FormulaDocument;
  const line = (id: string, larder: string, massG: number) => ({
    id,
    of: { larder },
    amount: { kind: "fixed" as const, massG },
    certainty: "stated" as const,
  });
  const sauce = (saltG: number): FormulaDocument => ({
    ...base,
    servedAs: "soup",
    portionG: 220,
    groups: [],
    steps: [
      {
        id: "a",
        kind: "add",
        lines: [line("w", "water", 2000), line("s", "salt", saltG)],
        durationMin: 1,
        vesselId: "saucepan-24",
      },
    ],
  });
  const said = (saltG: number) => walk(sauce(saltG), openKitchen(DEMO_KITCHEN)).states[0]?.warnings ?? [];
  expect(said(290)[0]).toMatchObject({
    code: "IMPLAUSIBLE",
    message: expect.stringContaining("12.7 %") as string,
  });
  expect(said(17)).toEqual([]);
});

test("a steam kettle is never chosen, and where it is named the sums say that they stop", () => {
  const steps = (vesselId: string | undefined): FormulaDocument => {
    const base = DEMO_KITCHEN.formulas["guinea-fowl-brown-stock"] as FormulaDocument;
    return { ...base, steps: base.steps.map(s => (s.kind === "cover" ? { ...s, vesselId } : s)) };
  };
  const kitchen = openKitchen(DEMO_KITCHEN);
  const chosen = walk({ ...steps(undefined), base: { name: "carcasses", massG: 12_000 } }, kitchen);
  expect(chosen.states.some(state => state.vessel?.closed)).toBe(false);
  const named = walk(steps("kettle-60"), kitchen);
  expect(named.states.find(s => s.step.kind === "simmer")?.warnings.map(w => w.code)).toContain(
    "MODEL_STOPS",
  );
});
