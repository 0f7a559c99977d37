import { z } from "zod";
import { BLEND_VESSELS, blenderLoads as loadsOf, dryTo as stopAt } from "../laws/puree";
import { type Problem, checkNumber, ok, refuse } from "../ground/result";
import { celsius, mass, massAbove0, percent, volume } from "./fields";
import { defineSum, missing } from "./sum";
import { grams, num, pct, time, volumeOf } from "./words";

/** From the crate to the pass; what to stop at; how many loads. */

export const pureeYield = defineSum({
  name: "puree-yield",
  title: "Purée from the crate",
  purpose: "What is left after peeling, cooking, blending and the sieve.",
  words: ["celeriac purée", "how much purée", "peel cook sieve"],
  input: z.strictObject({
    grossG: massAbove0("As bought"),
    peelYieldPct: percent("Left after peeling").default(100),
    cookYieldPct: percent("Left after cooking", 120),
    addedG: mass("Milk, stock, butter added").default(0),
    sieveYieldPct: percent("Through the sieve").default(100),
    portionG: massAbove0("Portion").optional(),
  }),
  output: z.strictObject({ finishedG: z.number(), portions: z.number().optional() }),
  example: { grossG: 3200, peelYieldPct: 78, cookYieldPct: 94, addedG: 300, sieveYieldPct: 96, portionG: 70 },
  asks: ["grossG", "peelYieldPct", "cookYieldPct", "addedG", "portionG"],
  work: i => {
    if (i.peelYieldPct <= 0 || i.cookYieldPct <= 0)
      return refuse({
        code: "OUT_OF_RANGE",
        field: i.peelYieldPct <= 0 ? "peelYieldPct" : "cookYieldPct",
        value: 0,
        message: "Nothing would be left. Where nothing is peeled, leave it empty: that is 100 %.",
      });
    const cooked = (i.grossG * i.peelYieldPct * i.cookYieldPct) / 10_000;
    const finishedG = ((cooked + i.addedG) * i.sieveYieldPct) / 100;
    const portions = i.portionG ? Math.floor(finishedG / i.portionG + 1e-9) : undefined;
    return ok({
      output: { finishedG, ...(portions !== undefined && { portions }) },
      sentence: `${grams(finishedG)} of purée from ${grams(i.grossG)}${portions === undefined ? "" : `: ${num(portions)} portions of ${grams(i.portionG ?? 0)}`}.`,
    });
  },
});

export const dryToSum = defineSum({
  name: "dry-to",
  title: "Dry to a weight",
  purpose: "The weight at which drained potato, duxelles or tomato is dry enough.",
  words: ["drive off", "dry potato", "duxelles", "stop weight"],
  input: z.strictObject({
    startG: massAbove0("Start"),
    lossPct: percent("To lose").optional().meta({ oneOf: "where it ends" }),
    remainPct: percent("Or to remain").optional().meta({ oneOf: "where it ends" }),
    startSolidsPct: percent("Solids now").optional(),
    targetSolidsPct: percent("Or solids wanted").optional().meta({ oneOf: "where it ends" }),
  }),
  output: z.strictObject({ stopG: z.number(), lostG: z.number() }),
  example: { startG: 4000, lossPct: 6 },
  asks: ["startG", "lossPct", "remainPct"],
  work: ({ startG, ...how }) => {
    const done = stopAt(
      startG,
      Object.fromEntries(Object.entries(how).filter(([, value]) => value !== undefined)),
    );
    if (!done.ok) return done;
    const { stopG, lostG } = done.value;
    return ok({
      output: { stopG, lostG },
      sentence: `Stop at ${grams(stopG)}: ${grams(lostG)} of water has gone, room for as much enrichment.`,
    });
  },
});

/** What “hot” means where no temperature is said, °C; and cold. */
const HOT_C = 85;
const COLD_C = 20;

export const blenderLoadsSum = defineSum({
  name: "blender-loads",
  title: "Blender loads",
  purpose: "Equal loads that stay under the fill a hot liquid allows.",
  words: ["blend batches", "jar", "hot fill", "how many loads"],
  input: z.strictObject({
    volumeMl: volume("To blend"),
    jarMl: volume("Jar"),
    temperatureC: celsius("At").optional().meta({ oneOf: "how hot" }),
    hot: z.boolean().optional().meta({ title: "Or just hot", oneOf: "how hot" }),
    device: z
      .enum(BLEND_VESSELS)
      .default("jar")
      .meta({ title: "In a", words: { jar: "jar", cylinder: "tall cylinder, stick blender" } }),
    minutesPerLoad: z.number().positive().max(60).default(1.5).meta({ title: "Minutes a load" }),
  }),
  output: z.strictObject({
    loads: z.number(),
    perLoadMl: z.number(),
    fillPct: z.number(),
    minutes: z.number(),
  }),
  example: { volumeMl: 7200, jarMl: 2000, hot: true },
  asks: ["volumeMl", "jarMl", "temperatureC"],
  work: i => {
    const c = i.temperatureC ?? (i.hot === undefined ? undefined : i.hot ? HOT_C : COLD_C);
    if (c === undefined) return refuse(missing("temperatureC", "Say how warm it is, or that it is hot."));
    const done = loadsOf(i.volumeMl, i.jarMl, c, i.device, i.minutesPerLoad);
    if (!done.ok) return done;
    const { loads, perLoadMl, fill, minutes } = done.value;
    return ok(
      {
        output: { loads, perLoadMl, fillPct: 100 * fill, minutes },
        sentence: `${num(loads)} ${loads === 1 ? "load" : "loads"} of ${volumeOf(perLoadMl)}, ${pct(100 * fill, 0)} full; ${time(minutes)} in all.`,
      },
      done.warnings,
    );
  },
});

const positive = (value: number, field: string, label: string): Problem[] => checkNumber(value, field, label);

/** Set custard of a purée: base, yolk, oil and salt into moulds of one depth. */
export const setCustard = defineSum({
  name: "set-custard",
  title: "Set custard of a purée",
  purpose: "Lines and pieces of a custard set from a purée.",
  words: ["flan", "custard", "timbale", "royale"],
  input: z.strictObject({
    baseG: massAbove0("Purée"),
    yolkPct: percent("Yolk, of the purée").default(30),
    oilPct: percent("Oil or cream, of the purée").default(10),
    saltG: mass("Salt").default(8),
    mouldG: massAbove0("One mould").default(35),
  }),
  output: z.strictObject({
    yolkG: z.number(),
    yolks: z.number(),
    oilG: z.number(),
    totalG: z.number(),
    pieces: z.number(),
  }),
  example: { baseG: 600, yolkPct: 30, oilPct: 10, saltG: 8, mouldG: 35 },
  asks: ["baseG", "mouldG"],
  work: i => {
    const yolkG = (i.baseG * i.yolkPct) / 100;
    const oilG = (i.baseG * i.oilPct) / 100;
    const totalG = i.baseG + yolkG + oilG + i.saltG;
    const pieces = Math.floor(totalG / i.mouldG + 1e-9);
    return ok(
      {
        output: { yolkG, yolks: yolkG / 18, oilG, totalG, pieces },
        sentence: `${grams(totalG)}: ${num(yolkG / 18)} yolks (${grams(yolkG)}), ${grams(oilG)} oil, ${grams(i.saltG)} salt; ${num(pieces)} pieces of ${grams(i.mouldG)}, set at 85 °C.`,
      },
      [
        {
          code: "SAME_DEPTH",
          message: "The time belongs to one depth of mould: another depth wants another trial.",
        },
      ],
    );
  },
});

/** Meringue dried from a purée: the mix, the pieces, the oven. */
export const pureeMeringue = defineSum({
  name: "puree-meringue",
  title: "Dried meringue of a purée",
  purpose: "Powder, sugar and pieces of a meringue dried from a purée, and when it is dry.",
  words: ["meringue", "dried purée", "albumen powder"],
  input: z.strictObject({
    baseG: massAbove0("Purée"),
    powderPct: percent("Albumen powder, of the purée").default(30),
    sugarPct: percent("Sugar, of the purée").default(35),
    acidLiquidPct: percent("Acid liquid, of the purée").default(15),
    pieceG: massAbove0("One piece").default(4),
    lossPct: percent("Lost in the bag").default(3),
    startMin: z.number().min(0).max(2880).default(540).meta({ title: "Begun, minutes after midnight" }),
  }),
  output: z.strictObject({
    powderG: z.number(),
    sugarG: z.number(),
    acidLiquidG: z.number(),
    totalG: z.number(),
    pieces: z.number(),
    doneMin: z.number(),
  }),
  example: { baseG: 500 },
  asks: ["baseG", "pieceG"],
  work: i => {
    const problems = positive(i.baseG, "baseG", "The purée");
    if (problems.length) return refuse(...problems);
    const part = (p: number) => (i.baseG * p) / 100;
    const [powderG, sugarG, acidLiquidG] = [part(i.powderPct), part(i.sugarPct), part(i.acidLiquidPct)];
    const totalG = i.baseG + powderG + sugarG + acidLiquidG;
    const pieces = Math.floor((totalG * (1 - i.lossPct / 100)) / i.pieceG + 1e-9);
    const doneMin = i.startMin + DRYING.reduce((sum, d) => sum + d.minutes, 0);
    const clock = `${String(Math.floor((doneMin / 60) % 24)).padStart(2, "0")}:${String(Math.round(doneMin % 60)).padStart(2, "0")}`;
    return ok({
      output: { powderG, sugarG, acidLiquidG, totalG, pieces, doneMin },
      sentence: `${grams(powderG)} powder, ${grams(sugarG)} sugar, ${grams(acidLiquidG)} acid liquid: ${num(pieces)} pieces; ${DRYING.map(d => `${d.c} °C ${time(d.minutes)}`).join(", then ")}, dry at ${clock}.`,
    });
  },
});

/** Two stages of drying. Common practice, no source. */
const DRYING = [
  { c: 70, minutes: 30 },
  { c: 50, minutes: 300 },
] as const;
