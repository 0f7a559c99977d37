export {
  type Ahead,
  HOLD_C,
  HOLD_EVERY_MIN,
  type Judged,
  LOG_KINDS,
  type LogKind,
  type Shallow,
  REHEAT_WITHIN_MIN,
  SHALLOW_MM,
  judgeCooling,
  judgeHolding,
  TEMPER_MIN,
  judgeReheating,
  judgeTempering,
  expectedFold,
  inShallowPans,
} from "./cold-log";
export { type BuyItem, type DayLists } from "./lists";
export {
  type Lot,
  type LotState,
  MOVEMENTS,
  type Movement,
  type MovementKind,
  type Par,
  dayAfter,
  daysBetween,
  lotState,
  parOf,
  usagePerDay,
} from "./lots";
export { type InStock, type MenuLine, massOnMenu } from "./needs";
export { DAYS_AHEAD, type DayInput, type Pinned, planDay } from "./plan-day";
export { type Closed, type Schedule, type ScheduleInput, scheduleWithBuffer } from "./schedule";
export { type DayView, type JobView, type NeedView, viewOfDay } from "./view";
export { clockOf, spoken } from "./words";
export { type LeftNow, leftNow } from "./service";
