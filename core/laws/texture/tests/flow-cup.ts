import { rawThickness, flowIndexOf } from "../thickness";

export const CUP_MM = [4, 5, 6] as const;
export type CupMm = (typeof CUP_MM)[number];

/** Kinematic viscosity A·t − B/t in mm²/s. Source: ISO 2431 cups, from memory. */
const CUPS: Readonly<Record<CupMm, readonly [a: number, b: number]>> = {
  4: [1.37, 200],
  5: [3.28, 220],
  6: [6.9, 570],
};
/** Usual density of a sauce, g/ml. */
const USUAL_DENSITY = 1.01;
const MOST_PASSES = 50;
const FOUND = 1e-6;

/** mm²/s of a run-out time. @example cupViscosity(60, 4) // 78.87 */
export const cupViscosity = (seconds: number, cup: CupMm): number => {
  const [a, b] = CUPS[cup];
  return a * seconds - b / seconds;
};

/** Run-out time for so many mm²/s, s: the other way round. @example cupSeconds(78.87, 4) // 60 */
export const cupSeconds = (viscosity: number, cup: CupMm): number => {
  const [a, b] = CUPS[cup];
  return (viscosity + Math.sqrt(viscosity ** 2 + 4 * a * b)) / (2 * a);
};

/** Shear rate at the outlet, 1/s. */
export const cupShear = (seconds: number, cup: CupMm): number =>
  4e-4 / (Math.PI * (cup / 2) ** 3 * 1e-9 * seconds);

/**
 * Thickness for the seconds until the stream breaks.
 *
 * @param n flow index; where it is not known it is found together with the thickness
 * Source: docs/models.md "Kitchen tests" (A8). @example 60 s, 4 mm → 38.02 with n = 1, 42.87 as a bound sauce
 */
export function thicknessFromCup(seconds: number, cup: CupMm, n?: number, density = USUAL_DENSITY): number {
  const viscosity = cupViscosity(seconds, cup) * density;
  const shear = cupShear(seconds, cup);
  const with_ = (index: number) => rawThickness(viscosity * (shear / 50) ** (1 - index));
  if (n !== undefined) return with_(n);
  let h = rawThickness(viscosity);
  for (let i = 0; i < MOST_PASSES; i++) {
    const next = 0.5 * h + 0.5 * with_(flowIndexOf(h));
    if (Math.abs(next - h) < FOUND) return next;
    h = next;
  }
  return h;
}
