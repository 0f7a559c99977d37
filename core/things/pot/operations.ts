import type { FactValues } from "../../ground/facts";
import {
  type Ingredient,
  type SolidKind,
  curdOf,
  normaliseComposition,
  ownStands,
  tissueOf,
} from "../larder";
import { type Celsius, type Grams, g, printMass } from "../../ground/quantity";
import { type Problem, type Result, checkNumber, ok, refuse } from "../../ground/result";
import { naturesOf, follow, joinNatures, moltenNatures, scaleNatures } from "./natures";
import { specificHeat } from "./density";
import {
  NO_POOLS,
  type Pools,
  addPools,
  massOfPools,
  onePool,
  poolsOf,
  portionOf,
  scalePools,
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

const partTimes = (part: SolidPart, factor: number): SolidPart => ({
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
