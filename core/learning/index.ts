export { standardDose, type StandardDose } from "./dose";
export { factsTaken, isLesson } from "./figures";
export { type CalibrationDay, FIRST_WEEK, readingsOf } from "./first-week";
export { GROUPS, GROUP_IDS, type Group, type GroupId } from "./groups";
export { habitsOf } from "./habits";
export {
  type Evidence,
  type KeptMark,
  type Learned,
  type TeachingBatch,
  learnedOf,
  markKey,
} from "./learned";
export { MARKS, type Mark, type Standing, counted, standingOf } from "./marks";
export { type Mean, meanOf } from "./mean";
export { nextDoses, type SeasonedBatch } from "./next-doses";
export { type YieldReading, checkYield, pieceOf, withYield, yieldOf, yieldReadingSchema } from "./yields";
