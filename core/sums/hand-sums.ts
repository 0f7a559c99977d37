import { z } from "zod";
import {
  SIEVES,
  afterSieve,
  coldCubes,
  drainedYet,
  hardestOf,
  loosenedSolids,
  sieveOrNot,
} from "../laws/puree";
import { ok, refuse } from "../ground/result";
import { finishOrder } from "../laws/seasoning";
import { bandOf, creamMatches } from "../laws/texture";
import { massAbove0, minutes, percent } from "./fields";
import { defineSum, missing } from "./sum";
import { grams, num, pct } from "./words";

/** Small decisions of the hand: is it drained, is it soft, sieve it or not, does the cream match, what goes in first. */

export const drainedSum = defineSum({
  name: "drained-yet",
  title: "Drained yet?",
  purpose: "Whether drained greens have given up their water, from two weights or more.",
  words: ["chard", "spinach", "colander", "drip", "press"],
  input: z.strictObject({
    readings: z
      .array(z.strictObject({ min: minutes("After"), g: massAbove0("Weight") }))
      .max(100)
      .meta({ title: "Weights" }),
  }),
  output: z.strictObject({ lossPct: z.number(), lostG: z.number(), done: z.boolean() }),
  example: {
    readings: [
      { min: 15, g: 2620 },
      { min: 20, g: 2580 },
    ],
  },
  asks: ["readings"],
  work: ({ readings }) => {
    const drained = drainedYet(readings);
    if (!drained.ok) return drained;
    const { lossPct, lostG, done } = drained.value;
    return ok({
      output: { lossPct, lostG, done },
      sentence: `${pct(lossPct)} in five minutes, ${grams(lostG)} in all: ${done ? "drained" : "let it drain on"}.`,
    });
  },
});

export const softYet = defineSum({
  name: "soft-yet",
  title: "Which to try for softness",
  purpose: "The hardest of a mix, and when to try it.",
  words: ["done", "fork", "ready to purée", "hardest"],
  input: z.strictObject({
    names: z.array(z.string().min(1).max(60)).max(20).meta({ title: "In the pot", hint: "with commas" }),
  }),
  output: z.strictObject({ item: z.string(), lookAtMin: z.array(z.number()) }),
  example: { names: ["pear", "parsnip", "salsify"] },
  asks: ["names"],
  work: ({ names }) => {
    const hardest = hardestOf(names);
    if (!hardest) return refuse(missing("names", "Say what is in the pot: pear, parsnip, salsify."));
    const { item, lookAtMin } = hardest;
    return ok({
      output: { item, lookAtMin: [...lookAtMin] },
      sentence: `Try the ${item} at ${lookAtMin.map(m => num(m)).join(", ")} min: when it yields to the spoon all of it does.`,
    });
  },
});

export const sieveSum = defineSum({
  name: "sieve-or-not",
  title: "Sieve it or not",
  purpose: "What stays in the sieve, and what it buys on the tongue.",
  words: ["tamis", "chinois", "grain", "pass"],
  input: z.strictObject({
    massG: massAbove0("Purée"),
    sieve: z.enum(SIEVES).default("tamis").meta({ title: "Through" }),
    lossPct: percent("Lost in it, if weighed").optional(),
    fibrous: z.boolean().default(false).meta({ title: "Skins or strings in it" }),
  }),
  output: z.strictObject({
    massG: z.number(),
    lostG: z.number(),
    grain: z.number(),
    grainWithout: z.number(),
  }),
  example: { massG: 2650, sieve: "tamis", lossPct: 4 },
  asks: ["massG", "sieve", "lossPct"],
  work: ({ massG, sieve, lossPct, fibrous }, world) => {
    const share =
      lossPct === undefined ? 1 - afterSieve(1, 0, sieve, fibrous, world.facts).massG : lossPct / 100;
    const of = sieveOrNot(massG, sieve, share);
    return ok({
      output: of,
      sentence: `${grams(of.massG)} come through, ${grams(of.lostG)} stay; grain ${num(of.grain)} of 3 instead of ${num(of.grainWithout)}.`,
    });
  },
});

const body = (title: string) => z.number().min(0).max(100).meta({ title });

export const matchBody = defineSum({
  name: "match-body",
  title: "Does the cream match?",
  purpose: "How far cream must be reduced before it goes into a base without moving its body.",
  words: ["reduced cream", "same texture", "fold in", "nappe"],
  input: z.strictObject({ baseBody: body("Body of the base"), creamBody: body("Body of the cream") }),
  output: z.strictObject({ ready: z.boolean(), from: z.number(), to: z.number(), hint: z.string() }),
  example: { baseBody: 45, creamBody: 37 },
  asks: ["baseBody", "creamBody"],
  work: ({ baseBody, creamBody }) => {
    const match = creamMatches(baseBody, creamBody);
    return ok({
      output: match,
      sentence: `The base is ${bandOf(baseBody).name}: cream of body ${num(match.from)} to ${num(match.to)} goes in without moving it; at ${num(creamBody)} ${match.hint}.`,
    });
  },
});

export const finishOrderSum = defineSum({
  name: "finish-order",
  title: "What goes in first at the end",
  purpose: "Stock, fortified wine, its boil, then salt: in grams and in order.",
  words: ["sherry", "madeira", "season last", "soup"],
  input: z.strictObject({
    massG: massAbove0("Soup or sauce"),
    stockPct: percent("Stock, of it").default(5),
    winePct: percent("Fortified wine, of what it is then").default(3),
  }),
  output: z.strictObject({
    steps: z.array(z.strictObject({ what: z.string(), massG: z.number(), saltLocked: z.boolean() })),
  }),
  example: { massG: 3600, stockPct: 5, winePct: 3 },
  asks: ["massG", "stockPct", "winePct"],
  work: ({ massG, stockPct, winePct }) => {
    const steps = finishOrder(massG, stockPct, winePct).map(step => ({ ...step }));
    return ok({
      output: { steps },
      sentence: `${steps.map(s => (s.massG > 0 ? `${grams(s.massG)} ${s.what}` : s.what)).join(", then ")}.`,
    });
  },
});

export const loosenSum = defineSum({
  name: "blade-stalls",
  title: "When the blade stalls",
  purpose: "What liquid let in to free the blade leaves of the solids.",
  words: ["loosen", "turbulence", "blender stuck", "thin a purée"],
  input: z.strictObject({
    massG: massAbove0("In the jar"),
    solidsPct: percent("Its solids"),
    addedG: massAbove0("Liquid let in"),
  }),
  output: z.strictObject({ massG: z.number(), solidsPct: z.number() }),
  example: { massG: 1900, solidsPct: 18, addedG: 120 },
  asks: ["massG", "solidsPct", "addedG"],
  work: i => {
    const after = loosenedSolids(i.massG, i.solidsPct, i.addedG);
    return ok({
      output: after,
      sentence: `${grams(after.massG)} with ${pct(after.solidsPct)} solids: write the ${grams(i.addedG)} down, they are part of it now.`,
    });
  },
});

export const coldCubesSum = defineSum({
  name: "cold-cubes",
  title: "Cold butter by the cube",
  purpose: "Cold butter for a purée while it runs, in cubes of one size.",
  words: ["butter", "monter", "blend in"],
  input: z.strictObject({
    massG: massAbove0("Purée"),
    pct: percent("Butter, of it"),
    cubeG: massAbove0("One cube").default(8),
  }),
  output: z.strictObject({ butterG: z.number(), cubes: z.number() }),
  example: { massG: 2400, pct: 3, cubeG: 8 },
  asks: ["massG", "pct", "cubeG"],
  work: i => {
    const { butterG, cubes, eachG } = coldCubes(i.massG, i.pct, i.cubeG);
    return ok({
      output: { butterG, cubes },
      sentence: `${grams(butterG)} of cold butter: ${num(cubes)} ${cubes === 1 ? "cube" : "cubes"} of ${grams(eachG)}, one after the other while it runs.`,
    });
  },
});
