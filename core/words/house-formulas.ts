import type { Line } from "../formula";
import { type Ingredient, NO_COMPOSITION } from "../things/larder";

const PREFIX = "formula-";
/** What a litre of it counts as until it is walked, g/ml: between water and a glace. Always assumed; common practice, no source. */
const A_LITRE = 1.02;

/**
 * The kitchen's own formulas as things that go in, so that they are heard by their names as the larder is. Only names
 * are read from them: what they are made of is found where they are walked.
 */
export const asIngredients = (formulas: Readonly<Record<string, { readonly name: string }>>): Ingredient[] =>
  Object.entries(formulas).map(([id, { name }]) => ({
    id: `${PREFIX}${id}`,
    name: name.toLowerCase(),
    aliases: [],
    composition: { ...NO_COMPOSITION, water: 100 },
    compositionSource: SOURCE,
    phase: "liquor",
    densityGPerMl: A_LITRE,
    densitySource: SOURCE,
    ediblePct: 100,
    edibleSource: SOURCE,
    allergens: null,
    diet: [],
    measures: [],
  }));

const SOURCE = { mark: "P", text: "a formula of this kitchen; worked out where it is walked" } as const;
export const isFormula = ({ id }: Ingredient): boolean => id.startsWith(PREFIX);

/** What a line draws on for an ingredient that was heard. */
export const sourceOf = (ingredient: Ingredient): Line["of"] =>
  isFormula(ingredient) ? { formula: ingredient.id.slice(PREFIX.length) } : { larder: ingredient.id };
