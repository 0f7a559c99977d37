import { clamp } from "../quantity";

/** Droplets closest packed; above `MOST` the law is not followed further. Our estimates. */
const JAMMED = 0.88;
const EXPONENT = 2.3;
export const MOST_DROPLETS = 0.85;
/** What the water phase counts for when the droplets themselves carry the sauce, mPa·s. */
const CROWDED_MPAS = 8;

/** How far droplets, not the water between them, carry the sauce, 0–0.7. */
export const crowding = (fatVolume: number): number => 0.7 * clamp((fatVolume - 0.55) / 0.25, 0, 1);

/**
 * Viscosity of a sauce with droplets of fat in it.
 *
 * @param waterPhaseMPas viscosity of what is not fat, mPa·s
 * @param fatVolume      share of fat by volume, 0–1; above 0.85 the value at 0.85
 * @param fineness       how fine the tool beats, 1 for a sauce
 * @returns mPa·s at 50 1/s
 * Source: own rule after Krieger & Dougherty (C13 = D3), our estimate; slope 2.61 for few droplets.
 */
export function withDroplets(waterPhaseMPas: number, fatVolume: number, fineness = 1): number {
  const g = crowding(fatVolume);
  return (
    (1 - Math.min(fatVolume, MOST_DROPLETS) / JAMMED) ** -EXPONENT *
    waterPhaseMPas ** (1 - g) *
    CROWDED_MPAS ** g *
    fineness ** (g / 0.7)
  );
}
