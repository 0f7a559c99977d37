import type { FactValues } from "../../ground/facts";
import { type Result, checkNumber, ok, refuse } from "../../ground/result";
import { HEAT_OF } from "../texture";

/** Latent heat of ice and its own figure in the blanching rule, J/g. From memory. */
const ICE_J_PER_G = 334;

/** How far boiling water falls when greens go in, K; ten at most is wanted. @example 1 kg at 20 °C in 10 kg → 6.81 */
export function blanchDrop(greensG: number, greensC: number, waterG: number): Result<number> {
  const problems = [
    ...checkNumber(greensG, "massG", "The greens", { min: 0.1, unit: "g" }),
    ...checkNumber(waterG, "waterG", "The water", { min: 0.1, unit: "g" }),
    ...checkNumber(greensC, "fromC", "The greens", { min: -20, max: 99, unit: "°C" }),
  ];
  if (problems.length) return refuse(...problems);
  const own = greensG * HEAT_OF.greens;
  return ok((own * (100 - greensC)) / (HEAT_OF.water * waterG + own));
}

/** Ice that takes greens and some tap water down, g. @example 1 kg 98 → 4 °C with 2 kg at 15 °C → 1.308 kg */
export function blanchIce(
  greensG: number,
  hotC: number,
  toC: number,
  tapG: number,
  tapC: number,
): Result<number> {
  const problems = [
    ...checkNumber(greensG, "massG", "The greens", { min: 0.1, unit: "g" }),
    ...checkNumber(tapG, "tapWaterG", "The tap water"),
    ...checkNumber(hotC, "fromC", "The greens", { min: 0, max: 100, unit: "°C" }),
    ...checkNumber(toC, "toC", "Cooled to", { min: 0, max: hotC, unit: "°C" }),
  ];
  if (problems.length) return refuse(...problems);
  return ok(
    (greensG * HEAT_OF.greens * (hotC - toC) + HEAT_OF.water * tapG * (tapC - toC)) /
      (ICE_J_PER_G + HEAT_OF.water * toC),
  );
}

/** Below this greens have gone olive. */
export const GREEN_ENOUGH = 0.6;

/**
 * Share of its green a purée keeps while it stands hot.
 * Source: first-order loss, faster hot and sour, our estimate (E.4). @example 80 °C, pH 6.0, 20 min → 0.471
 */
export const greenIndex = (temperatureC: number, pH: number, minutes: number, f: FactValues): number =>
  Math.exp(
    -f.greenLoss *
      10 ** ((temperatureC - 100) / f.greenTenfoldK) *
      10 ** (f.greenPerPH * (6.5 - pH)) *
      minutes,
  );

/** Seconds in boiling salted water. Common practice, no source. */
const BLANCH_SECONDS: Readonly<Record<string, readonly [lo: number, hi: number]>> = {
  "soft herbs": [10, 20],
  spinach: [30, 60],
  nettles: [30, 60],
  peas: [120, 240],
  beans: [180, 360],
  broccoli: [90, 150],
  asparagus: [120, 240],
  leek: [60, 120],
  courgette: [45, 90],
};
/** What would turn brown or grey: it lies in water with lemon. Common practice, no source. */
const TURNS =
  /cauliflower|celeriac|parsnip|salsify|potato|onion|shallot|mushroom|fennel|artichoke|celery|pear|apple|turnip/;
/** Sweet potato is orange, and stays so. */
const STAYS = /sweet/;

/** How a vegetable keeps its colour: green is fixed in boiling water, pale is kept from turning, the rest stays as it is. */
export type ColourKept =
  | { readonly kind: "green"; readonly seconds: readonly [lo: number, hi: number] }
  | { readonly kind: "pale" }
  | { readonly kind: "stays" };
export function colourOf(name: string): ColourKept {
  const green = Object.entries(BLANCH_SECONDS).find(([key]) => name.includes(key.replace(/s$/, "")));
  if (green) return { kind: "green", seconds: green[1] };
  return { kind: TURNS.test(name) && !STAYS.test(name) ? "pale" : "stays" };
}

/** Water for a weight of greens, times; salt in it, g per litre. Common practice, no source. */
export const BLANCH_WATER = { times: 10, saltGPerL: 15 } as const;

/** Lemon juice that keeps pale vegetables pale, g per kg: 12 g for 2.5 kg of mushrooms. Common practice, no source. */
export const PALE_LEMON_G_PER_KG = 4.8;
