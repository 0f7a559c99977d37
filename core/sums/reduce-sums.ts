import { withFact } from "../ground/facts";
import { z } from "zod";
import { flameWarnings } from "../laws/alcohol";
import type { FactValues } from "../ground/facts";
import { type Pools, type Surroundings, abvOf, massOfPools, volumeAt20, volumeMlOf } from "../things/pot";
import { degC, ml } from "../ground/quantity";
import {
  type Simulation,
  type TracePoint,
  filmSolids,
  scorchOf,
  scorchWarning,
  simulateToGoal,
} from "../laws/reduction";
import { type Result, type Warning, ok, refuse } from "../ground/result";
import type { Geometry } from "../things/vessel";
import { saltAlarm } from "./alarms";
import { type OwnSwing, estimated } from "./estimates";
import {
  aroundFields,
  celsius,
  curveField,
  estimateField,
  heatField,
  lidField,
  liquidFields,
  mass,
  surfaceField,
  targetField,
  vesselField,
  volume,
} from "./fields";
import { aroundOf, driveOf, liquidOf, massOfLiquid, poolsOfLiquid, vesselOf } from "./inputs";
import { type SumWorld, defineSum } from "./sum";
import { endOf, targetWords } from "./target";
import { around, grams, time } from "./words";

/** Boiling one liquid down. */

/** What `reduce` and the tracker’s own model of a reduction take. */
export const reduceFields = {
  ...liquidFields,
  startG: mass("Liquid").optional().meta({ oneOf: "how much liquid" }),
  startMl: volume("Liquid, as a volume").optional().meta({ oneOf: "how much liquid" }),
  startC: celsius("As hot as").default(20),
  vessel: vesselField,
  heat: heatField,
  panHeatCapacityJPerK: z
    .number()
    .min(0)
    .max(100_000)
    .optional()
    .meta({ title: "Heat the pan takes", unit: "J/K" }),
  surface: surfaceField.optional().meta({ oneOf: "which surface" }),
  surfaceFactor: z
    .number()
    .min(0.05)
    .max(1.5)
    .optional()
    .meta({ title: "Or surface factor", oneOf: "which surface" }),
  lid: lidField.optional(),
  solidsMl: volume("Bones and vegetables below the level").optional(),
  ...aroundFields,
};
const reduceInput = z.strictObject({ ...reduceFields, target: targetField });
export type ReduceInput = z.infer<typeof reduceInput>;

export interface Reduction {
  readonly start: Pools;
  readonly name: string;
  readonly geometry: Geometry;
  readonly run: (
    facts: FactValues,
    massTimes?: number,
    trace?: boolean,
    heatTimes?: number,
  ) => Result<Simulation>;
  readonly facts: FactValues;
  readonly air: Surroundings;
}

/** A reduction ready to be run with other facts: the same for the sum, its interval and the tracker. */
export function reductionOf(
  input: Omit<ReduceInput, "target"> & { target?: ReduceInput["target"] },
  world: SumWorld,
): Result<Reduction> {
  const vessel = vesselOf(input.vessel, world);
  if (!vessel.ok) return vessel;
  const liquid = liquidOf(input, world);
  if (!liquid.ok) return liquid;
  const air = aroundOf(input, world);
  if (!air.ok) return air;
  const massG = massOfLiquid(liquid.value, input.startG, input.startMl, "startG");
  if (!massG.ok) return massG;
  const start = poolsOfLiquid(liquid.value, massG.value);
  if (massG.value <= 0)
    return refuse({
      code: "EMPTY",
      field: "startG",
      value: massG.value,
      message: "There is nothing in the pan yet.",
    });
  const { geometry, heatCapacity } = vessel.value;
  const factor = input.surfaceFactor;
  const facts = factor === undefined ? air.value.facts : { ...air.value.facts, surfaceStirred: factor };
  const displaced = ml(input.solidsMl ?? 0);
  const run = (f: FactValues, massTimes = 1, trace = false, heatTimes = 1): Result<Simulation> => {
    const liquor = poolsOfLiquid(liquid.value, massG.value * massTimes);
    const own = factor === undefined ? f : withFact(f, "surfaceStirred", factor);
    const drive = driveOf(
      "watts" in input.heat ? { watts: input.heat.watts * heatTimes } : input.heat,
      { liquor, geometry, around: air.value.around, displacedMl: displaced },
      own,
    );
    if (!drive.ok) return drive;
    const end = input.target ? endOf(input.target, start) : null;
    if (end && !end.ok) return end;
    return simulateToGoal({
      liquor,
      temperatureC: degC(input.startC),
      vessel: geometry,
      displacedMl: displaced,
      heatCapacityJPerK: input.panHeatCapacityJPerK ?? heatCapacity,
      drive: drive.value,
      surface: factor === undefined ? (input.surface ?? "stirred") : "stirred",
      lid: input.lid ?? "off",
      around: air.value.around,
      goal: end ? end.value.goal : "time",
      facts: own,
      trace,
    });
  };
  return ok({ start, name: liquid.value.name, geometry, run, facts, air: air.value.around }, liquid.warnings);
}

const MOST_POINTS = 60;
/** A course thinned to what a chart needs, its end always kept. */
export const thinned = (trace: readonly TracePoint[]): { min: number; g: number; c: number }[] => {
  const every = Math.max(1, Math.ceil(trace.length / MOST_POINTS));
  return trace
    .filter((_, i) => i % every === 0 || i === trace.length - 1)
    .map(p => ({ min: p.atS / 60, g: p.liquorG, c: p.temperatureC }));
};

/** Watts that somebody types may be those on the hob: gas brings half of them into the pan. */
const WATTS_INTO_PAN: OwnSwing = { key: "watts", value: 1, lo: 0.5, hi: 1.05, basis: "estimate" };
const NAMEPLATE: Warning = {
  code: "WATTS_INTO_PAN",
  message:
    "The watts are counted as heat into the pan. Are they what the hob says? Gas brings about half of that into it, induction nearly nine tenths: better name the burner.",
};

export const reduce = defineSum({
  name: "reduce",
  title: "Reduce",
  purpose: "How long until it is down to a half, in this pan on this flame, and what it is then.",
  words: ["boil down", "time", "reduction", "evaporate", "glace"],
  input: reduceInput,
  output: z.strictObject({
    minutes: estimateField,
    boilsAfterMin: z.number().nullable(),
    endG: z.number(),
    endMl: z.number(),
    endC: z.number(),
    dipMm: z.number(),
    saltPct: z.number(),
    gelatinPct: z.number(),
    abvPct: z.number(),
    alcoholLeftPct: z.number().nullable(),
    volatileAcidLeftPct: z.number().nullable(),
    curve: curveField,
  }),
  example: {
    liquid: "dry white wine",
    startMl: 500,
    startC: 20,
    vessel: { shape: "cylinder", diameterMm: 240, heightMm: 130 },
    heat: { burner: "gas-pro", setting: 1, overlap: 1 },
    target: { to: 0.25 },
  },
  asks: ["liquid", "startMl", "vessel", "heat", "target"],
  work: (input, world) => {
    const reduction = reductionOf(input, world);
    if (!reduction.ok) return reduction;
    const { start, name, geometry, run, facts } = reduction.value;
    const inWatts = "watts" in input.heat;
    const minutes = estimated(
      facts,
      (f, own) => {
        const end = run(f, f.massTrue, false, inWatts ? own("watts") : 1);
        return end.ok ? ok({ minutes: end.value.endS / 60 }, end.warnings) : end;
      },
      inWatts ? [WATTS_INTO_PAN] : [],
    );
    if (!minutes.ok) return minutes;
    const end = run(facts, 1, true);
    if (!end.ok) return end;
    const { liquor, temperatureC, boilS, endS } = end.value;
    const endG = massOfPools(liquor);
    const share = (now: number, was: number) => (was > 0 ? (100 * now) / was : null);
    return ok(
      {
        output: {
          minutes: minutes.value.minutes,
          boilsAfterMin: boilS === null ? null : boilS / 60,
          endG,
          endMl: volumeAt20(liquor),
          endC: temperatureC,
          dipMm: geometry.levelClipped(ml(volumeMlOf(liquor, temperatureC) + (input.solidsMl ?? 0))),
          saltPct: (100 * liquor.salt) / endG,
          gelatinPct: (100 * liquor.collagen) / endG,
          abvPct: abvOf(liquor),
          alcoholLeftPct: share(liquor.ethanol, start.ethanol),
          volatileAcidLeftPct: share(liquor.acidVolatile, start.acidVolatile),
          curve: thinned(end.value.trace),
        },
        sentence: `${name} ${targetWords(input.target)}: about ${time(endS / 60)}${around(minutes.value.minutes, time)}, ${boilS === null ? "never boiling" : `boiling after ${time(boilS / 60)}`}; ${grams(endG)} is left.`,
      },
      [
        ...reduction.warnings,
        ...end.warnings,
        ...flameWarnings(abvOf(start)),
        ...saltAlarm((100 * liquor.salt) / endG),
        ...catches(input.heat, liquor, temperatureC, geometry, reduction.value.air, facts),
        ...(inWatts ? [NAMEPLATE] : []),
      ],
    );
  },
});

/** Sugar beyond this share makes a syrup, of whose film the law of catching knows nothing. */
const SYRUP = 0.3;

/** Whether it catches on the bottom at the end, at the flame it was boiled down on; nothing where it is only held. */
function catches(
  heat: ReduceInput["heat"],
  liquor: Pools,
  temperatureC: number,
  geometry: Geometry,
  air: Surroundings,
  facts: FactValues,
): Warning[] {
  const mass = massOfPools(liquor);
  if (liquor.sugars > SYRUP * mass) return [];
  const drive = driveOf(heat, { liquor, geometry, around: air, displacedMl: 0 }, facts);
  if (!drive.ok || !("watts" in drive.value)) return [];
  const base = Math.PI * (geometry.baseDiameterMm / 2000) ** 2;
  const dairy = liquor.fat > 0 && liquor.proteinOther > 0 && liquor.sugars > 0;
  const found = scorchOf(
    { solids: filmSolids(liquor), mass, starch: liquor.starch, sugars: liquor.sugars, dairy },
    temperatureC,
    drive.value.watts / base,
  );
  const warning = scorchWarning(found);
  return warning ? [warning] : [];
}
