export { type Capability, LEAST_FOR_CAPABILITY, capabilityOf } from "./capability";
export { type Alarm, CHART, type ControlChart, FROZEN_AT, RULES, type Rule, controlChart } from "./chart";
export { type Band, type Drift, driftOf } from "./drift";
