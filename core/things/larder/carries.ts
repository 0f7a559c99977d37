import { z } from "zod";
import { ACID_IDS, CURDS, PHASE_IDS, THICKENER_IDS, TISSUES } from "./nature-names";

/**
 * What of an ingredient keeps its own nature in a sauce: the starch that will swell, the yolk that will set, the solids
 * of milk, what holds an emulsion together, which acids are sour. Everything is optional; what is not said just dissolves.
 */
export const carriesSchema = z.strictObject({
  /** It thickens like this, weighed as it is. */
  thickener: z.enum(THICKENER_IDS).optional(),
  /** Share of it that is egg yolk, per cent. */
  yolkPct: z.number().min(0).max(100).optional(),
  /** Its solids besides fat are those of milk. */
  milk: z.boolean().optional(),
  /** Its protein is set by acid, or melts as cheese. */
  curd: z.enum(CURDS).optional(),
  /** Already a purée: its fibre and starch make a sauce stand. */
  puree: z.boolean().optional(),
  /** What its flesh is like once it is soft. */
  tissue: z.enum(TISSUES).optional(),
  /** What makes its purée stand, g per 100 g raw and edible, where somebody has found its own: it beats the tissue. */
  standsPct: z.number().min(0).max(30).optional(),
  /** Roasted it goes in uncut: peppers. */
  whole: z.boolean().optional(),
  /** What it is in the water phase of an emulsion. */
  phase: z.enum(PHASE_IDS).optional(),
  /** A fat without a taste of its own. */
  neutral: z.boolean().optional(),
  /** Egg in it: fresh and raw, cooked already, or pasteurised when it was bought. */
  egg: z.enum(["raw", "heated", "pasteurised"]).optional(),
  /** Its fixed acid, by kind, shares 0–1. */
  acids: z.partialRecord(z.enum(ACID_IDS), z.number().min(0).max(1)).optional(),
});
export type Carries = Readonly<z.infer<typeof carriesSchema>>;

/** What an ingredient is in a sauce, as one word to choose: a thickener’s id, milk, yolk, purée, or nothing special. */
export const NATURES = ["", "milk", "yolk", "puree", "neutral", ...THICKENER_IDS] as const;
export type Nature = (typeof NATURES)[number];

export const natureOf = (carries: Carries | undefined): Nature =>
  carries?.thickener ??
  (carries?.yolkPct
    ? "yolk"
    : carries?.milk
      ? "milk"
      : carries?.puree
        ? "puree"
        : carries?.neutral
          ? "neutral"
          : "");

/** What a chosen nature carries; its acids and its place in an emulsion stay as they were. */
export function carriesFor(nature: Nature, before: Carries | undefined): Carries | undefined {
  if (nature === natureOf(before)) return before;
  const kept: Carries = {
    ...(before?.acids && { acids: before.acids }),
    ...(before?.tissue && { tissue: before.tissue }),
    ...(before?.standsPct !== undefined && { standsPct: before.standsPct }),
    ...(before?.whole && { whole: true }),
    ...(before?.phase && nature !== "yolk" && { phase: before.phase }),
    ...(before?.egg && { egg: before.egg }),
  };
  switch (nature) {
    case "":
      return Object.keys(kept).length ? kept : undefined;
    case "milk":
      return { ...kept, milk: true };
    case "yolk":
      return { ...kept, yolkPct: 100, phase: "yolk" };
    case "puree":
      return { ...kept, puree: true };
    case "neutral":
      return { ...kept, neutral: true };
    default:
      return { ...kept, thickener: nature };
  }
}
