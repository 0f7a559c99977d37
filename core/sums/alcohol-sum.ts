import { z } from "zod";
import { boilDown, flameWarnings, keptInWords, labelEthanol, retainedShare } from "../laws/alcohol";
import type { FactValues } from "../ground/facts";
import { type Pools, abvOf, ethanolShareOfAbv, massOfPools, volumeAt20 } from "../things/pot";
import { type Result, ok, refuse } from "../ground/result";
import { clipped, estimated } from "./estimates";
import {
  aroundFields,
  estimateField,
  liquidFields,
  mass,
  massAbove0,
  minutes,
  targetField,
  volume,
} from "./fields";
import { type KnownLiquid, aroundOf, liquidOf, massOfLiquid, poolsOfLiquid } from "./inputs";
import { type SumWorld, defineSum, missing } from "./sum";
import { endOf } from "./target";
import { around, grams, pct } from "./words";

const METHODS = ["boil-down", "stirred-in", "flamed", "off-heat", "none"] as const;
const METHOD_WORDS: Record<(typeof METHODS)[number], string> = {
  "boil-down": "boiled down",
  "stirred-in": "stirred in, simmered on",
  flamed: "flamed",
  "off-heat": "off the heat",
  none: "not cooked",
};

const input = z.strictObject({
  ...liquidFields,
  abvPct: z
    .number()
    .optional()
    .meta({ title: "Or its strength", unit: "% vol", oneOf: "what the liquid is" }),
  massG: mass("Of it").optional().meta({ oneOf: "how much of it" }),
  volumeMl: volume("Or as a volume").optional().meta({ oneOf: "how much of it" }),
  method: z.enum(METHODS).meta({ title: "How", words: METHOD_WORDS }),
  target: targetField.optional(),
  minutes: minutes("Simmered on for").max(1440).optional(),
  inBatchG: massAbove0("In a batch of").optional(),
  ...aroundFields,
});

/** What alcohol stays. Never nothing, and a label takes the upper end. */
export const alcoholLeft = defineSum({
  name: "alcohol-left",
  title: "Alcohol left",
  purpose: "What of wine or spirit stays, with the upper end a label must take.",
  words: ["wine", "brandy", "flambé", "flame", "boil off", "abstain", "label"],
  input,
  output: z.strictObject({
    ethanolG: estimateField,
    leftPct: z.number(),
    abvPct: z.number(),
    inBatchPct: z.number().optional(),
    labelPct: z.number(),
  }),
  example: { abvPct: 40, volumeMl: 300, method: "flamed", minutes: 30, inBatchG: 6000 },
  asks: ["liquid", "volumeMl", "method", "minutes", "target", "inBatchG"],
  work: (i, world) => {
    const liquid = drinkOf(i, world);
    if (!liquid.ok) return liquid;
    const massG = massOfLiquid(liquid.value, i.massG, i.volumeMl, "massG");
    if (!massG.ok) return massG;
    const air = aroundOf(i, world);
    if (!air.ok) return air;
    const start = poolsOfLiquid(liquid.value, massG.value);
    const startAbv = abvOf(start);
    const left = (f: FactValues): Result<Pools> => {
      if (i.method === "boil-down") {
        if (!i.target) return refuse(missing("target", "Say what it is boiled down by or to."));
        const end = endOf(i.target, start);
        if (!end.ok) return end;
        return boilDown(start, end.value.endMl / volumeAt20(start), air.value.around.pressurePa, f);
      }
      const kept = retainedShare(i.method, i.method === "none" ? 0 : (i.minutes ?? 0), f);
      return kept.ok ? ok({ ...start, ethanol: start.ethanol * kept.value }) : kept;
    };
    const nominal = left(air.value.facts);
    if (!nominal.ok) return nominal;
    const found = estimated(air.value.facts, f => {
      const kept = left(f);
      return kept.ok ? ok({ ethanolG: kept.value.ethanol }) : kept;
    });
    if (!found.ok) return found;
    const ethanolG = clipped(found.value.ethanolG, 0, start.ethanol);
    const upper = ethanolG.hi ?? start.ethanol;
    const batchG = i.inBatchG ?? massOfPools(nominal.value);
    const labelG = labelEthanol(start.ethanol, upper);
    const share = (x: number) => (start.ethanol > 0 ? x / start.ethanol : 0);
    const output = {
      ethanolG,
      leftPct: 100 * share(ethanolG.value),
      abvPct: abvOf(nominal.value),
      ...(i.inBatchG !== undefined && { inBatchPct: batchG > 0 ? (100 * ethanolG.value) / batchG : 0 }),
      labelPct: batchG > 0 ? (100 * labelG) / batchG : 0,
    };
    return ok(
      {
        output,
        sentence:
          start.ethanol > 0
            ? `${grams(ethanolG.value)} of ${grams(start.ethanol)} alcohol${around(ethanolG, grams)} stays, ${keptInWords(share(ethanolG.value), share(upper))}. For a label count ${pct(output.labelPct, 2)} of the batch.`
            : "There was no alcohol in it.",
      },
      [
        ...liquid.warnings,
        ...(i.method === "boil-down" || i.method === "flamed" ? flameWarnings(startAbv) : []),
      ],
    );
  },
});

function drinkOf(i: z.infer<typeof input>, world: SumWorld): Result<KnownLiquid> {
  if (i.composition !== undefined || i.liquid !== undefined) return liquidOf(i, world);
  if (i.abvPct === undefined)
    return refuse(
      missing("liquid", "Say what it is: a drink of the larder, its strength, or its composition."),
    );
  const share = ethanolShareOfAbv(i.abvPct);
  if (!share.ok) return share;
  return liquidOf({ composition: { ethanol: 100 * share.value, water: 100 * (1 - share.value) } }, world);
}
