import { z } from "zod";
import { type Density, type Grams, g, gPerMl } from "../../ground/quantity";
import { type Result, checkNumber, ok, refuse } from "../../ground/result";
import { ALLERGEN_IDS, DIET_FLAGS } from "./allergens";
import type { Natures } from "../pot/nature";
import { carriesSchema } from "./carries";
import { compositionSchema } from "./composition";

/** Where a figure comes from: its mark and the words for it. */
export const sourceSchema = z.object({
  mark: z.enum(["P", "M", "T", "E", "measured"]),
  text: z.string().min(1),
});
export type Source = Readonly<z.infer<typeof sourceSchema>>;

/** What a strainer meets: decides how much liquor clings and how the heap packs in the pot. */
export const SOLID_KINDS = [
  "poultry-bones",
  "poultry-whole",
  "veal-bones",
  "beef-bones",
  "pork-bones",
  "fish-frames",
  "shells",
  "meat",
  "skin",
  "bivalves",
  "mirepoix",
  "mushrooms",
  "herbs",
] as const;
export type SolidKind = (typeof SOLID_KINDS)[number];

/** What a cook counts by: "1 leek", "1 cup chopped", "a sprig", "5 turns". */
export const measureSchema = z.object({
  name: z.string().min(1).max(40),
  massG: z.number().positive().max(100_000),
  loG: z.number().positive(),
  hiG: z.number().positive(),
  source: sourceSchema,
});
export type Measure = Readonly<z.infer<typeof measureSchema>>;

export const ingredientSchema = z.object({
  id: z.string().regex(/^[a-z0-9-]+$/),
  name: z.string().min(1),
  aliases: z.array(z.string()),
  composition: compositionSchema,
  compositionSource: sourceSchema,
  /** Where it goes when it enters a pot. */
  phase: z.enum(["liquor", "solids", "fat"]),
  solidKind: z.enum(SOLID_KINDS).optional(),
  /** As poured or spooned; absent where nobody pours it. */
  densityGPerMl: z.number().positive().optional(),
  densitySource: sourceSchema.optional(),
  /** Share of the purchased mass that is used, 0–100. */
  ediblePct: z.number().positive().max(100),
  edibleSource: sourceSchema,
  /** Share of the whole fruit that is juice, 0–100. */
  juicePct: z.number().positive().max(100).optional(),
  juiceSource: sourceSchema.optional(),
  /** `null`: nobody has entered them. */
  allergens: z.array(z.enum(ALLERGEN_IDS)).nullable(),
  diet: z.array(z.enum(DIET_FLAGS)),
  measures: z.array(measureSchema).default([]),
  /** What of it keeps its own nature in a sauce. */
  carries: carriesSchema.optional(),
  /** A stock somebody else made: its salt must be known before it is reduced. */
  boughtStock: z.boolean().optional(),
  /** How a supplier sells it: whole ones are ordered. */
  pack: z.object({ name: z.string().min(1).max(40), massG: z.number().positive().max(1_000_000) }).optional(),
  price: z
    .object({ perKg: z.number().nonnegative(), currency: z.string(), on: z.string(), source: sourceSchema })
    .optional(),
});
export type Ingredient = Readonly<z.infer<typeof ingredientSchema>> & {
  /** What another formula’s product brings along, per 100 g; nothing anybody enters. */
  readonly natures?: Natures;
};

export const densityOf = (i: Ingredient): Density | undefined =>
  i.densityGPerMl === undefined ? undefined : gPerMl(i.densityGPerMl);

/**
 * Purchased mass for a net mass, by the edible portion.
 *
 * @param net       g ≥ 0, trimmed
 * @param ediblePct share of the purchased mass that is used, 0 < p ≤ 100
 * @returns g as purchased
 * @errors NOT_FINITE · NEGATIVE · OUT_OF_RANGE
 * Source: exact by definition of the edible portion (AP = EP / yield).
 * @example asPurchased(g(1110), 88) // 1261.4 g
 */
export function asPurchased(net: Grams, ediblePct: number): Result<Grams> {
  const problems = [
    ...checkNumber(net, "netG", "The net weight"),
    ...checkNumber(ediblePct, "ediblePct", "The edible portion", { min: 0.1, max: 100, unit: "%" }),
  ];
  return problems.length ? refuse(...problems) : ok(g((net * 100) / ediblePct));
}

/**
 * Usable mass of a purchased one.
 * @errors as `asPurchased`
 * @example netOf(g(4000), 60) // 2400 g
 */
export function netOf(gross: Grams, ediblePct: number): Result<Grams> {
  const problems = [
    ...checkNumber(gross, "grossG", "The purchased weight"),
    ...checkNumber(ediblePct, "yieldPct", "The edible portion", { min: 0.1, max: 100, unit: "%" }),
  ];
  return problems.length ? refuse(...problems) : ok(g((gross * ediblePct) / 100));
}
