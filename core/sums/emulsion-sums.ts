import { z } from "zod";
import {
  BUILD_KINDS,
  BUILD_WORDS,
  type EmulsionInput,
  acidityEstimate,
  acidityOfParts,
  breakRisk,
  buildEmulsion,
  checkStandards,
  emulsionOf,
  kindOfEmulsion,
  loosenEmulsion,
  massOf,
  oilAt,
  oilSchedule,
  oilStages,
  rawEggCaution,
  rescueBroken,
} from "../laws/emulsion";
import { fromSd } from "../ground/estimate";
import { type Warning, ok, refuse } from "../ground/result";
import { bandOf } from "../laws/texture";
import { estimateField, mass, percent } from "./fields";
import { emulsionFields, emulsionFrom, partsField } from "./emulsion-input";
import { defineSum, missing } from "./sum";
import { around, grams, num, pct, time } from "./words";

/** Oil in water: will it hold, how fast may the oil go in, what mends it. */

const RAW_EGG = ["yolk", "whole egg", "egg white"] as const;
const eggWarning = (input: EmulsionInput): Warning[] =>
  RAW_EGG.some(id => massOf(input.parts, id) > 0)
    ? [{ code: "RAW_EGG", message: rawEggCaution(input.measuredPH) }]
    : [];
const garlicWarning = (input: EmulsionInput): Warning[] =>
  massOf(input.parts, "garlic") > 0 && !(input.measuredPH !== undefined && input.measuredPH <= 4.1)
    ? [
        {
          code: "GARLIC_OIL",
          message: "Raw garlic under oil: fresh each day, 2–4 °C, never at room temperature (botulism).",
        },
      ]
    : [];

export const emulsionSum = defineSum({
  name: "emulsion",
  title: "Emulsion",
  purpose: "How full of oil it is, how thick, and what threatens it.",
  words: ["mayonnaise", "will it hold", "split", "oil per yolk", "break", "hollandaise"],
  input: z.strictObject(emulsionFields),
  output: z.strictObject({
    fatVolumePct: z.number(),
    thickness: estimateField.nullable(),
    capacityUsedPct: z.number(),
    risk: z.strictObject({
      score: z.number(),
      level: z.string(),
      reasons: z.array(z.strictObject({ id: z.string(), share: z.number(), text: z.string() })),
    }),
    pH: estimateField.optional(),
    standards: z.array(
      z.strictObject({
        name: z.string(),
        rule: z.string(),
        hasPct: z.number(),
        wantsPct: z.number(),
        verdict: z.enum(["inside", "outside", "cannot tell"]),
        shortG: z.number(),
      }),
    ),
  }),
  example: {
    oilG: 300,
    parts: [
      { ingredient: "yolk", massG: 36 },
      { ingredient: "mustard", massG: 15 },
      { ingredient: "vinegar", massG: 30 },
      { ingredient: "salt", massG: 4 },
    ],
  },
  asks: ["oilG", "parts", "temperatureC", "tool"],
  work: (i, world) => {
    const input = emulsionFrom(i, world);
    if (!input.ok) return input;
    const e = emulsionOf(input.value, world.facts);
    if (!e.ok) return e;
    const pH = acidityEstimate(acidityOfParts(input.value.parts), i.measuredPH);
    const risk = breakRisk(
      {
        ...input.value,
        kind: kindOfEmulsion(input.value),
        pace: i.ratePlan ?? 1,
        ...(pH.ok && { pH: pH.value.value }),
      },
      world.facts,
    );
    const thickness =
      e.value.thickness === null ? null : fromSd(e.value.thickness, e.value.sd, { min: 0, max: 100 });
    const [first] = risk.reasons;
    const body = thickness
      ? `body ${num(thickness.value)}${around(thickness, x => num(x))}, ${bandOf(thickness.value).name}`
      : "no lasting body";
    return ok(
      {
        output: {
          fatVolumePct: 100 * e.value.fatVolume,
          thickness,
          capacityUsedPct: Number.isFinite(e.value.capacityUsed) ? 100 * e.value.capacityUsed : 1000,
          risk: {
            score: risk.score,
            level: risk.level,
            reasons: risk.reasons.map(r => ({ id: r.id, share: r.share, text: r.text })),
          },
          ...(pH.ok && { pH: pH.value }),
          standards: checkStandards(input.value),
        },
        sentence: `${pct(100 * e.value.fatVolume)} oil by volume, ${body}; risk ${risk.level} (${risk.score})${first ? `: ${first.text}` : ""}.`,
      },
      [...e.warnings, ...eggWarning(input.value), ...garlicWarning(input.value)],
    );
  },
});

export const oilScheduleSum = defineSum({
  name: "oil-schedule",
  title: "How the oil goes in",
  purpose: "Drops, a thin thread, a thread: grams and pace by stage.",
  words: ["oil rate", "drops", "thread", "metronome", "how fast"],
  input: z.strictObject(emulsionFields),
  output: z.strictObject({
    stages: z.array(
      z.strictObject({ fromG: z.number(), toG: z.number(), gPerMin: z.number(), dose: z.number() }),
    ),
  }),
  example: {
    oilG: 720,
    parts: [
      { ingredient: "yolk", massG: 72 },
      { ingredient: "vinegar", massG: 60 },
      { ingredient: "mustard", massG: 20 },
    ],
  },
  asks: ["oilG", "parts", "tool"],
  work: (i, world) => {
    const input = emulsionFrom(i, world);
    if (!input.ok) return input;
    const e = emulsionOf(input.value, world.facts);
    if (!e.ok) return e;
    const tight = e.value.fatVolume > 0.8 ? oilAt(input.value, 0.78) : undefined;
    const plan = oilSchedule(e.value.phaseG, i.oilG, i.tool, world.facts, tight);
    if (!plan.ok) return plan;
    const stages = oilStages(e.value.phaseG, i.oilG, i.tool, world.facts);
    const water =
      plan.value.waterBefore === null
        ? ""
        : `; a teaspoon of water before ${grams(plan.value.doses[plan.value.waterBefore]?.fromG ?? 0)} are in`;
    return ok(
      {
        output: {
          stages: stages.map(s => ({ fromG: s.fromG, toG: s.toG, gPerMin: s.gPerMin, dose: s.doseG })),
        },
        sentence: `${stages.map(s => `${s.name} to ${grams(s.toG)} at ${grams(s.gPerMin)} a minute`).join(", ")}; ${time(plan.value.seconds / 60)} in all${water}.`,
      },
      e.warnings,
    );
  },
});

/** Oil or butterfat by weight where nobody says: a warm sauce bears less than a mayonnaise. Common practice, no source. */
const USUAL_OIL_PCT: Readonly<Record<(typeof BUILD_KINDS)[number], number>> = {
  mayonnaise: 78,
  aioli: 78,
  hollandaise: 66,
  "beurre-blanc": 60,
  "egg-white": 72,
};

export const emulsionFor = defineSum({
  name: "emulsion-for",
  title: "Build an emulsion",
  purpose: "Yolks, acid, water and oil for a wanted amount.",
  words: ["yolks for", "make mayonnaise", "build", "aioli"],
  input: z.strictObject({
    oilG: mass("Oil").optional().meta({ oneOf: "how much" }),
    totalG: mass("Or in all").optional().meta({ oneOf: "how much" }),
    oilPct: percent("Oil by weight").optional(),
    kind: z.enum(BUILD_KINDS).meta({ title: "Kind", words: BUILD_WORDS }),
    yolkEachG: z.number().min(8).max(30).default(18).meta({ title: "One yolk", unit: "g" }),
  }),
  output: z.strictObject({
    yolks: z.number(),
    yolkG: z.number(),
    waterG: z.number(),
    acidG: z.number(),
    oilG: z.number(),
    capacityUsedPct: z.number(),
  }),
  example: { totalG: 2000, kind: "mayonnaise" },
  asks: ["kind", "totalG", "oilPct"],
  work: (i, world) => {
    const built = buildEmulsion(
      i.kind,
      {
        oilPct: i.oilPct ?? USUAL_OIL_PCT[i.kind],
        ...(i.oilG !== undefined && { oilG: i.oilG }),
        ...(i.totalG !== undefined && { totalG: i.totalG }),
      },
      world.facts,
      i.yolkEachG,
    );
    if (!built.ok) return built;
    const e = emulsionOf(built.value.input, world.facts);
    if (!e.ok) return e;
    const { yolks, yolkG, waterG, acidG, oilG, butterG, butter, weigh } = built.value;
    const fat = butter ? `${grams(butterG)} ${butter} butter` : `${grams(oilG)} oil`;
    const others = weigh
      .filter(p => p.id !== "yolk")
      .map(p => `${grams(p.massG)} ${p.id}`)
      .join(", ");
    return ok(
      {
        output: { yolks, yolkG, waterG, acidG, oilG, capacityUsedPct: 100 * e.value.capacityUsed },
        sentence: `${yolks ? `${yolks} yolks (${grams(yolkG)}), ` : ""}${others}, ${fat}: body ${num(e.value.thickness ?? 0)}, ${bandOf(e.value.thickness ?? 0).name}.`,
      },
      [...e.warnings, ...eggWarning(built.value.input)],
    );
  },
});

const USUAL_SPLIT_YOLK = 0.09;

export const rescueEmulsion = defineSum({
  name: "rescue-emulsion",
  title: "Rescue a split",
  purpose: "What a broken or tight emulsion is taken up on, and in which doses.",
  words: ["split", "broken", "curdled mayonnaise", "mend", "rescue"],
  input: z.strictObject({
    ...emulsionFields,
    oilG: mass("Oil or butterfat").optional(),
    parts: partsField.optional(),
    splitG: mass("Broken sauce").optional(),
    oilPct: percent("Oil by weight").optional(),
    hot: z.boolean().optional().meta({ title: "Warm sauce" }),
    failedBefore: z.boolean().optional().meta({ title: "Water alone has failed" }),
    cause: z
      .enum(["tight", "broken"])
      .default("broken")
      .meta({ title: "It is", words: { tight: "too tight", broken: "broken" } }),
  }),
  output: z.strictObject({ startWith: z.string(), steps: z.array(z.string()) }),
  example: { splitG: 650, oilPct: 80 },
  asks: ["splitG", "oilPct", "hot", "failedBefore"],
  work: (i, world) => {
    const oilKind = i.hot ? "butterfat" : i.oilKind;
    let input: EmulsionInput;
    if (i.splitG !== undefined) {
      if (i.oilPct === undefined) return refuse(missing("oilPct", "Say how much of it is oil, in per cent."));
      const oilG = (i.splitG * i.oilPct) / 100;
      const yolkG = i.yolkG ?? USUAL_SPLIT_YOLK * i.splitG;
      if (yolkG + oilG > i.splitG)
        return refuse({
          code: "SUBSET_TOO_BIG",
          field: "yolkG",
          value: yolkG,
          allowed: { max: i.splitG - oilG },
          message: `Oil and yolk come to more than the ${grams(i.splitG)} there are.`,
        });
      input = {
        oilG,
        oilKind,
        parts: [
          { id: "yolk", massG: yolkG },
          { id: "water", massG: i.splitG - oilG - yolkG },
        ],
        temperatureC: i.hot ? Math.max(i.temperatureC, 55) : i.temperatureC,
        tool: i.tool,
      };
    } else {
      if (i.oilG === undefined || !i.parts)
        return refuse(
          missing("splitG", "Say what the broken sauce weighs and its oil, or what went into it."),
        );
      const found = emulsionFrom({ ...i, oilKind, oilG: i.oilG, parts: i.parts }, world);
      if (!found.ok) return found;
      input = found.value;
    }
    const kind = kindOfEmulsion(input);
    const done =
      i.cause === "tight"
        ? loosenEmulsion(input, kind === "hollandaise" || kind === "beurre-blanc", world.facts)
        : rescueBroken(
            input,
            { kind, ...(i.failedBefore && { failedBefore: true }), isC: i.temperatureC },
            world.facts,
          );
    if (!done.ok) return done;
    return ok(
      {
        output: { startWith: done.value.startWith, steps: [...done.value.steps] },
        sentence: done.value.steps.join(" "),
      },
      [...done.warnings, ...eggWarning(done.value.input)],
    );
  },
});

export const aciditySum = defineSum({
  name: "acidity",
  title: "Sourness",
  purpose: "The pH of a mixture, estimated; a measured one overrides.",
  words: ["pH", "acid", "sour", "vinegar"],
  input: z.strictObject({
    parts: partsField,
    measuredPH: z.number().optional().meta({ title: "Measured pH" }),
  }),
  output: z.strictObject({ pH: estimateField, caution: z.string() }),
  example: {
    parts: [
      { ingredient: "yolk", massG: 36 },
      { ingredient: "vinegar", massG: 30 },
      { ingredient: "mustard", massG: 15 },
    ],
  },
  asks: ["parts", "measuredPH"],
  work: ({ parts, measuredPH }, world) => {
    const input = emulsionFrom(
      { oilG: 0, oilKind: "oil", parts, yolkG: undefined, temperatureC: 20, tool: "whisk", measuredPH },
      world,
    );
    if (!input.ok) return input;
    const pH = acidityEstimate(acidityOfParts(input.value.parts), measuredPH);
    if (!pH.ok) return pH;
    const eggs = RAW_EGG.some(id => massOf(input.value.parts, id) > 0);
    const caution = eggs ? rawEggCaution(measuredPH) : "No egg in it.";
    return ok({
      output: { pH: pH.value, caution },
      sentence: `pH ${num(pH.value.value, 1)}${around(pH.value, x => num(x, 1))}${measuredPH === undefined ? ", estimated" : ", measured"}.`,
    });
  },
});
