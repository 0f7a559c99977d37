import type { FactValues } from "../../ground/facts";
import { printNumber } from "../../ground/quantity";
import { type Problem, type Result, checkNumber, ok, refuse } from "../../ground/result";
import { drainedOver, standingSolids } from "./stands";
import { type PureeVegetable, leachedBy } from "./vegetables";

export const SIEVES = ["none", "mill", "chinois", "tamis"] as const;
export type Sieve = (typeof SIEVES)[number];

/** What a sieve is for. */
export const SIEVE_USE: Readonly<Record<Sieve, string>> = {
  none: "as it is",
  mill: "potatoes",
  chinois: "coulis, soups",
  tamis: "fine purées",
};
/** No sieve keeps more than this, whatever a kitchen has entered for it. */
const MOST_LOST = 0.5;

/** Mass and thickening solids a sieve keeps, 0–1. */
function sieveLoss(sieve: Sieve, facts: FactValues): { readonly mass: number; readonly solids: number } {
  switch (sieve) {
    case "none":
      return { mass: 0, solids: 0 };
    case "mill":
      return { mass: facts.millLoss, solids: facts.millSolidsLoss };
    case "chinois":
      return { mass: facts.chinoisLoss, solids: facts.chinoisSolidsLoss };
    case "tamis":
      return { mass: facts.tamisLoss, solids: facts.tamisSolidsLoss };
  }
}

export interface PureeBalanceInput {
  /** As bought, or trimmed; one of them is enough. */
  readonly grossG?: number;
  readonly trimmedG?: number;
  readonly vegetable: PureeVegetable;
  readonly sieve: Sieve;
  /** What was weighed beats the table. */
  readonly weighed?: { readonly cookedG?: number; readonly sievedG?: number };
}

export interface PureeBalance {
  readonly trimmedG: number;
  readonly cookedG: number;
  readonly cookedMoisture: number;
  readonly pureeG: number;
  /** Fibre and swollen starch in it, g. */
  readonly solidsG: number;
  /** The same, g per kg. */
  readonly perKg: number;
}

/**
 * From the crate to the sieved purée.
 *
 * @param input g
 * @errors MISSING no weight · NOT_FINITE · NEGATIVE · OUT_OF_RANGE yields, or both weights that do not fit · SUM_NOT_100 ·
 *   NOT_ENOUGH less left than its dry matter
 * Source: mass balance; moistures IFCT 2017, the rest docs/models.md "Purées" (E1–E3).
 * @example carrots 1.5 kg, boiled, tamis → 1.1451 kg with 51.1 g of standing solids
 */
export function pureeBalance(input: PureeBalanceInput, facts: FactValues): Result<PureeBalance> {
  const { vegetable: v, weighed } = input;
  const cookYield = v.cookYield ?? drainedOver(v.tissue, facts);
  const problems: Problem[] = [];
  if (input.grossG === undefined && input.trimmedG === undefined)
    problems.push({
      code: "MISSING",
      field: "grossG",
      message: `Say how much ${v.name} there is, as bought or trimmed.`,
    });
  problems.push(
    ...checkNumber(input.grossG ?? 1, "grossG", "As bought", { min: 0.1, unit: "g" }),
    ...checkNumber(input.trimmedG ?? 1, "trimmedG", "Trimmed", { min: 0.1, unit: "g" }),
    ...checkNumber(v.peelYield, "peelYieldPct", "What is left after peeling", { min: 0.01, max: 1 }),
    ...checkNumber(cookYield, "cookYieldPct", "What is left after cooking", { min: 0.01, max: 1.2 }),
  );
  if (v.moisture + v.fibre + v.starch > 1 + 1e-9)
    problems.push({
      code: "SUM_NOT_100",
      field: "vegetable",
      value: v.moisture + v.fibre + v.starch,
      message: `Water, fibre and starch of the ${v.name} come to more than all of it.`,
    });
  if (problems.length) return refuse(...problems);
  const trimmedG = input.trimmedG ?? (input.grossG ?? 0) * v.peelYield;
  if (input.grossG !== undefined && input.trimmedG !== undefined && input.trimmedG > input.grossG)
    return refuse({
      code: "OUT_OF_RANGE",
      field: "trimmedG",
      value: input.trimmedG,
      allowed: { max: input.grossG },
      message: `${printNumber(input.trimmedG)} g cannot be left of ${printNumber(input.grossG)} g.`,
    });
  const cookedG = weighed?.cookedG ?? cookYield * trimmedG;
  const dry = trimmedG * (1 - v.moisture) * (1 - leachedBy(v.method, facts));
  if (cookedG < dry)
    return refuse({
      code: "NOT_ENOUGH",
      field: "cookYieldPct",
      value: cookedG,
      allowed: { min: dry },
      message: `${printNumber(dry)} g of it is dry matter; ${printNumber(cookedG)} g cannot be all that is left.`,
    });
  const solids = trimmedG * (v.stands ?? standingSolids(v.tissue, v.fibre, v.starch, facts));
  const sieved = afterSieve(cookedG, solids, input.sieve, v.fibrous ?? false, facts);
  const pureeG = weighed?.sievedG ?? sieved.massG;
  return ok({
    trimmedG,
    cookedG,
    cookedMoisture: 1 - dry / cookedG,
    pureeG,
    solidsG: sieved.solidsG,
    perKg: (1000 * sieved.solidsG) / pureeG,
  });
}

/** What passes a sieve, and how much of what makes it stand. */
export function afterSieve(
  massG: number,
  solidsG: number,
  sieve: Sieve,
  fibrous: boolean,
  facts: FactValues,
) {
  const loss = sieveLoss(sieve, facts);
  const k = fibrous ? facts.fibrousLoss : 1;
  return {
    massG: massG * (1 - Math.min(MOST_LOST, loss.mass * k)),
    solidsG: solidsG * (1 - Math.min(MOST_LOST, loss.solids * k)),
  };
}
