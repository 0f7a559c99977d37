import { mm } from "../../ground/quantity";
import { type Result, checkNumber, ok, refuse } from "../../ground/result";
import type { Geometry } from "../../things/vessel";

/**
 * What another pan does to the time that is left.
 *
 * Below the boil steam leaves from the surface: a wider pan is faster by its area. At a boil every surplus watt makes
 * steam: on the same flame the width does not count.
 *
 * @param rateMlPerMin what the old pan loses now
 * @param leftMl       what must still go
 * @returns the new rate and minutes, and why
 * @errors NOT_FINITE · OUT_OF_RANGE
 * Source: docs/models.md "Evaporation and reduction".
 * @example 32 → 45 cm, held: × 1.98; boiling: × 1
 */
export function panChange(
  rateMlPerMin: number,
  leftMl: number,
  from: Geometry,
  to: Geometry,
  how: "held" | "boiling",
): Result<{ rateMlPerMin: number; minutes: number; times: number; why: string }> {
  const problems = [
    ...checkNumber(rateMlPerMin, "rateMlPerMin", "What it loses now", { min: 0.1, unit: "ml/min" }),
    ...checkNumber(leftMl, "leftMl", "What must still go", { unit: "ml" }),
  ];
  if (problems.length) return refuse(...problems);
  const area = (vessel: Geometry) => vessel.surfaceMm2(mm(vessel.heightMm / 2));
  const times = how === "held" ? area(to) / area(from) : 1;
  return ok({
    times,
    rateMlPerMin: rateMlPerMin * times,
    minutes: leftMl / (rateMlPerMin * times),
    why:
      how === "held"
        ? "Below the boil steam leaves from the surface: the wider pan is faster by its area."
        : "At a boil the flame makes the steam: on the same flame a wider pan is no faster.",
  });
}
