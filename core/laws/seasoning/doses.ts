import type { FactValues } from "../../ground/facts";

/** Small doses and how they go in. Common practice, no source. */

/** What can be added but never taken out: half of it first. @example 10 g white pepper → 5 g, taste */
export const halfFirst = (grams: number): number => grams / 2;
/** From this much of a strong spice on, half goes in first, per cent of the sauce. */
export const STRONG_FROM_PCT = 0.1;

/** Finishing vinegar or lemon, g per kg: the ceiling; half of it goes in first. */
export const FINISHING_ACID_G_PER_KG = 4;
export const finishingAcid = (massG: number, perKg = FINISHING_ACID_G_PER_KG) => {
  const ceilingG = (massG / 1000) * perKg;
  return { firstG: halfFirst(ceilingG), ceilingG };
};

/** Ways of serving that show a black speck. */
const PALE = ["veloute", "emulsion", "puree"];
/** White pepper in what is pale, black where nobody sees it; the cook may say otherwise. */
export const pepperFor = (servedAs: string, pale = PALE.includes(servedAs)) =>
  pale
    ? { pepper: "white", why: "black specks show in a pale sauce" }
    : { pepper: "black", why: "the colour hides it" };

export interface AddIn {
  readonly massG: number;
  readonly saltPct: number;
}
/**
 * Seasoning once something strong goes in: its salt replaces the salt line, the acid rises with it.
 * @example 900 g base, 90 g paste of 12 % salt, 8 g salt, 20 g acid → salt 0, acid 26 g
 */
export function rebalance(
  baseG: number,
  addIn: AddIn,
  line: { readonly saltG: number; readonly acidG: number },
  facts: FactValues,
) {
  const broughtG = (addIn.massG * addIn.saltPct) / 100;
  return {
    broughtG,
    saltG: Math.max(0, line.saltG - broughtG),
    acidG: line.acidG * (1 + (facts.acidBesideStrong * addIn.massG) / baseG),
    overG: Math.max(0, broughtG - line.saltG),
  };
}
