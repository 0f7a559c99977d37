import type { Ingredient } from "../ingredient";
import { OURS, TRIM, entry } from "./row";

/** Herbs and spices; g per 100 g of the edible part. */
// prettier-ignore
export const HERBS_AND_SPICES: readonly Ingredient[] = [
  entry("parsley-stems", "parsley stems", { also: ["parsley stalks"], of: { water: 87.7, fat: 0.8, protein: 3, sugars: 0.9, fibre: 3.3, salt: 0.1, other: 4.2 }, solid: "herbs", measures: { bunch: [30, 20, 45], handful: [10, 6, 16] } }),
  entry("thyme", "thyme", { also: ["thyme leaves", "fresh thyme"], of: { water: 65.1, fat: 1.7, protein: 5.6, fibre: 14, other: 13.6 }, solid: "herbs", measures: { sprig: [1, 0.5, 1.8], bunch: [20, 12, 30] } }),
  entry("bay-leaf", "bay leaf", { also: ["bay leaves", "bay", "laurel"], of: { water: 5.4, fat: 8.4, protein: 7.6, fibre: 26.3, other: 52.3 }, solid: "herbs", measures: { leaf: [0.2, 0.1, 0.4], piece: [0.2, 0.1, 0.4] } }),
  entry("peppercorns", "black peppercorns", { also: ["black pepper", "ground pepper", "ground black pepper", "pepper", "peppercorn"], of: { water: 12.5, fat: 3.3, protein: 10.4, sugars: 0.6, starch: 38, fibre: 25.3, other: 9.9 }, solid: "herbs", measures: { turn: [0.1, 0.05, 0.18], piece: [0.05, 0.03, 0.07], teaspoon: 2.9, pinch: [0.3, 0.15, 0.5] } }),
  entry("juniper", "juniper berries", { also: ["juniper"], of: { water: 20, fat: 12, protein: 5, sugars: 30, fibre: 25, other: 8 }, from: OURS, solid: "herbs", measures: { piece: [0.15, 0.1, 0.25], berry: [0.15, 0.1, 0.25], teaspoon: 1.8 } }),
  entry("parsley", "parsley leaves", { also: ["flat parsley", "parsley"], of: { water: 87.7, fat: 0.8, protein: 3, sugars: 0.9, fibre: 3.3, salt: 0.1, other: 4.2 }, solid: "herbs", edible: [65, TRIM], measures: { bunch: [30, 20, 45], sprig: [1, 0.6, 1.8], tablespoon: 3.8 } }),
  entry("tarragon", "tarragon", { of: { water: 80, fat: 1.5, protein: 4, sugars: 1, fibre: 4, other: 9.5 }, from: OURS, solid: "herbs", edible: [60, TRIM], measures: { sprig: [1.5, 0.8, 2.5], bunch: [25, 15, 35], tablespoon: 3.5 } }),
  entry("chervil", "chervil", { of: { water: 81, fat: 0.6, protein: 3.4, sugars: 1, fibre: 4, other: 10 }, from: OURS, solid: "herbs", edible: [60, TRIM], measures: { sprig: [0.8, 0.4, 1.4], bunch: [20, 12, 30] } }),
  entry("chives", "chives", { of: { water: 90.7, fat: 0.7, protein: 3.3, sugars: 1.9, fibre: 2.5, other: 0.9 }, solid: "herbs", edible: [97, TRIM], measures: { bunch: [25, 15, 35], tablespoon: 3 } }),
  entry("dill", "dill", { also: ["dill fronds"], of: { water: 86, fat: 1.1, protein: 3.5, fibre: 2.1, salt: 0.15, other: 7.1 }, solid: "herbs", edible: [60, TRIM], measures: { sprig: [1, 0.5, 1.8], bunch: [25, 15, 40] } }),
  entry("basil", "basil", { of: { water: 92.1, fat: 0.6, protein: 3.2, sugars: 0.3, fibre: 1.6, other: 2.2 }, solid: "herbs", edible: [64, TRIM], measures: { leaf: [0.5, 0.2, 0.9], sprig: [2, 1, 3.5], bunch: [30, 20, 45] } }),
  entry("sage", "sage", { of: { water: 66, fat: 3.5, protein: 3.9, fibre: 12, other: 14.6 }, from: OURS, solid: "herbs", edible: [70, TRIM], measures: { leaf: [0.3, 0.15, 0.6], sprig: [1.5, 0.8, 2.5] } }),
  entry("rosemary", "rosemary", { of: { water: 67.8, fat: 5.9, protein: 3.3, fibre: 14.1, other: 8.9 }, solid: "herbs", edible: [65, TRIM], measures: { sprig: [2, 1, 4], bunch: [25, 15, 40] } }),
  entry("mint", "mint", { of: { water: 83, fat: 0.8, protein: 3.5, fibre: 7.4, other: 5.3 }, solid: "herbs", edible: [60, TRIM], measures: { leaf: [0.2, 0.1, 0.4], sprig: [1.5, 0.8, 2.5], bunch: [30, 20, 45] } }),
  entry("coriander-leaf", "coriander leaf", { also: ["cilantro"], of: { water: 92.2, fat: 0.5, protein: 2.1, sugars: 0.9, fibre: 2.8, salt: 0.1, other: 1.4 }, solid: "herbs", edible: [65, TRIM], measures: { sprig: [1, 0.5, 1.8], bunch: [30, 20, 45] } }),
  entry("lovage", "lovage", { of: { water: 85, fat: 0.8, protein: 3.7, sugars: 1, fibre: 4, other: 5.5 }, from: OURS, solid: "herbs", edible: [60, TRIM], measures: { sprig: [3, 1.5, 5] } }),
  entry("lime-leaf", "lime leaves", { also: ["makrut lime leaf"], of: { water: 66, fat: 1.5, protein: 6, fibre: 12, other: 14.5 }, from: OURS, solid: "herbs", measures: { leaf: [0.7, 0.4, 1.2] } }),
  entry("white-pepper", "white pepper", { also: ["white peppercorns"], of: { water: 11.4, fat: 2.1, protein: 10.4, starch: 46, fibre: 26.2, other: 3.9 }, solid: "herbs", measures: { turn: [0.1, 0.05, 0.18], piece: [0.05, 0.03, 0.07], teaspoon: 2.4, pinch: [0.3, 0.15, 0.5] } }),
  entry("cloves", "cloves", { also: ["clove spice"], of: { water: 9.9, fat: 13, protein: 6, sugars: 2.4, starch: 25, fibre: 33.9, salt: 0.7, other: 9.1 }, solid: "herbs", measures: { piece: [0.1, 0.06, 0.14], teaspoon: 2.1 } }),
  entry("allspice", "allspice", { also: ["pimento"], of: { water: 8.5, fat: 8.7, protein: 6.1, starch: 50, fibre: 21.6, other: 5.1 }, solid: "herbs", measures: { berry: [0.1, 0.05, 0.15], teaspoon: 1.9 } }),
  entry("star-anise", "star anise", { of: { water: 9.5, fat: 15.9, protein: 17.6, starch: 35, fibre: 14.6, other: 7.4 }, solid: "herbs", measures: { piece: [1.2, 0.7, 2] } }),
  entry("cinnamon", "cinnamon stick", { also: ["cinnamon"], of: { water: 10.6, fat: 1.2, protein: 4, sugars: 2.2, starch: 25, fibre: 53.1, other: 3.9 }, solid: "herbs", measures: { stick: [3.5, 2, 6], teaspoon: 2.6 } }),
  entry("nutmeg", "nutmeg", { of: { water: 6.2, fat: 36.3, protein: 5.8, sugars: 3, starch: 25.5, fibre: 20.8, other: 2.4 }, solid: "herbs", measures: { piece: [6, 4, 8], grating: [0.15, 0.05, 0.3], teaspoon: 2.2 } }),
  entry("coriander-seed", "coriander seed", { of: { water: 8.9, fat: 17.8, protein: 12.4, starch: 13, fibre: 41.9, other: 6 }, solid: "herbs", measures: { teaspoon: 1.8 } }),
  entry("fennel-seed", "fennel seed", { of: { water: 8.8, fat: 14.9, protein: 15.8, starch: 12, fibre: 39.8, salt: 0.2, other: 8.5 }, solid: "herbs", measures: { teaspoon: 2 } }),
  entry("caraway", "caraway seed", { of: { water: 9.9, fat: 14.6, protein: 19.8, starch: 12, fibre: 38, other: 5.7 }, solid: "herbs", measures: { teaspoon: 2.1 } }),
  entry("cumin", "cumin seed", { of: { water: 8.1, fat: 22.3, protein: 17.8, sugars: 2.3, starch: 31, fibre: 10.5, salt: 0.4, other: 7.6 }, solid: "herbs", measures: { teaspoon: 2.1 } }),
  entry("cardamom", "cardamom pods", { of: { water: 8.3, fat: 6.7, protein: 10.8, starch: 40, fibre: 28, other: 6.2 }, solid: "herbs", measures: { pod: [0.2, 0.1, 0.35] } }),
  entry("mustard-seed", "mustard seed", { of: { water: 5.3, fat: 36.2, protein: 26.1, sugars: 6.8, fibre: 12.2, other: 13.4 }, solid: "herbs", allergens: ["mustard"], measures: { teaspoon: 3.3 } }),
  entry("paprika", "sweet paprika", { also: ["paprika powder"], of: { water: 11.2, fat: 12.9, protein: 14.1, sugars: 10.3, fibre: 34.9, salt: 0.2, other: 16.4 }, solid: "herbs", measures: { teaspoon: 2.3, pinch: [0.3, 0.15, 0.5] } }),
  entry("cayenne", "cayenne pepper", { also: ["chilli powder"], of: { water: 8, fat: 17.3, protein: 12, sugars: 10.3, fibre: 27.2, other: 25.2 }, solid: "herbs", measures: { pinch: [0.2, 0.1, 0.4], teaspoon: 1.8 } }),
  entry("saffron", "saffron threads", { of: { water: 11.9, fat: 5.9, protein: 11.4, starch: 40, fibre: 3.9, salt: 0.4, other: 26.5 }, solid: "herbs", measures: { pinch: [0.1, 0.05, 0.2], thread: [0.004, 0.002, 0.006] } }),
];
