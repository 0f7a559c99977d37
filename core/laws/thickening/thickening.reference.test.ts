import { describe, expect, it } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { valueOf } from "../../ground/result";
import { bandOf, bodyOf, loosenTo, looseningWith, thickenTo, waterViscosity } from "../texture";
import { sauceOf } from "../texture/testing";
import { type RouxColour, type StarchDose, butterFor, starchPower, swapThickener } from ".";

const F = NOMINAL_FACTS;
/** Body at 60 °C unless said. */
const body = (state: Parameters<typeof bodyOf>[0], c = 60) => valueOf(bodyOf(state, c, F));
const flour = (massG: number, more: Partial<StarchDose> = {}): StarchDose => ({
  id: "flour",
  massG,
  minutes: 20,
  ...more,
});

describe("starch against its check rows (B-1 to B-12; docs/models.md “Starch”)", () => {
  const b1 = sauceOf({ water: 1000, butter: 60 }, { starches: [flour(60)] });
  it("B-1 60 g flour and butter to a litre of water: 56.03 g/kg, N 325.3, 181.2 mPa·s, body 45.16", () => {
    const b = body(b1);
    expect(b.perKg.starch).toBeCloseTo(56.03, 1);
    expect(b.network).toBeCloseTo(325.3, 0);
    expect(b.fatVolume).toBeCloseTo(0.0501, 4);
    expect(b.viscosityMPas).toBeCloseTo(181.2, 0);
    expect(b.thickness).toBeCloseTo(45.16, 1);
  });

  /** Teaching tables of roux: 12, 16, 24 oz a US gallon for thin, medium, thick (from memory), 90, 120, 180 g a litre. */
  const table = [
    [30, 26.25, 28.87, 29.97, "soup-cream"],
    [45, 37.29, 39.85, 41.0, "light coat"],
    [60, 45.16, 47.71, 48.9, "nappe"],
    [90, 56.23, 58.75, 60.03, "heavy coat"],
    [120, 64.01, 66.52, 67.88, "mounding"],
  ] as const;
  it.each(table)("B-2 the teaching table: %s g flour a litre", (grams, water, stock, milk, band) => {
    const with_ = { starches: [flour(grams)] };
    expect(body(sauceOf({ water: 1000, butter: grams }, with_)).thickness).toBeCloseTo(water, 1);
    const inStock = body(sauceOf({ "white stock": 1000, butter: grams }, with_)).thickness;
    expect(inStock).toBeCloseTo(stock, 1);
    // 90 g stands at the edge of the next.
    expect(bandOf(inStock - 1.5).name).toBe(band);
    expect(body(sauceOf({ milk: 1030, butter: grams }, with_)).thickness).toBeCloseTo(milk, 1);
  });

  it.each([
    ["corn", 30, 44.63],
    ["arrowroot", 30, 44.63],
    ["tapioca", 24, 44.8],
    ["rice", 36, 44.47],
    ["potato", 15, 45.04],
  ] as const)(
    "B-3 %s, %s g for 60 g flour (a cookery school’s replacement table, from memory; potato our estimate)",
    (id, massG, thickness) => {
      const just = body(sauceOf({ water: 1000 }, { starches: [{ id, massG, minutes: 2, maxC: 95 }] }));
      const asFlour = body(sauceOf({ water: 1000 }, { starches: [flour(60)] }));
      expect(just.thickness).toBeCloseTo(thickness, 1);
      expect(asFlour.thickness).toBeCloseTo(43.84, 1);
      expect(Math.abs(just.thickness - asFlour.thickness)).toBeLessThan(1.5);
    },
  );

  it.each([
    ["white", 47.71],
    ["blond", 44.79],
    ["brown", 36.67],
    ["dark", 22.84],
  ] as const)("B-4 %s roux in stock: %s", (colour: RouxColour, thickness) =>
    expect(
      body(sauceOf({ "white stock": 1000, butter: 60 }, { starches: [flour(60, { colour })] })).thickness,
    ).toBeCloseTo(thickness, 1),
  );
  it("B-5 brown roux for 60 g white: 89.6 g, about half as much again (common practice)", () =>
    expect(60 / starchPower(flour(1, { colour: "brown" }), F).power).toBeCloseTo(89.6, 1));
  it("B-6 potato after 15 min keeps 0.6480; corn that saw 80 °C counts 1.6289", () => {
    const potato = starchPower({ id: "potato", massG: 1, minutes: 15 }, F);
    expect(potato.viscosity).toBeCloseTo(0.648, 3);
    expect(potato.power).toBeCloseTo(3.4928, 3);
    const corn = starchPower({ id: "corn", massG: 1, minutes: 5, maxC: 80 }, F);
    expect(corn.activation).toBeCloseTo(0.5185, 3);
    expect(corn.power).toBeCloseTo(1.6289, 3);
  });
  it("B-7 flour: 240 min, 40 s blended, pH 3.5 for 20 min", () => {
    expect(starchPower(flour(1, { minutes: 240 }), F).cooking).toBeCloseTo(0.7332, 3);
    expect(starchPower(flour(1, { blendedS: 40 }), F).shear).toBeCloseTo(0.6974, 3);
    expect(starchPower(flour(1, { pH: 3.5 }), F).acid).toBeCloseTo(0.6703, 3);
  });
  it("B-8 corn slurry for 45 in a kilogram of water: 31.86 g and 47.79 g water, as the closed form says", () => {
    const base = sauceOf({ water: 1000 });
    const how = { dose: { id: "corn", minutes: 5 }, form: "slurry" } as const;
    const found = valueOf(thickenTo(base, how, 45, 60, F));
    expect(found.thickenerG).toBeCloseTo(31.86, 1);
    expect(found.waterG).toBeCloseTo(47.79, 1);
    // m = c·m_nf / (1000·F − c·(1 + cw)), c from the target by hand.
    const c = F.starchThreshold * (10 ** (45 / 20) / waterViscosity(60) - 1) ** (1 / F.starchPower);
    const closed = (c * 1000) / (1000 * starchPower({ id: "corn", massG: 1, minutes: 5 }, F).power - c * 2.5);
    expect(found.thickenerG).toBeCloseTo(closed, 4);
  });
  it("B-9 equal roux for 45 in a kilogram of white stock: 54.33 g, and forward again 45.00", () => {
    const found = valueOf(
      thickenTo(
        sauceOf({ "white stock": 1000 }),
        { dose: { id: "flour", minutes: 20 }, form: "roux" },
        45,
        60,
        F,
      ),
    );
    expect(found.thickenerG).toBeCloseTo(54.33, 1);
    expect(found.fatG).toBeCloseTo(found.thickenerG, 10);
    expect(body(found.state).thickness).toBeCloseTo(45, 6);
  });
  it("B-10 90 g flour, 40 min, 120 g gone: 62.04; 695 g water for 45", () => {
    const state = sauceOf(
      { "white stock": 1000, butter: 90 },
      { starches: [flour(90, { minutes: 40 })], steamG: 120 },
    );
    expect(body(state).thickness).toBeCloseTo(62.04, 1);
    expect(valueOf(loosenTo(state, looseningWith("water"), 45, 60, F)).addG).toBeCloseTo(695.4, 0);
  });
  it("B-11 45 g flour: 39.85; 158 g must boil off for 45", () => {
    const state = sauceOf({ "white stock": 1000, butter: 45 }, { starches: [flour(45)] });
    const found = valueOf(loosenTo(state, looseningWith("water"), 45, 60, F));
    expect(Math.abs(found.evaporateG - 158.3)).toBeLessThan(2);
    expect(found.addG).toBe(0);
  });
  it("B-12 the sauce of B-1 at 20 °C: 55.98", () => expect(body(b1, 20).thickness).toBeCloseTo(55.98, 1));
});

describe("C79, C80, C83 swaps and credits", () => {
  it("C83 180 g flour is 90 g corn starch; potato starch 45 g (the model’s 4 wins over the example’s 2.5)", () => {
    expect(valueOf(swapThickener("flour", "corn", 180, F)).massG).toBeCloseTo(90, 10);
    expect(valueOf(swapThickener("flour", "potato", 180, F)).massG).toBeCloseTo(45, 10);
  });
  it("C20 the swap says what it does to clarity, freezing and gluten, and never “free of”", () => {
    const { consequences } = valueOf(swapThickener("flour", "arrowroot", 180, F));
    const words = consequences.join("; ");
    expect(words).toMatch(/clearer/);
    expect(words).toMatch(/freezes better/);
    expect(words).toMatch(/gluten/);
    expect(words).not.toMatch(/gluten-free/);
  });
  it("C79 dark roux wants more flour: 275 g white is 688 g dark (the model’s 0.40 wins over the example’s 0.7)", () =>
    expect(275 / starchPower(flour(1, { colour: "dark" }), F).power).toBeCloseTo(687.5, 1));
  it("C80 140 g duck fat do the work of 171 g butter", () => expect(butterFor(140)).toBeCloseTo(171, 0));
  it("a swap there and back is the same weight", () => {
    const there = valueOf(swapThickener("flour", "tapioca", 100, F)).massG;
    expect(valueOf(swapThickener("tapioca", "flour", there, F)).massG).toBeCloseTo(100, 10);
  });
});

describe("a kitchen’s own figures of its thickeners", () => {
  const weak = { ...F, potatoPower: 3.2, rouxDark: 0.5 };
  const potato = sauceOf({ water: 1000 }, { starches: [{ id: "potato", massG: 20 }] });
  it("a weaker potato starch: more of it in a swap, less body from as much", () => {
    expect(valueOf(swapThickener("flour", "potato", 180, weak)).massG).toBeCloseTo(56.25, 10);
    expect(valueOf(bodyOf(potato, 60, weak)).thickness).toBeLessThan(body(potato).thickness - 3);
  });
  it("a dark roux that keeps half its power: 550 g do the work of 275 g white", () =>
    expect(275 / starchPower(flour(1, { colour: "dark" }), weak).power).toBeCloseTo(550, 1));
  it("corn starch is not browned: a colour changes nothing of it", () =>
    expect(starchPower({ id: "corn", massG: 1, colour: "dark" }, F)).toEqual(
      starchPower({ id: "corn", massG: 1 }, F),
    ));
});
