export {
  CLARITY,
  FIX_OUTCOMES,
  GLOSS,
  INCIDENTS,
  type Instrument,
  LONGEST_NOTE,
  MEASURED,
  PUT_IN,
  type PutInFor,
  type RunPayload,
  TAKEN_OUT,
  TOUCHES,
  TASTES,
  type Taste,
  payloadSchema,
} from "./payloads";
export {
  PAYLOAD_VERSION,
  type RunEvent,
  checkPayload,
  inOrder,
  readKept,
  runEventSchema,
  timeOf,
} from "./events";
export { type Leg, type Reading, type StepProgress, type Turn, courseSoFar, openTicks } from "./progress";
export { massAtLevel } from "./readings";
export { type RunProblem, type RunState, facing, fold, notTakenBack, stepToRead } from "./fold";
export { type StepBand, UNKNOWN_BAND, stepBand } from "./band";
export { type LiveForecast, forecastOf, liveForecast } from "./forecast";
export {
  type BatchRecord,
  type BatchStep,
  type Compared,
  batchRecord,
  costOfLoss,
  pouredFrom,
  strainYield,
} from "./batch";
export { type Lock, type WaitingSalt, locksOf, waitingSalt } from "./locks";
export { type Timer, type UsualTimer, timersOf, usualTimers, lastMinute } from "./timers";
export { type LearnedWeight, type WeighedLine, learnedWeight } from "./learned";
export {
  type Fix,
  type HandOver,
  type Incident,
  MOST_SCORE,
  type PutIn,
  type Tasting,
  type Told,
  VERDICTS,
  fixInWords,
  incidentInWords,
  tastingInWords,
} from "./told";
export { type Felt, type TouchRange, touchMap } from "./touch";
export { type Dose, type Seasoned, seasonedIn } from "./seasoning";
export { type Taught, taughtSchema } from "./taught";
export { type Prompt, promptsNow } from "./prompts";
export { watchNow } from "./watch";
export { type InstrumentWords, instrumentOf, measuredInWords } from "./instruments";
export { type Chapter, DARKEST, type Moment, chapterTime, readingMoment, storyOf, toldOfStep } from "./story";
export { type MiseItem, gatesOf, miseLock, miseOf, toolOf, readyWords } from "./mise";
export { type NextThing, nextThings } from "./next-things";
export { type AsCooked, asCooked, draftOf, improvisedFormula, isImprovised } from "./as-cooked";
