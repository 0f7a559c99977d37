import { z } from "zod";
import type { FactValues } from "../ground/facts";
import { g, ml, mm } from "../ground/quantity";
import { type Problem, ok, refuse } from "../ground/result";
import {
  type Foaming,
  type Geometry,
  type Heap,
  coverWith,
  displacedMl,
  neededHeadspace,
} from "../things/vessel";
import type { SolidKind } from "../things/larder";
import { estimated } from "./estimates";
import { estimateField, length, massAbove0, vesselField, volume } from "./fields";
import { vesselOf } from "./inputs";
import { defineSum, missing } from "./sum";
import { around, grams, num, pct, volumeOf } from "./words";

/** What may lie in a pot, as the larder calls it. */
const KINDS = {
  "veal-bones": "veal-bones",
  "beef-bones": "beef-bones",
  "poultry-chopped": "poultry-bones",
  "poultry-whole": "poultry-whole",
  "fish-frames": "fish-frames",
  shells: "shells",
  mirepoix: "mirepoix",
  mushrooms: "mushrooms",
} as const satisfies Record<string, SolidKind>;
const kindNames = Object.keys(KINDS) as [keyof typeof KINDS, ...(keyof typeof KINDS)[]];

interface Fitted {
  readonly name: string;
  readonly geometry: Geometry;
  readonly waterMl: number;
  readonly fillMm: number;
  readonly headspaceMm: number;
  readonly fits: boolean;
  /** Volume a batch may fill with headspace to spare. */
  readonly usableMl: number;
}

export const potFit = defineSum({
  name: "pot-fit",
  title: "Which pot",
  purpose: "Which pot takes it, how much water covers it, or how to split it between two.",
  words: ["fit", "split", "cover", "headspace", "boil over", "size"],
  input: z.strictObject({
    items: z
      .array(z.strictObject({ kind: z.enum(kindNames).meta({ title: "What" }), massG: massAbove0("Weight") }))
      .max(8)
      .default([])
      .meta({ title: "What lies in it", hint: "one a line: veal bones 9000" }),
    coverMm: length("Covered by").optional().meta({ oneOf: "how much liquid" }),
    liquidMl: volume("Or so much liquid").optional().meta({ oneOf: "how much liquid" }),
    vessels: z
      .array(vesselField)
      .min(1)
      .max(12)
      .meta({ title: "Pots at hand", hint: "one a line: a pot of the kit, or 320 × 300 mm" }),
    foaming: z
      .union([z.boolean(), z.enum(["no", "below-boil", "boil"])])
      .optional()
      .meta({
        title: "Milk, cream, wine: it foams",
        typed: "choice",
        words: { no: "no", "below-boil": "yes, kept below the boil", boil: "yes, at the boil" },
      }),
  }),
  output: z.strictObject({
    chosen: z.string().nullable(),
    waterMl: estimateField,
    fillMm: z.number(),
    headspaceMm: z.number(),
    fits: z.boolean(),
    perVessel: z.array(
      z.strictObject({
        vessel: z.string(),
        waterMl: z.number(),
        fillMm: z.number(),
        headspaceMm: z.number(),
        fits: z.boolean(),
      }),
    ),
    split: z.array(z.strictObject({ vessel: z.string(), share: z.number() })).optional(),
  }),
  example: {
    items: [{ kind: "veal-bones", massG: 9000 }],
    vessels: [
      { shape: "cylinder", diameterMm: 320, heightMm: 320 },
      { shape: "cylinder", diameterMm: 400, heightMm: 400 },
    ],
  },
  asks: ["items", "vessels", "coverMm"],
  work: (input, world) => {
    if (!input.items.length && input.liquidMl === undefined)
      return refuse(missing("items", "Say what goes into the pot: bones, vegetables or a volume of liquid."));
    const vessels: { name: string; geometry: Geometry }[] = [];
    const problems: Problem[] = [];
    input.vessels.forEach((v, i) => {
      const found = vesselOf(v, world, `vessels.${i}`);
      if (found.ok)
        vessels.push({
          geometry: found.value.geometry,
          name: "id" in v ? found.value.name : `${num(found.value.geometry.capacityMl / 1000, 1)} l pot`,
        });
      else problems.push(...found.problems);
    });
    if (problems.length) return refuse(...problems);
    const heaps: Heap[] = input.items.map(item => ({ kind: KINDS[item.kind], massG: g(item.massG) }));
    const foaming: Foaming =
      input.foaming === true
        ? "boil"
        : input.foaming === undefined || input.foaming === false
          ? "no"
          : input.foaming;

    const fit = (vessel: { name: string; geometry: Geometry }, f = world.facts): Fitted =>
      fitOne(vessel, heaps, input.coverMm ?? 25, input.liquidMl, foaming, f);
    const all = vessels.map(v => fit(v));
    const bySize = [...all].sort(
      (a, b) => a.geometry.capacityMl - b.geometry.capacityMl || b.geometry.heightMm - a.geometry.heightMm,
    );
    const chosen = bySize.find(v => v.fits);
    const shown = chosen ?? bySize.at(-1);
    if (!shown) return refuse(missing("vessels", "Say which pots are at hand."));
    const water = estimated(world.facts, f => ok({ waterMl: fit(shown, f).waterMl }));
    if (!water.ok) return water;

    const split = chosen
      ? undefined
      : splitBetween(bySize, heaps, input.liquidMl, input.coverMm ?? 25, foaming, world.facts);
    const bones = heaps.reduce((sum, h) => sum + h.massG, 0);
    const sentence = chosen
      ? `${chosen.name}: ${heaps.length ? `${volumeOf(chosen.waterMl)} of water${around(water.value.waterMl, volumeOf)}, ` : ""}full to ${num(chosen.fillMm)} mm, ${num(chosen.headspaceMm)} mm to the rim.`
      : split
        ? `None takes it alone. Split ${split.map(part => `${heaps.length ? grams(bones * part.share) : volumeOf((input.liquidMl ?? 0) * part.share)} into ${part.vessel}`).join(", ")}.`
        : `None of these takes it, not even all together: ${largerOf(bySize, input.liquidMl, foaming, world.facts.fillFoam)}`;
    return ok({
      output: {
        chosen: chosen?.name ?? null,
        waterMl: water.value.waterMl,
        fillMm: shown.fillMm,
        headspaceMm: shown.headspaceMm,
        fits: chosen !== undefined,
        perVessel: all.map(v => ({
          vessel: v.name,
          waterMl: v.waterMl,
          fillMm: v.fillMm,
          headspaceMm: v.headspaceMm,
          fits: v.fits,
        })),
        ...(split && { split }),
      },
      sentence,
    });
  },
});

function largerOf(
  vessels: readonly Fitted[],
  liquidMl: number | undefined,
  foaming: Foaming,
  fillFoam: number,
): string {
  if (foaming === "boil" && liquidMl !== undefined) {
    const largest = vessels.at(-1)?.geometry.capacityMl ?? 1;
    return `${pct((100 * liquidMl) / largest, 0)} full is over ${pct(100 * fillFoam, 0)}; it foams over. Take ${volumeOf(liquidMl / fillFoam)} or more.`;
  }
  return "make less, or find a larger pot.";
}

function fitOne(
  { name, geometry }: { name: string; geometry: Geometry },
  heaps: readonly Heap[],
  coverMm: number,
  liquidMl: number | undefined,
  foaming: Foaming,
  f: FactValues,
): Fitted {
  const needed = neededHeadspace(geometry, f, foaming);
  const usableMl = geometry.volumeAtLevel(mm(Math.max(0, geometry.heightMm - needed)));
  if (liquidMl !== undefined) {
    const filled = ml(liquidMl + displacedMl(heaps, f));
    const level = geometry.levelOf(filled);
    const fillMm = level.ok ? level.value : geometry.heightMm;
    const headspaceMm = geometry.heightMm - fillMm;
    return {
      name,
      geometry,
      usableMl,
      waterMl: liquidMl,
      fillMm,
      headspaceMm,
      fits: level.ok && headspaceMm >= needed - 1e-9,
    };
  }
  const cover = coverWith(geometry, heaps, mm(coverMm), f);
  if (!cover.ok)
    return { name, geometry, usableMl, waterMl: 0, fillMm: geometry.heightMm, headspaceMm: 0, fits: false };
  const { liquidMl: waterMl, fillLevelMm, headspaceMm } = cover.value;
  return { name, geometry, usableMl, waterMl, fillMm: fillLevelMm, headspaceMm, fits: headspaceMm >= needed };
}

/** Shares in proportion to what each pot takes, from the largest down, until it fits. */
function splitBetween(
  bySize: readonly Fitted[],
  heaps: readonly Heap[],
  liquidMl: number | undefined,
  coverMm: number,
  foaming: Foaming,
  f: FactValues,
): { vessel: string; share: number }[] | undefined {
  const largest = [...bySize].reverse();
  for (let n = 2; n <= largest.length; n++) {
    const used = largest.slice(0, n);
    const total = used.reduce((sum, v) => sum + v.usableMl, 0);
    const shares = used.map(v => ({ vessel: v, share: v.usableMl / total }));
    const fits = shares.every(
      ({ vessel, share: part }) =>
        fitOne(
          vessel,
          heaps.map(h => ({ ...h, massG: g(h.massG * part) })),
          coverMm,
          liquidMl === undefined ? undefined : liquidMl * part,
          foaming,
          f,
        ).fits,
    );
    if (fits) return shares.map(({ vessel, share: part }) => ({ vessel: vessel.name, share: part }));
  }
  return undefined;
}
