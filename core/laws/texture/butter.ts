import { clamp, printNumber } from "../../ground/quantity";
import { type Result, type Warning, checkNumber, ok, refuse } from "../../ground/result";
import { WHOLE_BUTTER } from "../thickening";
import { BUTTER_MELTS_J_PER_G, FAT_FREE_DENSITY, HEAT_OF, butterfatDensity } from "./properties";

/** Coldest a mounted sauce may get while it is made, °C; where it turns grainy; where it is held. */
export const MOUNT_LEAST_C = 58;
const GRAINY_C = 32;
/** Where mounting begins off the boil, °C. Common practice, no source. */
export const MOUNT_FROM = { loC: 65, hiC: 85 } as const;

/**
 * Where a sauce with so much fat in droplets breaks, °C.
 * Source: butter sauces leak above about 58 °C at 60 % droplets, from memory; the line to thin sauces is our estimate (C5).
 */
export const breaksAtC = (fatVolume: number): number => 90 - 64 * clamp(fatVolume - 0.1, 0, 0.5);

export interface MountInput {
  readonly sauceG: number;
  readonly sauceC: number;
  readonly sauceFatPct: number;
  readonly butterG: number;
  readonly butterC: number;
}

export interface Mounted {
  readonly finalC: number;
  readonly fatPct: number;
  readonly fatVolume: number;
  /** Between these it holds, °C. */
  readonly windowC: { readonly lo: number; readonly hi: number };
  /** Most butter at once that keeps the sauce at 58 °C, g. */
  readonly mostAtOnceG: number;
}

const after = (sauceG: number, sauceC: number, butterG: number, butterC: number): number =>
  (sauceG * HEAT_OF.sauce * sauceC + butterG * (HEAT_OF.butter * butterC - BUTTER_MELTS_J_PER_G)) /
  (sauceG * HEAT_OF.sauce + HEAT_OF.butter * butterG);

/**
 * Swirls cold butter into a sauce: how far it cools, how much it bears, where it breaks.
 *
 * @param input g, °C, per cent of fat already in the sauce
 * @errors NOT_FINITE · NEGATIVE · OUT_OF_RANGE
 * Warns BUTTER_TOO_HOT, BUTTER_SETS, BUTTER_COOLS, BUTTER_SAUCE.
 * Source: heat balance, docs/models.md "Butter". @example 0.5 kg at 85 °C, 50 g at 5 °C → 78.73 °C; at most 218 g at once from 80 °C
 */
export function mountButter(input: MountInput): Result<Mounted> {
  const problems = [
    ...checkNumber(input.sauceG, "sauceG", "The sauce", { min: 1, unit: "g" }),
    ...checkNumber(input.butterG, "butterG", "The butter"),
    ...checkNumber(input.sauceFatPct, "sauceFatPct", "Fat of the sauce", { min: 0, max: 90, unit: "%" }),
    ...checkNumber(input.sauceC, "sauceC", "The sauce", { min: 0, max: 105, unit: "°C" }),
    ...checkNumber(input.butterC, "butterC", "The butter", { min: -20, max: 40, unit: "°C" }),
  ];
  if (problems.length) return refuse(...problems);
  const { sauceG, sauceC, butterG, butterC } = input;
  const finalC = after(sauceG, sauceC, butterG, butterC);
  const fat = (sauceG * input.sauceFatPct) / 100 + WHOLE_BUTTER.fat * butterG;
  const fatMl = fat / butterfatDensity(finalC);
  const fatVolume = fatMl / (fatMl + (sauceG + butterG - fat) / FAT_FREE_DENSITY);
  const hi = breaksAtC(fatVolume);
  const mostAtOnceG = Math.max(
    0,
    (sauceG * HEAT_OF.sauce * (sauceC - MOUNT_LEAST_C)) /
      (HEAT_OF.butter * (MOUNT_LEAST_C - butterC) + BUTTER_MELTS_J_PER_G),
  );
  const warnings: Warning[] = [];
  if (sauceC > hi)
    warnings.push({
      code: "BUTTER_TOO_HOT",
      message: `At ${printNumber(sauceC)} °C the butter melts to oil: let the sauce fall below ${printNumber(hi)} °C first.`,
    });
  if (sauceC < GRAINY_C)
    warnings.push({
      code: "BUTTER_SETS",
      message: `At ${printNumber(sauceC)} °C the butter stays in lumps: warm the sauce to ${MOUNT_FROM.loC}–${MOUNT_FROM.hiC} °C first.`,
    });
  else if (finalC < MOUNT_LEAST_C && butterG > mostAtOnceG)
    warnings.push({
      code: "BUTTER_COOLS",
      message: `All at once it falls to ${printNumber(finalC)} °C: ${printNumber(mostAtOnceG)} g at a time over a low flame.`,
    });
  return ok(
    {
      finalC,
      fatPct: (100 * fat) / (sauceG + butterG),
      fatVolume,
      windowC: { lo: Math.min(MOUNT_LEAST_C, hi), hi },
      mostAtOnceG,
    },
    warnings,
  );
}
