import type { Ingredient } from "../larder";
import { type Celsius, type Grams, degC, g, ml, printMass, printVolume } from "../../ground/quantity";
import { type Result, checkNumber, ok, refuse } from "../../ground/result";
import { joinNatures } from "./natures";
import { densityAt, specificHeat, volumeAt20 } from "./density";
import { addIngredient } from "./operations";
import { scalePot } from "./times";
import { type Pools, addPools, massOfPools, onePool, poolsOf, subtractPools } from "./pools";
import { EXITS, type PotState, contentsOf, potMass } from "./pot-state";

/** Where topping up stops: everything in the pot at a mass, or the liquor at a volume at 20 °C. */
export type TopUpTarget = { readonly massG: Grams } | { readonly volumeMl: number };

/**
 * Adds just enough of an ingredient to reach a mass or a volume.
 *
 * @errors ABOVE_TARGET there is more than that already · those of `addIngredient`
 * Source: docs/models.md "Mass balance".
 */
export function topUp(
  pot: PotState,
  target: TopUpTarget,
  ingredient: Ingredient,
  options: { id: string; temperatureC: Celsius },
): Result<{ pot: PotState; addedG: Grams }> {
  const [now, wanted] =
    "massG" in target
      ? [potMass(pot) as number, target.massG as number]
      : [volumeAt20(pot.liquor) as number, target.volumeMl];
  const problems = checkNumber(wanted, "target", "The wanted amount");
  if (problems.length) return refuse(...problems);
  const print = (x: number) => ("massG" in target ? printMass(g(x)) : printVolume(ml(x)));
  if (wanted < now * (1 - 1e-9))
    return refuse({
      code: "ABOVE_TARGET",
      field: "target",
      value: wanted,
      allowed: now,
      message: `There are ${print(now)} in the pot already, more than ${print(wanted)}.`,
    });
  const lacking = Math.max(0, wanted - now);
  let addedG = lacking;
  if ("volumeMl" in target && lacking > 0) {
    // What is dissolved takes less room than it did alone: three corrections are more than enough.
    const of = poolsOf(ingredient.composition, g(1));
    addedG = lacking * densityAt(of, degC(20));
    for (let pass = 0; pass < 3; pass++) {
      const mixed = volumeAt20(addPools(pot.liquor, poolsOf(ingredient.composition, g(addedG))));
      addedG += (wanted - mixed) * densityAt(of, degC(20));
    }
  }
  const added = addIngredient(pot, ingredient, g(addedG), options);
  return added.ok ? ok({ pot: added.value, addedG: g(addedG) }) : added;
}

/** Pours two pots together, pool by pool, at their mixed temperature; their books are joined. */
export function mergePots(a: PotState, b: PotState): PotState {
  const heat = (pot: PotState) => {
    const all = contentsOf(pot);
    const mass = massOfPools(all);
    return mass > 0 ? mass * specificHeat(all, pot.temperatureC) : 0;
  };
  const [ha, hb] = [heat(a), heat(b)];
  return {
    liquor: addPools(a.liquor, b.liquor),
    natures: joinNatures(a.natures, b.natures),
    solids: [...a.solids, ...b.solids],
    floatFatG: g(a.floatFatG + b.floatFatG),
    aside: [...a.aside, ...b.aside],
    temperatureC: degC(
      ha + hb > 0 ? (ha * a.temperatureC + hb * b.temperatureC) / (ha + hb) : a.temperatureC,
    ),
    entered: addPools(a.entered, b.entered),
    exits: Object.fromEntries(
      EXITS.map(exit => [exit, addPools(a.exits[exit], b.exits[exit])]),
    ) as PotState["exits"],
  };
}

/**
 * Divides a pot in two of the same composition.
 * @param share of the first, 0–1
 * @errors FRACTION
 */
export function splitPot(pot: PotState, share: number): Result<readonly [PotState, PotState]> {
  if (!(share >= 0 && share <= 1))
    return refuse({
      code: "FRACTION",
      field: "share",
      value: share,
      message: "A share is between 0 and 1.",
    });
  return ok([scalePot(pot, share), scalePot(pot, 1 - share)]);
}

/** Beats floating fat into the liquor. @errors NOT_ENOUGH · NEGATIVE */
export const emulsify = (pot: PotState, mass: Grams): Result<PotState> =>
  moveFat(pot, mass, pot.floatFatG, "floating fat", 1);

/** Lets fat of the liquor rise: an emulsion breaks. @errors NOT_ENOUGH · NEGATIVE */
export const breakFat = (pot: PotState, mass: Grams): Result<PotState> =>
  moveFat(pot, mass, pot.liquor.fat, "fat in the liquor", -1);

function moveFat(pot: PotState, mass: Grams, available: number, what: string, way: 1 | -1): Result<PotState> {
  const problems = checkNumber(mass, "massG", "The weight of the fat");
  if (problems.length) return refuse(...problems);
  if (mass > available * (1 + 1e-9))
    return refuse({
      code: "NOT_ENOUGH",
      field: "massG",
      value: mass,
      allowed: available,
      message: `Only ${printMass(g(available))} of ${what} is there, not ${printMass(mass)}.`,
    });
  const moved = Math.min(mass, available);
  const fat = onePool("fat", moved);
  return ok({
    ...pot,
    liquor: way > 0 ? addPools(pot.liquor, fat) : subtractPools(pot.liquor, fat),
    floatFatG: g(pot.floatFatG - way * moved),
  });
}

/**
 * Water and vinegar acid in a mass of steam from a liquor without alcohol.
 *
 * @param mass g of steam
 * @param volatility relative volatility of dilute acetic acid
 * Source: docs/models.md "Mass balance" (relative volatility 0.7, from memory).
 */
export function steamOf(
  liquor: Pools,
  mass: Grams,
  volatility: number,
): { water: number; acidVolatile: number } {
  const whole = massOfPools(liquor);
  const water = whole > 0 ? liquor.water / whole : 1;
  const acid = whole > 0 ? (volatility * liquor.acidVolatile) / whole : 0;
  const share = water + acid > 0 ? acid / (water + acid) : 0;
  const acidVolatile = Math.min(liquor.acidVolatile, mass * share);
  return { water: mass - mass * share, acidVolatile };
}

/** Liquor in the pot and what has left it as steam so far: for a level that was topped up. */
export interface TopUpLog {
  readonly startMl: number;
  readonly toppedUpMl: readonly number[];
  readonly outMl: number;
  /** Held by solids, spilled, skimmed. */
  readonly lostMl: number;
  readonly hours: number;
}

/**
 * What evaporated over a simmer that was topped up, from litres in and litres out.
 *
 * @errors NEGATIVE more came out than went in · NOT_FINITE · OUT_OF_RANGE
 * Source: exact. @example 19.0 + 1.0 + 1.5 l in, 16.0 out, 0.6 lost in 5 h → 4.9 l, 0.98 l/h
 */
export function netEvaporation(log: TopUpLog): Result<{ evaporatedMl: number; mlPerHour: number }> {
  const problems = [
    ...checkNumber(log.startMl, "startMl", "The first filling"),
    ...log.toppedUpMl.flatMap((v, i) => checkNumber(v, `toppedUpMl.${i}`, "A top-up")),
    ...checkNumber(log.outMl, "outMl", "What was strained"),
    ...checkNumber(log.lostMl, "lostMl", "What was lost"),
    ...checkNumber(log.hours, "hours", "The time", { min: 0.01, unit: "h" }),
  ];
  if (problems.length) return refuse(...problems);
  const into = log.startMl + log.toppedUpMl.reduce((sum, v) => sum + v, 0);
  const evaporatedMl = into - log.outMl - log.lostMl;
  if (evaporatedMl < 0)
    return refuse({
      code: "NEGATIVE",
      field: "outMl",
      value: log.outMl,
      allowed: into - log.lostMl,
      message: `${printVolume(ml(log.outMl + log.lostMl))} came out of ${printVolume(ml(into))}: check the jugs, or count what else went in.`,
    });
  return ok({ evaporatedMl, mlPerHour: evaporatedMl / log.hours });
}
