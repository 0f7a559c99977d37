import { z } from "zod";
import { type Problem, ok, refuse } from "../ground/result";
import { COVERS, count, hours, mass, massAbove0, percent, volume } from "./fields";
import { saltAlarm, creamAlarm } from "./alarms";
import { defineSum, missing } from "./sum";
import { grams, num, pct, volumeOf } from "./words";

/** Letting down, portions, covers, holding: sums of the pass. */

export const letDown = defineSum({
  name: "let-down",
  title: "Let it down",
  purpose: "Water that brings a reduction back to its strength.",
  words: ["reconstitute", "dilute", "glace", "demi"],
  input: z.strictObject({
    massG: massAbove0("Reduction"),
    reducedTo: z
      .number()
      .gt(0)
      .max(1)
      .optional()
      .meta({ title: "Was reduced to", unit: "0–1", oneOf: "how strong" }),
    factor: z
      .number()
      .min(1)
      .max(100)
      .optional()
      .meta({ title: "Or how many times stronger", oneOf: "how strong" }),
  }),
  output: z.strictObject({ addG: z.number(), totalG: z.number() }),
  example: { massG: 750, reducedTo: 0.333333 },
  asks: ["massG", "reducedTo"],
  work: ({ massG, reducedTo, factor }) => {
    const times = factor ?? (reducedTo === undefined ? undefined : 1 / reducedTo);
    if (times === undefined)
      return refuse(missing("reducedTo", "Say what it was reduced to, or how many times stronger it is."));
    return ok({
      output: { addG: massG * (times - 1), totalG: massG * times },
      sentence: `${grams(massG)} and ${grams(massG * (times - 1))} of water make ${grams(massG * times)}.`,
    });
  },
});

const LEAST_PORTION_SHARE = 1e-9;

export const portions = defineSum({
  name: "portions",
  title: "Portions",
  purpose: "How many covers a pot gives, and what is left.",
  words: ["covers", "how many", "left over"],
  input: z.strictObject({
    volumeMl: volume("In the pot").optional().meta({ oneOf: "how much" }),
    portionMl: volume("Portion").optional().meta({ oneOf: "how large a portion" }),
    massG: mass("In the pot").optional().meta({ oneOf: "how much" }),
    portionG: mass("Portion").optional().meta({ oneOf: "how large a portion" }),
    lossPct: percent("Lost on the way").optional(),
  }),
  output: z.strictObject({ count: z.number(), left: z.number() }),
  example: { volumeMl: 4800, portionMl: 220 },
  asks: ["volumeMl", "portionMl"],
  work: i => {
    const byVolume = i.volumeMl !== undefined || i.portionMl !== undefined;
    const [all, one] = byVolume ? [i.volumeMl, i.portionMl] : [i.massG, i.portionG];
    const problems: Problem[] = [];
    if (all === undefined)
      problems.push(missing(byVolume ? "volumeMl" : "massG", "Say how much there is, in ml or in g."));
    if (one === undefined || !(one > 0))
      problems.push(
        missing(byVolume ? "portionMl" : "portionG", "Say how large a portion is, in the same unit."),
      );
    if (problems.length || all === undefined || one === undefined) return refuse(...problems);
    const usable = all * (1 - (i.lossPct ?? 0) / 100);
    const n = Math.floor(usable / one + LEAST_PORTION_SHARE);
    const left = usable - n * one;
    const print = byVolume ? volumeOf : grams;
    return ok({
      output: { count: n, left },
      sentence: `${num(n)} portions of ${print(one)}, ${print(left)} left.`,
    });
  },
});

/** Ice takes about a tenth more room. Common practice, no source. */
const FREEZING_ROOM = 1.1;

export const freezePortions = defineSum({
  name: "freeze-portions",
  title: "Freeze in cubes",
  purpose: "How many cubes or tubs, and the room they need.",
  words: ["cubes", "freeze", "tubs", "ice tray"],
  input: z.strictObject({ massG: massAbove0("To freeze"), portionG: massAbove0("Each") }),
  output: z.strictObject({ count: z.number(), leftG: z.number(), tubMl: z.number().optional() }),
  example: { massG: 2700, portionG: 30 },
  asks: ["massG", "portionG"],
  work: ({ massG, portionG }) => {
    const n = Math.floor(massG / portionG + LEAST_PORTION_SHARE);
    const leftG = massG - n * portionG;
    return ok({
      output: { count: n, leftG, tubMl: portionG * FREEZING_ROOM },
      sentence: `${num(n)} of ${grams(portionG)}${leftG > 0.05 ? `, ${grams(leftG)} left` : ""}; each needs room for ${volumeOf(portionG * FREEZING_ROOM)}.`,
    });
  },
});

export const divide = defineSum({
  name: "divide",
  title: "Divide over covers",
  purpose: "Grams on each plate.",
  words: ["garnish", "each", "per plate"],
  input: z.strictObject({ massG: massAbove0("Garnish"), covers: count("Covers").meta({ said: COVERS }) }),
  output: z.strictObject({ eachG: z.number() }),
  example: { massG: 630, covers: 21 },
  asks: ["massG", "covers"],
  work: ({ massG, covers }) =>
    ok({
      output: { eachG: massG / covers },
      sentence: `${grams(massG / covers)} on each of ${num(covers)} plates.`,
    }),
});

/** Minutes before it is handed over that a plate is begun. Common practice, no source. */
const FIRE_MIN = 4;
const DAY_MIN = 24 * 60;
const CLOCK = /^([01]?\d|2[0-3])[:.]([0-5]\d)$/;

export const orders = defineSum({
  name: "orders",
  title: "Orders at the pass",
  purpose: "What so many orders take of sauce, butter, water and herb, and when to begin.",
  words: ["tickets", "à la minute", "per pan", "assemble", "fire", "finish with butter"],
  input: z.strictObject({
    orders: count("Orders").meta({ said: ["orders", "portions", "covers"] }),
    each: z
      .record(z.string().trim().min(1).max(60), z.number().positive().max(100_000))
      .refine(parts => Object.keys(parts).length > 0, "Say what goes into one: sauce 40, butter 12.")
      .meta({ title: "Into each", unit: "g", typed: "pairs", hint: "sauce 40, water 25, purée 60" }),
    perPan: count("Orders in one pan").optional(),
    lossPct: z
      .number()
      .min(0)
      .max(90)
      .optional()
      .meta({ title: "Left in bags, bottles and on spoons", unit: "%" }),
    at: z
      .string()
      .regex(CLOCK, "Type the time as 19:30.")
      .optional()
      .meta({ title: "To be handed over at", typed: "text", hint: "19:30" }),
    beforeMin: z
      .number()
      .min(0)
      .max(600)
      .default(FIRE_MIN)
      .meta({ title: "Begun so long before", unit: "min" }),
  }),
  output: z.strictObject({
    totals: z.record(z.string(), z.number()),
    /** On one plate, and to be made for all of them with what is left behind. */
    onOneG: z.number(),
    makeG: z.number(),
    pans: z.number(),
    perPan: z.record(z.string(), z.number()),
    fireAt: z.string().optional(),
  }),
  example: { orders: 12, each: { sauce: 40, water: 25, purée: 60 } },
  asks: ["orders", "each", "perPan", "at"],
  work: ({ orders: n, each, perPan, at, beforeMin, lossPct }) => {
    const pans = perPan === undefined ? 1 : Math.ceil(n / perPan);
    const times = (k: number) => Object.fromEntries(Object.entries(each).map(([what, g]) => [what, g * k]));
    const inWords = (parts: Readonly<Record<string, number>>) =>
      Object.entries(parts)
        .map(([what, massG]) => `${grams(massG)} ${what}`)
        .join(", ");
    const onOneG = Object.values(each).reduce((sum, massG) => sum + massG, 0);
    const makeG = (onOneG * n) / (1 - (lossPct ?? 0) / 100);
    const several = Object.keys(each).length > 1;
    const fireAt = at === undefined ? undefined : clockBefore(at, beforeMin);
    // Pans filled as evenly as orders can be.
    const most = Math.ceil(n / pans);
    return ok({
      output: {
        totals: times(n),
        onOneG,
        makeG,
        pans,
        perPan: times(most),
        ...(fireAt !== undefined && { fireAt }),
      },
      sentence: `${num(n)} orders: ${inWords(times(n))}${several ? `, ${grams(onOneG)} on one plate` : ""}${lossPct ? `; make ${grams(makeG)} with what is left behind` : ""}${pans > 1 ? `; in ${num(pans)} pans, at most ${num(most)} in one: ${inWords(times(most))}` : ""}.${fireAt === undefined ? "" : ` Begin at ${fireAt}.`}`,
    });
  },
});

/** So many minutes before a time of the clock. */
function clockBefore(at: string, min: number): string {
  const [, h = "0", m = "0"] = CLOCK.exec(at) ?? [];
  const then = (((60 * Number(h) + Number(m) - Math.round(min)) % DAY_MIN) + DAY_MIN) % DAY_MIN;
  return `${String(Math.floor(then / 60)).padStart(2, "0")}:${String(then % 60).padStart(2, "0")}`;
}

export const makeFor = defineSum({
  name: "make-for",
  title: "Make for covers",
  purpose: "What to make so that it does not run out.",
  words: ["overage", "plating loss", "how much to make", "service"],
  input: z.strictObject({
    covers: count("Covers").meta({ said: COVERS }),
    portionG: massAbove0("Portion"),
    overagePct: percent("Over", 200).optional(),
    platingLossPct: z
      .number()
      .min(0)
      .max(90)
      .optional()
      .meta({ title: "Left in pots and on spoons", unit: "%" }),
  }),
  output: z.strictObject({ makeG: z.number() }),
  example: { covers: 84, portionG: 55, overagePct: 5 },
  asks: ["covers", "portionG", "overagePct"],
  work: ({ covers, portionG, overagePct, platingLossPct }) => {
    const makeG = (covers * portionG * (1 + (overagePct ?? 0) / 100)) / (1 - (platingLossPct ?? 0) / 100);
    return ok({
      output: { makeG },
      sentence: `Make ${grams(makeG)} for ${num(covers)} covers of ${grams(portionG)}.`,
    });
  },
});

export const holdLoss = defineSum({
  name: "hold-loss",
  title: "Hold for service",
  purpose: "What a pot loses while it is held, and how salty it gets.",
  words: ["bain-marie", "holding", "service", "saltier"],
  input: z.strictObject({
    massG: massAbove0("In the pot"),
    pctPerHour: z.number().min(0).max(50).default(3).meta({ title: "Lost per hour", unit: "%" }),
    hours: hours("Held for"),
    saltPct: percent("Salt", 30).optional(),
  }),
  output: z.strictObject({ massG: z.number(), saltPct: z.number().optional() }),
  example: { massG: 4000, pctPerHour: 3, hours: 3, saltPct: 0.9 },
  asks: ["massG", "hours", "saltPct"],
  work: ({ massG, pctPerHour, hours: held, saltPct }) => {
    const left = massG * (1 - pctPerHour / 100) ** held;
    const saltier = saltPct === undefined ? undefined : (saltPct * massG) / left;
    return ok({
      output: { massG: left, ...(saltier !== undefined && { saltPct: saltier }) },
      sentence: `${grams(left)} after ${num(held, Number.isInteger(held) ? 0 : 1)} h${saltier === undefined ? "" : `, salt ${pct(saltier, 2)}`}: let ${grams(massG - left)} of unsalted liquid back in.`,
    });
  },
});

export const scaleStop = defineSum({
  name: "scale-stop",
  title: "Stop on the scale",
  purpose: "What the scale shows when the pan holds what you want.",
  words: ["tare", "gross", "pan weight", "stop"],
  input: z.strictObject({ tareG: mass("Empty pan"), targetG: massAbove0("Wanted in it") }),
  output: z.strictObject({ grossG: z.number() }),
  example: { tareG: 2100, targetG: 600 },
  asks: ["tareG", "targetG"],
  work: ({ tareG, targetG }) =>
    ok({
      output: { grossG: tareG + targetG },
      sentence: `Stop when the scale says ${grams(tareG + targetG)}, pan and all.`,
    }),
});

export const saltAfter = defineSum({
  name: "salt-after",
  title: "Salt after reducing",
  purpose: "All the salt stays: what it comes to, and what unsalted liquid would mend it.",
  words: ["salty", "reduction", "salinity", "correct"],
  input: z.strictObject({
    startG: massAbove0("Now"),
    saltPct: percent("Salt now", 40),
    endG: massAbove0("Then"),
    targetPct: z.number().positive().max(40).optional().meta({ title: "Wanted salt", unit: "%" }),
  }),
  output: z.strictObject({ saltPct: z.number(), unsaltedToAddG: z.number().optional() }),
  example: { startG: 4000, saltPct: 0.35, endG: 1200 },
  asks: ["startG", "saltPct", "endG", "targetPct"],
  work: ({ startG, saltPct, endG, targetPct }) => {
    const saltG = (startG * saltPct) / 100;
    if (saltG > endG)
      return refuse({
        code: "TARGET_BELOW_SOLIDS",
        field: "endG",
        value: endG,
        allowed: { min: saltG },
        message: `The salt alone weighs ${grams(saltG)}: it cannot get that small.`,
      });
    const then = (100 * saltG) / endG;
    const add = targetPct === undefined ? undefined : Math.max(0, (100 * saltG) / targetPct - endG);
    return ok(
      {
        output: { saltPct: then, ...(add !== undefined && { unsaltedToAddG: add }) },
        sentence: `Salt ${pct(then, 2)}${add === undefined ? "" : add > 0.05 ? `; ${grams(add)} unsalted liquid brings it to ${pct(targetPct ?? 0, 2)}` : "; no unsalted liquid needed"}.`,
      },
      saltAlarm(then),
    );
  },
});

export const creamFat = defineSum({
  name: "cream-fat",
  title: "Cream reduced",
  purpose: "Fat of a cream as it boils down, and when to stop for a wanted fat.",
  words: ["cream", "fat", "richness"],
  input: z.strictObject({
    fatPct: z.number().positive().max(100).meta({ title: "Fat", unit: "%" }),
    startG: massAbove0("Cream"),
    endG: massAbove0("Reduced to").optional().meta({ oneOf: "where it ends" }),
    targetFatPct: z
      .number()
      .positive()
      .max(100)
      .optional()
      .meta({ title: "Or wanted fat", unit: "%", oneOf: "where it ends" }),
  }),
  output: z.strictObject({ fatPct: z.number(), endG: z.number() }),
  example: { fatPct: 35, startG: 1200, endG: 600 },
  asks: ["fatPct", "startG", "endG", "targetFatPct"],
  work: ({ fatPct, startG, endG, targetFatPct }) => {
    const fatG = (startG * fatPct) / 100;
    if (endG === undefined && targetFatPct === undefined)
      return refuse(missing("endG", "Say what it is reduced to, or the fat you want."));
    const end = endG ?? (100 * fatG) / (targetFatPct ?? 1);
    if (end < fatG)
      return refuse({
        code: "TARGET_BELOW_SOLIDS",
        field: "endG",
        value: end,
        allowed: { min: fatG },
        message: `The fat alone weighs ${grams(fatG)}: it cannot get that small.`,
      });
    if (end > startG)
      return refuse({
        code: "TARGET_ABOVE_START",
        field: endG === undefined ? "targetFatPct" : "endG",
        value: end,
        allowed: { max: startG },
        message: `It weighs ${grams(startG)} now; a reduction ends below that.`,
      });
    return ok(
      {
        output: { fatPct: (100 * fatG) / end, endG: end },
        sentence: `${pct((100 * fatG) / end)} fat at ${grams(end)}.`,
      },
      creamAlarm((100 * fatG) / end, end / startG),
    );
  },
});
