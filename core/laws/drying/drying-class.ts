import type { FactId, FactValues } from "../../ground/facts";
import type { SolidKind } from "../../things/larder";

/** What roasts alike: how much of it the heat reaches, and how willingly it gives its water and its fat. */
const CLASS_FACTS = {
  poultry: {
    area: "dryAreaPoultry",
    share: "drySharePoultry",
    time: "dryTimePoultry",
    fat: { share: "meltSharePoultry", time: "meltTimePoultry" },
  },
  veal: {
    area: "dryAreaVeal",
    share: "dryShareVeal",
    time: "dryTimeVeal",
    fat: { share: "meltShareVeal", time: "meltTimeVeal" },
  },
  pork: {
    area: "dryAreaPork",
    share: "drySharePork",
    time: "dryTimePork",
    fat: { share: "meltSharePork", time: "meltTimePork" },
  },
  fish: {
    area: "dryAreaFish",
    share: "dryShareFish",
    time: "dryTimeFish",
    fat: { share: "meltShareFish", time: "meltTimeFish" },
  },
  meat: {
    area: "dryAreaMeat",
    share: "dryShareMeat",
    time: "dryTimeMeat",
    fat: { share: "meltShareMeat", time: "meltTimeMeat" },
  },
  skin: {
    area: "dryAreaSkin",
    share: "dryShareSkin",
    time: "dryTimeSkin",
    fat: { share: "meltShareSkin", time: "meltTimeSkin" },
  },
  shells: {
    area: "dryAreaShells",
    share: "dryShareShells",
    time: "dryTimeShells",
    fat: { share: "meltShareShells", time: "meltTimeShells" },
  },
  vegetables: {
    area: "dryAreaVegetable",
    share: "dryShareVegetable",
    time: "dryTimeVegetable",
    fat: null,
  },
  whole: { area: "dryAreaWhole", share: "dryShareWhole", time: "dryTimeWhole", fat: null },
  mushrooms: { area: "dryAreaMushroom", share: "dryShareMushroom", time: "dryTimeMushroom", fat: null },
} as const satisfies Record<
  string,
  {
    readonly area: FactId;
    readonly share: FactId;
    readonly time: FactId;
    readonly fat: { readonly share: FactId; readonly time: FactId } | null;
  }
>;
export type DryingClass = keyof typeof CLASS_FACTS;

const CLASS_OF: Readonly<Record<SolidKind, DryingClass>> = {
  "poultry-bones": "poultry",
  "poultry-whole": "poultry",
  "veal-bones": "veal",
  "beef-bones": "veal",
  "pork-bones": "pork",
  "fish-frames": "fish",
  meat: "meat",
  skin: "skin",
  shells: "shells",
  bivalves: "shells",
  mirepoix: "vegetables",
  mushrooms: "mushrooms",
  herbs: "vegetables",
};

/** @param whole it goes in uncut: a pepper, a beetroot */
export const dryingClassOf = (kind: SolidKind, whole = false): DryingClass =>
  whole && kind === "mirepoix" ? "whole" : CLASS_OF[kind];

/** How a class dries: m² per kg, share of the water that can go, minutes; fat likewise, where it has any to give. */
export interface DryingFigures {
  readonly areaM2PerKg: number;
  readonly waterShare: number;
  readonly waterMin: number;
  readonly fat: { readonly share: number; readonly min: number } | null;
}

/** The figure that says how slowly a class dries. */
export const timeFactOf = (of: DryingClass): FactId => CLASS_FACTS[of].time;

/** Only the facts of the class asked for are read, so that only they widen an interval. */
export function figuresOf(of: DryingClass, f: FactValues): DryingFigures {
  const { area, share, time, fat } = CLASS_FACTS[of];
  return {
    areaM2PerKg: f[area],
    waterShare: f[share],
    waterMin: f[time],
    fat: fat && { share: f[fat.share], min: f[fat.time] },
  };
}
