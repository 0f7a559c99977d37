import { createRequire } from "node:module";
import { describe, expect, test } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import {
  boilingPointC,
  latentHeatJPerG,
  massOfPools,
  saturationPressurePa,
  volumeAt,
  volumeAt20,
} from "../../things/pot";
import { degC, ml, pascals, s, watts, g } from "../../ground/quantity";
import { valueOf } from "../../ground/result";
import { SEA_LEVEL, STOCK, WINE, liquid } from "../../testing";
import { geometryOf } from "../../things/vessel";
import { type SimulationInput } from "./simulate";
import { pot, water, job, within } from "./testing";

/** The part of odex used here; the types it ships do not pass this compiler. */
const { Solver } = createRequire(import.meta.url)("odex") as {
  Solver: new (equations: number) => {
    relativeTolerance: number;
    solve(
      slope: (x: number, y: number[]) => number[],
      x0: number,
      y0: number[],
      xEnd: number,
    ): { y: number[] };
  };
};

describe("exact rows", () => {
  test("2 kg water boiled to half without wall loss: 1925.79 s (closed form)", () => {
    const end = valueOf(
      job({
        liquor: water(2000),
        vessel: pot(200),
        drive: { watts: watts(1200) },
        goal: { g: g(1000) },
        facts: { ...NOMINAL_FACTS, wallLoss: 0 },
      }),
    );
    within(end.endS, 1925.79, 5e-4);
  });

  test("20 kg held 8 h at 85 °C in a 34 cm pot loses 12.918 % (by hand); asks for 417 W", () => {
    const end = valueOf(
      job({
        liquor: water(20000),
        vessel: pot(340),
        drive: { holdC: degC(85) },
        surface: "lazy",
        goal: "time",
        mostS: s(8 * 3600),
        temperatureC: degC(85),
      }),
    );
    within(1 - massOfPools(end.liquor) / 20000, 0.12918, 5e-4);
    within(end.requiredW, 417, 5e-3);
  });
});

describe("rows of the model, cross-checked there with an independent ODE solver", () => {
  const wine = (over: Partial<SimulationInput> = {}) => {
    const liquor = liquid(496.6, WINE);
    return valueOf(
      job({
        liquor,
        vessel: pot(320),
        temperatureC: degC(20),
        drive: { watts: watts(2400) },
        heatCapacityJPerK: 750,
        goal: { ml: ml(volumeAt20(liquor) / 4) },
        ...over,
      }),
    );
  };

  test("half a litre of wine to a quarter over strong heat: 408.3 s, boils from 92.0 s, 130.46 g, 40.3 % of the vinegar acid kept", () => {
    const end = wine();
    within(end.endS, 408.3, 2e-3);
    within(end.boilS ?? 0, 92.0, 5e-3);
    within(massOfPools(end.liquor), 130.46, 2e-3);
    expect(end.temperatureC).toBeCloseTo(100.49, 1);
    within(end.liquor.acidVolatile / (496.6 * 0.0004), 0.403, 5e-3);
  });
  test("the same at half the heat: 841.2 s", () =>
    within(wine({ drive: { watts: watts(1200) } }).endS, 841.2, 2e-3));
  test("the same at 3000 m: 398.9 s, ends at 90.46 °C", () => {
    const end = wine({ around: { ...SEA_LEVEL, pressurePa: pascals(70108.42) } });
    within(end.endS, 398.9, 2e-3);
    expect(end.temperatureC).toBeCloseTo(90.46, 1);
  });
  test("a flared sauteuse needs nothing special: 815.1 s", () => {
    const liquor = liquid(500, WINE);
    const end = valueOf(
      job({
        liquor,
        vessel: geometryOf({ shape: "frustum", baseMm: 220, rimMm: 300, heightMm: 80 }),
        temperatureC: degC(20),
        drive: { watts: watts(1200) },
        heatCapacityJPerK: 600,
        goal: { ml: ml(volumeAt20(liquor) / 4) },
      }),
    );
    within(end.endS, 815.1, 2e-3);
  });
  test.each([
    [0.5, 20.43],
    [0.375, 24.27],
  ])("four cups of water to %d: %d min (recipes say 20–30 min, common practice)", (r, expected) => {
    const liquor = water(946);
    const end = valueOf(
      job({
        liquor,
        vessel: pot(220, 120),
        temperatureC: degC(20),
        drive: { watts: watts(1200) },
        heatCapacityJPerK: 500,
        goal: { ml: ml(volumeAt20(liquor) * r) },
      }),
    );
    within(end.endS / 60, expected, 3e-3);
  });
  test("mushroom juice on a weak flame never boils: 17.71 min, 83.2 °C", () => {
    const end = valueOf(
      job({
        liquor: water(180),
        vessel: pot(320),
        temperatureC: degC(60),
        drive: { watts: watts(480) },
        heatCapacityJPerK: 1870,
        goal: { g: g(9) },
      }),
    );
    within(end.endS / 60, 17.71, 5e-3);
    expect(end.boilS).toBeNull();
    expect(end.temperatureC).toBeCloseTo(83.2, 0);
  });
  test.each([
    ["off", 671.1],
    ["ajar", 234.9],
    ["on", 53.7],
  ] as const)("4 kg held an hour at 90 °C, lid %s: %d g of steam", (lid, expected) => {
    const end = valueOf(
      job({
        liquor: water(4000),
        vessel: pot(280),
        drive: { holdC: degC(90) },
        lid,
        goal: "time",
        mostS: s(3600),
      }),
    );
    within(end.vapour.water, expected, 2e-3);
  });
  test("a lid hardly matters at a boil: 2492 s off, 2467 s on", () => {
    const boil = (lid: "off" | "on") =>
      valueOf(
        job({
          liquor: water(4000),
          vessel: pot(280),
          drive: { watts: watts(1000) },
          lid,
          goal: { g: g(3000) },
        }),
      ).endS;
    within(boil("off"), 2492, 2e-3);
    within(boil("on"), 2467, 2e-3);
  });
  test("heating 10 kg with the lid on: 51.22 min to 95 °C; off: 60.35 min", () => {
    const heat = (lid: "off" | "on") =>
      valueOf(
        job({
          liquor: water(10000),
          vessel: pot(280),
          temperatureC: degC(15),
          drive: { watts: watts(1200) },
          heatCapacityJPerK: 1250,
          lid,
          goal: { temperatureC: degC(95) },
        }),
      ).endS / 60;
    within(heat("on"), 51.22, 3e-3);
    within(heat("off"), 60.35, 3e-3);
  });
  test("a flame too small to boil still gets there in 35 h; a smaller one is refused as not reached", () => {
    const park = (w: number) =>
      job({ liquor: water(20000), vessel: pot(340), drive: { watts: watts(w) }, goal: { g: g(10000) } });
    const slow = valueOf(park(265));
    expect(slow.boilS).toBeNull();
    within(slow.endS / 3600, 35.0, 5e-3);
    expect(park(150)).toMatchObject({ ok: false, problems: [{ code: "NOT_REACHED" }] });
  });
});

describe("against odex 2.0.4, an independent adaptive ODE solver", () => {
  test("stock boiled down in a flared pan: the same mass after half an hour", () => {
    const vessel = geometryOf({ shape: "frustum", baseMm: 220, rimMm: 300, heightMm: 120 });
    const stock = liquid(4000, STOCK);
    const end = valueOf(
      job({
        liquor: stock,
        vessel,
        drive: { watts: watts(1500) },
        goal: "time",
        mostS: s(1800),
        temperatureC: degC(100),
      }),
    );
    const slope = (_t: number, [lost = 0]: number[]) => {
      const now = { ...stock, water: stock.water - lost };
      const t = boilingPointC(now, 101325);
      const level = valueOf(vessel.levelOf(valueOf(volumeAt(now, degC(t)))));
      const loss = ((10 * vessel.wallMm2(level) + 12 * vessel.surfaceMm2(level)) / 1e6) * (t - 25);
      return [(1500 - loss) / latentHeatJPerG(t)];
    };
    const solver = new Solver(1);
    solver.relativeTolerance = 1e-10;
    const lost = solver.solve(slope, 0, [0], 1800).y[0] ?? 0;
    within(end.vapour.water, lost, 2e-4);
  });
  test("water held at 80 °C in a bowl whose surface shrinks: the same mass after three hours", () => {
    const vessel = geometryOf({ shape: "bowl", diameterMm: 400, bottomDepthMm: 160, heightMm: 200 });
    const end = valueOf(
      job({ liquor: water(6000), vessel, drive: { holdC: degC(80) }, goal: "time", mostS: s(3 * 3600) }),
    );
    const pressure = saturationPressurePa(80) - 0.5 * saturationPressurePa(25);
    const slope = (_t: number, [lost = 0]: number[]) => {
      const level = valueOf(vessel.levelOf(valueOf(volumeAt(water(6000 - lost), degC(80)))));
      return [((vessel.surfaceMm2(level) / 1e6) * (0.089 + 0.0782 * 0.15) * pressure) / latentHeatJPerG(80)];
    };
    within(end.vapour.water, new Solver(1).solve(slope, 0, [0], 3 * 3600).y[0] ?? 0, 2e-4);
  });
});
