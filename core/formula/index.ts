export {
  type AmountRelation,
  type Certainty,
  type Group,
  type Line,
  relationInWords,
} from "./amount";
export { type FormulaDocument, DOCUMENT_SCHEMA, readFormula } from "./document";
export { type Kitchen, type KitchenData, openKitchen } from "./kitchen";
export { type Computed, type ResolvedLine, type StepKind } from "./step-kind";
export { STEP_KINDS, type Step, type StepKindName, kindOf } from "./steps";
export {
  type LineAmount,
  type StateAfterStep,
  type Walk,
  applyStep,
  gramsOf,
  labelOf,
  walk,
  yieldInWords,
} from "./walk";
export { type BonesNeeded, baseForYield, bonesNeeded, factorByIngredient, massForCovers, withBase } from "./scale";
export { type StepIntervals, factsRead, intervalsAlong } from "./intervals";
export { type Askable, type ExplainedInput, type Explanation, explain } from "./explain";
