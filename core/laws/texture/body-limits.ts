import { printNumber } from "../../ground/quantity";
import { type Problem, checkNumber } from "../../ground/result";
import { THICKENERS } from "../thickening";
import type { Body } from "./body-laws";
import { type SauceState, fatFreeMass, starchMassOf } from "./sauce-state";

/** Sum limits of the model: beyond them it is candy, glaze or dough. */
const MOST_GELATIN_PCT = 35;
const MOST_DISSOLVED = 0.75;
const MOST_MILK = 0.5;
const MOST_YOLK_PER_KG = 400;
const MOST_STARCH_PER_KG = 250;
const PARTS = [
  ["gelatinG", "The gelatin"],
  ["dissolvedG", "What is dissolved"],
  ["milkSolidsG", "The milk solids"],
  ["saltG", "The salt"],
  ["fatG", "The fat"],
  ["yolkG", "The yolk"],
  ["pureeG", "The purée"],
  ["pureeSolidsG", "The solids of the purée"],
] as const;

/** What of a sauce cannot be. */
export function problemsOf(state: SauceState, temperatureC: number): Problem[] {
  const problems: Problem[] = [
    ...checkNumber(temperatureC, "temperatureC", "The temperature", { min: 0, max: 100, unit: "°C" }).map(
      (p): Problem => ({
        ...p,
        code: p.code === "OUT_OF_RANGE" || p.code === "NEGATIVE" ? "T_RANGE" : p.code,
      }),
    ),
    ...PARTS.flatMap(([field, label]) => checkNumber(state[field], field, label)),
    ...state.starches.flatMap((d, i) =>
      checkNumber(d.massG, `starches.${i}.massG`, `The ${THICKENERS[d.id].name}`),
    ),
  ];
  if (state.waterG < -1e-9)
    problems.push({
      code: "NOT_ENOUGH",
      field: "evaporatedG",
      value: state.waterG,
      message: `More water is boiled off than there was: ${printNumber(-state.waterG)} g too much. At most all of the water can go.`,
    });
  if (state.pureeSolidsG > state.pureeG * (1 + 1e-9))
    problems.push({
      code: "SUBSET_TOO_BIG",
      field: "puree.solidsG",
      value: state.pureeSolidsG,
      allowed: { max: state.pureeG },
      message: `A purée of ${printNumber(state.pureeG)} g cannot hold ${printNumber(state.pureeSolidsG)} g of solids: weigh it again; its solids are ${printNumber(state.pureeG)} g at most.`,
    });
  if (!problems.length && !(fatFreeMass(state) > 0))
    problems.push({
      code: "NO_WATER",
      field: "massG",
      message: "There is nothing but fat in it: a sauce needs some liquor before it has a body.",
    });
  return problems;
}

/** What takes a sauce beyond the model. */
export function beyondModel(state: SauceState, body: Body): Problem[] {
  const serumG = body.fatFreeG - starchMassOf(state) - state.pureeSolidsG;
  const over = (field: string, value: number, max: number, what: string): Problem[] =>
    value > max || !Number.isFinite(value)
      ? [
          {
            code: "OUT_OF_RANGE",
            field,
            value,
            allowed: { max },
            message: `${what}: this is a glaze, a candy or a dough, and the sums of a sauce stop at ${printNumber(max)}. Count it before it was taken so far.`,
          },
        ]
      : [];
  const perKg = (grams: number) => (1000 * grams) / body.fatFreeG;
  return [
    ...over("gelatinG", body.gelatinPct, MOST_GELATIN_PCT, `${printNumber(body.gelatinPct, 1)} % gelatin`),
    ...over(
      "dissolvedG",
      state.dissolvedG / serumG,
      MOST_DISSOLVED,
      `${printNumber((100 * state.dissolvedG) / serumG)} % dissolved`,
    ),
    ...over(
      "milkSolidsG",
      state.milkSolidsG / serumG,
      MOST_MILK,
      `${printNumber((100 * state.milkSolidsG) / serumG)} % milk solids`,
    ),
    ...over(
      "yolkG",
      perKg(state.yolkG),
      MOST_YOLK_PER_KG,
      `${printNumber(perKg(state.yolkG))} g of yolk a kilogram`,
    ),
    ...over(
      "starches",
      body.perKg.starch,
      MOST_STARCH_PER_KG,
      `${printNumber(body.perKg.starch)} g of flour or its like a kilogram`,
    ),
  ];
}
