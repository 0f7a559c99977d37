import type { RouxColour } from "./thickeners";

/** How a thickener is brought into a sauce. */
export const BINDING_FORMS = ["roux", "clarified-roux", "beurre-manie", "slurry", "dust"] as const;
export type BindingForm = (typeof BINDING_FORMS)[number];

/** Cold liquid per gram of starch in a slurry, g; the usual and what can be stirred. Common practice, no source. */
export const SLURRY_WATER = { usual: 1.5, min: 1, max: 3 } as const;

/** Butter: 16 % water, 82 % fat, 2 % milk solids. Source: least fat and most water of EU butter, from memory. */
export const WHOLE_BUTTER = { water: 0.16, fat: 0.82, milkSolids: 0.02 } as const;

/** What comes along with each gram of thickener, g. */
export interface Carrier {
  readonly water: number;
  readonly fat: number;
  readonly milkSolids: number;
}

/**
 * What a gram of thickener brings along in a form.
 *
 * The water of whole butter stays unless the roux is cooked dry (brown, dark).
 * @param slurryWater g of cold liquid per g of starch
 * Source: equal weights for roux and beurre manié, common practice, no source.
 */
export function carrierOf(form: BindingForm, colour: RouxColour, slurryWater: number): Carrier {
  switch (form) {
    case "roux":
      return colour === "brown" || colour === "dark" ? { ...WHOLE_BUTTER, water: 0 } : WHOLE_BUTTER;
    case "beurre-manie":
      return WHOLE_BUTTER;
    case "clarified-roux":
      return { water: 0, fat: 1, milkSolids: 0 };
    case "slurry":
      return { water: slurryWater, fat: 0, milkSolids: 0 };
    case "dust":
      return { water: 0, fat: 0, milkSolids: 0 };
  }
}

/** Fat weighed out for a gram of thickener: butter as it is, or pure fat. */
export const fatPerThickener = (form: BindingForm): number =>
  form === "roux" || form === "beurre-manie" || form === "clarified-roux" ? 1 : 0;

/**
 * Whole butter that brings as much fat as some other fat: 140 g of duck fat do the work of 171 g of butter.
 * @param fatShare fat in the other one, 0–1
 */
export const butterFor = (massG: number, fatShare = 1): number => (massG * fatShare) / WHOLE_BUTTER.fat;
