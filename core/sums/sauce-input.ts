import { z } from "zod";
import { type Estimate, fromSd } from "../ground/estimate";
import { sauceOf } from "../formula";
import type { Ingredient } from "../things/larder";
import { EMPTY_POT, addIngredient } from "../things/pot";
import { degC, g } from "../ground/quantity";
import { type Result, ok, refuse } from "../ground/result";
import { type Body, type SauceState, reducedBy } from "../laws/texture";
import { ROUX_COLOURS, THICKENER_IDS } from "../laws/thickening";
import { celsius, liquidFields, mass, massAbove0, minutes, percent, volume } from "./fields";
import { liquidOf, massOfLiquid } from "./inputs";
import { THICKENER_WORDS } from "./choice-words";
import { type SumWorld } from "./sum";

/** What the sums of body and binding ask about a sauce. */
export const doseField = z.strictObject({
  id: z.enum(THICKENER_IDS).meta({ title: "What", words: THICKENER_WORDS }),
  massG: z.number().min(0).max(1_000_000).meta({ title: "Weight", unit: "g" }),
  colour: z.enum(ROUX_COLOURS).optional().meta({ title: "Colour" }),
  minutes: z.number().min(0).max(600).optional().meta({ title: "Simmered", unit: "min" }),
  maxC: z.number().min(0).max(110).optional().meta({ title: "Hottest", unit: "°C" }),
  pH: z.number().min(2).max(9).optional().meta({ title: "pH" }),
  blendedS: z.number().min(0).max(600).optional().meta({ title: "Blended", unit: "s" }),
});

export const pureeField = z.strictObject({
  massG: z.number().min(0).max(1_000_000).meta({ title: "Purée", unit: "g" }),
  solidsG: z.number().min(0).max(1_000_000).meta({ title: "Solids in it", unit: "g" }),
  tool: z.enum(["mill", "blender", "fast blender"]).optional().meta({ title: "Made with" }),
});
const FINENESS = { mill: 0.8, blender: 1, "fast blender": 1.1 } as const;

/** The liquor, what binds it, and what has boiled off. */
export const sauceFields = {
  ...liquidFields,
  massG: massAbove0("Liquor").optional().meta({ oneOf: "how much liquor" }),
  volumeMl: volume("Liquor").optional().meta({ oneOf: "how much liquor" }),
  thickeners: z
    .array(doseField)
    .max(8)
    .optional()
    .meta({ title: "Thickeners in it", columns: ["id", "massG", "minutes", "colour", "maxC"] }),
  yolkG: mass("Yolk in it").optional(),
  yolkMaxC: celsius("Yolk, hottest").optional(),
  puree: pureeField.optional().meta({ title: "Purée in it" }),
  milkSolidsG: mass("Milk solids in it").optional(),
  evaporatedG: mass("Boiled off").optional(),
  temperatureC: z.number().min(0).max(100).default(60).meta({ title: "Eaten at", unit: "°C" }),
};
export type SauceInput = Omit<z.infer<z.ZodObject<typeof sauceFields>>, "temperatureC"> & {
  saltPct?: number | undefined;
};

export const saltField = percent("Salt in it", 10).optional();
export const minutesField = minutes("Simmered").optional();

const USUAL_YOLK_C = 80;

/** The sauce a sum speaks of. @errors those of the liquid · NOT_ENOUGH · SUBSET_TOO_BIG */
export function sauceFrom(input: SauceInput, world: SumWorld): Result<SauceState> {
  const liquid = liquidOf(
    {
      ...(input.composition && {
        composition: Object.fromEntries(Object.entries(input.composition).filter(([, v]) => v !== undefined)),
      }),
      ...(input.liquid !== undefined && { liquid: input.liquid }),
    },
    world,
  );
  if (!liquid.ok) return liquid;
  const massG = massOfLiquid(liquid.value, input.massG, input.volumeMl, "massG");
  if (!massG.ok) return massG;
  const { ingredient, composition, name } = liquid.value;
  const pot = addIngredient(
    EMPTY_POT,
    {
      ...(ingredient ?? REFERENCE),
      name,
      composition,
      // Counted as a liquor whatever it is: its fat is already in it.
      phase: "liquor",
    },
    g(massG.value),
    { id: "liquid", temperatureC: degC(20) },
  );
  if (!pot.ok) return pot;
  const base = sauceOf(pot.value, world.facts);
  const puree = input.puree;
  const whole: SauceState = {
    ...base,
    ...(input.saltPct !== undefined && { saltG: (massG.value * input.saltPct) / 100 }),
    starches: [
      ...base.starches,
      ...(input.thickeners ?? []).map(t => ({
        id: t.id,
        massG: t.massG,
        ...(t.colour && { colour: t.colour }),
        ...(t.minutes !== undefined && { minutes: t.minutes }),
        ...(t.maxC !== undefined && { maxC: t.maxC }),
        ...(t.pH !== undefined && { pH: t.pH }),
        ...(t.blendedS !== undefined && { blendedS: t.blendedS }),
      })),
    ],
    yolkG: base.yolkG + (input.yolkG ?? 0),
    yolkMaxC: input.yolkG ? (input.yolkMaxC ?? USUAL_YOLK_C) : base.yolkMaxC,
    milkSolidsG: base.milkSolidsG + (input.milkSolidsG ?? 0),
    ...(puree && {
      pureeG: base.pureeG + puree.massG,
      pureeSolidsG: base.pureeSolidsG + puree.solidsG,
      fineness: FINENESS[puree.tool ?? "blender"],
    }),
  };
  const reduced = input.evaporatedG ? reducedBy(whole, input.evaporatedG) : ok(whole);
  if (!reduced.ok) return refuse(...reduced.problems);
  return ok(reduced.value, liquid.warnings);
}

const REFERENCE: Omit<Ingredient, "name" | "composition" | "phase"> = {
  id: "liquid",
  aliases: [],
  compositionSource: { mark: "E", text: "given here" },
  ediblePct: 100,
  edibleSource: { mark: "P", text: "used whole" },
  allergens: null,
  diet: [],
  measures: [],
};

/** A body as an answer: 0–100 with its 90 % interval. */
export const thicknessOf = (body: Pick<Body, "thickness" | "sd">): Estimate =>
  fromSd(body.thickness, body.sd, { min: 0, max: 100 });
