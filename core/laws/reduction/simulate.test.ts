import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { massOfPools, volumeAt20 } from "../../things/pot";
import { degC, ml, s, watts, g, type mm } from "../../ground/quantity";
import { valueOf } from "../../ground/result";
import { SEA_LEVEL, STOCK, WINE, liquid } from "../../testing";
import { simulateToGoal } from "./simulate";
import { pot, water, job, within } from "./testing";

describe("invariants", () => {
  const boilDown = (share: number, w: number) => {
    const liquor = liquid(3000, STOCK);
    return valueOf(
      job({
        liquor,
        vessel: pot(260),
        drive: { watts: watts(w) },
        goal: { ml: ml(volumeAt20(liquor) * share) },
      }),
    );
  };
  property.prop([fc.double({ min: 0.15, max: 0.85, noNaN: true }), fc.integer({ min: 600, max: 4000 })], {
    numRuns: 25,
  })("steam and pot make the start; less left takes longer; more heat is quicker", (share, w) => {
    const end = boilDown(share, w);
    expect(
      massOfPools(end.liquor) + end.vapour.water + end.vapour.ethanol + end.vapour.acidVolatile,
    ).toBeCloseTo(3000, 6);
    expect(boilDown(share * 0.9, w).endS).toBeGreaterThan(end.endS);
    expect(boilDown(share, w * 1.2).endS).toBeLessThan(end.endS);
  });
  test("two reductions one after the other are one", () => {
    const liquor = liquid(3000, STOCK);
    const reduce = (from: typeof liquor, ratio: number) =>
      valueOf(
        job({
          liquor: from,
          vessel: pot(260),
          drive: { watts: watts(1500) },
          goal: { ml: ml(volumeAt20(from) * ratio) },
        }),
      );
    const first = reduce(liquor, 0.5);
    within(first.endS + reduce(first.liquor, 0.5).endS, reduce(liquor, 0.25).endS, 1e-3);
  });
});

test("a spoonful on a flame that never boils it is refused without keeping anybody waiting", () => {
  let asked = 0;
  const vessel = pot(60, 100);
  const counting = {
    ...vessel,
    surfaceMm2: (level: ReturnType<typeof mm>) => (asked++, vessel.surfaceMm2(level)),
  };
  const never = job({
    liquor: water(2),
    vessel: counting,
    drive: { watts: watts(0.3) },
    goal: { temperatureC: degC(95) },
    temperatureC: degC(15),
    heatCapacityJPerK: 500,
    lid: "on",
  });
  expect(never.ok && never.value.reached).toBe(false);
  // Each step asks a few times; 48 h in quarter seconds would be 700 000 steps.
  expect(asked).toBeLessThan(40_000);
});

describe("refusals and warnings", () => {
  test("smaller than its own solids, hotter than it boils, fuller than the pot", () => {
    const glace = liquid(500, { water: 40, protein: 50, collagen: 45, other: 10 });
    expect(
      job({ liquor: glace, vessel: pot(200), drive: { watts: watts(500) }, goal: { ml: ml(100) } }),
    ).toMatchObject({ ok: false, problems: [{ code: "TARGET_BELOW_SOLIDS" }] });
    expect(
      job({ liquor: water(1000), vessel: pot(200), drive: { holdC: degC(104) }, goal: "time", mostS: s(60) }),
    ).toMatchObject({ ok: false, problems: [{ code: "HOLD_TOO_HOT" }] });
    expect(
      job({ liquor: water(20_000), vessel: pot(200, 100), drive: { watts: watts(500) }, goal: { g: g(1) } }),
    ).toMatchObject({ ok: false, problems: [{ code: "OVERFLOW" }] });
  });
  test("a thin layer and a foaming pan are warned of", () => {
    const thin = job({
      liquor: water(800),
      vessel: pot(360, 100),
      drive: { watts: watts(1500) },
      goal: { g: g(300) },
    });
    expect(thin.ok && thin.warnings.map(w => w.code)).toContain("THIN_LAYER");
    // Taken down to little, thin is what was wanted.
    const wanted = job({
      liquor: water(800),
      vessel: pot(360, 100),
      drive: { watts: watts(1500) },
      goal: { g: g(200) },
    });
    expect(wanted.ok && wanted.warnings).toEqual([]);
    const foaming = job({
      liquor: liquid(2000, WINE),
      vessel: pot(200, 120),
      drive: { watts: watts(1500) },
      temperatureC: degC(20),
      goal: { g: g(1500) },
    });
    expect(foaming.ok && foaming.warnings.map(w => w.code)).toContain("FOAM_RISK");
  });
  test("a pan that boils dry on the way is no result", () => {
    const dry = simulateToGoal({
      liquor: liquid(300, STOCK),
      vessel: pot(200),
      drive: { watts: watts(900) },
      goal: { temperatureC: degC(140) },
      temperatureC: degC(90),
      displacedMl: ml(0),
      heatCapacityJPerK: 0,
      surface: "stirred",
      lid: "off",
      around: SEA_LEVEL,
      facts: NOMINAL_FACTS,
    });
    expect(dry).toMatchObject({ ok: false, problems: [{ code: "NOT_REACHED" }] });
  });
});

describe("no wish keeps a kitchen waiting", () => {
  test("a flame that never gets there is refused with what would work, after few steps", () => {
    const asked = job({
      liquor: water(59.45),
      temperatureC: degC(55.3),
      vessel: pot(454),
      drive: { watts: watts(21.3) },
      goal: { temperatureC: degC(64.2) },
      lid: "on",
    });
    expect(asked.ok ? "" : asked.problems[0]?.message).toMatch(/stronger flame, a smaller pan or a lid/);
  });
  property.prop(
    [
      fc.double({ min: 1, max: 50_000, noNaN: true }),
      fc.double({ min: 0.1, max: 20_000, noNaN: true }),
      fc.integer({ min: 60, max: 900 }),
      fc.double({ min: 30, max: 99, noNaN: true }),
    ],
    { numRuns: 60 },
  )("whatever is asked takes at most some thousand steps", (grams, heat, diameter, toC) => {
    const asked = job({
      liquor: water(grams),
      temperatureC: degC(20),
      vessel: pot(diameter),
      drive: { watts: watts(heat) },
      goal: { temperatureC: degC(toC) },
      trace: true,
    });
    if (asked.ok) expect(asked.value.trace.length).toBeLessThanOrEqual(1501);
  });
});
