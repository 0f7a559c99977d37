import { type Composition, type Ingredient, NO_COMPOSITION } from "./things/larder";
import { type Pools, poolsOf } from "./things/pot";
import { g, pascals, degC } from "./ground/quantity";
import type { Surroundings } from "./things/pot";

/** Small builders for the core's own tests; no test data hides in them. */
export const composed = (parts: Partial<Composition>): Composition => ({ ...NO_COMPOSITION, ...parts });

/** Pools of `mass` g with the given g per 100 g. */
export const liquid = (mass: number, parts: Partial<Composition>): Pools => poolsOf(composed(parts), g(mass));

export const anIngredient = (over: Partial<Ingredient> = {}): Ingredient => ({
  id: "thing",
  name: "thing",
  aliases: [],
  composition: composed({ water: 100 }),
  compositionSource: { mark: "T", text: "made up for a test" },
  phase: "liquor",
  ediblePct: 100,
  edibleSource: { mark: "T", text: "made up for a test" },
  allergens: [],
  diet: [],
  measures: [],
  ...over,
});

/** Sea level, 25 °C, half-damp air: the surroundings of the models' check rows. */
export const SEA_LEVEL: Surroundings = { pressurePa: pascals(101325), ambientC: degC(25), humidity: 0.5 };

/** The stock of the mass-balance checks. */
export const STOCK = { water: 96.2, fat: 0.2, protein: 3, collagen: 2.2, sugars: 0.2, other: 0.4 };

/** The wine of the density, alcohol and reduction checks: 12.5 % vol. */
export const WINE = {
  sugars: 0.2,
  acid: 0.5,
  volatileAcid: 0.04,
  other: 1.6,
  ethanol: 9.9331,
  water: 87.7669,
};
