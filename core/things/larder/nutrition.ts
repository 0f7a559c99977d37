import type { Composition } from "./composition";

/**
 * Energy of a gram, kcal. Source: Regulation (EU) 1169/2011, Annex XIV (from memory): fat 9, protein and
 * carbohydrate 4, fibre 2, ethanol 7, organic acids 3.
 */
const KCAL = { fat: 9, protein: 4, carbohydrate: 4, fibre: 2, ethanol: 7, acid: 3 } as const;

export interface Nutrition {
  readonly kcal: number;
  readonly fatG: number;
  readonly proteinG: number;
  readonly carbohydrateG: number;
  readonly saltG: number;
}

/** What a mass of something brings, by its composition. Source: as `KCAL`. */
export function nutritionOf(c: Composition, massG: number): Nutrition {
  const k = massG / 100;
  const carbohydrate = c.sugars + c.starch;
  return {
    kcal:
      k *
      (KCAL.fat * c.fat +
        KCAL.protein * c.protein +
        KCAL.carbohydrate * carbohydrate +
        KCAL.fibre * c.fibre +
        KCAL.ethanol * c.ethanol +
        KCAL.acid * c.acid),
    fatG: k * c.fat,
    proteinG: k * c.protein,
    carbohydrateG: k * carbohydrate,
    saltG: k * c.salt,
  };
}
