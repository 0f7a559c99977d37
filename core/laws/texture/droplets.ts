import type { FactValues } from "../../ground/facts";
import { clamp } from "../../ground/quantity";

/** Droplets closest packed, and the most of them the law is followed to. Our estimates. */
const JAMMED = 0.88;
export const MOST_DROPLETS = 0.85;

/** How far droplets, not the water between them, carry the sauce, 0–0.7. */
export const crowding = (fatVolume: number): number => 0.7 * clamp((fatVolume - 0.55) / 0.25, 0, 1);

export interface Droplets {
  /** How fine the tool beats, 1 for a sauce. */
  readonly fineness?: number;
  /** The share they count for where that is more than what they fill: coated, clustered. */
  readonly counts?: number;
  /** How far something else stands already, so that droplets stiffen it no more, 0–1. */
  readonly stiff?: number;
}

/**
 * Viscosity of a sauce with droplets of fat in it.
 *
 * @param waterPhaseMPas viscosity of what is not fat, mPa·s
 * @param fatVolume      share of fat by volume, 0–1; above 0.85 the value at 0.85
 * @returns mPa·s at 50 1/s
 * Source: own rule after Krieger & Dougherty (C13 = D3), our estimate; slope 2.61 for few droplets.
 */
export function withDroplets(
  waterPhaseMPas: number,
  fatVolume: number,
  facts: FactValues,
  { fineness = 1, counts = fatVolume, stiff = 0 }: Droplets = {},
): number {
  const g = crowding(fatVolume);
  return (
    (1 - Math.min(counts, MOST_DROPLETS) / JAMMED) ** (-facts.dropletRise * (1 - stiff)) *
    waterPhaseMPas ** (1 - g) *
    facts.crowdedMPas ** g *
    fineness ** (g / 0.7)
  );
}
