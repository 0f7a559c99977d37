import { g } from "../../ground/quantity";
import { scaleNatures } from "./natures";
import { scalePools } from "./pools";
import type { PotState, SolidPart } from "./pot-state";

/** A pot, or what is in it, times a factor. */

export const partTimes = (part: SolidPart, factor: number): SolidPart => ({
  ...part,
  pools: scalePools(part.pools, factor),
  rawG: g(part.rawG * factor),
  rawWaterG: g(part.rawWaterG * factor),
  rawFatG: g(part.rawFatG * factor),
  gaveGelatinG: g(part.gaveGelatinG * factor),
  gaveSolidsG: g(part.gaveSolidsG * factor),
});

/** What stands in the pot times a factor, without its books. */
export const contentsTimes = (
  pot: PotState,
  factor: number,
): Pick<PotState, "liquor" | "natures" | "solids" | "floatFatG"> => ({
  liquor: scalePools(pot.liquor, factor),
  natures: scaleNatures(pot.natures, factor),
  solids: pot.solids.map(part => partTimes(part, factor)),
  floatFatG: g(pot.floatFatG * factor),
});

/** Everything in the pot and its books, times a factor. */
export const scalePot = (pot: PotState, factor: number): PotState => ({
  ...pot,
  ...contentsTimes(pot, factor),
  aside: pot.aside.map(part => partTimes(part, factor)),
  entered: scalePools(pot.entered, factor),
  exits: Object.fromEntries(
    Object.entries(pot.exits).map(([exit, pools]) => [exit, scalePools(pools, factor)]),
  ) as PotState["exits"],
});
