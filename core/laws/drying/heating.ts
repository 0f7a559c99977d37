import type { FactValues } from "../../ground/facts";
import type { Lid } from "../reduction";

/** What a heat does to all that lies in it. */
export interface Heating {
  /** Heat into all parts together, W. */
  readonly watts: number;
  /** How fast the inside gives its water up, against the oven at 200 °C. */
  readonly pace: number;
  /** Share of the mass that warms first, and how warm, °C. */
  readonly warmShare: number;
  readonly warmC: number;
}

const OVEN_AT_C = 200;
/** Heat from the air that counts as usual, W/m²K: the pace is that of an oven without a fan. */
const USUAL_AIR = 25;

/** How an oven is used. */
export interface OvenUse {
  readonly ovenC: number;
  readonly fan: boolean;
  readonly lid: Lid;
  /** Base of all trays together, m². */
  readonly trayM2: number;
}

/**
 * Heat of an oven into what lies on its trays.
 *
 * @param surfaceM2 surface of all parts, m²; heaped, the air reaches only some of it
 * Valid for: 100–280 °C. Source: docs/models.md "Drying".
 */
export function inOven(use: OvenUse, surfaceM2: number, f: FactValues): Heating {
  const air = use.fan ? f.ovenFanHeat : f.ovenHeat;
  const lid = use.lid === "off" ? 1 : use.lid === "ajar" ? f.ovenLidAjar : f.ovenLidOn;
  const hotter = Math.max(0, use.ovenC - f.ovenSurface);
  return {
    watts: lid * air * hotter * Math.min(surfaceM2, f.ovenOverTray * use.trayM2),
    pace: (lid * (air / USUAL_AIR) * hotter) / (OVEN_AT_C - f.ovenSurface),
    warmShare: 0.5,
    warmC: 70,
  };
}

/** Where water leaves a hot pan, °C; over it the pan is hot. */
const STEAMS_C = 100;
const PAN_USUAL_K = 80;
/** Share of a piece that lies on the pan: one side of four. */
const ONE_SIDE = 1 / 4;

/**
 * Heat of a pan into what lies in it.
 *
 * @param panC  how hot the pan is, °C
 * @param netW  heat of the burner less what the pan loses, W
 * @param baseM2 base of the pan, m²
 * Source: docs/models.md "Drying".
 */
export function inPan(panC: number, netW: number, baseM2: number, surfaceM2: number, f: FactValues): Heating {
  const touching = f.panTouches * baseM2;
  const hotter = Math.max(0, panC - STEAMS_C);
  return {
    watts: Math.max(0, Math.min(netW, f.panHeat * hotter * Math.min(touching, ONE_SIDE * surfaceM2))),
    pace: f.panSpeed * (hotter / PAN_USUAL_K) * crowding(baseM2, surfaceM2, f),
    warmShare: 0.2,
    warmC: 70,
  };
}

/** Share of what is in a pan that finds room on its base, 0–1. */
export const crowding = (baseM2: number, surfaceM2: number, f: FactValues): number =>
  surfaceM2 > 0 ? Math.min(1, (f.panTouches * baseM2) / (ONE_SIDE * surfaceM2)) : 1;

const FAT_USUAL_K = 20;

/** Heat of melted fat into what lies in it, trim that renders. @param netW heat of the burner, W */
export function inFat(fatC: number, netW: number, surfaceM2: number, f: FactValues): Heating {
  const hotter = Math.max(0, fatC - STEAMS_C);
  return {
    watts: Math.min(netW, f.fatHeat * hotter * surfaceM2),
    pace: hotter / FAT_USUAL_K,
    warmShare: 1,
    warmC: 80,
  };
}
