import {
  NO_POOLS,
  type PotState,
  type Pools,
  contentsOf,
  liquorMass,
  massOfPools,
  onePool,
  volumeAt20,
} from "../../things/pot";
import type { Grams, Millilitres } from "../../ground/quantity";

/** What of a pot is the product of its line. */
export type ProductKind = "liquor" | "everything" | "fat";

/**
 * What a line has made, by what is left in the pot: with solids in it everything (a ragout, duxelles, herbs in a pan
 * sauce), without them the liquor, and where no liquor is left the fat. Fat afloat on a liquor does not count.
 */
export function productKind(pot: PotState): ProductKind {
  if (pot.solids.length > 0) return "everything";
  return liquorMass(pot) > 0 || pot.floatFatG <= 0 ? "liquor" : "fat";
}

export function productOf(pot: PotState): Pools {
  switch (productKind(pot)) {
    case "everything":
      return contentsOf(pot);
    case "fat":
      return onePool("fat", pot.floatFatG);
    case "liquor":
      return pot.liquor;
  }
}

export const productMass = (pot: PotState): Grams => massOfPools(productOf(pot));
export const productVolume = (pot: PotState): Millilitres => {
  const pools = productOf(pot);
  return pools === NO_POOLS ? (0 as Millilitres) : volumeAt20(pools);
};
