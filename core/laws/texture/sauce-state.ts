import { ACID_IDS, type AcidId } from "../../things/larder/nature-names";
import type { StarchDose } from "../thickening";

export { ACID_IDS, type AcidId };

/**
 * What a sauce is made of, as far as its body, its sourness and its taste go. Grams, parts disjoint.
 * Units do not matter as long as they are the same: all laws speak of ratios.
 */
export interface SauceState {
  readonly waterG: number;
  readonly gelatinG: number;
  /** Sugars, acids, extractives. */
  readonly dissolvedG: number;
  /** Milk solids besides fat. */
  readonly milkSolidsG: number;
  /** Of them, protein set by acid and protein of molten cheese: they make a sauce stand. */
  readonly setProteinG: number;
  readonly moltenProteinG: number;
  readonly saltG: number;
  readonly fatG: number;
  /** Of it, what sets in the cold. */
  readonly settingFatG: number;
  /** Whole yolk as it came from the egg; 0.28 of it is fat. */
  readonly yolkG: number;
  /** Highest temperature since the yolk went in, °C. */
  readonly yolkMaxC: number;
  readonly starches: readonly StarchDose[];
  /** Purée without its fat. */
  readonly pureeG: number;
  /** Fibre and swollen starch inside it: what makes it stand. */
  readonly pureeSolidsG: number;
  /** How fine it is: mill 0.8, blender 1, fast blender three minutes and more 1.1. */
  readonly fineness: number;
  /** Sugars and acids, both inside `dissolvedG`. */
  readonly sugarG: number;
  readonly acids: Readonly<Partial<Record<AcidId, number>>>;
  readonly measuredPH?: number;
}

export const NO_SAUCE: SauceState = {
  waterG: 0,
  gelatinG: 0,
  dissolvedG: 0,
  milkSolidsG: 0,
  setProteinG: 0,
  moltenProteinG: 0,
  saltG: 0,
  fatG: 0,
  settingFatG: 0,
  yolkG: 0,
  yolkMaxC: 20,
  starches: [],
  pureeG: 0,
  pureeSolidsG: 0,
  fineness: 1,
  sugarG: 0,
  acids: {},
};

/** Fat inside a yolk, g per g. Our estimate. */
export const YOLK_FAT = 0.28;

export const starchMassOf = (state: SauceState): number => state.starches.reduce((m, d) => m + d.massG, 0);

/** Everything but the fat, g. */
export const fatFreeMass = (state: SauceState): number =>
  state.waterG +
  state.gelatinG +
  state.dissolvedG +
  state.milkSolidsG +
  state.saltG +
  (1 - YOLK_FAT) * state.yolkG +
  starchMassOf(state) +
  state.pureeG;

/** Fat, that of the yolk with it, g. */
export const fatMassOf = (state: SauceState): number => state.fatG + YOLK_FAT * state.yolkG;
export const massOfSauce = (state: SauceState): number => fatFreeMass(state) + fatMassOf(state);

const addAcids = (a: SauceState["acids"], b: SauceState["acids"], k = 1): SauceState["acids"] => {
  const sum: Partial<Record<AcidId, number>> = { ...a };
  for (const id of ACID_IDS) if (b[id]) sum[id] = (sum[id] ?? 0) + k * b[id];
  return sum;
};

/** Two sauces stirred together; `k` grams of the second for each gram it names. Its yolk counts as hot as the hotter. */
export function addSauce(a: SauceState, b: SauceState, k = 1): SauceState {
  const puree = a.pureeSolidsG + k * b.pureeSolidsG;
  return {
    waterG: a.waterG + k * b.waterG,
    gelatinG: a.gelatinG + k * b.gelatinG,
    dissolvedG: a.dissolvedG + k * b.dissolvedG,
    milkSolidsG: a.milkSolidsG + k * b.milkSolidsG,
    setProteinG: a.setProteinG + k * b.setProteinG,
    moltenProteinG: a.moltenProteinG + k * b.moltenProteinG,
    saltG: a.saltG + k * b.saltG,
    fatG: a.fatG + k * b.fatG,
    settingFatG: a.settingFatG + k * b.settingFatG,
    yolkG: a.yolkG + k * b.yolkG,
    yolkMaxC: b.yolkG === 0 ? a.yolkMaxC : a.yolkG === 0 ? b.yolkMaxC : Math.max(a.yolkMaxC, b.yolkMaxC),
    starches: b.starches.length
      ? [...a.starches, ...b.starches.map(d => ({ ...d, massG: k * d.massG }))]
      : a.starches,
    pureeG: a.pureeG + k * b.pureeG,
    pureeSolidsG: puree,
    fineness:
      puree > 0
        ? (a.fineness * a.pureeSolidsG + b.fineness * k * b.pureeSolidsG) / puree
        : Math.max(a.fineness, b.fineness),
    sugarG: a.sugarG + k * b.sugarG,
    acids: addAcids(a.acids, b.acids, k),
    ...(a.measuredPH !== undefined && { measuredPH: a.measuredPH }),
  };
}

/** Water boiled off, or poured in when negative. */
export const steamOff = (state: SauceState, waterG: number): SauceState => ({
  ...state,
  waterG: state.waterG - waterG,
});
