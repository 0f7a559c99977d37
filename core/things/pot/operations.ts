import { type Ingredient, curdOf, normaliseComposition, ownStands, tissueOf } from "../larder";
import { type Celsius, type Grams, g, printMass } from "../../ground/quantity";
import { type Problem, type Result, checkNumber, ok, refuse } from "../../ground/result";
import { naturesOf, follow, joinNatures, moltenNatures } from "./natures";
import { specificHeat } from "./density";
import {
  NO_POOLS,
  type Pools,
  addPools,
  massOfPools,
  onePool,
  poolsOf,
  portionOf,
  subtractPools,
  sumPools,
} from "./pools";
import { type PotState, type SolidPart, contentsOf, leave, liquorMass } from "./pot-state";

/** How much more than there is may be asked for before it is refused: rounding noise only. */
const SLACK = 1e-9;

/** Less than a microgram is nothing: no scale, no volume, no heat. */
const LEAST_MASS_G = 1e-6;

const notEnough = (field: string, wanted: number, available: number, what: string): Problem => ({
  code: "NOT_ENOUGH",
  field,
  value: wanted,
  allowed: available,
  message: `Only ${printMass(g(available))} of ${what} is in the pot, not ${printMass(g(wanted))}.`,
});

/** Heat-weighted mean temperature of two masses; the pan's own heat is left out (heating covers it). */
function mixTemperature(pot: PotState, added: Pools, addedC: Celsius): Celsius {
  const present = contentsOf(pot);
  const here =
    massOfPools(present) * (massOfPools(present) > 0 ? specificHeat(present, pot.temperatureC) : 0);
  const there = massOfPools(added) * (massOfPools(added) > 0 ? specificHeat(added, addedC) : 0);
  const total = here + there;
  return (total > 0 ? (here * pot.temperatureC + there * addedC) / total : addedC) as Celsius;
}

/**
 * Adds an ingredient. Fats float with their fat pool only; their water and the rest join the liquor.
 *
 * @param mass g ≥ 0, edible part
 * @errors NEGATIVE · NOT_FINITE · SUM_NOT_100 · SUBSET_TOO_BIG
 * Source: docs/models.md "Mass balance".
 */
export function addIngredient(
  pot: PotState,
  ingredient: Ingredient,
  mass: Grams,
  options: { id: string; temperatureC: Celsius; field?: string },
): Result<PotState> {
  const problems = checkNumber(mass, options.field ?? "massG", `The weight of ${ingredient.name}`);
  if (problems.length) return refuse(...problems);
  const composition = normaliseComposition(ingredient.composition);
  if (!composition.ok) return composition;
  if (mass < LEAST_MASS_G) return ok(pot);
  return ok(addPoolsTo(pot, ingredient, poolsOf(composition.value, mass), mass, options));
}

/** Less water than this share, and it came dried. Our estimate. */
const DRIED_WATER = 0.45;

function addPoolsTo(
  pot: PotState,
  ingredient: Ingredient,
  pools: Pools,
  mass: Grams,
  options: { id: string; temperatureC: Celsius },
): PotState {
  const temperatureC = mixTemperature(pot, pools, options.temperatureC);
  const entered = addPools(pot.entered, pools);
  if (ingredient.phase === "solids") {
    const tissue = tissueOf(ingredient);
    const standsPct = ownStands(ingredient);
    const part: SolidPart = {
      id: options.id,
      name: ingredient.name,
      kind: ingredient.solidKind ?? "mirepoix",
      pools,
      rawG: mass,
      rawWaterG: g(pools.water),
      rawFatG: g(pools.fat),
      roasted: false,
      gaveGelatinG: g(0),
      gaveSolidsG: g(0),
      juiceReleased: false,
      ...(ingredient.carries?.thickener && { thickener: ingredient.carries.thickener }),
      ...(tissue && { tissue }),
      ...(standsPct !== undefined && { standsPct }),
      ...(ingredient.carries?.whole && { whole: true }),
      ...(curdOf(ingredient) === "melts" && { melts: true }),
      ...(pools.water < DRIED_WATER * mass && { dried: true }),
    };
    return { ...pot, temperatureC, entered, solids: [...pot.solids, part] };
  }
  const natures = joinNatures(pot.natures, naturesOf(ingredient, pools, mass, options.temperatureC));
  if (ingredient.phase === "fat")
    return {
      ...pot,
      temperatureC,
      entered,
      natures,
      floatFatG: g(pot.floatFatG + pools.fat),
      liquor: addPools(pot.liquor, { ...pools, fat: 0 }),
    };
  // As long as all that entered is in the liquor still, both are one sum.
  const liquor = pot.entered === pot.liquor ? entered : addPools(pot.liquor, pools);
  // Field by field: the one place where a copy that is looked up by name is felt in a long line.
  const { solids, floatFatG, aside, exits } = pot;
  return { liquor, natures, solids, floatFatG, aside, temperatureC, entered, exits };
}

/**
 * Cheese that has met a liquor hot enough becomes part of it.
 * @param hottestC what it met, °C · Source: `CHEESE_MELTS_C`, common practice, no source
 */
export function meltCheese(pot: PotState, hottestC: number): PotState {
  if (hottestC < CHEESE_MELTS_C || liquorMass(pot) <= 0 || !pot.solids.some(part => part.melts)) return pot;
  const melting = pot.solids.filter(part => part.melts);
  return {
    ...pot,
    solids: pot.solids.filter(part => !part.melts),
    liquor: addPools(pot.liquor, sumPools(melting.map(part => part.pools))),
    natures: melting.reduce((c, part) => joinNatures(c, moltenNatures(part.pools)), pot.natures),
  };
}

/** Where cheese melts into a sauce, °C. Common practice, no source. */
export const CHEESE_MELTS_C = 55;

/**
 * Takes water, ethanol and volatile acid out as steam.
 *
 * @param amounts g, each ≥ 0 and not more than the liquor holds
 * @errors NOT_ENOUGH names the pool
 * Source: docs/models.md "Mass balance".
 */
export function evaporate(
  pot: PotState,
  amounts: { water: number; ethanol?: number; acidVolatile?: number },
): Result<PotState> {
  const wanted = [
    ["water", amounts.water, "water"],
    ["ethanol", amounts.ethanol ?? 0, "alcohol"],
    ["acidVolatile", amounts.acidVolatile ?? 0, "vinegar acid"],
  ] as const;
  const problems = wanted.flatMap(([pool, mass, word]) =>
    mass > pot.liquor[pool] * (1 + SLACK) + SLACK
      ? [notEnough(pool, mass, pot.liquor[pool], word)]
      : checkNumber(mass, pool, `Steam (${word})`),
  );
  if (problems.length) return refuse(...problems);
  const gone: Pools = {
    ...NO_POOLS,
    water: Math.min(amounts.water, pot.liquor.water),
    ethanol: Math.min(amounts.ethanol ?? 0, pot.liquor.ethanol),
    acidVolatile: Math.min(amounts.acidVolatile ?? 0, pot.liquor.acidVolatile),
  };
  return ok({ ...pot, liquor: subtractPools(pot.liquor, gone), exits: leave(pot, "vapour", gone) });
}

/** Melts fat out of one solid part; it floats. `mass` is clipped to what the part holds. */
export function renderFat(pot: PotState, partId: string, mass: Grams): PotState {
  let rendered = 0;
  const solids = pot.solids.map(part => {
    if (part.id !== partId) return part;
    rendered = Math.min(mass, part.pools.fat);
    return { ...part, pools: subtractPools(part.pools, onePool("fat", rendered)) };
  });
  return { ...pot, solids, floatFatG: g(pot.floatFatG + rendered) };
}

/** Dries one solid part: water leaves as steam. `mass` is clipped to what the part holds. */
export function dryPart(pot: PotState, partId: string, mass: Grams): PotState {
  let gone = NO_POOLS;
  const solids = pot.solids.map(part => {
    if (part.id !== partId) return part;
    gone = onePool("water", Math.min(mass, part.pools.water));
    return { ...part, pools: subtractPools(part.pools, gone) };
  });
  return { ...pot, solids, exits: leave(pot, "vapour", gone) };
}

/** Moves mass from one solid part into the liquor; amounts are clipped to what the part holds. Source: docs/models.md "Mass balance". */
export function extract(pot: PotState, partId: string, amounts: Partial<Pools>): PotState {
  let moved = NO_POOLS;
  const solids = pot.solids.map(part => {
    if (part.id !== partId) return part;
    const wanted = { ...NO_POOLS, ...amounts };
    moved = Object.fromEntries(
      Object.entries(wanted).map(([name, mass]) => [name, Math.min(mass, part.pools[name as keyof Pools])]),
    ) as Pools;
    return { ...part, pools: subtractPools(part.pools, moved) };
  });
  return { ...pot, solids, liquor: addPools(pot.liquor, moved) };
}

/**
 * Takes floating fat off, with the liquor it carries along.
 *
 * @param share share of the floating fat taken, 0–1
 * @param carry g of liquor carried per g of fat
 * @errors FRACTION
 * Source: docs/models.md "Mass balance".
 * @example 5 kg stock with 120 g fat, share 0.9, carry 0.15 → 12 g fat left, 124.2 g skimmed
 */
export function skimFat(pot: PotState, share: number, carry: number): Result<PotState> {
  if (!(share >= 0 && share <= 1))
    return refuse({
      code: "FRACTION",
      field: "share",
      value: share,
      message: "The share of fat taken must be between 0 and 1.",
    });
  const fat = share * pot.floatFatG;
  const carried = portionOf(pot.liquor, Math.min(carry * fat, liquorMass(pot)));
  const liquor = subtractPools(pot.liquor, carried);
  return ok({
    ...pot,
    floatFatG: g(pot.floatFatG - fat),
    liquor,
    natures: follow(pot.natures, pot.liquor, liquor),
    exits: leave(pot, "skim", addPools(carried, onePool("fat", fat))),
  });
}

/** Pours liquor off. @errors NOT_ENOUGH. Source: docs/models.md "Mass balance". */
export function pour(pot: PotState, mass: Grams): Result<PotState> {
  const problems = checkNumber(mass, "massG", "The poured weight");
  if (problems.length) return refuse(...problems);
  if (mass > liquorMass(pot) * (1 + SLACK))
    return refuse(notEnough("massG", mass, liquorMass(pot), "liquor"));
  const gone = portionOf(pot.liquor, Math.min(mass, liquorMass(pot)));
  const liquor = subtractPools(pot.liquor, gone);
  return ok({
    ...pot,
    liquor,
    natures: follow(pot.natures, pot.liquor, liquor),
    exits: leave(pot, "poured", gone),
  });
}
