import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { g } from "../../ground/quantity";
import { valueOf } from "../../ground/result";
import { composed } from "../../testing";
import { COMPOSITION_TOTALS, normaliseComposition } from "./composition";
import {
  REFERENCE_BY_ID,
  REFERENCE_LARDER,
  asPurchased,
  checkIngredient,
  findIngredient,
  ingredientSchema,
  joinAllergens,
  netOf,
  plainName,
  readMeasure,
  saltDoubt,
} from ".";
import { letterDistance } from "./find";
import type { Ingredient } from ".";

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

describe("finding by name", () => {
  const named = (name: string) => findIngredient(REFERENCE_LARDER, name);
  test("by id, name and alias, singular or plural, with or without accents", () => {
    expect(named("guinea-fowl-carcass").exact?.id).toBe("guinea-fowl-carcass");
    expect(named("Leeks").exact?.id).toBe("leek");
    expect(named("Crème Fraîche").exact?.id).toBe("creme-fraiche");
    expect(named("porcini").exact?.id).toBe("dried-ceps");
    expect(named("bay leaves").exact?.id).toBe("bay-leaf");
  });
  test("a slip of the finger brings the nearest names", () => {
    expect(named("buttermlik").exact).toBeNull();
    expect(named("buttermlik").near[0]?.id).toBe("buttermilk");
    expect(named("celriac").near[0]?.id).toBe("celeriac");
    expect(named("xyzzyq").near).toEqual([]);
  });
  test("letters changed, lost, swapped", () => {
    expect(letterDistance("cream", "cream")).toBe(0);
    expect(letterDistance("cream", "craem")).toBe(1);
    expect(letterDistance("", "abc")).toBe(3);
    expect(plainName("Halves of Tomatoes")).toBe("half of tomato");
  });
});

describe("how cooks measure", () => {
  const read = (text: string, id?: string) =>
    valueOf(readMeasure(text, REFERENCE_LARDER, id ? (REFERENCE_BY_ID.get(id) ?? null) : null));
  test("C21 31–35 per lb: 13.0–14.6 g each, 60 pieces about 825 g", () => {
    const one = read("31–35 per lb");
    expect(one.loG).toBeCloseTo(12.96, 2);
    expect(one.hiG).toBeCloseTo(14.63, 2);
    expect(read("60 shrimp 31-35 per lb").massG).toBeCloseTo(825, 0);
    expect(read("60 31–35 shrimp").ingredient?.id).toBe("shrimp");
  });
  test("C21 one leek, a sprig, a knob, a pinch, five turns of the mill, a cup chopped", () => {
    expect(read("1 leek")).toMatchObject({ massG: 180, loG: 100, hiG: 280 });
    expect(read("a sprig of thyme").massG).toBe(1);
    expect(read("2 knobs", "butter").massG).toBe(30);
    expect(read("a pinch of salt").massG).toBeCloseTo(0.4, 9);
    expect(read("5 turns pepper").massG).toBeCloseTo(0.5, 9);
    expect(read("5 turns of the mill", "peppercorns").massG).toBeCloseTo(0.5, 9);
    expect(read("1 cup chopped onion").massG).toBe(160);
    expect(read("3 cloves of garlic").massG).toBe(15);
    expect(read("2 bay leaves").massG).toBeCloseTo(0.4, 9);
    expect(read("two leeks").massG).toBe(360);
    expect(read("half a leek").massG).toBe(90);
    expect(read("three sprigs of thyme").massG).toBe(3);
    expect(read("two and a half cups chopped onion").massG).toBe(400);
  });
  test.each([
    ["200–250 g", "onion", 225, 200, 250],
    ["200 to 250 g", "onion", 225, 200, 250],
    ["3-4 cloves", "garlic", 17.5, 9, 32],
    ["½–1 l", "water", 748.65, 499.1, 998.2],
    ["about 200 g", "onion", 200, 180, 220],
    ["~200 g", "onion", 200, 180, 220],
    ["ca. 2 onions", "onion", 300, 162, 506],
    ["2 large", "onion", 380, 300, 460],
    ["1 small", "onion", 120, 90, 150],
    ["2 medium onions", "onion", 300, 180, 460],
    ["1 cup", "onion", 160, 120, 200],
    ["a bottle", "red-wine", 746.25, 497.5, 995],
  ])("%s of %s is so much, between so much and so much", (text, id, massG, loG, hiG) => {
    const found = read(text, id);
    expect(found.massG).toBeCloseTo(massG, 1);
    expect(found.loG).toBeCloseTo(loG, 1);
    expect(found.hiG).toBeCloseTo(hiG, 1);
  });
  test("a range that runs backwards is refused", () => {
    const refusal = readMeasure("250–200 g", REFERENCE_LARDER, REFERENCE_BY_ID.get("onion") ?? null);
    expect(refusal.ok).toBe(false);
    if (!refusal.ok) expect(refusal.problems[0]?.message).toMatch(/runs backwards.*smaller amount first/);
  });
  test("C155 forty swirls: oil 2.5 g each is 100 g, vinegar 1.5 g each is 60 g", () => {
    expect(read("40 swirls", "olive-oil").massG).toBeCloseTo(100, 9);
    expect(read("40 swirls", "wine-vinegar").massG).toBeCloseTo(60, 9);
  });
  test("C7 3 cups of buttermilk are 710 ml and 731 g", () => {
    const cups = read("3 cups buttermilk");
    expect(cups.volumeMl).toBeCloseTo(710, 0);
    expect(cups.massG).toBeCloseTo(731, 0);
    const wrong = readMeasure("3 cups (710 g)", REFERENCE_LARDER, REFERENCE_BY_ID.get("buttermilk"));
    expect(wrong.ok && wrong.warnings[0]?.message).toMatch(/21\sg/);
  });
  test("what nobody has weighed is refused with what it is counted by", () => {
    const refused = readMeasure("3 buckets of leeks", REFERENCE_LARDER);
    expect(!refused.ok && refused.problems[0]?.message).toContain("piece");
    expect(readMeasure("2 buttermlik", REFERENCE_LARDER)).toMatchObject({
      ok: false,
      problems: [{ code: "UNKNOWN_ID" }],
    });
    expect(readMeasure("12 %", REFERENCE_LARDER, REFERENCE_BY_ID.get("salt"))).toMatchObject({
      ok: false,
      problems: [{ code: "WRONG_UNIT" }],
    });
    expect(readMeasure("", REFERENCE_LARDER).ok).toBe(false);
  });
  test("a volume of what nobody pours keeps its litres and says so", () => {
    const read = readMeasure("2 l of veal bones", REFERENCE_LARDER);
    expect(read).toMatchObject({ ok: true, value: { massG: null, volumeMl: 2000 } });
    expect(read.ok && read.warnings[0]?.code).toBe("NO_DENSITY");
  });
  test("edible and purchased undo each other", () => {
    expect(valueOf(netOf(g(4000), 60))).toBe(2400);
    expect(netOf(g(4000), 0)).toMatchObject({ ok: false, problems: [{ field: "yieldPct" }] });
  });
});

describe("a careful look at an entry", () => {
  const look = (over: Partial<Ingredient>) =>
    checkIngredient({ ...(REFERENCE_BY_ID.get("milk") as Ingredient), ...over });
  const doubts = (over: Partial<Ingredient>) => {
    const found = look(over);
    return found.ok ? found.warnings.map(w => w.message) : [];
  };
  test("C9 a cup of salt (290 g) in 2 l of sauce is 12.7 %: look again; 1 % is usual", () => {
    const doubt = saltDoubt(290, 2000);
    expect(doubt.pct).toBeCloseTo(12.7, 1);
    expect(doubt.warning?.message).toContain("12.7 %");
    expect(saltDoubt(20, 2000).warning).toBeNull();
    expect(saltDoubt(0, 0)).toEqual({ pct: 0, warning: null });
  });
  test("the reference larder holds more than 450 entries, none of them odd, each figure with its source", () => {
    expect(REFERENCE_LARDER.length).toBeGreaterThanOrEqual(450);
    expect(new Set(REFERENCE_LARDER.map(i => i.id)).size).toBe(REFERENCE_LARDER.length);
    for (const ingredient of REFERENCE_LARDER) {
      const looked = checkIngredient(ingredient);
      expect(looked, ingredient.id).toMatchObject({ ok: true });
      expect(looked.ok && looked.warnings, ingredient.id).toEqual([]);
      expect(ingredient.compositionSource.text).not.toBe("");
      for (const measure of ingredient.measures) expect(measure.source.text).not.toBe("");
      if (ingredient.densityGPerMl) expect(ingredient.densitySource?.text, ingredient.id).toBeTruthy();
      if (ingredient.boughtStock) expect(ingredient.composition.salt).toBeGreaterThanOrEqual(0);
    }
  });
  test("impossible entries are refused", () => {
    expect(look({ composition: composed({ water: 50 }) })).toMatchObject({
      problems: [{ code: "SUM_NOT_100" }],
    });
    expect(look({ ediblePct: NaN })).toMatchObject({
      problems: [{ code: "NOT_FINITE", field: "ediblePct" }],
    });
    const backwards = { name: "ladle", massG: 5, loG: 8, hiG: 9, source: { mark: "T" as const, text: "x" } };
    expect(look({ measures: [backwards] })).toMatchObject({ problems: [{ field: "measures.0" }] });
  });
  test("odd entries are said: density, alcohol, milk, fat that is none, salt of a stock", () => {
    expect(doubts({ densityGPerMl: 1.4 })[0]).toContain("litre");
    expect(doubts({ composition: composed({ water: 90, ethanol: 10 }) })[0]).toContain("alcohol");
    expect(doubts({ allergens: [] })[0]).toContain("milk");
    expect(doubts({ phase: "fat" })[0]).toContain("fat");
    expect(doubts({ boughtStock: true, composition: composed({ water: 90, salt: 10 }) })[0]).toContain(
      "powder",
    );
    expect(doubts({ composition: composed({ water: 95, protein: 5, collagen: 4 }) })[0]).toContain("gelatin");
  });
});
