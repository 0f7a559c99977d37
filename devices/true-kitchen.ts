import type { KitchenData } from "../core/formula";
import { FACTS, type FactId } from "../core/ground/facts";
import { chance } from "./random";

/** What a cook never knows exactly of a stove: how hot it really is, how the air moves, how true the set flame is. */
const OF_A_STOVE = [
  "gasHome",
  "gasWok",
  "gasPro",
  "inductionHome",
  "inductionPro",
  "radiant",
  "flatTop",
  "wallLoss",
  "airSpeed",
  "surfaceStirred",
  "surfaceLazy",
  "settingTrue",
  "pressureTrue",
  "holdOff",
] as const satisfies readonly FactId[];

/** The limits of a fact hold nine in ten. */
const SD_PER_RANGE = 1 / 3.29;

/**
 * A kitchen whose stove is as it is: each of its facts somewhere about its nominal value, and never far outside its limits.
 * Same seed, same stove.
 */
export function trueKitchen(kitchen: KitchenData, seed: number): KitchenData {
  const { normal } = chance(seed);
  const facts: Partial<Record<FactId, number>> = { ...kitchen.facts };
  for (const id of OF_A_STOVE) {
    const { value, lo, hi } = FACTS[id];
    const at = (facts[id] ?? value) + normal() * (hi - lo) * SD_PER_RANGE;
    facts[id] = Math.min(hi, Math.max(lo, at));
  }
  return { ...kitchen, facts };
}
