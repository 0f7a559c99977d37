import { z } from "zod";
import { COOLING_METHODS } from "../laws/cooling";

/** Names of tools and vessels stand beside their drawings. */
export const LONGEST_TOOL_NAME = 80;

const common = {
  id: z.string().regex(/^[a-z0-9-]+$/),
  name: z.string().trim().min(1).max(LONGEST_TOOL_NAME),
};

/** What stands, hangs and lies about besides pots and burners. */
export const applianceSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    ...common,
    kind: z.literal("oven"),
    mostC: z.number().min(60).max(600),
    trays: z.number().int().min(1).max(60),
  }),
  z.strictObject({
    ...common,
    kind: z.literal("blender"),
    jarMl: z.number().positive().max(200_000),
    /** How full it may be with something hot, per cent. */
    hotFillPct: z.number().min(5).max(80),
  }),
  z.strictObject({
    ...common,
    kind: z.literal("cold place"),
    method: z.enum(COOLING_METHODS),
    holdsMl: z.number().positive().max(5_000_000),
    temperatureC: z.number().min(-40).max(25),
  }),
  z.strictObject({
    ...common,
    kind: z.literal("scale"),
    capacityG: z.number().positive().max(500_000),
    resolutionG: z.number().positive().max(1000),
  }),
  z.strictObject({
    ...common,
    kind: z.literal("probe"),
    resolutionC: z.number().positive().max(5),
    /** Added to what it reads; found in melting ice. */
    offsetC: z.number().min(-10).max(10),
    /** Day of the last ice check. */
    checkedOn: z.iso.date().nullable(),
  }),
  z.strictObject({ ...common, kind: z.literal("measure"), holdsMl: z.number().positive().max(50_000) }),
]);
export type Appliance = Readonly<z.infer<typeof applianceSchema>>;
export type ApplianceKind = Appliance["kind"];
export type Scale = Extract<Appliance, { kind: "scale" }>;
export type Probe = Extract<Appliance, { kind: "probe" }>;

export const APPLIANCE_KINDS = [
  "oven",
  "blender",
  "cold place",
  "scale",
  "probe",
  "measure",
] as const satisfies readonly ApplianceKind[];

/** The figures of each kind besides its name: field, what it is called, unit. */
export const APPLIANCE_FIELDS: Readonly<
  Record<ApplianceKind, readonly (readonly [field: string, label: string])[]>
> = {
  oven: [
    ["mostC", "hottest, °C"],
    ["trays", "trays"],
  ],
  blender: [
    ["jarMl", "jar, ml"],
    ["hotFillPct", "with something hot, %"],
  ],
  "cold place": [
    ["holdsMl", "takes, ml"],
    ["temperatureC", "as cold as, °C"],
  ],
  scale: [
    ["capacityG", "up to, g"],
    ["resolutionG", "in steps of, g"],
  ],
  probe: [["resolutionC", "in steps of, °C"]],
  measure: [["holdsMl", "holds, ml"]],
};
