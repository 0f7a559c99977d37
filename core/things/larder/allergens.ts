/**
 * The fourteen allergens of EU Regulation 1169/2011, Annex II; they include the nine of the US FASTER Act
 * (which lists tree nuts, wheat and shellfish under its own names).
 */
export const ALLERGENS = {
  gluten: "cereals with gluten",
  crustaceans: "crustaceans",
  eggs: "egg",
  fish: "fish",
  peanuts: "peanut",
  soy: "soy",
  milk: "milk",
  nuts: "tree nuts",
  celery: "celery",
  mustard: "mustard",
  sesame: "sesame",
  sulphites: "sulphites",
  lupin: "lupin",
  molluscs: "molluscs",
} as const;

export type Allergen = keyof typeof ALLERGENS;
export const ALLERGEN_IDS = Object.keys(ALLERGENS) as [Allergen, ...Allergen[]];

/** Diet flags a guest may ask about. */
export const DIET_FLAGS = ["meat", "fish", "dairy", "egg", "alcohol", "honey", "gelatin"] as const;
export type DietFlag = (typeof DIET_FLAGS)[number];

/**
 * Allergens recorded in a set of ingredients.
 *
 * `known` is false as soon as one ingredient has no allergen record: then the sauce is "not known", never "free from".
 */
export interface AllergenRecord {
  readonly recorded: readonly Allergen[];
  readonly known: boolean;
  /** Names of the ingredients nobody has entered allergens for. */
  readonly notEntered: readonly string[];
}

export function joinAllergens(
  ingredients: readonly { name: string; allergens: readonly Allergen[] | null }[],
): AllergenRecord {
  const present = new Set(ingredients.flatMap(i => i.allergens ?? []));
  const notEntered = ingredients.filter(i => i.allergens === null).map(i => i.name);
  return { recorded: ALLERGEN_IDS.filter(a => present.has(a)), known: notEntered.length === 0, notEntered };
}
