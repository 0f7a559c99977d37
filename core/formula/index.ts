export { type AmountRelation, type Certainty, type Group, type Line, relationInWords } from "./amount";
export { type FormulaDocument, DOCUMENT_SCHEMA, readFormula } from "./document";
export { type Kitchen, type KitchenData, openKitchen } from "./kitchen";
export { type Computed, type ResolvedLine, type StepKind } from "./step-kind";
export { STEP_KINDS, type Step, type StepKindName, kindOf } from "./steps";
export { type StateAfterStep, type Walk, applyStep, labelOf, walk } from "./walk";
export {
  type BonesNeeded,
  baseForYield,
  bonesNeeded,
  factorByIngredient,
  massForCovers,
  withBase,
} from "./scale";
export { type StepIntervals, factsRead, intervalsAlong } from "./intervals";
export type { Askable, ExplainedInput, Explanation } from "./explanation";
export { explain } from "./explain";
export { type Course, courseOf, interpolate } from "./course";
export { type ReadRelation, parseRelation, relationAsTyped } from "./parse-relation";
export { TRACE_QUANTITIES, type TraceQuantity, type TracedPoint, traceOf } from "./trace";
export { displacedIn, heapsOf } from "./steps/shared";
export {
  addLine,
  insertStep,
  moveStep,
  removeLine,
  removeStep,
  updateGroupShare,
  updateLine,
  updateStep,
} from "./edit";
export { type LineAmount, gramsOf } from "./line-amounts";
export { type FormulaMoved, type Moved, brandChange, formulasUsing } from "./brand-change";
export { type WorkedOut, takeSum } from "./take-sum";
