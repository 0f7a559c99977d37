import type { Mark } from "../../ground/estimate";
import { type AcidId, NO_SAUCE, type SauceState } from "./sauce-state";

/** One gram of something, as the models count it. */
interface Vector {
  readonly water?: number;
  readonly fat?: number;
  readonly gelatin?: number;
  readonly dissolved?: number;
  readonly milk?: number;
  readonly salt?: number;
  readonly yolk?: number;
  readonly sugar?: number;
  readonly acid?: readonly [AcidId, number];
  readonly mark: Mark;
}

/** Usual liquids of the kitchen, g per g, summing to 1. Source: docs/models.md "Body"; marks as there. */
const VECTORS = {
  water: { water: 1, mark: "P" },
  "white stock": { water: 0.98, fat: 0.003, gelatin: 0.015, salt: 0.002, mark: "E" },
  "brown stock": { water: 0.96, fat: 0.003, gelatin: 0.025, dissolved: 0.01, salt: 0.002, mark: "E" },
  milk: { water: 0.877, fat: 0.036, milk: 0.087, mark: "M" },
  cream: { water: 0.5824, fat: 0.36, milk: 0.0576, mark: "E" },
  butter: { water: 0.16, fat: 0.82, milk: 0.02, mark: "M" },
  "clarified butter": { water: 0.002, fat: 0.998, mark: "T" },
  oil: { fat: 1, mark: "P" },
  yolk: { yolk: 1, mark: "E" },
  wine: { water: 0.975, dissolved: 0.025, mark: "E" },
  vinegar: { water: 0.94, dissolved: 0.06, acid: ["acetic", 0.06], mark: "T" },
  "lemon juice": { water: 0.92, dissolved: 0.08, acid: ["citric", 0.055], mark: "M" },
  sugar: { dissolved: 1, sugar: 1, mark: "P" },
  salt: { salt: 1, mark: "P" },
} as const satisfies Record<string, Vector>;

export type StandardLiquid = keyof typeof VECTORS;
export const STANDARD_LIQUIDS = Object.keys(VECTORS) as StandardLiquid[];
export const markOfLiquid = (name: StandardLiquid): Mark => VECTORS[name].mark;

/** Some grams of a usual liquid. @example standardLiquid("milk", 1030) */
export function standardLiquid(name: StandardLiquid, massG: number): SauceState {
  const v: Vector = VECTORS[name];
  return {
    ...NO_SAUCE,
    waterG: (v.water ?? 0) * massG,
    fatG: (v.fat ?? 0) * massG,
    gelatinG: (v.gelatin ?? 0) * massG,
    dissolvedG: (v.dissolved ?? 0) * massG,
    milkSolidsG: (v.milk ?? 0) * massG,
    saltG: (v.salt ?? 0) * massG,
    yolkG: (v.yolk ?? 0) * massG,
    sugarG: (v.sugar ?? 0) * massG,
    acids: v.acid ? { [v.acid[0]]: v.acid[1] * massG } : {},
  };
}
