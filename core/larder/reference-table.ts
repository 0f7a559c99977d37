import type { Allergen, DietFlag } from "./allergens";
import { type Composition, NO_COMPOSITION } from "./composition";
import type { Ingredient, SolidKind, Source } from "./ingredient";

/**
 * The reference larder: one entry per ingredient, figures in g per 100 g of the edible part.
 *
 * Compositions marked M were written down from memory of the USDA National Nutrient Database (SR Legacy) and are to
 * be re-verified there; moisture, fat and protein of the raw vegetables are checked against the open IFCT 2017 data
 * in `reference-table.reference.test.ts`.
 */
const USDA: Source = { mark: "M", text: "USDA SR Legacy, from memory, to be verified" };
const LABEL: Source = { mark: "M", text: "typical label, from memory" };
const OURS: Source = { mark: "E", text: "our estimate" };
const MODEL: Source = { mark: "E", text: "density model at 20 °C" };
const HANDBOOK: Source = { mark: "M", text: "food density tables, from memory" };
const OIL: Source = { mark: "M", text: "seed-oil density at 20 °C, from memory" };
const BULK: Source = { mark: "T", text: "common practice, no source" };
const TRIM: Source = { mark: "T", text: "trim yield, common practice, no source" };
const WHOLE: Source = { mark: "P", text: "used whole" };

interface Row {
  readonly also?: readonly string[];
  readonly of: Partial<Composition>;
  readonly from?: Source;
  readonly phase?: Ingredient["phase"];
  readonly solid?: SolidKind;
  readonly density?: readonly [number, Source];
  readonly edible?: readonly [number, Source];
  /** `null`: not entered. */
  readonly allergens?: readonly Allergen[] | null;
  readonly diet?: readonly DietFlag[];
}

const entry = (id: string, name: string, row: Row): Ingredient => ({
  id,
  name,
  aliases: [...(row.also ?? [])],
  composition: { ...NO_COMPOSITION, ...row.of },
  compositionSource: row.from ?? USDA,
  phase: row.phase ?? (row.solid ? "solids" : "liquor"),
  ...(row.solid && { solidKind: row.solid }),
  ...(row.density && { densityGPerMl: row.density[0], densitySource: row.density[1] }),
  ediblePct: row.edible?.[0] ?? 100,
  edibleSource: row.edible?.[1] ?? WHOLE,
  allergens: row.allergens === null ? null : [...(row.allergens ?? [])],
  diet: [...(row.diet ?? [])],
});

// prettier-ignore
export const REFERENCE_LARDER: readonly Ingredient[] = [
  entry("water", "water", { of: { water: 100 }, from: WHOLE, density: [0.9982, { mark: "P", text: "Kell 1975, 20 °C" }] }),

  // Bones
  entry("guinea-fowl-carcass", "guinea-fowl carcasses", { also: ["guinea fowl bones", "poultry carcass", "carcases"], of: { water: 64, fat: 13, protein: 18, collagen: 4.5, other: 5 }, from: OURS, solid: "poultry-whole", diet: ["meat", "gelatin"] }),
  entry("chicken-wings", "chicken wings", { also: ["wing tips"], of: { water: 66, fat: 15, protein: 18, collagen: 3.8, other: 1 }, solid: "poultry-bones", diet: ["meat", "gelatin"] }),
  entry("veal-bones", "veal bones", { also: ["veal knuckle"], of: { water: 52, fat: 14, protein: 19, collagen: 7, other: 15 }, from: OURS, solid: "veal-bones", diet: ["meat", "gelatin"] }),
  entry("calfs-foot", "calf’s foot", { also: ["calf foot", "trotter"], of: { water: 62, fat: 12, protein: 24, collagen: 14, other: 2 }, from: OURS, solid: "veal-bones", diet: ["meat", "gelatin"] }),

  // Vegetables and aromatics
  entry("onion", "onion", { also: ["onions", "brown onion"], of: { water: 89.1, fat: 0.1, protein: 1.1, sugars: 4.2, fibre: 1.7, other: 3.8 }, solid: "mirepoix", edible: [88, TRIM] }),
  entry("carrot", "carrot", { also: ["carrots"], of: { water: 88.3, fat: 0.2, protein: 0.9, sugars: 4.7, starch: 1.4, fibre: 2.8, salt: 0.2, other: 1.5 }, solid: "mirepoix", edible: [82, TRIM] }),
  entry("celery", "celery", { also: ["celery stalks", "branch celery"], of: { water: 95.4, fat: 0.2, protein: 0.7, sugars: 1.3, fibre: 1.6, salt: 0.2, other: 0.6 }, solid: "mirepoix", edible: [75, TRIM], allergens: ["celery"] }),
  entry("leek", "leek", { also: ["leeks"], of: { water: 83, fat: 0.3, protein: 1.5, sugars: 3.9, fibre: 1.8, other: 9.5 }, solid: "mirepoix", edible: [64, TRIM] }),
  entry("shallot", "shallot", { also: ["shallots", "eschalot"], of: { water: 79.8, fat: 0.1, protein: 2.5, sugars: 7.9, fibre: 3.2, other: 6.5 }, solid: "mirepoix", edible: [82, TRIM] }),
  entry("garlic", "garlic", { of: { water: 58.6, fat: 0.5, protein: 6.4, sugars: 1, fibre: 2.1, other: 31.4 }, solid: "mirepoix", edible: [87, TRIM] }),
  entry("mushroom", "button mushrooms", { also: ["mushrooms", "champignons"], of: { water: 92.4, fat: 0.3, protein: 3.1, sugars: 2, fibre: 1, other: 1.2 }, solid: "mushrooms", edible: [95, TRIM] }),
  entry("tomato", "tomato", { also: ["tomatoes"], of: { water: 94.5, fat: 0.2, protein: 0.9, sugars: 2.6, fibre: 1.2, acid: 0.4, other: 0.2 }, solid: "mirepoix", edible: [91, TRIM] }),
  entry("tomato-paste", "tomato paste", { also: ["tomato puree", "concentrate"], of: { water: 73.5, fat: 0.5, protein: 4.3, sugars: 12.2, starch: 0.2, fibre: 4.1, salt: 0.2, acid: 1.2, other: 3.8 }, density: [1.1, HANDBOOK] }),
  entry("parsley-stems", "parsley stems", { also: ["parsley stalks"], of: { water: 87.7, fat: 0.8, protein: 3, sugars: 0.9, fibre: 3.3, salt: 0.1, other: 4.2 }, solid: "herbs" }),
  entry("thyme", "thyme", { also: ["fresh thyme"], of: { water: 65.1, fat: 1.7, protein: 5.6, fibre: 14, other: 13.6 }, solid: "herbs" }),
  entry("bay-leaf", "bay leaf", { also: ["bay leaves", "laurel"], of: { water: 5.4, fat: 8.4, protein: 7.6, fibre: 26.3, other: 52.3 }, solid: "herbs" }),
  entry("peppercorns", "black peppercorns", { also: ["pepper", "peppercorn"], of: { water: 12.5, fat: 3.3, protein: 10.4, sugars: 0.6, starch: 38, fibre: 25.3, other: 9.9 }, solid: "herbs" }),
  entry("juniper", "juniper berries", { also: ["juniper"], of: { water: 20, fat: 12, protein: 5, sugars: 30, fibre: 25, other: 8 }, from: OURS, solid: "herbs" }),

  // Wine, spirits, acids
  entry("white-wine", "dry white wine", { also: ["white wine"], of: { water: 87.767, sugars: 0.2, ethanol: 9.933, acid: 0.5, volatileAcid: 0.04, other: 1.6 }, from: LABEL, density: [0.993, MODEL], allergens: ["sulphites"], diet: ["alcohol"] }),
  entry("red-wine", "red wine", { of: { water: 86.7, sugars: 0.2, ethanol: 10.35, acid: 0.45, volatileAcid: 0.05, other: 2.3 }, from: LABEL, density: [0.995, MODEL], allergens: ["sulphites"], diet: ["alcohol"] }),
  entry("cider", "dry cider", { also: ["cidre", "hard cider"], of: { water: 92.8, sugars: 1.5, ethanol: 4.35, acid: 0.45, volatileAcid: 0.03, other: 0.9 }, from: LABEL, density: [1.001, MODEL], allergens: ["sulphites"], diet: ["alcohol"] }),
  entry("apple-brandy", "apple brandy", { also: ["brandy"], of: { water: 66.6, ethanol: 33.3, other: 0.1 }, from: LABEL, density: [0.948, MODEL], diet: ["alcohol"] }),
  entry("wine-vinegar", "white wine vinegar", { also: ["vinegar"], of: { water: 93.3, sugars: 0.2, acid: 6, volatileAcid: 6, other: 0.5 }, from: LABEL, density: [1.01, HANDBOOK], allergens: ["sulphites"] }),
  entry("cider-vinegar", "cider vinegar", { of: { water: 93.8, sugars: 0.4, acid: 5, volatileAcid: 5, other: 0.8 }, from: LABEL, density: [1.01, HANDBOOK], allergens: ["sulphites"] }),
  entry("lemon-juice", "lemon juice", { also: ["lemon"], of: { water: 92, fat: 0.2, protein: 0.4, sugars: 2.5, fibre: 0.3, acid: 4.4, other: 0.2 }, density: [1.03, HANDBOOK], edible: [43, TRIM] }),

  // Dairy and egg
  entry("milk", "whole milk", { also: ["milk"], of: { water: 87.7, fat: 3.5, protein: 3.3, sugars: 4.8, other: 0.7 }, density: [1.03, HANDBOOK], allergens: ["milk"], diet: ["dairy"] }),
  entry("buttermilk", "buttermilk", { of: { water: 90.1, fat: 0.9, protein: 3.3, sugars: 4.2, salt: 0.2, acid: 0.6, other: 0.7 }, density: [1.03, HANDBOOK], allergens: ["milk"], diet: ["dairy"] }),
  entry("cream", "cream 37 %", { also: ["double cream", "heavy cream"], of: { water: 57.3, fat: 37, protein: 2.1, sugars: 3, other: 0.6 }, from: LABEL, density: [0.99, HANDBOOK], allergens: ["milk"], diet: ["dairy"] }),
  entry("butter", "unsalted butter", { also: ["butter"], of: { water: 16, fat: 82, protein: 0.8, sugars: 0.7, other: 0.5 }, from: LABEL, phase: "fat", density: [0.95, HANDBOOK], allergens: ["milk"], diet: ["dairy"] }),
  entry("salted-butter", "salted butter", { of: { water: 15.6, fat: 81, protein: 0.7, sugars: 0.6, salt: 1.7, other: 0.4 }, from: LABEL, phase: "fat", density: [0.95, HANDBOOK], allergens: ["milk"], diet: ["dairy"] }),
  entry("clarified-butter", "clarified butter", { also: ["ghee"], of: { water: 0.3, fat: 99.5, other: 0.2 }, from: LABEL, phase: "fat", density: [0.91, HANDBOOK], allergens: ["milk"], diet: ["dairy"] }),
  entry("egg-yolk", "egg yolk", { also: ["yolk", "yolks"], of: { water: 52.3, fat: 26.5, protein: 15.9, sugars: 0.6, salt: 0.1, other: 4.6 }, density: [1.03, HANDBOOK], allergens: ["eggs"], diet: ["egg"] }),

  // Binding, fats, seasoning
  entry("wheat-flour", "wheat flour", { also: ["flour", "plain flour"], of: { water: 11.9, fat: 1, protein: 10.3, sugars: 0.3, starch: 73, fibre: 2.7, other: 0.8 }, density: [0.53, BULK], allergens: ["gluten"] }),
  entry("corn-starch", "corn starch", { also: ["cornflour", "starch"], of: { water: 8.3, fat: 0.1, protein: 0.3, starch: 90.3, fibre: 0.9, other: 0.1 }, density: [0.54, BULK] }),
  entry("sunflower-oil", "sunflower oil", { also: ["oil", "neutral oil"], of: { fat: 100 }, phase: "fat", density: [0.9195, OIL] }),
  entry("olive-oil", "olive oil", { of: { fat: 100 }, phase: "fat", density: [0.913, OIL] }),
  entry("walnut-oil", "walnut oil", { of: { fat: 100 }, phase: "fat", density: [0.92, OIL], allergens: ["nuts"] }),
  entry("poultry-fat", "rendered poultry fat", { also: ["schmaltz"], of: { water: 0.2, fat: 99.8 }, phase: "fat", density: [0.9, OIL], diet: ["meat"] }),
  entry("salt", "fine salt", { also: ["salt", "sea salt"], of: { salt: 100 }, from: LABEL, density: [1.226, BULK] }),
  entry("sugar", "sugar", { of: { sugars: 100 }, from: LABEL, density: [0.85, BULK] }),
  entry("honey", "honey", { of: { water: 17.1, protein: 0.3, sugars: 82.1, other: 0.5 }, density: [1.42, HANDBOOK], diet: ["honey"] }),
  entry("mustard", "smooth mustard", { also: ["dijon"], of: { water: 70, fat: 10, protein: 6, sugars: 1.5, fibre: 3, salt: 5.5, acid: 2.3, volatileAcid: 2.3, other: 1.7 }, from: LABEL, density: [1.05, HANDBOOK], allergens: ["mustard", "sulphites"] }),
  entry("soy-sauce", "soy sauce", { also: ["shoyu"], of: { water: 68, protein: 8, sugars: 1.5, ethanol: 1, salt: 14.5, acid: 0.8, other: 6.2 }, from: LABEL, density: [1.16, HANDBOOK], allergens: ["soy", "gluten"] }),
  entry("bought-brown-stock", "bought brown stock, unsalted", { also: ["brown stock"], of: { water: 96.2, fat: 0.2, protein: 3, collagen: 2.2, sugars: 0.2, other: 0.4 }, from: OURS, density: [1.004, MODEL], allergens: null, diet: ["meat", "gelatin"] }),
];

export const REFERENCE_BY_ID: ReadonlyMap<string, Ingredient> = new Map(REFERENCE_LARDER.map(i => [i.id, i]));
