import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { abvOf, boilingPointC, massOfPools, volumeAt20 } from "../../things/pot";
import { degC, ml, pascals } from "../../ground/quantity";
import { simulate } from "../reduction";
import { valueOf } from "../../ground/result";
import { SEA_LEVEL, WINE, liquid } from "../../testing";
import { geometryOf } from "../../things/vessel";
import { boilDown, flameWarnings, keptInWords, labelEthanol, retainedShare } from ".";

const AIR = pascals(101325);
const wine = liquid(1000, WINE);
/** 40 % vol by the mass shares of the model: 33.3 g per 100 g. */
const brandy = liquid(1000, { water: 66.682, ethanol: 33.318 });
const vinegar = liquid(1000, { water: 93.5, acid: 6.2, volatileAcid: 6.2, other: 0.3 });
const boiled = (of: typeof wine, r: number) => valueOf(boilDown(of, r, AIR, NOMINAL_FACTS));

describe("check rows of the alcohol model (own model, worked twice)", () => {
  test("G4: wine of 12.5 % vol begins to boil at 91–92 °C (common practice)", () =>
    expect(boilingPointC(wine, AIR)).toBeCloseTo(91.58, 1));
  test.each([
    [0.9, 55.79, 7.749, 0.005],
    [0.75, 13.16, 2.193, 0.005],
    [0.5, 0.1209, 0.03023, 0.02],
  ])("G5: wine to %f of its volume keeps %f %%, %f %% vol", (r, kept, abv, within) => {
    const end = boiled(wine, r);
    expect(Math.abs((100 * end.ethanol) / wine.ethanol / kept - 1)).toBeLessThan(within);
    expect(Math.abs(abvOf(end) / abv - 1)).toBeLessThan(within);
    expect(volumeAt20(end) / volumeAt20(wine)).toBeCloseTo(r, 3);
  });
  test.each([
    [0.75, 50.33, 26.84, 0.005],
    [0.5, 8.97, 7.176, 0.005],
    [1 / 3, 0.1808, 0.2169, 0.02],
  ])("G6: brandy to %f keeps %f %%, %f %% vol", (r, kept, abv, within) => {
    const end = boiled(brandy, r);
    expect(Math.abs((100 * end.ethanol) / brandy.ethanol / kept - 1)).toBeLessThan(within);
    expect(Math.abs(abvOf(end) / abv - 1)).toBeLessThan(within);
  });
  // USDA Table of Nutrient Retention Factors, Release 6, 2007, from memory; between its points our rule.
  test.each([
    [15, 40],
    [20, 38.26],
    [45, 29.58],
    [75, 22.36],
    [200, 5],
  ])("G7: stirred in for %i min keeps %f %% (USDA retention factors)", (minutes, pct) =>
    expect(100 * valueOf(retainedShare("stirred-in", minutes, NOMINAL_FACTS))).toBeCloseTo(pct, 1),
  );
  test.each([
    [0.5, 60.95],
    [1 / 3, 45.57],
  ])("G8: vinegar to %f keeps %f %% of its acid", (r, kept) =>
    expect(Math.abs((100 * boiled(vinegar, r).acidVolatile) / vinegar.acidVolatile - kept)).toBeLessThan(0.3),
  );
  test("G9: wine held at 80 °C to a half: 73 min, and more alcohol stays than at a boil", () => {
    const held = valueOf(
      simulate({
        liquor: wine,
        temperatureC: degC(80),
        vessel: geometryOf({ shape: "cylinder", diameterMm: 240, heightMm: 200 }),
        displacedMl: ml(0),
        heatCapacityJPerK: 0,
        surface: "stirred",
        lid: "off",
        around: SEA_LEVEL,
        facts: NOMINAL_FACTS,
        drive: { holdC: degC(80) },
        goal: { ml: ml(volumeAt20(wine) / 2) },
      }),
    );
    expect(Math.abs(held.endS / 60 / 73.06 - 1)).toBeLessThan(0.01);
    expect(Math.abs((100 * held.liquor.ethanol) / wine.ethanol / 1.557 - 1)).toBeLessThan(0.01);
  });
});

describe("what is said about alcohol", () => {
  test("C69 300 ml of 40 %: flamed 71 g stay; simmered on for 30 min 29 g; the label takes the upper end", () => {
    const start = 94.7;
    const flamed = start * valueOf(retainedShare("flamed", 0, NOMINAL_FACTS));
    expect(flamed).toBeCloseTo(71, 0);
    expect((100 * flamed) / 6000).toBeCloseTo(1.2, 1);
    const after = (retentionTrue: number) =>
      start * valueOf(retainedShare("flamed", 30, { ...NOMINAL_FACTS, retentionTrue }));
    expect(after(1)).toBeCloseTo(29.2, 1);
    expect((100 * after(1)) / 6000).toBeCloseTo(0.49, 2);
    expect(after(0.6)).toBeCloseTo(17.5, 0);
    expect(after(1.5)).toBeCloseTo(44, 0);
    expect(labelEthanol(start, after(1.5))).toBe(after(1.5));
  });
  test("never nothing: not in words, not on a label", () => {
    expect(keptInWords(0.0012, 0.08)).toBe("about 0.1 %, possibly up to 8.0 %");
    expect(keptInWords(0.0001, 0.0002)).toBe("less than 0.5 %");
    expect(labelEthanol(100, 0)).toBe(0.1);
  });
  test("wine to a half: nominal 0.12 %, but up to 8 % where steam mixes badly", () => {
    const bad = valueOf(boilDown(wine, 0.5, AIR, { ...NOMINAL_FACTS, steamMixing: 0.5 }));
    expect((100 * bad.ethanol) / wine.ethanol).toBeCloseTo(8, 0);
  });
  test("wine can light too", () => {
    expect(flameWarnings(4)).toEqual([]);
    expect(flameWarnings(12.5)[0]?.code).toBe("FLAMMABLE_VAPOUR");
    expect(flameWarnings(40)[0]?.code).toBe("FLAMMABLE_STRONG");
  });
  test("impossible wishes are refused", () => {
    expect(boilDown(wine, 1.2, AIR, NOMINAL_FACTS)).toMatchObject({
      ok: false,
      problems: [{ code: "OUT_OF_RANGE" }],
    });
    expect(boilDown(liquid(100, { fat: 100 }), 0.5, AIR, NOMINAL_FACTS)).toMatchObject({
      ok: false,
      problems: [{ code: "NO_WATER" }],
    });
    expect(boilDown(liquid(100, { water: 30, sugars: 70 }), 0.1, AIR, NOMINAL_FACTS)).toMatchObject({
      ok: false,
      problems: [{ code: "TARGET_BELOW_SOLIDS" }],
    });
    expect(retainedShare("stirred-in", -5, NOMINAL_FACTS)).toMatchObject({
      ok: false,
      problems: [{ code: "NEGATIVE" }],
    });
  });
});

const drink = fc.record({
  ethanol: fc.double({ min: 1, max: 40, noNaN: true }),
  sugars: fc.double({ min: 0, max: 15, noNaN: true }),
});
describe("invariants", () => {
  property.prop([drink, fc.double({ min: 0.3, max: 0.7, noNaN: true })], { numRuns: 40 })(
    "the further down, the less stays; the size of the batch does not matter",
    ({ ethanol, sugars }, r) => {
      const of = { ethanol, sugars, water: 100 - ethanol - sugars };
      const small = liquid(200, of);
      const large = liquid(5000, of);
      const kept = (x: number) => boiled(small, x).ethanol / small.ethanol;
      expect(kept(r * 0.9)).toBeLessThanOrEqual(kept(r) * (1 + 1e-6));
      expect(boiled(large, r).ethanol / large.ethanol).toBeCloseTo(kept(r), 4);
      expect(massOfPools(boiled(small, r))).toBeLessThan(200);
    },
  );
  property.prop([fc.double({ min: 0, max: 200, noNaN: true }), fc.double({ min: 0, max: 100, noNaN: true })])(
    "longer never keeps more",
    (minutes, more) => {
      const kept = (t: number) => valueOf(retainedShare("stirred-in", t, NOMINAL_FACTS));
      expect(kept(minutes + more)).toBeLessThanOrEqual(kept(minutes) * (1 + 1e-9));
    },
  );
});
