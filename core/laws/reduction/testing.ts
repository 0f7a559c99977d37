import { expect } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { saturationTemperature } from "../../things/pot";
import { ml, pascals } from "../../ground/quantity";
import { valueOf } from "../../ground/result";
import { SEA_LEVEL, liquid } from "../../testing";
import { geometryOf } from "../../things/vessel";
import { type SimulationInput, simulate } from "./simulate";

/** What the checks of the solver share. */
export const SATURATION = valueOf(saturationTemperature(pascals(101325)));
export const pot = (diameterMm: number, heightMm = 400) =>
  geometryOf({ shape: "cylinder", diameterMm, heightMm });
export const water = (mass: number) => liquid(mass, { water: 100 });

export const job = (
  over: Partial<SimulationInput> & Pick<SimulationInput, "liquor" | "vessel" | "drive" | "goal">,
) =>
  simulate({
    temperatureC: SATURATION,
    displacedMl: ml(0),
    heatCapacityJPerK: 0,
    surface: "stirred",
    lid: "off",
    around: SEA_LEVEL,
    facts: NOMINAL_FACTS,
    ...over,
  });

export const within = (value: number, expected: number, share: number) =>
  expect(Math.abs(value / expected - 1), `${value} against ${expected}`).toBeLessThan(share);
