import type { StarchDose } from "../thickening";
import { NO_SAUCE, type SauceState, type StandardLiquid, addSauce, standardLiquid, steamOff } from ".";

/** A sauce stirred together of usual liquids, for tests: grams of each, starch, and what boiled off. */
export function sauceOf(
  liquids: Partial<Record<StandardLiquid, number>>,
  more: { starches?: readonly StarchDose[]; steamG?: number; yolkMaxC?: number } & Partial<SauceState> = {},
): SauceState {
  const { starches = [], steamG = 0, yolkMaxC = 20, ...rest } = more;
  const whole = (Object.entries(liquids) as [StandardLiquid, number][]).reduce(
    (sauce, [name, massG]) => addSauce(sauce, standardLiquid(name, massG)),
    NO_SAUCE,
  );
  return steamOff({ ...whole, yolkMaxC, starches, ...rest }, steamG);
}
