export {
  ASKED,
  type Discriminated,
  type Discrimination,
  WORTH_FINDING,
  discriminated,
  leastRight,
  powerOf,
  tastersNeeded,
} from "./discrimination";
export { type Ranked, ranked } from "./ranking";
export { LEAST_JUDGES, type Scored, type ScoresCompared, repeats, scored, scoresCompared } from "./scores";
export { type Answer, type Outcome, type Seat, answerSchema, checkAnswer, outcomeOf } from "./answers";
export { type Cup, KINDS, KIND_IDS, type Kind, MOST_SEATS, keyAt, servingPlan } from "./serving";
export { type Told, tastingTold } from "./words";
