export { type HeatUpInput, CORE_SAFE_C, coreLagS, heatUpTime } from "./heat-up";
export {
  MEAT_SHAPES,
  type MeatShape,
  SEARED_SURFACE_C,
  SURFACE_GUESS_K,
  carryOver,
  surfaceFromOven,
} from "./carry-over";
