export { type Brought, broughtBy } from "./brought";
export {
  type AmountRelation,
  type ByProduct,
  type Certainty,
  type Group,
  type Line,
  type Reachable,
  REACHABLE,
  relationInWords,
} from "./amount";
export {
  type FormulaDocument,
  type FormulaTarget,
  type TargetKind,
  DOCUMENT_SCHEMA,
  TARGETS,
  formulaSchema,
  linesOf,
  readFormula,
} from "./document";
export { blankFormula } from "./blank";
export { INTENSITY, SERVED_AS, type ServedAs } from "./served-as";
export { type Figure, type FigureId, FIGURES, FIGURE_IDS } from "./figures";
export { type Costing, type KitchenRates, costOf, portionsOf, priceForShare } from "./cost";
export {
  type PotBody,
  bodyAcross,
  bodyOfPot,
  emulsionInputOf,
  emulsionOfPot,
  sauceOf,
  servedAtC,
} from "./body";
export { type BodyReading, bodyReadingSchema, learnBody } from "./learned-body";
export { WalkCache } from "./walk-cache";
export { pendingSalty, saltTargetPct } from "./salt-lock";
export { type DeglazeChoice, type DeglazeChoices, deglazeChoices } from "./deglaze-choices";
export { cautionsAt } from "./cautions";
export { type EggState, EGG_COOKED_C, EGG_LABEL, eggIn, eggOf, keepsDays, takeEgg } from "./egg";
export { labelOf, misnamed } from "./label";
export { shareLeft } from "./strength";
export { productKind, productMass, productOf, productVolume } from "./product";
export { ATTENTION, type Attention, HANDS_ON } from "./step-kind";
export { type BasisDelta, basisFrom, basisOf, changedSince, deltaOf } from "./basis";
export { type Kitchen, type KitchenData, formulaIn, madeIn, nameOfFormula, openKitchen } from "./kitchen";
export { type Computed, type ResolvedLine, type StepKind, type Tick, fieldsOf } from "./step-kind";
export type { StepField } from "./step-field";
export { STEP_KINDS, type Step, type StepKindName, kindOf, placeOf } from "./steps";
export type { StateAfterStep, Walk } from "./walked";
export { type Walking, applyStep, beginWalk, walk } from "./walk";
export {
  type BonesNeeded,
  baseForYield,
  bonesNeeded,
  factorByIngredient,
  massForCovers,
} from "./scaling/yield";
export { type StepIntervals, factsRead, intervalsAlong } from "./intervals";
export type { Askable, ExplainedInput, Explanation } from "./explanation";
export { explain } from "./explain";
export { namesIn } from "./names";
export { type Course, courseOf, interpolate } from "./course";
export { type ReadRelation, parseRelation, relationAsTyped } from "./parse-relation";
export { type TracedPoint, traceOf } from "./trace";
export { displacedIn, heapsOf } from "./steps/shared";
export { THICKEN_FORMS } from "./steps/thicken";
export { type ReadLine, parseLine } from "./parse-line";
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
export { type LineAmount, reachOf } from "./line-amounts";
export { type FormulaMoved, type Moved, brandChange, formulasUsing } from "./brand-change";
export { type WorkedOut, takeSum } from "./take-sum";
export { atSize } from "./scaling/at-size";
export { withLineMass } from "./scaling/multiply";
export { type ScaleClass, firstDoseShare, scaleClassOf } from "./scaling/doses";
export { BOWL_FILL, bowlBatches, scaleEvaporation } from "./scaling/evaporation";
export { largestRemainder, resolutionOf, roundToScales } from "./scaling/rounding";
export {
  type ScalePolicy,
  type ScaleTo,
  type Scaled,
  type ScaledLine,
  type ScaledStep,
} from "./scaling/scaled";
export { scaleFormula } from "./scaling/scale-formula";
export { type Conflict, type Merged, type Picks, mergeDocuments, sameValue } from "./compare/merge";
export { type Change, diffFormulas } from "./compare/diff";
export { type OutcomeRow, compareOutcomes } from "./compare/outcome";
export { type SaltEntry, saltLedger, saltOfParts } from "./ledger";
export { type PrepList, prepList } from "./prep-list";
export { vesselPath } from "./vessel-path";
export { swapMain } from "./swap-main";
export { type Achieved, type Backwards, workBackwards } from "./backwards";
export { type Binding, bindingsFor, withBinding } from "./bindings";
export { balanceAlong } from "./balance";
