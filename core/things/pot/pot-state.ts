import type { SolidKind } from "../larder";
import type { ThickenerId, Tissue } from "../larder/nature-names";
import { type Celsius, type Grams, degC, g } from "../../ground/quantity";
import type { Natures } from "./nature";
import { NO_NATURES } from "./natures";
import { NO_POOLS, type Pools, addPools, massOfPools, onePool, sumPools } from "./pools";

/** Where mass that left the pot went. */
export const EXITS = ["vapour", "skim", "strained", "drained", "reject", "poured"] as const;
export type Exit = (typeof EXITS)[number];

/** A part of what a strainer keeps: the bones, the mirepoix, the herbs. Straining and lifting work on parts. */
export interface SolidPart {
  readonly id: string;
  readonly name: string;
  readonly kind: SolidKind;
  readonly pools: Pools;
  /** Mass when it entered, before any loss: what extraction counts from. */
  readonly rawG: Grams;
  /** Water and fat of it then: what drying and rendering count from. */
  readonly rawWaterG: Grams;
  readonly rawFatG: Grams;
  /** It is roasted uncut: a pepper. */
  readonly whole?: boolean;
  readonly roasted: boolean;
  /** Gelatin and other solids it has given so far, g. */
  readonly gaveGelatinG: Grams;
  readonly gaveSolidsG: Grams;
  /** It binds once it has fallen apart: rice. */
  readonly thickener?: ThickenerId;
  /** What its flesh is like once it is soft, of plants. */
  readonly tissue?: Tissue;
  /** What makes its purée stand, g per 100 g raw, where it is known for itself. */
  readonly standsPct?: number;
  /** It melts into what is hot enough: cheese. */
  readonly melts?: boolean;
  /** It came dried: soaked it holds more than it weighed. */
  readonly dried?: boolean;
  /** True once its juice has run out into the liquor. */
  readonly juiceReleased: boolean;
}

/**
 * What stands in the pot, and where all that entered has gone.
 *
 * `liquor` is everything that flows through the strainer, `solids` what it keeps, `floatFatG` free fat on top.
 * For every pool: entered = liquor + solids + floating fat + what is kept aside + exits.
 */
export interface PotState {
  readonly liquor: Pools;
  /** What in the liquor keeps its own nature. */
  readonly natures: Natures;
  readonly solids: readonly SolidPart[];
  readonly floatFatG: Grams;
  /** Lifted out and kept, with the liquor that clings: it comes back, or goes on the plate. */
  readonly aside: readonly SolidPart[];
  readonly temperatureC: Celsius;
  readonly entered: Pools;
  readonly exits: Readonly<Record<Exit, Pools>>;
}

const NO_EXITS: Record<Exit, Pools> = {
  vapour: NO_POOLS,
  skim: NO_POOLS,
  strained: NO_POOLS,
  drained: NO_POOLS,
  reject: NO_POOLS,
  poured: NO_POOLS,
};

/** Temperature of what comes from the tap and the shelf. Common practice, no source. */
export const SHELF_TEMPERATURE_C = degC(15);

export const EMPTY_POT: PotState = {
  liquor: NO_POOLS,
  natures: NO_NATURES,
  solids: [],
  floatFatG: g(0),
  aside: [],
  temperatureC: SHELF_TEMPERATURE_C,
  entered: NO_POOLS,
  exits: NO_EXITS,
};

export const liquorMass = (pot: PotState): Grams => massOfPools(pot.liquor);
export const solidsMass = (pot: PotState): Grams =>
  g(pot.solids.reduce((m, part) => m + massOfPools(part.pools), 0));
/** Everything in the pot: liquor, solids and floating fat. */
export const potMass = (pot: PotState): Grams => g(liquorMass(pot) + solidsMass(pot) + pot.floatFatG);
export const exitMass = (pot: PotState, exit: Exit): Grams => massOfPools(pot.exits[exit]);

/** Everything a pot holds, without its books. */
export function contentsOf(pot: PotState): Pools {
  if (!pot.solids.length && pot.floatFatG === 0) return pot.liquor;
  return sumPools([pot.liquor, ...pot.solids.map(part => part.pools), onePool("fat", pot.floatFatG)]);
}

/** All that is in the pot and all that left it, pool by pool: equals `entered`. */
export const accountedFor = (pot: PotState): Pools =>
  sumPools([
    pot.liquor,
    ...pot.solids.map(part => part.pools),
    onePool("fat", pot.floatFatG),
    ...pot.aside.map(part => part.pools),
    ...EXITS.map(exit => pot.exits[exit]),
  ]);

/** Books mass that leaves. */
export const leave = (pot: PotState, exit: Exit, pools: Pools): PotState["exits"] => ({
  ...pot.exits,
  [exit]: addPools(pot.exits[exit], pools),
});
