import { z } from "zod";
import { type LearnedPace, NOTHING_LEARNED, learnPace } from "../../laws/reduction";

/** How fast a pot on a burner really went in one batch, beside the pace its forecast had counted on. */
export const paceReadingSchema = z.strictObject({
  burnerId: z.string().max(40),
  vesselId: z.string().max(40),
  /** Final κ of the step’s readings, relative to a forecast with `muUsed`. */
  pace: z.number().positive(),
  sd: z.number().nonnegative(),
  muUsed: z.number(),
});
export type PaceReading = Readonly<z.infer<typeof paceReadingSchema>>;

export interface PairPace extends LearnedPace {
  readonly batches: number;
}

/** What a pot on a burner is known by. */
export const pairKey = (burnerId: string, vesselId: string): string => `${burnerId} ${vesselId}`;

/**
 * What the batches of a kitchen teach of each pot on each burner, the oldest first.
 * Source: docs/models.md "The live forecast".
 */
export function learnPaces(readings: readonly PaceReading[]): ReadonlyMap<string, PairPace> {
  const found = new Map<string, PairPace>();
  for (const { burnerId, vesselId, pace, sd, muUsed } of readings) {
    const key = pairKey(burnerId, vesselId);
    const before = found.get(key) ?? { ...NOTHING_LEARNED, batches: 0 };
    found.set(key, { ...learnPace(before, pace, sd, muUsed), batches: before.batches + 1 });
  }
  return found;
}

/** Times the pace of the sums a pair really goes; 1 before anything was learned. */
export const paceTimes = (
  learned: ReadonlyMap<string, PairPace>,
  burnerId: string,
  vesselId: string,
): number => Math.exp(learned.get(pairKey(burnerId, vesselId))?.mu ?? 0);
