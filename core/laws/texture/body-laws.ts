import type { FactValues } from "../../ground/facts";
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
import { type SauceState, fatFreeMass, fatMassOf, starchMassOf } from "./sauce-state";
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
 * Source: docs/models.md "Body" (B1–B6, C1–C13).
 */
export function bareBody(state: SauceState, temperatureC: number, facts: FactValues): Body {
  const fatFreeG = fatFreeMass(state);
  const serumG = fatFreeG - starchMassOf(state) - state.pureeSolidsG;
  const gelatinPct = (100 * state.gelatinG) / serumG;
  const x = facts.gelatinBody * gelatinPct;
  const serum = {
    gelatin: 1 + x * Math.exp(facts.gelatinCurve * x),
    dissolved: dissolvedFactor(state.dissolvedG / serumG, temperatureC, facts.dissolvedBody),
    milk: Math.exp((facts.milkBody * state.milkSolidsG) / serumG),
  };
  const serumFactor = serum.gelatin * serum.dissolved * serum.milk;
  const perKg = (grams: number) => (1000 * grams) / fatFreeG;
  const starches = state.starches.map(dose => ({ dose, power: starchPower(inSauce(dose, state), facts) }));
  const starchPerKg = starches.reduce((sum, { dose, power }) => sum + power.power * perKg(dose.massG), 0);
  const yolkPerKg = yolkEquivalents(perKg(state.yolkG), state.yolkMaxC, facts);
  const pureePerKg =
    facts.starchThreshold *
    (state.fineness * (perKg(state.pureeSolidsG) / facts.pureeHalfGPerKg) ** facts.pureePower) **
      (1 / facts.starchPower);
  const all = starchPerKg + yolkPerKg + pureePerKg;
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
  const viscosityMPas = withDroplets(waterPhase, fatVolume, facts);
  return {
    temperatureC,
    thickness: rawThickness(viscosityMPas),
    sd: spreadOf({ serum, starches, starchPerKg, yolkPerKg, pureePerKg, all, fatVolume, perKg }),
    viscosityMPas,
    fatFreeG,
    fatVolume,
    gelatinPct,
    serum,
    perKg: { starch: starchPerKg, yolk: yolkPerKg, puree: pureePerKg, all },
    starches,
    network,
    newtonian: network < NEWTONIAN_BELOW.network && fatVolume < NEWTONIAN_BELOW.fatVolume,
  };
}

/** Uncalibrated deviations by what gives the body, points. Our estimates. */
const SD = { reduction: 6, starch: 5, perDoublingOfDose: 27.8, liaison: 3, cream: 7, puree: 7 } as const;
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
  return parts.length ? Math.hypot(...parts) : SD.reduction;
}
