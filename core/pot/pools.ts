import type { Composition } from "../larder";
import { type Grams, g } from "../quantity";

/** The twelve disjoint pools whose books the pot keeps, in the order of the model. */
export const POOLS = [
  "water",
  "fat",
  "proteinOther",
  "collagen",
  "sugars",
  "starch",
  "fibre",
  "salt",
  "ethanol",
  "acidVolatile",
  "acidFixed",
  "other",
] as const;

export type PoolName = (typeof POOLS)[number];

/** Grams in each pool. */
export type Pools = Readonly<Record<PoolName, number>>;
export type MutablePools = Record<PoolName, number>;

export const NO_POOLS: Pools = {
  water: 0,
  fat: 0,
  proteinOther: 0,
  collagen: 0,
  sugars: 0,
  starch: 0,
  fibre: 0,
  salt: 0,
  ethanol: 0,
  acidVolatile: 0,
  acidFixed: 0,
  other: 0,
};

/** Grams of each pool in a mass of an ingredient (composition normalised to 100 g). */
export function poolsOf(composition: Composition, mass: Grams): Pools {
  const k = mass / 100;
  return {
    water: composition.water * k,
    fat: composition.fat * k,
    proteinOther: (composition.protein - composition.collagen) * k,
    collagen: composition.collagen * k,
    sugars: composition.sugars * k,
    starch: composition.starch * k,
    fibre: composition.fibre * k,
    salt: composition.salt * k,
    ethanol: composition.ethanol * k,
    acidVolatile: composition.volatileAcid * k,
    acidFixed: (composition.acid - composition.volatileAcid) * k,
    other: composition.other * k,
  };
}

export function massOfPools(p: Pools): Grams {
  return g(
    p.water +
      p.fat +
      p.proteinOther +
      p.collagen +
      p.sugars +
      p.starch +
      p.fibre +
      p.salt +
      p.ethanol +
      p.acidVolatile +
      p.acidFixed +
      p.other,
  );
}

const mapPools = (f: (name: PoolName) => number): Pools => {
  const result: MutablePools = { ...NO_POOLS };
  for (const name of POOLS) result[name] = f(name);
  return result;
};

export const addPools = (a: Pools, b: Pools): Pools => mapPools(name => a[name] + b[name]);
export const subtractPools = (a: Pools, b: Pools): Pools => mapPools(name => a[name] - b[name]);
export const scalePools = (a: Pools, factor: number): Pools => mapPools(name => a[name] * factor);
export const sumPools = (many: readonly Pools[]): Pools => many.reduce(addPools, NO_POOLS);
export const onePool = (name: PoolName, mass: number): Pools => ({ ...NO_POOLS, [name]: mass });

/** The share of a phase that has a given mass: same composition, other size. Nothing if the phase is empty. */
export function portionOf(phase: Pools, mass: number): Pools {
  const total = massOfPools(phase);
  return total > 0 ? scalePools(phase, mass / total) : NO_POOLS;
}
