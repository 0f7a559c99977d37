import { describe, expect, it } from "vitest";
import { valueOf } from "../../ground/result";
import { movedTo } from "./reading-at";
import {
  calibrate,
  combineReadings,
  coatWeight,
  corrected,
  cupShear,
  cupViscosity,
  dissolvedFactor,
  iddsiLevel,
  rawThickness,
  readThickness,
  syringeLeftMl,
  thicknessFromCup,
  thicknessFromSyringe,
  thicknessOf,
  viscosityAt,
  bandOf,
  expectedReading,
  type ReadThickness,
  type TestId,
  butterfatDensity,
  oilDensity,
  waterViscosity,
} from ".";

/** Source of the rows: docs/models.md "Body" and "Kitchen tests"; outside sources are named where they stand. */
const read = (test: TestId, reading: number, temperatureC = 60) =>
  valueOf(readThickness({ test, reading, options: { temperatureC } })).thickness;

describe("properties (0.4)", () => {
  it("water, oil and butterfat as the model prints them", () => {
    expect(waterViscosity(20)).toBeCloseTo(1.0017, 4);
    expect(waterViscosity(60)).toBeCloseTo(0.4631, 4);
    expect(waterViscosity(90)).toBeCloseTo(0.3113, 4);
    expect(oilDensity(20)).toBe(0.9195);
    expect(butterfatDensity(55)).toBeCloseTo(0.9011, 4);
  });
  it("water against IAPWS viscosities (from memory): 1.002 at 20 °C, 0.466 at 60 °C, within 2.5 %", () => {
    expect(Math.abs(waterViscosity(20) / 1.002 - 1)).toBeLessThan(0.025);
    expect(Math.abs(waterViscosity(60) / 0.466 - 1)).toBeLessThan(0.025);
  });
  it.each([
    [20, 1.945],
    [30, 3.19],
    [40, 6.17],
    [50, 15.4],
    [60, 58.5],
    [65, 147],
  ])(
    "sugar syrup at 20 °C against ICUMSA / NBS Circular 440 (from memory): %s per cent, %s mPa·s",
    (pct, mPas) => {
      const fitted = waterViscosity(20) * dissolvedFactor(pct / 100, 20, 2.7);
      expect(Math.abs(fitted / mPas - 1)).toBeLessThan(0.06);
    },
  );
});

describe("the scale (A-1 to A-15)", () => {
  it("A-1 100 mPa·s is 40; 45 is 177.83 mPa·s", () => {
    expect(thicknessOf(100)).toBeCloseTo(40, 10);
    expect(viscosityAt(45)).toBeCloseTo(177.83, 2);
  });
  it("A-2 water at 60 °C is 0, not less", () => expect(thicknessOf(0.463)).toBe(0));
  it("A-3 line plate 6.0 cm is 47.85; 56 is 5.07 cm", () => {
    expect(read("line", 6)).toBeCloseTo(47.85, 1);
    expect(expectedReading("line", 56)).toBeCloseTo(5.07, 2);
  });
  it("A-4 trough 5.4 cm is 61.10", () => expect(read("trough", 5.4)).toBeCloseTo(61.1, 1));
  it("A-5 ketchup at 20 °C (trade consistency specifications, from memory): trough and viscosity agree within 6", () => {
    const trough = [4, 7].map(cm => read("trough", cm, 20));
    const viscosity = [900, 1600].map(thicknessOf);
    expect(Math.abs((trough[1] ?? 0) - (viscosity[0] ?? 0))).toBeLessThan(6);
    expect(Math.abs((trough[0] ?? 0) - (viscosity[1] ?? 0))).toBeLessThan(6);
  });
  it("A-6 a peak of 2 cm is 66.33", () => expect(read("peak", 2)).toBeCloseTo(66.33, 1));
  it("A-7 body 40 leaves 6.44 ml in the syringe", () => expect(syringeLeftMl(40)).toBeCloseTo(6.44, 1));
  it("A-8 4.0 ml is 33.36, 8.0 ml is 45.06", () => {
    expect(thicknessFromSyringe(4)).toBeCloseTo(33.36, 1);
    expect(thicknessFromSyringe(8)).toBeCloseTo(45.06, 1);
  });
  it("A-9 water is out of the syringe before 10 s: level 0 of the IDDSI framework 2.0 (2019, from memory)", () => {
    const left = syringeLeftMl(0, 1);
    expect(left).toBeLessThan(1);
    expect(iddsiLevel(left)).toBe("level 0");
    expect([3.9, 7.9, 9.7, 10].map(iddsiLevel)).toEqual([
      "level 1",
      "level 2",
      "level 3",
      "level 4, to be confirmed by fork and spoon",
    ]);
  });
  it("A-10 cup of 4 mm, 60 s: 78.87 mm²/s, 265.3 1/s, 38.02 as a syrup, 42.87 as a bound sauce", () => {
    expect(cupViscosity(60, 4)).toBeCloseTo(78.87, 2);
    expect(cupShear(60, 4)).toBeCloseTo(265.3, 1);
    expect(thicknessFromCup(60, 4, 1)).toBeCloseTo(38.02, 2);
    expect(thicknessFromCup(60, 4)).toBeCloseTo(42.87, 2);
  });
  it("A-11 body 45 leaves 7.15 g on 100 cm²", () => expect(coatWeight(45)).toBeCloseTo(7.15, 2));
  it("A-12 48 ± 5, 44 ± 4, 51 ± 6 are 46.72 ± 2.77", () => {
    const list = (
      [
        ["line", 48, 5],
        ["syringe", 44, 4],
        ["peak", 51, 6],
      ] as const
    ).map(([test, thickness, sd]): ReadThickness => ({ test, thickness, sd, bound: false }));
    const all = valueOf(combineReadings(list));
    expect(all.thickness).toBeCloseTo(46.72, 2);
    expect(all.sd).toBeCloseTo(2.77, 2);
    expect(all.chi2).toBeCloseTo(1.04, 2);
  });
  const SIX = [
    [30, 34],
    [38, 41],
    [45, 50],
    [52, 55],
    [60, 66],
    [47, 52],
  ].map(([x = 0, y = 0]) => ({ x, y }));
  it("A-13 six pairs: a 4.184, b 0.0365, s 2.658; 50 is 54.37 ± 2.90", () => {
    const c = valueOf(calibrate(SIX));
    expect(c.a).toBeCloseTo(4.184, 2);
    expect(c.b).toBeCloseTo(0.0365, 3);
    expect(c.s).toBeCloseTo(2.658, 2);
    expect(c.setAside).toEqual([]);
    expect(corrected(50, c).thickness).toBeCloseTo(54.37, 2);
    expect(corrected(50, c).sd).toBeCloseTo(2.9, 2);
  });
  it("A-13 with a last pair of 47, 85: it is set aside and named, then a 4.025, b 0.0335, s 2.794", () => {
    const c = valueOf(calibrate([...SIX.slice(0, 5), { x: 47, y: 85 }]));
    expect(c.setAside).toEqual([5]);
    expect(c.a).toBeCloseTo(4.025, 2);
    expect(c.b).toBeCloseTo(0.0335, 3);
    expect(c.s).toBeCloseTo(2.794, 2);
  });
  it("A-14 60 % sugar at 20 °C: 57.5 mPa·s, body 35.19", () => {
    const viscosity = waterViscosity(20) * dissolvedFactor(0.6, 20, 2.7);
    expect(viscosity).toBeCloseTo(57.5, 1);
    expect(rawThickness(viscosity)).toBeCloseTo(35.19, 1);
  });
  it("A-15 44.0 read at 75 °C, sauce unknown, is 45.85 at 60 °C", () =>
    expect(movedTo({ thickness: 44, sd: 5, atC: 75 }, 60).thickness).toBeCloseTo(45.85, 2));
});

describe("C130 a word with a number, at a stated temperature", () => {
  it("C130 line plate 6.2 cm at 65 °C is body 46.9 at 60 °C: nappe", () => {
    const moved = movedTo({ thickness: read("line", 6.2, 65), sd: 5, atC: 65 }, 60);
    expect(moved.thickness).toBeCloseTo(46.9, 0);
    expect(bandOf(moved.thickness).name).toBe("nappe");
  });
  it("C130 a target of 5.9–6.6 cm is body 44–49", () => {
    expect(read("line", 5.9)).toBeCloseTo(49, 0);
    expect(read("line", 6.6)).toBeCloseTo(43.2, 0);
  });
});
