import { z } from "zod";
import { ok, refuse } from "../ground/result";
import { YOLK_G, mountButter, temperLiaison, yolkWindow } from "../laws/texture";
import { THICKENERS, THICKENER_IDS, swapThickener } from "../laws/thickening";
import { celsius, count, mass, massAbove0, percent } from "./fields";
import { defineSum, missing } from "./sum";
import { THICKENER_WORDS } from "./choice-words";
import { grams, num, pct } from "./words";

/** Swaps of thickeners, yolk and cream, butter. */

export const swapThickenerSum = defineSum({
  name: "swap-thickener",
  title: "Swap a thickener",
  purpose: "As much of another thickener, and what it changes.",
  words: ["instead of flour", "gluten", "substitute", "equivalence", "replace"],
  input: z.strictObject({
    from: z.enum(THICKENER_IDS).meta({ title: "Instead of", words: THICKENER_WORDS }),
    to: z.enum(THICKENER_IDS).meta({ title: "Take", words: THICKENER_WORDS }),
    massG: massAbove0("So much of it"),
  }),
  output: z.strictObject({ massG: z.number(), consequences: z.array(z.string()) }),
  example: { from: "flour", to: "corn", massG: 180 },
  asks: ["from", "to", "massG"],
  work: ({ from, to, massG }, world) => {
    const swap = swapThickener(from, to, massG, world.facts);
    if (!swap.ok) return swap;
    return ok({
      output: { massG: swap.value.massG, consequences: [...swap.value.consequences] },
      sentence: `${grams(massG)} ${THICKENERS[from].name} do the work of ${grams(swap.value.massG)} ${THICKENERS[to].name}: ${swap.value.consequences.join("; ")}.`,
    });
  },
});

export const liaison = defineSum({
  name: "liaison",
  title: "Liaison",
  purpose: "Yolk and cream for a sauce: the window, and how to temper it.",
  words: ["yolk and cream", "temper", "bind with yolk", "curdle"],
  input: z.strictObject({
    sauceG: massAbove0("Sauce"),
    sauceC: celsius("Sauce"),
    yolks: count("Yolks").optional().meta({ oneOf: "how much yolk" }),
    yolkG: mass("Or yolk by weight").optional().meta({ oneOf: "how much yolk" }),
    creamG: mass("Cream").optional(),
    liaisonG: mass("Yolk and cream together").optional(),
    perLitre: z
      .strictObject({
        yolks: z.number().positive().max(30).meta({ title: "Yolks" }),
        creamG: z.number().min(0).max(2000).meta({ title: "Cream", unit: "g" }),
      })
      .optional()
      .meta({ title: "Per litre of sauce", hint: "yolks, then grams of cream", oneOf: "how much yolk" }),
    liaisonC: celsius("Liaison").default(8),
    flourGPerKg: z.number().min(0).max(250).optional().meta({ title: "Flour in the sauce", unit: "g/kg" }),
  }),
  output: z.strictObject({
    windowC: z.strictObject({ lo: z.number(), hi: z.number(), hard: z.number() }),
    temper: z.array(z.strictObject({ addG: z.number(), reachesC: z.number() })),
    finalC: z.number(),
    yolks: z.number().optional(),
    yolkG: z.number().optional(),
    creamG: z.number().optional(),
  }),
  example: { sauceG: 2400, sauceC: 95, perLitre: { yolks: 3, creamG: 250 }, flourGPerKg: 50 },
  asks: ["sauceG", "sauceC", "yolks", "creamG", "flourGPerKg"],
  work: i => {
    const litres = i.sauceG / 1000;
    const counted = i.perLitre
      ? {
          yolks: Math.round(i.perLitre.yolks * litres),
          yolkG: Math.round(i.perLitre.yolks * litres) * YOLK_G,
          creamG: i.perLitre.creamG * litres,
        }
      : null;
    const yolkG = counted?.yolkG ?? i.yolkG ?? (i.yolks ?? 0) * YOLK_G;
    const liaisonG = i.liaisonG ?? yolkG + (counted?.creamG ?? i.creamG ?? 0);
    if (!(liaisonG > 0))
      return refuse(missing("yolks", "Say how many yolks and how much cream, or what they weigh together."));
    const window = yolkWindow(i.flourGPerKg ?? 0);
    const done = temperLiaison({
      sauceG: i.sauceG,
      sauceC: i.sauceC,
      liaisonG,
      liaisonC: i.liaisonC,
      window,
    });
    if (!done.ok) return done;
    const { steps, finalC } = done.value;
    const ladles = steps.map(s => `${grams(s.addG)} to ${num(s.reachesC)} °C`).join(", then ");
    return ok(
      {
        output: {
          windowC: { lo: window.loC, hi: window.hiC, hard: window.hardC },
          temper: steps.map(s => ({ addG: s.addG, reachesC: s.reachesC })),
          finalC,
          ...(counted && counted),
        },
        sentence: `${counted ? `${counted.yolks} yolks (${grams(counted.yolkG)}) and ${grams(counted.creamG)} cream; ` : ""}temper with ${ladles || "nothing: it is warm enough"}; back in the pan it stands at ${num(finalC)} °C. Window ${num(window.loC)}–${num(window.hiC)} °C, alarm at ${num(window.alarmC)} °C, curdled from ${num(window.hardC)} °C.`,
      },
      done.warnings,
    );
  },
});

export const mount = defineSum({
  name: "mount",
  title: "Mount with butter",
  purpose: "How far butter cools a sauce, how much it bears at once, where it breaks.",
  words: ["monter au beurre", "monté", "butter finish", "swirl in butter"],
  input: z.strictObject({
    sauceG: massAbove0("Sauce"),
    sauceFatPct: percent("Fat in it").default(0),
    butterG: mass("Butter").optional().meta({ oneOf: "how much butter" }),
    gPerLitre: mass("Butter per litre").optional().meta({ oneOf: "how much butter" }),
    sauceC: celsius("Sauce"),
    butterC: celsius("Butter").default(5),
  }),
  output: z.strictObject({
    finalC: z.number(),
    windowC: z.strictObject({ lo: z.number(), hi: z.number() }),
    fatPct: z.number(),
    mostAtOnceG: z.number(),
  }),
  example: { sauceG: 1800, gPerLitre: 60, sauceC: 80 },
  asks: ["sauceG", "butterG", "gPerLitre", "sauceC"],
  work: i => {
    const butterG = i.butterG ?? (i.gPerLitre === undefined ? undefined : (i.gPerLitre * i.sauceG) / 1000);
    if (butterG === undefined) return refuse(missing("butterG", "Say how much butter, or how much a litre."));
    const done = mountButter({
      sauceG: i.sauceG,
      sauceC: i.sauceC,
      sauceFatPct: i.sauceFatPct,
      butterG,
      butterC: i.butterC,
    });
    if (!done.ok) return done;
    const { finalC, windowC, fatPct, mostAtOnceG } = done.value;
    return ok(
      {
        output: { finalC, windowC, fatPct, mostAtOnceG },
        sentence: `${grams(butterG)} butter: ${num(finalC)} °C afterwards, ${pct(fatPct)} fat; holds ${num(windowC.lo)}–${num(windowC.hi)} °C, at most ${grams(mostAtOnceG)} at once.`,
      },
      done.warnings,
    );
  },
});
