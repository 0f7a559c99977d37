export { REFERENCE_WORLD, SUMS, type SumListing, listSums, runSum, sumNamed } from "./registry";
export type { Answer, AnySum, SumWorld } from "./sum";
export { labelOf } from "./problems";
export { worldOf } from "./world";
export { type Spoken, choicesOf, readSpoken } from "./spoken";
