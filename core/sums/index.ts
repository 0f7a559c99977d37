export { REFERENCE_WORLD, SUMS, type SumListing, listSums, runSum, sumNamed } from "./registry";
export type { Answer, AnySum, SumWorld } from "./sum";
export { type SumField, labelOf } from "./field";
export { calledInAnswer } from "./answered";
export { besides, textsOf } from "./as-typed";
export { CELL, cellsOf, readTexts, rowsOf } from "./typed";
export { worldOf } from "./world";
export { type Spoken, inOrder, readSpoken } from "./spoken";
export { type Said, exampleIn, saidWhole } from "./said";
