import type { FactValues } from "../../ground/facts";
import { printNumber } from "../../ground/quantity";
import { bisect } from "../../ground/solver/halving";
import { type Result, ok, refuse } from "../../ground/result";
import {
  NO_SAUCE,
  type SauceState,
  addSauce,
  bareBody,
  bodyOf,
  checkTarget,
  loosenTo,
  massOfSauce,
  pureeNetwork,
  standardLiquid,
  viscosityAt,
  waterViscosity,
} from "../texture";

/** A purée as a sauce: nothing in it but itself. `fineness` mill 0.8, blender 1, fast blender 1.1. */
export const asSauce = (pureeG: number, solidsG: number, fineness = 1): SauceState => ({
  ...NO_SAUCE,
  pureeG,
  pureeSolidsG: solidsG,
  fineness,
});

/** No purée holds more than this of what makes it stand, g per kg. */
const MOST_STANDING = 1000;

/**
 * Standing solids at which a plain purée has a thickness, g per kg.
 * Source: own law solved for c (E.4′). @example 62 at 60 °C → 26.4
 */
export const solidsPerKgFor = (
  thickness: number,
  temperatureC: number,
  fineness: number,
  facts: FactValues,
): number =>
  bisect(
    perKg =>
      waterViscosity(temperatureC) * (1 + pureeNetwork(perKg, fineness, facts)) - viscosityAt(thickness),
    0,
    MOST_STANDING,
  ) ?? MOST_STANDING;

/** Most liquid tried, times the purée. */
const MOST_LIQUID = 3;

export interface PureeLiquid {
  readonly addG: number;
  readonly evaporateG: number;
  readonly state: SauceState;
}

/**
 * Liquid that brings a purée to a thickness; water that must leave where it is too thin already.
 *
 * @param liquid one gram of it; rich cream also thickens by its droplets
 * @errors UNREACHABLE even three times its mass leaves it thicker ("use milk or stock") · those of `bodyOf`
 * Source: docs/models.md "Purées" (E.4). @example carrot purée of 76.6 to 62: 823 g water
 */
export function liquidForPuree(
  state: SauceState,
  liquid: SauceState,
  target: number,
  temperatureC: number,
  facts: FactValues,
): Result<PureeLiquid> {
  const problems = checkTarget(target);
  if (problems.length) return refuse(...problems);
  const known = bodyOf(state, temperatureC, facts);
  if (!known.ok) return known;
  if (known.value.thickness <= target) {
    // Water sits inside the purée: let it out so that it can leave.
    const open = {
      ...state,
      waterG: state.waterG + (state.pureeG - state.pureeSolidsG),
      pureeG: state.pureeSolidsG,
    };
    const drier = loosenTo(open, standardLiquid("water", 1), target, temperatureC, facts);
    return drier.ok
      ? ok({ addG: 0, evaporateG: drier.value.evaporateG, state: drier.value.state }, drier.warnings)
      : drier;
  }
  const most = MOST_LIQUID * (state.pureeG || massOfSauce(state));
  const gap = (grams: number) =>
    bareBody(addSauce(state, liquid, grams), temperatureC, facts).thickness - target;
  const found = bisect(gap, 0, most);
  if (found === null)
    return refuse({
      code: "UNREACHABLE",
      field: "targetThickness",
      value: target,
      allowed: { min: Math.ceil(gap(most) + target) },
      message: `Even ${printNumber(most)} g of it leaves body ${printNumber(gap(most) + target)}: use milk or stock.`,
    });
  return ok({ addG: found, evaporateG: 0, state: addSauce(state, liquid, found) });
}
