import { z } from "zod";
import { type Geometry, geometryOf } from "./geometry";
import { shapeSchema } from "./shape";

export const METALS = ["steel", "aluminium", "copper", "cast iron", "plastic"] as const;

export const LININGS = ["none", "tin", "steel", "enamel", "non-stick"] as const;
export const CLOSED = ["pressure pot", "steam kettle"] as const;

export const vesselSchema = z.object({
  id: z.string().regex(/^[a-z0-9-]+$/),
  name: z.string().min(1),
  use: z.enum(["pot", "pan", "tray", "container"]),
  shape: shapeSchema,
  /** Mass of the empty vessel as the scale reads it. */
  tareG: z.number().positive(),
  metal: z.enum(METALS),
  /** What the food touches, where it is not the metal itself. */
  lining: z.enum(LININGS).optional(),
  /** Pressure pots and steam kettles are kept, but the sums stop at them. */
  closed: z.enum(CLOSED).optional(),
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

/** Where the sums stop, in a cook’s words; nothing for an open pot. */
export const limitsOf = (vessel: Vessel): string | null =>
  vessel.closed === "pressure pot"
    ? "Under pressure it boils hotter than the sums know: times, steam and extraction are not forecast here."
    : vessel.closed === "steam kettle"
      ? "Heat comes from a jacket of steam: give the watts or what it boils off an hour; the flame table does not apply."
      : null;

export const geometryOfVessel = (vessel: Vessel): Geometry => geometryOf(vessel.shape);
