import { z } from "zod";
import { type Result, ok, refuse } from "../ground/result";
import { type RunPayload, payloadSchema } from "./payloads";

const id = z.string().min(1).max(40);

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
