import { z } from "zod";
import { LIDS } from "../laws/reduction";
import { TEST_IDS } from "../laws/texture";
import { ingredientSchema } from "../things/larder";

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

/** Why something went in. */
export const PUT_IN = ["top up", "season", "thin", "juices", "mend", "other"] as const;
export type PutInFor = (typeof PUT_IN)[number];
export const TAKEN_OUT = ["skimmed", "ladled", "poured off"] as const;
/** Instruments: °Brix, pH, and the kitchen tests of body. */
export const MEASURED = ["brix", "ph", ...TEST_IDS] as const;
export type Instrument = (typeof MEASURED)[number];
export const TASTES = ["salt", "sour", "sweet", "bitter", "savoury", "body"] as const;
export type Taste = (typeof TASTES)[number];
export const GLOSS = ["mirror", "satin", "matt"] as const;
export const CLARITY = ["clear", "hazy", "cloudy"] as const;
export const INCIDENTS = ["boiled over", "split", "burnt", "spilt", "ran dry", "other"] as const;
/** How meat or a root gives under the finger. */
export const TOUCHES = ["soft", "springy", "firm", "hard"] as const;
export const FIX_OUTCOMES = ["worked", "in part", "did not"] as const;

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
  /** The pot was put somewhere else: on another burner, off the fire (`null`), over into another vessel. */
  z.strictObject({
    kind: z.literal("moved"),
    stepId,
    burnerId: id.nullable().optional(),
    vesselId: id.optional(),
  }),
  z.strictObject({ kind: z.literal("lid"), stepId, lid: z.enum(LIDS) }),
  /** How far the burner is open now, 0–1. */
  z.strictObject({ kind: z.literal("flame"), stepId, setting: z.number().gt(0).max(1) }),
  /**
   * Something went in that the formula does not know: water, a splash, a pinch, the juices of the meat. What it is made
   * of goes along, so that the run says the same whatever becomes of the larder.
   */
  z.strictObject({
    kind: z.literal("put-in"),
    stepId,
    ingredient: ingredientSchema,
    massG: grams.gt(0, "Say how much went in."),
    why: z.enum(PUT_IN),
    /** As it was counted, where it was not weighed: "2 two-finger pinches". */
    counted: words(60, "The count").optional(),
    /** The jar before and after. */
    fromG: grams.optional(),
    toG: grams.optional(),
  }),
  /** Taken out by hand; without a weight it is a stroke on the tally. */
  z.strictObject({
    kind: z.literal("taken-out"),
    stepId,
    what: z.enum(TAKEN_OUT),
    massG: grams.optional(),
  }),
  /** Read with an instrument other than scale, stick, jug and probe. */
  z.strictObject({
    kind: z.literal("measured"),
    stepId,
    what: z.enum(MEASURED),
    value: within(-100, 100_000, "That is no reading of this instrument."),
    temperatureC: within(-30, 320, "A probe reads between −30 and 320 °C.").optional(),
  }),
  /** A spoonful tasted: for each taste from −2, far too little, to +2, far too much. */
  z.strictObject({
    kind: z.literal("tasted"),
    stepId,
    verdicts: z.partialRecord(z.enum(TASTES), z.number().int().min(-2).max(2)),
    /** How good it is so far, 0–10. */
    score: z.number().int().min(0).max(10).optional(),
    words: words(200, "The word for it").optional(),
    /** Seasoned to the end: nothing more goes in. */
    stop: z.boolean(),
  }),
  /** How it gives under the finger, beside what the probe says of its middle. */
  z.strictObject({
    kind: z.literal("felt"),
    stepId,
    touch: z.enum(TOUCHES),
    temperatureC: within(-30, 320, "A probe reads between −30 and 320 °C."),
  }),
  /** How it looks. */
  z.strictObject({
    kind: z.literal("looked"),
    stepId,
    gloss: z.enum(GLOSS).optional(),
    clarity: z.enum(CLARITY).optional(),
    /** Beside the house’s reference, from pale to dark. */
    colour: z.int().min(1).max(6).optional(),
    photoId: id.optional(),
  }),
  /** Something went wrong, and what it cost. */
  z.strictObject({
    kind: z.literal("incident"),
    stepId,
    what: z.enum(INCIDENTS),
    lostG: grams.optional(),
    words: words(300, "What happened").optional(),
  }),
  /** What was done about a fault; whether it worked is told later. */
  z.strictObject({
    kind: z.literal("fixed"),
    stepId,
    fault: words(60, "The fault"),
    remedy: words(300, "What was done"),
  }),
  z.strictObject({ kind: z.literal("fix-told"), stepId, fixId: id, outcome: z.enum(FIX_OUTCOMES) }),
  /** Somebody else looks after it from now on: what is next, and when. */
  z.strictObject({
    kind: z.literal("handed-over"),
    stepId,
    toPersonId: id,
    next: words(300, "What is next"),
    nextAt: z.iso.datetime("Say when it is to be done.").optional(),
  }),
  z.strictObject({ kind: z.literal("skipped"), stepId }),
  z.strictObject({ kind: z.literal("undone"), eventId: id }),
  z.strictObject({ kind: z.literal("finished") }),
  /** Given up before its end: burnt, dropped, not wanted any more. */
  z.strictObject({ kind: z.literal("abandoned"), reason: words(300, "The reason") }),
]);
export type RunPayload = z.infer<typeof payloadSchema>;
