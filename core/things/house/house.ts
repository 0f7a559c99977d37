import { z } from "zod";

/** What this house has settled for itself: its words, its rates. Stored with the kitchen. */
export const houseSchema = z.strictObject({
  /** Share of the unsalted brown stock that is left when it counts as demi-glace, and whether flour binds it. */
  demiGlace: z.strictObject({ to: z.number().min(0.05).max(0.95), bound: z.boolean() }),
  /** Hands and fire an hour, in the kitchen’s currency. */
  labourPerH: z.number().nonnegative().max(10_000),
  flamePerH: z.number().nonnegative().max(10_000),
  /** Limits this house cools by; the two stages where nobody has chosen. */
  coolingProfile: z.enum(["fda", "uk", "cook-chill"]).optional(),
  /** Minutes of the day between which somebody is in the house. */
  hours: z
    .strictObject({ opensMin: z.number().int().min(0), closesMin: z.number().int().max(1440) })
    .optional(),
});
export type House = Readonly<z.infer<typeof houseSchema>>;

/** From seven to eleven at night, until a house says its own. */
export const USUAL_HOURS = { opensMin: 7 * 60, closesMin: 23 * 60 } as const;

/** Unsalted brown stock to one half, unbound; no rates until somebody enters them. */
export const USUAL_HOUSE: House = { demiGlace: { to: 0.5, bound: false }, labourPerH: 0, flamePerH: 0 };

/**
 * How a reduction is let down again, for the label.
 * @param to share of the stock that is left, 0–1
 * @example 0.5 → { times: 2, waterParts: 1 }: one part and one part of water
 */
export const letDown = (to: number): { times: number; waterParts: number } => ({
  times: 1 / to,
  waterParts: 1 / to - 1,
});
