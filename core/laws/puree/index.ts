export {
  COOK_METHODS,
  type CookMethod,
  PUREE_VEGETABLES,
  type PureeVegetable,
  VEGETABLE_IDS,
  type VegetableId,
  leachedBy,
} from "./vegetables";
export {
  type PureeBalance,
  type PureeBalanceInput,
  SIEVES,
  SIEVE_USE,
  type Sieve,
  afterSieve,
  pureeBalance,
} from "./puree-balance";
export { asSauce, liquidForPuree, solidsPerKgFor } from "./puree-texture";
export { BLEND_VESSELS, type BlendVessel, type BlenderLoads, blenderLoads, mostFill } from "./blender-loads";
export {
  BLANCH_WATER,
  GREEN_ENOUGH,
  PALE_LEMON_G_PER_KG,
  colourOf,
  blanchDrop,
  blanchIce,
  greenIndex,
} from "./greens";
export { type Allocation, type Demand, allocateBase } from "./allocate";
export { BLADES, POTATO_MOST_S, gluesUnder, type ToolAdvice, isFloury, toolFor } from "./tools";
export { type DryTo, dryTo } from "./dry-to";
export { coldCubes, drainedYet, enrichment, hardestOf, loosenedSolids, sieveOrNot } from "./prep";
export { drainedMass, standingIn, standingSolids } from "./stands";
