/**
 * Units a cook types, as grams or millilitres.
 *
 * Source: NIST Handbook 44, Appendix C (US customary), exact by definition unless marked otherwise.
 * The metric spoon and cup are common practice, no source.
 */
export interface KitchenUnit {
  readonly name: string;
  readonly dimension: "mass" | "volume";
  /** Grams or millilitres in one unit. */
  readonly factor: number;
  readonly aliases: readonly string[];
  readonly source: string;
}

const NIST = "NIST Handbook 44, Appendix C";
const SI = "exact (SI)";

// prettier-ignore
export const KITCHEN_UNITS: readonly KitchenUnit[] = [
  { name: "kg", dimension: "mass", factor: 1000, aliases: ["kg", "kilo", "kilos", "kilogram", "kilograms"], source: SI },
  { name: "g", dimension: "mass", factor: 1, aliases: ["g", "gr", "gram", "grams", "gramme", "grammes"], source: SI },
  { name: "mg", dimension: "mass", factor: 0.001, aliases: ["mg"], source: SI },
  { name: "lb", dimension: "mass", factor: 453.59237, aliases: ["lb", "lbs", "pound", "pounds", "#"], source: NIST },
  { name: "oz", dimension: "mass", factor: 28.349523125, aliases: ["oz", "ounce", "ounces"], source: NIST },
  { name: "l", dimension: "volume", factor: 1000, aliases: ["l", "lt", "litre", "litres", "liter", "liters"], source: SI },
  { name: "dl", dimension: "volume", factor: 100, aliases: ["dl", "decilitre", "decilitres"], source: SI },
  { name: "cl", dimension: "volume", factor: 10, aliases: ["cl", "centilitre", "centilitres"], source: SI },
  { name: "ml", dimension: "volume", factor: 1, aliases: ["ml", "millilitre", "millilitres", "cc"], source: SI },
  { name: "US gal", dimension: "volume", factor: 3785.411784, aliases: ["gal", "gallon", "gallons", "us gal"], source: NIST },
  { name: "US qt", dimension: "volume", factor: 946.352946, aliases: ["qt", "quart", "quarts", "us qt"], source: NIST },
  { name: "US pt", dimension: "volume", factor: 473.176473, aliases: ["pt", "pint", "pints", "us pt"], source: NIST },
  { name: "US cup", dimension: "volume", factor: 236.5882365, aliases: ["cup", "cups", "c", "us cup", "us cups"], source: NIST },
  { name: "US fl oz", dimension: "volume", factor: 29.5735295625, aliases: ["fl oz", "floz", "fluid ounce", "fluid ounces"], source: NIST },
  { name: "tbsp", dimension: "volume", factor: 14.78676478125, aliases: ["tbsp", "tbs", "tablespoon", "tablespoons"], source: NIST },
  { name: "tsp", dimension: "volume", factor: 4.92892159375, aliases: ["tsp", "teaspoon", "teaspoons"], source: NIST },
];

const BY_ALIAS = new Map(KITCHEN_UNITS.flatMap(u => u.aliases.map(alias => [alias, u] as const)));

export const kitchenUnit = (word: string): KitchenUnit | undefined =>
  BY_ALIAS.get(word.trim().toLowerCase().replace(/\.$/, "").replace(/\s+/g, " "));
