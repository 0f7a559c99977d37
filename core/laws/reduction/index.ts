export { LIDS, type Lid, SURFACES, SURFACE_WORDS, type Surface } from "./pan";
export {
  BURNER_CLASSES,
  BURNER_KINDS,
  BURNER_LABELS,
  FLAT_TOPS,
  type Burner,
  type BurnerKind,
  type Flame,
  burnerSchema,
  heatIntoPan,
} from "./heat";
export {
  type Drive,
  type Goal,
  type Simulation,
  type SimulationInput,
  type TracePoint,
  simulate,
  simulateToGoal,
} from "./simulate";
export {
  type EndPoint,
  type ReductionTarget,
  endPointOf,
  parseReductionTarget,
  reductionTargetSchema,
  remainingShare,
  targetInWords,
} from "./target";
export { type RateProfile, constantRate, profileOf, rateAt } from "./rate-profile";
export {
  type MassReading,
  PACE_SPREAD,
  type Tracker,
  type TrackerEvent,
  type TrackerStart,
  added,
  backOnFire,
  heatChanged,
  predict,
  read,
  startTracker,
} from "./tracker";
export {
  type Arrival,
  STATUS_WORDS,
  TRACKER_STATUSES,
  type TrackerStatus,
  arrival,
  massNow,
  paceWords,
  statusOf,
  trackerWarnings,
} from "./tracker-outlook";
export { type Scorch, filmSolids, scorchOf, scorchWarning } from "./scorch";
export { type ChainResult, type ChainStep, pourInto, runChain } from "./chain";
export { panChange } from "./pan-change";
export { type LearnedPace, NOTHING_LEARNED, learnPace } from "./learned-pace";
export { DEGLAZE_LIQUIDS, type DeglazeLiquid, deglazeMl, overPourMinutes } from "./deglaze";
export { SCALE_SHARE, jugSd, scaleSd, stickSd } from "./reading-error";
export { type Rapid, rapid } from "./rapid";
export { foamsUp } from "./pan-warnings";
