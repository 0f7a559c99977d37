import { z } from "zod";
import { BASES } from "../estimate";
import type { compositionSchema } from "../larder";
import { BURNER_KINDS, LIDS, SURFACES } from "../reduction";
import { shapeSchema } from "../vessel";

/** The fields of the sums. Units stand in the names: G, Ml, Mm, C, Min, W, M, Pa, Pct, Bx. */
const about = (title: string) => ({ title });

export const mass = (title: string) =>
  z
    .number()
    .min(0)
    .max(1_000_000)
    .meta(about(`${title}, g`));
export const massAbove0 = (title: string) =>
  z
    .number()
    .positive()
    .max(1_000_000)
    .meta(about(`${title}, g`));
export const volume = (title: string) =>
  z
    .number()
    .min(0)
    .max(1_000_000)
    .meta(about(`${title}, ml`));
export const length = (title: string) =>
  z
    .number()
    .min(0)
    .max(2000)
    .meta(about(`${title}, mm`));
export const celsius = (title: string) =>
  z
    .number()
    .min(-30)
    .max(300)
    .meta(about(`${title}, °C`));
export const minutes = (title: string) =>
  z
    .number()
    .min(0)
    .max(20_000)
    .meta(about(`${title}, min`));
export const hours = (title: string) =>
  z
    .number()
    .min(0)
    .max(336)
    .meta(about(`${title}, h`));
export const percent = (title: string, max = 100) =>
  z
    .number()
    .min(0)
    .max(max)
    .meta(about(`${title}, %`));
export const share = (title: string) =>
  z
    .number()
    .min(0)
    .max(1)
    .meta(about(`${title}, 0–1`));
export const count = (title: string) => z.number().int().positive().max(100_000).meta(about(title));

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
  .meta(about("Composition, g per 100 g"));

/** What the liquid is: by its parts, or by a name of the larder. Neither: water, and it is said. */
export const liquidFields = {
  composition: compositionField.optional(),
  liquid: z.string().max(120).optional().meta(about("Liquid of the larder")),
};

/** A pot by its inside measures, or by its id in the kit. */
export const vesselField = z
  .union([shapeSchema, z.strictObject({ id: z.string().min(1) })])
  .meta(about("Vessel"));
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
  .meta(about("Heat"));
export type HeatField = z.infer<typeof heatField>;

/** Air around the pot; the kitchen’s own where nothing is said. */
export const aroundFields = {
  altitudeM: z.number().optional().meta(about("Altitude, m")),
  pressurePa: z.number().optional().meta(about("Air pressure, Pa")),
  ambientC: z.number().min(-20).max(50).optional().meta(about("Kitchen air, °C")),
  humidity: share("Humidity").optional(),
  airMPerS: z.number().min(0).max(3).optional().meta(about("Moving air, m/s")),
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
  .meta(about("Reduce by or to"));
export type TargetField = z.infer<typeof targetField>;

export const surfaceField = z.enum(SURFACES).meta(about("Surface"));
export const lidField = z.enum(LIDS).meta(about("Lid"));

/** A value with its 90 % interval. */
export const estimateField = z.strictObject({
  value: z.number(),
  lo: z.number(),
  /** `null`: no upper bound yet. */
  hi: z.number().nullable(),
  basis: z.enum(BASES),
  notes: z.array(z.string()).readonly(),
});

export const readingField = z.strictObject({ min: z.number(), c: z.number() });
export const curveField = z.array(z.strictObject({ min: z.number(), g: z.number(), c: z.number() }));
