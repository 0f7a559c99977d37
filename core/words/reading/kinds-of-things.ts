import type { Ingredient } from "../../things/larder";

/** What a thing is to a sauce: liquid, fat, flour, starch, yolk. */

export const isLiquid = ({ phase, composition }: Ingredient): boolean =>
  phase === "liquor" &&
  composition.water > 35 &&
  composition.starch < 5 &&
  composition.sugars < 12 + composition.ethanol;

export const isStarch = (i: Ingredient): boolean =>
  /starch|arrowroot|corn flour/.test(i.name) || i.id === "arrowroot";

export const isFlour = (i: Ingredient): boolean => /flour/.test(i.name);

export const isYolk = (i: Ingredient): boolean => /yolk/.test(i.name);

export const isOil = (i: Ingredient): boolean => /\boil\b/.test(i.name);

export const isButter = (i: Ingredient): boolean => /butter/.test(i.name);

export const isFat = (i: Ingredient): boolean => i.phase === "fat" || isOil(i);

/** Stocks, pastes, peels and the like of which the larder holds our estimate and no label, table or reading. */
export const isEstimate = ({ id, compositionSource, phase, solidKind }: Ingredient): boolean =>
  compositionSource.mark === "E" &&
  !id.startsWith("formula-") &&
  (phase !== "solids" || solidKind === "shells" || /zest|peel/.test(id));

export const isSeasoning = (i: Ingredient): boolean =>
  /^(?:salt|coarse-salt|peppercorns|white-pepper|cayenne)$/.test(i.id);

export const isSugar = (i: Ingredient): boolean => i.id === "sugar" || i.id === "brown-sugar";
