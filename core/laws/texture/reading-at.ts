import type { FactValues } from "../../ground/facts";
import { bareBody } from "./body-laws";
import type { SauceState } from "./sauce-state";
import { waterViscosity } from "./properties";

/** Uncertainty that moving a reading adds, points per kelvin. Our estimate. */
const SD_PER_K = 0.1;
/** Setback of a bound sauce nobody knows more of, per kelvin. Our estimate. */
const USUAL_SETBACK = 0.008;

/**
 * A reading moved to another temperature.
 *
 * With the sauce known, by its own body at both temperatures; otherwise by water's viscosity and a usual setback.
 * @returns thickness and its standard deviation at `toC`
 * Source: docs/models.md "Kitchen tests" (A.6). @example 44.0 read at 75 °C, sauce unknown → 45.85 at 60 °C
 */
export function movedTo(
  reading: { readonly thickness: number; readonly sd: number; readonly atC: number },
  toC: number,
  sauce?: { readonly state: SauceState; readonly facts: FactValues },
): { thickness: number; sd: number } {
  const change = sauce
    ? bareBody(sauce.state, toC, sauce.facts).thickness -
      bareBody(sauce.state, reading.atC, sauce.facts).thickness
    : 20 * Math.log10(waterViscosity(toC) / waterViscosity(reading.atC)) +
      20 * Math.LOG10E * USUAL_SETBACK * (Math.max(0, 60 - toC) - Math.max(0, 60 - reading.atC));
  return {
    thickness: reading.thickness + change,
    sd: Math.hypot(reading.sd, SD_PER_K * Math.abs(toC - reading.atC)),
  };
}
