import type { Ingredient } from "../ingredient";
import { HANDBOOK, LABEL, TRIM, entry } from "./row";

/** Milk, cream, cheese, eggs; g per 100 g of the edible part. */
// prettier-ignore
export const DAIRY_AND_EGGS: readonly Ingredient[] = [
  entry("milk", "whole milk", { also: ["milk"], of: { water: 87.7, fat: 3.5, protein: 3.3, sugars: 4.8, other: 0.7 }, density: [1.03, HANDBOOK], allergens: ["milk"], diet: ["dairy"] }),
  entry("buttermilk", "buttermilk", { of: { water: 90.1, fat: 0.9, protein: 3.3, sugars: 4.2, salt: 0.2, acid: 0.6, other: 0.7 }, density: [1.03, HANDBOOK], allergens: ["milk"], diet: ["dairy"] }),
  entry("cream", "cream 37 %", { also: ["double cream", "heavy cream"], of: { water: 57.3, fat: 37, protein: 2.1, sugars: 3, other: 0.6 }, from: LABEL, density: [0.99, HANDBOOK], allergens: ["milk"], diet: ["dairy"] }),
  entry("butter", "unsalted butter", { also: ["butter"], of: { water: 16, fat: 82, protein: 0.8, sugars: 0.7, other: 0.5 }, from: LABEL, phase: "fat", density: [0.95, HANDBOOK], allergens: ["milk"], diet: ["dairy"], measures: { knob: [15, 8, 25], stick: [113.4, 113.4, 113.4], pat: [5, 4, 6] } }),
  entry("salted-butter", "salted butter", { of: { water: 15.6, fat: 81, protein: 0.7, sugars: 0.6, salt: 1.7, other: 0.4 }, from: LABEL, phase: "fat", density: [0.95, HANDBOOK], allergens: ["milk"], diet: ["dairy"], measures: { knob: [15, 8, 25], stick: [113.4, 113.4, 113.4] } }),
  entry("clarified-butter", "clarified butter", { also: ["ghee"], of: { water: 0.3, fat: 99.5, other: 0.2 }, from: LABEL, phase: "fat", density: [0.91, HANDBOOK], allergens: ["milk"], diet: ["dairy"], measures: { knob: [15, 8, 25] } }),
  entry("egg-yolk", "egg yolk", { also: ["yolk", "yolks"], of: { water: 52.3, fat: 26.5, protein: 15.9, sugars: 0.6, salt: 0.1, other: 4.6 }, density: [1.03, HANDBOOK], allergens: ["eggs"], diet: ["egg"], measures: { piece: [18, 15, 21], yolk: [18, 15, 21] } }),
  entry("skimmed-milk", "skimmed milk", { also: ["skim milk"], of: { water: 90.8, fat: 0.1, protein: 3.4, sugars: 5, other: 0.7 }, density: [1.035, HANDBOOK], allergens: ["milk"], diet: ["dairy"] }),
  entry("cream-30", "cream 30 %", { also: ["whipping cream", "cream"], of: { water: 63.5, fat: 30, protein: 2.4, sugars: 3.3, other: 0.8 }, from: LABEL, density: [1.0, HANDBOOK], allergens: ["milk"], diet: ["dairy"] }),
  entry("cream-18", "cooking cream 18 %", { also: ["single cream", "light cream"], of: { water: 74, fat: 18, protein: 2.9, sugars: 4.1, other: 1 }, from: LABEL, density: [1.015, HANDBOOK], allergens: ["milk"], diet: ["dairy"] }),
  entry("creme-fraiche", "crème fraîche", { also: ["creme fraiche"], of: { water: 60.5, fat: 33, protein: 2.3, sugars: 2.7, acid: 0.5, other: 1 }, from: LABEL, density: [1.0, HANDBOOK], allergens: ["milk"], diet: ["dairy"] }),
  entry("sour-cream", "sour cream", { of: { water: 73, fat: 19.4, protein: 2.4, sugars: 3.4, salt: 0.1, acid: 0.6, other: 1.1 }, density: [1.01, HANDBOOK], allergens: ["milk"], diet: ["dairy"] }),
  entry("yogurt", "plain yogurt", { also: ["yoghurt"], of: { water: 87.9, fat: 3.3, protein: 3.5, sugars: 4, acid: 0.7, other: 0.6 }, density: [1.03, HANDBOOK], allergens: ["milk"], diet: ["dairy"] }),
  entry("mascarpone", "mascarpone", { of: { water: 47, fat: 44, protein: 4.5, sugars: 3.5, salt: 0.1, acid: 0.3, other: 0.6 }, from: LABEL, density: [0.98, HANDBOOK], allergens: ["milk"], diet: ["dairy"] }),
  entry("fresh-cheese", "fresh cheese", { also: ["cream cheese"], of: { water: 53, fat: 34, protein: 6, sugars: 4, salt: 0.8, acid: 0.6, other: 1.6 }, from: LABEL, density: [1.0, HANDBOOK], allergens: ["milk"], diet: ["dairy"] }),
  entry("hard-cheese", "mountain cheese", { also: ["gruyere", "alpine cheese"], of: { water: 33.2, fat: 32.3, protein: 29.8, sugars: 0.4, salt: 1.6, other: 2.7 }, solid: "mirepoix", edible: [95, TRIM], allergens: ["milk"], diet: ["dairy"], measures: { "cup grated": 108, tablespoon: 6 } }),
  entry("parmesan", "hard grating cheese", { also: ["parmesan", "grana"], of: { water: 29.2, fat: 25.8, protein: 35.8, sugars: 0.8, salt: 3, other: 5.4 }, solid: "mirepoix", edible: [92, TRIM], allergens: ["milk"], diet: ["dairy"], measures: { tablespoon: 5 } }),
  entry("blue-cheese", "blue cheese", { of: { water: 42.4, fat: 28.7, protein: 21.4, sugars: 0.5, salt: 2.9, other: 4.1 }, solid: "mirepoix", edible: [97, TRIM], allergens: ["milk"], diet: ["dairy"] }),
  entry("egg", "whole egg", { also: ["eggs"], of: { water: 76.2, fat: 9.5, protein: 12.6, sugars: 0.4, salt: 0.35, other: 0.95 }, density: [1.03, HANDBOOK], edible: [88, TRIM], allergens: ["eggs"], diet: ["egg"], measures: { piece: [50, 43, 58], egg: [50, 43, 58] } }),
  entry("egg-white", "egg white", { also: ["whites"], of: { water: 87.6, fat: 0.2, protein: 10.9, sugars: 0.7, salt: 0.4, other: 0.2 }, density: [1.035, HANDBOOK], allergens: ["eggs"], diet: ["egg"], measures: { piece: [32, 27, 38], white: [32, 27, 38] } }),
  entry("coconut-milk", "coconut milk", { of: { water: 72.9, fat: 21.3, protein: 2, sugars: 2.8, other: 1 }, density: [1.0, HANDBOOK], measures: { tin: [400, 400, 400] } }),
];
