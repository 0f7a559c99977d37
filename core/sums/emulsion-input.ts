import { z } from "zod";
import {
  EMULSION_TOOLS,
  type EmulsionInput,
  PHASE_IDS,
  type PhaseId,
  type PhasePart,
  withPart,
} from "../laws/emulsion";
import { type Problem, type Result, ok, refuse } from "../ground/result";
import { celsius, mass, massAbove0 } from "./fields";
import { ingredientNamed } from "./inputs";
import type { SumWorld } from "./sum";

export const partsField = z
  .array(
    z.strictObject({
      ingredient: z.string().min(1).max(120).meta({ title: "What", typed: "ingredient" }),
      massG: z.number().meta({ title: "Weight", unit: "g" }),
    }),
  )
  .max(20)
  .meta({ title: "Water phase", hint: "yolk 36, vinegar 30 …" });

/** What an emulsion is made of. */
export const emulsionFields = {
  oilG: massAbove0("Oil or butterfat"),
  oilKind: z.enum(["oil", "butterfat"]).default("oil").meta({ title: "Fat" }),
  parts: partsField,
  yolkG: mass("Yolk").optional(),
  temperatureC: celsius("Everything at").default(20),
  tool: z.enum(EMULSION_TOOLS).default("whisk").meta({ title: "Tool" }),
  ratePlan: z.number().min(0).max(20).optional().meta({ title: "Oil, times the usual pace" }),
  measuredPH: z.number().optional().meta({ title: "Measured pH" }),
};
export type EmulsionFields = z.infer<z.ZodObject<typeof emulsionFields>>;

const WORDS: readonly (readonly [RegExp, PhaseId])[] = [
  [/yolk/i, "yolk"],
  [/egg white|white of egg|^whites?$/i, "egg white"],
  [/whole egg|^eggs?$/i, "whole egg"],
  [/mustard/i, "mustard"],
  [/lecithin/i, "lecithin"],
  [/milk/i, "milk"],
  [/garlic/i, "garlic"],
  [/vinegar/i, "vinegar"],
  [/lemon|lime/i, "lemon juice"],
  [/salt/i, "salt"],
  [/sugar|honey/i, "sugar"],
  [/pur[ée]e|paste/i, "puree"],
  [/water|stock|reduction|ice/i, "water"],
];

/** What counts as what of an emulsion, g per g of it. */
type Counted = Partial<Record<PhaseId, number>> & { readonly fat?: number };

/** Acid of vinegar and of lemon juice, g per g: what another sour liquid counts as much of. Source: labels, from memory. */
const VINEGAR_ACID = 0.06;
const LEMON_ACID = 0.05;
/** Of the acid of wine and fruit so much is free; the rest stands as its salts. Our estimate. */
const FREE_ACID = 0.35;
/** Fatter than this it brings fat into the bowl, %. */
const FATTY_PCT = 8;

/** What a part of the bowl counts as: wine and verjus bring acid, butter and cream bring fat. @errors UNKNOWN_ID · NEGATIVE */
export function countedAs(name: string, world: SumWorld, field: string): Result<Counted> {
  const plain = name.trim().toLowerCase();
  const exact = PHASE_IDS.find(id => id === plain);
  if (exact) return ok({ [exact]: 1 });
  const word = WORDS.find(([test]) => test.test(plain))?.[1];
  if (word) return ok({ [word]: 1 });
  const known = ingredientNamed(name, world, field);
  if (!known.ok) return known;
  const { carries, composition: c } = known.value;
  if (carries?.phase) return ok({ [carries.phase]: 1 });
  const fat = c.fat >= FATTY_PCT ? c.fat / 100 : 0;
  const vinegar = c.volatileAcid / 100 / VINEGAR_ACID;
  const lemon = (FREE_ACID * Math.max(0, c.acid - c.volatileAcid)) / 100 / LEMON_ACID;
  const sour = Math.min(1, vinegar + lemon);
  const scale = vinegar + lemon > 1 ? 1 / (vinegar + lemon) : 1;
  // What holds nothing and thickens nothing is watery.
  return ok({
    fat,
    ...(vinegar > 0 && { vinegar: vinegar * scale * (1 - fat) }),
    ...(lemon > 0 && { "lemon juice": lemon * scale * (1 - fat) }),
    [carries?.milk ? "milk" : "water"]: (1 - sour) * (1 - fat),
  });
}

export function emulsionFrom(
  input: Pick<
    EmulsionFields,
    "oilG" | "oilKind" | "parts" | "yolkG" | "temperatureC" | "tool" | "measuredPH"
  >,
  world: SumWorld,
): Result<EmulsionInput> {
  const problems: Problem[] = [];
  let parts: PhasePart[] = [];
  let fatG = 0;
  for (const [i, part] of input.parts.entries()) {
    const counted = countedAs(part.ingredient, world, `parts.${i}.ingredient`);
    if (!counted.ok) {
      problems.push(...counted.problems);
      continue;
    }
    const { fat = 0, ...phases } = counted.value;
    fatG += fat * part.massG;
    for (const [id, share] of Object.entries(phases) as [PhaseId, number][])
      parts = withPart(parts, id, share * part.massG);
  }
  if (problems.length) return refuse(...problems);
  if (input.yolkG) parts = withPart(parts, "yolk", input.yolkG);
  return ok({
    oilG: input.oilG + fatG,
    oilKind: fatG > input.oilG ? "butterfat" : input.oilKind,
    parts,
    temperatureC: input.temperatureC,
    tool: input.tool,
    cookedYolk: input.oilKind === "butterfat" && input.temperatureC >= 55 && parts.some(p => p.id === "yolk"),
    ...(input.measuredPH !== undefined && { measuredPH: input.measuredPH }),
  });
}
