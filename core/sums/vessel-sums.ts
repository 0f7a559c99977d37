import { z } from "zod";
import { volumeMlOf } from "../things/pot";
import { ml, mm } from "../ground/quantity";
import { ok, refuse } from "../ground/result";
import { dipMark as markOf, volumeOfLevel } from "../things/vessel";
import { celsius, length, liquidFields, mass, targetField, vesselField, volume } from "./fields";
import { liquidOf, poolsOfLiquid, vesselOf } from "./inputs";
import { defineSum, missing } from "./sum";
import { endOf } from "./target";
import { grams, num, volumeOf } from "./words";

/** Litres, millimetres and surfaces of one vessel. */

export const vesselLevel = defineSum({
  name: "vessel-level",
  title: "Litres and the stick",
  purpose: "How high a volume stands in a vessel, or what a level holds.",
  words: ["dip stick", "how full", "litres", "millimetres", "capacity"],
  input: z.strictObject({
    vessel: vesselField,
    volumeMl: volume("Volume").optional().meta({ oneOf: "how full" }),
    levelMm: length("Or level").optional().meta({ oneOf: "how full" }),
  }),
  output: z.strictObject({
    levelMm: z.number(),
    volumeMl: z.number(),
    surfaceCm2: z.number(),
    brimMl: z.number(),
  }),
  example: { vessel: { shape: "cylinder", diameterMm: 320, heightMm: 320 }, volumeMl: 6400 },
  asks: ["vessel", "volumeMl"],
  work: (input, world) => {
    const vessel = vesselOf(input.vessel, world);
    if (!vessel.ok) return vessel;
    const { geometry, name } = vessel.value;
    if (input.volumeMl === undefined && input.levelMm === undefined)
      return refuse(missing("volumeMl", "Say how many litres, or what the stick reads."));
    const known =
      input.volumeMl !== undefined
        ? geometry.levelOf(ml(input.volumeMl))
        : volumeOfLevel(geometry, mm(input.levelMm ?? 0));
    if (!known.ok) return known;
    const levelMm = input.volumeMl !== undefined ? known.value : (input.levelMm ?? 0);
    const volumeMl = input.volumeMl ?? known.value;
    return ok({
      output: {
        levelMm,
        volumeMl,
        surfaceCm2: geometry.surfaceMm2(mm(levelMm)) / 100,
        brimMl: geometry.capacityMl,
      },
      sentence: `${volumeOf(volumeMl)} stands at ${num(levelMm)} mm in ${name}, which holds ${volumeOf(geometry.capacityMl)} to the brim.`,
    });
  },
});

export const dipMark = defineSum({
  name: "dip-mark",
  title: "Dip mark",
  purpose: "Where on the stick to stop a reduction, in this very pan.",
  words: ["mark", "reduce by half", "level", "stick", "stop"],
  input: z.strictObject({
    vessel: vesselField,
    startMl: volume("In the pan").optional().meta({ oneOf: "how full" }),
    startMm: length("Or the stick reads").optional().meta({ oneOf: "how full" }),
    target: targetField,
    ...liquidFields,
    temperatureC: celsius("As hot as").default(95),
    solidsMl: volume("Bones and vegetables below the level").optional(),
  }),
  output: z.strictObject({
    startMm: z.number(),
    markMm: z.number(),
    belowStartMm: z.number(),
    endMl: z.number(),
  }),
  example: {
    vessel: { shape: "cylinder", diameterMm: 320, heightMm: 320 },
    startMl: 6400,
    target: { by: 0.666667 },
  },
  asks: ["vessel", "startMl", "target"],
  work: (input, world) => {
    const vessel = vesselOf(input.vessel, world);
    if (!vessel.ok) return vessel;
    const liquid = liquidOf(input, world);
    if (!liquid.ok) return liquid;
    const { geometry, name } = vessel.value;
    const solids = ml(input.solidsMl ?? 0);
    const t = Math.min(110, Math.max(0, input.temperatureC));
    // Millilitres are counted at 20 °C; the stick meets them hot.
    const hundred = poolsOfLiquid(liquid.value, 100);
    const swell = volumeMlOf(hundred, t) / volumeMlOf(hundred, 20);
    let startMl = input.startMl;
    if (startMl === undefined) {
      if (input.startMm === undefined)
        return refuse(missing("startMl", "Say how much is in the pan, or what the stick reads."));
      const filled = volumeOfLevel(geometry, mm(input.startMm), "startMm");
      if (!filled.ok) return filled;
      startMl = (filled.value - solids) / swell;
    }
    const mass = (startMl * 100) / volumeMlOf(hundred, 20);
    const end = endOf(input.target, poolsOfLiquid(liquid.value, mass));
    if (!end.ok) return end;
    const remaining = end.value.endMl / startMl;
    const mark = markOf(geometry, ml(startMl * swell), remaining, solids);
    if (!mark.ok) return mark;
    const { markMm, startMm, belowStartMm } = mark.value;
    return ok(
      {
        output: { startMm, markMm, belowStartMm, endMl: end.value.endMl },
        sentence: `Stop at ${num(markMm)} mm in ${name}, ${num(belowStartMm)} mm below the ${num(startMm)} mm of the start: ${volumeOf(end.value.endMl)} is left.`,
      },
      liquid.warnings,
    );
  },
});

/** Melted fat as it is poured over meat, °C. */
const WARM_FAT_C = 40;

export const fatToCover = defineSum({
  name: "fat-to-cover",
  title: "Fat to cover",
  purpose: "Fat that covers meat in a tray, and what is missing.",
  words: ["confit", "duck fat", "cover", "tray"],
  input: z.strictObject({
    vessel: vesselField,
    depthMm: length("Filled to"),
    solidsMl: volume("Room the meat takes").optional().meta({ oneOf: "how much meat" }),
    solidsG: mass("Or its weight").optional().meta({ oneOf: "how much meat" }),
    densityGPerMl: z.number().min(0.5).max(2).optional().meta({ title: "Density of it", unit: "g/ml" }),
    haveG: mass("Fat at hand").optional(),
  }),
  output: z.strictObject({ needMl: z.number(), needG: z.number(), shortG: z.number() }),
  example: {
    vessel: {
      shape: "rect",
      baseLengthMm: 500,
      baseWidthMm: 300,
      rimLengthMm: 500,
      rimWidthMm: 300,
      heightMm: 100,
      cornerMm: 0,
    },
    depthMm: 60,
    solidsMl: 3900,
    haveG: 3020,
  },
  asks: ["vessel", "depthMm", "solidsMl", "haveG"],
  work: (input, world) => {
    const vessel = vesselOf(input.vessel, world);
    if (!vessel.ok) return vessel;
    const filled = volumeOfLevel(vessel.value.geometry, mm(input.depthMm), "depthMm");
    if (!filled.ok) return filled;
    const solids =
      input.solidsMl ??
      (input.solidsG !== undefined && input.densityGPerMl !== undefined
        ? input.solidsG / input.densityGPerMl
        : undefined);
    if (solids === undefined)
      return refuse(missing("solidsMl", "Say the room the meat takes, or its weight and density."));
    if (solids > filled.value)
      return refuse({
        code: "OVERFLOW",
        field: "solidsMl",
        value: solids,
        allowed: { max: filled.value },
        message: `The meat alone takes ${volumeOf(solids)}; to that depth the tray holds ${volumeOf(filled.value)}.`,
      });
    const needMl = filled.value - solids;
    const needG = (needMl * (925.59 - 0.41757 * WARM_FAT_C)) / 1000;
    const shortG = Math.max(0, needG - (input.haveG ?? 0));
    return ok({
      output: { needMl, needG, shortG },
      sentence: `${volumeOf(needMl)} of fat, ${grams(needG)}${input.haveG === undefined ? "" : shortG > 0 ? `; ${grams(shortG)} more than you have` : "; you have enough"}.`,
    });
  },
});
