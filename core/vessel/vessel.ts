import { z } from "zod";
import { type Geometry, geometryOf } from "./geometry";
import { shapeSchema } from "./shape";

export const METALS = ["steel", "aluminium", "copper", "cast iron", "plastic"] as const;

export const vesselSchema = z.object({
  id: z.string().regex(/^[a-z0-9-]+$/),
  name: z.string().min(1),
  use: z.enum(["pot", "pan", "tray", "container"]),
  shape: shapeSchema,
  /** Mass of the empty vessel as the scale reads it. */
  tareG: z.number().positive(),
  metal: z.enum(METALS),
  /** Outside width over the handles, for drawing the hob from above. */
  handles: z.enum(["two", "long", "none"]),
});
export type Vessel = Readonly<z.infer<typeof vesselSchema>>;

/**
 * Specific heat of the pan, J/(g K). Source: steel 500, aluminium 900, copper 385, cast iron 460 J/(kg K), handbook
 * values; plastic our estimate.
 */
const METAL_HEAT: Record<Vessel["metal"], number> = {
  steel: 0.5,
  aluminium: 0.9,
  copper: 0.385,
  "cast iron": 0.46,
  plastic: 1.5,
};

/** Heat the empty vessel takes up per degree, J/K. */
export const vesselHeatCapacity = (vessel: Vessel): number => vessel.tareG * METAL_HEAT[vessel.metal];

export const geometryOfVessel = (vessel: Vessel): Geometry => geometryOf(vessel.shape);
