import { bisect } from "../../../ground/solver/halving";
import { flowIndexOf, viscosityAt } from "../thickness";

/**
 * A 10 ml syringe that empties for ten seconds. Barrel length from the open IDDSI framework (version 2.0, 2019, from
 * memory); nozzle our estimate. Lengths in m, volumes in m³.
 */
const BARREL_M2 = 10e-6 / 0.0615;
const NOZZLE_RADIUS_M = 0.001;
const NOZZLE_LENGTH_M = 0.012;
const EXIT_LOSS = 1.5;
const DENSITY = 1010;
const GRAVITY = 9.81;
const FULL_M3 = 10e-6;
const SECONDS = 10;
const STEP_S = 0.05;

/** Flow out of the nozzle at a filling, m³/s: wall friction of a power-law liquid and exit loss against the head. */
function outflow(volume: number, k: number, n: number): number {
  const head = DENSITY * GRAVITY * (volume / BARREL_M2 + NOZZLE_LENGTH_M);
  const area = Math.PI * NOZZLE_RADIUS_M ** 2;
  const resistance = (q: number): number =>
    ((2 * k * NOZZLE_LENGTH_M) / NOZZLE_RADIUS_M) *
      (((3 * n + 1) * q) / (n * Math.PI * NOZZLE_RADIUS_M ** 3)) ** n +
    0.5 * EXIT_LOSS * DENSITY * (q / area) ** 2;
  let [lo, hi] = [0, 1e-5];
  for (let i = 0; i < 60; i++) {
    const middle = (lo + hi) / 2;
    if (resistance(middle) < head) lo = middle;
    else hi = middle;
  }
  return (lo + hi) / 2;
}

/**
 * Millilitres left after ten seconds.
 * @param n flow index; that of a typical bound sauce when not given
 * Source: docs/models.md "Kitchen tests" (A9), midpoint rule of 0.05 s. @example thickness 40 → 6.44 ml
 */
export function syringeLeftMl(thickness: number, n = flowIndexOf(thickness)): number {
  const k = (viscosityAt(thickness) / 1000) * 50 ** (1 - n);
  let volume = FULL_M3;
  for (let i = 0; i < SECONDS / STEP_S; i++) {
    const half = Math.max(0, volume - (outflow(volume, k, n) * STEP_S) / 2);
    volume = Math.max(0, volume - outflow(half, k, n) * STEP_S);
  }
  return volume * 1e6;
}

/** Thickness for millilitres left. @example thicknessFromSyringe(4) // 33.36 */
export const thicknessFromSyringe = (leftMl: number, n?: number): number =>
  bisect(h => syringeLeftMl(h, n ?? flowIndexOf(h)) - leftMl, 0, 90) ?? NaN;

/** Level of the open IDDSI framework by what is left; information only. Source: IDDSI 2.0, 2019, from memory. */
export const iddsiLevel = (leftMl: number): string =>
  leftMl < 1
    ? "level 0"
    : leftMl < 4
      ? "level 1"
      : leftMl < 8
        ? "level 2"
        : leftMl <= 9.8
          ? "level 3"
          : "level 4, to be confirmed by fork and spoon";
