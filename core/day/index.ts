export { type Assigned } from "./assign";
export { type Job, potOf } from "./jobs";
export { type InStock, type MenuLine, type Need, massOnMenu } from "./needs";
export { DAYS_AHEAD, type DayInput, type DayPlan, type Pinned, type PlannedJob, planDay } from "./plan-day";
export { chainInWords, clockOf, jobName, spoken, violationInWords, whyThen } from "./words";
