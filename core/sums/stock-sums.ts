import { z } from "zod";
import type { Estimate } from "../ground/estimate";
import type { FactValues } from "../ground/facts";
import { waterDensityKgM3 } from "../things/pot";
import { degC, g, ml, mm, s } from "../ground/quantity";
import { type Result, ok, refuse } from "../ground/result";
import {
  BONE_CLASSES,
  KIND_OF,
  SET_BANDS,
  effectiveGelatinPct,
  extraction,
  plateau as plateauOf,
  setBand,
  setInWords,
  simmerWarnings,
  stockYield as yieldOf,
  yieldingOf,
} from "../laws/stock";
import { coverWith } from "../things/vessel";
import { BASES } from "../ground/estimate";
import { clipped, estimated } from "./estimates";
import {
  aroundFields,
  celsius,
  estimateField,
  hours,
  length,
  lidField,
  mass,
  massAbove0,
  minutes,
  surfaceField,
  vesselField,
  volume,
} from "./fields";
import { aroundOf, vesselOf } from "./inputs";
import { defineSum, missing } from "./sum";
import { around, grams, honest, num, time, volumeOf } from "./words";

/** What bones give: yield, body, set, and when it is enough. */

const boneClass = z.enum(BONE_CLASSES).meta({ title: "Bones" });

/** A set as a band with the bands of its limits. */
const setField = z.strictObject({
  value: z.enum(SET_BANDS),
  lo: z.enum(SET_BANDS),
  hi: z.enum(SET_BANDS),
  basis: z.enum(BASES),
  notes: z.array(z.string()).readonly(),
});
const MOST_EFFECTIVE_PCT = 40;
const setOf = (of: Estimate): z.infer<typeof setField> => ({
  value: setBand(of.value),
  lo: setBand(of.lo),
  hi: setBand(of.hi ?? MOST_EFFECTIVE_PCT),
  basis: of.basis,
  notes: of.notes,
});

export const stockYield = defineSum({
  name: "stock-yield",
  title: "Stock yield",
  purpose: "Litres, body and set that come out of a stock pot.",
  words: ["bones", "gelatin", "litres", "set", "how much stock", "simmer"],
  input: z.strictObject({
    boneClass,
    bonesG: massAbove0("Bones, raw"),
    roasted: z.boolean().optional().meta({ title: "Roasted" }),
    waterMl: volume("Water").optional().meta({ oneOf: "how much water" }),
    coverMm: length("Or covered by").optional().meta({ oneOf: "how much water" }),
    vegetablesG: mass("Vegetables").optional(),
    vessel: vesselField,
    holdC: celsius("Held at"),
    hours: hours("For").max(48),
    surface: surfaceField.optional(),
    lid: lidField.optional(),
    topUpMl: volume("Topped up with").optional(),
    ...aroundFields,
  }),
  output: z.strictObject({
    strainedMl: estimateField,
    evaporatedG: estimateField,
    gelatinPct: estimateField,
    brix: estimateField,
    set: setField,
    uncoveredAfterMin: z.number().optional(),
  }),
  example: {
    boneClass: "veal",
    bonesG: 9000,
    coverMm: 25,
    vegetablesG: 1080,
    vessel: { shape: "cylinder", diameterMm: 400, heightMm: 400 },
    holdC: 88,
    hours: 8,
  },
  asks: ["boneClass", "bonesG", "vessel", "coverMm", "holdC", "hours"],
  work: (input, world) => {
    const vessel = vesselOf(input.vessel, world);
    if (!vessel.ok) return vessel;
    const air = aroundOf(input, world);
    if (!air.ok) return air;
    const { geometry } = vessel.value;
    if (input.waterMl === undefined && input.coverMm === undefined)
      return refuse(missing("waterMl", "Say how much water, or how far it covers the bones."));
    const heaps = [
      { kind: KIND_OF[input.boneClass], massG: g(input.bonesG) },
      ...(input.vegetablesG ? [{ kind: "mirepoix" as const, massG: g(input.vegetablesG) }] : []),
    ];
    const waterOf = (f: FactValues): Result<number> => {
      const density = waterDensityKgM3(15) / 1000;
      if (input.waterMl !== undefined) return ok(input.waterMl * density);
      const cover = coverWith(geometry, heaps, mm(input.coverMm ?? 0), f);
      return cover.ok ? ok(cover.value.liquidMl * density) : cover;
    };
    const work = (f: FactValues) => {
      const water = waterOf(f);
      if (!water.ok) return water;
      return yieldOf({
        of: input.boneClass,
        bonesG: g(input.bonesG),
        roasted: input.roasted ?? false,
        waterG: g(water.value),
        vegetablesG: g(input.vegetablesG ?? 0),
        topUpMl: ml(input.topUpMl ?? 0),
        vessel: geometry,
        holdC: degC(input.holdC),
        time: s(input.hours * 3600),
        surface: input.surface ?? "lazy",
        lid: input.lid ?? "off",
        around: air.value.around,
        facts: f,
      });
    };
    const nominal = work(air.value.facts);
    if (!nominal.ok) return nominal;
    const found = estimated(air.value.facts, f => {
      const made = work(f);
      if (!made.ok) return made;
      const { strainedMl, evaporatedG, gelatinPct, brix, effectivePct } = made.value;
      return ok({ strainedMl, evaporatedG, gelatinPct, brix, effectivePct });
    });
    if (!found.ok) return found;
    const { strainedMl, evaporatedG, gelatinPct, brix, effectivePct } = found.value;
    const bare = nominal.value.uncoveredAfter;
    return ok(
      {
        output: {
          strainedMl,
          evaporatedG,
          gelatinPct: clipped(gelatinPct, 0, 100),
          brix,
          set: setOf(effectivePct),
          ...(bare !== null && { uncoveredAfterMin: bare / 60 }),
        },
        sentence: `About ${volumeOf(strainedMl.value)}${around(strainedMl, volumeOf)} strained, ${honest(gelatinPct, 1)} % gelatin: ${setInWords(effectivePct.value, effectivePct.lo, effectivePct.hi)} in the cold. ${grams(evaporatedG.value)} leaves as steam.`,
      },
      nominal.warnings,
    );
  },
});

export const extract = defineSum({
  name: "extract",
  title: "What bones give",
  purpose: "Gelatin and other solids after so many hours, first or second wetting.",
  words: ["gelatin", "remouillage", "second wetting", "hours", "bloom"],
  input: z.strictObject({
    boneClass,
    bonesG: massAbove0("Bones, raw"),
    roasted: z.boolean().optional().meta({ title: "Roasted" }),
    hours: hours("For").max(48),
    temperatureC: celsius("At"),
    liquorG: massAbove0("In so much liquor").optional(),
    previous: z
      .strictObject({ gelatinG: mass("Gelatin given"), solidsG: mass("Solids given") })
      .optional()
      .meta({ title: "Given before" }),
  }),
  output: z.strictObject({
    gelatinG: z.number(),
    solidsG: z.number(),
    strength: z.number().nullable(),
    gelatinPct: z.number().optional(),
    set: setField.optional(),
  }),
  example: { boneClass: "veal", bonesG: 3629, hours: 8, temperatureC: 93, liquorG: 3800 },
  asks: ["boneClass", "bonesG", "hours", "temperatureC", "liquorG"],
  work: (input, world) => {
    const { boneClass: of, liquorG } = input;
    const roasted = input.roasted ?? false;
    const give = (f: FactValues) =>
      extraction(
        {
          of,
          rawG: g(input.bonesG),
          roasted,
          gaveGelatinG: g(input.previous?.gelatinG ?? 0),
          gaveSolidsG: g(input.previous?.solidsG ?? 0),
        },
        s(input.hours * 3600),
        degC(input.temperatureC),
        f,
      );
    const nominal = give(world.facts);
    if (!nominal.ok) return nominal;
    const { gelatinG, solidsG, strength } = nominal.value;
    const found = estimated(world.facts, f => {
      const given = give(f);
      if (!given.ok) return given;
      const bloom = (yieldingOf(of, roasted, f).gelatin?.bloomG ?? 0) * (given.value.strength ?? 0);
      const pct = liquorG ? (100 * given.value.gelatinG) / liquorG : 0;
      return ok({ gelatinG: given.value.gelatinG, effectivePct: effectiveGelatinPct(pct, bloom) });
    });
    if (!found.ok) return found;
    const sets = liquorG !== undefined && strength !== null;
    const { effectivePct } = found.value;
    return ok(
      {
        output: {
          gelatinG,
          solidsG,
          strength,
          ...(liquorG !== undefined && { gelatinPct: (100 * gelatinG) / liquorG }),
          ...(sets && { set: setOf(effectivePct) }),
        },
        sentence: `${strength === null ? "No gelatin" : `${grams(gelatinG)} of gelatin${around(found.value.gelatinG, grams)}`} and ${grams(solidsG)} of other solids${sets ? `; ${setInWords(effectivePct.value, effectivePct.lo, effectivePct.hi)} in the cold` : ""}.`,
      },
      simmerWarnings(of, input.temperatureC, input.hours),
    );
  },
});

export const plateau = defineSum({
  name: "plateau",
  title: "Enough yet?",
  purpose: "Whether a stock still gains, from refractometer readings.",
  words: ["brix", "refractometer", "level", "stop", "extraction"],
  input: z.strictObject({
    readings: z
      .array(
        z.strictObject({
          min: minutes("At"),
          brix: z.number().min(0).max(90).meta({ title: "Reads", unit: "°Bx" }),
        }),
      )
      .max(100)
      .meta({ title: "Readings" }),
  }),
  output: z.strictObject({
    levelledAtMin: z.number().optional(),
    gainPerHour: z.number(),
    advice: z.string(),
  }),
  example: {
    readings: [
      { min: 180, brix: 3.5 },
      { min: 240, brix: 4.1 },
      { min: 300, brix: 4.2 },
      { min: 360, brix: 4.2 },
    ],
  },
  asks: ["readings"],
  work: ({ readings }) => {
    const found = plateauOf(readings);
    if (!found.ok) return found;
    const { levelledAtMin, gainPerHour } = found.value;
    const last = readings.at(-1)?.min ?? 0;
    const saved = levelledAtMin === null ? 0 : last - levelledAtMin;
    const advice =
      levelledAtMin === null
        ? `Still gaining ${num(gainPerHour, 2)} °Bx an hour: keep on, read again.`
        : `It has given what it gives since ${time(levelledAtMin)}: strain it${saved > 0 ? `; next time ${time(saved)} less` : ""}.`;
    return ok({
      output: { ...(levelledAtMin !== null && { levelledAtMin }), gainPerHour, advice },
      sentence: advice,
    });
  },
});
