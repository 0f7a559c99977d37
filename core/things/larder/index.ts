export { type Carries, NATURES, type Nature, carriesFor, carriesSchema, natureOf } from "./carries";
export {
  COMPOSITION_TOTALS,
  type Composition,
  NO_COMPOSITION,
  compositionSchema,
  normaliseComposition,
} from "./composition";
export {
  type Allergen,
  type AllergenRecord,
  type DietFlag,
  ALLERGENS,
  ALLERGEN_IDS,
  DIET_FLAGS,
  joinAllergens,
} from "./allergens";
export {
  type Ingredient,
  type Measure,
  SOLID_KINDS,
  type SolidKind,
  type Source,
  asPurchased,
  densityOf,
  ingredientSchema,
  netOf,
} from "./ingredient";
export { type Found, findIngredient, ingredientCalled, heardAs, letterDistance, plainName } from "./find";
export { type Weighed, readMeasure } from "./measures";
export { savourOf } from "./savour";
export { type Doubt, checkIngredient, isPotent, saltDoubt, strongDoubt } from "./plausible";
export { REFERENCE_BY_ID, REFERENCE_LARDER } from "./reference";
export { type Nutrition, nutritionOf } from "./nutrition";
export { checkPrice } from "./price";
export { curdOf, fatSets, ownStands, tissueOf } from "./tissue";
