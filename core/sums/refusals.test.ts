import { describe, expect, test } from "vitest";
import { REFERENCE_WORLD, SUMS, sumNamed } from ".";
import { named } from "./field";
import { pot, refusal } from "./testing";

describe("bad input", () => {
  test.each([
    ["ice", { volumeMl: -5, fromC: 85, toC: 20 }, "volumeMl", "NEGATIVE"],
    ["ice", { volumeMl: 8000, fromC: 85, toC: 20, bathC: 25 }, "bathC", "NEVER_REACHED"],
    ["ice", { volumeMl: 8000, fromC: "hot", toC: 20 }, "fromC", "NOT_FINITE"],
    ["ice", { volumeMl: 8000, fromC: 85 }, "toC", "MISSING"],
    ["ice", { volumeMl: 8000, fromC: 85, toC: 20, colour: "blue" }, "colour", "NOT_UNDERSTOOD"],
    ["density", { composition: { water: 50 } }, "composition", "SUM_NOT_100"],
    [
      "density",
      { composition: { water: 90, protein: 5, collagen: 6, other: 5 } },
      "composition.collagen",
      "SUBSET_TOO_BIG",
    ],
    ["density", { liquid: "buttermlik" }, "liquid", "UNKNOWN_ID"],
    [
      "vessel-level",
      { vessel: { shape: "bowl", diameterMm: 200, bottomDepthMm: 150, heightMm: 200 }, volumeMl: 500 },
      "vessel",
      "GEOMETRY",
    ],
    ["vessel-level", { vessel: pot(200, 100), volumeMl: 50_000 }, "volumeMl", "OVERFLOW"],
    ["vessel-level", { vessel: pot(200, 100), levelMm: 150 }, "levelMm", "READING_ABOVE_RIM"],
    ["vessel-level", { vessel: { id: "tall-1" }, volumeMl: 500 }, "vessel.id", "UNKNOWN_ID"],
    [
      "vessel-level",
      {
        vessel: {
          shape: "table",
          points: [
            [0, 0],
            [10, 500],
            [5, 900],
          ],
        },
        volumeMl: 100,
      },
      "vessel",
      "GEOMETRY",
    ],
    [
      "reduce",
      { startMl: 500, vessel: pot(240), heat: { burner: "gas-pro", setting: 3 }, target: { to: 0.5 } },
      "heat.setting",
      "OUT_OF_RANGE",
    ],
    [
      "reduce",
      { startMl: 500, vessel: pot(240), heat: { holdC: 120 }, target: { to: 0.5 } },
      "holdC",
      "HOLD_TOO_HOT",
    ],
    [
      "reduce",
      { startMl: 500, vessel: pot(240), heat: { watts: 1000 }, target: { endMl: 600 } },
      "target",
      "TARGET_ABOVE_START",
    ],
    [
      "reduce",
      { startMl: 0, vessel: pot(240), heat: { watts: 1000 }, target: { to: 0.5 } },
      "startG",
      "EMPTY",
    ],
    ["reduce-track", { startG: 5000, targetG: 6000, readings: [] }, "targetG", "TARGET_ABOVE_NOW"],
    [
      "reduce-track",
      {
        startG: 5000,
        targetG: 2000,
        rateGPerMin: 30,
        readings: [
          { min: 10, netG: 4800 },
          { min: 5, netG: 4700 },
        ],
      },
      "readings.1.min",
      "TIME_ORDER",
    ],
    [
      "reduce-track",
      { startG: 5000, targetG: 2000, readings: [{ min: 5, grossG: 4700 }] },
      "tareG",
      "MISSING",
    ],
    [
      "reduce-track",
      { startG: 5000, targetG: 2000, tareG: 4800, readings: [{ min: 5, grossG: 4700 }] },
      "readings.0.grossG",
      "TARE",
    ],
    [
      "cooling-check",
      {
        profile: "fda",
        readings: [
          { min: 10, c: 60 },
          { min: 5, c: 40 },
        ],
      },
      "readings.1.min",
      "TIME_ORDER",
    ],
    [
      "cooling-check",
      {
        profile: "fda",
        readings: [
          { min: 0, c: 600 },
          { min: 5, c: 40 },
        ],
      },
      "readings.0.c",
      "PROBE",
    ],
    [
      "cool-time",
      { massG: 5000, vessel: pot(280), fromC: 80, toC: 2, method: "walk-in", stirred: true },
      "toC",
      "NEVER_REACHED",
    ],
    [
      "heat-up",
      { massG: 5000, vessel: pot(280), fromC: 20, toC: 120, heat: { watts: 2000 }, lid: "on" },
      "toC",
      "HOLD_TOO_HOT",
    ],
    [
      "heat-up",
      { massG: 10_000, vessel: pot(280), fromC: 20, toC: 95, heat: { watts: 60 }, lid: "off" },
      "heat",
      "NEVER_REACHED",
    ],
    ["alcohol-left", { abvPct: 140, volumeMl: 100, method: "flamed" }, "abvPct", "ABV"],
    ["boiling-point", { altitudeM: 9000 }, "altitudeM", "ALTITUDE"],
    ["extract", { boneClass: "veal", bonesG: 1000, hours: 8, temperatureC: 50 }, "holdC", "T_LOW"],
    [
      "extract",
      { boneClass: "unicorn", bonesG: 1000, hours: 8, temperatureC: 90 },
      "boneClass",
      "UNKNOWN_ID",
    ],
    ["portions", { volumeMl: 4800 }, "portionMl", "MISSING"],
    ["lethality", { preset: "yolk-plain", readings: [{ min: 0, c: 60 }] }, "readings", "EMPTY"],
  ] as [string, object, string, string][])("%s %j: %s, %s", (name, input, field, code) => {
    const problems = refusal(name, input);
    expect(problems.map(p => [p.field, p.code])).toContainEqual([field, code]);
    for (const problem of problems) expect(problem.message).not.toMatch(/undefined|NaN|\[object/);
  });
  test("all that is wrong is told at once", () =>
    expect(refusal("ice", { volumeMl: -1, fromC: "x", toC: true }).length).toBe(3));
  test("fields are named as a cook would", () => {
    const { input } = sumNamed("cooling-check") ?? (SUMS[0] as (typeof SUMS)[number]);
    expect(named(input, ["readings", 0, "c"])).toBe("probe (°C)");
    expect(named(input, ["sinkC"])).toBe("the cold it stands in (°C)");
    expect(named(input, [])).toBe("the input");
  });
  test("the world of the reference is sea level, without a kit", () => {
    expect(REFERENCE_WORLD.altitudeM).toBe(0);
    expect(REFERENCE_WORLD.vessels).toEqual([]);
  });
});

describe("what no sauce can be is refused with what works instead", () => {
  test.each([
    [
      "an oil share no emulsion can hold",
      "emulsion",
      {
        oilG: 2000,
        parts: [
          { ingredient: "yolk", massG: 36 },
          { ingredient: "vinegar", massG: 30 },
        ],
      },
      /97 % of it would be oil.*Add 413 g water, or take at most 271 g oil/,
    ],
    [
      "a negative dose",
      "thicken",
      {
        liquid: "water",
        massG: 1000,
        thickeners: [{ id: "flour", massG: -5 }],
        thickener: "flour",
        targetThickness: 45,
      },
      /cannot be negative: type 0 or more/,
    ],
    [
      "a purée with more solids than mass",
      "thin",
      { liquid: "water", massG: 1000, puree: { massG: 300, solidsG: 400 }, targetThickness: 30 },
      /300 g cannot hold 400 g of solids: .* 300 g at most/,
    ],
  ])("%s", (_what, sum, input, message) => {
    expect(
      refusal(sum, input)
        .map(p => p.message)
        .join(" ")
        .replace(/[\u00a0\u202f]/g, " "),
    ).toMatch(message);
  });
});
