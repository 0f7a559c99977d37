export { REFERENCE_WORLD, SUMS, type SumListing, listSums, runSum, sumNamed } from "./registry";
export type { Answer, AnySum, SumWorld } from "./sum";
export { type SumField, labelOf } from "./field";
export { calledInAnswer } from "./answered";
export { CELL, besides, cellsOf, readTexts, rowsOf, textsOf } from "./typed";
export { worldOf } from "./world";
export { type Spoken, inOrder, readSpoken } from "./spoken";
