import { z } from "zod";
import { fromSd } from "../ground/estimate";
import { ok, refuse } from "../ground/result";
import {
  CUP_MM,
  KITCHEN_TESTS,
  type SauceState,
  TEST_IDS,
  bandOf,
  bodyOf,
  expectedReading,
  iddsiLevel,
  loosenTo,
  looseningWith,
  massOfSauce,
  movedTo,
  readAtC,
  readThickness,
  reductionToCoat,
  saltPctOf,
  thickenTo,
  viscosityAt,
} from "../laws/texture";
import { BINDING_FORMS, ROUX_COLOURS, THICKENERS, THICKENER_IDS, type ThickenerId } from "../laws/thickening";
import { estimateField, liquidFields, percent } from "./fields";
import { minutesField, saltField, sauceFields, sauceFrom, thicknessOf } from "./sauce-input";
import { defineSum, missing } from "./sum";
import { FORM_WORDS, TEST_WORDS, THICKENER_WORDS } from "./choice-words";
import { around, grams, num, pct } from "./words";

/** How thick a sauce is, by test or by what is in it, and what brings it where it should be. */

const target = z.number().min(0).max(100).meta({ title: "Body wanted", unit: "0–100" });

export const thicknessFromTest = defineSum({
  name: "thickness-from-test",
  title: "Body from a test",
  purpose: "What a spoon, a line plate, a syringe or a cup says, as body at the temperature it is eaten at.",
  words: ["spread", "nappe", "coats", "syringe", "line plate", "funnel", "how thick"],
  input: z.strictObject({
    test: z.enum(TEST_IDS).meta({ title: "Test", words: TEST_WORDS }),
    reading: z.number().meta({ title: "Reading" }),
    temperatureC: z.number().meta({ title: "Read at", unit: "°C" }),
    servedC: z.number().min(0).max(100).default(60).meta({ title: "Eaten at", unit: "°C" }),
    cupMm: z
      .union(CUP_MM.map(mm => z.literal(mm)))
      .optional()
      .meta({ title: "Outlet of the cup", unit: "mm" }),
    newtonian: z.boolean().optional().meta({ title: "Flows like a syrup" }),
    ...liquidFields,
  }),
  output: z.strictObject({ thickness: estimateField, band: z.string(), viscosityMPas: z.number() }),
  example: { test: "line", reading: 6.2, temperatureC: 65 },
  asks: ["test", "reading", "temperatureC"],
  work: (i, world) => {
    const read = readThickness({
      test: i.test,
      reading: i.reading,
      options: {
        temperatureC: i.temperatureC,
        ...(i.cupMm && { cupMm: i.cupMm }),
        ...(i.newtonian && { newtonian: true }),
      },
    });
    if (!read.ok) return read;
    const known = i.liquid !== undefined || i.composition ? sauceFrom({ ...i, massG: 1000 }, world) : null;
    if (known && !known.ok) return known;
    const sauce = known ? { state: known.value, facts: world.facts } : undefined;
    const moved = movedTo(
      {
        thickness: read.value.thickness,
        sd: read.value.sd,
        atC: readAtC(i.test, i.temperatureC, sauce),
      },
      i.servedC,
      sauce,
    );
    const thickness = fromSd(Math.min(100, Math.max(0, moved.thickness)), moved.sd, { min: 0, max: 100 });
    const band = bandOf(thickness.value);
    const t = KITCHEN_TESTS[i.test];
    return ok(
      {
        output: { thickness, band: band.name, viscosityMPas: viscosityAt(thickness.value) },
        sentence: `${t.label} ${num(i.reading, 1)} ${t.unit} at ${num(i.temperatureC)} °C is body ${num(thickness.value)}${around(thickness, x => num(x))} at ${num(i.servedC)} °C: ${band.name}, ${band.seen}.`,
      },
      read.warnings,
    );
  },
});

export const testFromThickness = defineSum({
  name: "test-from-thickness",
  title: "What a test will read",
  purpose: "What to expect on the plate or in the syringe for a body.",
  words: ["target spread", "expect", "plate reading"],
  input: z.strictObject({
    thickness: target,
    test: z.enum(TEST_IDS).meta({ title: "Test", words: TEST_WORDS }),
  }),
  output: z.strictObject({ reading: estimateField }),
  example: { thickness: 45, test: "line" },
  asks: ["thickness", "test"],
  work: ({ thickness, test }) => {
    const t = KITCHEN_TESTS[test];
    const reading = expectedReading(test, thickness);
    if (reading === null)
      return refuse({
        code: "OUT_OF_RANGE",
        field: "test",
        value: test,
        message: `The ${t.label} cannot read body ${num(thickness)}; it reads ${t.range.min} to ${t.range.max} ${t.unit}. Take another test.`,
      });
    const ends = [thickness - 1.645 * t.sd, thickness + 1.645 * t.sd]
      .map(h => t.fromThickness(h, { temperatureC: 60 }))
      .map(x => Math.min(t.range.max, Math.max(t.range.min, Number.isFinite(x) ? x : reading)))
      .sort((a, b) => a - b);
    const [lo = reading, hi = reading] = ends;
    const note = test === "syringe" ? [`IDDSI ${iddsiLevel(reading)}, information only`] : [];
    return ok({
      output: { reading: { value: reading, lo, hi, basis: "estimate" as const, notes: note } },
      sentence: `Body ${num(thickness)} reads ${num(reading, 1)} ${t.unit} (${num(lo, 1)} to ${num(hi, 1)}) on the ${t.label}.`,
    });
  },
});

export const thicknessOfSauce = defineSum({
  name: "thickness-of",
  title: "Body of a sauce",
  purpose: "How thick a sauce of these parts is, and whether it sets on the plate.",
  words: ["how thick will", "velouté", "coating", "body of"],
  input: z.strictObject(sauceFields),
  output: z.strictObject({
    thickness: estimateField,
    band: z.string(),
    fatVolumePct: z.number(),
    gels: z.boolean().optional(),
  }),
  example: { liquid: "bought chicken stock", massG: 1000, thickeners: [{ id: "flour", massG: 60 }] },
  asks: ["liquid", "massG", "thickeners", "temperatureC"],
  work: (i, world) => {
    const state = sauceFrom(i, world);
    if (!state.ok) return state;
    const body = bodyOf(state.value, i.temperatureC, world.facts);
    if (!body.ok) return body;
    const thickness = thicknessOf(body.value);
    const band = bandOf(thickness.value);
    const gels = body.warnings.some(w => w.code === "GELS_ON_PLATE");
    return ok(
      {
        output: {
          thickness,
          band: band.name,
          fatVolumePct: 100 * body.value.fatVolume,
          ...(gels && { gels }),
        },
        sentence: `Body ${num(thickness.value)}${around(thickness, x => num(x))} at ${num(i.temperatureC)} °C: ${band.name}, ${band.seen}${gels ? "; it sets on the plate" : ""}.`,
      },
      [...state.warnings, ...body.warnings],
    );
  },
});

/** Starches go in as a slurry where nobody says; flour as a roux. */
const usualForm = (id: ThickenerId) => (id === "flour" || id === "wholeflour" ? "roux" : "slurry");

export const thicken = defineSum({
  name: "thicken",
  title: "Bind to a body",
  purpose: "How much roux, slurry or beurre manié brings a sauce to a body.",
  words: ["roux", "slurry", "beurre manié", "bind", "flour for", "starch for"],
  input: z.strictObject({
    ...sauceFields,
    thickener: z.enum(THICKENER_IDS).meta({ title: "With", words: THICKENER_WORDS }),
    form: z.enum(BINDING_FORMS).optional().meta({ title: "As", words: FORM_WORDS }),
    slurryWaterPerG: z.number().min(1).max(3).optional().meta({ title: "Water per g of starch" }),
    minutes: minutesField,
    maxC: z.number().min(0).max(110).optional().meta({ title: "Hottest", unit: "°C" }),
    colour: z.enum(ROUX_COLOURS).optional().meta({ title: "Colour of the roux" }),
    targetThickness: target,
  }),
  output: z.strictObject({
    thickenerG: z.number(),
    fatG: z.number(),
    waterG: z.number(),
    totalG: z.number(),
  }),
  example: {
    liquid: "bought chicken stock",
    massG: 1000,
    thickener: "flour",
    form: "roux",
    targetThickness: 45,
  },
  asks: ["liquid", "massG", "thickener", "targetThickness"],
  work: (i, world) => {
    const state = sauceFrom(i, world);
    if (!state.ok) return state;
    const form = i.form ?? usualForm(i.thickener);
    if (i.thickener === "xanthan" && form !== "slurry")
      return refuse({
        code: "MODE",
        field: "form",
        value: form,
        message:
          "Xanthan is no flour: it is blended in dry, in a thin stream, never cooked in fat. Leave the form empty.",
      });
    const found = thickenTo(
      state.value,
      {
        dose: {
          id: i.thickener,
          ...(i.minutes !== undefined && { minutes: i.minutes }),
          ...(i.maxC !== undefined && { maxC: i.maxC }),
          ...(i.colour && { colour: i.colour }),
        },
        form,
        ...(i.slurryWaterPerG !== undefined && { slurryWaterPerG: i.slurryWaterPerG }),
      },
      i.targetThickness,
      i.temperatureC,
      world.facts,
    );
    if (!found.ok) return found;
    const { thickenerG, fatG, waterG, totalG } = found.value;
    const beside = fatG > 0 ? ` and ${grams(fatG)} fat` : waterG > 0 ? ` in ${grams(waterG)} cold water` : "";
    return ok(
      {
        output: { thickenerG, fatG, waterG, totalG },
        sentence: `${grams(thickenerG)} ${THICKENERS[i.thickener].name}${beside} for body ${num(i.targetThickness)} (${bandOf(i.targetThickness).name}).`,
      },
      [...state.warnings, ...found.warnings],
    );
  },
});

export const thin = defineSum({
  name: "thin",
  title: "Thin or boil down to a body",
  purpose: "Liquid to add, or water to boil off, for a body; and the salt after it.",
  words: ["too thick", "let down", "loosen", "too thin", "reduce to body"],
  input: z.strictObject({
    ...sauceFields,
    saltPct: saltField,
    targetThickness: target,
    with: z
      .string()
      .max(120)
      .default("water")
      .meta({ title: "With water, stock, cream …", typed: "ingredient" }),
  }),
  output: z.strictObject({
    addG: z.number().optional(),
    evaporateG: z.number().optional(),
    saltPct: z.number(),
    totalG: z.number(),
  }),
  example: {
    liquid: "bought chicken stock",
    massG: 1000,
    thickeners: [{ id: "flour", massG: 90 }],
    targetThickness: 45,
    with: "water",
  },
  asks: ["liquid", "massG", "thickeners", "targetThickness", "with"],
  work: (i, world) => {
    const state = sauceFrom(i, world);
    if (!state.ok) return state;
    const usual = i.with === "water" || i.with === "stock" || i.with === "cream" ? i.with : null;
    const other = usual ? null : sauceFrom({ liquid: i.with, massG: 1 }, world);
    if (other && !other.ok)
      return refuse(...other.problems.map(p => ({ ...p, field: p.field.replace("liquid", "with") })));
    const liquid = other ? other.value : usual ? looseningWith(usual) : null;
    if (!liquid) return refuse(missing("with", "Say what it is loosened with."));
    const found = loosenTo(state.value, liquid, i.targetThickness, i.temperatureC, world.facts);
    if (!found.ok) return found;
    const { addG, evaporateG } = found.value;
    const saltPct = saltPctOf(found.value.state);
    const totalG = massOfSauce(found.value.state);
    const what =
      addG > 0
        ? `${grams(addG)} ${i.with} to add`
        : evaporateG > 0
          ? `${grams(evaporateG)} must boil off`
          : "It is there already";
    return ok(
      {
        output: { ...(addG > 0 ? { addG } : { evaporateG }), saltPct, totalG },
        sentence: `${what}: body ${num(i.targetThickness)}, ${grams(totalG)} in all, salt ${pct(saltPct, 2)}.`,
      },
      [...state.warnings, ...found.warnings],
    );
  },
});

export const coatsAlone = defineSum({
  name: "coats-alone",
  title: "Does it coat by itself?",
  purpose: "How far a stock must go down to coat by its own gelatin, without any starch.",
  words: ["glaze", "nappe", "gelatin", "wobble", "how far down"],
  input: z.strictObject({
    ...sauceFields,
    gelatinPct: percent("Its gelatin, if a set cube has told", 20).optional(),
  }),
  output: z.strictObject({ factor: z.number(), evaporateG: z.number(), leftG: z.number() }),
  example: { liquid: "bought chicken stock", massG: 4000, gelatinPct: 3 },
  asks: ["liquid", "massG", "gelatinPct"],
  work: (i, world) => {
    const state = sauceFrom(i, world);
    if (!state.ok) return state;
    const sauce = i.gelatinPct === undefined ? state.value : withGelatin(state.value, i.gelatinPct);
    const down = reductionToCoat(sauce, i.temperatureC, world.facts);
    if (!down.ok) return down;
    const { evaporateG } = down.value;
    const leftG = massOfSauce(down.value.state);
    const factor = leftG / massOfSauce(sauce);
    return ok(
      {
        output: { factor, evaporateG, leftG },
        sentence:
          evaporateG > 0
            ? `Reduced × ${num(factor, 2)} it coats by itself: ${grams(evaporateG)} as steam, ${grams(leftG)} left, no starch.`
            : "It coats already: nothing need boil off.",
      },
      [...state.warnings, ...down.warnings],
    );
  },
});

/** The same sauce with the gelatin it was found to have, in place of water. */
function withGelatin(state: SauceState, pct: number): SauceState {
  const gelatinG = (massOfSauce(state) * pct) / 100;
  return { ...state, gelatinG, waterG: Math.max(0, state.waterG + state.gelatinG - gelatinG) };
}
