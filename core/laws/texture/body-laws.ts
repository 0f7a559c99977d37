import type { FactValues } from "../../ground/facts";
import { clamp } from "../../ground/quantity";
import {
  ROUX_SPREAD,
  type StarchDose,
  type StarchPower,
  THICKENERS,
  networkFactor,
  starchPower,
} from "../thickening";
import { withDroplets } from "./droplets";
import { FAT_FREE_DENSITY, butterfatDensity, dissolvedFactor, waterViscosity } from "./properties";
import { setFatMPas } from "./set-fat";
import { type SauceState, fatFreeMass, fatMassOf, massOfSauce, starchMassOf } from "./sauce-state";
import { rawThickness } from "./thickness";
import { yolkEquivalents } from "./yolk";

/** What gives a sauce its body: the numbers behind one thickness, for "why". */
export interface Body {
  readonly temperatureC: number;
  /** Unclamped; on screen 0–100. */
  readonly thickness: number;
  /** Standard deviation of the model, points. */
  readonly sd: number;
  readonly viscosityMPas: number;
  /** Everything but the fat, g, and the share of fat by volume. */
  readonly fatFreeG: number;
  readonly fatVolume: number;
  /** Gelatin in the serum, per cent. */
  readonly gelatinPct: number;
  /** How many times gelatin, dissolved solids and milk thicken the serum. */
  readonly serum: { readonly gelatin: number; readonly dissolved: number; readonly milk: number };
  /** Flour equivalents, g per kg of fat-free sauce. */
  readonly perKg: {
    readonly starch: number;
    readonly yolk: number;
    readonly puree: number;
    readonly curd: number;
    readonly all: number;
  };
  readonly starches: readonly { readonly dose: StarchDose; readonly power: StarchPower }[];
  /** How many times the swollen network multiplies the viscosity. */
  readonly network: number;
  /** Flows like a syrup: no swollen network, droplets far apart. */
  readonly newtonian: boolean;
}

const SETBACK_PUREE = 0.004;
const NEWTONIAN_BELOW = { network: 2, fatVolume: 0.6 } as const;

/** Conditions a dose has unless it says its own: sugar and acid of the sauce. */
const inSauce = (dose: StarchDose, state: SauceState): StarchDose => ({
  ...dose,
  sugarShare: dose.sugarShare ?? (state.sugarG > 0 ? state.sugarG / (state.sugarG + state.waterG) : 0),
  ...(dose.pH === undefined && state.measuredPH !== undefined && { pH: state.measuredPH }),
});

/**
 * The laws of body without any limits: three layers, serum × network × droplets.
 *
 * Meant for searches, where trials routinely lie outside what a kitchen makes. Use `bodyOf` for an answer.
 * Source: docs/models.md "Body" (B1–B6, C1′–C13).
 */
export function bareBody(state: SauceState, temperatureC: number, facts: FactValues): Body {
  const fatFreeG = fatFreeMass(state);
  const serumG = fatFreeG - starchMassOf(state) - state.pureeSolidsG;
  const gelatinPct = (100 * state.gelatinG) / serumG;
  const serum = {
    gelatin: gelatinFactor(state, temperatureC, facts),
    dissolved: dissolvedFactor(
      Math.min(MOST_DISSOLVED, (state.dissolvedG + facts.milkDissolves * state.milkSolidsG) / serumG),
      temperatureC,
      facts.dissolvedBody,
    ),
    milk: milkFactor(state.milkSolidsG / serumG, facts),
  };
  const serumFactor = serum.gelatin * serum.dissolved * serum.milk;
  const perKg = (grams: number) => (1000 * grams) / fatFreeG;
  const starches = state.starches.map(dose => ({ dose, power: starchPower(inSauce(dose, state), facts) }));
  const starchPerKg = starches.reduce((sum, { dose, power }) => sum + power.power * perKg(dose.massG), 0);
  const yolkPerKg = yolkEquivalents(perKg(state.yolkG), state.yolkMaxC, facts);
  // Fat spreads the cells of a purée apart as water does.
  const standing = (1000 * state.pureeSolidsG) / (fatFreeG + fatMassOf(state));
  const pureePerKg =
    facts.starchThreshold * pureeNetwork(standing, state.fineness, facts) ** (1 / facts.starchPower);
  const curdPerKg =
    facts.setProteinBinds * perKg(state.setProteinG) + facts.moltenCheeseBinds * perKg(state.moltenProteinG);
  const all = starchPerKg + yolkPerKg + pureePerKg + curdPerKg;
  const network = networkFactor(all, facts);
  const setback =
    all > 0
      ? (starches.reduce(
          (sum, { dose, power }) => sum + power.power * perKg(dose.massG) * THICKENERS[dose.id].setbackPerK,
          0,
        ) +
          pureePerKg * SETBACK_PUREE) /
        all
      : 0;
  const stiffened = Math.exp(setback * Math.max(0, 60 - temperatureC));
  const waterPhase =
    waterViscosity(temperatureC) * (serumFactor + (network - 1) * stiffened * Math.sqrt(serumFactor));
  const fatMl = fatMassOf(state) / butterfatDensity(temperatureC);
  const fatVolume = fatMl / (fatMl + fatFreeG / FAT_FREE_DENSITY);
  const dropletMPas = withDroplets(waterPhase, fatVolume, facts, {
    counts: countedVolume(fatVolume, state.milkSolidsG / fatMassOf(state), facts),
    stiff:
      all > 0
        ? (pureePerKg / all) *
          clamp((standing - facts.pureeStiffFrom) / (facts.pureeStiffAt - facts.pureeStiffFrom), 0, 1)
        : 0,
  });
  const viscosityMPas =
    dropletMPas + setFatMPas((1000 * state.settingFatG) / massOfSauce(state), temperatureC, facts);
  return {
    temperatureC,
    thickness: rawThickness(viscosityMPas),
    sd: spreadOf({ serum, starches, starchPerKg, yolkPerKg, pureePerKg, curdPerKg, all, fatVolume, perKg }),
    viscosityMPas,
    fatFreeG,
    fatVolume,
    gelatinPct,
    serum,
    perKg: { starch: starchPerKg, yolk: yolkPerKg, puree: pureePerKg, curd: curdPerKg, all },
    starches,
    network,
    newtonian: network < NEWTONIAN_BELOW.network && fatVolume < NEWTONIAN_BELOW.fatVolume,
  };
}

/**
 * How many times the cells of a purée add to the viscosity of its water: apart, and packed.
 * @param perKg    standing solids, g per kg of everything, ≥ 0
 * @param fineness mill 0.8, blender 1, fast blender 1.1
 * Source: own law (C6′), docs/models.md "Purées"; its powers after tomato, apple and packed cells, from memory.
 */
export const pureeNetwork = (perKg: number, fineness: number, facts: FactValues): number =>
  fineness *
  ((perKg / facts.pureeApartGPerKg) ** facts.pureeApartPower +
    (perKg / facts.pureePackedGPerKg) ** facts.pureePackedPower);

/** Dissolved solids as a share of the serum beyond which the fit to syrups says nothing. */
const MOST_DISSOLVED = 0.75;
/** Temperatures between which gelatin thickens by its law, °C: colder it sets, hotter nobody serves. */
const GELATIN_C = [40, 90] as const;

/**
 * How many times gelatin thickens the serum, counted on the water it has.
 * Source: own law (C1′), docs/models.md "Body"; grades of gelatin at 6.67 % and 60 °C, from memory.
 */
function gelatinFactor(state: SauceState, temperatureC: number, facts: FactValues): number {
  if (state.gelatinG <= 0) return 1;
  const perWater = (100 * state.gelatinG) / (state.waterG + state.gelatinG);
  const x =
    facts.gelatinInWater * perWater * (1 + facts.gelatinPerK * (60 - clamp(temperatureC, ...GELATIN_C)));
  return 1 + x * Math.exp(facts.gelatinSteepness * x);
}

/** Milk protein packed so close that no law holds: it counts as this much of the closest packing. */
const MOST_PACKED = 0.93;
/** How viscosity rises with the room particles take. Source: Eilers, from memory. */
const EILERS = 1.25;

/**
 * How many times the protein of milk thickens the serum: casein and whey take up room.
 * @param share milk solids besides fat over serum
 * Source: (C8′) after Snoeren and others 1982, from memory. @example 40 % at 50 °C, with what dissolves: 15.8 mPa·s
 */
function milkFactor(share: number, facts: FactValues): number {
  const room = facts.milkRoom * share * (1 + facts.milkSwells * share);
  const packed = Math.min(room / facts.milkPacked, MOST_PACKED);
  return (1 + (EILERS * facts.milkPacked * packed) / (1 - packed)) ** 2;
}

/** Where droplets are so close that a coat no longer counts, and over how much of the scale it fades. Our estimates. */
const CLOSE = 0.8;
const FADES_OVER = 0.4;
const MOST_COUNTED = 0.75;
/** Milk solids to a gram of fat in cream; a butter has a seventh of it. */
const CREAM_MILK_PER_FAT = 0.16;

/**
 * The share droplets of fat count for, 0–1: coated, and clustered by boiling where there is milk protein.
 * @param milkPerFat g of milk solids besides fat to a gram of fat
 * Source: own law (C11′), docs/models.md "Body".
 */
function countedVolume(fatVolume: number, milkPerFat: number, facts: FactValues): number {
  if (fatVolume <= 0) return 0;
  const clustered = clamp(milkPerFat / CREAM_MILK_PER_FAT, 0, 1);
  const larger = facts.dropletCoat + facts.dropletCluster * clustered;
  const counted = fatVolume * (1 + larger * clamp((CLOSE - fatVolume) / FADES_OVER, 0, 1));
  return Math.max(fatVolume, Math.min(MOST_COUNTED, counted));
}

/** Uncalibrated deviations by what gives the body, points. Our estimates. */
const SD = {
  reduction: 6,
  starch: 5,
  perDoublingOfDose: 27.8,
  liaison: 3,
  cream: 7,
  puree: 7,
  curd: 8,
} as const;
/** A part counts when it gives more than this share of its layer. */
const COUNTS = 0.1;
/** Cream that has been taken down. */
const REDUCED_CREAM = 0.45;

function spreadOf(of: {
  readonly serum: Body["serum"];
  readonly starches: Body["starches"];
  readonly starchPerKg: number;
  readonly yolkPerKg: number;
  readonly pureePerKg: number;
  readonly curdPerKg: number;
  readonly all: number;
  readonly fatVolume: number;
  readonly perKg: (grams: number) => number;
}): number {
  const lnSerum = Math.log(of.serum.gelatin * of.serum.dissolved * of.serum.milk);
  const ofSerum = (factor: number) => lnSerum > 0 && Math.log(factor) > COUNTS * lnSerum;
  const ofNetwork = (equivalents: number) => of.all > 0 && equivalents > COUNTS * of.all;
  const parts: number[] = [];
  if (ofSerum(of.serum.gelatin * of.serum.dissolved)) parts.push(SD.reduction);
  if (of.fatVolume > REDUCED_CREAM) parts.push(SD.cream);
  if (ofNetwork(of.starchPerKg)) {
    const doubt = Math.hypot(
      ...of.starches.map(({ dose, power }) => {
        const share = (power.power * of.perKg(dose.massG)) / of.starchPerKg;
        return share * (THICKENERS[dose.id].spread + (dose.colour ? ROUX_SPREAD[dose.colour] : 0));
      }),
    );
    parts.push(Math.hypot(SD.starch, SD.perDoublingOfDose * doubt));
  }
  if (ofNetwork(of.yolkPerKg)) parts.push(SD.liaison);
  if (ofNetwork(of.pureePerKg)) parts.push(SD.puree);
  if (ofNetwork(of.curdPerKg)) parts.push(SD.curd);
  return parts.length ? Math.hypot(...parts) : SD.reduction;
}
