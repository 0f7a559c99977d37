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
