import { z } from "zod";
import {
  type KitchenData,
  blankFormula,
  openKitchen,
  readFormula,
  scaleFormula,
  usualKitchen,
} from "../formula";
import { ok, refuse } from "../ground/result";
import { type SumWorld, defineSum } from "./sum";
import { grams, num } from "./words";

const kitchenFrom = (world: SumWorld): KitchenData =>
  usualKitchen({
    id: "sum",
    name: "this kitchen",
    altitudeM: world.altitudeM,
    pressurePa: world.around.pressurePa,
    ambientC: world.around.ambientC,
    humidity: world.around.humidity,
    ingredients: world.ingredients,
    ...(world.vessels.length && { vessels: world.vessels }),
  });

const line = (id: string, larder: string, massG: number) => ({
  id,
  of: { larder },
  amount: { kind: "fixed" as const, massG },
  certainty: "stated" as const,
});

/** A small velouté to begin from. */
const EXAMPLE = {
  ...blankFormula("Velouté", { name: "stock", massG: 1000 }),
  steps: [
    {
      id: "roux",
      kind: "add",
      durationMin: 4,
      lines: [line("butter", "butter", 50), line("flour", "wheat-flour", 50)],
    },
    {
      id: "bind",
      kind: "thicken",
      form: "roux",
      rouxHot: false,
      durationMin: 20,
      lines: [line("stock", "bought-white-stock", 1000)],
    },
  ],
};

const positive = z.number().positive().max(1_000_000);
const toField = z
  .union([
    z.strictObject({ factor: positive }),
    z.strictObject({ baseG: positive }),
    z.strictObject({ finishedG: positive }),
    z.strictObject({
      covers: positive,
      portionG: positive,
      overagePct: z.number().min(0).max(100).optional(),
    }),
  ])
  .meta({ title: "To", typed: "size", hint: "× 2, 8 kg finished, 8 kg of the base, or 40 × 60 g" });

export const scale = defineSum({
  name: "scale",
  title: "Scale a formula",
  purpose: "A whole formula to a size, with what does not scale put right and why.",
  words: ["times", "covers", "bigger batch"],
  input: z.strictObject({
    formula: z.unknown().meta({ title: "Formula, as JSON", typed: "json" }),
    to: toField,
    policy: z.enum(["keep time", "keep proportions"]).default("keep time").meta({ title: "What simmers" }),
  }),
  output: z.strictObject({
    factor: z.number(),
    batches: z.number(),
    finishedG: z.number(),
    lines: z.array(
      z.strictObject({
        name: z.string(),
        originalG: z.number(),
        plainG: z.number(),
        oursG: z.number(),
        roundedG: z.number(),
        firstDoseG: z.number().optional(),
        reason: z.string().optional(),
      }),
    ),
  }),
  example: { formula: EXAMPLE, to: { factor: 4 } },
  asks: ["to"],
  work: ({ formula, to, policy }, world) => {
    const document = readFormula(formula);
    if (!document.ok)
      return refuse(
        ...document.problems.map(p => ({ ...p, field: p.field ? `formula.${p.field}` : "formula" })),
      );
    const kitchen = openKitchen(kitchenFrom(world));
    const wanted =
      "factor" in to
        ? ({ by: "factor", factor: to.factor } as const)
        : "baseG" in to
          ? ({ by: "base", massG: to.baseG } as const)
          : "finishedG" in to
            ? ({ by: "finished", massG: to.finishedG } as const)
            : ({
                by: "covers",
                covers: to.covers,
                portionG: to.portionG,
                overagePct: to.overagePct ?? 0,
              } as const);
    const scaled = scaleFormula(document.value, kitchen, wanted, policy);
    if (!scaled.ok) return scaled;
    const { factor, batches, finished, lines, warnings } = scaled.value;
    const put = lines.filter(l => l.reason).length;
    return ok(
      {
        output: {
          factor,
          batches,
          finishedG: finished.oursG * batches,
          lines: lines.map(({ name, originalG, plainG, oursG, roundedG, firstDoseG, reason }) => ({
            name,
            originalG,
            plainG,
            oursG,
            roundedG,
            ...(firstDoseG !== undefined && { firstDoseG }),
            ...(reason && { reason }),
          })),
        },
        sentence: `× ${num(factor, 2)}: ${grams(finished.oursG * batches)} in ${num(batches)} ${batches === 1 ? "batch" : "batches"}; ${num(put)} ${put === 1 ? "line is" : "lines are"} put right.`,
      },
      warnings,
    );
  },
});
