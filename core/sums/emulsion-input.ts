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
  [/water|stock|reduction|wine|ice/i, "water"],
];

/** What a part of the water phase counts as. @errors UNKNOWN_ID · NEGATIVE */
export function phaseNamed(name: string, world: SumWorld, field: string): Result<PhaseId> {
  const plain = name.trim().toLowerCase();
  const exact = PHASE_IDS.find(id => id === plain);
  if (exact) return ok(exact);
  const word = WORDS.find(([test]) => test.test(plain))?.[1];
  if (word) return ok(word);
  const known = ingredientNamed(name, world, field);
  if (!known.ok) return known;
  // What holds nothing and thickens nothing is watery.
  return ok(known.value.carries?.phase ?? "water");
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
  for (const [i, part] of input.parts.entries()) {
    const id = phaseNamed(part.ingredient, world, `parts.${i}.ingredient`);
    if (!id.ok) problems.push(...id.problems);
    else parts = withPart(parts, id.value, part.massG);
  }
  if (problems.length) return refuse(...problems);
  if (input.yolkG) parts = withPart(parts, "yolk", input.yolkG);
  return ok({
    oilG: input.oilG,
    oilKind: input.oilKind,
    parts,
    temperatureC: input.temperatureC,
    tool: input.tool,
    cookedYolk: input.oilKind === "butterfat" && input.temperatureC >= 55 && parts.some(p => p.id === "yolk"),
    ...(input.measuredPH !== undefined && { measuredPH: input.measuredPH }),
  });
}
