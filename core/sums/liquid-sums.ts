import { z } from "zod";
import {
  abvOf,
  boilingPoint,
  brixOf,
  densityAt,
  saturationTemperature,
  volumeAt,
  waterActivity,
} from "../things/pot";
import { degC, pascals } from "../ground/quantity";
import { type Warning, ok } from "../ground/result";
import { estimated } from "./estimates";
import { celsius, liquidFields } from "./fields";
import { aroundOf, liquidOf, poolsOfLiquid } from "./inputs";
import { defineSum } from "./sum";
import { around, grams, num } from "./words";

/** How heavy a liquid is, what a refractometer shows, and how hot it boils. */

export const density = defineSum({
  name: "density",
  title: "Density",
  purpose: "How heavy a litre is, and what a refractometer shows.",
  words: ["brix", "refractometer", "heavy", "abv"],
  input: z.strictObject({ ...liquidFields, temperatureC: celsius("Temperature").default(20) }),
  output: z.strictObject({ densityGPerMl: z.number(), brix: z.number(), abvPct: z.number() }),
  example: { liquid: "cream", temperatureC: 20 },
  asks: ["liquid", "temperatureC"],
  work: (input, world) => {
    const liquid = liquidOf(input, world);
    if (!liquid.ok) return liquid;
    const pools = poolsOfLiquid(liquid.value, 1000);
    const room = volumeAt(pools, degC(input.temperatureC));
    if (!room.ok) return room;
    const densityGPerMl = densityAt(pools, degC(input.temperatureC));
    const litre = estimated(world.facts, f => ok({ g: 1000 * densityGPerMl * f.densityTrue }));
    if (!litre.ok) return litre;
    const warnings: Warning[] = [...liquid.warnings];
    const { salt, sugars, water } = pools;
    if (salt / (salt + water) > 0.265)
      warnings.push({ code: "SALT_SATURATED", message: "More salt than water can dissolve." });
    if (sugars / (sugars + water) > 0.8)
      warnings.push({
        code: "SUGAR_HIGH",
        message: "So much sugar is beyond what the density was fitted to.",
      });
    return ok(
      {
        output: { densityGPerMl, brix: brixOf(pools), abvPct: abvOf(pools) },
        sentence: `A litre of ${liquid.value.name} at ${num(input.temperatureC)} °C weighs ${grams(densityGPerMl * 1000)}${around(litre.value.g, grams)}; a refractometer shows ${num(brixOf(pools), 1)} °Bx.`,
      },
      warnings,
    );
  },
});

export const boilingPointSum = defineSum({
  name: "boiling-point",
  title: "Boiling point",
  purpose: "How hot it boils in this kitchen, and how much hotter a syrup or glace.",
  words: ["altitude", "mountain", "pressure", "syrup", "sugar"],
  input: z.strictObject({
    altitudeM: z.number().optional().meta({ title: "Altitude", unit: "m" }),
    pressurePa: z.number().optional().meta({ title: "Or air pressure", unit: "Pa" }),
    ...liquidFields,
    invertSugar: z.boolean().optional().meta({ title: "Honey or fruit sugar" }),
  }),
  output: z.strictObject({
    pressurePa: z.number(),
    waterBoilsC: z.number(),
    boilsC: z.number(),
    waterActivity: z.number(),
  }),
  example: { altitudeM: 1180 },
  asks: ["altitudeM", "liquid"],
  work: (input, world) => {
    const air = aroundOf(input, world);
    if (!air.ok) return air;
    const { pressurePa } = air.value.around;
    const liquid = liquidOf(input, world);
    if (!liquid.ok) return liquid;
    const pools = poolsOfLiquid(liquid.value, 1000);
    const water = saturationTemperature(pressurePa);
    if (!water.ok) return water;
    const boils = boilingPoint(pools, pressurePa, input.invertSugar);
    if (!boils.ok) return boils;
    const plain = input.composition === undefined && input.liquid === undefined;
    // What the weather and the dissolved things may do to it.
    const found = estimated(
      air.value.facts,
      f => {
        const here = pascals(pressurePa * f.pressureTrue);
        const bare = saturationTemperature(here);
        const liquor = boilingPoint(pools, here, input.invertSugar);
        if (!bare.ok) return bare;
        if (!liquor.ok) return liquor;
        return ok({ water: bare.value, boils: bare.value + (liquor.value - bare.value) * f.elevationTrue });
      },
      [],
      false,
    );
    if (!found.ok) return found;
    const degrees = (x: number) => `${num(x, 1)} °C`;
    return ok(
      {
        output: {
          pressurePa,
          waterBoilsC: water.value,
          boilsC: boils.value,
          waterActivity: waterActivity(pools, input.invertSugar),
        },
        sentence: plain
          ? `Water boils at ${degrees(water.value)}${around(found.value.water, degrees)} here, with the weather.`
          : `${liquid.value.name} boils at ${degrees(boils.value)}${around(found.value.boils, degrees)} here, water at ${degrees(water.value)}.`,
      },
      // Asked for water, nothing is missing.
      [...boils.warnings, ...(plain ? [] : liquid.warnings)],
    );
  },
});
