import { z } from "zod";
import { iceForBath, iceForBlanching, iceIntoPot } from "../laws/cooling";
import { g } from "../ground/quantity";
import { type Result, ok } from "../ground/result";
import { celsius, liquidFields, mass, massAbove0, share, volume } from "./fields";
import { liquidOf, massOfLiquid } from "./inputs";
import { type SumWorld, defineSum } from "./sum";
import { grams, num } from "./words";

/** Ice for a bath, for the pot itself, for greens. */

export const ice = defineSum({
  name: "ice",
  title: "Ice",
  purpose: "Ice for a bath, or stirred into the pot itself.",
  words: ["ice bath", "cool down", "how much ice"],
  input: z.strictObject({
    ...liquidFields,
    massG: mass("To cool").optional().meta({ oneOf: "how much" }),
    volumeMl: volume("To cool, as a volume").optional().meta({ oneOf: "how much" }),
    fromC: celsius("From"),
    toC: celsius("To"),
    into: z
      .enum(["bath", "pot"])
      .default("bath")
      .meta({ title: "Where", words: { bath: "a bath around it", pot: "into the pot itself" } }),
    panHeatCapacityJPerK: z
      .number()
      .min(0)
      .max(100_000)
      .default(0)
      .meta({ title: "Heat the pot takes", unit: "J/K" }),
    cpJPerGK: z.number().min(1).max(5).default(4).meta({ title: "Specific heat", unit: "J/(g K)" }),
    bathC: celsius("Bath at the end").default(3),
    iceC: celsius("Ice").default(-5),
    lossShare: share("Melted by the room").default(0.1),
  }),
  output: z.strictObject({ iceG: z.number() }),
  example: { volumeMl: 8000, fromC: 85, toC: 20 },
  asks: ["volumeMl", "fromC", "toC", "into"],
  work: (i, world: SumWorld): Result<{ output: { iceG: number }; sentence: string }> => {
    const liquid = liquidOf(i, world);
    if (!liquid.ok) return liquid;
    const massG = massOfLiquid(liquid.value, i.massG, i.volumeMl, "massG");
    if (!massG.ok) return massG;
    const heatJPerK = massG.value * i.cpJPerGK + i.panHeatCapacityJPerK;
    const found =
      i.into === "pot"
        ? iceIntoPot({ heatJPerK, fromC: i.fromC, toC: i.toC, iceC: i.iceC })
        : iceForBath({
            heatJPerK,
            fromC: i.fromC,
            toC: i.toC,
            iceC: i.iceC,
            bathC: i.bathC,
            lossShare: i.lossShare,
          });
    if (!found.ok) return found;
    return ok({
      output: { iceG: found.value },
      sentence:
        i.into === "pot"
          ? `${grams(found.value)} of drinking-water ice into the pot; it is water in the sauce afterwards.`
          : `${grams(found.value)} of ice for the bath, ${num(i.fromC)} to ${num(i.toC)} °C. Have a third more ready.`,
    });
  },
});

export const blanchIce = defineSum({
  name: "blanch-ice",
  title: "Ice for blanching",
  purpose: "Ice that stops blanched greens.",
  words: ["spinach", "greens", "shock", "refresh"],
  input: z.strictObject({
    massG: massAbove0("Greens"),
    fromC: celsius("From").default(95),
    toC: celsius("To").default(5),
    tapWaterG: mass("Tap water in the bath").optional(),
    tapC: celsius("As warm as").optional(),
  }),
  output: z.strictObject({ iceG: z.number(), withMarginG: z.number() }),
  example: { massG: 2000, fromC: 95, toC: 5 },
  asks: ["massG", "fromC", "toC"],
  work: (i, world) => {
    const found = iceForBlanching(
      g(i.massG),
      i.fromC,
      i.toC,
      i.tapWaterG === undefined ? undefined : { massG: g(i.tapWaterG), c: i.tapC ?? world.facts.tapC },
    );
    if (!found.ok) return found;
    return ok({
      output: found.value,
      sentence: `${grams(found.value.iceG)} at least, ${grams(found.value.withMarginG)} with a margin.`,
    });
  },
});
