import { type Ingredient, asPurchased } from "../../things/larder";
import type { Grams } from "../../ground/quantity";
import { valueOf } from "../../ground/result";

/** What a mass of an ingredient costs, bought with its trim; `null` where nobody has entered a price. Water is free. */
export function costOfIngredient(ingredient: Ingredient, massG: Grams): number | null {
  if (ingredient.id === "water" || massG === 0) return 0;
  if (!ingredient.price) return null;
  return (ingredient.price.perKg * valueOf(asPurchased(massG, ingredient.ediblePct))) / 1000;
}
