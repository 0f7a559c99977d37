import type { FactValues } from "../../ground/facts";
import { printNumber } from "../../ground/quantity";
import { bisect } from "../../ground/solver/halving";
import { type Result, type Warning, checkNumber, ok, refuse } from "../../ground/result";
import { type Balance, balanceOf } from "./balance";

export const CARAMEL_STAGES = ["none", "light", "amber", "dark"] as const;
export type CaramelStage = (typeof CARAMEL_STAGES)[number];

/** Mass lost and sugar destroyed on the way to a colour, 0–1. */
function caramelLoss(
  stage: CaramelStage,
  facts: FactValues,
): { readonly mass: number; readonly sugar: number } {
  switch (stage) {
    case "none":
      return { mass: 0, sugar: 0 };
    case "light":
      return { mass: facts.lightCaramelMass, sugar: facts.lightCaramelSweet };
    case "amber":
      return { mass: facts.amberCaramelMass, sugar: facts.amberCaramelSweet };
    case "dark":
      return { mass: facts.darkCaramelMass, sugar: facts.darkCaramelSweet };
  }
}

const SETS_ABOVE_PCT = 75;

export interface Gastrique {
  readonly waterG: number;
  readonly acidG: number;
  readonly acidLostPct: number;
  readonly acidPct: number;
  /** Sugar still sweet. */
  readonly sugarG: number;
  readonly sugarPct: number;
  /** Sugar, caramel and acid over all, near what a refractometer shows. */
  readonly solublePct: number;
  readonly balance: Balance;
}

export interface GastriqueInput {
  readonly sugarG: number;
  readonly caramel: CaramelStage;
  readonly vinegarG: number;
  readonly acidPct: number;
  readonly endG: number;
}

/**
 * Sugar and vinegar boiled down together.
 *
 * @param input g; acidity of the vinegar in per cent
 * @errors OUT_OF_RANGE an end that cannot be reached · NEGATIVE · NOT_FINITE
 * Warns SETS_HARD above 75 % sugar.
 * Source: Rayleigh with relative volatility 0.7, docs/models.md "Gastrique" (F3).
 * @example 100 g sugar (amber), 100 g vinegar 6 %, to 130 g → 32.17 g water, acid 2.179 %
 */
export function gastrique(input: GastriqueInput, facts: FactValues): Result<Gastrique> {
  const problems = [
    ...checkNumber(input.sugarG, "sugarG", "The sugar", { min: 0.1, unit: "g" }),
    ...checkNumber(input.vinegarG, "vinegarG", "The vinegar", { min: 0.1, unit: "g" }),
    ...checkNumber(input.acidPct, "acidPct", "The acidity of the vinegar", { min: 0.1, max: 25, unit: "%" }),
    ...checkNumber(input.endG, "endG", "The end", { min: 0.1, unit: "g" }),
  ];
  if (problems.length) return refuse(...problems);
  const stage = caramelLoss(input.caramel, facts);
  const solids = input.sugarG * (1 - stage.mass);
  const acid0 = (input.vinegarG * input.acidPct) / 100;
  const water0 = input.vinegarG - acid0;
  const massAt = (w: number) => solids + w + acid0 * (w / water0) ** facts.vinegarVolatility;
  if (input.endG <= solids || input.endG >= massAt(water0))
    return refuse({
      code: "OUT_OF_RANGE",
      field: "endG",
      value: input.endG,
      allowed: { min: solids, max: massAt(water0) },
      message: `It can end between ${printNumber(solids)} g (dry sugar) and ${printNumber(massAt(water0))} g (nothing boiled off).`,
    });
  const waterG = bisect(w => massAt(w) - input.endG, 1e-12, water0) ?? water0;
  const acidG = acid0 * (waterG / water0) ** facts.vinegarVolatility;
  const sugarG = input.sugarG * (1 - stage.sugar);
  const sugarPct = (100 * sugarG) / input.endG;
  const acidPct = (100 * acidG) / input.endG;
  const balance = balanceOf({ saltPct: 0, sugarPct, acidsPct: { acetic: acidPct }, fatPct: 0 }, facts);
  if (!balance.ok) return balance;
  const warnings: Warning[] =
    (100 * solids) / input.endG > SETS_ABOVE_PCT
      ? [
          {
            code: "SETS_HARD",
            message:
              "So little water is left that it sets hard and crystallises: stop earlier, or let it down with stock.",
          },
        ]
      : [];
  return ok(
    {
      waterG,
      acidG,
      acidLostPct: 100 * (1 - acidG / acid0),
      acidPct,
      sugarG,
      sugarPct,
      solublePct: (100 * (solids + acidG)) / input.endG,
      balance: balance.value,
    },
    warnings,
  );
}
