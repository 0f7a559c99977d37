export { LIDS, type Lid, SURFACES, type Surface } from "./pan";
export {
  BURNER_CLASSES,
  BURNER_KINDS,
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
