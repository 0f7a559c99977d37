import { describe, expect, test } from "vitest";
import { composed, liquid, STOCK, WINE } from "../../testing";
import { degC, g } from "../../ground/quantity";
import { abvOf, brixOf, densityAt, specificHeat, volumeAt, waterDensityKgM3 } from "./density";
import { NO_POOLS, poolsOf } from "./pools";

const kgM3 = (parts: Parameters<typeof composed>[0], t: number) =>
  densityAt(poolsOf(composed(parts), g(100)), degC(t)) * 1000;

describe("density", () => {
  test.each([
    [4, 999.97],
    [20, 998.2],
    [25, 997.05],
  ])("water at %d °C is %d kg/m³ (Kell, J. Chem. Eng. Data 20, 1975)", (t, expected) => {
    expect(waterDensityKgM3(t)).toBeCloseTo(expected, 1);
    expect(Math.abs(waterDensityKgM3(t) - expected)).toBeLessThan(0.02);
  });

  test.each([
    [80, 971.8],
    [100, 958.4],
  ])("water at %d °C is %d kg/m³ (steam tables, from memory)", (t, expected) => {
    expect(Math.abs(waterDensityKgM3(t) - expected)).toBeLessThan(0.1);
  });

  test.each([
    [10, 1038.1],
    [40, 1176.5],
    [60, 1286.5],
  ])("sucrose %d %% at 20 °C is %d kg/m³ (NBS Circular 440, from memory)", (pct, expected) => {
    expect(Math.abs(kgM3({ sugars: pct, water: 100 - pct }, 20) - expected)).toBeLessThan(2);
  });

  test.each([
    [4, 1026.8],
    [10, 1070.7],
    [20, 1147.8],
  ])("brine %d %% at 20 °C is %d kg/m³ (Perry's Handbook, from memory)", (pct, expected) => {
    expect(Math.abs(kgM3({ salt: pct, water: 100 - pct }, 20) - expected)).toBeLessThan(1);
  });

  test.each([
    [10, 981.9, 12.44],
    [40, 935.2, 47.4],
  ])("ethanol %d %% w/w at 20 °C is %d kg/m³ and %d %% vol (OIML R 22, from memory)", (pct, density, abv) => {
    expect(Math.abs(kgM3({ ethanol: pct, water: 100 - pct }, 20) - density)).toBeLessThan(0.5);
    expect(abvOf(liquid(100, { ethanol: pct, water: 100 - pct }))).toBeCloseTo(abv, 1);
  });

  test("wine of 12.5 % vol: 993.197 kg/m³, 75 cl weigh 744.9 g (own model, worked twice)", () => {
    expect(kgM3(WINE, 20)).toBeCloseTo(993.197, 2);
    expect(kgM3(WINE, 20) * 0.75).toBeCloseTo(744.9, 1);
  });

  test("cream of 37 % fat lies between 985 and 1000 kg/m³ at 20 °C (common practice, no source)", () => {
    const density = kgM3({ water: 57.3, fat: 37, protein: 2.1, sugars: 3, other: 0.6 }, 20);
    expect(density).toBeGreaterThan(974);
    expect(density).toBeLessThan(1000);
    expect(density).toBeCloseTo(986.26, 1);
  });
});

describe("refractometer", () => {
  test.each([
    [{ sugars: 12, water: 88 }, 12.0],
    [{ salt: 3, water: 97 }, 3.54],
    [{ protein: 5, collagen: 5, water: 95 }, 6.35],
  ])("%o reads %d °Bx (CRC Handbook increments, from memory)", (parts, expected) => {
    expect(brixOf(liquid(100, parts))).toBeCloseTo(expected, 2);
  });
});

test("specific heat: water at 60 °C 4190.5 J/(kg K) (Choi & Okos 1986, from memory)", () => {
  expect(specificHeat(liquid(1, { water: 100 }), 60) * 1000).toBeCloseTo(4190.5, 0);
  expect(
    specificHeat(liquid(100, { water: 57.3, fat: 37, protein: 2.1, sugars: 3, other: 0.6 }), 20) * 1000,
  ).toBeCloseTo(3237.3, 0);
});

test("a volume is refused outside 0–175 °C and without water or fat", () => {
  expect(volumeAt(liquid(100, STOCK), degC(180))).toMatchObject({
    ok: false,
    problems: [{ code: "T_RANGE" }],
  });
  expect(volumeAt({ ...NO_POOLS, salt: 5 }, degC(20))).toMatchObject({
    ok: false,
    problems: [{ code: "NO_WATER" }],
  });
});
