export { type Foreseen, type TrialRow, type TriedBatch, compareVariants, letterOf } from "./compare";
