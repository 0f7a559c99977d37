import { type Grams, type Millilitres, type Millimetres, add, g, ml, mm, sub } from "../../ground/quantity";
import { type Result, ok, refuse } from "../../ground/result";
import type { Geometry } from "./geometry";

/** A mark on the dip-stick: from the bottom, and how far below the start. */
export interface DipMark {
  readonly markMm: Millimetres;
  readonly startMm: Millimetres;
  readonly belowStartMm: Millimetres;
}

/**
 * Where on the stick a reduction ends, with the same solids standing in the pot.
 *
 * @param start     ml of liquor now
 * @param remaining share of the liquor left at the end, 0 < r ≤ 1
 * @param solids    ml displaced below the level by what stands in the pot, default 0
 * @errors OVERFLOW · FRACTION
 * Source: docs/models.md "Vessels", reduction mark h(r·V_liq + V_sol).
 * @example 6.4 l in a 32 cm pot to a third: 79.6 → 26.5 mm
 */
export function dipMark(
  vessel: Geometry,
  start: Millilitres,
  remaining: number,
  solids = ml(0),
): Result<DipMark> {
  if (!(remaining > 0 && remaining <= 1))
    return refuse({
      code: "FRACTION",
      field: "target",
      value: remaining,
      message: "What is left must be more than nothing and not more than there was.",
    });
  const from = vessel.levelOf(add(start, solids));
  if (!from.ok) return from;
  const to = vessel.levelOf(add(ml(start * remaining), solids));
  if (!to.ok) return to;
  return ok({ markMm: to.value, startMm: from.value, belowStartMm: sub(from.value, to.value) });
}

/**
 * What the scale shows when the pan stands on it with the wanted contents.
 * Source: exact. @example pan 2100 g, stop at 600 g → 2700 g
 */
export const grossTarget = (tare: Grams, contents: Grams): Grams => add(tare, contents);

/**
 * Contents of a weighed pot.
 * @errors TARE the pot weighs less than its own tare
 */
export function netOfGross(gross: Grams, tare: Grams, field = "grossG"): Result<Grams> {
  if (gross < tare)
    return refuse({
      code: "TARE",
      field,
      value: gross,
      allowed: tare,
      message: `The pot weighs less than its own tare (${Math.round(tare)} g). Check the pot or type the net weight.`,
    });
  return ok(g(gross - tare));
}

/** A level read on the stick as a volume. @errors READING_ABOVE_RIM · NEGATIVE */
export function volumeOfLevel(vessel: Geometry, level: Millimetres, field = "levelMm"): Result<Millilitres> {
  if (level < 0)
    return refuse({ code: "NEGATIVE", field, value: level, message: "A level cannot be negative." });
  if (level > vessel.heightMm)
    return refuse({
      code: "READING_ABOVE_RIM",
      field,
      value: level,
      allowed: vessel.heightMm,
      message: `${Math.round(level)} mm is above the rim: this pot is ${Math.round(vessel.heightMm)} mm deep.`,
    });
  return ok(vessel.volumeAtLevel(mm(level)));
}
