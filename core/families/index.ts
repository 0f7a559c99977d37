export { FAMILIES, familyById } from "./all";
export {
  type Choice,
  type Family,
  type FamilyGroup,
  type School,
  type TemplateKitchen,
  SEA_LEVEL_KITCHEN,
  formulaOf,
  schoolsOf,
} from "./family";
export { type ChangedSchool, changeSchool } from "./change-school";
export { type LittleLeft, littleLeft } from "./little-left";
export { type LongSimmer, longSimmer, meansLongSimmer } from "./long-simmer";
