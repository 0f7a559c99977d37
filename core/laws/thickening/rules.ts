import { printNumber } from "../../ground/quantity";
import { type Result, type Warning, checkNumber, ok, refuse } from "../../ground/result";
import { THICKENERS, type ThickenerId } from "./thickeners";

/** Small rules of the finish. Common practice, no source, where nothing else is said. */

/** Soups butter would float on, instead of going into. */
const CHUNKY = /chowder|chunk|minestrone|pot-au-feu|broth with/i;
/** Pieces in a soup from which it is chunky, as a share of it. Our estimate. */
export const SAUCE_CHUNKY_SHARE = 0.1;
export const SOUP_BUTTER_G_PER_L = 60;
export const SAUCE_BUTTER_G_PER_L = 30;

/**
 * Butter to finish a soup with. @errors MODE a chunky soup: it would float
 * @example 9 l of purée at 60 g/l → 540 g; "chowder" is refused
 */
export function soupButter(volumeMl: number, style: string, gPerL = SOUP_BUTTER_G_PER_L): Result<number> {
  const problems = checkNumber(volumeMl, "volumeMl", "The soup", { min: 1, unit: "ml" });
  if (problems.length) return refuse(...problems);
  if (CHUNKY.test(style))
    return refuse({
      code: "MODE",
      field: "style",
      value: style,
      message:
        "In a chunky soup butter floats as grease: there is nothing fine enough to hold it. Bind it with cream, or leave it out.",
    });
  return ok((volumeMl / 1000) * gPerL);
}

/** Above this cheese turns to strings and oil, °C. */
export const CHEESE_MOST_C = 85;
/** Cheese into a white sauce: as warm as it may be. @example 120 g/l at 75 °C goes; at 96 °C it splits */
export const cheeseWarnings = (sauceC: number): Warning[] =>
  sauceC > CHEESE_MOST_C
    ? [
        {
          code: "CHEESE_SPLITS",
          message: `At ${Math.round(sauceC)} °C the cheese splits into strings and oil: off the fire, below ${CHEESE_MOST_C} °C, then stir it in.`,
        },
      ]
    : [];

/** Hours a bound sauce is kept hot before its body is read again. */
const READ_AGAIN_AFTER_H = 1;
/** What keeping hot does to a binding. @example corn starch, 3 h → read again */
export const holdWarnings = (id: ThickenerId, hours: number): Warning[] =>
  hours > READ_AGAIN_AFTER_H && !THICKENERS[id].holds
    ? [
        {
          code: "READ_AGAIN",
          message: `Kept hot for ${printNumber(hours, 1)} h ${THICKENERS[id].name} thins and weeps: read the body again before service.`,
        },
      ]
    : [];

/** Leaf of gelatin that makes a thin stock tremble, g per litre, by Bloom. Square-root rule of the makers, from memory. */
export const leafForSet = (volumeMl: number, lacksPct: number, bloomG: number): number =>
  Math.max(0, (volumeMl * lacksPct) / 100) * Math.sqrt(200 / bloomG);
/** What one leaf weighs as it is usually sold, g. Common practice, no source. */
export const LEAF_G = 2;
/** Agar sets from so much on, g per litre; it gives no body while hot. From memory. */
export const AGAR_SETS_G_PER_L = { soft: 2, firm: 6 } as const;
/** Agar for a litre to set softly, and firmly, g. @example 3 l → 6 to 18 g */
export const agarForSet = (volumeMl: number): readonly [fromG: number, toG: number] => [
  (volumeMl / 1000) * AGAR_SETS_G_PER_L.soft,
  (volumeMl / 1000) * AGAR_SETS_G_PER_L.firm,
];

/** Pieces of beurre manié counted into a dose. @example 5 of 15 g in 1.1 l → 34 g flour a litre */
export const beurreManieDose = (pieceG: number, count: number, volumeMl: number) => ({
  totalG: pieceG * count,
  flourGPerL: (pieceG * count) / 2 / (volumeMl / 1000),
});
