export { type SaltProjection, projectSalt, saltDose } from "./salt";
export {
  ACID_THRESHOLD_G_PER_KG,
  BITTER_SUGAR_G_PER_KG,
  type Balance,
  type Corrective,
  OFF_LEVEL_STEPS,
  TASTES,
  THRESHOLD_G_PER_KG,
  type Taste,
  type TasteInput,
  balanceOf,
  correctives,
} from "./balance";
export { CARAMEL, CARAMEL_STAGES, type CaramelStage, type Gastrique, gastrique } from "./gastrique";
export {
  FINISHING_ACID_G_PER_KG,
  STRONG_FROM_PCT,
  finishingAcid,
  halfFirst,
  pepperFor,
  rebalance,
} from "./doses";
export { MOST_SODA_G_PER_KG, SALT_PER_SODA, gramsPerProton, sodaFor } from "./soda";
export { condimentGlaze, finishOrder } from "./finish";
