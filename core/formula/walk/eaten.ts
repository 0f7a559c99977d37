import { type PotState, contentsOf, liquorMass, massOfPools, solidsMass } from "../../things/pot";

/**
 * Per cent of what is eaten: the liquor, or everything where what is in it outweighs it.
 * @param like the pot by which that is judged: a batch is compared with its plan by one measure, also where it fell just over
 */
export function eatenShare(
  state: { readonly pot: PotState },
  what: "salt" | "fat",
  like: { readonly pot: PotState } = state,
): number {
  const pools = liquorMass(like.pot) > solidsMass(like.pot) ? state.pot.liquor : contentsOf(state.pot);
  const mass = massOfPools(pools);
  return mass > 0 ? (100 * pools[what]) / mass : 0;
}
