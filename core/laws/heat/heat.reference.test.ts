import { describe, expect, test } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { degC, mm, ml, watts } from "../../ground/quantity";
import { simulate } from "../reduction";
import { valueOf } from "../../ground/result";
import { SEA_LEVEL, liquid } from "../../testing";
import { geometryOf } from "../../things/vessel";
import { carryOver, heatUpTime, surfaceFromOven } from ".";

const C = 10 * 4186 + 2.5 * 500;
/** Wall 10 and top 12 W/(m² K): the arithmetic check; a lid's own value is 10. */
const UA = 10 * Math.PI * 0.28 * 0.162 + 12 * 0.0616;
const heatUp = (heatW: number, lossWPerK = UA) =>
  heatUpTime({
    heatJPerK: C,
    lossWPerK,
    heatW: watts(heatW),
    fromC: degC(15),
    toC: degC(95),
    ambientC: degC(25),
  });

describe("check rows of heating up and carry-over (own model, worked twice)", () => {
  test("K1: 10 kg of water, 1200 W, 15 to 95 °C: 50.74 min; without losses 47.90", () => {
    expect(valueOf(heatUp(1200)) / 60).toBeCloseTo(50.74, 1);
    expect(valueOf(heatUp(1200, 0)) / 60).toBeCloseTo(47.9, 1);
  });
  test.each([
    ["on", 51.22],
    ["off", 60.35],
  ] as const)("K2, K3: the solver with the lid %s: %f min", (lid, minutes) => {
    const done = valueOf(
      simulate({
        liquor: liquid(10_000, { water: 100 }),
        temperatureC: degC(15),
        vessel: geometryOf({ shape: "cylinder", diameterMm: 280, heightMm: 300 }),
        displacedMl: ml(0),
        heatCapacityJPerK: 1250,
        surface: "stirred",
        lid,
        around: SEA_LEVEL,
        facts: NOMINAL_FACTS,
        drive: { watts: watts(1200) },
        goal: { temperatureC: degC(95) },
      }),
    );
    expect(Math.abs(done.endS / 60 / minutes - 1)).toBeLessThan(0.003);
  });
  test("K4: 150 W level off at 94.3 °C and never get there", () => {
    const refused = heatUp(150);
    expect(refused).toMatchObject({ ok: false, problems: [{ code: "NEVER_REACHED" }] });
    expect(!refused.ok && refused.problems[0]?.message).toContain("94.3");
  });
  test("K5: a long roast, 72 under the surface and 52 inside, climbs 6 K, between 3 and 8 (common practice 3–8 K)", () => {
    const rise = (over: number) =>
      valueOf(carryOver(degC(52), degC(72), "cylinder", mm(40), { carryOver: over, carryTime: 1 })).riseK;
    expect([0.3, 0.6, 0.8].map(rise)).toEqual([
      expect.closeTo(3, 2),
      expect.closeTo(6, 2),
      expect.closeTo(8, 2),
    ]);
  });
  test("K6: a compact piece 85 over 50: 12.6 K, at most 15", () => {
    const rise = (over: number) =>
      valueOf(carryOver(degC(50), degC(85), "sphere", mm(40), { carryOver: over, carryTime: 1 })).riseK;
    expect(rise(0.6)).toBeCloseTo(12.6, 2);
    expect(rise(0.3)).toBeCloseTo(6.3, 2);
    expect(rise(0.8)).toBe(15);
  });
});

describe("around them", () => {
  test("C136 pulled at 57 with a rise of 5 it ends at 62; for 63 it must leave the heat at 58", () => {
    // Rise 5 °C from the example: a slab whose surface is 25 °C hotter.
    const rise = valueOf(carryOver(degC(57), degC(82), "slab", mm(20), NOMINAL_FACTS)).riseK;
    expect(rise).toBeCloseTo(5, 6);
    expect(57 + rise).toBeCloseTo(62, 6);
    expect(63 - rise).toBeCloseTo(58, 6);
  });
  test("a cold surface gives nothing and says so", () => {
    const found = carryOver(degC(60), degC(50), "slab", mm(20), NOMINAL_FACTS);
    expect(found.ok && found.value.riseK).toBe(0);
    expect(found.ok && found.warnings[0]?.code).toBe("SURFACE_COOLER");
  });
  test("nonsense is refused where it stands", () => {
    expect(carryOver(degC(200), degC(85), "slab", mm(20), NOMINAL_FACTS)).toMatchObject({
      ok: false,
      problems: [{ code: "OUT_OF_RANGE", field: "coreC" }],
    });
    expect(carryOver(degC(50), degC(85), "slab", mm(2), NOMINAL_FACTS)).toMatchObject({
      ok: false,
      problems: [{ field: "halfThicknessMm" }],
    });
    expect(
      heatUpTime({
        heatJPerK: C,
        lossWPerK: 1,
        heatW: watts(1000),
        fromC: degC(96),
        toC: degC(95),
        ambientC: degC(25),
      }),
    ).toMatchObject({ ok: false, problems: [{ code: "T_START" }] });
  });
  test("an oven tells the surface", () => expect([90, 170, 220].map(surfaceFromOven)).toEqual([65, 75, 85]));
});
