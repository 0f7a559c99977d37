import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { g } from "../quantity";
import { valueOf } from "../result";
import { composed } from "../testing";
import { COMPOSITION_TOTALS, normaliseComposition } from "./composition";
import { REFERENCE_BY_ID, REFERENCE_LARDER, asPurchased, ingredientSchema, joinAllergens } from ".";

describe("composition", () => {
  const stock = { water: 96.2, fat: 0.2, protein: 3, collagen: 2.2, sugars: 0.2, other: 0.4 };
  test("98.7 g per 100 g: what is missing goes to other", () => {
    expect(valueOf(normaliseComposition(composed({ ...stock, water: 94.9 }))).other).toBeCloseTo(1.7, 9);
  });
  test("101.5 is scaled down, 95 is refused with the sum", () => {
    expect(valueOf(normaliseComposition(composed({ ...stock, water: 97.7 }))).water).toBeCloseTo(
      97.7 / 1.015,
      9,
    );
    const refused = normaliseComposition(composed({ ...stock, water: 91.2 }));
    expect(refused).toMatchObject({
      ok: false,
      problems: [
        { code: "SUM_NOT_100", message: "The composition adds up to 95.0 g per 100 g; 97–103 is accepted." },
      ],
    });
  });
  test("all problems are told together", () => {
    const refused = normaliseComposition(
      composed({ water: 50, protein: 2, collagen: 3, acid: 1, volatileAcid: 2 }),
    );
    expect(!refused.ok && refused.problems.map(p => p.code)).toEqual([
      "SUM_NOT_100",
      "SUBSET_TOO_BIG",
      "SUBSET_TOO_BIG",
    ]);
  });
  property.prop([fc.array(fc.double({ min: 0, max: 10, noNaN: true }), { minLength: 10, maxLength: 10 })])(
    "whatever is accepted sums to 100",
    shares => {
      const total = shares.reduce((a, b) => a + b, 0) || 1;
      const parts = Object.fromEntries(
        COMPOSITION_TOTALS.map((key, i) => [key, ((shares[i] ?? 0) * 100) / total]),
      );
      const result = normaliseComposition(composed(parts));
      if (!result.ok) return;
      expect(COMPOSITION_TOTALS.reduce((sum, key) => sum + result.value[key], 0)).toBeCloseTo(100, 9);
    },
  );
});

describe("C3 as purchased from net", () => {
  test.each([
    ["onion", 1110, 88, 1261],
    ["carrot", 555, 82, 677],
    ["celery", 555, 75, 740],
  ])("C3 %s: %d g net at %d %% is %d g to order", (id, net, pct, bought) => {
    expect(REFERENCE_BY_ID.get(id)?.ediblePct).toBe(pct);
    expect(Math.round(valueOf(asPurchased(g(net), pct)))).toBe(bought);
  });
  test("C3 nothing can be ordered at a yield of nothing", () => {
    expect(asPurchased(g(100), 0)).toMatchObject({
      ok: false,
      problems: [{ code: "OUT_OF_RANGE", field: "ediblePct" }],
    });
    expect(asPurchased(g(-1), 80)).toMatchObject({ ok: false, problems: [{ code: "NEGATIVE" }] });
  });
});

describe("the reference larder", () => {
  test("about forty ingredients, each whole and with a source for every figure", () => {
    expect(REFERENCE_LARDER.length).toBeGreaterThanOrEqual(40);
    expect(REFERENCE_BY_ID.size).toBe(REFERENCE_LARDER.length);
    for (const ingredient of REFERENCE_LARDER) {
      expect(ingredientSchema.safeParse(ingredient).error, ingredient.id).toBeUndefined();
      expect(normaliseComposition(ingredient.composition).ok, ingredient.id).toBe(true);
      expect(ingredient.compositionSource.text.length, ingredient.id).toBeGreaterThan(3);
      if (ingredient.densityGPerMl !== undefined)
        expect(ingredient.densitySource, ingredient.id).toBeDefined();
      if (ingredient.phase === "solids") expect(ingredient.solidKind, ingredient.id).toBeDefined();
    }
  });
  test("a sauce with an ingredient nobody has looked at is not known, never free from", () => {
    const label = joinAllergens([
      { name: "celery", allergens: ["celery"] },
      { name: "bought brown stock", allergens: null },
    ]);
    expect(label).toEqual({ recorded: ["celery"], known: false, notEntered: ["bought brown stock"] });
  });
});
