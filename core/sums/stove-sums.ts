import { z } from "zod";
import { ok } from "../ground/result";
import { g } from "../ground/quantity";
import { panChange } from "../laws/reduction";
import { SOUP_BUTTER_G_PER_L, beurreManieDose, soupButter } from "../laws/thickening";
import { fatCapPct, netEvaporation } from "../things/pot";
import { count, hours, mass, massAbove0, vesselField, volume } from "./fields";
import { vesselOf } from "./inputs";
import { defineSum } from "./sum";
import { grams, num, pct, time, volumeOf } from "./words";

/** Small sums beside a pot on the fire: another pan, what has evaporated, the fat on top, butter to finish. */

export const panChangeSum = defineSum({
  name: "pan-change",
  title: "Into another pan",
  purpose: "What a wider or narrower pan does to the time that is left, and why.",
  words: ["wider pan", "faster", "surface", "change the pot"],
  input: z.strictObject({
    from: vesselField.meta({ title: "In" }),
    to: vesselField.meta({ title: "Into" }),
    rateMlPerMin: z.number().positive().max(5000).meta({ title: "Loses now", unit: "ml/min" }),
    leftMl: volume("Must still go"),
    how: z
      .enum(["held", "boiling"])
      .default("held")
      .meta({ title: "It is", words: { held: "held below the boil", boiling: "at a full boil" } }),
  }),
  output: z.strictObject({
    times: z.number(),
    rateMlPerMin: z.number(),
    minutes: z.number(),
  }),
  example: {
    from: { shape: "cylinder", diameterMm: 320, heightMm: 320 },
    to: { shape: "cylinder", diameterMm: 450, heightMm: 250 },
    rateMlPerMin: 40,
    leftMl: 3480,
    how: "held",
  },
  asks: ["from", "to", "rateMlPerMin", "leftMl", "how"],
  work: (i, world) => {
    const [from, to] = [vesselOf(i.from, world, "from"), vesselOf(i.to, world, "to")];
    if (!from.ok) return from;
    if (!to.ok) return to;
    const done = panChange(i.rateMlPerMin, i.leftMl, from.value.geometry, to.value.geometry, i.how);
    if (!done.ok) return done;
    const { times, rateMlPerMin, minutes, why } = done.value;
    return ok({
      output: { times, rateMlPerMin, minutes },
      sentence: `${num(rateMlPerMin)} ml a minute, ${time(minutes)} to go (× ${num(times, 2)}). ${why}`,
    });
  },
});

export const evaporated = defineSum({
  name: "evaporated",
  title: "What has evaporated",
  purpose: "Steam over a simmer that was topped up, from litres in and litres out.",
  words: ["top up", "topped up", "evaporation rate", "litres in and out"],
  input: z.strictObject({
    startMl: volume("Filled at first"),
    toppedUpMl: z
      .array(z.number().min(0).max(1_000_000))
      .max(40)
      .default([])
      .meta({ title: "Topped up", unit: "ml", hint: "with spaces: 1000 1500" }),
    outMl: volume("Strained"),
    lostMl: volume("Held by the bones, skimmed").default(0),
    hours: hours("In"),
  }),
  output: z.strictObject({ evaporatedMl: z.number(), mlPerHour: z.number() }),
  example: { startMl: 19_000, toppedUpMl: [1000, 1500], outMl: 16_000, lostMl: 600, hours: 5 },
  asks: ["startMl", "toppedUpMl", "outMl", "lostMl", "hours"],
  work: i => {
    const done = netEvaporation(i);
    if (!done.ok) return done;
    return ok({
      output: done.value,
      sentence: `${volumeOf(done.value.evaporatedMl)} went as steam: ${volumeOf(done.value.mlPerHour)} an hour.`,
    });
  },
});

export const fatCap = defineSum({
  name: "fat-cap",
  title: "The cap of fat",
  purpose: "A cap of fat as a share of the stock, before skimming and after.",
  words: ["fat cap", "skim", "fat on top", "greasy stock"],
  input: z.strictObject({
    capG: mass("Fat on top"),
    wholeG: massAbove0("Stock with it"),
    leftG: mass("Left after skimming").optional(),
  }),
  output: z.strictObject({ beforePct: z.number(), afterPct: z.number().optional() }),
  example: { capG: 382, wholeG: 7000, leftG: 60 },
  asks: ["capG", "wholeG", "leftG"],
  work: i => {
    const beforePct = fatCapPct(g(i.capG), g(i.wholeG));
    const afterPct =
      i.leftG === undefined ? undefined : fatCapPct(g(i.leftG), g(i.wholeG - i.capG + i.leftG));
    return ok({
      output: { beforePct, ...(afterPct !== undefined && { afterPct }) },
      sentence: `${pct(beforePct, 1)} fat on top${afterPct === undefined ? "" : `; ${pct(afterPct, 1)} after skimming`}.`,
    });
  },
});

export const kneaded = defineSum({
  name: "kneaded-butter",
  title: "Beurre manié by the piece",
  purpose: "Pieces of kneaded butter counted into flour per litre.",
  words: ["beurre manié", "kneaded", "pieces", "flour per litre"],
  input: z.strictObject({
    pieceG: massAbove0("One piece"),
    count: count("Pieces"),
    volumeMl: volume("Into"),
  }),
  output: z.strictObject({ totalG: z.number(), flourGPerL: z.number() }),
  example: { pieceG: 15, count: 5, volumeMl: 1100 },
  asks: ["pieceG", "count", "volumeMl"],
  work: i => {
    const dose = beurreManieDose(i.pieceG, i.count, i.volumeMl);
    return ok({
      output: dose,
      sentence: `${num(i.count)} pieces are ${grams(dose.totalG)}, ${num(dose.flourGPerL)} g of flour to the litre.`,
    });
  },
});

export const soupButterSum = defineSum({
  name: "soup-butter",
  title: "Butter for a soup",
  purpose: "Butter to finish a smooth soup with; a chunky one it only floats on.",
  words: ["finish with butter", "mount a soup", "g/l butter"],
  input: z.strictObject({
    volumeMl: volume("Soup"),
    style: z.string().min(1).max(80).default("smooth").meta({ title: "What soup", hint: "purée, chowder …" }),
    gPerL: z.number().min(1).max(200).default(SOUP_BUTTER_G_PER_L).meta({ title: "Butter", unit: "g/l" }),
  }),
  output: z.strictObject({ butterG: z.number() }),
  example: { volumeMl: 9000, style: "purée", gPerL: 60 },
  asks: ["volumeMl", "style", "gPerL"],
  work: i => {
    const butterG = soupButter(i.volumeMl, i.style, i.gPerL);
    return butterG.ok
      ? ok({
          output: { butterG: butterG.value },
          sentence: `${grams(butterG.value)} of cold butter, off the heat.`,
        })
      : butterG;
  },
});
