import { z } from "zod";

const id = z.string().min(1).max(40);
const share = z.number().min(0).max(100_000);

export const fixedSchema = z.strictObject({ kind: z.literal("fixed"), massG: z.number().nonnegative() });
export const shareOfBaseSchema = z.strictObject({ kind: z.literal("share-of-base"), pct: share });
export const perLitreSchema = z.strictObject({
  kind: z.literal("per-litre"),
  gPerL: z.number().nonnegative(),
});
export const partSchema = z.strictObject({
  kind: z.literal("part"),
  group: id,
  parts: z.number().positive(),
});

/** How an amount is meant. The relation is what is stored and scaled; the grams follow. */
export const relationSchema = z.discriminatedUnion("kind", [
  fixedSchema,
  shareOfBaseSchema,
  perLitreSchema,
  partSchema,
]);
export type AmountRelation = z.infer<typeof relationSchema>;

/** A group shares one total out by parts: mirepoix, 12 % of the bones, 2 : 1 : 1. */
export const groupSchema = z.strictObject({
  id,
  name: z.string().min(1).max(80),
  total: z.discriminatedUnion("kind", [fixedSchema, shareOfBaseSchema, perLitreSchema]),
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

export const lineSchema = z.strictObject({
  id,
  of: sourceOfLineSchema,
  amount: relationSchema,
  certainty: z.enum(CERTAINTIES),
  /** What was typed, when a spoon or a cup became grams. */
  typed: z.string().max(80).optional(),
});
export type Line = z.infer<typeof lineSchema>;

/** The relation in a cook's words: "12 % of the carcasses". */
export function relationInWords(
  relation: AmountRelation,
  baseName: string,
  groups: readonly Group[],
): string {
  switch (relation.kind) {
    case "fixed":
      return "as weighed";
    case "share-of-base":
      return relation.pct === 100 ? "the base" : `${trim(relation.pct)} % of the ${baseName}`;
    case "per-litre":
      return `${trim(relation.gPerL)} g per finished litre`;
    case "part": {
      const group = groups.find(candidate => candidate.id === relation.group);
      return `${trim(relation.parts)} ${relation.parts === 1 ? "part" : "parts"} of the ${group?.name ?? "group"}`;
    }
  }
}

const trim = (x: number): string => String(Math.round(x * 1000) / 1000);
