import { z } from "zod";

const id = z.string().min(1).max(40);
const share = z.number().min(0).max(100_000);
const weight = z.number().nonnegative().max(1_000_000);

export const fixedSchema = z.strictObject({ kind: z.literal("fixed"), massG: z.number().nonnegative() });
export const shareOfBaseSchema = z.strictObject({ kind: z.literal("share-of-base"), pct: share });
export const perLitreSchema = z.strictObject({
  kind: z.literal("per-litre"),
  gPerL: z.number().nonnegative(),
});
export const perKgSchema = z.strictObject({ kind: z.literal("per-kg"), gPerKg: z.number().nonnegative() });
export const perPortionSchema = z.strictObject({ kind: z.literal("per-portion"), gPerPortion: weight });
export const partSchema = z.strictObject({
  kind: z.literal("part"),
  group: id,
  parts: z.number().positive(),
});
export const equalToSchema = z.strictObject({
  kind: z.literal("equal-to"),
  /** Id of the line it follows. */
  line: id,
  factor: z.number().positive().max(1000),
});

/** What an amount can be aimed at: per cent of the liquor once this line is in it; °Brix for strength. */
export const REACHABLE = ["salt", "sugar", "acid", "fat", "brix"] as const;
export type Reachable = (typeof REACHABLE)[number];
export const toReachSchema = z.strictObject({
  kind: z.literal("to-reach"),
  what: z.enum(REACHABLE),
  value: z.number().positive().max(99),
});
/** Left to the cook’s hand; the weight is proposed or learned from what was weighed, and says so by its certainty. */
export const byFeelSchema = z.strictObject({ kind: z.literal("by-feel"), massG: weight });

/** How an amount is meant. The relation is what is stored and scaled; the grams follow. */
export const relationSchema = z.discriminatedUnion("kind", [
  fixedSchema,
  shareOfBaseSchema,
  perLitreSchema,
  perKgSchema,
  perPortionSchema,
  partSchema,
  equalToSchema,
  toReachSchema,
  byFeelSchema,
]);
export type AmountRelation = z.infer<typeof relationSchema>;

/** A group shares one total out by parts: mirepoix, 12 % of the bones, 2 : 1 : 1. */
export const groupSchema = z.strictObject({
  id,
  name: z.string().min(1).max(80),
  total: z.discriminatedUnion("kind", [fixedSchema, shareOfBaseSchema, perLitreSchema, perKgSchema]),
});
export type Group = z.infer<typeof groupSchema>;

/** A line draws on the larder or on what another formula makes. */
export const sourceOfLineSchema = z.union([
  z.strictObject({ larder: z.string().min(1) }),
  z.strictObject({ formula: z.string().min(1) }),
]);

/** Stated, measured and assumed never look alike. */
export const CERTAINTIES = ["stated", "measured", "assumed"] as const;
export type Certainty = (typeof CERTAINTIES)[number];

/** What becomes of trim or of what a step takes out, and what it is worth. */
export const byProductSchema = z.strictObject({
  use: z.string().min(1).max(120),
  perKg: z.number().nonnegative().max(10_000).optional(),
});
export type ByProduct = z.infer<typeof byProductSchema>;

export const lineSchema = z.strictObject({
  id,
  of: sourceOfLineSchema,
  amount: relationSchema,
  certainty: z.enum(CERTAINTIES),
  /** What was typed, when a spoon or a cup became grams. */
  typed: z.string().max(80).optional(),
  /** Something nobody has settled yet; it stands highlighted until it is. */
  question: z.string().max(200).optional(),
  /** How far working backwards may move this line, g. */
  bounds: z.strictObject({ minG: weight, maxG: weight }).optional(),
  /** What its peelings and bones are kept for. */
  trim: byProductSchema.optional(),
});
export type Line = z.infer<typeof lineSchema>;

const UNIT_OF: Readonly<Record<Reachable, string>> = {
  salt: "% salt",
  sugar: "% sugar",
  acid: "% acid",
  fat: "% fat",
  brix: "°Bx",
};

/** Names a relation may speak of besides its own ingredient. */
export interface RelationNames {
  readonly baseName: string;
  readonly groups: readonly Group[];
  /** Ingredient of another line, for “equal to”. */
  readonly lineName?: (id: string) => string | undefined;
}

/** The relation in a cook's words: "12 % of the carcasses". */
export function relationInWords(relation: AmountRelation, names: RelationNames): string {
  switch (relation.kind) {
    case "fixed":
      return "as weighed";
    case "share-of-base":
      return relation.pct === 100 ? "the base" : `${trim(relation.pct)} % of the ${names.baseName}`;
    case "per-litre":
      return `${trim(relation.gPerL)} g per finished litre`;
    case "per-kg":
      return `${trim(relation.gPerKg)} g per finished kg`;
    case "per-portion":
      return `${trim(relation.gPerPortion)} g a portion`;
    case "part": {
      const group = names.groups.find(candidate => candidate.id === relation.group);
      return `${trim(relation.parts)} ${relation.parts === 1 ? "part" : "parts"} of the ${group?.name ?? "group"}`;
    }
    case "equal-to": {
      const other = names.lineName?.(relation.line) ?? "other line";
      return relation.factor === 1 ? `as much as the ${other}` : `${trim(relation.factor)} × the ${other}`;
    }
    case "to-reach":
      return `to ${trim(relation.value)} ${UNIT_OF[relation.what]}`;
    case "by-feel":
      return "by feel";
  }
}

const trim = (x: number): string => String(Math.round(x * 1000) / 1000);
