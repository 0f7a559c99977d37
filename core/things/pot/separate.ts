import { type Grams, g, printMass } from "../../ground/quantity";
import { type Result, type Warning, checkNumber, ok, refuse } from "../../ground/result";
import { NO_NATURES, follow, joinNatures, pureeNatures } from "./natures";
import { skimFat } from "./operations";
import {
  NO_POOLS,
  POOLS,
  type PoolName,
  type Pools,
  addPools,
  massOfPools,
  onePool,
  portionOf,
  scalePools,
  subtractPools,
  sumPools,
} from "./pools";
import { type PotState, type SolidPart, leave, liquorMass, solidsMass } from "./pot-state";

/** Ways to part what is in a pot when the solids are what is wanted, or when both become one purée. */

/**
 * Pours the liquor off and keeps the solids, with what clings to them.
 *
 * @param drained what a part weighs once it has drained, g; less than it weighs, and water of its own leaves
 * @param cling   share of the floating fat that stays on the solids, 0–1
 * @errors FRACTION
 * Source: docs/models.md "Mass balance".
 */
export function drain(pot: PotState, drained: (part: SolidPart) => number, cling: number): Result<PotState> {
  if (!(cling >= 0 && cling <= 1))
    return refuse({
      code: "FRACTION",
      field: "cling",
      value: cling,
      message: "The share of fat that clings must be between 0 and 1.",
    });
  const more = pot.solids.map(part => drained(part) - massOfPools(part.pools));
  const all = more.reduce((sum, m) => sum + Math.max(0, m), 0);
  const held = Math.min(all, liquorMass(pot));
  const weight = solidsMass(pot);
  const fat = weight > 0 ? cling * pot.floatFatG : 0;
  let ownWater = 0;
  const solids = pot.solids.map((part, i): SolidPart => {
    const takes = more[i] ?? 0;
    const share = weight > 0 ? massOfPools(part.pools) / weight : 0;
    const liquor = takes > 0 ? portionOf(pot.liquor, (held * takes) / all) : NO_POOLS;
    const leaves = takes < 0 ? Math.min(-takes, part.pools.water) : 0;
    ownWater += leaves;
    return {
      ...part,
      pools: sumPools([part.pools, liquor, onePool("fat", fat * share), onePool("water", -leaves)]),
    };
  });
  const gone = sumPools([
    subtractPools(pot.liquor, portionOf(pot.liquor, held)),
    onePool("fat", pot.floatFatG - fat),
    onePool("water", ownWater),
  ]);
  return ok({
    ...pot,
    solids,
    liquor: NO_POOLS,
    natures: NO_NATURES,
    floatFatG: g(0),
    exits: leave(pot, "drained", gone),
  });
}

/** What a solid drinks: water and what is dissolved in it as freely, fat and big molecules not at all. */
const DRUNK: Readonly<Record<PoolName, number>> = {
  ...(Object.fromEntries(POOLS.map(name => [name, 1])) as Record<PoolName, number>),
  fat: 0,
  proteinOther: 0,
  collagen: 0,
  starch: 0,
  fibre: 0,
};

/**
 * Moves liquor into a solid part: dried mushrooms, pasta, rice drinking.
 *
 * @param mass        g taken up
 * @param selectivity how freely each pool goes along, 1 = as it stands in the liquor
 * @errors NOT_ENOUGH · NEGATIVE · NOT_FINITE · UNKNOWN_ID
 * Source: docs/models.md "Mass balance".
 * @example 1 kg liquor, 0.25 kg drunk by pasta → 0.75 kg liquor, its gelatin 3.33 %
 */
export function absorb(
  pot: PotState,
  partId: string,
  mass: Grams,
  selectivity: Readonly<Record<PoolName, number>> = DRUNK,
): Result<PotState> {
  const problems = checkNumber(mass, "massG", "What is taken up");
  if (problems.length) return refuse(...problems);
  if (!pot.solids.some(part => part.id === partId))
    return refuse({
      code: "UNKNOWN_ID",
      field: "partId",
      value: partId,
      message: "There is nothing of that name in the pot to drink the liquor.",
    });
  const ready = POOLS.reduce((sum, name) => sum + selectivity[name] * pot.liquor[name], 0);
  const moved = Object.fromEntries(
    POOLS.map(name => [name, ready > 0 ? (mass * selectivity[name] * pot.liquor[name]) / ready : 0]),
  ) as Record<PoolName, number>;
  const short = POOLS.find(name => moved[name] > pot.liquor[name] * (1 + 1e-9) + 1e-9);
  if (short || (mass > 0 && ready <= 0))
    return refuse({
      code: "NOT_ENOUGH",
      field: "massG",
      value: mass,
      allowed: ready,
      message: `Only ${printMass(g(ready))} of liquor is there to take up, not ${printMass(mass)}.`,
    });
  const liquor = subtractPools(pot.liquor, moved);
  return ok({
    ...pot,
    liquor,
    natures: follow(pot.natures, pot.liquor, liquor),
    solids: pot.solids.map(part =>
      part.id === partId ? { ...part, pools: addPools(part.pools, moved) } : part,
    ),
  });
}

/**
 * Passes everything through a sieve: what goes through is one purée, what stays is richer in fibre.
 *
 * @param yieldShare     share of the mass that passes, 0 < y ≤ 1
 * @param fibreEnriched  how many times richer in fibre the reject is, 1–5
 * @errors FRACTION. Warns HIGH_REJECT when less than half passes.
 * Source: docs/models.md "Mass balance".
 * @example 800 g, 16 g fibre, yield 0.88, enrichment 2 → 704 g with 1.727 % fibre
 */
export function sieve(pot: PotState, yieldShare: number, fibreEnriched: number): Result<PotState> {
  if (!(yieldShare > 0 && yieldShare <= 1))
    return refuse({
      code: "FRACTION",
      field: "yieldShare",
      value: yieldShare,
      message: "Of what goes into a sieve something and at most all passes: type a share such as 0.9.",
    });
  const whole = sumPools([pot.liquor, ...pot.solids.map(part => part.pools)]);
  const mass = massOfPools(whole);
  const reject = (1 - yieldShare) * mass;
  const rest = mass - whole.fibre;
  const fibre =
    rest <= 1e-12 * mass
      ? reject
      : Math.min(whole.fibre, fibreEnriched * (1 - yieldShare) * whole.fibre, reject);
  const others = rest <= 1e-12 * mass ? 0 : (reject - fibre) / rest;
  const gone: Pools = { ...scalePools(whole, others), fibre };
  const warnings: Warning[] =
    yieldShare < 0.5
      ? [{ code: "HIGH_REJECT", message: "More than half stays on the sieve: cook it softer or press it." }]
      : [];
  const liquor = subtractPools(whole, gone);
  const natures = joinNatures(pot.natures, pureeNatures(pot.solids, pot.temperatureC));
  return ok(
    {
      ...pot,
      liquor,
      natures: follow(natures, whole, liquor),
      solids: [],
      exits: leave(pot, "reject", gone),
    },
    warnings,
  );
}

/**
 * Takes a weighed mass of skimmings off: fat as far as there is any, the rest liquor.
 *
 * @param mass  g weighed
 * @param carry g of liquor carried per g of fat
 * @errors NOT_ENOUGH · NEGATIVE · NOT_FINITE
 */
export function skimMass(pot: PotState, mass: Grams, carry: number): Result<PotState> {
  const problems = checkNumber(mass, "massG", "The weight of the skimmings");
  if (problems.length) return refuse(...problems);
  const fat = Math.min(mass / (1 + carry), pot.floatFatG);
  const liquor = mass - fat;
  if (liquor > liquorMass(pot) * (1 + 1e-9))
    return refuse({
      code: "NOT_ENOUGH",
      field: "massG",
      value: mass,
      allowed: pot.floatFatG + liquorMass(pot),
      message: `Only ${printMass(g(pot.floatFatG + liquorMass(pot)))} of fat and liquor is in the pot, not ${printMass(mass)}.`,
    });
  if (pot.floatFatG <= 0 || fat <= 0) {
    const gone = portionOf(pot.liquor, liquor);
    const left = subtractPools(pot.liquor, gone);
    return ok({
      ...pot,
      liquor: left,
      natures: follow(pot.natures, pot.liquor, left),
      exits: leave(pot, "skim", gone),
    });
  }
  return skimFat(pot, fat / pot.floatFatG, liquor / fat);
}

/** Share of a fat cap in everything that was skimmed from, per cent: 382 g in 7 kg is 5.5 %. Source: exact. */
export const fatCapPct = (fat: Grams, whole: Grams): number => (whole > 0 ? (100 * fat) / whole : 0);
