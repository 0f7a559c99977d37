import type { Mark } from "../../ground/estimate";
import type { FactValues } from "../../ground/facts";

/** What a vegetable is worth to a purée: per 100 g of the raw edible part, as shares 0–1. */
export interface PureeVegetable {
  readonly name: string;
  /** Code of the Indian Food Composition Tables 2017 its figures were read from; absent where from memory. */
  readonly code?: string;
  readonly moisture: number;
  readonly fibre: number;
  readonly starch: number;
  /** Edible of purchased, and cooked of raw edible, drained. */
  readonly peelYield: number;
  readonly cookYield: number;
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

const P = "P" as const;
// prettier-ignore
/**
 * Moisture, fibre and starch: Indian Food Composition Tables 2017 (IFCT), by code. Edible portion: USDA Handbook 102 and
 * books of yields, from memory, ± 0.05. Cooked over raw: our estimates, ± 0.06. Without a code: from memory.
 */
export const PUREE_VEGETABLES = {
  onion: { name: "onion", code: "G017", moisture: 0.8576, fibre: 0.0245, starch: 0.008, peelYield: 0.89, cookYield: 0.75, method: "sweated", mark: P },
  carrot: { name: "carrot", code: "F002", moisture: 0.8769, fibre: 0.0418, starch: 0.0124, peelYield: 0.82, cookYield: 0.95, method: "boiled", mark: P },
  potato: { name: "floury potato", code: "F006", moisture: 0.8072, fibre: 0.0171, starch: 0.1147, peelYield: 0.8, cookYield: 0.98, method: "boiled", mark: P },
  beetroot: { name: "beetroot", code: "F001", moisture: 0.8695, fibre: 0.0331, starch: 0.0169, peelYield: 0.76, cookYield: 0.88, method: "roasted", mark: P },
  cauliflower: { name: "cauliflower", code: "D036", moisture: 0.9076, fibre: 0.0371, starch: 0.0059, peelYield: 0.6, cookYield: 0.98, method: "boiled", mark: P },
  peas: { name: "peas", code: "D061", moisture: 0.7337, fibre: 0.0632, starch: 0.0692, peelYield: 0.38, cookYield: 1, method: "boiled", fibrous: true, mark: P, note: "garden peas elsewhere hold five points more water" },
  spinach: { name: "spinach", code: "C033", moisture: 0.9031, fibre: 0.0238, starch: 0.0138, peelYield: 0.74, cookYield: 0.6, method: "sweated", mark: P },
  pumpkin: { name: "pumpkin", code: "D066", moisture: 0.9185, fibre: 0.0256, starch: 0.0033, peelYield: 0.7, cookYield: 0.75, method: "roasted", mark: P },
  tomato: { name: "tomato, peeled and seeded", code: "D075", moisture: 0.9379, fibre: 0.0158, starch: 0, peelYield: 0.77, cookYield: 0.8, method: "sweated", mark: P },
  celery: { name: "celery", code: "D037", moisture: 0.9287, fibre: 0.0209, starch: 0.0068, peelYield: 0.75, cookYield: 0.92, method: "boiled", fibrous: true, mark: P },
  mushroom: { name: "button mushroom", code: "J001", moisture: 0.9009, fibre: 0.0311, starch: 0.007, peelYield: 0.97, cookYield: 0.6, method: "sweated", mark: P },
  pepper: { name: "red pepper, peeled", code: "D034", moisture: 0.9299, fibre: 0.0219, starch: 0.0008, peelYield: 0.72, cookYield: 0.8, method: "roasted", mark: P },
  courgette: { name: "courgette", code: "D077", moisture: 0.9283, fibre: 0.023, starch: 0.0147, peelYield: 0.95, cookYield: 0.75, method: "sweated", mark: P },
  "green-beans": { name: "green beans", code: "D049", moisture: 0.8914, fibre: 0.0438, starch: 0.0075, peelYield: 0.88, cookYield: 0.98, method: "boiled", fibrous: true, mark: P },
  "broad-beans": { name: "broad beans in the pod", code: "D032", moisture: 0.842, fibre: 0.0863, starch: 0.0084, peelYield: 0.9, cookYield: 0.98, method: "boiled", fibrous: true, mark: P },
  "sweet-potato": { name: "sweet potato", code: "F013", moisture: 0.6921, fibre: 0.0399, starch: 0.1882, peelYield: 0.8, cookYield: 0.85, method: "roasted", mark: P, note: "eight points drier than elsewhere, and roasting turns starch to sugar: read it once before you trust it" },
  strawberry: { name: "strawberry", code: "E063", moisture: 0.9203, fibre: 0.025, starch: 0.001, peelYield: 0.87, cookYield: 1, method: "raw", mark: P },
  leek: { name: "leek", moisture: 0.83, fibre: 0.018, starch: 0.005, peelYield: 0.5, cookYield: 0.8, method: "sweated", fibrous: true, mark: "M" },
  celeriac: { name: "celeriac", moisture: 0.88, fibre: 0.03, starch: 0.005, peelYield: 0.75, cookYield: 0.94, method: "boiled", mark: "M" },
  parsnip: { name: "parsnip", moisture: 0.8, fibre: 0.049, starch: 0.06, peelYield: 0.83, cookYield: 0.95, method: "boiled", mark: "M" },
  salsify: { name: "salsify", moisture: 0.79, fibre: 0.045, starch: 0.03, peelYield: 0.72, cookYield: 0.95, method: "boiled", mark: "E" },
  butternut: { name: "butternut", moisture: 0.86, fibre: 0.02, starch: 0.03, peelYield: 0.82, cookYield: 0.8, method: "roasted", mark: "M" },
  broccoli: { name: "broccoli", moisture: 0.89, fibre: 0.026, starch: 0.003, peelYield: 0.65, cookYield: 0.98, method: "boiled", mark: "M" },
  asparagus: { name: "asparagus", moisture: 0.93, fibre: 0.021, starch: 0.002, peelYield: 0.55, cookYield: 0.96, method: "boiled", fibrous: true, mark: "M" },
  raspberry: { name: "raspberry", moisture: 0.857, fibre: 0.065, starch: 0, peelYield: 1, cookYield: 1, method: "raw", fibrous: true, mark: "M" },
} as const satisfies Record<string, PureeVegetable>;

export type VegetableId = keyof typeof PUREE_VEGETABLES;
export const VEGETABLE_IDS = Object.keys(PUREE_VEGETABLES) as VegetableId[];
