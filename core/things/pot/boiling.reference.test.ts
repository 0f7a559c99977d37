import psychrolib from "psychrolib";
import { describe, expect, test } from "vitest";
import { liquid, STOCK, WINE } from "../../testing";
import { pascals } from "../../ground/quantity";
import { valueOf } from "../../ground/result";
import {
  boilingPoint,
  latentHeatJPerG,
  pressureAtAltitude,
  saturationPressurePa,
  saturationTemperature,
} from "./boiling";

psychrolib.SetUnitSystem(psychrolib.SI);

describe("against psychrolib 1.1.1, an open implementation of the ASHRAE formulas", () => {
  test.each([5, 20, 60, 85, 95, 100, 120])("saturation pressure at %d °C", t => {
    expect(saturationPressurePa(t)).toBeCloseTo(psychrolib.GetSatVapPres(t), 2);
  });
  test.each([0, 500, 1180, 1609, 2240, 3640, 5000])("standard pressure at %d m", altitude => {
    expect(valueOf(pressureAtAltitude(altitude))).toBeCloseTo(psychrolib.GetStandardAtmPressure(altitude), 2);
  });
});

describe("boiling point", () => {
  test("water at 101 325 Pa boils at 99.974 °C (IAPWS)", () => {
    expect(valueOf(saturationTemperature(pascals(101325)))).toBeCloseTo(99.974, 2);
  });
  test.each([
    [1609, 94.62],
    [2240, 92.514],
    [3000, 89.973],
    [3640, 87.829],
  ])(
    "water at %d m boils at %d °C (own model, worked twice; cooks' rules agree within 0.6 K)",
    (altitude, expected) => {
      const p = valueOf(pressureAtAltitude(altitude));
      expect(Math.abs(valueOf(saturationTemperature(p)) - expected)).toBeLessThan(0.002);
    },
  );
  test("the demo kitchen at 1180 m: water boils near 96 °C", () => {
    expect(valueOf(saturationTemperature(valueOf(pressureAtAltitude(1180))))).toBeCloseTo(96.06, 1);
  });
  test.each([
    [40, 101.153],
    [60, 103.103],
    [70, 105.479],
    [80, 110.2],
    [85, 114.5],
    [90, 122],
    [98, 151.5],
  ])("syrup of %d %% boils at %d °C (sugar tables and candy stages, from memory)", (pct, expected) => {
    const t = valueOf(boilingPoint(liquid(100, { sugars: pct, water: 100 - pct }), pascals(101325)));
    expect(Math.abs(t - expected)).toBeLessThan(0.005);
  });
  test("at 1 180 m the soft ball is 3.6–5 K lower (a cook’s rule: 1 °C for 300 m, from memory)", () => {
    const syrup = liquid(100, { sugars: 85, water: 15 });
    const p = valueOf(pressureAtAltitude(1180));
    const lower = valueOf(boilingPoint(syrup, pascals(101325))) - valueOf(boilingPoint(syrup, p));
    expect(lower).toBeGreaterThan(3.6);
    expect(lower).toBeLessThan(5);
  });
  test.each([
    ["wine of 12.5 % vol", WINE, 91.578],
    ["stock", STOCK, 99.998],
    ["glace", { water: 62, protein: 30, collagen: 22, fat: 1, sugars: 1, salt: 1, other: 5 }, 100.808],
  ])("%s boils at %o → %d °C (own model, worked twice)", (_name, parts, expected) => {
    const t = valueOf(boilingPoint(liquid(100, parts), pascals(101325)));
    expect(Math.abs(t - expected)).toBeLessThan(0.005);
  });
  test.each([
    [60, 2357.7],
    [80, 2308.0],
    [100, 2256.4],
  ])("latent heat at %d °C is %d J/g (steam tables, from memory)", (t, expected) => {
    expect(Math.abs(latentHeatJPerG(t) - expected)).toBeLessThan(1);
  });
  test("a drop of spirit without water, and a crust, still boil somewhere", () => {
    for (const parts of [
      { ethanol: 99.999, water: 0.001 },
      { ethanol: 1e-7, water: 1e-7, fat: 99 },
      { sugars: 99.9, water: 0.1 },
    ]) {
      const t = valueOf(boilingPoint(liquid(100, parts), pascals(101325)));
      expect(t).toBeGreaterThan(70);
      expect(t).toBeLessThan(220);
    }
  });
  test("a pressure that cannot be a station's is refused", () => {
    expect(saturationTemperature(pascals(1013))).toMatchObject({
      ok: false,
      problems: [{ code: "PRESSURE", field: "pressurePa" }],
    });
    expect(pressureAtAltitude(9000)).toMatchObject({ ok: false, problems: [{ code: "ALTITUDE" }] });
  });
});
