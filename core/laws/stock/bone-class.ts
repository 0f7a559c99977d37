import type { FactId, FactValues } from "../../ground/facts";
import type { SolidKind } from "../../things/larder";

/** What gives body and taste to a stock. */
export const BONE_CLASSES = [
  "veal",
  "beef",
  "poultry",
  "pork",
  "fish",
  "shellfish",
  "meat",
  "vegetables",
] as const;
export type BoneClass = (typeof BONE_CLASSES)[number];

const CLASS_OF: Record<SolidKind, BoneClass> = {
  "poultry-bones": "poultry",
  "poultry-whole": "poultry",
  "veal-bones": "veal",
  "beef-bones": "beef",
  "pork-bones": "pork",
  "fish-frames": "fish",
  shells: "shellfish",
  bivalves: "shellfish",
  meat: "meat",
  skin: "meat",
  mirepoix: "vegetables",
  mushrooms: "vegetables",
  herbs: "vegetables",
};
export const classOfKind = (kind: SolidKind): BoneClass => CLASS_OF[kind];

/** The kind of solid a class stands for when nothing more is known: how it heaps and what clings to it. */
export const KIND_OF: Record<BoneClass, SolidKind> = {
  veal: "veal-bones",
  beef: "beef-bones",
  poultry: "poultry-bones",
  pork: "pork-bones",
  fish: "fish-frames",
  shellfish: "shells",
  meat: "meat",
  vegetables: "mirepoix",
};

interface ClassFacts {
  /** `null`: it has none to give. */
  readonly gelatin: {
    readonly most: FactId;
    readonly rate: FactId;
    readonly bloom: FactId;
    readonly decay: FactId;
  } | null;
  readonly solids: FactId;
  readonly solidsRate: FactId;
  readonly juice: FactId;
  readonly fat: FactId | null;
}

const CLASS_FACTS: Record<BoneClass, ClassFacts> = {
  veal: {
    gelatin: { most: "gelatinVeal", rate: "gelatinRateVeal", bloom: "bloomVeal", decay: "decayVeal" },
    solids: "solidsVeal",
    solidsRate: "solidsRateVeal",
    juice: "juiceVeal",
    fat: "fatVeal",
  },
  beef: {
    gelatin: { most: "gelatinBeef", rate: "gelatinRateBeef", bloom: "bloomBeef", decay: "decayBeef" },
    solids: "solidsBeef",
    solidsRate: "solidsRateBeef",
    juice: "juiceBeef",
    fat: "fatBeef",
  },
  poultry: {
    gelatin: {
      most: "gelatinPoultry",
      rate: "gelatinRatePoultry",
      bloom: "bloomPoultry",
      decay: "decayPoultry",
    },
    solids: "solidsPoultry",
    solidsRate: "solidsRatePoultry",
    juice: "juicePoultry",
    fat: "fatPoultry",
  },
  pork: {
    gelatin: { most: "gelatinPork", rate: "gelatinRatePork", bloom: "bloomPork", decay: "decayPork" },
    solids: "solidsPork",
    solidsRate: "solidsRatePork",
    juice: "juicePork",
    fat: "fatPork",
  },
  fish: {
    gelatin: { most: "gelatinFish", rate: "gelatinRateFish", bloom: "bloomFish", decay: "decayFish" },
    solids: "solidsFish",
    solidsRate: "solidsRateFish",
    juice: "juiceFish",
    fat: "fatFish",
  },
  shellfish: {
    gelatin: { most: "gelatinShells", rate: "gelatinRateShells", bloom: "bloomShells", decay: "decayShells" },
    solids: "solidsShells",
    solidsRate: "solidsRateShells",
    juice: "juiceShells",
    fat: "fatShells",
  },
  meat: {
    gelatin: { most: "gelatinMeat", rate: "gelatinRateMeat", bloom: "bloomMeat", decay: "decayMeat" },
    solids: "solidsMeat",
    solidsRate: "solidsRateMeat",
    juice: "juiceMeat",
    fat: "fatMeat",
  },
  vegetables: {
    gelatin: null,
    solids: "solidsVegetable",
    solidsRate: "solidsRateVegetable",
    juice: "juiceVegetable",
    fat: null,
  },
};

/** What a class can give per gram of raw mass, and how fast (per hour at 93 °C). */
export interface Yielding {
  readonly gelatin: {
    readonly most: number;
    readonly ratePerH: number;
    readonly bloomG: number;
    readonly decayPerH: number;
  } | null;
  readonly solids: number;
  readonly solidsRatePerH: number;
  readonly juice: number;
  readonly fat: number;
}

/** Only the facts of the class asked for are read, so that only they widen an interval. */
export function yieldingOf(of: BoneClass, roasted: boolean, f: FactValues): Yielding {
  const ids = CLASS_FACTS[of];
  return {
    gelatin: ids.gelatin && {
      most: f[ids.gelatin.most] * (roasted ? f.roastedGelatin : 1),
      ratePerH: f[ids.gelatin.rate],
      bloomG: f[ids.gelatin.bloom],
      decayPerH: f[ids.gelatin.decay],
    },
    solids: f[ids.solids],
    solidsRatePerH: f[ids.solidsRate],
    // Colour is on the outside of meat: its inside gives its juice all the same.
    juice: roasted && of !== "vegetables" && of !== "meat" ? f.juiceRoasted : f[ids.juice],
    fat: ids.fat ? f[ids.fat] : 0,
  };
}

/** Where each class is simmered and how long. Source: common practice, no source. */
export const SIMMER_WINDOWS: Record<
  BoneClass,
  {
    readonly holdC: readonly [number, number];
    readonly hours: readonly [number, number];
    readonly longest: number | null;
  }
> = {
  veal: { holdC: [82, 93], hours: [6, 12], longest: null },
  beef: { holdC: [85, 95], hours: [8, 12], longest: null },
  poultry: { holdC: [82, 93], hours: [3, 5], longest: null },
  pork: { holdC: [85, 95], hours: [4, 8], longest: null },
  fish: { holdC: [80, 88], hours: [1 / 3, 0.75], longest: 1 },
  shellfish: { holdC: [85, 93], hours: [0.5, 0.75], longest: 1 },
  meat: { holdC: [82, 95], hours: [1.5, 5], longest: null },
  vegetables: { holdC: [88, 95], hours: [0.5, 1], longest: 1.5 },
};
