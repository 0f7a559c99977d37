import { describe, expect, test } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { massOfPools, volumeAt20 } from "../../things/pot";
import { degC, ml, watts } from "../../ground/quantity";
import { ok, valueOf } from "../../ground/result";
import { SEA_LEVEL, STOCK, WINE, liquid } from "../../testing";
import { geometryOf } from "../../things/vessel";
import { type ChainStep, panChange, pourInto, runChain, simulate } from ".";
import { job, pot, water, within } from "./testing";

const sauteuse = geometryOf({ shape: "frustum", baseMm: 220, rimMm: 300, heightMm: 80 });
const CREAM = { water: 57.3, fat: 37, protein: 2.1, sugars: 3, other: 0.6 };

const step = (
  of: Parameters<typeof liquid>[1],
  massG: number,
  temperatureC: number,
  remaining: number,
  heatW: number,
): ChainStep => ({
  added: { liquor: liquid(massG, of), temperatureC: degC(temperatureC) },
  vessel: sauteuse,
  heatCapacityJPerK: 600,
  lid: "off",
  drive: () => ok({ watts: watts(heatW) }),
  goal: liquor => ok({ ml: ml(volumeAt20(liquor) * remaining) }),
});

describe("check row of the chain (own model, worked twice)", () => {
  test("E10: wine to a third, stock by half, cream by a third: 454.0 + 846.1 + 722.9 s = 33.72 min", () => {
    const steps = valueOf(
      runChain(
        [step(WINE, 300, 20, 1 / 3, 1200), step(STOCK, 600, 20, 0.5, 1200), step(CREAM, 200, 5, 2 / 3, 700)],
        degC(20),
        SEA_LEVEL,
        NOMINAL_FACTS,
      ),
    );
    const [wine, stock, cream] = steps;
    [454.0, 846.1, 722.9].forEach((expected, i) => within(steps[i]?.end.endS ?? 0, expected, 0.003));
    within(steps.reduce((sum, s) => sum + s.end.endS, 0) / 60, 33.72, 0.003);
    expect(stock?.mixC).toBeCloseTo(43.61, 1);
    expect(cream?.mixC).toBeCloseTo(77.27, 1);
    within(volumeAt20(wine?.end.liquor ?? STOCKLESS), 100.68, 0.003);
    within(volumeAt20(stock?.end.liquor ?? STOCKLESS), 347.4, 0.003);
    within(volumeAt20(cream?.end.liquor ?? STOCKLESS), 366.79, 0.003);
    within(massOfPools(cream?.end.liquor ?? STOCKLESS), 374.1, 0.003);
  });
});
const STOCKLESS = liquid(1, STOCK);

describe("liquids one after the other", () => {
  test("C64 250 ml cider by half 125, + 500 stock by a third 417, + 150 cream by a quarter 425", () => {
    const thin = { water: 100 };
    const steps = valueOf(
      runChain(
        [
          step(thin, 249.55, 20, 1 / 2, 1200),
          step(thin, 499.1, 20, 2 / 3, 1200),
          step(thin, 149.73, 5, 3 / 4, 700),
        ],
        degC(20),
        SEA_LEVEL,
        NOMINAL_FACTS,
      ),
    );
    const ends = steps.map(s => Math.round(volumeAt20(s.end.liquor)));
    expect(ends).toEqual([125, 417, 425]);
  });
  test("a hot pan hisses: what is too hot leaves as steam, and nothing else changes", () => {
    const hot = { liquor: liquid(1, { water: 100 }), temperatureC: degC(250) };
    const wine = { liquor: liquid(100, WINE), temperatureC: degC(20) };
    const mixed = pourInto(hot, wine, 900, SEA_LEVEL, NOMINAL_FACTS, sauteuse);
    expect(mixed.temperatureC).toBeGreaterThan(91);
    expect(mixed.temperatureC).toBeLessThan(101);
    expect(massOfPools(mixed.liquor)).toBeLessThan(101);
    expect(mixed.liquor.sugars).toBeCloseTo(wine.liquor.sugars, 9);
  });
  test("a step that cannot be done is named by its number", () => {
    const refused = runChain(
      [step(WINE, 300, 20, 1 / 3, 1200), step(STOCK, 600, 20, 0.001, 1200)],
      degC(20),
      SEA_LEVEL,
      NOMINAL_FACTS,
    );
    expect(refused).toMatchObject({ ok: false, problems: [{ field: "steps.1.target" }] });
  });
});

describe("another pan", () => {
  test("C62 held below the boil 32 → 45 cm is × 1.98: 40 → 79 ml/min, 87 → 44 min; boiling it stays 40", () => {
    const held = valueOf(panChange(40, 3470, pot(320), pot(450), "held"));
    expect(held.times).toBeCloseTo(1.98, 2);
    expect(held.rateMlPerMin).toBeCloseTo(79, 0);
    expect(held.minutes).toBeCloseTo(44, 0);
    const boiling = valueOf(panChange(40, 3470, pot(320), pot(450), "boiling"));
    expect(boiling.rateMlPerMin).toBe(40);
    expect(boiling.minutes).toBeCloseTo(87, 0);
    expect(boiling.why).toContain("no faster");
    expect(panChange(0, 3470, pot(320), pot(450), "held")).toMatchObject({ ok: false });
  });
  test("C62 the solver says the same: held, time goes with the area; boiling, with the flame", () => {
    const time = (diameter: number, drive: Parameters<typeof job>[0]["drive"]) =>
      valueOf(simulate({ ...shared(diameter), drive })).endS;
    within(time(320, { holdC: degC(88) }) / time(450, { holdC: degC(88) }), 1.98, 0.02);
    // The wider pan also loses a little more to the room.
    within(time(320, { watts: watts(3000) }) / time(450, { watts: watts(3000) }), 1, 0.06);
  });
  test("a refractometer reading can be the end: 3 % solids to 9 °Bx", () => {
    const end = valueOf(
      job({
        liquor: liquid(1000, STOCK),
        vessel: pot(220),
        drive: { watts: watts(1500) },
        goal: { brix: 9 },
      }),
    );
    expect(end.reached).toBe(true);
    expect(massOfPools(end.liquor)).toBeGreaterThan(400);
    expect(massOfPools(end.liquor)).toBeLessThan(520);
    expect(
      job({
        liquor: liquid(1000, STOCK),
        vessel: pot(220),
        drive: { watts: watts(1500) },
        goal: { brix: 2 },
      }),
    ).toMatchObject({ ok: false, problems: [{ code: "TARGET_ABOVE_START" }] });
  });
});

const shared = (diameter: number) => ({
  liquor: water(5600),
  temperatureC: degC(88),
  vessel: pot(diameter),
  displacedMl: ml(0),
  heatCapacityJPerK: 0,
  surface: "stirred" as const,
  lid: "off" as const,
  around: SEA_LEVEL,
  facts: NOMINAL_FACTS,
  goal: { ml: ml(2130) },
});
