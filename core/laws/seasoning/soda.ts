import type { AcidId } from "../texture";
import { ACIDS, SODA_G_PER_MOL } from "../emulsion";

/** Most baking soda in a sauce, g per kg: above it tastes of soap. Common practice, no source. */
export const MOST_SODA_G_PER_KG = 1;
/** Sodium of a gram of soda as salt, g. Exact, molar masses. */
export const SALT_PER_SODA = 0.696;

/** Grams of an acid that give one mole of protons. Exact, molar masses. */
export const gramsPerProton = (acid: AcidId): number => ACIDS[acid].molarG / ACIDS[acid].pK.length;

/**
 * Baking soda that takes an acid down, held to what a sauce bears.
 * @param nowPct, targetPct acid, per cent
 * @returns g wanted, g allowed, and the acid left with that, per cent
 * Source: stoichiometry, exact. @example 1 kg, citric 0.40 → 0.25 %: 1.968 g wanted, 1.0 allowed, 0.324 % left
 */
export function sodaFor(massG: number, nowPct: number, targetPct: number, acid: AcidId) {
  const perProton = gramsPerProton(acid);
  const wantedG = (SODA_G_PER_MOL * massG * (nowPct - targetPct)) / 100 / perProton;
  const allowedG = Math.min(wantedG, (MOST_SODA_G_PER_KG * massG) / 1000);
  return { wantedG, allowedG, leftPct: nowPct - (100 * (allowedG / SODA_G_PER_MOL) * perProton) / massG };
}
