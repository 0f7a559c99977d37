import type { FactValues } from "../../ground/facts";
import { type Celsius, type Millimetres, type Seconds, s } from "../../ground/quantity";
import { type Result, type Warning, checkNumber, ok, refuse } from "../../ground/result";

export const MEAT_SHAPES = ["slab", "cylinder", "sphere"] as const;
export type MeatShape = (typeof MEAT_SHAPES)[number];

/** Mean excess over the core as a share of the surface's, exact for a parabolic profile; and the time factor. */
const SHAPES: Record<MeatShape, { readonly excess: number; readonly time: number }> = {
  slab: { excess: 1 / 3, time: 0.18 },
  cylinder: { excess: 1 / 2, time: 0.13 },
  sphere: { excess: 3 / 5, time: 0.1 },
};
/** s per m²: one over the diffusivity of meat. */
export const PER_DIFFUSIVITY = 7.4e6;
const MOST_RISE_K = 15;

/** Temperature just under the surface, °C, by oven or pan; ± 10 K. Our estimate. */
export const SURFACE_GUESS_K = 10;
export const surfaceFromOven = (ovenC: number): number => (ovenC <= 110 ? 65 : ovenC >= 200 ? 85 : 75);
export const SEARED_SURFACE_C = 85;

/**
 * How far the core of a resting piece still climbs, and when it peaks.
 *
 * @param core    °C at its middle when it leaves the heat, 0–110
 * @param surface °C 3–5 mm under its surface, 0–110
 * @param half    half its thickness or its radius, 5–150 mm
 * @returns rise in K, 0–15, and the time of the peak
 * @errors OUT_OF_RANGE · NOT_FINITE. Warns SURFACE_COOLER when the surface is colder than the core.
 * Valid for: whole pieces at least 15 mm thick, resting open. Source: docs/models.md "Heat-up and carry-over".
 * @example cylinder, surface 72, core 52: 6.0 K, between 3 and 8
 */
export function carryOver(
  core: Celsius,
  surface: Celsius,
  shape: MeatShape,
  half: Millimetres,
  f: Pick<FactValues, "carryOver" | "carryTime">,
): Result<{ riseK: number; peak: Seconds }> {
  const problems = [
    ...checkNumber(core, "coreC", "The core", { min: 0, max: 110, unit: "°C" }),
    ...checkNumber(surface, "surfaceC", "The surface", { min: 0, max: 110, unit: "°C" }),
    ...checkNumber(half, "halfThicknessMm", "Half the thickness", { min: 5, max: 150, unit: "mm" }),
  ];
  if (problems.length) return refuse(...problems);
  const warnings: Warning[] = [];
  if (surface < core)
    warnings.push({
      code: "SURFACE_COOLER",
      message: "The surface is cooler than the core: nothing flows inwards, it only cools.",
    });
  if (half < 7.5)
    warnings.push({
      code: "THIN_SLICE",
      message: "So thin a piece climbs 0–2 °C at most, and loses it at once when cut.",
    });
  const { excess, time } = SHAPES[shape];
  const riseK = Math.min(MOST_RISE_K, f.carryOver * excess * Math.max(0, surface - core));
  return ok({ riseK, peak: s(f.carryTime * time * (half / 1000) ** 2 * PER_DIFFUSIVITY) }, warnings);
}
