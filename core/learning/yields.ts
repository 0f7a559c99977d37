import { z } from "zod";
import { type Problem, checkNumber } from "../ground/result";
import type { Ingredient, Source } from "../things/larder";

/** What came of something bought, weighed in this kitchen. */
export const yieldReadingSchema = z.strictObject({
  id: z.string().min(1).max(26),
  ingredientId: z.string().min(1).max(80),
  /** Trimmed and ready, from so many grams; or juice, from so many pieces. */
  what: z.enum(["trimmed", "per piece"]),
  /** g as bought, or pieces. */
  from: z.number().positive().max(1_000_000),
  gotG: z.number().positive().max(1_000_000),
});
export type YieldReading = Readonly<z.infer<typeof yieldReadingSchema>>;

/** Per cent of what was bought, or g of a piece. */
export const yieldOf = ({ what, from, gotG }: Pick<YieldReading, "what" | "from" | "gotG">): number =>
  what === "trimmed" ? (100 * gotG) / from : gotG / from;

/** Nothing that is counted piece by piece gives more than this, g: a melon. Our estimate. */
const MOST_A_PIECE_G = 5000;
const MOST_PIECES = 10_000;
const MOST_G = 1_000_000;

/** What is wrong with a weighing. @errors NOT_FINITE · OUT_OF_RANGE, also where more is left than there was */
export function checkYield({ what, from, gotG }: Pick<YieldReading, "what" | "from" | "gotG">): Problem[] {
  const trimmed = what === "trimmed";
  const problems = [
    ...checkNumber(from, "yieldFrom", trimmed ? "The weight as bought" : "The number of pieces", {
      min: trimmed ? 1 : 0.25,
      max: trimmed ? MOST_G : MOST_PIECES,
      unit: trimmed ? "g" : "",
    }),
    ...checkNumber(gotG, "yieldGot", "What it gave", { min: 0.1, max: MOST_G, unit: "g" }),
  ];
  if (problems.length) return problems;
  const too = trimmed ? gotG > from : gotG / from > MOST_A_PIECE_G;
  return too
    ? [
        {
          code: "OUT_OF_RANGE",
          field: "yieldGot",
          value: gotG,
          allowed: { min: 0, max: trimmed ? from : MOST_A_PIECE_G * from },
          message: trimmed
            ? `${Math.round(gotG)} g are more than the ${Math.round(from)} g there were: look at the two weights.`
            : `${Math.round(gotG / from)} g from one piece cannot be: was it weighed and not counted?`,
        },
      ]
    : [];
}

/** How a piece is called where its measure has no better name. */
const PIECE = "piece";

/** The measure a reading per piece speaks of: the first that is counted; `undefined` where there is none yet. */
const SPOONS = /spoon|cup|pinch|turn|sprig|drop|dash|splash|squeeze|ml|litre/;
export const pieceOf = ({
  measures,
}: Pick<Ingredient, "measures">): Ingredient["measures"][number] | undefined =>
  measures.find(({ name }) => !SPOONS.test(name));

/** What the larder counts with today. */
export const countedYield = (of: Ingredient, what: YieldReading["what"]): number | null =>
  what === "trimmed" ? of.ediblePct : (pieceOf(of)?.massG ?? null);

/** The ingredient as this kitchen has weighed it. */
export function withYield(
  of: Ingredient,
  what: YieldReading["what"],
  learned: { readonly value: number; readonly lo: number; readonly hi: number },
  source: Source,
): Ingredient {
  if (what === "trimmed") return { ...of, ediblePct: Math.min(100, learned.value), edibleSource: source };
  const piece = pieceOf(of);
  const measure = {
    name: piece?.name ?? PIECE,
    massG: learned.value,
    loG: Math.min(learned.lo, learned.value),
    hiG: Math.max(learned.hi, learned.value),
    source,
  };
  return {
    ...of,
    measures: piece ? of.measures.map(m => (m === piece ? measure : m)) : [measure, ...of.measures],
  };
}
