import { massOfPools } from "../../things/pot";
import { type Ingredient, type Nutrition, nutritionOf } from "../../things/larder";
import type { FormulaDocument } from "../document/document";
import { productOf } from "../walk/product";
import { type Walk, finalState } from "../walk/walked";

/** What a portion brings, and what of it comes with the cream. */
export interface PortionNutrition {
  readonly portionG: number;
  readonly whole: Nutrition;
  /** Cream in a portion, g; 0: there is none. */
  readonly creamG: number;
  /** The same without what the cream brings. */
  readonly withoutCream: Nutrition;
}

/** Leaner it is milk, fatter it is butter: fat of cream, g per 100 g. Codex STAN 288-1976 asks for 10 at least; from memory. */
const CREAM_FAT = { least: 10, most: 60 } as const;

const isCream = ({ allergens, composition }: Ingredient): boolean =>
  allergens?.includes("milk") === true &&
  composition.fat >= CREAM_FAT.least &&
  composition.fat <= CREAM_FAT.most &&
  composition.water >= 30 &&
  composition.protein < 5;

const minus = (a: Nutrition, b: Nutrition): Nutrition => ({
  kcal: Math.max(0, a.kcal - b.kcal),
  fatG: Math.max(0, a.fatG - b.fatG),
  proteinG: Math.max(0, a.proteinG - b.proteinG),
  carbohydrateG: Math.max(0, a.carbohydrateG - b.carbohydrateG),
  saltG: Math.max(0, a.saltG - b.saltG),
});

const NONE: Nutrition = { kcal: 0, fatG: 0, proteinG: 0, carbohydrateG: 0, saltG: 0 };
const plus = (a: Nutrition, b: Nutrition): Nutrition => ({
  kcal: a.kcal + b.kcal,
  fatG: a.fatG + b.fatG,
  proteinG: a.proteinG + b.proteinG,
  carbohydrateG: a.carbohydrateG + b.carbohydrateG,
  saltG: a.saltG + b.saltG,
});

/**
 * What a portion brings by composition, with its cream and without; `null` while nothing comes out. What goes into other
 * formulas is in the whole, its cream is not told apart. No medical claim.
 *
 * Source: energy by Regulation (EU) 1169/2011, Annex XIV, through `nutritionOf`.
 * @example 250 g of a soup with 15 % of 35 % cream: 37.5 g cream bring 13 g fat and about 126 kcal
 */
export function nutritionPerPortion(document: FormulaDocument, walked: Walk): PortionNutrition | null {
  const last = finalState(walked.states);
  const pools = last && productOf(last.pot);
  const massG = pools ? massOfPools(pools) : 0;
  if (!pools || !(massG > 0)) return null;
  const { portionG } = document;
  const per100 = 100 / massG;
  const whole = nutritionOf(
    {
      water: per100 * pools.water,
      fat: per100 * pools.fat,
      protein: per100 * (pools.proteinOther + pools.collagen),
      collagen: per100 * pools.collagen,
      sugars: per100 * pools.sugars,
      starch: per100 * pools.starch,
      fibre: per100 * pools.fibre,
      salt: per100 * pools.salt,
      ethanol: per100 * pools.ethanol,
      acid: per100 * (pools.acidVolatile + pools.acidFixed),
      volatileAcid: per100 * pools.acidVolatile,
      other: per100 * pools.other,
    },
    portionG,
  );
  const share = Math.min(1, portionG / massG);
  let creamG = 0;
  let ofCream = NONE;
  for (const state of walked.states)
    for (const line of state.lines) {
      const ingredient = state.sources.get(line.lineId);
      if (!ingredient || !isCream(ingredient)) continue;
      creamG += line.massG * share;
      ofCream = plus(ofCream, nutritionOf(ingredient.composition, line.massG * share));
    }
  return { portionG, whole, creamG, withoutCream: minus(whole, ofCream) };
}
