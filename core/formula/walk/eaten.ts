import { type PotState, contentsOf, liquorMass, massOfPools } from "../../things/pot";

/** Per cent of what is eaten: the liquor, or everything where there is none. */
export function eatenShare(state: { readonly pot: PotState }, what: "salt" | "fat"): number {
  const pools = liquorMass(state.pot) > 0 ? state.pot.liquor : contentsOf(state.pot);
  const mass = massOfPools(pools);
  return mass > 0 ? (100 * pools[what]) / mass : 0;
}
