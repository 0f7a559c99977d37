import { type Celsius, type Seconds, type Watts, printNumber, s } from "../../ground/quantity";
import { PER_DIFFUSIVITY } from "./carry-over";
import { type Result, checkNumber, ok, refuse } from "../../ground/result";

export interface HeatUpInput {
  /** Heat capacity of everything that warms, J/K. */
  readonly heatJPerK: number;
  /** Loss to the room, W/K. */
  readonly lossWPerK: number;
  readonly heatW: Watts;
  readonly fromC: Celsius;
  readonly toC: Celsius;
  readonly ambientC: Celsius;
}

/**
 * Time to bring a covered pot up, steam neglected: t = C/UA · ln((T∞ − T₀)/(T∞ − T₁)), T∞ = ambient + Q/UA.
 *
 * @returns s
 * @errors NEVER_REACHED it levels off below the goal · T_START it is hotter already · NOT_FINITE · OUT_OF_RANGE
 * Valid for: lid on, up to half a degree below the boil; the open pot is the solver's (`simulate`).
 * Source: docs/models.md "Heat-up and carry-over".
 */
export function heatUpTime(input: HeatUpInput): Result<Seconds> {
  const { heatJPerK: c, lossWPerK: ua, heatW: q, fromC, toC, ambientC } = input;
  const problems = [
    ...checkNumber(q, "heat.watts", "The heat", { min: 50, max: 50_000, unit: "W" }),
    ...checkNumber(c, "massG", "The heat the pot takes up", { min: 100, max: 2e6, unit: "J/K" }),
    ...checkNumber(ua, "vessel", "The heat the pot loses", { min: 0, max: 200, unit: "W/K" }),
    ...checkNumber(toC, "toC", "The goal", { min: -5, max: 180, unit: "°C" }),
    ...checkNumber(fromC, "fromC", "The start", { min: -5, max: 130, unit: "°C" }),
  ];
  if (problems.length) return refuse(...problems);
  if (fromC > toC)
    return refuse({
      code: "T_START",
      field: "fromC",
      value: fromC,
      allowed: toC,
      message: `It is ${printNumber(fromC)} °C already, hotter than ${printNumber(toC)} °C.`,
    });
  if ((ua * (toC - fromC)) / q < 1e-9) return ok(s((c * (toC - fromC)) / q));
  const levelsOff = ambientC + q / ua;
  if (levelsOff <= toC)
    return refuse({
      code: "NEVER_REACHED",
      field: "toC",
      value: toC,
      allowed: { max: levelsOff },
      message: `At this flame the pot levels off at ${printNumber(levelsOff, 1)} °C.`,
    });
  return ok(s((c / ua) * Math.log((levelsOff - fromC) / (levelsOff - toC))));
}

/** Over this a core is past where germs grow, °C. Common practice; local codes differ. */
export const CORE_SAFE_C = 60;

/** Fourier number at which the middle of a cylinder has followed three quarters of the way. Source: Heisler chart, from memory. */
const FOLLOWS = 0.3;

/** How far the core of a piece lags behind its surroundings, s. @param halfMm half its thickness */
export const coreLagS = (halfMm: number): number => FOLLOWS * (halfMm / 1000) ** 2 * PER_DIFFUSIVITY;
