import { z } from "zod";
import { BASES } from "../ground/estimate";
import type { compositionSchema } from "../things/larder";
import { BURNER_KINDS, LIDS, SURFACES, SURFACE_WORDS } from "../laws/reduction";
import { shapeSchema } from "../things/vessel";

/** The fields of the sums. What each is called, its unit and how it is typed stand beside it. */

export const mass = (title: string) => z.number().min(0).max(1_000_000).meta({ title, unit: "g" });
export const massAbove0 = (title: string) => z.number().positive().max(1_000_000).meta({ title, unit: "g" });
export const volume = (title: string) => z.number().min(0).max(1_000_000).meta({ title, unit: "ml" });
export const length = (title: string) => z.number().min(0).max(2000).meta({ title, unit: "mm" });
export const celsius = (title: string) => z.number().min(-30).max(300).meta({ title, unit: "°C" });
export const minutes = (title: string) => z.number().min(0).max(20_000).meta({ title, unit: "min" });
export const hours = (title: string) => z.number().min(0).max(336).meta({ title, unit: "h" });
export const percent = (title: string, max = 100) => z.number().min(0).max(max).meta({ title, unit: "%" });
export const share = (title: string) => z.number().min(0).max(1).meta({ title, unit: "0–1" });
export const count = (title: string) => z.number().int().positive().max(100_000).meta({ title });

const part = z.number().min(0).max(103);
/** g per 100 g; collagen inside protein, volatileAcid inside acid. What is not named is 0. */
export const compositionField = z
  .strictObject({
    water: part.optional(),
    fat: part.optional(),
    protein: part.optional(),
    collagen: part.optional(),
    sugars: part.optional(),
    starch: part.optional(),
    fibre: part.optional(),
    salt: part.optional(),
    ethanol: part.optional(),
    acid: part.optional(),
    volatileAcid: part.optional(),
    other: part.optional(),
  } satisfies Record<keyof z.infer<typeof compositionSchema>, unknown>)
  .meta({
    title: "Composition",
    unit: "g per 100 g",
    typed: "pairs",
    hint: "water 87, fat 3.5, protein 3.3 …",
    oneOf: "what the liquid is",
  });

/** What the liquid is: by its parts, or by a name of the larder. Neither: water, and it is said. */
export const liquidFields = {
  composition: compositionField.optional(),
  liquid: z
    .string()
    .max(120)
    .optional()
    .meta({ title: "Liquid of the larder", typed: "ingredient", oneOf: "what the liquid is" }),
};

/** A pot by its inside measures, or by its id in the kit. */
export const vesselField = z
  .union([shapeSchema, z.strictObject({ id: z.string().min(1) })])
  .meta({ title: "Vessel", typed: "vessel", hint: "a pot of the kit, or 320 × 300 mm" });
export type VesselField = z.infer<typeof vesselField>;

/** What drives the pot. */
export const heatField = z
  .union([
    z.strictObject({ boilsOffGPerMin: z.number().positive().max(5000) }),
    z.strictObject({ watts: z.number().min(0).max(50_000) }),
    z.strictObject({
      burner: z.enum(BURNER_KINDS),
      setting: z.number().max(1).optional(),
      overlap: z.number().max(1).optional(),
    }),
    z.strictObject({ holdC: z.number().min(20).max(130) }),
  ])
  .meta({ title: "Heat", typed: "heat", hint: "a burner with its share, 1200 W, 88 °C or 40 g/min" });
export type HeatField = z.infer<typeof heatField>;

/** Air around the pot; the kitchen’s own where nothing is said. */
export const aroundFields = {
  altitudeM: z.number().optional().meta({ title: "Altitude", unit: "m" }),
  pressurePa: z.number().optional().meta({ title: "Air pressure", unit: "Pa" }),
  ambientC: z.number().min(-20).max(50).optional().meta({ title: "Kitchen air", unit: "°C" }),
  humidity: share("Humidity").optional(),
  airMPerS: z.number().min(0).max(3).optional().meta({ title: "Moving air", unit: "m/s" }),
};

const partOf = z.enum(["pan", "added"]).optional();
const openShare = z.number().gt(0).lt(1);
/** Where a reduction ends. `by`: the share that leaves; `to`: the share that stays; by volume at 20 °C. */
export const targetField = z
  .union([
    z.strictObject({ by: openShare, of: partOf }),
    z.strictObject({ to: openShare, of: partOf }),
    z.strictObject({ massRatio: openShare, of: partOf }),
    z.strictObject({ endG: z.number().positive(), of: partOf }),
    z.strictObject({ endMl: z.number().positive(), of: partOf }),
    z.strictObject({ brix: z.number().gt(0).lt(90), of: partOf }),
  ])
  .meta({ title: "Reduce by or to", typed: "target" });
export type TargetField = z.infer<typeof targetField>;

export const surfaceField = z.enum(SURFACES).meta({ title: "Surface", words: SURFACE_WORDS });
export const lidField = z.enum(LIDS).meta({ title: "Lid" });

/** A value with its 90 % interval. */
export const estimateField = z.strictObject({
  value: z.number(),
  lo: z.number(),
  /** `null`: no upper bound yet. */
  hi: z.number().nullable(),
  basis: z.enum(BASES),
  notes: z.array(z.string()).readonly(),
});

export const readingField = z.strictObject({
  min: z.number().meta({ title: "After", unit: "min" }),
  c: z.number().meta({ title: "Probe", unit: "°C" }),
});
export const curveField = z.array(z.strictObject({ min: z.number(), g: z.number(), c: z.number() }));

/** Words that after a number mean covers. */
export const COVERS = ["cover", "covers", "plate", "plates"];
