import { describe, expect, test } from "vitest";
import { boilingPointC, saturationPressurePa } from ".";
import { liquid } from "../../testing";
import {
  MOLAR_MASS_ETHANOL_G,
  MOLAR_MASS_WATER_G,
  ethanolActivity,
  ethanolMoleFraction,
  ethanolVapourPressurePa,
  waterActivityBesideEthanol,
} from "./vapour-liquid";

const mixture = (x: number) => {
  const ethanol = x * MOLAR_MASS_ETHANOL_G;
  const water = (1 - x) * MOLAR_MASS_WATER_G;
  const total = ethanol + water;
  const t = boilingPointC(
    liquid(100, { ethanol: (100 * ethanol) / total, water: (100 * water) / total }),
    101325,
  );
  return { t, y: (x * ethanolActivity(x) * ethanolVapourPressurePa(t)) / 101325 };
};

describe("ethanol and water at 1 atm", () => {
  test.each([
    [0.0721, 0.389, 89.0],
    [0.1661, 0.509, 84.1],
    [0.5079, 0.656, 79.8],
  ])("x = %d: vapour %d, boils at %d °C (Perry's Handbook, vapour–liquid table, from memory)", (x, y, t) => {
    const found = mixture(x);
    expect(Math.abs(found.y - y)).toBeLessThan(0.006);
    expect(Math.abs(found.t - t)).toBeLessThan(0.7);
  });
  test("azeotrope at x = 0.894, 78.15 °C (published, cross-checked)", () => {
    const found = mixture(0.8943);
    expect(Math.abs(found.y - 0.894)).toBeLessThan(0.005);
    expect(Math.abs(found.t - 78.15)).toBeLessThan(0.2);
  });
});

test("the ends of the scale are pure", () => {
  expect(ethanolActivity(1)).toBe(1);
  expect(waterActivityBesideEthanol(0)).toBe(1);
  expect(ethanolActivity(0)).toBeCloseTo(5.365, 2);
  expect(ethanolMoleFraction(0, 100)).toBe(0);
  expect(boilingPointC(liquid(100, { water: 100 }), saturationPressurePa(90))).toBeCloseTo(90, 6);
});
