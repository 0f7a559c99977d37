import type { Composition } from "./composition";
import type { Ingredient } from "./ingredient";
import type { Curd, Tissue } from "./nature-names";

/** The flesh of plants of the reference larder. Common practice, no source. */
const OF_TISSUE: Readonly<Record<Tissue, readonly string[]>> = {
  root: [
    "carrot",
    "celery",
    "celeriac",
    "parsnip",
    "turnip",
    "parsley-root",
    "beetroot",
    "salsify",
    "ginger",
    "horseradish",
  ],
  tuber: ["potato-floury", "potato-waxy", "sweet-potato"],
  pulse: ["chestnuts", "split-peas", "lentils", "white-beans"],
  pea: ["peas", "broad-beans", "sweetcorn"],
  leaf: ["spinach", "nettles", "watercress", "sorrel", "cabbage", "lovage", "parsley", "chervil", "basil"],
  allium: ["onion", "red-onion", "leek", "shallot", "garlic", "spring-onion", "chives"],
  flower: ["cauliflower", "broccoli", "asparagus", "fennel", "artichoke"],
  "fruit-vegetable": [
    "tomato",
    "tomato-paste",
    "passata",
    "red-pepper",
    "aubergine",
    "courgette",
    "cucumber",
    "pumpkin",
    "chilli",
  ],
  fruit: ["apple", "pear", "quince", "cherries", "prunes", "plums", "apricots"],
  berry: ["raspberries", "blackcurrants", "lingonberries", "strawberries"],
  mushroom: ["mushroom", "chanterelles", "dried-ceps", "dried-morels", "dried-shiitake"],
};
const TISSUE_BY_ID: ReadonlyMap<string, Tissue> = new Map(
  (Object.entries(OF_TISSUE) as [Tissue, readonly string[]][]).flatMap(([tissue, ids]) =>
    ids.map(id => [id, tissue] as const),
  ),
);

/** What makes the purée of some stand, found for themselves, g per 100 g raw and edible. Our estimate. */
const OWN_STANDS: Readonly<Record<string, number>> = {
  nettles: 2.8,
  celeriac: 2.8,
  parsnip: 4.2,
  pumpkin: 1.65,
  "sweet-potato": 3.4,
  pear: 1.8,
  raspberries: 2.4,
  "red-pepper": 1.9,
};

/** Milk set by acid, and cheese that melts, of the reference larder. Stirred yogurt and buttermilk: only the first stands. */
const OF_CURD: Readonly<Record<Curd, readonly string[]>> = {
  set: ["creme-fraiche", "sour-cream", "yogurt", "mascarpone", "fresh-cheese"],
  melts: ["hard-cheese", "parmesan", "blue-cheese"],
};
const CURD_BY_ID: ReadonlyMap<string, Curd> = new Map(
  (Object.entries(OF_CURD) as [Curd, readonly string[]][]).flatMap(([curd, ids]) =>
    ids.map(id => [id, curd] as const),
  ),
);

/** How its protein stands in a sauce; `undefined` where it only dissolves. */
export const curdOf = ({ id, carries }: Pick<Ingredient, "id" | "carries">): Curd | undefined =>
  carries?.curd ?? CURD_BY_ID.get(id);

/** Fats that set in the fridge, and how far beside butter. Duck and poultry fat stay soft. Common practice, no source. */
const FAT_SETS: Readonly<Record<string, number>> = {
  butter: 1,
  "salted-butter": 1,
  "clarified-butter": 1,
  lard: 1,
  "beef-dripping": 1,
  "duck-fat": 0.5,
  "poultry-fat": 0.5,
};

/** Share of the fat of an ingredient that sets in the fridge as butter does; 0 for an oil. */
export const fatSets = ({ id, phase, diet }: Pick<Ingredient, "id" | "phase" | "diet">): number =>
  FAT_SETS[id] ?? (phase === "fat" && diet.includes("dairy") ? 1 : 0);

/** Starch from which an unnamed vegetable is a tuber or a pulse, and the water under which it is the drier of them, %. */
const STARCHY_PCT = 8;
const DRY_PCT = 60;

const byComposition = ({ starch, water }: Composition, kind: Ingredient["solidKind"]): Tissue =>
  kind === "mushrooms"
    ? "mushroom"
    : starch > STARCHY_PCT
      ? water < DRY_PCT
        ? "pulse"
        : "tuber"
      : kind === "herbs"
        ? "leaf"
        : "root";

const PLANTS: ReadonlySet<string> = new Set(["mirepoix", "mushrooms", "herbs"]);

/** What the flesh of an ingredient is like: as the larder says, as the reference larder knows, or by its composition. */
export const tissueOf = ({ id, carries, composition, solidKind }: Ingredient): Tissue | undefined =>
  carries?.tissue ??
  TISSUE_BY_ID.get(id) ??
  (carries?.puree || (solidKind && PLANTS.has(solidKind))
    ? byComposition(composition, solidKind)
    : undefined);

/** What makes its purée stand, g per 100 g raw and edible, where it is known for itself. */
export const ownStands = ({ id, carries }: Ingredient): number | undefined =>
  carries?.standsPct ?? (Object.hasOwn(OWN_STANDS, id) && !carries?.tissue ? OWN_STANDS[id] : undefined);
