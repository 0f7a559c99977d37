import { describe, expect, it } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { valueOf } from "../../ground/result";
import { bandOf, bodyOf, mountButter, setsBelowC, temperLiaison, waterViscosity, yolkWindow } from ".";
import { sauceOf } from "./testing";

const F = NOMINAL_FACTS;
const body = (state: Parameters<typeof bodyOf>[0], c = 60) => valueOf(bodyOf(state, c, F));
const codes = (state: Parameters<typeof bodyOf>[0], c = 60) => {
  const result = bodyOf(state, c, F);
  return result.ok ? result.warnings.map(w => w.code) : result.problems.map(p => p.code);
};

/** Source of the rows: docs/models.md "Body"; sources outside are named where they stand. */
describe("gelatin, liaison, cream, butter, solids (C-1 to C-16)", () => {
  it.each([
    [1000, 24.7],
    [500, 50.5],
    [400, 63.75],
  ])("C-1 brown stock of 5 kg reduced to %s g: %s", (endG, thickness) => {
    const b = body(sauceOf({ "brown stock": 5000 }, { steamG: 5000 - endG }));
    expect(b.thickness).toBeCloseTo(thickness, 1);
  });
  it("C-2 reduced ten times it coats the spoon heavily (common practice: a glace is about a tenth)", () => {
    const { thickness } = body(sauceOf({ "brown stock": 5000 }, { steamG: 4500 }));
    expect(thickness).toBeGreaterThan(41);
    expect(thickness).toBeLessThan(55);
  });
  const VELOUTE = { starches: [{ id: "flour", massG: 60, minutes: 30 }], steamG: 150 } as const;
  it("C-3 velouté: c 64.78, φ 0.0613, body 52.3", () => {
    const b = body(sauceOf({ "white stock": 1000, butter: 60 }, VELOUTE));
    expect(b.perKg.all).toBeCloseTo(64.78, 1);
    expect(b.fatVolume).toBeCloseTo(0.0613, 4);
    expect(b.thickness).toBeCloseTo(52.3, 1);
  });
  const BOUND = { "white stock": 1000, butter: 60, yolk: 54, cream: 100 };
  it("C-4 bound with yolk and cream to 82 °C: 57.2, yolk 14.66; only to 70 °C: 53.5", () => {
    const hot = body(sauceOf(BOUND, { ...VELOUTE, yolkMaxC: 82 }));
    expect(hot.thickness).toBeCloseTo(57.2, 1);
    expect(hot.perKg.yolk).toBeCloseTo(14.66, 1);
    expect(body(sauceOf(BOUND, { ...VELOUTE, yolkMaxC: 70 })).thickness).toBeCloseTo(53.5, 1);
  });
  it("C-5 with 50 g butter: 58.3, φ 0.1385", () => {
    const b = body(sauceOf({ ...BOUND, butter: 110 }, { ...VELOUTE, yolkMaxC: 82 }));
    expect(b.thickness).toBeCloseTo(58.3, 1);
    expect(b.fatVolume).toBeCloseTo(0.1385, 4);
  });
  it("C-6 custard sauce (8–10 yolks a litre coat at 82–84 °C, common practice): 35.5 at 83 °C, 28.1 at 76 °C", () => {
    const custard = (yolkMaxC: number) => body(sauceOf({ milk: 1030, yolk: 180, sugar: 200 }, { yolkMaxC }));
    expect(custard(83).thickness).toBeCloseTo(35.5, 1);
    expect(custard(76).thickness).toBeCloseTo(28.1, 1);
    expect(bandOf(custard(83).thickness).id).toBeGreaterThanOrEqual(3);
    expect(bandOf(custard(76).thickness).id).toBeLessThan(3);
  });
  it("C-7 a brown sauce by the proportions of Escoffier’s Guide culinaire (from memory): 42.8, light coat to nappe", () => {
    const { thickness } = body(
      sauceOf(
        { "brown stock": 2400, butter: 60 },
        { starches: [{ id: "flour", massG: 66, colour: "brown", minutes: 240 }], steamG: 1400 },
      ),
    );
    expect(thickness).toBeCloseTo(42.8, 1);
    expect([3, 4]).toContain(bandOf(thickness).id);
  });
  it.each([
    [0, 0.392, 20.6],
    [1000 / 3, 0.574, 41.55],
    [500, 0.747, 58.9],
  ])("C-8 cream, %s g boiled off: φ %s, body %s", (steamG, fatVolume, thickness) => {
    const state = sauceOf({ cream: 1000 }, { steamG });
    expect(body(state).fatVolume).toBeCloseTo(fatVolume, 3);
    expect(body(state).thickness).toBeCloseTo(thickness, 1);
    expect(codes(state).includes("CREAM_NEAR_BREAK")).toBe(steamG === 500);
  });
  it("C-9 cream by half coats heavily, hot cream as it comes does not coat (common practice)", () => {
    expect(body(sauceOf({ cream: 1000 }, { steamG: 500 })).thickness).toBeGreaterThan(41);
    expect(body(sauceOf({ cream: 1000 })).thickness).toBeLessThan(22);
  });
  const BISQUE = sauceOf(
    { "white stock": 1000, cream: 100, butter: 50 },
    { starches: [{ id: "ricepuree", massG: 50, minutes: 40 }], pureeG: 50, pureeSolidsG: 1.975, steamG: 100 },
  );
  it("C-10 bisque: 46.18, starch 41.87, purée 8.92", () => {
    const b = body(BISQUE);
    expect(b.thickness).toBeCloseTo(46.18, 1);
    expect(b.perKg.starch).toBeCloseTo(41.87, 1);
    expect(b.perKg.puree).toBeCloseTo(8.92, 1);
  });
  it("C-11 tempering 154 g at 8 °C with 960 g at 95 °C", () => {
    const t = valueOf(
      temperLiaison({ sauceG: 960, sauceC: 95, liaisonG: 154, liaisonC: 8, window: yolkWindow(40) }),
    );
    expect(t.steps).toHaveLength(2);
    expect(t.steps[0]?.addG).toBeCloseTo(38.5, 1);
    expect(t.steps[0]?.reachesC).toBeCloseTo(27.8, 1);
    expect(t.steps[1]?.addG).toBeCloseTo(96.3, 0);
    expect(t.steps[1]?.reachesC).toBeCloseTo(52.2, 1);
    expect(t.finalC).toBeCloseTo(84.6, 1);
  });
  it.each([
    [0, 82, 85],
    [12.5, 86, 93.5],
    [40, 90, 102],
  ])("C-12 window of a yolk with %s g/kg of flour: 75–%s, curdled from %s", (c, hi, hard) => {
    const w = yolkWindow(c);
    expect([w.loC, w.hiC, w.hardC]).toEqual([75, hi, hard]);
  });
  it("C-13 50 g of butter into half a kilogram at 85 °C: 78.73 °C; from 80 °C at most 218 g at once", () => {
    const at85 = { sauceG: 500, sauceC: 85, sauceFatPct: 0, butterG: 50, butterC: 5 };
    expect(valueOf(mountButter(at85)).finalC).toBeCloseTo(78.73, 1);
    expect(valueOf(mountButter({ ...at85, sauceC: 80 })).mostAtOnceG).toBeCloseTo(218, -0.5);
  });
  it("C-14 6.67 % gelatin at 60 °C: 3.36 mPa·s, within 1.5–7.5 (standard test methods of the gelatin makers, from memory)", () => {
    const b = body({ ...sauceOf({ water: 933.3 }), gelatinG: 66.7 });
    expect(b.viscosityMPas).toBeCloseTo(3.36, 1);
    expect(b.viscosityMPas).toBeGreaterThan(1.5);
    expect(b.viscosityMPas).toBeLessThan(7.5);
  });
  it("C-15 stock, cream and wine reduced to half a kilogram: 28.9, φ 0.395", () => {
    const b = body(sauceOf({ "white stock": 500, cream: 500, wine: 100 }, { steamG: 600 }));
    expect(b.thickness).toBeCloseTo(28.9, 1);
    expect(b.fatVolume).toBeCloseTo(0.395, 3);
  });
  it("C-16 the bound velouté at 40 °C: 62.1; the bisque at 20 °C: 55.61", () => {
    expect(body(sauceOf(BOUND, { ...VELOUTE, yolkMaxC: 82 }), 40).thickness).toBeCloseTo(62.1, 1);
    expect(body(BISQUE, 20).thickness).toBeCloseTo(55.61, 1);
  });
});

/** Accepted bands: what a practitioner calls it, docs/models.md "Body"; M marks as there. */
describe("reductions, cream and mounted sauces as a saucier reads them", () => {
  it.each([
    ["whole milk at 20 °C, mPa·s (handbooks, from memory)", sauceOf({ milk: 1000 }), 20, 1.8, 2.2],
    ["skim concentrate 40 % at 50 °C", sauceOf({ water: 600 }, { milkSolidsG: 400 }), 50, 10, 20],
    ["skim concentrate 45 % at 50 °C", sauceOf({ water: 550 }, { milkSolidsG: 450 }), 50, 35, 70],
    ["cream of 36 % at 20 °C", sauceOf({ cream: 1000 }), 20, 18, 35],
    ["gelatin 10 % at 60 °C", sauceOf({ water: 900 }, { gelatinG: 100 }), 60, 5, 15],
    ["gelatin 10 % at 80 °C", sauceOf({ water: 900 }, { gelatinG: 100 }), 80, 3, 8],
    ["gelatin 20 % at 60 °C", sauceOf({ water: 800 }, { gelatinG: 200 }), 60, 30, 100],
    ["gelatin 20 % at 50 °C", sauceOf({ water: 800 }, { gelatinG: 200 }), 50, 45, 150],
  ])("%s", (_, state, c, lo, hi) => {
    const { viscosityMPas } = body(state, c);
    expect(viscosityMPas).toBeGreaterThan(lo);
    expect(viscosityMPas).toBeLessThan(hi);
  });
  it.each([
    ["cream as it comes", { cream: 1000 }, 0, 18, 22],
    ["cream by a quarter", { cream: 1000 }, 250, 30, 37],
    ["cream by a third", { cream: 1000 }, 333.3, 37, 45],
    ["cream by two fifths", { cream: 1000 }, 400, 42, 50],
    ["cream by half", { cream: 1000 }, 500, 49, 61],
    ["C-15 stock and cream to half", { "white stock": 500, cream: 500, wine: 100 }, 600, 24, 33],
    ["… and on to 400 g", { "white stock": 500, cream: 500, wine: 100 }, 700, 38, 46],
    [
      "a kilogram of brown stock to 200 g with 60 g of butter",
      { "brown stock": 1000, butter: 60 },
      800,
      30,
      37,
    ],
    ["… to 150 g with 30 g of butter", { "brown stock": 1000, butter: 30 }, 850, 33, 41],
    ["butter melted into an eighth of water", { water: 30, butter: 250 }, 0, 46, 51],
  ])("%s (common practice, no source)", (_, liquids, steamG, lo, hi) => {
    const { thickness } = body(sauceOf(liquids, { steamG }));
    expect(thickness).toBeGreaterThan(lo);
    expect(thickness).toBeLessThan(hi);
  });
  it("a glaze of 30 % gelatin coats heavily hot and mounds as it cools", () => {
    const glaze = sauceOf({ water: 550 }, { gelatinG: 300, dissolvedG: 150 });
    expect(body(glaze, 80).thickness).toBeCloseTo(49.9, 0);
    expect(body(glaze, 50).thickness).toBeCloseTo(63.2, 0);
  });
});

describe("C131 body belongs to a temperature", () => {
  const jus = { ...sauceOf({ water: 950 }), gelatinG: 50 };
  it("C131 a jus with 5 % gelatin is about three points thinner at 80 °C than at 55 °C: one band at most", () => {
    const apart = body(jus, 55).thickness - body(jus, 80).thickness;
    expect(apart).toBeGreaterThan(2);
    expect(apart).toBeLessThan(5);
    expect(bandOf(body(jus, 55).thickness).id - bandOf(body(jus, 80).thickness).id).toBeLessThanOrEqual(1);
    expect(waterViscosity(80)).toBeLessThan(waterViscosity(55));
  });
  it("C131 at 8 °C it is a gel: warm plates", () => {
    expect(setsBelowC(5)).toBeCloseTo(22, 10);
    expect(codes(jus, 8)).toContain("GELS_ON_PLATE");
  });
});

describe("refusals and warnings say what is wrong", () => {
  it("more boiled off than there was", () =>
    expect(codes(sauceOf({ "white stock": 1000 }, { steamG: 990 }))).toContain("NOT_ENOUGH"));
  it("nothing but fat", () => expect(codes(sauceOf({ oil: 100 }))).toEqual(["NO_WATER"]));
  it("more solids than purée", () =>
    expect(codes({ ...sauceOf({ water: 100 }), pureeG: 100, pureeSolidsG: 120 })).toEqual([
      "SUBSET_TOO_BIG",
    ]));
  it("a temperature that is none, a negative mass: both at once", () =>
    expect(codes({ ...sauceOf({ water: 100 }), saltG: -1 }, 140)).toEqual(["T_RANGE", "NEGATIVE"]));
  it("a dough", () =>
    expect(codes(sauceOf({ water: 1000 }, { starches: [{ id: "flour", massG: 600 }] }))).toContain(
      "OUT_OF_RANGE",
    ));
  it("a curdled liaison, an undercooked one, one that eats its starch", () => {
    expect(codes(sauceOf({ "white stock": 900, yolk: 60 }, { yolkMaxC: 92 }))).toContain("CURDLED");
    expect(codes(sauceOf({ "white stock": 900, yolk: 60 }, { yolkMaxC: 70 }))).toContain(
      "LIAISON_UNDERCOOKED",
    );
    expect(
      codes(
        sauceOf({ "white stock": 900, yolk: 60 }, { yolkMaxC: 84, starches: [{ id: "flour", massG: 60 }] }),
      ),
    ).toContain("YOLK_THINS_STARCH");
  });
  it("starch that was not hot enough, cooked away, raw", () => {
    const dose = (more: object) =>
      sauceOf({ water: 1000 }, { starches: [{ id: "flour", massG: 50, ...more }] });
    expect(codes(dose({ maxC: 70 }))).toContain("STARCH_NOT_ACTIVATED");
    expect(codes(dose({ pH: 3, minutes: 40 }))).toContain("STARCH_BREAKDOWN");
    expect(codes(dose({ minutes: 4 }))).toContain("RAW_FLOUR_TASTE");
  });
});
