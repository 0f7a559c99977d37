import { z } from "zod";
import {
  MEAT_SHAPES,
  SEARED_SURFACE_C,
  SURFACE_GUESS_K,
  carryOver as carryOverOf,
  surfaceFromOven,
} from "../laws/heat";
import { PRESETS, PRESET_IDS, lethality as lethalityOf } from "../laws/lethality";
import { boilingPointC, massOfPools, onePool, specificHeat } from "../things/pot";
import { degC, ml, mm } from "../ground/quantity";
import { simulateToGoal } from "../laws/reduction";
import { type Problem, type Warning, ok, refuse } from "../ground/result";
import { type OwnSwing, clipped, estimated } from "./estimates";
import {
  aroundFields,
  celsius,
  estimateField,
  heatField,
  lidField,
  massAbove0,
  readingField,
  vesselField,
} from "./fields";
import { aroundOf, driveOf, vesselOf } from "./inputs";
import { defineSum, missing } from "./sum";
import { around, num, time } from "./words";
import { PRESET_WORDS } from "./choice-words";
import { withFact } from "../ground/facts";

/** Bringing to heat, resting, and what heat did to what must not live. */

export const heatUp = defineSum({
  name: "heat-up",
  title: "Bring it up",
  purpose: "When a pot gets to temperature on this flame.",
  words: ["boil", "heat", "how long until", "water"],
  input: z.strictObject({
    massG: massAbove0("In the pot"),
    fromC: celsius("From"),
    toC: celsius("To"),
    vessel: vesselField,
    heat: heatField,
    lid: lidField,
    ...aroundFields,
  }),
  output: z.strictObject({ minutes: estimateField }),
  example: {
    massG: 10_000,
    fromC: 15,
    toC: 95,
    vessel: { shape: "cylinder", diameterMm: 280, heightMm: 300 },
    heat: { burner: "gas-pro", setting: 1 },
    lid: "on",
  },
  asks: ["massG", "fromC", "toC", "vessel", "heat", "lid"],
  work: (i, world) => {
    const vessel = vesselOf(i.vessel, world);
    if (!vessel.ok) return vessel;
    const air = aroundOf(i, world);
    if (!air.ok) return air;
    const { geometry, heatCapacity } = vessel.value;
    const liquor = onePool("water", i.massG);
    const boils = boilingPointC(liquor, air.value.around.pressurePa);
    const problems: Problem[] = [];
    if ("holdC" in i.heat)
      problems.push({
        code: "MODE",
        field: "heat.holdC",
        value: i.heat.holdC,
        message: "Bringing a pot up needs a flame, not a temperature to hold: give a burner or watts.",
      });
    if (i.toC > boils)
      problems.push({
        code: "HOLD_TOO_HOT",
        field: "toC",
        value: i.toC,
        allowed: { max: boils },
        message: `Water boils at ${num(boils, 1)} °C here; it gets no hotter.`,
      });
    if (i.fromC > i.toC)
      problems.push({
        code: "T_START",
        field: "fromC",
        value: i.fromC,
        allowed: { max: i.toC },
        message: `It is ${num(i.fromC)} °C already, hotter than ${num(i.toC)} °C.`,
      });
    if (problems.length) return refuse(...problems);
    const found = estimated(air.value.facts, f => {
      const drive = driveOf(i.heat, { liquor, geometry, around: air.value.around, displacedMl: 0 }, f);
      if (!drive.ok) return drive;
      const end = simulateToGoal({
        liquor: onePool("water", i.massG * f.massTrue),
        temperatureC: degC(i.fromC),
        vessel: geometry,
        displacedMl: ml(0),
        heatCapacityJPerK: heatCapacity * f.potHeatTrue,
        drive: drive.value,
        goal: { temperatureC: degC(Math.min(i.toC, boils - 1e-3)) },
        surface: "stirred",
        lid: i.lid,
        around: air.value.around,
        facts: withFact(f, "pressureTrue", 1),
      });
      return end.ok ? ok({ minutes: end.value.endS / 60 }) : end;
    });
    if (!found.ok)
      return refuse(
        ...found.problems.map(p =>
          p.code === "NOT_REACHED"
            ? {
                ...p,
                code: "NEVER_REACHED" as const,
                field: "heat",
                message: `At this flame the pot levels off below ${num(i.toC)} °C. Turn it up, or put a lid on.`,
              }
            : p,
        ),
      );
    const { minutes } = found.value;
    const joules = massOfPools(liquor) * specificHeat(liquor, (i.fromC + i.toC) / 2) * (i.toC - i.fromC);
    return ok({
      output: { minutes },
      sentence: `About ${time(minutes.value)}${around(minutes, time)} to ${num(i.toC)} °C, lid ${i.lid}; ${num(joules / 3.6e6, 2)} kWh go into the water.`,
    });
  },
});

export const carryOver = defineSum({
  name: "carry-over",
  title: "Carry-over",
  purpose: "How far a core still climbs off the heat, and when it peaks.",
  words: ["rest", "roast", "core", "pull", "resting"],
  input: z.strictObject({
    coreC: celsius("Core when it leaves the heat"),
    surfaceC: celsius("Just under the surface").optional().meta({ oneOf: "how hot outside" }),
    ovenC: celsius("Or the oven").optional().meta({ oneOf: "how hot outside" }),
    seared: z.boolean().optional().meta({ title: "Or seared in a pan", oneOf: "how hot outside" }),
    shape: z.enum(MEAT_SHAPES).meta({ title: "Shape" }),
    halfThicknessMm: z.number().meta({ title: "Half its thickness", unit: "mm" }),
  }),
  output: z.strictObject({ riseC: estimateField, peakMin: z.number() }),
  example: { coreC: 57, ovenC: 180, shape: "cylinder", halfThicknessMm: 40 },
  asks: ["coreC", "ovenC", "shape", "halfThicknessMm"],
  work: (i, world) => {
    const guessed =
      i.surfaceC !== undefined
        ? null
        : i.ovenC !== undefined
          ? surfaceFromOven(i.ovenC)
          : i.seared
            ? SEARED_SURFACE_C
            : undefined;
    if (guessed === undefined)
      return refuse(
        missing("surfaceC", "Say how hot it is just under the surface, the oven, or that it was seared."),
      );
    const surface = i.surfaceC ?? guessed ?? 0;
    const owns: OwnSwing[] =
      guessed === null
        ? []
        : [
            {
              key: "surface",
              value: surface,
              lo: surface - SURFACE_GUESS_K,
              hi: surface + SURFACE_GUESS_K,
              basis: "estimate",
            },
          ];
    const rest = (f: typeof world.facts, at: number) =>
      carryOverOf(degC(i.coreC), degC(at), i.shape, mm(i.halfThicknessMm), f);
    const nominal = rest(world.facts, surface);
    if (!nominal.ok) return nominal;
    const found = estimated(
      world.facts,
      (f, own) => {
        const rise = rest(withFact(f, "carryTime", 1), guessed === null ? surface : own("surface"));
        return rise.ok ? ok({ riseC: rise.value.riseK }) : rise;
      },
      owns,
      false,
    );
    if (!found.ok) return found;
    const riseC = clipped(found.value.riseC, 0, 15);
    const peakMin = nominal.value.peak / 60;
    return ok(
      {
        output: { riseC, peakMin },
        sentence: `It climbs about ${num(riseC.value, 1)} °C (${num(riseC.lo, 1)} to ${num(riseC.hi ?? 15, 1)}), to ${num(i.coreC + riseC.value)} °C after some ${time(peakMin)}. Hold it against your local table.`,
      },
      nominal.warnings,
    );
  },
});

export const lethality = defineSum({
  name: "lethality",
  title: "Heat history",
  purpose: "What a probe log is worth against a target. A calculator, never a proof.",
  words: ["pasteurising", "yolk", "hollandaise", "salmonella", "F value", "sous vide"],
  input: z.strictObject({
    readings: z.array(readingField).max(500).meta({ title: "Readings" }),
    preset: z.enum(PRESET_IDS).meta({ title: "Measured against", words: PRESET_WORDS }),
    probeErrorC: z.number().default(0.5).meta({ title: "Probe error", unit: "°C" }),
  }),
  output: z.strictObject({
    minutesAtRef: z.number(),
    minutesAtRefLow: z.number(),
    ratio: z.number(),
    logReduction: z.number().optional(),
  }),
  example: {
    preset: "yolk-plain",
    readings: [
      { min: 0, c: 40 },
      { min: 4, c: 63 },
      { min: 7, c: 63 },
    ],
  },
  asks: ["readings", "preset"],
  work: i => {
    const found = lethalityOf(i.readings, i.preset, i.probeErrorC);
    if (!found.ok) return found;
    const { minutes, ratio, logReduction } = found.value;
    const preset = PRESETS[i.preset];
    const warnings: Warning[] = [
      ...found.warnings,
      {
        code: "NOT_A_PROOF",
        message:
          "No credit is given for acid or alcohol. This is a calculator: the local code and trained people decide.",
      },
    ];
    return ok(
      {
        output: {
          minutesAtRef: minutes.value,
          minutesAtRefLow: minutes.lo,
          ratio,
          ...(logReduction !== null && { logReduction }),
        },
        sentence: `At the least ${num(minutes.lo, 1)} min at ${num(preset.referenceC, 1)} °C, ${num(ratio, 2)} × the ${num(preset.benchmarkMin, 1)} min its source asks for (${preset.name}): ${ratio >= 1 ? "above" : "below"} that time.`,
      },
      warnings,
    );
  },
});
