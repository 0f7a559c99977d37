export {
  LONGEST_NOTE,
  PAYLOAD_VERSION,
  type RunEvent,
  type RunPayload,
  checkPayload,
  inOrder,
  payloadSchema,
  readKept,
  runEventSchema,
  timeOf,
} from "./events";
export {
  type Reading,
  type RunProblem,
  type RunState,
  type StepProgress,
  facing,
  fold,
  massAtLevel,
  openTicks,
  notTakenBack,
  stepToRead,
} from "./fold";
export { type StepBand, UNKNOWN_BAND, stepBand } from "./band";
export { type LiveForecast, forecastOf, liveForecast } from "./forecast";
export {
  type BatchRecord,
  type BatchStep,
  type Compared,
  batchRecord,
  pouredFrom,
  strainYield,
} from "./batch";
export { type Lock, type WaitingSalt, locksOf, waitingSalt } from "./locks";
export { type Timer, type UsualTimer, timersOf, usualTimers } from "./timers";
export { type LearnedWeight, type WeighedLine, learnedWeight } from "./learned";
