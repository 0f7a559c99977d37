import { type Calibration, TEST_IDS, calibrate, corrected } from "../../laws/texture";
import { z } from "zod";
import type { PotBody } from "./body";

/** A weighed kitchen test beside what the sums had said: how a kitchen’s own scale is learned. */
export const bodyReadingSchema = z.strictObject({
  id: z.string().min(1).max(26),
  /** Family of the formula: each kind of sauce learns apart. */
  family: z.string().min(1).max(40),
  formulaName: z.string().max(120),
  /** Body the sums said, before anything was learned. */
  forecast: z.number().min(0).max(100),
  test: z.enum(TEST_IDS),
  reading: z.number(),
  temperatureC: z.number().min(0).max(100),
  /** Body it was, at the temperature it is served at. */
  measured: z.number().min(0).max(100),
  /** When, UTC. */
  at: z.string(),
  by: z.string().max(120),
});
export type BodyReading = Readonly<z.infer<typeof bodyReadingSchema>>;

/** What the readings of a kitchen teach, by family; families without three stay as the sums have them. */
export function learnBody(readings: readonly BodyReading[]): ReadonlyMap<string, Calibration> {
  const found = new Map<string, Calibration>();
  for (const family of new Set(readings.map(r => r.family))) {
    const pairs = readings.filter(r => r.family === family).map(r => ({ x: r.forecast, y: r.measured }));
    const learned = calibrate(pairs);
    if (learned.ok) found.set(family, learned.value);
  }
  return found;
}

/** A body put right by what the kitchen has read. */
export function asRead(body: PotBody | null, learned: Calibration | undefined): PotBody | null {
  if (!body || !learned?.trusted) return body;
  const { thickness, sd } = corrected(body.thickness, learned);
  return { ...body, thickness: Math.min(100, Math.max(0, thickness)), sd, learnedFrom: learned.n };
}
