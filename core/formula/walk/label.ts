import { type Allergen, type DietFlag, joinAllergens, plainName } from "../../things/larder";
import { EGG_LABEL, eggIn } from "./egg";
import type { FormulaDocument } from "../document/document";
import type { Walk } from "./walked";

/** Allergens and diet flags of a walked formula, sub-formulas included. */
export function labelOf(walked: Walk): {
  allergens: readonly Allergen[];
  known: boolean;
  notEntered: readonly string[];
  diet: readonly DietFlag[];
  /** What guests are told about its egg; `null` where none goes in. */
  egg: string | null;
} {
  const { recorded, known, notEntered } = joinAllergens(walked.ingredients);
  const egg = eggIn(walked);
  return {
    allergens: recorded,
    known,
    notEntered,
    diet: [...new Set(walked.ingredients.flatMap(i => i.diet))],
    egg: egg && EGG_LABEL[egg],
  };
}

/** Words for one animal in names of sauces and of what they are made from. */
// prettier-ignore
const ANIMALS: readonly (readonly string[])[] = [
  ["veal", "calf"], ["beef", "ox", "oxtail"], ["lamb", "mutton"], ["pork", "ham", "bacon"], ["chicken", "hen"], ["duck"], ["goose"], ["turkey"],
  ["guinea fowl"], ["pheasant"], ["quail"], ["pigeon", "squab"], ["rabbit"], ["hare"], ["venison", "deer"], ["boar"],
  ["trout"], ["salmon"], ["sole"], ["turbot"], ["cod"], ["eel"], ["anchovy"],
  ["lobster"], ["langoustine"], ["crab"], ["prawn", "shrimp"], ["crayfish"], ["mussel"], ["clam"], ["oyster"], ["scallop"], ["squid"],
];

const speaksOf = (text: string, words: readonly string[]): boolean =>
  words.some(word => new RegExp(`\\b${word}s?\\b`).test(plainName(text).replaceAll("-", " ")));

/**
 * The animal a formula is called after though nothing in it comes from it: a label nobody may print. `null` when name
 * and contents agree. A bought product whose name tells no animal is not held against it.
 */
export function misnamed(document: FormulaDocument, walked: Walk): string | null {
  const names = walked.ingredients.map(i => i.name);
  const missing = ANIMALS.find(
    words => speaksOf(document.name, words) && !names.some(name => speaksOf(name, words)),
  );
  if (!missing || !walked.ingredients.length) return null;
  const others = names.filter(name => ANIMALS.some(words => speaksOf(name, words)));
  if (!others.length && walked.ingredients.some(i => i.boughtStock)) return null;
  return `It is called after ${missing[0]}, but nothing in it comes from ${missing[0]}${others.length ? `: it holds ${others.join(", ")}` : ""}.`;
}
