import type { Ingredient } from "../ingredient";
import { BONES } from "./bones";
import { DAIRY_AND_EGGS } from "./dairy-eggs";
import { DRINKS_AND_FRUIT } from "./drinks-fruit";
import { HERBS_AND_SPICES } from "./herbs-spices";
import { MEATS } from "./meats";
import { STOCKS } from "./stocks";
import { CELLAR } from "./cellar";
import { MORE_DAIRY } from "./more-dairy";
import { GARDEN } from "./garden";
import { ORCHARD } from "./orchard";
import { PANTRY } from "./pantry";
import { entry, WHOLE } from "./row";
import { STORE } from "./store";
import { VEGETABLES } from "./vegetables";

const WATER = entry("water", "water", {
  of: { water: 100 },
  from: WHOLE,
  density: [0.9982, { mark: "P", text: "Kell 1975, 20 °C" }],
});

/** The reference larder: one entry per ingredient. */
export const REFERENCE_LARDER: readonly Ingredient[] = [
  WATER,
  ...BONES,
  ...VEGETABLES,
  ...HERBS_AND_SPICES,
  ...DRINKS_AND_FRUIT,
  ...DAIRY_AND_EGGS,
  ...STORE,
  ...MEATS,
  ...STOCKS,
  ...CELLAR,
  ...MORE_DAIRY,
  ...GARDEN,
  ...ORCHARD,
  ...PANTRY,
];

export const REFERENCE_BY_ID: ReadonlyMap<string, Ingredient> = new Map(REFERENCE_LARDER.map(i => [i.id, i]));
