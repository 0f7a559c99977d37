export {
  BANDS,
  type Band,
  SERVED_COLD_C,
  SERVED_HOT_C,
  USUAL_TARGETS,
  bandOf,
  endOf,
  flowIndexOf,
  rawThickness,
  thicknessOf,
  thicknessOfYieldStress,
  viscosityAt,
  yieldStressPa,
} from "./thickness";
export {
  BUTTER_MELTS_J_PER_G,
  FAT_FREE_DENSITY,
  HEAT_OF,
  butterfatDensity,
  dissolvedFactor,
  oilDensity,
  waterViscosity,
} from "./properties";
export { MOST_DROPLETS, crowding, withDroplets } from "./droplets";
export {
  ACID_IDS,
  type AcidId,
  NO_SAUCE,
  type SauceState,
  YOLK_FAT,
  addSauce,
  fatFreeMass,
  fatMassOf,
  massOfSauce,
  steamOff,
} from "./sauce-state";
export { STANDARD_LIQUIDS, type StandardLiquid, markOfLiquid, standardLiquid } from "./standard-liquids";
export { type Body, pureeNetwork, bareBody } from "./body-laws";
export { setFatMPas } from "./set-fat";
export { LACQUER, bodyOnSpoon, readAtC, setsOnSpoon } from "./film";
export { setsBelowC } from "./body-warnings";
export { bodyOf, fatPctOf, reducedBy, saltPctOf } from "./sauce-thickness";
export { problemsOf } from "./body-limits";
export {
  ALARM_BEFORE_K,
  type Tempering,
  YOLK_G,
  type YolkWindow,
  temperLiaison,
  usualLiaison,
  yolkEquivalents,
  yolkWindow,
} from "./yolk";
export { MOUNT_FROM, MOUNT_LEAST_C, type Mounted, breaksAtC, mountButter } from "./butter";
export {
  type Bound,
  type Loosened,
  type Thickening,
  checkTarget,
  loosenTo,
  looseningWith,
  thickenTo,
} from "./reach";
export { movedTo } from "./reading-at";
export { type Calibration, type CalibrationPair, calibrate, corrected } from "./calibrate";
export {
  KITCHEN_TESTS,
  type KitchenTest,
  type ReadThickness,
  type Reading,
  TEST_IDS,
  type TestId,
  expectedReading,
  readThickness,
} from "./tests/kitchen-tests";
export { type CombinedReading, combineReadings } from "./tests/combine-readings";
export { CUP_MM, type CupMm, cupSeconds, cupShear, cupViscosity, thicknessFromCup } from "./tests/flow-cup";
export { iddsiLevel, syringeLeftMl, thicknessFromSyringe } from "./tests/syringe";
export { coatWeight } from "./tests/spread-and-coat";
export { creamMatches, reductionToCoat } from "./match";
