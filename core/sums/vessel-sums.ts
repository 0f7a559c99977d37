import { z } from "zod";
import {
  abvOf,
  boilingPoint,
  brixOf,
  densityAt,
  saturationTemperature,
  volumeAt,
  volumeMlOf,
  waterActivity,
} from "../pot";
import { degC, g, ml, mm, pascals } from "../quantity";
import { type Problem, type Warning, ok, refuse } from "../result";
import type { bulkMl } from "../vessel";
import {
  type Foaming,
  type Geometry,
  type Heap,
  coverWith,
  dipMark as markOf,
  displacedMl,
  neededHeadspace,
  volumeOfLevel,
} from "../vessel";
import type { SolidKind } from "../larder";
import { estimated } from "./estimates";
import {
  celsius,
  estimateField,
  length,
  liquidFields,
  mass,
  massAbove0,
  targetField,
  vesselField,
  volume,
} from "./fields";
import { aroundOf, liquidOf, poolsOfLiquid, vesselOf } from "./inputs";
import { defineSum, missing } from "./sum";
import { endOf } from "./target";
import { around, grams, num, pct, volumeOf } from "./words";

/** Litres, millimetres, density and boiling. */

export const density = defineSum({
  name: "density",
  title: "Density",
  purpose: "How heavy a litre is, and what a refractometer shows.",
  words: ["brix", "refractometer", "heavy", "abv"],
  input: z.strictObject({ ...liquidFields, temperatureC: celsius("Temperature").default(20) }),
  output: z.strictObject({ densityGPerMl: z.number(), brix: z.number(), abvPct: z.number() }),
  example: { liquid: "cream", temperatureC: 20 },
  asks: ["liquid", "temperatureC"],
  work: (input, world) => {
    const liquid = liquidOf(input, world);
    if (!liquid.ok) return liquid;
    const pools = poolsOfLiquid(liquid.value, 1000);
    const room = volumeAt(pools, degC(input.temperatureC));
    if (!room.ok) return room;
    const densityGPerMl = densityAt(pools, degC(input.temperatureC));
    const litre = estimated(world.facts, f => ok({ g: 1000 * densityGPerMl * f.densityTrue }));
    if (!litre.ok) return litre;
    const warnings: Warning[] = [...liquid.warnings];
    const { salt, sugars, water } = pools;
    if (salt / (salt + water) > 0.265)
      warnings.push({ code: "SALT_SATURATED", message: "More salt than water can dissolve." });
    if (sugars / (sugars + water) > 0.8)
      warnings.push({
        code: "SUGAR_HIGH",
        message: "So much sugar is beyond what the density was fitted to.",
      });
    return ok(
      {
        output: { densityGPerMl, brix: brixOf(pools), abvPct: abvOf(pools) },
        sentence: `A litre of ${liquid.value.name} at ${num(input.temperatureC)} °C weighs ${grams(densityGPerMl * 1000)}${around(litre.value.g, grams)}; a refractometer shows ${num(brixOf(pools), 1)} °Bx.`,
      },
      warnings,
    );
  },
});

export const boilingPointSum = defineSum({
  name: "boiling-point",
  title: "Boiling point",
  purpose: "How hot it boils in this kitchen, and how much hotter a syrup or glace.",
  words: ["altitude", "mountain", "pressure", "syrup", "sugar"],
  input: z.strictObject({
    altitudeM: z.number().optional().meta({ title: "Altitude, m" }),
    pressurePa: z.number().optional().meta({ title: "Or air pressure, Pa" }),
    ...liquidFields,
    invertSugar: z.boolean().optional().meta({ title: "Honey or fruit sugar" }),
  }),
  output: z.strictObject({
    pressurePa: z.number(),
    waterBoilsC: z.number(),
    boilsC: z.number(),
    waterActivity: z.number(),
  }),
  example: { altitudeM: 1180 },
  asks: ["altitudeM", "liquid"],
  work: (input, world) => {
    const air = aroundOf(input, world);
    if (!air.ok) return air;
    const { pressurePa } = air.value.around;
    const liquid = liquidOf(input, world);
    if (!liquid.ok) return liquid;
    const pools = poolsOfLiquid(liquid.value, 1000);
    const water = saturationTemperature(pressurePa);
    if (!water.ok) return water;
    const boils = boilingPoint(pools, pressurePa, input.invertSugar);
    if (!boils.ok) return boils;
    const plain = input.composition === undefined && input.liquid === undefined;
    // What the weather and the dissolved things may do to it.
    const found = estimated(
      air.value.facts,
      f => {
        const here = pascals(pressurePa * f.pressureTrue);
        const bare = saturationTemperature(here);
        const liquor = boilingPoint(pools, here, input.invertSugar);
        if (!bare.ok) return bare;
        if (!liquor.ok) return liquor;
        return ok({ water: bare.value, boils: bare.value + (liquor.value - bare.value) * f.elevationTrue });
      },
      [],
      false,
    );
    if (!found.ok) return found;
    const degrees = (x: number) => `${num(x, 1)} °C`;
    return ok(
      {
        output: {
          pressurePa,
          waterBoilsC: water.value,
          boilsC: boils.value,
          waterActivity: waterActivity(pools, input.invertSugar),
        },
        sentence: plain
          ? `Water boils at ${degrees(water.value)}${around(found.value.water, degrees)} here, with the weather.`
          : `${liquid.value.name} boils at ${degrees(boils.value)}${around(found.value.boils, degrees)} here, water at ${degrees(water.value)}.`,
      },
      // Asked for water, nothing is missing.
      [...boils.warnings, ...(plain ? [] : liquid.warnings)],
    );
  },
});

export const vesselLevel = defineSum({
  name: "vessel-level",
  title: "Litres and the stick",
  purpose: "How high a volume stands in a vessel, or what a level holds.",
  words: ["dip stick", "how full", "litres", "millimetres", "capacity"],
  input: z.strictObject({
    vessel: vesselField,
    volumeMl: volume("Volume").optional(),
    levelMm: length("Or level").optional(),
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
    startMl: volume("In the pan").optional(),
    startMm: length("Or the stick reads").optional(),
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

/** The kinds of 08, as the larder calls them. */
const KINDS = {
  "veal-bones": "veal-bones",
  "beef-bones": "beef-bones",
  "poultry-chopped": "poultry-bones",
  "poultry-whole": "poultry-whole",
  "fish-frames": "fish-frames",
  shells: "shells",
  mirepoix: "mirepoix",
  mushrooms: "mushrooms",
} as const satisfies Record<string, SolidKind>;
const kindNames = Object.keys(KINDS) as [keyof typeof KINDS, ...(keyof typeof KINDS)[]];

interface Fitted {
  readonly name: string;
  readonly geometry: Geometry;
  readonly waterMl: number;
  readonly fillMm: number;
  readonly headspaceMm: number;
  readonly fits: boolean;
  /** Volume a batch may fill with headspace to spare. */
  readonly usableMl: number;
}

export const potFit = defineSum({
  name: "pot-fit",
  title: "Which pot",
  purpose: "Which pot takes it, how much water covers it, or how to split it between two.",
  words: ["fit", "split", "cover", "headspace", "boil over", "size"],
  input: z.strictObject({
    items: z
      .array(z.strictObject({ kind: z.enum(kindNames), massG: massAbove0("Weight") }))
      .max(8)
      .default([])
      .meta({ title: "What lies in it" }),
    coverMm: length("Covered by").optional(),
    liquidMl: volume("Or so much liquid").optional(),
    vessels: z.array(vesselField).min(1).max(12).meta({ title: "Pots at hand" }),
    foaming: z
      .union([z.boolean(), z.enum(["no", "below-boil", "boil"])])
      .optional()
      .meta({ title: "Milk, cream, wine: it foams" }),
  }),
  output: z.strictObject({
    chosen: z.string().nullable(),
    waterMl: estimateField,
    fillMm: z.number(),
    headspaceMm: z.number(),
    fits: z.boolean(),
    perVessel: z.array(
      z.strictObject({
        vessel: z.string(),
        waterMl: z.number(),
        fillMm: z.number(),
        headspaceMm: z.number(),
        fits: z.boolean(),
      }),
    ),
    split: z.array(z.strictObject({ vessel: z.string(), share: z.number() })).optional(),
  }),
  example: {
    items: [{ kind: "veal-bones", massG: 9000 }],
    vessels: [
      { shape: "cylinder", diameterMm: 320, heightMm: 320 },
      { shape: "cylinder", diameterMm: 400, heightMm: 400 },
    ],
  },
  asks: ["items", "vessels", "coverMm"],
  work: (input, world) => {
    if (!input.items.length && input.liquidMl === undefined)
      return refuse(missing("items", "Say what goes into the pot: bones, vegetables or a volume of liquid."));
    const vessels: { name: string; geometry: Geometry }[] = [];
    const problems: Problem[] = [];
    input.vessels.forEach((v, i) => {
      const found = vesselOf(v, world, `vessels.${i}`);
      if (found.ok)
        vessels.push({
          geometry: found.value.geometry,
          name: "id" in v ? found.value.name : `${num(found.value.geometry.capacityMl / 1000, 1)} l pot`,
        });
      else problems.push(...found.problems);
    });
    if (problems.length) return refuse(...problems);
    const heaps: Heap[] = input.items.map(item => ({ kind: KINDS[item.kind], massG: g(item.massG) }));
    const foaming: Foaming =
      input.foaming === true
        ? "boil"
        : input.foaming === undefined || input.foaming === false
          ? "no"
          : input.foaming;

    const fit = (vessel: { name: string; geometry: Geometry }, f = world.facts): Fitted =>
      fitOne(vessel, heaps, input.coverMm ?? 25, input.liquidMl, foaming, f);
    const all = vessels.map(v => fit(v));
    const bySize = [...all].sort(
      (a, b) => a.geometry.capacityMl - b.geometry.capacityMl || b.geometry.heightMm - a.geometry.heightMm,
    );
    const chosen = bySize.find(v => v.fits);
    const shown = chosen ?? bySize.at(-1);
    if (!shown) return refuse(missing("vessels", "Say which pots are at hand."));
    const water = estimated(world.facts, f => ok({ waterMl: fit(shown, f).waterMl }));
    if (!water.ok) return water;

    const split = chosen
      ? undefined
      : splitBetween(bySize, heaps, input.liquidMl, input.coverMm ?? 25, foaming, world.facts);
    const bones = heaps.reduce((sum, h) => sum + h.massG, 0);
    const sentence = chosen
      ? `${chosen.name}: ${heaps.length ? `${volumeOf(chosen.waterMl)} of water${around(water.value.waterMl, volumeOf)}, ` : ""}full to ${num(chosen.fillMm)} mm, ${num(chosen.headspaceMm)} mm to the rim.`
      : split
        ? `None takes it alone. Split ${split.map(part => `${heaps.length ? grams(bones * part.share) : volumeOf((input.liquidMl ?? 0) * part.share)} into ${part.vessel}`).join(", ")}.`
        : `None of these takes it, not even all together: ${largerOf(bySize, input.liquidMl, foaming, world.facts.fillFoam)}`;
    return ok({
      output: {
        chosen: chosen?.name ?? null,
        waterMl: water.value.waterMl,
        fillMm: shown.fillMm,
        headspaceMm: shown.headspaceMm,
        fits: chosen !== undefined,
        perVessel: all.map(v => ({
          vessel: v.name,
          waterMl: v.waterMl,
          fillMm: v.fillMm,
          headspaceMm: v.headspaceMm,
          fits: v.fits,
        })),
        ...(split && { split }),
      },
      sentence,
    });
  },
});

function largerOf(
  vessels: readonly Fitted[],
  liquidMl: number | undefined,
  foaming: Foaming,
  fillFoam: number,
): string {
  if (foaming === "boil" && liquidMl !== undefined) {
    const largest = vessels.at(-1)?.geometry.capacityMl ?? 1;
    return `${pct((100 * liquidMl) / largest, 0)} full is over ${pct(100 * fillFoam, 0)}; it foams over. Take ${volumeOf(liquidMl / fillFoam)} or more.`;
  }
  return "make less, or find a larger pot.";
}

function fitOne(
  { name, geometry }: { name: string; geometry: Geometry },
  heaps: readonly Heap[],
  coverMm: number,
  liquidMl: number | undefined,
  foaming: Foaming,
  f: Parameters<typeof bulkMl>[1],
): Fitted {
  const needed = neededHeadspace(geometry, f, foaming);
  const usableMl = geometry.volumeAtLevel(mm(Math.max(0, geometry.heightMm - needed)));
  if (liquidMl !== undefined) {
    const filled = ml(liquidMl + displacedMl(heaps, f));
    const level = geometry.levelOf(filled);
    const fillMm = level.ok ? level.value : geometry.heightMm;
    const headspaceMm = geometry.heightMm - fillMm;
    return {
      name,
      geometry,
      usableMl,
      waterMl: liquidMl,
      fillMm,
      headspaceMm,
      fits: level.ok && headspaceMm >= needed - 1e-9,
    };
  }
  const cover = coverWith(geometry, heaps, mm(coverMm), f);
  if (!cover.ok)
    return { name, geometry, usableMl, waterMl: 0, fillMm: geometry.heightMm, headspaceMm: 0, fits: false };
  const { liquidMl: waterMl, fillLevelMm, headspaceMm } = cover.value;
  return { name, geometry, usableMl, waterMl, fillMm: fillLevelMm, headspaceMm, fits: headspaceMm >= needed };
}

/** Shares in proportion to what each pot takes, from the largest down, until it fits. */
function splitBetween(
  bySize: readonly Fitted[],
  heaps: readonly Heap[],
  liquidMl: number | undefined,
  coverMm: number,
  foaming: Foaming,
  f: Parameters<typeof bulkMl>[1],
): { vessel: string; share: number }[] | undefined {
  const largest = [...bySize].reverse();
  for (let n = 2; n <= largest.length; n++) {
    const used = largest.slice(0, n);
    const total = used.reduce((sum, v) => sum + v.usableMl, 0);
    const shares = used.map(v => ({ vessel: v, share: v.usableMl / total }));
    const fits = shares.every(
      ({ vessel, share: part }) =>
        fitOne(
          vessel,
          heaps.map(h => ({ ...h, massG: g(h.massG * part) })),
          coverMm,
          liquidMl === undefined ? undefined : liquidMl * part,
          foaming,
          f,
        ).fits,
    );
    if (fits) return shares.map(({ vessel, share: part }) => ({ vessel: vessel.name, share: part }));
  }
  return undefined;
}

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
    solidsMl: volume("Room the meat takes").optional(),
    solidsG: mass("Or its weight").optional(),
    densityGPerMl: z.number().min(0.5).max(2).optional().meta({ title: "Density of it, g/ml" }),
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
