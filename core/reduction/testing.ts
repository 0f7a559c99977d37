import { expect } from "vitest";
import { NOMINAL_FACTS } from "../facts";
import { saturationTemperature } from "../pot";
import { ml, pascals } from "../quantity";
import { valueOf } from "../result";
import { SEA_LEVEL, liquid } from "../testing";
import { geometryOf } from "../vessel";
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
