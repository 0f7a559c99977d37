import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { NO_COMPOSITION, nutritionOf } from "../../things/larder";
import { kitchen, line, share } from "../walk/testing";
import { type FormulaDocument, type Step, blankFormula, costOf, openKitchen, priceForShare, walk } from "..";
import { valueOf } from "../../ground/result";

const priced = (id: string, perKg: number, ediblePct = 100) => {
  const found = kitchen.ingredientById.get(id);
  if (!found) throw new Error(id);
  return {
    ...found,
    ediblePct,
    price: { perKg, currency: "EUR", on: "2026-11-01", source: { mark: "E" as const, text: "for the test" } },
  };
};

describe("C17 what a batch costs", () => {
  // Bones 8.9 kg at 2.80; 1.07 kg of vegetables net = 1.29 kg as purchased at 1.60; wine 1.5 kg at 6: 35.98.
  const replaced = [
    priced("veal-bones", 2.8),
    priced("onion", 1.6, (100 * 1.07) / 1.29),
    priced("white-wine", 6),
  ];
  const own = openKitchen({
    ...DEMO_KITCHEN,
    ingredients: DEMO_KITCHEN.ingredients.map(i => replaced.find(r => r.id === i.id) ?? i),
  });
  const document: FormulaDocument = {
    ...blankFormula("Jus", { name: "bones", massG: 8900 }),
    portionG: 45,
    price: { menu: 24, sharePct: 28 },
    steps: [
      {
        id: "in",
        kind: "add",
        durationMin: 1,
        vesselId: "tall-1",
        lines: [
          line("bones", "veal-bones", share(100)),
          line("veg", "onion", { kind: "fixed", massG: 1070 }),
          line("wine", "white-wine", { kind: "fixed", massG: 1500 }),
        ],
      },
    ],
  };
  const walked = walk(document, own);
  test("C17 35.98 in all; 13.33 a kg of 2.7 kg; 0.60 a portion of 45 g; 2.5 % of 24.00", () => {
    const cost = costOf(document, { ...walked, finishedG: 2700 as typeof walked.finishedG });
    expect(walked.problems).toEqual([]);
    expect(cost.foodCost).toBeCloseTo(35.98, 2);
    expect(cost.perKg).toBeCloseTo(13.33, 2);
    expect(cost.portions).toBe(60);
    expect(cost.perPortion).toBeCloseTo(0.6, 2);
    expect(cost.shareOfMenuPct).toBeCloseTo(2.5, 1);
  });
  test("C18 the price that keeps the share", () => {
    expect(valueOf(priceForShare(6.8, 28))).toBeCloseTo(24.29, 2);
  });
  test("C25 trim that is of use is credited, and the food costs so much less", () => {
    const [first] = document.steps;
    const lines = first?.lines.map(l =>
      l.id === "veg" ? { ...l, trim: { use: "second wetting", perKg: 0.5 } } : l,
    );
    const kept = { ...document, steps: [{ ...first, lines } as Step] };
    const cost = costOf(kept, walk(kept, own));
    expect(cost.credits).toEqual([
      expect.objectContaining({ use: "second wetting", what: expect.stringContaining("onion") as string }),
    ]);
    expect(cost.credits[0]?.massG).toBeCloseTo(220, 6);
    expect(costOf(document, walked).foodCost - cost.foodCost).toBeCloseTo(0.11, 6);
  });
  test("what has no price is named, never counted as nothing", () => {
    const without = openKitchen({
      ...DEMO_KITCHEN,
      ingredients: DEMO_KITCHEN.ingredients.map(i => {
        const { price: _price, ...rest } = i;
        return i.id === "white-wine" ? rest : i;
      }),
    });
    expect(costOf(document, walk(document, without)).unpriced).toEqual(["dry white wine"]);
  });
  test("hands and fire stand apart from food", () => {
    const rates = { labourPerH: 30, flamePerH: 3 };
    const cost = costOf(document, walked, rates);
    expect(cost.foodCost).toBeCloseTo(costOf(document, walked).foodCost, 9);
    expect(cost.labour).toBeCloseTo((cost.handsOnMin / 60) * 30, 9);
    expect(cost.flame).toBeCloseTo(cost.flameH * 3, 9);
  });
});

test("C158 250 g of soup, 15 % of it cream of 35 %: 13 g of fat, 126 kcal", () => {
  // Cream of the example: fat 35, milk sugar and protein the rest of the energy. Factors: EU 1169/2011 Annex XIV.
  const cream = { ...NO_COMPOSITION, water: 59.7, fat: 35, sugars: 3.2, protein: 2.1 };
  const added = nutritionOf(cream, 250 * 0.15);
  expect(added.fatG).toBeCloseTo(13, 0);
  expect(added.kcal).toBeCloseTo(126, 0);
});
