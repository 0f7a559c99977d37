import type { PortionNutrition } from "~/core/formula";
import { printNumber } from "~/core/ground/quantity";
import type { Nutrition } from "~/core/things/larder";

const KJ_PER_KCAL = 4.184;

const figures = ({ kcal, fatG, carbohydrateG, proteinG, saltG }: Nutrition): string =>
  `${printNumber(KJ_PER_KCAL * kcal)} kJ (${printNumber(kcal)} kcal), fat ${printNumber(fatG, 1)} g, carbohydrate ${printNumber(carbohydrateG, 1)} g, protein ${printNumber(proteinG, 1)} g, salt ${printNumber(saltG, 2)} g`;

/** What a portion brings, with its cream and without, and what that is worth. */
export const nutritionWords = ({ whole, creamG, withoutCream }: PortionNutrition): string[] => [
  figures(whole),
  ...(creamG > 0 ? [`Without its ${printNumber(creamG, 1)} g cream: ${figures(withoutCream)}`] : []),
  "Worked out from compositions (EU 1169/2011, Annex XIV); for guidance, no medical claim.",
];
