import type { FactValues } from "../../ground/facts";
import { clamp, printNumber } from "../../ground/quantity";
import { type Result, checkNumber, ok, refuse } from "../../ground/result";
import { type Body, bareBody } from "./body-laws";
import { beyondModel, problemsOf } from "./body-limits";
import { warningsOf } from "./body-warnings";
import { type SauceState, fatMassOf, massOfSauce, steamOff } from "./sauce-state";

/**
 * The thickness of a sauce at a temperature, with everything that gives it.
 *
 * @param state grams, parts disjoint, each ≥ 0
 * @param temperatureC 0–100 °C
 * @returns thickness 0–100 with its uncalibrated standard deviation
 * @errors NEGATIVE · NOT_ENOUGH more water gone than there was · NO_WATER · OUT_OF_RANGE gelatin, sugar, milk, yolk,
 *   starch beyond the model · SUBSET_TOO_BIG more thickening solids than purée · T_RANGE
 * Warns GELS_ON_PLATE, CURDLED, LIAISON_UNDERCOOKED, YOLK_THINS_STARCH, CREAM_NEAR_BREAK, CREAM_BREAKS,
 *   STARCH_NOT_ACTIVATED, STARCH_BREAKDOWN, PASTY, RAW_FLOUR_TASTE.
 * Source: docs/models.md "Body". @example velouté, 60 g flour to a litre of white stock, a seventh boiled off → 51.18
 */
export function bodyOf(state: SauceState, temperatureC: number, facts: FactValues): Result<Body> {
  const problems = problemsOf(state, temperatureC);
  if (problems.length) return refuse(...problems);
  const body = bareBody(state, temperatureC, facts);
  const beyond = beyondModel(state, body);
  if (beyond.length) return refuse(...beyond);
  return ok({ ...body, thickness: clamp(body.thickness, 0, 100) }, warningsOf(state, body));
}

/** The same sauce with some water gone, or an answer why not. */
export const reducedBy = (state: SauceState, evaporatedG: number): Result<SauceState> => {
  const problems = checkNumber(evaporatedG, "evaporatedG", "What is boiled off");
  if (problems.length) return refuse(...problems);
  if (evaporatedG > state.waterG * (1 + 1e-9))
    return refuse({
      code: "NOT_ENOUGH",
      field: "evaporatedG",
      value: evaporatedG,
      allowed: { max: state.waterG },
      message: `Only ${printNumber(state.waterG)} g of water is in it; ${printNumber(evaporatedG)} g cannot boil off.`,
    });
  return ok(steamOff(state, evaporatedG));
};

/** Per cent of the whole sauce. */
export const saltPctOf = (state: SauceState): number => (100 * state.saltG) / massOfSauce(state);
export const fatPctOf = (state: SauceState): number => (100 * fatMassOf(state)) / massOfSauce(state);
