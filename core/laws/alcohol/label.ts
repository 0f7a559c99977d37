import type { Warning } from "../../ground/result";
import { printNumber } from "../../ground/quantity";

/** The least share a label ever states. Our rule: nothing a kitchen does takes all alcohol away. */
const LEAST_ON_LABEL = 0.001;
/** Shares below this, limit included, are not told apart. */
const DISPLAY_FLOOR = 0.005;

/** What a label, an allergy card or a menu must assume: the upper limit, never the value. g. */
export const labelEthanol = (startG: number, hiG: number): number => Math.max(hiG, LEAST_ON_LABEL * startG);

/** The retained share in words: never "none". @example keptInWords(0.0012, 0.08) // "about 0.1 %, possibly up to 8 %" */
export function keptInWords(value: number, hi: number): string {
  if (hi < DISPLAY_FLOOR) return "less than 0.5 %";
  const pct = (x: number) => `${printNumber(100 * x, x < 0.1 ? 1 : 0)} %`;
  return `about ${pct(value)}, possibly up to ${pct(hi)}`;
}

/** Vapour that can light: wine flames too. Source: common practice, no source. */
export function flameWarnings(abvPct: number): Warning[] {
  if (abvPct > 15)
    return [
      {
        code: "FLAMMABLE_STRONG",
        message: "Strong alcohol: lower the flame before pouring, never from the bottle, keep the face away.",
      },
    ];
  if (abvPct >= 5)
    return [
      {
        code: "FLAMMABLE_VAPOUR",
        message: "The first steam is rich in alcohol and can light: lower the flame, keep the face away.",
      },
    ];
  return [];
}
