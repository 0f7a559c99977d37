import { z } from "zod";
import { degC, g } from "../ground/quantity";
import { ok, refuse } from "../ground/result";
import { normaliseComposition } from "../things/larder";
import { type Drying, dryingClassOf, dryingTimeWeighed, surfaceM2 } from "../laws/drying";
import { poolsOf } from "../things/pot";
import { celsius, massAbove0, minutes } from "./fields";
import { ingredientNamed } from "./inputs";
import { defineSum } from "./sum";
import { grams, num, pct } from "./words";

/** One tray of the middle size of a kitchen, m². Common practice, no source. */
const TRAY_M2 = 0.53 * 0.325;

/** A tray of bones weighed in and out: what this kitchen’s oven makes of the figure that they dry by. */
export const roastWeighed = defineSum({
  name: "roast-weighed",
  title: "Roasted: in and out",
  purpose: "What a tray lost in the oven beside what the sums say, and the figure your oven would have.",
  words: ["roast loss", "bones lost", "tray in and out", "roasting yield"],
  input: z.strictObject({
    what: z.string().min(1).max(80).meta({ title: "What roasted", hint: "veal bones, mushrooms …" }),
    inG: massAbove0("In"),
    outG: massAbove0("Out, without the fat"),
    ovenC: celsius("Oven"),
    minutes: minutes("In it"),
    trays: z.number().int().min(1).max(60).optional().meta({ title: "Trays" }),
    fan: z.boolean().default(false).meta({ title: "Fan on" }),
    startC: celsius("Went in at").default(12),
  }),
  output: z.strictObject({
    lostG: z.number(),
    lossPct: z.number(),
    foreseenPct: z.number(),
    nowMin: z.number(),
    wouldBeMin: z.number(),
  }),
  example: { what: "veal bones", inG: 6000, outG: 5300, ovenC: 200, minutes: 60 },
  asks: ["what", "inG", "outG", "ovenC", "minutes"],
  work: (i, world) => {
    const known = ingredientNamed(i.what, world, "what");
    if (!known.ok) return known;
    if (i.outG >= i.inG)
      return refuse({
        code: "OUT_OF_RANGE",
        field: "outG",
        value: i.outG,
        allowed: { max: i.inG },
        message: `It came out at ${grams(i.outG)} of ${grams(i.inG)}: nothing was lost. Weigh it without its tray, both times.`,
      });
    const ingredient = known.value;
    if (!ingredient.solidKind)
      return refuse({
        code: "UNKNOWN_ID",
        field: "what",
        value: i.what,
        message: `${ingredient.name} does not lie on a tray: name bones, meat, skin, vegetables, mushrooms or shells.`,
      });
    const composition = normaliseComposition(ingredient.composition);
    if (!composition.ok) return composition;
    const raw = poolsOf(composition.value, g(i.inG));
    const part: Drying = {
      of: dryingClassOf(ingredient.solidKind, ingredient.carries?.whole),
      massG: i.inG,
      waterG: raw.water,
      fatG: raw.fat,
      rawG: i.inG,
      rawWaterG: raw.water,
      rawFatG: raw.fat,
    };
    const flat = Math.max(
      1,
      Math.ceil(surfaceM2([part], world.facts) / (world.facts.ovenOverTray * TRAY_M2)),
    );
    const trays = i.trays ?? flat;
    const found = dryingTimeWeighed(
      part,
      { ovenC: i.ovenC, fan: i.fan, lid: "off", trayM2: trays * TRAY_M2 },
      { c: degC(i.startC), min: i.minutes },
      i.inG - i.outG,
      world.facts,
    );
    if (!found.ok) return found;
    const { foreseenG, lostG, nowMin, wouldBeMin, label } = found.value;
    const [lossPct, foreseenPct] = [(100 * lostG) / i.inG, (100 * foreseenG) / i.inG];
    return ok(
      {
        output: { lostG, lossPct, foreseenPct, nowMin, wouldBeMin },
        sentence: `${pct(lossPct, 1)} lost, ${grams(lostG)}; the sums say ${pct(foreseenPct, 1)}. One weighing puts “${label}” at ${num(wouldBeMin)} min instead of ${num(nowMin)}: when two or three agree, enter it under Figures.`,
      },
      i.trays === undefined
        ? [{ code: "TRAYS", message: `Counted on ${num(trays)} trays, in one layer: say how many it were.` }]
        : [],
    );
  },
});
