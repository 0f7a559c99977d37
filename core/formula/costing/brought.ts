import type { Allergen, Ingredient } from "../../things/larder";
import { g } from "../../ground/quantity";
import { costOfIngredient } from "../walk/ingredient-cost";

export interface Brought {
  /** `null`: something has no price, or is not in the larder. */
  readonly cost: number | null;
  readonly allergens: readonly Allergen[];
  /** What goes in without its allergens being recorded. */
  readonly unrecorded: readonly string[];
}

/**
 * What ingredients cost and which allergens they bring.
 * @param brings larder id to g
 */
export function broughtBy(
  brings: Readonly<Record<string, number>>,
  ingredients: readonly Ingredient[],
): Brought {
  const found = Object.entries(brings).map(([id, massG]) => ({
    id,
    massG,
    ingredient: ingredients.find(i => i.id === id),
  }));
  const costs = found.map(f => (f.ingredient ? costOfIngredient(f.ingredient, g(f.massG)) : null));
  return {
    cost: costs.reduce<number | null>((sum, c) => (sum === null || c === null ? null : sum + c), 0),
    allergens: [...new Set(found.flatMap(f => f.ingredient?.allergens ?? []))],
    unrecorded: found.flatMap(f => (f.ingredient?.allergens ? [] : [f.ingredient?.name ?? f.id])),
  };
}
