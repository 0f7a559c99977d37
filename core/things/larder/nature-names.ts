/** What of an ingredient keeps its own nature in a pot: the names the laws know it by. */

/** What the water phase of an emulsion is made of. */
export const PHASE_IDS = [
  "yolk",
  "whole egg",
  "egg white",
  "mustard",
  "lecithin",
  "milk",
  "butter solids",
  "garlic",
  "puree",
  "water",
  "vinegar",
  "lemon juice",
  "salt",
  "sugar",
] as const;
export type PhaseId = (typeof PHASE_IDS)[number];

export const EMULSION_TOOLS = [
  "fork",
  "whisk",
  "stand mixer",
  "food processor",
  "jar blender",
  "stick blender",
  "homogeniser",
] as const;
export type EmulsionTool = (typeof EMULSION_TOOLS)[number];

/** What binds. */
export const THICKENER_IDS = [
  "flour",
  "wholeflour",
  "corn",
  "arrowroot",
  "potato",
  "tapioca",
  "rice",
  "ricepuree",
  "waxy",
  "modified",
  "xanthan",
] as const;
export type ThickenerId = (typeof THICKENER_IDS)[number];

export const ROUX_COLOURS = ["white", "blond", "brown", "dark"] as const;
export type RouxColour = (typeof ROUX_COLOURS)[number];

/** What makes sour. */
export const ACID_IDS = ["acetic", "citric", "malic", "lactic", "tartaric"] as const;
export type AcidId = (typeof ACID_IDS)[number];

/** What the flesh of a plant is like once it is soft: how its cells make a purée stand, and what it keeps of itself drained. */
export const TISSUES = [
  "root",
  "tuber",
  "pulse",
  "pea",
  "leaf",
  "allium",
  "flower",
  "fruit-vegetable",
  "fruit",
  "berry",
  "mushroom",
] as const;
export type Tissue = (typeof TISSUES)[number];

/** How the protein of milk stands in a sauce: set by acid before it came, or as cheese that melts into it. */
export const CURDS = ["set", "melts"] as const;
export type Curd = (typeof CURDS)[number];
