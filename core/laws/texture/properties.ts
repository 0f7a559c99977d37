import { clamp } from "../../ground/quantity";

/** Physical properties the texture models rest on. °C in, mPa·s and g/ml out. */

/** Water, mPa·s, 0–100 °C, ± 2.5 %. Source: a Vogel fit in wide use, from memory. @example waterViscosity(20) // 1.0017 */
export const waterViscosity = (c: number): number => 0.02414 * 10 ** (247.8 / (c + 133.15));

/** Liquid seed oil, g/ml, 5–90 °C, ± 0.005. Source: handbooks of fats and oils, from memory. */
export const oilDensity = (c: number): number => 0.9195 - 0.00066 * (c - 20);

/** Butterfat, g/ml, 20–90 °C, ± 0.006. Source: from memory. */
export const butterfatDensity = (c: number): number => 0.911 - 0.00066 * (c - 40);

/** Everything but the fat of a sauce, g/ml. Our estimate. */
export const FAT_FREE_DENSITY = 1.03;

/** Specific heats, J/(g·K), 0–100 °C, ± 7 %. Source: from memory (water), our estimates. */
export const HEAT_OF = {
  water: 4.19,
  sauce: 3.9,
  liaison: 3.3,
  butter: 2.3,
  greens: 3.9,
} as const;

/** Heat that butter from the fridge takes to melt, J/g, ± 15. Our estimate. */
export const BUTTER_MELTS_J_PER_G = 75;

/**
 * How many times dissolved solids raise the viscosity of water.
 *
 * A fit to sugar syrups at 20 °C, ± 5 % up to 65 % of sugar, + 13 % at 70 %.
 * @param share dissolved over serum, 0–0.75
 * @param slope the fit’s own 2.70
 * Source: fit to ICUMSA / NBS Circular 440 values, from memory. @example 60 % at 20 °C → 57.5 mPa·s
 */
export const dissolvedFactor = (share: number, c: number, slope: number): number =>
  Math.exp(clamp(1 - 0.00625 * (c - 20), 0.6, 1.1) * slope * (share / (1 - share)));
