import type { Composition } from "../larder/composition";
import { type Grams, g } from "../../ground/quantity";

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

// Written out pool by pool: these are the innermost sums of every walk, and a loop over names costs ten times as much.
export const addPools = (a: Pools, b: Pools): Pools =>
  b === NO_POOLS
    ? a
    : a === NO_POOLS
      ? b
      : {
          water: a.water + b.water,
          fat: a.fat + b.fat,
          proteinOther: a.proteinOther + b.proteinOther,
          collagen: a.collagen + b.collagen,
          sugars: a.sugars + b.sugars,
          starch: a.starch + b.starch,
          fibre: a.fibre + b.fibre,
          salt: a.salt + b.salt,
          ethanol: a.ethanol + b.ethanol,
          acidVolatile: a.acidVolatile + b.acidVolatile,
          acidFixed: a.acidFixed + b.acidFixed,
          other: a.other + b.other,
        };
export const subtractPools = (a: Pools, b: Pools): Pools => ({
  water: a.water - b.water,
  fat: a.fat - b.fat,
  proteinOther: a.proteinOther - b.proteinOther,
  collagen: a.collagen - b.collagen,
  sugars: a.sugars - b.sugars,
  starch: a.starch - b.starch,
  fibre: a.fibre - b.fibre,
  salt: a.salt - b.salt,
  ethanol: a.ethanol - b.ethanol,
  acidVolatile: a.acidVolatile - b.acidVolatile,
  acidFixed: a.acidFixed - b.acidFixed,
  other: a.other - b.other,
});
export const scalePools = (a: Pools, k: number): Pools => ({
  water: a.water * k,
  fat: a.fat * k,
  proteinOther: a.proteinOther * k,
  collagen: a.collagen * k,
  sugars: a.sugars * k,
  starch: a.starch * k,
  fibre: a.fibre * k,
  salt: a.salt * k,
  ethanol: a.ethanol * k,
  acidVolatile: a.acidVolatile * k,
  acidFixed: a.acidFixed * k,
  other: a.other * k,
});
export const sumPools = (many: readonly Pools[]): Pools => many.reduce(addPools, NO_POOLS);
export const onePool = (name: PoolName, mass: number): Pools => ({ ...NO_POOLS, [name]: mass });

/** The share of a phase that has a given mass: same composition, other size. Nothing if the phase is empty. */
export function portionOf(phase: Pools, mass: number): Pools {
  const total = massOfPools(phase);
  return total > 0 ? scalePools(phase, mass / total) : NO_POOLS;
}
