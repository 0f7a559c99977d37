import { z } from "zod";
import { flameWarnings } from "../laws/alcohol";
import type { FactValues } from "../ground/facts";
import { abvOf, massOfPools, volumeAt20, volumeMlOf } from "../things/pot";
import { degC, ml } from "../ground/quantity";
import { runChain } from "../laws/reduction";
import { InvariantError, type Warning, ok, refuse } from "../ground/result";
import { estimated } from "./estimates";
import {
  aroundFields,
  celsius,
  estimateField,
  heatField,
  lidField,
  liquidFields,
  mass,
  targetField,
  vesselField,
  volume,
} from "./fields";
import {
  type KnownLiquid,
  type KnownVessel,
  aroundOf,
  driveOf,
  liquidOf,
  massOfLiquid,
  poolsOfLiquid,
  vesselOf,
} from "./inputs";
import { defineSum } from "./sum";
import { endOf } from "./target";
import { around, grams, num, time } from "./words";

import { reduceFields } from "./reduce-sums";

/** Liquids one after the other in one pan. */

export const reduceChain = defineSum({
  name: "reduce-chain",
  title: "Reduce one after the other",
  purpose: "Wine, then stock, then cream: time, level and salt after each.",
  words: ["pan sauce", "wine stock cream", "sequence", "deglaze"],
  input: z.strictObject({
    vessel: vesselField,
    panC: celsius("Empty pan").default(20),
    panHeatCapacityJPerK: reduceFields.panHeatCapacityJPerK,
    steps: z
      .array(
        z.strictObject({
          add: z.strictObject({
            ...liquidFields,
            massG: mass("Added").optional(),
            volumeMl: volume("Added").optional(),
            temperatureC: celsius("As hot as").default(20),
          }),
          heat: heatField,
          lid: lidField.optional(),
          vessel: vesselField.optional(),
          target: targetField,
        }),
      )
      .min(1)
      .max(8)
      .meta({
        title: "Liquids, one after the other",
        columns: [
          "add.liquid",
          "add.massG",
          "add.volumeMl",
          "heat",
          "target",
          "add.temperatureC",
          "lid",
          "vessel",
        ],
      }),
    ...aroundFields,
  }),
  output: z.strictObject({
    steps: z.array(
      z.strictObject({
        minutes: estimateField,
        startMl: z.number(),
        endMl: z.number(),
        endG: z.number(),
        mixC: z.number(),
        dipMm: z.number(),
        saltPct: z.number(),
        fatPct: z.number(),
        abvPct: z.number(),
      }),
    ),
    totalMin: estimateField,
  }),
  example: {
    vessel: { shape: "frustum", baseMm: 220, rimMm: 300, heightMm: 80 },
    steps: [
      {
        add: { liquid: "dry white wine", massG: 300 },
        heat: { burner: "gas-pro", setting: 0.6 },
        target: { to: 0.333333 },
      },
      {
        add: { liquid: "bought brown stock, unsalted", massG: 600 },
        heat: { burner: "gas-pro", setting: 0.6 },
        target: { to: 0.5 },
      },
      {
        add: { liquid: "cream 37 %", massG: 200, temperatureC: 5 },
        heat: { burner: "gas-pro", setting: 0.3 },
        target: { to: 0.666667 },
      },
    ],
  },
  asks: ["vessel", "steps"],
  work: (input, world) => {
    const air = aroundOf(input, world);
    if (!air.ok) return air;
    const main = vesselOf(input.vessel, world);
    if (!main.ok) return main;
    const prepared: {
      step: (typeof input.steps)[number];
      liquid: KnownLiquid;
      massG: number;
      vessel: KnownVessel;
    }[] = [];
    const warnings: Warning[] = [];
    for (const [i, step] of input.steps.entries()) {
      const at = (p: { field: string }) => `steps.${i}.${p.field}`;
      const liquid = liquidOf(step.add, world);
      if (!liquid.ok)
        return refuse(...liquid.problems.map(p => ({ ...p, field: at({ field: `add.${p.field}` }) })));
      const massG = massOfLiquid(liquid.value, step.add.massG, step.add.volumeMl, "massG");
      if (!massG.ok)
        return refuse(...massG.problems.map(p => ({ ...p, field: at({ field: `add.${p.field}` }) })));
      const vessel = step.vessel ? vesselOf(step.vessel, world, `steps.${i}.vessel`) : main;
      if (!vessel.ok) return vessel;
      warnings.push(...liquid.warnings);
      prepared.push({ step, liquid: liquid.value, massG: massG.value, vessel: vessel.value });
    }
    const chain = (f: FactValues) =>
      runChain(
        prepared.map(({ step, liquid, massG, vessel }) => ({
          added: { liquor: poolsOfLiquid(liquid, massG), temperatureC: degC(step.add.temperatureC) },
          vessel: vessel.geometry,
          heatCapacityJPerK: input.panHeatCapacityJPerK ?? vessel.heatCapacity,
          lid: step.lid ?? "off",
          drive: (liquor, geometry) =>
            driveOf(step.heat, { liquor, geometry, around: air.value.around, displacedMl: 0 }, f),
          goal: (liquor, before) => {
            const end = endOf(step.target, liquor, before);
            return end.ok ? ok(end.value.goal) : end;
          },
        })),
        degC(input.panC),
        air.value.around,
        f,
      );
    const nominal = chain(air.value.facts);
    if (!nominal.ok) return nominal;
    const times = estimated(air.value.facts, f => {
      const done = chain(f);
      if (!done.ok) return done;
      const minutes = done.value.map(s => s.end.endS / 60);
      return ok(
        Object.fromEntries([
          ...minutes.map((m, i) => [String(i), m]),
          ["total", minutes.reduce((a, b) => a + b, 0)],
        ]) as Record<string, number>,
      );
    });
    if (!times.ok) return times;
    const steps = nominal.value.map(({ startMl, mixC, end }, i) => {
      const liquor = end.liquor;
      const endG = massOfPools(liquor);
      const minutes = times.value[String(i)];
      if (!minutes) throw new InvariantError("A step lost its time.");
      return {
        minutes,
        startMl,
        endMl: volumeAt20(liquor),
        endG,
        mixC: mixC as number,
        dipMm: (prepared[i]?.vessel ?? main.value).geometry.levelClipped(
          ml(volumeMlOf(liquor, end.temperatureC)),
        ) as number,
        saltPct: (100 * liquor.salt) / endG,
        fatPct: (100 * liquor.fat) / endG,
        abvPct: abvOf(liquor),
      };
    });
    const totalMin = times.value.total;
    if (!totalMin) throw new InvariantError("The chain lost its time.");
    const last = steps.at(-1);
    const strongest = Math.max(...prepared.map(p => abvOf(poolsOfLiquid(p.liquid, p.massG))));
    return ok(
      {
        output: { steps, totalMin },
        sentence: `${steps.map((s, i) => `${i + 1}: ${time(s.minutes.value)} to ${num(s.dipMm)} mm`).join("; ")}. In all ${time(totalMin.value)}${around(totalMin, time)}, ${grams(last?.endG ?? 0)} at the end.`,
      },
      [...warnings, ...nominal.warnings, ...flameWarnings(strongest)],
    );
  },
});
