import type { FactValues } from "../../ground/facts";
import { clamp } from "../../ground/quantity";
import { type RouxColour, THICKENERS, type ThickenerId, powerOf, rouxPower } from "./thickeners";

/** A dose of starch in a sauce, with what it has been through. */
export interface StarchDose {
  readonly id: ThickenerId;
  /** As weighed, g. */
  readonly massG: number;
  readonly colour?: RouxColour;
  /** Highest temperature it has seen, °C. */
  readonly maxC?: number;
  /** Minutes at 85 °C or more since it thickened. */
  readonly minutes?: number;
  /** Seconds in a fast blender after it thickened. */
  readonly blendedS?: number;
  readonly pH?: number;
  /** Kneaded with butter: tastes cooked after three minutes already. */
  readonly kneaded?: boolean;
  /** Sugar over sugar and water of the sauce, 0–0.65. */
  readonly sugarShare?: number;
}

/** What counts when nobody says. Source: docs/models.md "Starch". */
const USUAL_MAX_C = 95;
const USUAL_PH = 6;

export interface StarchPower {
  /** Shares of its viscosity that heat, long cooking, the blender, acid and sugar leave, 0–1. */
  readonly activation: number;
  readonly cooking: number;
  readonly shear: number;
  readonly acid: number;
  readonly sugar: number;
  /** All of them together. */
  readonly viscosity: number;
  /** Grams of white flour each gram stands for. */
  readonly power: number;
}

/** Nothing is weaker than this, so that a root can always be taken. */
const LEAST = 1e-9;

/**
 * What a gram of a thickener is worth in grams of white flour, after all it has been through.
 *
 * The multipliers act on the *viscosity* of a sauce thickened by it alone; therefore the power takes their p-th root.
 * @returns shares 0–1 and grams of white flour per gram
 * Valid for: 0–110 °C, 0–600 min, 0–600 s, pH 2–9, sugar share 0–0.65
 * Source: docs/models.md "Starch" (B2, B3), our estimates.
 * @example flour 240 min → cooking 0.7332; cornstarch that reached 80 °C → activation 0.5185, power 1.6289
 */
export function starchPower(dose: StarchDose, facts: FactValues): StarchPower {
  const t = THICKENERS[dose.id];
  const sugarShare = dose.sugarShare ?? 0;
  const minutes = dose.minutes ?? t.usualMin;
  const activation = clamp(
    ((dose.maxC ?? USUAL_MAX_C) - t.fromC - 30 * sugarShare) / (t.fullC - t.fromC),
    0,
    1,
  );
  const cooking =
    t.cookedShare + (1 - t.cookedShare) * Math.exp(-t.cookPerMin * Math.max(0, minutes - t.cookFreeMin));
  const shear = 1 - t.shear * (1 - Math.exp(-(dose.blendedS ?? 0) / 20));
  const acid = Math.exp(-0.02 * t.acid * Math.max(0, 4.5 - (dose.pH ?? USUAL_PH)) * minutes);
  const sugar = sugarShare <= 0.2 ? 1 : Math.max(0.35, 1 - 1.5 * (sugarShare - 0.2));
  const viscosity = Math.max(LEAST, activation * cooking * shear * acid * sugar);
  const own = powerOf(dose.id, facts) * rouxPower(dose.id, dose.colour ?? "white", facts);
  return {
    activation,
    cooking,
    shear,
    acid,
    sugar,
    viscosity,
    power: own * viscosity ** (1 / facts.starchPower),
  };
}

/**
 * How many times swollen starch multiplies the viscosity of what it swims in: N = 1 + (c/c*)^p.
 * @param perKg flour equivalents, g per kg of fat-free sauce
 * Source: docs/models.md "Starch" (B4). @example networkFactor(56.03) // 325.3
 */
export const networkFactor = (perKg: number, facts: FactValues): number =>
  1 + (Math.max(0, perKg) / facts.starchThreshold) ** facts.starchPower;
