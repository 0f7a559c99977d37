export {
  NO_POOLS,
  POOLS,
  type PoolName,
  type Pools,
  addPools,
  massOfPools,
  onePool,
  poolsOf,
  portionOf,
  scalePools,
  subtractPools,
  sumPools,
} from "./pools";
export {
  EMPTY_POT,
  EXITS,
  type Exit,
  type PotState,
  SHELF_TEMPERATURE_C,
  type SolidPart,
  accountedFor,
  contentsOf,
  exitMass,
  liquorMass,
  leave,
  potMass,
  solidsMass,
} from "./pot-state";
export {
  CHEESE_MELTS_C,
  addIngredient,
  dryPart,
  evaporate,
  extract,
  meltCheese,
  pour,
  renderFat,
  skimFat,
} from "./operations";
export { holdBack, keepAside, putBack, strain } from "./straining";
export { type Moved, liftFrom, takeFrom } from "./transfer";
export { scalePot } from "./times";
export type { Natures, StarchNature } from "./nature";
export { reconcile } from "./reconcile";
export {
  NO_NATURES,
  blendNatures,
  poolsOfNatures,
  colourRoux,
  follow,
  heatNatures,
  per100,
  eggMass,
  withoutAir,
} from "./natures";
export { absorb, drain, fatCapPct, sieve, skimMass } from "./separate";
export {
  type TopUpLog,
  breakFat,
  emulsify,
  mergePots,
  netEvaporation,
  splitPot,
  steamOf,
  topUp,
} from "./combine";
export {
  abvOf,
  brixOf,
  densityAt,
  dissolvedMass,
  dissolvedPct,
  ethanolShareOfAbv,
  specificHeat,
  volumeAt,
  volumeAt20,
  volumeMlOf,
  waterDensityKgM3,
} from "./density";
export {
  type Surroundings,
  boilingPoint,
  boilingPointC,
  boilsAtActivity,
  latentHeatJPerG,
  pressureAtAltitude,
  pressureProblem,
  saturationPressurePa,
  saturationTemperature,
  waterActivity,
} from "./boiling";
