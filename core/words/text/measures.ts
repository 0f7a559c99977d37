import { type Ingredient, readMeasure } from "../../things/larder";
import { isFormula } from "../house-formulas";
import type { SaidAmount } from "./amounts";

/** An amount of one ingredient. */
export interface Weighed {
  readonly massG: number;
  /** Nobody put it on a scale: a piece, a spoon of leaves, a range. */
  readonly guessed: boolean;
}

const SPOON_ML: Readonly<Record<string, number>> = {
  teaspoon: 4.92892159375,
  tablespoon: 14.78676478125,
  cup: 236.5882365,
};

/** What a millilitre weighs where nobody has weighed a spoon of it, g. Common practice, no source. */
const LOOSE = { leaves: 0.2, pieces: 0.6, liquor: 1, fat: 0.92 } as const;

/** An amount in grams; `null` where it cannot be told, such as "a jar" of what nobody sells in jars. */
export function weigh(
  amount: SaidAmount,
  ingredient: Ingredient,
  larder: readonly Ingredient[],
): Weighed | null {
  const { unit, number } = amount;
  const ranged = number.lo !== number.hi || number.vague;
  if (!(number.value > 0)) return null;
  if (unit === null) return counted(amount, "piece", ingredient, larder);
  if (unit.kind === "mass") return { massG: number.value * unit.factor, guessed: ranged || unit.vague };
  if (unit.kind === "volume") {
    const ml = number.value * unit.factor;
    const spoon = spooned(ml, unit.name, ingredient);
    if (spoon) return { massG: spoon, guessed: true };
    if (ingredient.densityGPerMl !== undefined)
      // Litres of what the kitchen makes itself are a guess until it is walked.
      return { massG: ml * ingredient.densityGPerMl, guessed: ranged || unit.vague || isFormula(ingredient) };
    return { massG: ml * loose(ingredient), guessed: true };
  }
  if (unit.kind === "count") return counted(amount, unit.name, ingredient, larder);
  return null;
}

const loose = ({ phase, solidKind }: Ingredient): number =>
  phase === "fat"
    ? LOOSE.fat
    : phase === "liquor"
      ? LOOSE.liquor
      : solidKind === "herbs"
        ? LOOSE.leaves
        : LOOSE.pieces;

/** A spoon or a cup of what has been weighed by one. */
function spooned(ml: number, unit: string, ingredient: Ingredient): number | null {
  const own = SPOON_ML[unit];
  if (own === undefined) return null;
  const by = (name: string) =>
    ingredient.measures.find(m => m.name === name || (name === "cup" && m.name.startsWith("cup ")));
  // The nearest measure counts: a cup of leaves is no sixteen spoons of minced ones.
  const order =
    unit === "cup"
      ? ["cup", "tablespoon", "teaspoon"]
      : unit === "tablespoon"
        ? ["tablespoon", "teaspoon", "cup"]
        : ["teaspoon", "tablespoon", "cup"];
  for (const name of order) {
    const measure = by(name);
    if (measure) return (measure.massG * ml) / (SPOON_ML[name] ?? own);
  }
  return null;
}

/** Measures that stand in for one another, so many of the second in one of the first. Common practice, no source. */
const LIKE: Readonly<Record<string, readonly (readonly [name: string, times: number])[]>> = {
  thumb: [["cm piece", 3]],
  sprig: [["stalk", 1], ["piece", 1], ["leaf", 6]],
  stalk: [["piece", 1], ["sprig", 1]],
  leaf: [["piece", 1]],
  pod: [["piece", 1]],
  berry: [["piece", 1]],
  stick: [["piece", 1]],
  head: [["piece", 1]],
  handful: [["bunch", 0.5]],
  cube: [["piece", 1], ["lump", 1]],
  turn: [["grating", 1]],
  grating: [["turn", 1]],
  strip: [["piece", 1]],
  piece: [["stalk", 1], ["head", 1], ["fillet", 1], ["pod", 1], ["leaf", 1], ["clove", 1]],
}; // prettier-ignore

/** More pieces than this are grams without their unit. Our estimate. */
const MOST_PIECES = 60;
const MOST_OF_LIKE = 24;

function counted(
  { number, size }: SaidAmount,
  unit: string,
  ingredient: Ingredient,
  larder: readonly Ingredient[],
): Weighed | null {
  for (const [name, times] of [[unit, 1] as const, ...(LIKE[unit] ?? [])]) {
    const own = ingredient.measures.find(m => m.name === name);
    const fruit =
      unit === "piece" && !own
        ? ingredient.measures.find(
            m => ingredient.name.startsWith(m.name) || ingredient.aliases.includes(m.name),
          )
        : undefined;
    const measure = own ?? fruit;
    // "garlic 200" is weighed: nobody counts so many.
    if (
      measure &&
      unit === "piece" &&
      number.inFigures &&
      number.value > (own && name === "piece" ? MOST_PIECES : MOST_OF_LIKE)
    )
      return null;
    if (measure) {
      const each =
        size === "large"
          ? (measure.massG + measure.hiG) / 2
          : size === "small"
            ? (measure.massG + measure.loG) / 2
            : measure.massG;
      return { massG: number.value * times * each, guessed: true };
    }
  }
  if (unit === "piece") return null;
  const read = readMeasure(`${number.value} ${unit}`, larder, ingredient, "text");
  return read.ok && read.value.massG !== null && read.value.massG > 0
    ? { massG: read.value.massG, guessed: unit !== "bottle" && unit !== "tin" }
    : null;
}
