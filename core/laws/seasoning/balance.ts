import type { FactValues } from "../../ground/facts";
import { type Result, checkNumber, ok, refuse } from "../../ground/result";
import type { AcidId } from "../texture";

export const TASTES = ["salt", "sweet", "sour", "bitter", "umami", "fat"] as const;
export type Taste = (typeof TASTES)[number];

/**
 * The least of an acid that can be tasted in water, g per kg. Thresholds scatter by a factor of three between
 * publications and lie several times higher in a fat, salt, thick sauce: a common yardstick, never a perceived strength.
 */
export function acidThreshold(acid: AcidId, facts: FactValues): number {
  switch (acid) {
    case "acetic":
      return facts.aceticThreshold;
    case "citric":
      return facts.citricThreshold;
    case "lactic":
      return facts.lacticThreshold;
    case "malic":
      return facts.malicThreshold;
    case "tartaric":
      return facts.tartaricThreshold;
  }
}

/** What of a sauce can be tasted, per cent by mass. */
export interface TasteInput {
  readonly saltPct: number;
  /** As sucrose. */
  readonly sugarPct: number;
  readonly acidsPct: Readonly<Partial<Record<AcidId, number>>>;
  readonly fatPct: number;
  /** Caffeine equivalents. */
  readonly bitterPct?: number;
  readonly msgPct?: number;
  readonly impPct?: number;
}

export interface Balance {
  /** Doses over threshold. */
  readonly dose: Readonly<Record<Taste, number>>;
  /** log₂(1 + dose): one step is twice as much. */
  readonly steps: Readonly<Record<Taste, number>>;
  /** Sweet over sour; `null` without anything sour. */
  readonly sweetToSour: number | null;
}

/**
 * All tastes of a sauce on one footing: doses over their thresholds.
 *
 * @errors NEGATIVE · NOT_FINITE · OUT_OF_RANGE
 * Source: docs/models.md "Balance" (F.6). @example 0.9 % salt, 0.5 % sugar, 0.08 % citric, 9 % fat → 15.52, 1.47, 4.00, 9.00
 */
export function balanceOf(input: TasteInput, facts: FactValues): Result<Balance> {
  const range = { min: 0, max: 100, unit: "%" };
  const problems = [
    ...checkNumber(input.saltPct, "saltPct", "The salt", range),
    ...checkNumber(input.sugarPct, "sugarPct", "The sugar", range),
    ...checkNumber(input.fatPct, "fatPct", "The fat", range),
    ...checkNumber(input.bitterPct ?? 0, "bitterPct", "What is bitter", range),
    ...checkNumber(input.msgPct ?? 0, "umami.msgPct", "The glutamate", range),
    ...checkNumber(input.impPct ?? 0, "umami.impPct", "The nucleotides", range),
    ...Object.entries(input.acidsPct).flatMap(([id, pct]) =>
      checkNumber(pct, `acids.${id}`, `The ${id} acid`, range),
    ),
  ];
  if (problems.length) return refuse(...problems);
  const [u, v] = [input.msgPct ?? 0, input.impPct ?? 0];
  const sour = (Object.entries(input.acidsPct) as [AcidId, number][]).reduce(
    (sum, [id, pct]) => sum + (10 * pct) / acidThreshold(id, facts),
    0,
  );
  const dose: Record<Taste, number> = {
    salt: (10 * input.saltPct) / facts.saltThreshold,
    sweet: (10 * input.sugarPct) / facts.sweetThreshold,
    sour,
    bitter: (10 * (input.bitterPct ?? 0)) / facts.bitterThreshold,
    umami: (10 * (u + facts.umamiSynergy * u * v)) / facts.umamiThreshold,
    fat: input.fatPct,
  };
  const steps = Object.fromEntries(TASTES.map(t => [t, Math.log2(1 + dose[t])])) as Record<Taste, number>;
  return ok({ dose, steps, sweetToSour: sour > 0 ? dose.sweet / sour : null });
}

/** Further from the house’s own level than this is worth a word: ± 40 % in dose. */
export const OFF_LEVEL_STEPS = 0.5;

/** What straightens a taste, and how it goes in. */
export interface Corrective {
  readonly taste: Taste;
  readonly what: string;
  /** g for the whole sauce: begin with the first, never past the last. */
  readonly gramsFrom: number;
  readonly gramsTo: number;
  readonly note: string;
}

/** Sugar that softens what is bitter, g per kg, and the most of it in one step. Common practice, no source. */
export const BITTER_SUGAR_G_PER_KG = 1.2;
const MOST_SUGAR_STEP_PCT = 0.3;

/**
 * Grams that bring the tastes to the house's level; what is already over it cannot be taken out, only balanced.
 *
 * @param massG sauce, g
 * @param level doses the house wants
 * @param sourWith acid by which sourness is lifted
 * Source: docs/models.md "Balance".
 */
export function correctives(
  massG: number,
  now: Balance,
  level: Balance,
  facts: FactValues,
  sourWith: AcidId = "acetic",
): Corrective[] {
  const list: Corrective[] = [];
  const kg = massG / 1000;
  const lacks = (taste: Taste) => level.steps[taste] - now.steps[taste] > OFF_LEVEL_STEPS;
  const add = (taste: Taste, what: string, grams: number, note: string) =>
    list.push({ taste, what, gramsFrom: grams / 2, gramsTo: grams, note });
  const gap = (taste: Taste) => level.dose[taste] - now.dose[taste];
  if (lacks("salt"))
    add("salt", "salt", gap("salt") * facts.saltThreshold * kg, "half, taste, then the rest");
  if (lacks("sweet"))
    add(
      "sweet",
      "sugar",
      Math.min(gap("sweet") * facts.sweetThreshold * kg, MOST_SUGAR_STEP_PCT * 10 * kg),
      "a step at a time",
    );
  if (lacks("sour")) {
    const pure = gap("sour") * acidThreshold(sourWith, facts) * kg;
    const [what, strength] = sourWith === "acetic" ? ["vinegar of 6 %", 0.06] : ["lemon juice", 0.055];
    add("sour", what, pure / strength, "at the end, half first");
  }
  if (now.steps.bitter - level.steps.bitter > OFF_LEVEL_STEPS)
    add("bitter", "sugar", BITTER_SUGAR_G_PER_KG * kg, "softens it; bitter cannot be taken out");
  return list;
}
