export { type Composition, NO_COMPOSITION, compositionSchema, normaliseComposition } from "./composition";
export { type Allergen, type AllergenRecord, type DietFlag, ALLERGENS, joinAllergens } from "./allergens";
export {
  type Ingredient,
  type SolidKind,
  type Source,
  asPurchased,
  densityOf,
  ingredientSchema,
} from "./ingredient";
export { REFERENCE_BY_ID, REFERENCE_LARDER } from "./reference-table";
