import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { DEMO_FORMULAS, GLACE_ID, STOCK_ID } from "../../demo/formulas";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { POOLS, accountedFor, volumeAt20 } from "../pot";
import { g, gPerMl, ml } from "../quantity";
import { InvariantError, valueOf } from "../result";
import {
  type AmountRelation,
  type FormulaDocument,
  type Line,
  STEP_KINDS,
  type Step,
  type StepKindName,
  baseForYield,
  bonesNeeded,
  explain,
  factorByIngredient,
  factsRead,
  insertStep,
  intervalsAlong,
  kindOf,
  labelOf,
  massForCovers,
  moveStep,
  openKitchen,
  parseRelation,
  readFormula,
  relationAsTyped,
  relationInWords,
  removeStep,
  traceOf,
  updateLine,
  updateStep,
  walk,
  withBase,
} from ".";

const kitchen = openKitchen(DEMO_KITCHEN);
const demo = (id: string): FormulaDocument => {
  const document = DEMO_FORMULAS[id];
  if (!document) throw new InvariantError(`No demo formula ${id}`);
  return document;
};
const stock = demo(STOCK_ID);
const glace = demo(GLACE_ID);

const line = (id: string, larder: string, amount: AmountRelation): Line => ({
  id,
  of: { larder },
  amount,
  certainty: "stated",
});
const share = (pct: number): AmountRelation => ({ kind: "share-of-base", pct });
const blank = (
  massG: number,
  steps: readonly Step[],
  groups: FormulaDocument["groups"] = [],
): FormulaDocument => ({ ...stock, name: "A test", base: { name: "base", massG }, groups, steps });
const adding = (lines: Line[]): Step => ({ id: "a", kind: "add", lines, durationMin: 1, vesselId: "tall-2" });
const amounts = (document: FormulaDocument) =>
  Object.fromEntries(walk(document, kitchen).states.flatMap(s => s.lines.map(l => [l.lineId, l])));

describe("C1 lines as shares of a base", () => {
  const puree = blank(2600, [
    adding([
      line("yolk", "egg-yolk", share(28)),
      line("oil", "walnut-oil", share(9)),
      line("salt", "salt", share(1.1)),
    ]),
  ]);
  test("C1 2 600 g base: yolk 728 g, oil 234 g, salt 28.6 g", () => {
    const at = amounts(puree);
    expect([at.yolk?.massG, at.oil?.massG, at.salt?.massG].map(m => Number(m?.toFixed(1)))).toEqual([
      728, 234, 28.6,
    ]);
  });
  test("C1 at 3 100 g: 868, 279, 34.1 g", () => {
    const at = amounts(withBase(puree, g(3100)));
    expect([at.yolk?.massG, at.oil?.massG, at.salt?.massG].map(m => Number(m?.toFixed(1)))).toEqual([
      868, 279, 34.1,
    ]);
  });
});

describe("C2 mirepoix from the weight of the bones", () => {
  const parts = (id: string, larder: string, n: number) =>
    line(id, larder, { kind: "part", group: "mirepoix", parts: n });
  const lamb = blank(
    18_500,
    [adding([parts("onion", "onion", 2), parts("carrot", "carrot", 1), parts("celery", "celery", 1)])],
    [{ id: "mirepoix", name: "mirepoix", total: { kind: "share-of-base", pct: 12 } }],
  );
  test("C2 18.5 kg, 12 %, 2 : 1 : 1 → 1 110, 555, 555 g net", () => {
    const at = amounts(lamb);
    expect([at.onion?.massG, at.carrot?.massG, at.celery?.massG]).toEqual([1110, 555, 555]);
    expect(
      [at.onion?.purchasedG, at.carrot?.purchasedG, at.celery?.purchasedG].map(m => Math.round(m ?? 0)),
    ).toEqual([1261, 677, 740]);
  });
  test("C2 the split can be edited: 3 : 1 : 0.5", () => {
    const at = amounts(
      updateLine(
        updateLine(lamb, "onion", { amount: { kind: "part", group: "mirepoix", parts: 3 } }),
        "celery",
        { amount: { kind: "part", group: "mirepoix", parts: 0.5 } },
      ),
    );
    expect([at.onion?.massG, at.carrot?.massG, at.celery?.massG].map(m => Math.round(m ?? 0))).toEqual([
      1480, 493, 247,
    ]);
  });
});

test("C4 60 covers × 45 g, to ¼, 3 % strain loss, 1.25 l/kg → 10.8 l, 11.13 l, 8.9 kg of bones", () => {
  const needed = valueOf(
    bonesNeeded({
      covers: 60,
      portionG: g(45),
      overagePct: 0,
      reducedTo: 0.25,
      strainLossPct: 3,
      yieldMlPerKg: 1250,
    }),
  );
  expect(needed.finishedG).toBe(2700);
  expect(needed.strainedMl / 1000).toBeCloseTo(10.8, 6);
  expect(needed.stockMl / 1000).toBeCloseTo(11.124, 3);
  expect(needed.bonesG / 1000).toBeCloseTo(8.9, 1);
  const refused = bonesNeeded({
    covers: 0,
    portionG: g(45),
    overagePct: 0,
    reducedTo: 0,
    strainLossPct: 3,
    yieldMlPerKg: 1250,
  });
  expect(!refused.ok && refused.problems.map(p => p.field)).toEqual(["covers", "reducedTo"]);
});

describe("C39, C40 wetting in the line", () => {
  const covered = (fond: boolean, toBonesMl?: number) => {
    const document = updateStep(stock, "s5", {
      countFond: fond,
      toBonesMl,
      vesselId: "tall-2",
    } as Partial<Step>);
    const state = walk(document, kitchen).states[4];
    return {
      water: state?.computed[0]?.massG ?? 0,
      level: state?.levelMm ?? 0,
      bulk: state?.bulkLevelMm ?? 0,
    };
  };
  test("C40 the deglazing water is taken off the cover water, gram for gram of its volume", () => {
    expect(covered(false).water - covered(true).water).toBeCloseTo(600, -1);
  });
  test("C39 the level stands 25 mm over the bones", () => {
    const { level, bulk } = covered(true);
    expect(level - bulk).toBeGreaterThan(24);
    expect(level - bulk).toBeLessThan(30);
  });
  test("C39 litres measured to the bones beat the estimate", () => {
    expect(covered(false, 12_000).water).toBeCloseTo((12_000 + (Math.PI * 40 * 40 * 2.5) / 4) * 0.9991, 0);
  });
});

describe("C172 scaling", () => {
  test("C172 24 → 84 covers is × 3.5; 6.4 kg where 7.8 kg is asked is × 0.82", () => {
    expect(valueOf(massForCovers(84, g(45), 0)) / valueOf(massForCovers(24, g(45), 0))).toBe(3.5);
    expect(valueOf(factorByIngredient(g(6400), g(7800)))).toBeCloseTo(0.82, 2);
    expect(factorByIngredient(g(6400), g(0))).toMatchObject({ ok: false });
  });
  test("C172 a wanted yield finds its base, pots, steam and all", () => {
    for (const litres of [4, 9.3, 20]) {
      const scaled = valueOf(baseForYield(stock, kitchen, { ml: ml(litres * 1000) }));
      expect(walk(scaled, kitchen).finishedMl / 1000).toBeCloseTo(litres, 2);
    }
  });
  test("C172 more than the pots hold is refused with the most there is", () => {
    const refused = baseForYield(stock, kitchen, { ml: ml(400_000) });
    expect(refused).toMatchObject({ ok: false, problems: [{ code: "UNREACHABLE" }] });
    expect(!refused.ok && refused.problems[0]?.message).toContain("is the most");
  });
  test("what hangs on the base follows it in proportion", () => {
    const [small, large] = [amounts(withBase(stock, g(6000))), amounts(withBase(stock, g(8600)))];
    for (const id of ["carcass", "onion", "fond-water"])
      expect((large[id]?.massG ?? 0) / (small[id]?.massG ?? 1)).toBeCloseTo(8600 / 6000, 9);
  });
});

describe("the walk of the demo stock at 8.6 kg", () => {
  const walked = walk(withBase(stock, g(8600)), kitchen, { trace: true });
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
    expect(steep.map(l => l.gPerL?.toFixed(3))).toEqual(["4.000", "0.800", "0.200"]);
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
    expect(traceOf(walked, "mass").at(-1)?.value).toBeCloseTo(walked.states.at(-1)?.massG ?? 0, 6);
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
  test("simmering before there is a pot, covering nothing, more bones than any pot holds", () => {
    expect(first(blank(100, [STEP_KINDS.simmer.blank("s")]))).toMatchObject({
      code: "MISSING",
      field: "steps.0.vesselId",
    });
    expect(first(blank(100, [STEP_KINDS.cover.blank("c")]))).toMatchObject({ code: "EMPTY" });
    expect(first(withBase(stock, g(60_000)))).toMatchObject({ code: "NOTHING_FITS" });
  });
  test("the steps before the trouble still stand", () => {
    const walked = walk(withBase(stock, g(60_000)), kitchen);
    expect(walked.states).toHaveLength(4);
    expect(walked.problems[0]?.field.startsWith("steps.4")).toBe(true);
  });
  test("reducing below what is dissolved, simmering hotter than it boils up here", () => {
    expect(first(updateStep(glace, "g4", { target: { to: 0.001 } } as Partial<Step>))).toMatchObject({
      code: "TARGET_BELOW_SOLIDS",
    });
    expect(first(updateStep(stock, "s6", { holdC: 105 } as Partial<Step>))?.code).toMatch(
      /HOLD_TOO_HOT|NOT_REACHED/,
    );
  });
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
    expect(reads[0]).toContain("roastLossBones");
    expect(reads[0]).not.toContain("surfaceLazy");
    expect(reads[5]).toContain("surfaceLazy");
    expect(reads[5]).not.toContain("gelatinVeal");
  });
  test("what the kitchen has measured replaces the estimate", () => {
    const measured = openKitchen({ ...DEMO_KITCHEN, facts: { roastLossBones: 0.3 } });
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

describe("typing an amount", () => {
  const read = (text: string, density?: number) =>
    parseRelation(text, {
      document: stock,
      ingredient: "cream",
      field: "f",
      ...(density && { density: gPerMl(density) }),
    });
  test.each([
    ["12 %", share(12)],
    ["12 % of carcasses", share(12)],
    ["2 parts", { kind: "part", group: "mirepoix", parts: 2 }],
    ["1 part", { kind: "part", group: "mirepoix", parts: 1 }],
    ["60 g/l", { kind: "per-litre", gPerL: 60 }],
    ["60 g per litre finished", { kind: "per-litre", gPerL: 60 }],
    ["1.5 kg", { kind: "fixed", massG: 1500 }],
  ])("%s", (text, relation) => expect(valueOf(read(text)).relation).toEqual(relation));
  test("a cup becomes grams once and keeps what was typed", () => {
    const cup = valueOf(read("1 cup", 0.99));
    expect(cup.typed).toBe("1 cup");
    expect(cup.relation.kind === "fixed" && cup.relation.massG).toBeCloseTo(234.2, 1);
    expect(read("1 cup")).toMatchObject({ ok: false, problems: [{ code: "WRONG_UNIT" }] });
  });
  test("what opens in the field is read back as the same", () => {
    for (const relation of [
      share(12),
      { kind: "per-litre", gPerL: 4 },
      { kind: "part", group: "mirepoix", parts: 1 },
      { kind: "fixed", massG: 250 },
    ] as AmountRelation[])
      expect(valueOf(read(relationAsTyped(relation))).relation).toEqual(relation);
  });
  test("relations in a cook’s words", () => {
    expect(relationInWords(share(12), "carcasses", stock.groups)).toBe("12 % of the carcasses");
    expect(relationInWords({ kind: "part", group: "mirepoix", parts: 2 }, "carcasses", stock.groups)).toBe(
      "2 parts of the mirepoix",
    );
  });
});

describe("the document", () => {
  test("the demo formulas are whole; a stray field, a double id, an impossible oven are not", () => {
    expect(readFormula(stock).ok).toBe(true);
    expect(readFormula({ ...stock, extra: 1 }).ok).toBe(false);
    expect(readFormula({ ...stock, steps: [...stock.steps, ...stock.steps] })).toMatchObject({
      ok: false,
      problems: [{ code: "DUPLICATE" }],
    });
    const hot = readFormula(updateStep(stock, "s1", { ovenC: 900 } as Partial<Step>));
    expect(!hot.ok && hot.problems[0]?.field).toBe("steps.0.ovenC");
  });
  test("every kind of step has words, and a blank one is whole", () => {
    for (const kind of Object.keys(STEP_KINDS) as StepKindName[]) {
      const step: Step = STEP_KINDS[kind].blank("x");
      expect(STEP_KINDS[kind].schema.safeParse(step).success, kind).toBe(true);
      expect(kindOf(step).title(step, ["onion"]).length, kind).toBeGreaterThan(2);
    }
  });
  test("steps are put in, moved and taken out", () => {
    const more = insertStep(stock, "note", "n", "s1");
    expect(more.steps[1]?.id).toBe("n");
    expect(moveStep(more, "n", -5).steps[0]?.id).toBe("n");
    expect(moveStep(more, "n", 50).steps.at(-1)?.id).toBe("n");
    expect(removeStep(more, "n").steps).toEqual(stock.steps);
    expect(moveStep(stock, "nobody", 1)).toBe(stock);
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
