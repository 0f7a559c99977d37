export {
  type Buffered,
  CONFIDENCE,
  type Confidence,
  type Reason,
  type Schedule,
  type ScheduledTask,
  type Violation,
  bufferOf,
  schedule,
  scheduleWithBuffer,
  sdOf,
} from "./plan";
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
