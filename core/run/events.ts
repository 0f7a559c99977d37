import { z } from "zod";
import { type Result, ok, refuse } from "../ground/result";

const id = z.string().min(1).max(40);
const stepId = id;
const within = (min: number, max: number, sentence: string) =>
  z.number(sentence).min(min, sentence).max(max, sentence);
const grams = within(0, 1_000_000, "A weight is between 0 and 1 000 kg.");
const words = (most: number, what: string) =>
  z
    .string()
    .trim()
    .min(1, `${what} is empty.`)
    .max(most, `${what} has more than ${most} signs. Shorten it, or write two.`)
    .refine(text => text.isWellFormed(), `${what} holds half a character. Type it again.`);

/** Signs a note may have. */
export const LONGEST_NOTE = 500;

/** What a cook logs; every reading keeps what was read, not what was made of it. */
export const payloadSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("started"), burnerId: id }),
  z.strictObject({ kind: z.literal("step-begun"), stepId }),
  z.strictObject({ kind: z.literal("step-done"), stepId }),
  /** A line weighed in; `fromG` and `toG` are the bottle before and after pouring. */
  z.strictObject({
    kind: z.literal("added"),
    stepId,
    lineId: id,
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
  z.strictObject({
    kind: z.literal("dipped"),
    stepId,
    levelMm: within(0, 2000, "A level is between 0 and 2 000 mm."),
  }),
  z.strictObject({
    kind: z.literal("probed"),
    stepId,
    /** What it means: what was shown, put right by the probe’s offset. */
    temperatureC: within(-30, 320, "A probe reads between −30 and 320 °C."),
    shownC: within(-30, 320, "A probe reads between −30 and 320 °C.").optional(),
    probeId: words(40, "The probe").optional(),
    where: z.enum(["pot", "oven"]),
  }),
  /** Litres in the jug; several add up: the first pour and the drip. */
  z.strictObject({
    kind: z.literal("jugged"),
    stepId,
    volumeMl: within(Number.MIN_VALUE, 1_000_000, "A jug reads more than nothing and at most 1 000 l."),
  }),
  z.strictObject({ kind: z.literal("noted"), stepId, text: words(LONGEST_NOTE, "The note") }),
  /** Ticked off: something of the step that must not be forgotten. */
  z.strictObject({ kind: z.literal("ticked"), stepId, what: words(200, "What was ticked") }),
  /** A lock opened all the same, and why. */
  z.strictObject({
    kind: z.literal("overridden"),
    stepId,
    what: words(200, "What was locked"),
    reason: words(300, "The reason"),
  }),
  /** Rings once after so many seconds, or again and again. */
  z.strictObject({
    kind: z.literal("timer-set"),
    stepId,
    timerId: id,
    name: words(40, "The name of the timer"),
    seconds: within(5, 172_800, "A timer runs between 5 seconds and two days."),
    every: z.boolean(),
  }),
  /** Somebody has heard it: one that rings once is over, an interval goes on. */
  z.strictObject({ kind: z.literal("timer-heard"), stepId, timerId: id }),
  z.strictObject({ kind: z.literal("timer-stopped"), stepId, timerId: id }),
  z.strictObject({ kind: z.literal("skipped"), stepId }),
  z.strictObject({ kind: z.literal("undone"), eventId: id }),
  z.strictObject({ kind: z.literal("finished") }),
  /** Given up before its end: burnt, dropped, not wanted any more. */
  z.strictObject({ kind: z.literal("abandoned"), reason: words(300, "The reason") }),
]);
export type RunPayload = z.infer<typeof payloadSchema>;

/** Version of what payloads hold; one that is read is lifted to it. */
export const PAYLOAD_VERSION = 1;

/** Something logged by a newer Hondaro, as it was kept: shown as such, and counted nowhere. */
export interface UnknownPayload {
  readonly kind: "unknown";
  /** What it calls itself. */
  readonly of: string;
}

/** A clock this far off is not set at all; the columns hold more. */
const MOST_OFFSET_MS = 100 * 365.25 * 24 * 3_600_000;
const FIRST_AT = Date.UTC(1970, 0, 1);
const LAST_AT = Date.UTC(2200, 0, 1);

/** An event of a run: made on the device, never changed, idempotent by its id. */
export const runEventSchema = z.strictObject({
  /** ULID, in capitals: small letters are the same id. */
  id: z
    .string()
    .regex(/^[0-9A-HJKMNP-TV-Z]{26}$/i, "A reading needs an id of its own (a ULID).")
    .transform(text => text.toUpperCase()),
  /** The device's clock, UTC. */
  at: z.iso
    .datetime("A reading needs its time.")
    .refine(
      at => Date.parse(at) >= FIRST_AT && Date.parse(at) < LAST_AT,
      "The clock of this device is set to another century. Put it right and log this again.",
    ),
  /** Added to `at` gives the server's time; measured at each contact. */
  clockOffsetMs: z
    .number()
    .int()
    .min(
      -MOST_OFFSET_MS,
      "The clock of this device is more than a hundred years off. Put it right and log this again.",
    )
    .max(
      MOST_OFFSET_MS,
      "The clock of this device is more than a hundred years off. Put it right and log this again.",
    ),
  personId: id,
  payload: payloadSchema,
});
export type RunEvent = Omit<z.infer<typeof runEventSchema>, "payload"> & {
  readonly payload: RunPayload | UnknownPayload;
};

/**
 * An event as it was kept. A kind or a version that this Hondaro does not know takes no page down: it is `unknown`.
 * @param version of its payload
 */
export function readKept(kept: Omit<RunEvent, "payload"> & { payload: unknown }, version: number): RunEvent {
  const read = version <= PAYLOAD_VERSION ? payloadSchema.safeParse(kept.payload) : null;
  if (read?.success) return { ...kept, payload: read.data };
  const { payload } = kept;
  const of =
    typeof payload === "object" && payload !== null && "kind" in payload ? String(payload.kind) : "?";
  return { ...kept, payload: { kind: "unknown", of } };
}

/**
 * What a cook is about to log, judged as the server will: what it would refuse never waits for the network.
 * @errors OUT_OF_RANGE with a sentence
 */
export function checkPayload(payload: RunPayload): Result<RunPayload> {
  const read = payloadSchema.safeParse(payload);
  if (read.success) return ok(read.data);
  const issue = read.error.issues[0];
  return refuse({
    code: "OUT_OF_RANGE",
    field: issue?.path.join(".") ?? "payload",
    message: issue?.message ?? "This cannot be kept.",
  });
}

/** When it happened, by the common clock. */
export const timeOf = (event: RunEvent): number => Date.parse(event.at) + event.clockOffsetMs;

/** The one order in which events fold everywhere: corrected time, then id. */
export const inOrder = (events: readonly RunEvent[]): RunEvent[] =>
  [...new Map(events.map(e => [e.id, e])).values()].sort(
    (a, b) => timeOf(a) - timeOf(b) || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0),
  );
