export { type BatchYield, batchYield } from "./batch-yield";
export { type ContainerLabel, FROZEN_DAYS, type Kept, labelFor } from "./label";
export {
  type Column,
  type ColumnAsked,
  type ColumnStep,
  MOST_COLUMNS,
  columnOf,
  ownColumns,
  readColumns,
} from "./columns";
export { type Card, type CardLine, type CardMark, type CardStep, cardOf } from "./card";
export { type AttributeReady, type Readiness, attributesOf, readiness, scoreOf } from "./readiness";
