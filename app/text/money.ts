import { printNumber } from "~/core/ground/quantity";
import type { Ingredient } from "~/core/things/larder";

/** The currency prices are entered in; "" while there is none. */
export const currencyOf = (ingredients: readonly Ingredient[]): string =>
  ingredients.find(i => i.price)?.price?.currency ?? "";

/** A pinch of sugar costs next to nothing, but not nothing. @example "2.52 EUR" */
export const costInWords = (cost: number, currency: string): string =>
  `${cost > 0 && cost < 0.01 ? "less than 0.01" : printNumber(cost, 2)} ${currency}`.trim();
