import { type Pools, dissolvedPct, massOfPools } from "~/core/things/pot";

type Rgb = readonly [r: number, g: number, b: number];

/** A clear liquid deepens with what is dissolved in it. */
const STOPS: readonly (readonly [pct: number, colour: Rgb])[] = [
  [0, [0xdc, 0xc7, 0x9c]],
  [2.5, [0xb8, 0x80, 0x3e]],
  [12, [0x86, 0x50, 0x22]],
  [40, [0x4a, 0x2a, 0x12]],
];
/** Droplets of fat throw the light back: cream, mayonnaise. */
const CREAM: Rgb = [0xf1, 0xe2, 0xb8];
/** Fat that is by itself is clear: melted butter, dripping. */
const MELTED_FAT: Rgb = [0xe2, 0xbf, 0x5a];
/** So much fat in droplets, % of the liquid, lightens it by two thirds. By eye. */
const LIGHTENS_PCT = 10;
/** With less water than this, %, fat is no longer in droplets. By eye. */
const DROPLETS_FROM_WATER_PCT = 5;
/** Below this brightness, 0 black to 255 white, light words are read better. By eye. */
const DARK_BELOW = 155;

/** What the eye sees of a liquid. */
export interface LiquidLook {
  /** Dissolved solids, % of the serum. */
  readonly dissolvedPct: number;
  /** Fat carried in it, % of its mass; what floats on top is drawn apart. */
  readonly fatPct: number;
  readonly waterPct: number;
}

export function lookOf(liquor: Pools): LiquidLook {
  const mass = massOfPools(liquor);
  const share = (part: number) => (mass > 0 ? (100 * part) / mass : 0);
  return { dissolvedPct: dissolvedPct(liquor), fatPct: share(liquor.fat), waterPct: share(liquor.water) };
}

const blend = (from: Rgb, to: Rgb, k: number): Rgb => [
  from[0] + (to[0] - from[0]) * k,
  from[1] + (to[1] - from[1]) * k,
  from[2] + (to[2] - from[2]) * k,
];

function clear(dissolved: number): Rgb {
  const at = STOPS.findIndex(([pct]) => pct >= dissolved);
  const high = STOPS[at < 0 ? STOPS.length - 1 : at] ?? STOPS[0];
  const low = STOPS[Math.max(0, (at < 0 ? STOPS.length : at) - 1)] ?? high;
  if (!high || !low) return CREAM;
  const span = high[0] - low[0];
  return blend(low[1], high[1], span > 0 ? Math.min(1, Math.max(0, (dissolved - low[0]) / span)) : 0);
}

function rgbOf({ dissolvedPct, fatPct, waterPct }: LiquidLook): Rgb {
  const inDroplets = Math.min(1, waterPct / DROPLETS_FROM_WATER_PCT);
  const light = 1 - Math.exp(-fatPct / LIGHTENS_PCT);
  return blend(clear(dissolvedPct), blend(MELTED_FAT, CREAM, inDroplets), light);
}

const css = ([r, g, b]: Rgb, shade: number) =>
  `rgb(${[r, g, b].map(channel => Math.min(255, Math.round(channel * shade))).join(" ")})`;

/** The liquid's own colour. */
export const liquidColour = (look: LiquidLook, shade = 1): string => css(rgbOf(look), shade);

/** Whether light words are read better on it than dark ones. */
export function isDark(look: LiquidLook): boolean {
  const [r, g, b] = rgbOf(look);
  // Brightness as the eye weighs the three colours: ITU-R BT.601, luma.
  return 0.299 * r + 0.587 * g + 0.114 * b < DARK_BELOW;
}
