import { type Pools, dissolvedMass, massOfPools } from "../../things/pot";
import type { Warning } from "../../ground/result";

/** How near the bottom of a pan is to scorching. A warning, not a promise. Source: docs/models.md "The live forecast", our estimate. */
export interface Scorch {
  readonly wallC: number;
  readonly level: "none" | "watch" | "scorch";
  /** Heat through the base that brings the wall back to the watch limit, W/m². */
  readonly mostWPerM2: number;
}

const FILM = 3000;
const THICKENING = 6;
const LIMITS = { plain: [130, 150], delicate: [115, 130] } as const;
const SWEET = 0.2;
const STIRRING = 2;

/** Solids that count for the film: dissolved ones, and what swells three times as much, share of the mass. */
export const filmSolids = (p: Pools): number => {
  const mass = massOfPools(p);
  return mass > 0 ? (dissolvedMass(p) + 3 * (p.starch + p.fibre)) / mass : 0;
};

/**
 * Temperature of the bottom under a boiling or simmering liquor.
 *
 * @param liquor      g of each pool
 * @param temperature °C
 * @param flux        heat through the base, W/m²
 * @example glace, half solids, 30 kW/m²: 303 °C, scorches; at most 4.2 kW/m²
 */
export function scorchOf(
  liquor: Pick<Pools, "starch" | "sugars"> & {
    readonly solids: number;
    readonly mass: number;
    readonly dairy?: boolean;
  },
  temperature: number,
  flux: number,
  stirred = false,
): Scorch {
  const film = FILM * Math.exp(-THICKENING * liquor.solids) * (stirred ? STIRRING : 1);
  const delicate = liquor.starch > 0 || liquor.dairy === true || liquor.sugars > SWEET * liquor.mass;
  const [watch, scorch] = delicate ? LIMITS.delicate : LIMITS.plain;
  const wallC = temperature + flux / film;
  return {
    wallC,
    level: wallC > scorch ? "scorch" : wallC > watch ? "watch" : "none",
    mostWPerM2: Math.max(0, film * (watch - temperature)),
  };
}

export function scorchWarning(found: Scorch): Warning | null {
  if (found.level === "none") return null;
  return {
    code: found.level === "scorch" ? "SCORCH" : "SCORCH_WATCH",
    message:
      found.level === "scorch"
        ? "It will catch on the bottom at this flame: turn down and stir."
        : "It comes near catching on the bottom: turn down a little, stir.",
  };
}
