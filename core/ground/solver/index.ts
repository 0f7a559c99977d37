export {
  type HardRow,
  type LinearAnswer,
  type LinearProblem,
  type SoftRow,
  type Variable,
  rowValue,
  solveLinear,
} from "./linear";
export { type Conflict, explainConflict } from "./conflict";
export { bisect, halve } from "./halving";
