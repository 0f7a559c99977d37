import { z } from "zod";
import { type Problem, type Result, ok, refuse } from "../../ground/result";

/** The ten totals of an ingredient record, in g per 100 g; `collagen` is inside protein, `volatileAcid` inside acid. */
export const COMPOSITION_TOTALS = [
  "water",
  "fat",
  "protein",
  "sugars",
  "starch",
  "fibre",
  "salt",
  "ethanol",
  "acid",
  "other",
] as const;

const share = z.number().min(0).max(103);

export const compositionSchema = z.object({
  water: share,
  fat: share,
  protein: share,
  /** Part of protein that can set: collagen and gelatin. */
  collagen: share,
  sugars: share,
  starch: share,
  fibre: share,
  salt: share,
  ethanol: share,
  /** Titratable acid as acetic equivalent. */
  acid: share,
  /** Part of acid that is really acetic acid and leaves with the steam. */
  volatileAcid: share,
  /** Minerals besides salt, extractives, glycerol … */
  other: share,
});

/** Composition of an ingredient, g per 100 g of the edible part. */
export type Composition = Readonly<z.infer<typeof compositionSchema>>;

export const NO_COMPOSITION: Composition = {
  water: 0,
  fat: 0,
  protein: 0,
  collagen: 0,
  sugars: 0,
  starch: 0,
  fibre: 0,
  salt: 0,
  ethanol: 0,
  acid: 0,
  volatileAcid: 0,
  other: 0,
};

/** Sums accepted before an entry is refused, g per 100 g. */
export const SUM_LIMITS = { min: 97, max: 103 } as const;

/**
 * Makes the ten totals of a composition add up to exactly 100 g.
 *
 * A sum of 97–100 g puts what is missing into `other`; 100–103 g is scaled down; anything else is refused.
 *
 * @param input g per 100 g, each 0–103
 * @returns g per 100 g, summing to 100 within 1e-9
 * @errors SUM_NOT_100 · SUBSET_TOO_BIG (collagen over protein, volatile acid over acid)
 * Source: docs/models.md "Composition".
 * @example normaliseComposition({ ...stock, sums: 98.7 }) // other + 1.3
 */
export function normaliseComposition(input: Composition): Result<Composition> {
  const problems: Problem[] = [];
  const total = COMPOSITION_TOTALS.reduce((sum, key) => sum + input[key], 0);
  if (!(total >= SUM_LIMITS.min - 1e-9 && total <= SUM_LIMITS.max + 1e-9))
    problems.push({
      code: "SUM_NOT_100",
      field: "composition",
      value: total,
      allowed: SUM_LIMITS,
      message: `The composition adds up to ${total.toFixed(1)} g per 100 g; 97–103 is accepted.`,
    });
  if (input.collagen > input.protein + 1e-9)
    problems.push({
      code: "SUBSET_TOO_BIG",
      field: "composition.collagen",
      value: input.collagen,
      message: "Collagen cannot exceed protein.",
    });
  if (input.volatileAcid > input.acid + 1e-9)
    problems.push({
      code: "SUBSET_TOO_BIG",
      field: "composition.volatileAcid",
      value: input.volatileAcid,
      message: "Volatile acid cannot exceed acid.",
    });
  if (problems.length) return refuse(...problems);
  // What adds up already is left to the last digit: an entry that goes out and comes in again is the same.
  if (Math.abs(total - 100) < 1e-9) return ok(input);
  if (total < 100) return ok({ ...input, other: input.other + (100 - total) });
  const factor = 100 / total;
  const scaled = Object.fromEntries(Object.entries(input).map(([key, value]) => [key, value * factor]));
  return ok(scaled as Composition);
}
