import type { Mark } from "../../ground/estimate";
import type { Tissue } from "../../things/larder/nature-names";
import { REFERENCE_BY_ID } from "../../things/larder";
import { InvariantError } from "../../ground/result";
import type { FactValues } from "../../ground/facts";

/** What a vegetable is worth to a purée: per 100 g of the raw edible part, as shares 0–1. */
export interface PureeVegetable {
  readonly name: string;
  /** Code of the Indian Food Composition Tables 2017 its figures were read from; absent where from memory. */
  readonly code?: string;
  readonly moisture: number;
  readonly fibre: number;
  readonly starch: number;
  /** What its flesh is like once it is soft. */
  readonly tissue: Tissue;
  /** What makes its purée stand, where it is known for itself. */
  readonly stands?: number;
  /** Edible of purchased. */
  readonly peelYield: number;
  /** Cooked of raw edible; what its flesh keeps, drained, where nothing is said. */
  readonly cookYield?: number;
  readonly method: CookMethod;
  /** Skins, strings, seeds: the sieve keeps twice as much. */
  readonly fibrous?: boolean;
  readonly mark: Mark;
  readonly note?: string;
}

export const COOK_METHODS = ["boiled", "steamed", "roasted", "sweated", "raw"] as const;
export type CookMethod = (typeof COOK_METHODS)[number];

/** Dry matter that cooking takes out, 0–1: only water carries it away. */
export const leachedBy = (method: CookMethod, facts: FactValues): number =>
  method === "boiled" ? facts.boiledLoss : method === "steamed" ? facts.steamedLoss : 0;

/** Fibre and starch as the larder has them: one table for the line and for the sums. */
function inLarder(id: string): Pick<PureeVegetable, "fibre" | "starch"> {
  const known = REFERENCE_BY_ID.get(id);
  if (!known) throw new InvariantError(`The reference larder has no ${id}.`);
  return { fibre: known.composition.fibre / 100, starch: known.composition.starch / 100 };
}

const P = "P" as const;
// prettier-ignore
/**
 * Fibre and starch: the reference larder; moisture: Indian Food Composition Tables 2017 (IFCT), by code. Edible portion: USDA Handbook 102 and
 * books of yields, from memory, ± 0.05. Cooked over raw: our estimates, ± 0.06. Without a code: from memory.
 */
export const PUREE_VEGETABLES = {
  onion: { name: "onion", code: "G017", moisture: 0.8576, ...inLarder("onion"), tissue: "allium", peelYield: 0.89, cookYield: 0.75, method: "sweated", mark: P },
  carrot: { name: "carrot", code: "F002", moisture: 0.8769, ...inLarder("carrot"), tissue: "root", peelYield: 0.82, method: "boiled", mark: P },
  potato: { name: "floury potato", code: "F006", moisture: 0.8072, ...inLarder("potato-floury"), tissue: "tuber", peelYield: 0.8, method: "boiled", mark: P },
  beetroot: { name: "beetroot", code: "F001", moisture: 0.8695, ...inLarder("beetroot"), tissue: "root", peelYield: 0.76, cookYield: 0.88, method: "roasted", mark: P },
  cauliflower: { name: "cauliflower", code: "D036", moisture: 0.9076, ...inLarder("cauliflower"), tissue: "flower", peelYield: 0.6, method: "boiled", mark: P },
  peas: { name: "peas", code: "D061", moisture: 0.7337, ...inLarder("peas"), tissue: "pea", peelYield: 0.38, method: "boiled", fibrous: true, mark: P, note: "garden peas elsewhere hold five points more water" },
  spinach: { name: "spinach", code: "C033", moisture: 0.9031, ...inLarder("spinach"), tissue: "leaf", peelYield: 0.74, cookYield: 0.6, method: "sweated", mark: P },
  pumpkin: { name: "pumpkin", code: "D066", moisture: 0.9185, ...inLarder("pumpkin"), tissue: "fruit-vegetable", stands: 0.0165, peelYield: 0.7, cookYield: 0.75, method: "roasted", mark: P },
  tomato: { name: "tomato, peeled and seeded", code: "D075", moisture: 0.9379, ...inLarder("tomato"), tissue: "fruit-vegetable", peelYield: 0.77, cookYield: 0.8, method: "sweated", mark: P },
  celery: { name: "celery", code: "D037", moisture: 0.9287, ...inLarder("celery"), tissue: "root", peelYield: 0.75, method: "boiled", fibrous: true, mark: P },
  mushroom: { name: "button mushroom", code: "J001", moisture: 0.9009, ...inLarder("mushroom"), tissue: "mushroom", peelYield: 0.97, cookYield: 0.6, method: "sweated", mark: P },
  pepper: { name: "red pepper, peeled", code: "D034", moisture: 0.9299, ...inLarder("red-pepper"), tissue: "fruit-vegetable", stands: 0.019, peelYield: 0.72, cookYield: 0.8, method: "roasted", mark: P },
  courgette: { name: "courgette", code: "D077", moisture: 0.9283, ...inLarder("courgette"), tissue: "fruit-vegetable", peelYield: 0.95, cookYield: 0.75, method: "sweated", mark: P },
  "green-beans": { name: "green beans", code: "D049", moisture: 0.8914, fibre: 0.0438, starch: 0.0075, tissue: "pea", peelYield: 0.88, method: "boiled", fibrous: true, mark: P },
  "broad-beans": { name: "broad beans in the pod", code: "D032", moisture: 0.842, ...inLarder("broad-beans"), tissue: "pea", peelYield: 0.9, method: "boiled", fibrous: true, mark: P },
  "sweet-potato": { name: "sweet potato", code: "F013", moisture: 0.6921, ...inLarder("sweet-potato"), tissue: "tuber", stands: 0.034, peelYield: 0.8, cookYield: 0.85, method: "roasted", mark: P, note: "eight points drier than elsewhere, and roasting turns starch to sugar: read it once before you trust it" },
  strawberry: { name: "strawberry", code: "E063", moisture: 0.9203, fibre: 0.025, starch: 0.001, tissue: "berry", peelYield: 0.87, cookYield: 1, method: "raw", mark: P },
  leek: { name: "leek", moisture: 0.83, ...inLarder("leek"), tissue: "allium", peelYield: 0.5, cookYield: 0.8, method: "sweated", fibrous: true, mark: "M" },
  celeriac: { name: "celeriac", moisture: 0.88, ...inLarder("celeriac"), tissue: "root", stands: 0.028, peelYield: 0.75, method: "boiled", mark: "M" },
  parsnip: { name: "parsnip", moisture: 0.8, ...inLarder("parsnip"), tissue: "root", stands: 0.042, peelYield: 0.83, method: "boiled", mark: "M" },
  salsify: { name: "salsify", moisture: 0.79, ...inLarder("salsify"), tissue: "root", peelYield: 0.72, method: "boiled", mark: "E" },
  butternut: { name: "butternut", moisture: 0.86, fibre: 0.02, starch: 0.03, tissue: "fruit-vegetable", peelYield: 0.82, cookYield: 0.8, method: "roasted", mark: "M" },
  broccoli: { name: "broccoli", moisture: 0.89, ...inLarder("broccoli"), tissue: "flower", peelYield: 0.65, method: "boiled", mark: "M" },
  asparagus: { name: "asparagus", moisture: 0.93, ...inLarder("asparagus"), tissue: "flower", peelYield: 0.55, method: "boiled", fibrous: true, mark: "M" },
  raspberry: { name: "raspberry", moisture: 0.857, ...inLarder("raspberries"), tissue: "berry", stands: 0.024, peelYield: 1, cookYield: 1, method: "raw", fibrous: true, mark: "M" },
} as const satisfies Record<string, PureeVegetable>;

export type VegetableId = keyof typeof PUREE_VEGETABLES;
export const VEGETABLE_IDS = Object.keys(PUREE_VEGETABLES) as VegetableId[];
