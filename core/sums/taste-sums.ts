import { z } from "zod";
import { COMPLAINTS, COMPLAINT_WORDS, acidPctOf, remediesFor } from "../laws/fix";
import { largestRemainder } from "../formula";
import { savourOf } from "../things/larder";
import { type Problem, checkNumber, ok, refuse } from "../ground/result";
import {
  CARAMEL_STAGES,
  type Taste,
  balanceOf,
  gastrique as boilGastrique,
  saltDose,
} from "../laws/seasoning";
import { type AcidId, ACID_IDS, massOfSauce } from "../laws/texture";
import { mass, massAbove0, percent } from "./fields";
import { ingredientNamed } from "./inputs";
import { saltField, sauceFields, sauceFrom } from "./sauce-input";
import { defineSum, missing } from "./sum";
import { grams, num, pct } from "./words";

/** Salt, sweet and sour, and what mends a sauce. */

export const saltTo = defineSum({
  name: "salt-to",
  title: "Salt to a target",
  purpose: "Grams of salt to a percentage, with what salty things are still to come.",
  words: ["season", "how much salt", "dose"],
  input: z.strictObject({
    massG: massAbove0("Sauce"),
    nowPct: percent("Salt now", 100),
    targetPct: percent("Salt wanted", 10),
    stillToCome: z
      .array(z.strictObject({ massG: mass("Weight"), saltPct: percent("Salt") }))
      .max(20)
      .optional()
      .meta({ title: "Salty things still to come" }),
  }),
  output: z.strictObject({ addG: z.number(), firstDoseG: z.number() }),
  example: { massG: 4200, nowPct: 0.42, targetPct: 0.8 },
  asks: ["massG", "nowPct", "targetPct"],
  work: ({ massG, nowPct, targetPct, stillToCome }) => {
    const dose = saltDose(massG, nowPct, targetPct, stillToCome ?? []);
    if (!dose.ok) return dose;
    const { addG, firstG } = dose.value;
    return ok({
      output: { addG, firstDoseG: firstG },
      sentence: `${grams(addG)} salt in all; ${grams(firstG)} first, taste, then small steps.`,
    });
  },
});

export const gastriqueSum = defineSum({
  name: "gastrique",
  title: "Gastrique",
  purpose: "Sugar and vinegar boiled down: how sweet, how sour, and what a dose does.",
  words: ["gastric", "caramel vinegar", "sweet sour"],
  input: z.strictObject({
    sugarG: massAbove0("Sugar"),
    caramel: z.enum(CARAMEL_STAGES).default("amber").meta({ title: "Caramel" }),
    vinegarG: massAbove0("Vinegar"),
    acidPct: percent("Acidity of the vinegar", 25).default(6),
    endG: massAbove0("Boiled down to"),
    doseGPerL: massAbove0("Dose per litre of sauce").default(60),
  }),
  output: z.strictObject({
    sugarPct: z.number(),
    brix: z.number(),
    acidPct: z.number(),
    perLitreEffect: z.strictObject({ sugarG: z.number(), acidG: z.number() }),
  }),
  example: { sugarG: 200, caramel: "none", vinegarG: 300, acidPct: 6, endG: 280 },
  asks: ["sugarG", "vinegarG", "endG"],
  work: (i, world) => {
    const done = boilGastrique(i, world.facts);
    if (!done.ok) return done;
    const { sugarPct, acidPct, solublePct } = done.value;
    const perLitreEffect = { sugarG: (i.doseGPerL * sugarPct) / 100, acidG: (i.doseGPerL * acidPct) / 100 };
    return ok(
      {
        output: { sugarPct, brix: solublePct, acidPct, perLitreEffect },
        sentence: `${grams(i.endG)} with ${pct(sugarPct)} sugar and ${pct(acidPct)} acid, about ${num(solublePct)} °Bx; ${grams(i.doseGPerL)} a litre bring ${grams(perLitreEffect.sugarG)} sugar and ${grams(perLitreEffect.acidG)} acid.`,
      },
      done.warnings,
    );
  },
});

const acidsField = z.partialRecord(z.enum(ACID_IDS), z.number().min(0).max(100));

export const balance = defineSum({
  name: "balance",
  title: "Balance",
  purpose: "Salt, sweet, sour, bitter, umami and fat on one footing: doses over their thresholds.",
  words: ["taste", "sweet sour salt", "plumb lines"],
  input: z.strictObject({
    massG: massAbove0("Sauce"),
    parts: z
      .array(
        z.strictObject({
          ingredient: z.string().max(120).meta({ title: "What", typed: "ingredient" }),
          massG: z.number().min(0).meta({ title: "Weight", unit: "g" }),
        }),
      )
      .max(30)
      .optional()
      .meta({ title: "What is in it" }),
    saltPct: percent("Salt").optional(),
    sugarPct: percent("Sugar").optional(),
    acids: acidsField.optional().meta({ title: "Acids", unit: "%", hint: "citric 0.08, acetic 0.1" }),
    fatPct: percent("Fat").optional(),
    umami: z
      .strictObject({
        msgPct: z.number().min(0).max(20).meta({ title: "Glutamate", unit: "%" }),
        impPct: z.number().min(0).max(20).meta({ title: "Nucleotides", unit: "%" }),
      })
      .optional()
      .meta({ title: "Glutamate and nucleotides" }),
  }),
  output: z.strictObject({
    axes: z.array(z.strictObject({ name: z.string(), doseOverThreshold: z.number() })),
  }),
  example: { massG: 1000, saltPct: 0.9, sugarPct: 0.5, acids: { citric: 0.08 }, fatPct: 9 },
  asks: ["massG", "saltPct", "sugarPct", "fatPct"],
  work: (i, world) => {
    let taste = {
      saltPct: i.saltPct ?? 0,
      sugarPct: i.sugarPct ?? 0,
      fatPct: i.fatPct ?? 0,
      acidsPct: { ...i.acids } as Partial<Record<AcidId, number>>,
    };
    let msgPct = i.umami?.msgPct ?? 0;
    let impPct = i.umami?.impPct ?? 0;
    let bitterPct = 0;
    const unknown: string[] = [];
    const problems: Problem[] = [];
    for (const [n, part] of (i.parts ?? []).entries()) {
      const found = ingredientNamed(part.ingredient, world, `parts.${n}.ingredient`);
      if (!found.ok) {
        problems.push(...found.problems);
        continue;
      }
      const { composition: c, carries } = found.value;
      const share = part.massG / i.massG;
      const savour = savourOf(found.value);
      if (savour) {
        msgPct += share * savour.msgPct;
        impPct += share * savour.impPct;
        bitterPct += share * savour.bitterPct;
      } else if (/cheese|soy|miso|cocoa|chocolate|coffee|mushroom/i.test(found.value.name))
        unknown.push(found.value.name);
      const acidsPct = { ...taste.acidsPct };
      acidsPct.acetic = (acidsPct.acetic ?? 0) + share * c.volatileAcid;
      const split = Object.entries(carries?.acids ?? { malic: 1 }) as [AcidId, number][];
      for (const [id, k] of split) acidsPct[id] = (acidsPct[id] ?? 0) + share * k * (c.acid - c.volatileAcid);
      taste = {
        saltPct: taste.saltPct + share * c.salt,
        sugarPct: taste.sugarPct + share * c.sugars,
        fatPct: taste.fatPct + share * c.fat,
        acidsPct,
      };
    }
    if (problems.length) return refuse(...problems);
    const done = balanceOf({ ...taste, msgPct, impPct, bitterPct }, world.facts);
    if (!done.ok) return done;
    const axes = (Object.entries(done.value.dose) as [Taste, number][]).map(([name, doseOverThreshold]) => ({
      name,
      doseOverThreshold,
    }));
    return ok(
      {
        output: { axes },
        sentence: `Doses over threshold: ${axes.map(a => `${a.name} ${num(a.doseOverThreshold, 1)}`).join(", ")}. A yardstick, not how strong it tastes.`,
      },
      unknown.length
        ? [
            {
              code: "SAVOUR_UNKNOWN",
              message: `Nobody has entered the umami and bitterness of ${unknown.join(", ")}: they count as none here. Taste.`,
            },
          ]
        : [],
    );
  },
});

export const round = defineSum({
  name: "round",
  title: "Round and keep the sum",
  purpose: "Amounts rounded to the scale so that their sum stays.",
  words: ["largest remainder", "kitchen rounding"],
  input: z.strictObject({
    amounts: z
      .array(z.number().min(0).max(1_000_000))
      .min(1)
      .max(100)
      .meta({ title: "Amounts", unit: "g", hint: "with spaces: 101.2 33.3 14.8" }),
    resolutionG: z.number().positive().max(10_000).meta({ title: "To", unit: "g" }),
  }),
  output: z.strictObject({ amounts: z.array(z.number()), driftPct: z.number() }),
  example: { amounts: [101.26, 33.33, 14.87, 7.9, 2.64], resolutionG: 1 },
  asks: ["amounts", "resolutionG"],
  work: ({ amounts, resolutionG }) => {
    const rounded = largestRemainder(amounts, resolutionG);
    const [before, after] = [amounts, rounded].map(list => list.reduce((sum, x) => sum + x, 0));
    const driftPct = before ? (100 * ((after ?? 0) - before)) / before : 0;
    return ok({
      output: { amounts: rounded, driftPct },
      sentence: `${rounded.map(x => grams(x)).join(", ")}: ${pct(driftPct, 1)} off in all.`,
    });
  },
});

export const fix = defineSum({
  name: "fix",
  title: "Fix it",
  purpose: "What mends a sauce: grams, order, and what it does to everything else.",
  words: ["too thin", "too salty", "greasy", "split sauce", "lumpy", "too sour", "mend"],
  input: z.strictObject({
    ...sauceFields,
    saltPct: saltField,
    acidPct: percent("Acid in it", 20).optional(),
    sugarPct: percent("Sugar in it", 90).optional(),
    fatPct: percent("Fat in it", 90).optional(),
    complaint: z.enum(COMPLAINTS).meta({ title: "It is", words: COMPLAINT_WORDS }),
    target: z
      .union([
        z.strictObject({ thickness: z.number() }),
        z.strictObject({ saltPct: z.number() }),
        z.strictObject({ acidPct: z.number() }),
        z.strictObject({ fatPct: z.number() }),
        z.strictObject({ massG: z.number().positive() }),
      ])
      .optional()
      .meta({ title: "It should be", typed: "aim", hint: "salt 0.9, body 45, acid 0.3, fat 12 or 300 g" }),
  }),
  output: z.strictObject({
    remedies: z.array(
      z.strictObject({
        what: z.string(),
        addG: z.number(),
        order: z.array(z.string()),
        after: z.strictObject({
          massG: z.number(),
          saltPct: z.number(),
          fatPct: z.number(),
          thickness: z.number().nullable(),
        }),
      }),
    ),
  }),
  example: {
    liquid: "bought brown stock, unsalted",
    massG: 2240,
    saltPct: 1.5,
    complaint: "too-salty",
    target: { saltPct: 0.9 },
  },
  asks: ["complaint", "massG", "saltPct"],
  work: (i, world) => {
    const known = sauceFrom(i, world);
    if (!known.ok) return known;
    const bare = i.saltPct === undefined ? known : sauceFrom({ ...i, saltPct: undefined }, world);
    if (!bare.ok) return bare;
    // What was weighed is all of it: the salt, the sugar and the fat that are told are in that weight.
    const m = massOfSauce(known.value) - (i.saltPct === undefined ? 0 : known.value.saltG - bare.value.saltG);
    const problems = checkNumber(m, "massG", "The sauce", { min: 1, unit: "g" });
    if (problems.length) return refuse(...problems);
    const acid = i.acidPct === undefined ? null : (i.acidPct * m) / 100;
    const told = {
      ...known.value,
      ...(i.fatPct !== undefined && { fatG: (i.fatPct * m) / 100 }),
      ...(i.sugarPct !== undefined && {
        sugarG: (i.sugarPct * m) / 100,
        dissolvedG: known.value.dissolvedG + (i.sugarPct * m) / 100,
      }),
      ...(acid !== null && { acids: { citric: acid } }),
    };
    const over = massOfSauce(told) - m;
    if (over > told.waterG)
      return refuse({
        code: "SUBSET_TOO_BIG",
        field: "massG",
        value: m,
        message: `Salt, sugar and fat as told are more than the ${grams(m)} weigh.`,
      });
    const state = { ...told, waterG: told.waterG - over };
    if (i.complaint === "too-sour" && acidPctOf(state) === 0)
      return refuse(missing("acidPct", "Say how much acid is in it, in per cent, or name the liquid."));
    const done = remediesFor(
      i.complaint,
      { state, temperatureC: i.temperatureC, target: i.target ?? {} },
      world.facts,
    );
    if (!done.ok) return done;
    return ok(
      {
        output: {
          remedies: done.value.map(r => ({
            what: r.what,
            addG: r.addG,
            order: [...r.order],
            after: {
              massG: r.after.massG,
              saltPct: r.after.saltPct,
              fatPct: r.after.fatPct,
              thickness: r.after.thickness,
            },
          })),
        },
        sentence: `${COMPLAINT_WORDS[i.complaint]}: ${done.value.map(r => `${r.what}${Math.abs(r.addG) > 0.05 ? ` (${grams(Math.abs(r.addG))}${r.addG < 0 ? " out" : ""})` : ""}`).join("; ")}.`,
      },
      [...known.warnings, ...done.warnings],
    );
  },
});
