export {
  COOLING_METHODS,
  COOLING_METHOD_WORDS,
  type CoolingCourse,
  type CoolingMethod,
  ONE_WAND_J,
  type Sinks,
  type Standing,
  coolingCourse,
  coolingTime,
  sinksOf,
  wandCapacityJ,
  withWand,
} from "./cooling";
export { GREENS_HEAT, ICE_MARGIN, bathFor, bathNeeded, iceForBath, iceForBlanching, iceIntoPot } from "./ice";
export { type CoolingProfile, PROFILES, PROFILE_IDS, type ProfileId, limitsInWords } from "./limits";
export {
  type LogVerdict,
  type StageVerdict,
  VERDICT_WORDS,
  type Verdict,
  judgeLog,
  worstVerdict,
} from "./log-verdict";
export { type Outlook, outlook, projectCooling } from "./projection";
