import type { Ingredient } from "../../things/larder";
import { describe, expect, test } from "vitest";
import { g, ml } from "../../ground/quantity";
import { valueOf } from "../../ground/result";
import {
  type AmountRelation,
  STEP_KINDS,
  type Step,
  type StepKindName,
  baseForYield,
  bonesNeeded,
  factorByIngredient,
  insertStep,
  kindOf,
  massForCovers,
  moveStep,
  parseRelation,
  readFormula,
  relationAsTyped,
  namesIn,
  relationInWords,
  removeStep,
  updateLine,
  updateStep,
  walk,
  atSize,
} from "..";
import { kitchen, stock, line, share, blank, adding, amounts } from "../walk/testing";

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
    const at = amounts(atSize(puree, g(3100)));
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
    const [small, large] = [amounts(atSize(stock, g(6000))), amounts(atSize(stock, g(8600)))];
    for (const id of ["carcass", "onion", "fond-water"])
      expect((large[id]?.massG ?? 0) / (small[id]?.massG ?? 1)).toBeCloseTo(8600 / 6000, 9);
  });
});

describe("typing an amount", () => {
  const read = (text: string, density?: number) =>
    parseRelation(text, {
      document: stock,
      ingredient: { ...(kitchen.ingredientById.get("cream") as Ingredient), densityGPerMl: density },
      larder: kitchen.data.ingredients,
      field: "f",
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
  test("half of a line is of that line; half a cup is an amount of its own; half of nothing here is refused", () => {
    const onion = stock.steps.flatMap(s => s.lines).find(l => "larder" in l.of && l.of.larder === "onion");
    expect(valueOf(read("half the onion")).relation).toEqual({
      kind: "equal-to",
      line: onion?.id,
      factor: 0.5,
    });
    const cup = valueOf(read("half a cup", 1));
    expect(cup.relation.kind === "fixed" && cup.relation.massG).toBeCloseTo(118.29, 2);
    expect(cup.typed).toBe("half a cup");
    expect(read("half a cup")).toMatchObject({ ok: false, problems: [{ code: "WRONG_UNIT" }] });
    expect(read("half the saffron")).toMatchObject({ ok: false, problems: [{ code: "UNKNOWN_ID" }] });
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
    expect(relationInWords(share(12), namesIn(stock))).toBe("12 % of the carcasses");
    expect(relationInWords({ kind: "part", group: "mirepoix", parts: 2 }, namesIn(stock))).toBe(
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
