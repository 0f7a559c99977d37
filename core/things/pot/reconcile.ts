import { type Grams, g, printMass } from "../../ground/quantity";
import { type Result, ok, refuse } from "../../ground/result";
import { scaleNatures } from "./natures";
import { dryPart, evaporate, pour } from "./operations";
import { contentsTimes } from "./times";
import { type Pools, addPools, massOfPools, onePool, portionOf, scalePools, subtractPools } from "./pools";
import { type PotState, type SolidPart, contentsOf, leave, liquorMass, potMass } from "./pot-state";

/**
 * Corrects the pot to a weighed mass.
 *
 * While something boils or roasts the difference is steam, more or less of it: out of the liquor, and where that holds
 * too little, out of the food. Otherwise liquor was poured, or added; and where the liquor cannot be meant, as with
 * bones that lie dry in a tray, there was so much less or more of everything. The books stay whole: what appears is
 * booked as entered, what is missing as an exit.
 *
 * @param weighed g, everything in the pot
 * @errors NOT_ENOUGH more is missing than there is water to steam away
 * Source: docs/models.md "Mass balance".
 */
export function reconcile(pot: PotState, weighed: Grams, through: "vapour" | "poured"): Result<PotState> {
  const missing = potMass(pot) - weighed;
  if (through === "vapour") {
    if (missing > 0) return steamAway(pot, missing);
    if (-missing <= pot.exits.vapour.water) return ok(neverSteamed(pot, -missing));
  }
  return Math.abs(missing) <= liquorMass(pot) ? pouredOrAdded(pot, missing) : ok(inProportion(pot, weighed));
}

/** Water that left as steam and was not foreseen. */
function steamAway(pot: PotState, mass: number): Result<PotState> {
  const fromLiquor = Math.min(mass, pot.liquor.water);
  const inFood = pot.solids.reduce((sum, part) => sum + part.pools.water, 0);
  const rest = mass - fromLiquor;
  if (rest > inFood)
    return refuse({
      code: "NOT_ENOUGH",
      field: "massG",
      value: mass,
      allowed: pot.liquor.water + inFood,
      message: `${printMass(g(mass))} are missing, and only ${printMass(g(pot.liquor.water + inFood))} of water could have steamed away.`,
    });
  const steamed = evaporate(pot, { water: fromLiquor });
  if (!steamed.ok || rest <= 0) return steamed;
  return ok(
    pot.solids.reduce(
      (now, part) => dryPart(now, part.id, g((rest * part.pools.water) / inFood)),
      steamed.value,
    ),
  );
}

/** Water that was foreseen to leave as steam and is still there: in the liquor, or in food that lies dry. */
function neverSteamed(pot: PotState, mass: number): PotState {
  const exits = { ...pot.exits, vapour: subtractPools(pot.exits.vapour, onePool("water", mass)) };
  const inFood = pot.solids.reduce((sum, part) => sum + part.pools.water, 0);
  if (liquorMass(pot) >= mass || inFood <= 0)
    return { ...pot, liquor: addPools(pot.liquor, onePool("water", mass)), exits };
  const wetter = (part: SolidPart): SolidPart => ({
    ...part,
    pools: addPools(part.pools, onePool("water", (mass * part.pools.water) / inFood)),
  });
  return { ...pot, solids: pot.solids.map(wetter), exits };
}

/** Liquor that left, or more of the same liquor. */
function pouredOrAdded(pot: PotState, missing: number): Result<PotState> {
  if (missing > 0) return pour(pot, g(missing));
  const found = portionOf(pot.liquor, -missing);
  const before = liquorMass(pot);
  return ok({
    ...pot,
    liquor: addPools(pot.liquor, found),
    natures: before > 0 ? scaleNatures(pot.natures, (before - missing) / before) : pot.natures,
    entered: addPools(pot.entered, found),
  });
}

/** Less or more of everything that is in the pot; what an empty pot is found to hold is water. */
function inProportion(pot: PotState, weighed: Grams): PotState {
  const contents = contentsOf(pot);
  const before = massOfPools(contents);
  if (before <= 0) {
    const water = onePool("water", weighed);
    return { ...pot, liquor: addPools(pot.liquor, water), entered: addPools(pot.entered, water) };
  }
  const factor = weighed / before;
  const changed: Pools = scalePools(contents, Math.abs(factor - 1));
  return {
    ...pot,
    ...contentsTimes(pot, factor),
    ...(factor > 1 ? { entered: addPools(pot.entered, changed) } : { exits: leave(pot, "poured", changed) }),
  };
}
