import { z } from "zod";
import {
  COOLING_METHODS,
  COOLING_METHOD_WORDS,
  PROFILES,
  PROFILE_IDS,
  type Outlook,
  VERDICT_WORDS,
  coolingCourse,
  iceForBath,
  judgeLog,
  outlook,
  projectCooling,
  sinksOf,
  worstVerdict,
} from "../laws/cooling";
import type { FactValues } from "../ground/facts";
import { waterDensityKgM3 } from "../things/pot";
import { degC, ml } from "../ground/quantity";
import { type Warning, ok } from "../ground/result";
import { estimated } from "./estimates";
import { celsius, estimateField, mass, massAbove0, readingField, vesselField } from "./fields";
import { vesselOf } from "./inputs";
import { defineSum } from "./sum";
import { PROFILE_WORDS } from "./choice-words";
import { around, grams, num, time } from "./words";

/** Cooling, ice, and what a probe log shows. */

const OUTLOOK_WORDS: Record<Outlook, string> = {
  "on-track": "inside the limits set in this kitchen",
  "at-risk": "may miss the limits",
  "too-late": "outside the limits: shallow pans, ice, smaller lots",
};
/** J/(g K), thin stock. */
const STOCK_HEAT = 4.18;
const POINTS = 30;
const outlookField = z.enum(["on-track", "at-risk", "too-late"]);

const coolInput = z.strictObject({
  massG: massAbove0("To cool"),
  vessels: z.number().int().min(1).max(50).default(1).meta({ title: "In how many vessels" }),
  vessel: vesselField,
  fromC: celsius("From"),
  toC: celsius("To"),
  method: z.enum(COOLING_METHODS).meta({ title: "How", words: COOLING_METHOD_WORDS }),
  sinkC: celsius("As cold as").optional(),
  covered: z.boolean().optional().meta({ title: "Covered" }),
  stirred: z.boolean().meta({ title: "Stirred" }),
  thick: z.boolean().optional().meta({ title: "Thick" }),
  iceG: mass("Ice at hand").optional(),
  panHeatCapacityJPerK: z
    .number()
    .min(0)
    .max(100_000)
    .optional()
    .meta({ title: "Heat the vessel takes", unit: "J/K" }),
  cpJPerGK: z.number().min(1).max(5).optional().meta({ title: "Specific heat", unit: "J/(g K)" }),
});

export const coolTime = defineSum({
  name: "cool-time",
  title: "Cooling time",
  purpose: "How long it takes to get cold, and whether that is inside the limits.",
  words: ["cool", "chill", "ice bath", "walk-in", "blast", "fridge"],
  input: coolInput,
  output: z.strictObject({
    minutes: estimateField,
    curve: z.array(z.strictObject({ min: z.number(), c: z.number() })),
    meets: z.record(z.string(), outlookField),
  }),
  example: {
    massG: 10_000,
    vessel: { shape: "cylinder", diameterMm: 280, heightMm: 300 },
    fromC: 88,
    toC: 5,
    method: "ice-bath",
    stirred: true,
  },
  asks: ["massG", "vessel", "fromC", "toC", "method"],
  work: (i, world) => {
    const vessel = vesselOf(i.vessel, world);
    if (!vessel.ok) return vessel;
    const { geometry, heatCapacity } = vessel.value;
    const each = i.massG / i.vessels;
    const level = geometry.levelOf(ml((each * 1000) / waterDensityKgM3(20)), "massG");
    if (!level.ok) return level;
    const course = (from: number, to: number, f: FactValues) => {
      const sinks = sinksOf(
        {
          method: i.method,
          vessel: geometry,
          level: level.value,
          covered: i.covered ?? true,
          thick: i.thick ?? false,
          stirred: i.stirred,
          ...(i.sinkC !== undefined && { sinkC: degC(i.sinkC) }),
          roomC: world.around.ambientC,
        },
        f,
      );
      if (!sinks.ok) return sinks;
      const heat =
        each * (i.cpJPerGK ?? STOCK_HEAT) * f.coolingMassTrue + (i.panHeatCapacityJPerK ?? heatCapacity);
      const found = coolingCourse(heat, degC(from), degC(to), sinks.value);
      return found.ok ? ok({ ...found.value, coreExcess: sinks.value.coreExcess }) : found;
    };
    const minutesFor = (from: number, to: number) =>
      estimated(world.facts, f => {
        const found = course(from, to, f);
        return found.ok ? ok({ minutes: found.value.time / 60 }) : found;
      });
    const nominal = course(i.fromC, i.toC, world.facts);
    if (!nominal.ok) return nominal;
    const minutes = minutesFor(i.fromC, i.toC);
    if (!minutes.ok) return minutes;
    const meets = Object.fromEntries(
      PROFILE_IDS.map(id => {
        const { startC, stages } = PROFILES[id];
        const found = stages.map((stage): Outlook => {
          const of = minutesFor(startC, stage.endC);
          return outlook(of.ok ? of.value.minutes : null, stage.allowedMin);
        });
        return [id, worst(found)];
      }),
    );
    const total = nominal.value.time;
    const curve = Array.from({ length: POINTS + 1 }, (_, n) => ({
      min: (total * n) / POINTS / 60,
      c: total > 0 ? nominal.value.at((total * n) / POINTS) : i.fromC,
    }));
    const warnings = iceWarnings(i, heatCapacity);
    if (nominal.value.coreExcess > 0)
      warnings.push({
        code: "CORE_SLOWER",
        message: "Thick and not stirred: its middle is warmer than the mean. Stir, or spread it thin.",
      });
    const own = meets.fda ?? "too-late";
    return ok(
      {
        output: { minutes: minutes.value.minutes, curve, meets },
        sentence: `About ${time(minutes.value.minutes.value)}${around(minutes.value.minutes, time)} from ${num(i.fromC)} to ${num(i.toC)} °C; 57 to 5 °C is ${OUTLOOK_WORDS[own]}. Follow your local food code.`,
      },
      warnings,
    );
  },
});

const worst = (found: readonly Outlook[]): Outlook =>
  found.includes("too-late") ? "too-late" : found.includes("at-risk") ? "at-risk" : "on-track";

function iceWarnings(i: z.infer<typeof coolInput>, heatCapacity: number): Warning[] {
  if (i.iceG === undefined || !i.method.startsWith("ice-bath")) return [];
  const heatJPerK =
    i.massG * (i.cpJPerGK ?? STOCK_HEAT) + i.vessels * (i.panHeatCapacityJPerK ?? heatCapacity);
  const need = iceForBath({
    heatJPerK,
    fromC: i.fromC,
    toC: i.toC,
    iceC: -5,
    bathC: Math.min(3, i.toC),
    lossShare: 0.1,
  });
  if (!need.ok || i.iceG >= need.value) return [];
  return [
    {
      code: "ICE_SHORT",
      message: `That bath wants ${grams(need.value)} of ice; ${grams(i.iceG)} melts before it is cold.`,
    },
  ];
}

export const coolingCheck = defineSum({
  name: "cooling-check",
  title: "Cooling log",
  purpose: "What probe readings show against the limits, and whether it will make it.",
  words: ["probe", "log", "57 21 5", "two stage", "forecast", "haccp"],
  input: z.strictObject({
    readings: z.array(readingField).max(500).meta({ title: "Readings" }),
    profile: z.enum(PROFILE_IDS).meta({ title: "Limits", words: PROFILE_WORDS }),
    sinkC: celsius("The cold it stands in").optional(),
    minutesPerFold: z.number().positive().max(10_000).optional().meta({ title: "Expected minutes per fold" }),
    probeErrorC: z.number().default(1).meta({ title: "Probe error", unit: "°C" }),
  }),
  output: z.strictObject({
    stages: z.array(
      z.strictObject({
        name: z.string(),
        tookMin: z.number().nullable(),
        limitMin: z.number(),
        verdict: z.enum(["pass", "pass-marginal", "fail", "pending", "unknown"]),
      }),
    ),
    projection: z
      .strictObject({
        minutesPerFold: z.number(),
        crossings: z.array(
          z.strictObject({
            toC: z.number(),
            atMin: estimateField.nullable(),
            dueMin: z.number().nullable(),
            outlook: outlookField,
          }),
        ),
      })
      .optional(),
  }),
  example: {
    profile: "fda",
    sinkC: 2,
    minutesPerFold: 120,
    readings: [
      { min: 0, c: 60 },
      { min: 60, c: 38 },
    ],
  },
  asks: ["readings", "profile", "sinkC"],
  work: i => {
    const judged = judgeLog(i.readings, i.profile, i.probeErrorC);
    if (!judged.ok) return judged;
    const { stages, startMin, profile, notes } = judged.value;
    const warnings: Warning[] = [];
    if (notes.includes("START_UNKNOWN"))
      warnings.push({
        code: "START_UNKNOWN",
        message: `The first reading is below ${profile.startC} °C already: nobody knows when it passed.`,
      });
    if (notes.includes("REWARM_NOT_REHEATED"))
      warnings.push({
        code: "REWARM_NOT_REHEATED",
        message: `Warming it to less than ${profile.reheatC} °C does not start the clock again.`,
      });
    const projected =
      i.sinkC !== undefined && i.minutesPerFold !== undefined
        ? projectCooling(i.readings, i.sinkC, i.minutesPerFold)
        : null;
    if (projected && !projected.ok)
      warnings.push(...projected.problems.map(p => ({ code: p.code, message: p.message })));
    const projection = projected?.ok
      ? {
          minutesPerFold: projected.value.minutesPerFold,
          crossings: stages
            .filter(stage => stage.crossedAtMin === null)
            .map(({ stage }) => {
              const atMin = projected.value.crossing(stage.endC);
              const dueMin = startMin === null ? null : startMin + stage.allowedMin;
              return {
                toC: stage.endC,
                atMin,
                dueMin,
                outlook: dueMin === null ? ("at-risk" as const) : outlook(atMin, dueMin),
              };
            }),
        }
      : undefined;
    const next = projection?.crossings[0];
    const said = next?.atMin
      ? ` ${num(next.toC)} °C at about minute ${num(next.atMin.value)} (${num(next.atMin.lo)} to ${next.atMin.hi === null ? "nobody knows" : num(next.atMin.hi)})${next.dueMin === null ? "" : `, due by ${num(next.dueMin)}`}: ${OUTLOOK_WORDS[next.outlook]}.`
      : "";
    return ok(
      {
        output: {
          stages: stages.map(s => ({
            name: s.stage.name,
            tookMin: s.tookMin,
            limitMin: s.stage.allowedMin,
            verdict: s.verdict,
          })),
          ...(projection && { projection }),
        },
        sentence: `${VERDICT_WORDS[worstVerdict(stages)]}.${said} The local food code decides.`.replace(
          /^./,
          c => c.toUpperCase(),
        ),
      },
      warnings,
    );
  },
});
