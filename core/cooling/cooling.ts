import type { FactValues } from "../facts";
import { type Celsius, type Millimetres, type Seconds, degC, mm, printNumber, s } from "../quantity";
import { type Result, ok, refuse } from "../result";
import type { Geometry } from "../vessel";

export const COOLING_METHODS = ["ice-bath", "walk-in"] as const;
export type CoolingMethod = (typeof COOLING_METHODS)[number];

/** Heat drain of a vessel: W/K towards one temperature. */
export interface Drain {
  readonly wPerK: number;
  readonly towardsC: Celsius;
}

/**
 * Drain of a covered vessel in an ice bath up to its level, liquor and bath stirred, or on a walk-in shelf in still air.
 * Source: docs/models.md "Cooling" (our estimates).
 */
export function drainOf(method: CoolingMethod, vessel: Geometry, level: Millimetres, f: FactValues): Drain {
  const side = vessel.wallMm2(level) * 1e-6;
  const base = vessel.surfaceMm2(mm(0)) * 1e-6;
  const top = vessel.surfaceMm2(level) * 1e-6;
  if (method === "ice-bath") return { wPerK: f.iceBathStirred * (side + base), towardsC: degC(f.iceBathC) };
  return { wPerK: f.walkInTrue * (8 * side + 5 * base + 6 * top), towardsC: degC(f.walkInC) };
}

/**
 * Time for a stirred or thin liquid to fall between two temperatures: τ·ln((T₀ − Tₑ)/(T₁ − Tₑ)), τ = C/UA.
 *
 * @param heatJPerK heat capacity of liquor and vessel
 * @errors NEVER_REACHED the bath is not cold enough · T_START it is colder than the bath already
 * @example 10 l in a 28 cm pot, walk-in, 57 → 21 °C: 7.16 h
 */
export function coolingTime(heatJPerK: number, from: Celsius, to: Celsius, drain: Drain): Result<Seconds> {
  if (to <= drain.towardsC)
    return refuse({
      code: "NEVER_REACHED",
      field: "toC",
      value: to,
      allowed: { min: drain.towardsC },
      message: `A bath at ${printNumber(drain.towardsC)} °C cannot bring it to ${printNumber(to)} °C.`,
    });
  if (from <= drain.towardsC)
    return refuse({
      code: "T_START",
      field: "temperatureC",
      value: from,
      message: `It is ${printNumber(from)} °C: colder than the bath already.`,
    });
  if (from <= to) return ok(s(0));
  return ok(s((heatJPerK / drain.wPerK) * Math.log((from - drain.towardsC) / (to - drain.towardsC))));
}
