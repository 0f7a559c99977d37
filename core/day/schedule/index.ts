export { type Buffered, CONFIDENCE, type Confidence, bufferOf, scheduleWithBuffer, sdOf } from "./buffer";
export { schedule } from "./plan";
export type { Reason, Schedule, ScheduledTask, Violation } from "./told";
export {
  type After,
  type AtSetting,
  type Closed,
  LONGEST_PLAN_MIN,
  type ScheduleInput,
  type Segment,
  type Task,
  lengthOf,
} from "./task";
