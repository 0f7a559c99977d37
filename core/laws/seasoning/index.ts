export { type SaltProjection, projectSalt, saltDose } from "./salt";
export {
  BITTER_SUGAR_G_PER_KG,
  type Balance,
  type Corrective,
  OFF_LEVEL_STEPS,
  TASTES,
  type Taste,
  type TasteInput,
  acidThreshold,
  balanceOf,
  correctives,
} from "./balance";
export { CARAMEL_STAGES, type CaramelStage, type Gastrique, gastrique } from "./gastrique";
export { FINISHING_ACID_G_PER_KG, finishingAcid, halfFirst, pepperFor, rebalance } from "./doses";
export { type FirstDose, type ScaleClass, firstDose, scaleClassOf } from "./first-dose";
export { MOST_SODA_G_PER_KG, SALT_PER_SODA, gramsPerProton, sodaFor } from "./soda";
export { condimentGlaze, finishOrder } from "./finish";
