export { type Brought, broughtBy } from "./costing/brought";
export {
  type AmountRelation,
  type ByProduct,
  type Certainty,
  type Group,
  type Line,
  type Reachable,
  REACHABLE,
  relationInWords,
} from "./steps/amount";
export {
  type FormulaDocument,
  type FormulaTarget,
  type TargetKind,
  DOCUMENT_SCHEMA,
  TARGETS,
  formulaSchema,
  linesOf,
  readFormula,
} from "./document/document";
export { blankFormula } from "./document/blank";
export { INTENSITY, SERVED_AS, type ServedAs } from "./document/served-as";
export { eatenShare } from "./walk/eaten";
export { type Figure, type FigureId, FIGURES, FIGURE_IDS } from "./walk/figures";
export { type Costing, type KitchenRates, costOf, portionsOf, priceForShare } from "./costing/cost";
export { countsOn } from "./explain/counts-on";
export { type StateOut, type WalkOut, walkOut } from "./explain/walk-out";
export { usualKitchen } from "./walk/usual-kitchen";
export { flouryIn } from "./steps/blend";
export { sauceOf } from "./steps/as-sauce";
export { type ReductionEnd, endAsTyped, endInWords, parseEnd } from "./steps/reduction-end";
export { type EmulsionOnLine, emulsionOnLine } from "./walk/emulsion-on-line";
export { type PotBody, bodyAcross, bodyOfPot, emulsionInputOf, emulsionOfPot, servedAtC } from "./walk/body";
export { type BodyReading, bodyReadingSchema, learnBody } from "./walk/learned-body";
export { type PaceReading, type PairPace, learnPaces, pairKey, paceReadingSchema } from "./walk/learned-pace";
export { WalkCache } from "./walk/walk-cache";
export { isSalt, pendingSalty, saltTargetPct } from "./walk/salt-lock";
export { type DeglazeChoice, type DeglazeChoices, deglazeChoices } from "./aiming/deglaze-choices";
export { cautionsAt } from "./walk/cautions";
export { type EggState, EGG_COOKED_C, EGG_LABEL, eggIn, eggOf, keepsDays, takeEgg } from "./walk/egg";
export { labelOf, misnamed } from "./walk/label";
export { shareLeft } from "./walk/strength";
export { productKind, productMass, productOf, productVolume } from "./walk/product";
export { ATTENTION, type Attention, HANDS_ON } from "./steps/kind";
export { type BasisDelta, basisFrom, basisOf, changedSince, deltaOf } from "./compare/basis";
export {
  type Kitchen,
  type Habit,
  type KitchenData,
  formulaIn,
  madeIn,
  nameOfFormula,
  openKitchen,
} from "./walk/kitchen";
export { type Computed, type ResolvedLine, type StepKind, type Tick, fieldsOf } from "./steps/kind";
export type { StepField } from "./steps/field";
export { STEP_KINDS, type Step, type StepKindName, kindOf, placeOf, titleWithPan } from "./steps";
export { type StateAfterStep, type Walk, finalState, indexBefore, potBefore } from "./walk/walked";
export { type Walking, applyStep, beginWalk, walk } from "./walk/walk";
export {
  type BonesNeeded,
  baseForYield,
  bonesNeeded,
  factorByIngredient,
  massForCovers,
} from "./scaling/yield";
export { detailOf } from "./walk/detail";
export { type StepIntervals, factsRead, intervalsAlong } from "./explain/intervals";
export type { Askable, ExplainedInput, Explanation } from "./explain/explanation";
export { explain } from "./explain/explain";
export { namesIn } from "./walk/names";
export { type Course, courseOf, interpolate } from "./walk/course";
export { type ReadRelation, parseRelation, relationAsTyped } from "./document/parse-relation";
export { type TracedPoint, traceOf } from "./explain/trace";
export { displacedIn, heapsOf } from "./steps/shared";
export { THICKEN_FORMS } from "./steps/thicken";
export { type ReadLine, parseLine } from "./document/parse-line";
export {
  addLine,
  insertStep,
  moveStep,
  removeLine,
  removeStep,
  updateGroupShare,
  updateLine,
  updateStep,
} from "./document/edit";
export { type LineAmount, reachOf } from "./walk/line-amounts";
export { type FormulaMoved, type Moved, brandChange, formulasUsing } from "./compare/brand-change";
export { type WorkedOut, takeSum } from "./document/take-sum";
export { atSize } from "./scaling/at-size";
export { multiply, withLineMass } from "./scaling/multiply";
export { scaleEvaporation } from "./scaling/evaporation";
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
export { type SaltEntry, saltLedger, saltOfParts } from "./explain/salt-ledger";
export { type PrepList, prepList } from "./costing/prep-list";
export { type DaughterMoved, motherChange } from "./compare/mother-change";
export { type PortionNutrition, nutritionPerPortion } from "./costing/portion-nutrition";
export { vesselPath } from "./walk/vessel-path";
export { swapMain } from "./document/swap-main";
export { type Achieved, type Backwards, workBackwards } from "./aiming/backwards";
export { type Binding, bindingsFor, withBinding } from "./aiming/bindings";
export { balanceAlong } from "./explain/balance";
export { Pots } from "./walk/pots";
export { doneOf, restOf } from "./steps/cut";
export { MAIN_POT, panKey, panOf, pansOf } from "./steps/pan";
