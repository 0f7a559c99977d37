import { choice } from "./family";

/** Points on which cooks differ in more than one family. Reasons are common practice, no source. */

export const AROMATICS = (usual: "early" | "steep") =>
  choice(
    "aromatics",
    "Aromatics",
    {
      early: ["early, with the liquid", "full extraction, the depth of a braise"],
      steep: ["15 min off the heat", "fresh, not stewed; counted in and counted out"],
      late: ["late, and lifted out", "only the top notes, easy to take back"],
    },
    usual,
  );

export const VEGETABLES = (usual: "start" | "late" | "after-skim") =>
  choice(
    "vegetables",
    "Vegetables in the pot",
    {
      start: ["fried in the fat and in from the start", "colour and fond; a darker, rounder stock"],
      late: ["for the last 45 minutes", "fresh sweetness, clearer, nothing overcooked"],
      "after-skim": ["after the first skim", "the scum is off before anything green can hold it"],
    },
    usual,
  );

export const DEFAT = choice("defat", "Taking the fat off", {
  chill: ["chill and lift next day", "nearly all of it, in one piece; needs eight hours"],
  skim: ["skim, and paper on the surface", "same day; about four fifths of it"],
});

export const STRAINING = (usual: "drain" | "press") =>
  choice(
    "straining",
    "Straining",
    {
      drain: ["drained, not pressed", "clear; what clings stays behind"],
      press: ["pressed", "more yield, cloudier"],
    },
    usual,
  );

export const BUTTER = (usual: "none" | "30" | "60") =>
  choice(
    "butter",
    "Butter finish",
    {
      none: ["none", "no milk, lighter; thickness from the sauce itself"],
      "30": ["30 g a litre", "gloss and roundness; adds milk, does not take fat away"],
      "60": ["60 g a litre", "for smooth soups; adds milk"],
    },
    usual,
  );

export const CREAM = (usual: "none" | "reduced" | "cold") =>
  choice(
    "cream",
    "Cream",
    {
      none: ["never", "the taste of the main thing, lighter"],
      reduced: ["reduced first to the body of the sauce", "the thickness does not move when it goes in"],
      cold: ["straight from the cold", "a thinner; quick, but the sauce lets down"],
    },
    usual,
  );

export const EGGS = choice("eggs", "Eggs", {
  raw: ["raw yolks", "the classical body; cold at once, one day, say so to vulnerable guests"],
  pasteurised: ["pasteurised yolk", "the same body within a little; keeps by its own label"],
});
export const yolkOf = (eggs: string | undefined): string =>
  eggs === "pasteurised" ? "pasteurised-yolk" : "egg-yolk";

export const TOMATO = (usual: "paste" | "none") =>
  choice(
    "tomato",
    "Tomato",
    {
      paste: ["paste painted on and roasted 10 min more", "colour and depth for brown meat stocks"],
      none: ["none", "poultry, fish and white stocks keep their own colour"],
    },
    usual,
  );
