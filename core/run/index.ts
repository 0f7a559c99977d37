export { type RunEvent, type RunPayload, inOrder, payloadSchema, runEventSchema, timeOf } from "./events";
export { type Reading, type RunState, type StepProgress, fold, massAtLevel, standing } from "./fold";
export {
  type StepBand,
  type LiveForecast,
  UNKNOWN_BAND,
  forecastOf,
  liveForecast,
  stepBand,
} from "./forecast";
export {
  type BatchRecord,
  type BatchStep,
  type Compared,
  batchRecord,
  pouredFrom,
  strainYield,
} from "./batch";
