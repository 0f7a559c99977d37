import { z } from "zod";
import { REFERENCE_BY_ID, asPurchased, netOf, readMeasure } from "../things/larder";
import { g, parseTemperature } from "../ground/quantity";
import { type Problem, ok, refuse } from "../ground/result";
import { COVERS, count, massAbove0, percent, volume } from "./fields";
import { ingredientNamed } from "./inputs";
import { defineSum, missing } from "./sum";
import { grams, num, pct, volumeOf } from "./words";

/** Amounts as cooks say them, trim, and the splits of a mirepoix. */

const WATER_G_PER_ML = 0.9982;

export const convert = defineSum({
  name: "convert",
  title: "Weigh it",
  purpose: "What cups, leeks, knobs and turns of the mill weigh.",
  words: ["cups", "ounces", "quarts", "grams of", "how heavy", "measure", "pieces", "swirls", "drops"],
  input: z.strictObject({
    text: z.string().min(1).max(120).meta({ title: "Amount, as you say it" }),
    ingredient: z.string().max(120).optional().meta({ title: "Of what", typed: "ingredient" }),
  }),
  output: z.strictObject({
    grams: z.number().nullable(),
    millilitres: z.number().nullable(),
    understood: z.string(),
    source: z.string(),
  }),
  example: { text: "3 cups", ingredient: "buttermilk" },
  asks: ["text", "ingredient"],
  work: (input, world) => {
    const of = input.ingredient ? ingredientNamed(input.ingredient, world, "ingredient") : ok(null);
    if (!of.ok) return of;
    const read = readMeasure(input.text, world.ingredients, of.value);
    if (!read.ok) return read;
    const { massG, volumeMl, loG, hiG, ingredient, understood, source } = read.value;
    const asWater = ingredient === null;
    const grams_ = massG ?? (asWater && volumeMl !== null ? volumeMl * WATER_G_PER_ML : null);
    const millilitres = volumeMl ?? (asWater && massG !== null ? massG / WATER_G_PER_ML : null);
    const warnings =
      asWater && (massG === null || volumeMl === null)
        ? [
            {
              code: "LIQUID_ASSUMED_WATER",
              message: "Nothing was said about the liquid: it counts as water.",
            },
          ]
        : [];
    const range =
      massG !== null && loG !== null && hiG !== null && hiG > loG ? ` (${grams(loG)} to ${grams(hiG)})` : "";
    const said = [
      grams_ === null ? null : `${grams(grams_)}${range}`,
      millilitres === null ? null : volumeOf(millilitres),
    ].filter(x => x !== null);
    return ok(
      {
        output: { grams: grams_, millilitres, understood, source },
        sentence: `${input.text.trim()}${ingredient && !input.text.includes(ingredient.name) ? ` of ${ingredient.name}` : ""}: ${said.join(", ")}.`,
      },
      [...read.warnings, ...warnings],
    );
  },
});

export const temperature = defineSum({
  name: "temperature",
  title: "°F and °C",
  purpose: "One in the other, rounded and not cut off; a pair is compared.",
  words: ["fahrenheit", "celsius", "oven"],
  input: z.strictObject({ text: z.string().min(1).max(60).meta({ title: "Temperature" }) }),
  output: z.strictObject({ c: z.number(), f: z.number(), mismatch: z.number().optional() }),
  example: { text: "385 F" },
  asks: ["text"],
  work: ({ text }) => {
    const read = parseTemperature(text, "text");
    if (!read.ok) return read;
    const { exactC, shownC, shownF, apartK } = read.value;
    const apart = read.warnings.length && apartK !== undefined ? { mismatch: apartK } : {};
    return ok(
      {
        output: { c: exactC, f: exactC * 1.8 + 32, ...apart },
        sentence: `${num(shownC)} °C, ${num(shownF)} °F.`,
      },
      read.warnings,
    );
  },
});

/** A yield as small as this was meant as a share: 0.88 for 88 %. */
const A_SHARE = 2;

export const ediblePortion = defineSum({
  name: "edible-portion",
  title: "Trim",
  purpose: "What to buy for what must lie on the board, or the other way.",
  words: ["AP", "EP", "as purchased", "peel", "gross", "net", "order"],
  input: z.strictObject({
    netG: massAbove0("Trimmed").optional().meta({ oneOf: "which weight" }),
    grossG: massAbove0("Or as bought").optional().meta({ oneOf: "which weight" }),
    yieldPct: percent("Yield").optional(),
    ingredient: z.string().max(120).optional().meta({ title: "Of what", typed: "ingredient" }),
  }),
  output: z.strictObject({ netG: z.number(), grossG: z.number() }),
  example: { netG: 1110, ingredient: "onion" },
  asks: ["netG", "ingredient", "yieldPct"],
  work: (input, world) => {
    const found = input.ingredient ? ingredientNamed(input.ingredient, world, "ingredient") : ok(null);
    if (!found.ok) return found;
    const yieldPct = input.yieldPct ?? found.value?.ediblePct;
    const problems: Problem[] = [];
    if (input.yieldPct !== undefined && input.yieldPct <= A_SHARE)
      problems.push({
        code: "AMBIGUOUS",
        field: "yieldPct",
        value: input.yieldPct,
        message: `${num(input.yieldPct, 2)} % of what is bought? A yield is told in per cent: type ${num(100 * Math.min(1, input.yieldPct))} %.`,
      });
    if (yieldPct === undefined)
      problems.push(missing("yieldPct", "Say the yield in per cent, or what it is of."));
    if (input.netG === undefined && input.grossG === undefined)
      problems.push(missing("netG", "Say the trimmed weight or the bought one."));
    if (problems.length || yieldPct === undefined) return refuse(...problems);
    const both =
      input.netG !== undefined ? asPurchased(g(input.netG), yieldPct) : netOf(g(input.grossG ?? 0), yieldPct);
    if (!both.ok) return both;
    const netG = input.netG ?? both.value;
    const grossG = input.netG !== undefined ? both.value : (input.grossG ?? 0);
    return ok({
      output: { netG, grossG },
      sentence: `${grams(netG)} trimmed is ${grams(grossG)} as bought, at ${pct(yieldPct, 0)}.`,
    });
  },
});

const MIREPOIX = ["onion", "carrot", "celery"];

export const mirepoix = defineSum({
  name: "mirepoix",
  title: "Mirepoix",
  purpose: "Vegetables for a weight of bones, trimmed and as bought.",
  words: ["vegetables", "onion carrot celery", "aromatics", "split"],
  input: z.strictObject({
    bonesG: massAbove0("Bones"),
    sharePct: percent("Share of the bones").default(12),
    parts: z
      .array(z.number().positive().max(100))
      .min(1)
      .max(8)
      .default([2, 1, 1])
      .meta({ title: "Parts", hint: "2 1 1" }),
    names: z.array(z.string().max(60)).max(8).optional().meta({ title: "Of what", hint: "with commas" }),
  }),
  output: z.strictObject({
    totalG: z.number(),
    parts: z.array(z.strictObject({ name: z.string(), netG: z.number(), grossG: z.number() })),
  }),
  example: { bonesG: 18_500, sharePct: 12, parts: [2, 1, 1] },
  asks: ["bonesG", "sharePct"],
  work: ({ bonesG, sharePct, parts, names }, world) => {
    const totalG = (bonesG * sharePct) / 100;
    const all = parts.reduce((sum, p) => sum + p, 0);
    const lines = parts.map((p, i) => {
      const name = names?.[i] ?? MIREPOIX[i] ?? `vegetable ${i + 1}`;
      const known =
        world.ingredients.find(x => x.id === name || x.name === name) ?? REFERENCE_BY_ID.get(name);
      const netG = (totalG * p) / all;
      return { name, netG, grossG: (netG * 100) / (known?.ediblePct ?? 100) };
    });
    const said = lines.map(l => `${grams(l.netG)} ${l.name}`).join(", ");
    return ok({
      output: { totalG, parts: lines },
      sentence: `${grams(totalG)} for ${grams(bonesG)} of bones: ${said}, trimmed.`,
    });
  },
});

export const bonesNeeded = defineSum({
  name: "bones-needed",
  title: "Bones for covers",
  purpose: "From covers and portions back to bones.",
  words: ["covers", "back", "how many bones", "jus"],
  input: z.strictObject({
    covers: count("Covers").meta({ said: COVERS }),
    portionG: massAbove0("Portion"),
    overagePct: percent("Over, for the pot", 200).default(0),
    reducedTo: z.number().gt(0).max(1).meta({ title: "Reduced to", unit: "0–1" }),
    strainLossPct: z.number().min(0).max(60).meta({ title: "Lost in the strainer", unit: "%" }),
    yieldMlPerKg: z.number().positive().max(10_000).meta({ title: "Stock per kg of bones", unit: "ml" }),
    densityGPerMl: z.number().min(0.5).max(2).default(1).meta({ title: "Density", unit: "g/ml" }),
  }),
  output: z.strictObject({
    finishedG: z.number(),
    strainedMl: z.number(),
    stockMl: z.number(),
    bonesG: z.number(),
  }),
  example: { covers: 60, portionG: 45, reducedTo: 0.25, strainLossPct: 3, yieldMlPerKg: 1250 },
  asks: ["covers", "portionG", "reducedTo", "yieldMlPerKg"],
  work: i => {
    const finishedG = i.covers * i.portionG * (1 + i.overagePct / 100);
    const strainedMl = finishedG / i.densityGPerMl / i.reducedTo;
    const stockMl = strainedMl / (1 - i.strainLossPct / 100);
    const bonesG = (stockMl / i.yieldMlPerKg) * 1000;
    return ok({
      output: { finishedG, strainedMl, stockMl, bonesG },
      sentence: `${grams(finishedG)} for ${num(i.covers)} covers takes ${volumeOf(stockMl)} of stock before straining: ${grams(bonesG)} of bones.`,
    });
  },
});

export const splitTrim = defineSum({
  name: "split-trim",
  title: "Roast and split",
  purpose: "What is left after roasting and peeling, and what of it is garnish and what is sauce.",
  words: ["peppers", "char", "peel", "garnish", "sauce base"],
  input: z.strictObject({
    grossG: massAbove0("As bought"),
    yieldPct: percent("Yield"),
    garnishPct: percent("Of that, garnish"),
  }),
  output: z.strictObject({ netG: z.number(), garnishG: z.number(), sauceG: z.number() }),
  example: { grossG: 4000, yieldPct: 60, garnishPct: 60 },
  asks: ["grossG", "yieldPct", "garnishPct"],
  work: ({ grossG, yieldPct, garnishPct }) => {
    const netG = (grossG * yieldPct) / 100;
    const garnishG = (netG * garnishPct) / 100;
    return ok({
      output: { netG, garnishG, sauceG: netG - garnishG },
      sentence: `${grams(netG)} after peeling: ${grams(garnishG)} for the garnish, ${grams(netG - garnishG)} for the sauce.`,
    });
  },
});

export const cure = defineSum({
  name: "cure",
  title: "Cure",
  purpose: "Salt and sugar for a weight of meat, and when to rinse.",
  words: ["confit", "duck legs", "brine dry", "rinse"],
  input: z.strictObject({
    massG: massAbove0("Meat"),
    saltPct: percent("Salt", 20),
    saltToSugar: z.number().positive().max(100).default(3).meta({ title: "Salt to sugar" }),
    fromH: z.number().min(0).max(336).default(12).meta({ title: "Earliest rinse", unit: "h" }),
    toH: z.number().min(0).max(336).default(24).meta({ title: "Latest rinse", unit: "h" }),
  }),
  output: z.strictObject({
    saltG: z.number(),
    sugarG: z.number(),
    rinseFromMin: z.number(),
    rinseToMin: z.number(),
  }),
  example: { massG: 6000, saltPct: 2.5 },
  asks: ["massG", "saltPct"],
  work: ({ massG, saltPct, saltToSugar, fromH, toH }) => {
    if (toH < fromH)
      return refuse({
        code: "OUT_OF_RANGE",
        field: "toH",
        value: toH,
        allowed: { min: fromH },
        message: `The latest rinse (${num(toH)} h) must not be before the earliest (${num(fromH)} h).`,
      });
    const saltG = (massG * saltPct) / 100;
    const sugarG = saltG / saltToSugar;
    return ok({
      output: { saltG, sugarG, rinseFromMin: fromH * 60, rinseToMin: toH * 60 },
      sentence: `${grams(saltG)} salt and ${grams(sugarG)} sugar; rinse between ${num(fromH)} and ${num(toH)} h after.`,
    });
  },
});

export const render = defineSum({
  name: "render",
  title: "Render fat",
  purpose: "Clear fat from a weight of skin and trim.",
  words: ["skin", "lard", "duck fat", "trim"],
  input: z.strictObject({ rawG: massAbove0("Raw fat and skin"), yieldPct: percent("Yield") }),
  output: z.strictObject({ renderedG: z.number() }),
  example: { rawG: 5200, yieldPct: 58 },
  asks: ["rawG", "yieldPct"],
  work: ({ rawG, yieldPct }) =>
    ok({
      output: { renderedG: (rawG * yieldPct) / 100 },
      sentence: `${grams((rawG * yieldPct) / 100)} of clear fat from ${grams(rawG)}.`,
    }),
});

export const rehydrate = defineSum({
  name: "rehydrate",
  title: "Soak",
  purpose: "Dried mushrooms: what they weigh, and how much liquor may be used.",
  words: ["dried mushrooms", "morels", "ceps", "grit", "soaking"],
  input: z.strictObject({
    dryG: massAbove0("Dried"),
    waterMl: volume("Water"),
    ratio: z.number().min(1).max(12).default(4).meta({ title: "Times heavier when soaked" }),
    leavePct: z.number().min(0).max(90).default(10).meta({ title: "Left with the grit", unit: "%" }),
  }),
  output: z.strictObject({ drainedG: z.number(), liquorMl: z.number(), usableMl: z.number() }),
  example: { dryG: 120, waterMl: 1200 },
  asks: ["dryG", "waterMl"],
  work: ({ dryG, waterMl, ratio, leavePct }) => {
    const drainedG = dryG * ratio;
    const liquorMl = waterMl - (drainedG - dryG);
    if (liquorMl < 0)
      return refuse({
        code: "NOT_ENOUGH",
        field: "waterMl",
        value: waterMl,
        allowed: { min: drainedG - dryG },
        message: `They drink ${volumeOf(drainedG - dryG)}; give them at least that much water.`,
      });
    const usableMl = liquorMl * (1 - leavePct / 100);
    return ok({
      output: { drainedG, liquorMl, usableMl },
      sentence: `${grams(drainedG)} soaked; of ${volumeOf(liquorMl)} liquor leave ${volumeOf(liquorMl - usableMl)} with the grit, use ${volumeOf(usableMl)}.`,
    });
  },
});
