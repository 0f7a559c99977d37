export { type Capability, LEAST_FOR_CAPABILITY, capabilityOf } from "./capability";
export { type Alarm, CHART, type ControlChart, FROZEN_AT, RULES, type Rule, controlChart } from "./chart";
export { type Band, type Drift, driftOf } from "./drift";
export { type BatchFigures, CHARTED, CHARTED_IDS, type Charted, type ChartedId, TOLERANCE } from "./figures";
export { type ChartedBatch, type Phase, type Point, type Series, seriesOf } from "./series";
export { seriesInWords } from "./words";
