import { type PotState, contentsOf, liquorMass, massOfPools, solidsMass } from "../../things/pot";

/** Per cent of what is eaten: the liquor, or everything where what is in it outweighs it. */
export function eatenShare(state: { readonly pot: PotState }, what: "salt" | "fat"): number {
  const pools = liquorMass(state.pot) > solidsMass(state.pot) ? state.pot.liquor : contentsOf(state.pot);
  const mass = massOfPools(pools);
  return mass > 0 ? (100 * pools[what]) / mass : 0;
}
