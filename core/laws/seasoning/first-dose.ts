import { STRONG_FROM_PCT, halfFirst } from "./doses";
import { type Ingredient, isPotent } from "../../things/larder";

/** How a line scales. */
export type ScaleClass = "salt" | "strong" | "liquid" | "fat" | "thickener" | "solid";

/** An ingredient this salty is seasoning. */
const SALTY_PCT = 10;
const DRY_PCT = 25;
const SOUR_PCT = 3;
const STARCHY_PCT = 40;
const SPIRIT_PCT = 25;
const WET_PCT = 80;

/** Tells by what it is made of how an ingredient scales: salt, strong things, thickeners, liquids. Our estimate. */
export function scaleClassOf(ingredient: Ingredient): ScaleClass {
  const c = ingredient.composition;
  if (c.salt >= SALTY_PCT) return "salt";
  const spice = ingredient.solidKind === "herbs" && c.water < DRY_PCT;
  if (
    spice ||
    c.acid >= SOUR_PCT ||
    c.ethanol >= SPIRIT_PCT ||
    /garlic|chilli|mustard|horseradish/.test(ingredient.name)
  )
    return "strong";
  if (c.starch >= STARCHY_PCT && ingredient.phase === "liquor") return "thickener";
  if (ingredient.phase === "liquor" && c.water + c.ethanol >= WET_PCT) return "liquid";
  return ingredient.phase === "fat" ? "fat" : "solid";
}

/** Least share of the multiplied dose that goes in first, and how fast it falls. Our estimate (06-G, step 4). */
const LEAST_FIRST = 0.75;
const PER_DOUBLING = 0.05;
const FULL_UP_TO = 2;

/**
 * Share of a multiplied seasoning that goes in before the first taste.
 * @param factor how many times the recipe
 * Source: docs/models.md "Scaling", step 4. @example 2 → 1, 4 → 0.95, 16 → 0.85, 100 → 0.75
 */
export const firstDoseShare = (factor: number): number =>
  factor <= FULL_UP_TO ? 1 : Math.max(LEAST_FIRST, 1 - PER_DOUBLING * Math.log2(factor / FULL_UP_TO));

/** What of a dose goes in before the first taste, and why. */
export interface FirstDose {
  readonly massG: number;
  readonly why: string;
}

/**
 * The one rule for what can be added and never taken out; `null` where all of it goes in at once.
 *
 * Salt and strong things grow slower than the pot; of a potent spice that is more than a trace, half goes in first.
 * @param wholeG what it seasons, g · @param times how many times the recipe
 * Source: docs/models.md "Scaling", step 4; the half: common practice, no source.
 * @example 18 g cayenne at × 6 in 20 kg → 16.6 g; 10 g white pepper in 6 kg → 5 g
 */
export function firstDose(
  ingredient: Ingredient,
  massG: number,
  wholeG: number,
  times = 1,
): FirstDose | null {
  if (massG <= 0) return null;
  if (isPotent(ingredient) && massG >= (STRONG_FROM_PCT / 100) * wholeG)
    return { massG: halfFirst(massG), why: "It cannot be taken out again: half of it first, then taste." };
  const kind = scaleClassOf(ingredient);
  const share = kind === "salt" || kind === "strong" ? firstDoseShare(times) : 1;
  return share < 1
    ? {
        massG: massG * share,
        why: "Strong things add up faster than the pot grows: this much first, the rest by taste, logged.",
      }
    : null;
}
