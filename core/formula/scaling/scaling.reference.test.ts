import { describe, expect, test } from "vitest";
import { valueOf } from "../../ground/result";
import {
  largestRemainder,
  openKitchen,
  portionsOf,
  priceForShare,
  scaleEvaporation,
  scaleFormula,
  walk,
} from "..";
import { bowlBatches } from "../../things/vessel";
import { firstDoseShare } from "../../laws/seasoning/first-dose";
import { DEMO_FORMULAS } from "../../../demo/formulas";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { NOMINAL_FACTS } from "../../ground/facts";
import { bodyOf, thickenTo } from "../../laws/texture";
import { sauceOf } from "../../laws/texture/testing";

const area = (diameterMm: number) => (Math.PI * diameterMm ** 2) / 4;

describe("06-G check rows", () => {
  const base = { liquidG: 3000, evaporatedG: 600, minutes: 30, surfaceMm2: area(250) };
  test("G-1 four times in a 36 cm pot, as long as written: 1.2442 kg leave, 10.844 kg to start", () => {
    const found = valueOf(scaleEvaporation(base, 4, area(360), "time"));
    expect(found.evaporatedG).toBeCloseTo(1244.2, 0);
    expect(found.startG).toBeCloseTo(10_844, 0);
  });
  test("G-2 in the same proportions: 57.87 min", () => {
    expect(valueOf(scaleEvaporation(base, 4, area(360), "proportions")).minutes).toBeCloseTo(57.87, 2);
  });
  test.each([
    [2, 1],
    [4, 0.95],
    [16, 0.85],
    [100, 0.75],
  ])("G-4 × %d: %d of the salt first", (factor, share) => {
    expect(firstDoseShare(factor)).toBeCloseTo(share, 9);
  });
  test("G-5 and G-6 rounding keeps the total", () => {
    expect(largestRemainder([101.26, 33.33, 14.87, 7.9, 2.64], 1)).toEqual([101, 33, 15, 8, 3]);
    const tenths = largestRemainder([12.345, 6.789, 3.456, 0.71], 0.1);
    [12.3, 6.8, 3.5, 0.7].forEach((wanted, i) => expect(tenths[i]).toBeCloseTo(wanted, 9));
  });
  test("G-7 9.6 kg at 60 g, 3 % lost in serving: 155 portions; 0.2013 each is 0.7189 at 28 %", () => {
    const portions = valueOf(portionsOf(9600 as never, 60 as never, 0.03));
    expect(portions).toBe(155);
    expect(valueOf(priceForShare(31.2 / portions, 28))).toBeCloseTo(0.7189, 3);
  });
  test("G-8 six litres in a bowl of five: two of three", () => {
    expect(valueOf(bowlBatches(6000, 5000))).toEqual({ count: 2, eachMl: 3000 });
  });
  test("C18 6.80 at 28 % is 24.29", () => expect(valueOf(priceForShare(6.8, 28))).toBeCloseTo(24.29, 2));
  test("C126 cayenne 3 g × 6 is 18 g; the first dose is a share of it, then somebody tastes", () => {
    // 06-G, step 4 (our estimate): 0.92 at × 6. The trade's flat 80 % would be 14.4 g.
    const first = 18 * firstDoseShare(6);
    expect(first).toBeCloseTo(18 * (1 - 0.05 * Math.log2(3)), 9);
    expect(first).toBeLessThan(18);
    expect(first).toBeGreaterThan(14.4);
  });
  test("C173 1.5 to 0.5 l in 20 cm takes 25 min; 9 to 3 l in 36 cm 46 min held, 150 min at a full boil on the same flame", () => {
    const small = { liquidG: 1500, evaporatedG: 1000, minutes: 25, surfaceMm2: area(200) };
    const held = valueOf(scaleEvaporation(small, 6, area(360), "proportions"));
    expect(held.minutes).toBeCloseTo(46, 0);
    // At the boil the flame sets the pace, whatever the surface; with 3.24 times the heat it is 46 min again.
    const boiling = valueOf(scaleEvaporation(small, 6, area(200), "proportions"));
    expect(boiling.minutes).toBeCloseTo(150, 9);
    expect(boiling.minutes / 3.24).toBeCloseTo(46, 0);
  });
  test("C176 1 110, 555, 555 g to 50 g: 2.20 kg of 2.22, −0.9 %", () => {
    const rounded = largestRemainder([1110, 555, 555], 50, 2200);
    expect(rounded.reduce((a, b) => a + b, 0)).toBe(2200);
    expect([...rounded].sort((a, b) => b - a)).toEqual([1100, 550, 550]);
    expect(100 * (2200 / 2220 - 1)).toBeCloseTo(-0.9, 1);
  });
  test("C174 3.6 kg that grows to 1.5 l a kg, in 5 l: two batches", () => {
    expect(valueOf(bowlBatches(3600, 5000, 1.5)).count).toBe(2);
  });
});

describe("scaling a formula of the kitchen", () => {
  const kitchen = openKitchen(DEMO_KITCHEN);
  const document = DEMO_KITCHEN.formulas["cider-juniper-pan-sauce"];
  if (!document) throw new Error("The demo pan sauce is gone.");
  const scaled = valueOf(
    scaleFormula(document, kitchen, { by: "covers", covers: 84, portionG: 40, overagePct: 5 }),
  );
  test("C153, C172 eighty-four covers of 40 g and 5 % over are made", () => {
    expect(scaled.finished.oursG * scaled.batches).toBeCloseTo(84 * 40 * 1.05, 0);
  });
  test("C175 each correction says why; salt follows the finished weight", () => {
    for (const line of scaled.lines)
      if (Math.abs(line.oursG / line.plainG - 1) > 0.02) expect(line.reason, line.name).toBeTruthy();
  });
  test("fond goes with the floors of the pans: a large batch lifts several, and no liquid shrinks", () => {
    const cider = scaled.lines.find(l => l.name === "dry cider");
    expect(cider?.reason).toMatch(/Lift \d pans/);
    expect((cider?.oursG ?? 0) / (cider?.originalG ?? 1)).toBeGreaterThan(
      0.75 * (scaled.factor / scaled.batches),
    );
  });
  test("a factor nobody cooks is refused", () => {
    const refused = scaleFormula(document, kitchen, { by: "factor", factor: 0.001 });
    expect(!refused.ok && refused.problems[0]?.code).toBe("OUT_OF_RANGE");
  });
});

describe("thickener is recomputed (06-G, step 3)", () => {
  test("G-3 base 49.15; in the new pot 606.1 g flour, in the same proportions 613.8 g", () => {
    const base = sauceOf(
      { "white stock": 3000, butter: 150 },
      { starches: [{ id: "flour", massG: 150, minutes: 30 }], steamG: 600 },
    );
    const wanted = valueOf(bodyOf(base, 60, NOMINAL_FACTS)).thickness;
    expect(wanted).toBeCloseTo(49.15, 1);
    const flour = (stockG: number, steamG: number, minutes: number) =>
      valueOf(
        thickenTo(
          sauceOf({ "white stock": stockG }, { steamG }),
          { dose: { id: "flour", minutes }, form: "roux" },
          wanted,
          60,
          NOMINAL_FACTS,
        ),
      ).thickenerG;
    expect(Math.abs(flour(10_844.2, 1244.2, 30) - 606.1)).toBeLessThan(0.3);
    expect(Math.abs(flour(12_000, 2400, 57.87) - 613.8)).toBeLessThan(0.3);
  });
  test("C172, C175 a gravy at six times: the flour ends at the body it had, and says so where it differs", () => {
    const gravy = DEMO_FORMULAS["buckwheat-brown-gravy"];
    if (!gravy) throw new Error("The demo gravy is gone.");
    const kitchen = openKitchen(DEMO_KITCHEN);
    const before = walk(gravy, kitchen).states.at(-1)?.body?.thickness ?? 0;
    for (const policy of ["keep time", "keep proportions"] as const) {
      const scaled = valueOf(scaleFormula(gravy, kitchen, { by: "factor", factor: 4 }, policy));
      const after = walk(scaled.document, kitchen).states.at(-1)?.body?.thickness ?? 0;
      expect(Math.abs(after - before)).toBeLessThan(1);
    }
  });
});
