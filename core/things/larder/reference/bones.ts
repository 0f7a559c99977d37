import type { Ingredient } from "../ingredient";
import { LABEL, OURS, TRIM, entry } from "./row";

/** Bones, feet, shells, and the meat and fish that sauces begin with; g per 100 g of the edible part. */
// prettier-ignore
export const BONES: readonly Ingredient[] = [
  entry("guinea-fowl-carcass", "guinea-fowl carcasses", { also: ["guinea fowl bones", "poultry carcass", "carcases"], of: { water: 64, fat: 13, protein: 18, collagen: 4.5, other: 5 }, from: OURS, solid: "poultry-whole", diet: ["meat", "gelatin"] }),
  entry("chicken-wings", "chicken wings", { also: ["chicken wing tips", "wing tips"], of: { water: 66, fat: 15, protein: 18, collagen: 3.8, other: 1 }, solid: "poultry-bones", diet: ["meat", "gelatin"], measures: { piece: [90, 70, 110] } }),
  entry("veal-bones", "veal bones", { also: ["knuckle bones", "veal knuckle"], of: { water: 52, fat: 14, protein: 19, collagen: 7, other: 15 }, from: OURS, solid: "veal-bones", diet: ["meat", "gelatin"] }),
  entry("calfs-foot", "calf’s foot", { also: ["calf foot", "trotter"], of: { water: 62, fat: 12, protein: 24, collagen: 14, other: 2 }, from: OURS, solid: "veal-bones", diet: ["meat", "gelatin"], measures: { piece: [1500, 1000, 2000] } }),
  entry("chicken-carcass", "chicken carcasses, chopped", { also: ["chicken bones", "chicken backs"], of: { water: 64, fat: 14, protein: 17, collagen: 4.2, other: 5 }, from: OURS, solid: "poultry-bones", diet: ["meat", "gelatin"], measures: { piece: [350, 250, 500] } }),
  entry("chicken-feet", "chicken feet", { of: { water: 66, fat: 14.5, protein: 19.4, collagen: 12, other: 0.1 }, solid: "poultry-bones", diet: ["meat", "gelatin"], measures: { piece: [45, 35, 60] } }),
  entry("duck-carcass", "duck carcasses", { also: ["duck bones"], of: { water: 58, fat: 22, protein: 15, collagen: 4, other: 5 }, from: OURS, solid: "poultry-whole", diet: ["meat", "gelatin"], measures: { piece: [700, 500, 900] } }),
  entry("turkey-carcass", "turkey carcass", { also: ["turkey bones"], of: { water: 63, fat: 13, protein: 19, collagen: 5, other: 5 }, from: OURS, solid: "poultry-bones", diet: ["meat", "gelatin"] }),
  entry("game-bird-carcass", "game-bird carcasses", { also: ["pheasant bones", "partridge bones"], of: { water: 66, fat: 8, protein: 20, collagen: 5, other: 6 }, from: OURS, solid: "poultry-whole", diet: ["meat", "gelatin"] }),
  entry("beef-bones", "beef marrow and shank bones", { also: ["beef bones", "beef shin bones", "marrow bones"], of: { water: 45, fat: 20, protein: 18, collagen: 7, other: 17 }, from: OURS, solid: "beef-bones", diet: ["meat", "gelatin"] }),
  entry("oxtail", "oxtail", { of: { water: 60, fat: 20, protein: 17, collagen: 5, other: 3 }, from: OURS, solid: "beef-bones", diet: ["meat", "gelatin"] }),
  entry("beef-shin", "shin of beef", { also: ["beef shank meat"], of: { water: 72, fat: 4.5, protein: 22, collagen: 3, other: 1.5 }, solid: "meat", diet: ["meat", "gelatin"] }),
  entry("lamb-bones", "lamb bones", { also: ["mutton bones"], of: { water: 50, fat: 18, protein: 18, collagen: 6.5, other: 14 }, from: OURS, solid: "veal-bones", diet: ["meat", "gelatin"] }),
  entry("venison-bones", "venison bones", { also: ["roe deer bones", "game bones"], of: { water: 54, fat: 9, protein: 21, collagen: 6.5, other: 16 }, from: OURS, solid: "veal-bones", diet: ["meat", "gelatin"] }),
  entry("pork-bones", "pork neck bones", { also: ["pork ribs"], of: { water: 53, fat: 17, protein: 18, collagen: 6, other: 12 }, from: OURS, solid: "pork-bones", diet: ["meat", "gelatin"] }),
  entry("pigs-trotter", "pig’s trotter", { also: ["pig trotter", "pork feet"], of: { water: 64, fat: 12.6, protein: 23, collagen: 14, other: 0.4 }, solid: "pork-bones", diet: ["meat", "gelatin"], measures: { piece: [450, 350, 600] } }),
  entry("ham-bone", "ham bone, smoked", { also: ["smoked ham hock"], of: { water: 54, fat: 14, protein: 20, collagen: 6, salt: 3, other: 9 }, from: OURS, solid: "pork-bones", diet: ["meat", "gelatin"] }),
  entry("white-fish-frames", "white fish frames", { also: ["sole frames", "turbot frames", "fish frames", "white fish bones", "frames", "fish bones", "sole bones", "turbot bones"], of: { water: 76, fat: 2, protein: 16, collagen: 3, other: 6 }, from: OURS, solid: "fish-frames", allergens: ["fish"], diet: ["fish", "gelatin"] }),
  entry("trout-frames", "trout frames", { also: ["trout bones", "char bones"], of: { water: 73, fat: 6, protein: 16, collagen: 2.8, other: 5 }, from: OURS, solid: "fish-frames", allergens: ["fish"], diet: ["fish", "gelatin"], measures: { piece: [110, 80, 150] } }),
  entry("langoustine-shells", "langoustine shells", { also: ["scampi shells"], of: { water: 72, fat: 1, protein: 12, collagen: 0.5, fibre: 5, other: 10 }, from: OURS, solid: "shells", allergens: ["crustaceans"], diet: ["fish"] }),
  entry("prawn-shells", "prawn shells", { also: ["shrimp shells"], of: { water: 74, fat: 1, protein: 11, collagen: 0.5, fibre: 4, other: 10 }, from: OURS, solid: "shells", allergens: ["crustaceans"], diet: ["fish"] }),
  entry("lobster-shells", "lobster shells", { of: { water: 68, fat: 1, protein: 12, collagen: 0.5, fibre: 6, other: 13 }, from: OURS, solid: "shells", allergens: ["crustaceans"], diet: ["fish"] }),
  entry("shrimp", "prawns, peeled", { also: ["shrimp", "shrimps", "prawns"], of: { water: 78.5, fat: 1, protein: 19, collagen: 1, salt: 0.4, other: 1.1 }, solid: "mirepoix", edible: [62, TRIM], allergens: ["crustaceans"], diet: ["fish"], measures: { piece: [12, 6, 20] } }),
  // Of 100 g in the shell: meat 26, liquor 20 with 2.5 % salt, shell 54.
  entry("mussels", "mussels in the shell", { also: ["mussel"], of: { water: 40.3, fat: 0.6, protein: 3.3, collagen: 0.1, starch: 1, salt: 0.7, other: 54.1 }, from: OURS, solid: "bivalves", allergens: ["molluscs"], diet: ["fish"], measures: { piece: [16, 10, 25] } }),
  entry("clams", "clams in the shell", { also: ["clam", "cockles", "cockle", "vongole", "palourdes"], of: { water: 41, fat: 0.3, protein: 3.4, collagen: 0.1, starch: 0.9, salt: 0.8, other: 53.6 }, from: OURS, solid: "bivalves", allergens: ["molluscs"], diet: ["fish"], measures: { piece: [18, 8, 30] } }),
  entry("duck-skin", "duck skin and fat trim", { also: ["duck trim", "goose skin", "skin of duck"], of: { water: 34, fat: 56, protein: 9.5, collagen: 5, other: 0.5 }, from: OURS, solid: "skin", diet: ["meat", "gelatin"] }),
  entry("chicken-skin", "chicken skin", { of: { water: 54, fat: 32, protein: 13.3, collagen: 6, other: 0.7 }, solid: "skin", diet: ["meat", "gelatin"], measures: { piece: [60, 40, 90] } }),
  entry("back-fat", "pork back fat", { also: ["fatback", "pork fat trim"], of: { water: 8, fat: 88.5, protein: 3, collagen: 1.5, other: 0.5 }, solid: "skin", diet: ["meat", "gelatin"] }),
  entry("suet", "beef suet", { also: ["kidney fat"], of: { water: 4, fat: 94, protein: 1.5, collagen: 0.8, other: 0.5 }, solid: "skin", diet: ["meat", "gelatin"] }),
  entry("duck-legs", "duck legs", { also: ["duck leg"], of: { water: 60, fat: 21, protein: 17.5, collagen: 2.5, other: 1.5 }, from: OURS, solid: "meat", diet: ["meat", "gelatin"], measures: { piece: [240, 180, 320] } }),
  entry("chicken-legs", "chicken legs", { also: ["chicken leg"], of: { water: 68, fat: 12.5, protein: 18, collagen: 2, other: 1.5 }, from: OURS, solid: "meat", diet: ["meat", "gelatin"], measures: { piece: [220, 160, 300] } }),
  entry("pork-shoulder", "shoulder of pork", { also: ["pork neck"], of: { water: 64, fat: 17, protein: 17.5, collagen: 2, other: 1.5 }, from: OURS, solid: "meat", diet: ["meat", "gelatin"] }),
  entry("veal-shoulder", "shoulder of veal", { also: ["stewing veal"], of: { water: 73, fat: 6, protein: 19.5, collagen: 2.5, other: 1.5 }, from: OURS, solid: "meat", diet: ["meat", "gelatin"] }),
  entry("lamb-shoulder", "shoulder of lamb", { also: [], of: { water: 63, fat: 19, protein: 16.8, collagen: 2, other: 1.2 }, from: OURS, solid: "meat", diet: ["meat", "gelatin"] }),
  entry("smoked-trout", "smoked trout", { of: { water: 71, fat: 5, protein: 21.5, collagen: 1, salt: 2, other: 0.5 }, from: LABEL, solid: "mirepoix", allergens: ["fish"], diet: ["fish"] }),
  entry("bacon", "smoked bacon", { also: ["lardons", "pancetta"], of: { water: 40.5, fat: 40, protein: 15, collagen: 1.5, sugars: 0.5, salt: 3, other: 1 }, from: LABEL, solid: "skin", diet: ["meat", "gelatin"], measures: { rasher: [25, 18, 35] } }),
];
