import { type Grams, g } from "../../ground/quantity";
import type { SolidKind } from "../larder";
import { scaleNatures } from "./natures";
import { NO_POOLS, scalePools, subtractPools } from "./pools";
import { EMPTY_POT, type PotState, contentsOf } from "./pot-state";
import { keepAside } from "./straining";
import { partTimes } from "./times";

/** What goes from one vessel to another takes its part of the books along: over all vessels nothing is counted twice. */

/** What of a pot is moved. */
export const MOVED = ["everything", "liquor", "solids"] as const;
export type Moved = (typeof MOVED)[number];

/**
 * Pours or lifts a part of a pot into another vessel: what stays, and what went. Floating fat goes with the liquor.
 *
 * @param share of what is moved, 0–1
 * Source: docs/models.md "Mass balance".
 */
export function takeFrom(
  pot: PotState,
  what: Moved,
  share: number,
): { readonly rest: PotState; readonly taken: PotState } {
  const wet = what === "solids" ? 0 : share;
  const dry = what === "liquor" ? 0 : share;
  const liquor = wet > 0 ? scalePools(pot.liquor, wet) : NO_POOLS;
  const fatG: Grams = g(pot.floatFatG * wet);
  const taken: PotState = {
    ...EMPTY_POT,
    liquor,
    natures: scaleNatures(pot.natures, wet),
    solids: dry > 0 ? pot.solids.map(part => partTimes(part, dry)) : [],
    floatFatG: fatG,
    temperatureC: pot.temperatureC,
  };
  const gone = contentsOf(taken);
  return {
    taken: { ...taken, entered: gone },
    rest: {
      ...pot,
      liquor: subtractPools(pot.liquor, liquor),
      natures: scaleNatures(pot.natures, 1 - wet),
      solids: dry >= 1 ? [] : pot.solids.map(part => partTimes(part, 1 - dry)),
      floatFatG: g(pot.floatFatG - fatG),
      entered: subtractPools(pot.entered, gone),
    },
  };
}

/**
 * Lifts parts out into another vessel, with the liquor that clings to them.
 *
 * @param ids  which parts
 * @param hold g of liquor held per g of wet solids, by kind
 * Source: docs/models.md "Mass balance".
 */
export function liftFrom(
  pot: PotState,
  ids: ReadonlySet<string>,
  hold: (kind: SolidKind) => number,
): { readonly rest: PotState; readonly taken: PotState } {
  const lifted = keepAside({ ...pot, aside: [] }, ids, hold);
  const taken: PotState = { ...EMPTY_POT, solids: lifted.aside, temperatureC: pot.temperatureC };
  const gone = contentsOf(taken);
  return {
    taken: { ...taken, entered: gone },
    rest: { ...lifted, aside: pot.aside, entered: subtractPools(pot.entered, gone) },
  };
}
