import { thicknessOfYieldStress, yieldStressPa, viscosityAt } from "../thickness";
import { bisect } from "../../../ground/solver/halving";

/** Closed laws of the tests that need a plate, a trough, a whisk or a card. Lengths in cm. */

/** 50 ml in a 5 cm ring, after 120 s, mean radius. Source: own line through yield-stress spreading (A6), our estimate. */
export const thicknessFromLine = (radiusCm: number): number => 135 - 112 * Math.log10(radiusCm);
export const lineRadiusCm = (thickness: number): number => 10 ** ((135 - thickness) / 112);

/** Level trough, 75 ml let go, front after 30 s. Source: arrest of a yield-stress liquid on a plane (A7), our estimate. */
export const thicknessFromTrough = (frontCm: number): number =>
  31 + 22.4 * (Math.log10(24_832) - 3 * Math.log10(frontCm + 5));
export const troughFrontCm = (thickness: number): number =>
  (24_832 / 10 ** ((thickness - 31) / 22.4)) ** (1 / 3) - 5;

/** Height of the peak that stands ten seconds. Source: weight of a cone over its base (A10), our estimate. */
export const thicknessFromPeak = (heightCm: number): number =>
  thicknessOfYieldStress((9810 * (heightCm / 100)) / (3 * Math.sqrt(3)));
export const peakHeightCm = (thickness: number): number =>
  ((yieldStressPa(thickness) * 3 * Math.sqrt(3)) / 9810) * 100;

const CARD_DEPTH_M = 0.05;
const DRAIN_S = 5;
const DENSITY = 1010;

/**
 * What stays on a card dipped 5 cm and drained 5 s, g per 100 cm² of one side.
 * Source: draining film (Jeffreys 1930, from memory) and the layer a yield stress holds (A5). @example 45 → 7.15
 */
export const coatWeight = (thickness: number): number =>
  10 *
  DENSITY *
  ((2 / 3) * Math.sqrt(((viscosityAt(thickness) / 1000) * CARD_DEPTH_M) / (DENSITY * 9.81 * DRAIN_S)) +
    yieldStressPa(thickness) / (DENSITY * 9.81));
export const thicknessFromCoatWeight = (grams: number): number =>
  bisect(h => coatWeight(h) - grams, 0, 80) ?? NaN;

/** The middle of each band for a drawn line on a spoon; class 5 is "that or thicker". */
const COAT_CLASSES = [5, 16, 27.5, 37, 45, 54] as const;
export const COAT_OPEN_CLASS = 5;
export const thicknessFromCoat = (band: number): number => COAT_CLASSES[band] ?? NaN;
