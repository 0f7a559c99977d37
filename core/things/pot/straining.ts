import type { FactValues } from "../../ground/facts";
import { g } from "../../ground/quantity";
import type { SolidKind } from "../larder";
import { follow } from "./natures";
import { addPools, massOfPools, onePool, portionOf, subtractPools, sumPools } from "./pools";
import { type PotState, leave, liquorMass } from "./pot-state";

/** Solids leave the liquor, for good or to come back, with what clings to them. */

/** Liquor that clings to a kind of solid, g per g of wet solids. */
export function holdBack(kind: SolidKind, facts: FactValues): number {
  switch (kind) {
    case "poultry-bones":
    case "poultry-whole":
      return facts.holdPoultryBones;
    case "veal-bones":
    case "beef-bones":
    case "pork-bones":
      return facts.holdVealBones;
    case "fish-frames":
      return facts.holdFishFrames;
    case "shells":
      return facts.holdShells;
    case "meat":
    case "skin":
      return facts.holdMeat;
    case "bivalves":
      return facts.holdBivalves;
    case "mirepoix":
      return facts.holdMirepoix;
    case "mushrooms":
    case "herbs":
      return facts.holdHerbs;
  }
}

/**
 * Passes the pot through a strainer: solids leave with the liquor that clings to them and a little of the fat.
 *
 * @param hold  g of liquor held per g of wet solids, by kind
 * @param cling share of the floating fat that stays on the solids, 0–1
 * Source: docs/models.md "Mass balance".
 * @example 5 kg stock + 3 kg solids, hold 0.10 → 4.7 kg liquor, 3.3 kg strained out
 */
export function strain(pot: PotState, hold: (kind: SolidKind) => number, cling: number): PotState {
  const wanted = pot.solids.reduce((m, part) => m + hold(part.kind) * massOfPools(part.pools), 0);
  const held = portionOf(pot.liquor, Math.min(wanted, liquorMass(pot)));
  const fat = pot.solids.length ? cling * pot.floatFatG : 0;
  const gone = sumPools([...pot.solids.map(part => part.pools), held, onePool("fat", fat)]);
  const liquor = subtractPools(pot.liquor, held);
  return {
    ...pot,
    solids: [],
    liquor,
    natures: follow(pot.natures, pot.liquor, liquor),
    floatFatG: g(pot.floatFatG - fat),
    exits: leave(pot, "strained", gone),
  };
}

/**
 * Lifts parts out and keeps them beside the pot, with the liquor that clings to them.
 *
 * @param ids  which parts
 * @param hold g of liquor held per g of wet solids, by kind
 * Source: docs/models.md "Mass balance".
 */
export function keepAside(
  pot: PotState,
  ids: ReadonlySet<string>,
  hold: (kind: SolidKind) => number,
): PotState {
  const out = pot.solids.filter(part => ids.has(part.id));
  const wanted = out.reduce((m, part) => m + hold(part.kind) * massOfPools(part.pools), 0);
  const share = wanted > 0 ? Math.min(1, liquorMass(pot) / wanted) : 0;
  const wet = out.map(part => ({
    ...part,
    pools: addPools(part.pools, portionOf(pot.liquor, share * hold(part.kind) * massOfPools(part.pools))),
  }));
  const held = portionOf(pot.liquor, share * wanted);
  const liquor = subtractPools(pot.liquor, held);
  return {
    ...pot,
    solids: pot.solids.filter(part => !ids.has(part.id)),
    aside: [...pot.aside, ...wet],
    liquor,
    natures: follow(pot.natures, pot.liquor, liquor),
  };
}

/** What was kept aside comes back. */
export const putBack = (pot: PotState): PotState => ({
  ...pot,
  solids: [...pot.solids, ...pot.aside],
  aside: [],
});
