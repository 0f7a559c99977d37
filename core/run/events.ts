import { z } from "zod";

const stepId = z.string().min(1).max(40);
const grams = z.number().nonnegative().max(1_000_000);

/** What a cook logs; every reading keeps what was read, not what was made of it. */
export const payloadSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("started"), burnerId: z.string() }),
  z.strictObject({ kind: z.literal("step-begun"), stepId }),
  z.strictObject({ kind: z.literal("step-done"), stepId }),
  /** A line weighed in; `fromG` and `toG` are the bottle before and after pouring. */
  z.strictObject({
    kind: z.literal("added"),
    stepId,
    lineId: z.string(),
    massG: grams,
    fromG: grams.optional(),
    toG: grams.optional(),
  }),
  /** Everything in the pot. With `tareG`, `grossG` is what the scale showed. */
  z.strictObject({
    kind: z.literal("weighed"),
    stepId,
    netG: grams,
    grossG: grams.optional(),
    tareG: grams.optional(),
  }),
  z.strictObject({ kind: z.literal("dipped"), stepId, levelMm: z.number().nonnegative().max(2000) }),
  z.strictObject({
    kind: z.literal("probed"),
    stepId,
    temperatureC: z.number().min(-30).max(320),
    where: z.enum(["pot", "oven"]),
  }),
  /** Litres in the jug; several add up: the first pour and the drip. */
  z.strictObject({ kind: z.literal("jugged"), stepId, volumeMl: z.number().positive().max(1_000_000) }),
  z.strictObject({ kind: z.literal("noted"), stepId, text: z.string().trim().min(1).max(500) }),
  /** Ticked off: something of the step that must not be forgotten. */
  z.strictObject({ kind: z.literal("ticked"), stepId, what: z.string().min(1).max(200) }),
  z.strictObject({ kind: z.literal("skipped"), stepId }),
  z.strictObject({ kind: z.literal("undone"), eventId: z.string() }),
  z.strictObject({ kind: z.literal("finished") }),
]);
export type RunPayload = z.infer<typeof payloadSchema>;

/** An event of a run: made on the device, never changed, idempotent by its id. */
export const runEventSchema = z.strictObject({
  /** ULID. */
  id: z.string().regex(/^[0-9A-HJKMNP-TV-Z]{26}$/i, "An event needs a ULID."),
  /** The device's clock, UTC. */
  at: z.iso.datetime(),
  /** Added to `at` gives the server's time; measured at each contact. */
  clockOffsetMs: z.number().int(),
  personId: z.string().min(1),
  payload: payloadSchema,
});
export type RunEvent = z.infer<typeof runEventSchema>;

/** When it happened, by the common clock. */
export const timeOf = (event: RunEvent): number => Date.parse(event.at) + event.clockOffsetMs;

/** The one order in which events fold everywhere: corrected time, then id. */
export const inOrder = (events: readonly RunEvent[]): RunEvent[] =>
  [...new Map(events.map(e => [e.id, e])).values()].sort(
    (a, b) => timeOf(a) - timeOf(b) || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0),
  );
