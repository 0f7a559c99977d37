import type { FactValues } from "../../ground/facts";
import { printNumber } from "../../ground/quantity";
import { bisect } from "../../ground/solver/halving";
import { type Problem, type Result, type Warning, checkNumber, ok, refuse } from "../../ground/result";
import {
  BROWNS,
  type BindingForm,
  SLURRY_WATER,
  type StarchDose,
  THICKENERS,
  carrierOf,
  fatPerThickener,
} from "../thickening";
import { NO_SAUCE, type SauceState, addSauce, massOfSauce, steamOff } from "./sauce-state";
import { type Body, bareBody } from "./body-laws";
import { bodyOf } from "./sauce-thickness";
import { standardLiquid } from "./standard-liquids";

/** Backwards along the scale: what brings a sauce to a wanted thickness. */

/** Thicknesses that can be asked for, and those a sauce usually has. */
const TARGETS = { min: 2, max: 95 } as const;
/** Most thickener tried, share of the sauce. */
const MOST_THICKENER = 0.3;
/** Most water that may leave, and most liquid that may come, as shares of the water in it. */
const MOST_STEAM = 0.95;
const MOST_LIQUID = 20;
/** A tenth of a milligram: far below any scale. */
const WITHIN_G = 1e-7;

export const checkTarget = (target: number): Problem[] =>
  checkNumber(target, "targetThickness", "The thickness wanted", TARGETS);

export interface Bound {
  readonly thickenerG: number;
  /** Butter or fat weighed out with it, and cold liquid, g. */
  readonly fatG: number;
  readonly waterG: number;
  readonly totalG: number;
  readonly state: SauceState;
  readonly body: Body;
}

export interface Thickening {
  readonly dose: Omit<StarchDose, "massG">;
  readonly form: BindingForm;
  readonly slurryWaterPerG?: number;
}

/** What a gram of the dose brings into the sauce. */
function perGram({ dose, form, slurryWaterPerG }: Thickening): SauceState {
  const carrier = carrierOf(form, dose.colour ?? "white", slurryWaterPerG ?? SLURRY_WATER.usual);
  return {
    ...NO_SAUCE,
    waterG: carrier.water,
    fatG: carrier.fat,
    milkSolidsG: carrier.milkSolids,
    starches: [{ ...dose, massG: 1, ...(form === "beurre-manie" && { kneaded: true }) }],
  };
}

/**
 * How much thickener brings a sauce to a thickness.
 *
 * @param base the sauce without it, g
 * @param target thickness 2–95 at `temperatureC`
 * @errors OUT_OF_RANGE · UNREACHABLE with the thickest that can be had · CLASS a colour where there is nothing to brown · those of `bodyOf`
 * Warns ALREADY_THICK_ENOUGH (nothing is added) and what `bodyOf` warns of.
 * Source: docs/models.md "Binding backwards" (B.5, inverse 1). @example body 45 in 1 kg white stock, equal roux → 56.26 g flour
 */
export function thickenTo(
  base: SauceState,
  how: Thickening,
  target: number,
  temperatureC: number,
  facts: FactValues,
): Result<Bound> {
  const problems = [
    ...checkTarget(target),
    ...(how.slurryWaterPerG === undefined
      ? []
      : checkNumber(how.slurryWaterPerG, "slurryWaterPerG", "Water of the slurry", SLURRY_WATER)),
  ];
  if (how.dose.colour && how.dose.colour !== "white" && !BROWNS.includes(how.dose.id))
    problems.push({
      code: "CLASS",
      field: "colour",
      value: how.dose.colour,
      message: `${THICKENERS[how.dose.id].name} is not browned: leave the colour away, or take flour.`,
    });
  if (problems.length) return refuse(...problems);
  const known = bodyOf(base, temperatureC, facts);
  if (!known.ok) return known;
  const each = perGram(how);
  const at = (grams: number) => addSauce(base, each, grams);
  const gap = (grams: number) => bareBody(at(grams), temperatureC, facts).thickness - target;
  const done = (thickenerG: number, warnings: readonly Warning[]): Result<Bound> => {
    const state = thickenerG > 0 ? at(thickenerG) : base;
    const body = bodyOf(state, temperatureC, facts);
    if (!body.ok) return body;
    return ok(
      {
        thickenerG,
        fatG: thickenerG * fatPerThickener(how.form),
        waterG: how.form === "slurry" ? thickenerG * each.waterG : 0,
        totalG: massOfSauce(state),
        state,
        body: body.value,
      },
      [...warnings, ...body.warnings],
    );
  };
  if (gap(0) >= 0)
    return done(0, [
      {
        code: "ALREADY_THICK_ENOUGH",
        message: `It has body ${printNumber(known.value.thickness)} without any: nothing to bind.`,
      },
    ]);
  const most = MOST_THICKENER * massOfSauce(base);
  const found = bisect(gap, 0, most, WITHIN_G);
  if (found === null) {
    const reached = gap(most) + target;
    return refuse({
      code: "UNREACHABLE",
      field: "targetThickness",
      value: target,
      allowed: { max: Math.floor(reached) },
      message: `Even ${printNumber(most)} g of ${THICKENERS[how.dose.id].name} only brings body ${printNumber(reached)}. Want less, reduce first, or take another thickener.`,
    });
  }
  return done(found, []);
}

/** What loosens: some grams of a liquid, one gram of it given. */
export const looseningWith = (name: "water" | "stock" | "cream"): SauceState =>
  standardLiquid(name === "stock" ? "white stock" : name, 1);

export interface Loosened {
  /** Liquid to add, or water to boil off; one of them is 0. */
  readonly addG: number;
  readonly evaporateG: number;
  readonly totalG: number;
  /** What every strength is multiplied by. */
  readonly factor: number;
  readonly state: SauceState;
  readonly body: Body;
}

/**
 * How much liquid thins a sauce to a thickness, or how much water must boil off to reach it.
 *
 * @param liquid one gram of what is added; water always leaves as steam
 * @errors OUT_OF_RANGE · UNREACHABLE with what can be had · those of `bodyOf`
 * Source: docs/models.md "Binding backwards" (B.5, inverse 2). @example 60.74 to 45 in 1.06 kg → 653 g water
 */
export function loosenTo(
  state: SauceState,
  liquid: SauceState,
  target: number,
  temperatureC: number,
  facts: FactValues,
): Result<Loosened> {
  const problems = checkTarget(target);
  if (problems.length) return refuse(...problems);
  const known = bodyOf(state, temperatureC, facts);
  if (!known.ok) return known;
  const over = known.value.thickness - target;
  const at = (grams: number) => (grams < 0 ? steamOff(state, -grams) : addSauce(state, liquid, grams));
  const gap = (grams: number) => bareBody(at(grams), temperatureC, facts).thickness - target;
  const end = over > 0 ? MOST_LIQUID * state.waterG : -MOST_STEAM * state.waterG;
  const found = over === 0 ? 0 : bisect(gap, Math.min(0, end), Math.max(0, end), WITHIN_G);
  if (found === null) {
    const reached = gap(end) + target;
    return refuse({
      code: "UNREACHABLE",
      field: "targetThickness",
      value: target,
      allowed: { reached: Math.round(reached) },
      message:
        over > 0
          ? `This liquid only thins it to body ${printNumber(reached)}: take water or stock.`
          : `Boiling off alone brings it to body ${printNumber(reached)} at most: bind it as well.`,
    });
  }
  const end_ = at(found);
  const body = bodyOf(end_, temperatureC, facts);
  if (!body.ok) return body;
  return ok(
    {
      addG: Math.max(0, found),
      evaporateG: Math.max(0, -found),
      totalG: massOfSauce(end_),
      factor: massOfSauce(state) / massOfSauce(end_),
      state: end_,
      body: body.value,
    },
    body.warnings,
  );
}
