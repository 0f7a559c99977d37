import { z } from "zod";
import type { FactValues } from "../facts";
import type { Ingredient } from "../larder";
import type { PotState, Surroundings } from "../pot";
import type { Grams, Seconds } from "../quantity";
import type { Problem, Result, Warning } from "../result";
import type { Burner, TracePoint } from "../reduction";
import type { DipMark, Vessel } from "../vessel";
import { byProductSchema, lineSchema } from "./amount";

/** Fields every step has. */
export const stepFields = {
  id: z.string().min(1).max(40),
  lines: z.array(lineSchema).max(40),
  /** The cook's own words beside the default ones. */
  remark: z.string().max(400).optional(),
  /** End cue in the cook's own words; without it the kind's own cue is shown. */
  cue: z.string().max(200).optional(),
  /** Why it is done so: for those who learn. */
  why: z.string().max(400).optional(),
  /** Something nobody has settled yet; it stands highlighted until it is. */
  question: z.string().max(200).optional(),
  /** What becomes of what this step takes out of the pot: skimmed fat, spent bones. */
  keeps: byProductSchema.optional(),
};

export const durationMin = z
  .number()
  .min(0)
  .max(7 * 24 * 60);
export const vesselId = z.string().min(1).optional();

/** A line with its grams worked out and its ingredient found. */
export interface ResolvedLine {
  readonly lineId: string;
  readonly ingredient: Ingredient;
  readonly massG: Grams;
}

/** What a step works on. */
export interface StepContext<S> {
  readonly step: S;
  readonly pot: PotState;
  readonly lines: readonly ResolvedLine[];
  /** Where the pot stands at the start of the step. */
  readonly vessel: Vessel | null;
  readonly vessels: readonly Vessel[];
  readonly burner: Burner | null;
  readonly around: Surroundings;
  readonly facts: FactValues;
  readonly ingredientById: (id: string) => Ingredient | undefined;
  /** Keep the course of the step for charts and forecasts. */
  readonly trace: boolean;
  /** Path of the step, for the messages. */
  readonly field: string;
}

/** An amount nobody typed: it follows from the sums, such as the water that covers. */
export interface Computed {
  readonly what: string;
  readonly massG: Grams;
  /** `in`: it entered the pot; `out`: it left; `within`: it changed its place in it, as fat that melts out. */
  readonly way: "in" | "out" | "within";
  readonly ingredientId?: string;
}

export interface StepOutcome {
  readonly pot: PotState;
  readonly vessel: Vessel | null;
  readonly durationS: Seconds;
  readonly computed: readonly Computed[];
  readonly warnings: readonly Warning[];
  /** Mass of the liquor and temperature through the step, in seconds from its start. */
  readonly course: readonly TracePoint[];
  /** Mark on the dip-stick, for steps that end at one. */
  readonly mark?: DipMark;
  /** Level of the heap of solids, mm: what the liquor must cover. */
  readonly bulkLevelMm?: number;
}

/** How much of a cook a step takes: all the time, a look now and then, or nobody until it is done. */
export const ATTENTION = ["watch", "look in", "leave"] as const;
export type Attention = (typeof ATTENTION)[number];

/** Share of a step's time that hands are on it. Our estimate. */
export const HANDS_ON: Readonly<Record<Attention, number>> = { watch: 1, "look in": 0.15, leave: 0.03 };

/** Something a cook ticks off: easily forgotten, and not to be made good afterwards. */
export interface Tick {
  readonly what: string;
  readonly before: "begin" | "end";
}

/** A kind of step: one file each. */
export interface StepKind<S extends { kind: string }> {
  readonly kind: S["kind"];
  /** Word in the list of kinds to add. */
  readonly label: string;
  readonly schema: z.ZodType<S>;
  /** A new step of this kind. */
  readonly blank: (id: string) => S;
  /** What to do, in one or two words: "Roast". */
  readonly title: (step: S, lineNames: readonly string[]) => string;
  /** How: temperatures, depths, times, end points. */
  readonly detail: (step: S) => string;
  /** How a cook sees that it is there. */
  readonly cue: string;
  readonly cautions: (step: S) => readonly string[];
  /** Where the pot is meanwhile. */
  readonly place: "fire" | "oven" | "bench" | "cold";
  readonly attention: Attention;
  /** Whether things go in at this step. */
  readonly takesLines: boolean;
  /** Whether the end is a level or mass (true) or a time (false). */
  readonly endsAtMark: boolean;
  /** Whether what is missing at its end has gone as steam; of any other step a low reading is liquor poured away. */
  readonly steams?: true;
  /** What must be ticked off before the step can begin, or before it can end. */
  readonly ticks?: (step: S) => readonly Tick[];
  readonly apply: (context: StepContext<S>) => Result<StepOutcome>;
}

export const defineStep = <S extends { kind: string }>(kind: StepKind<S>): StepKind<S> => kind;

export const outcome = (
  pot: PotState,
  vessel: Vessel | null,
  durationS: Seconds,
  more: Partial<StepOutcome> = {},
): StepOutcome => ({ pot, vessel, durationS, computed: [], warnings: [], course: [], ...more });

/** Puts what a step computed together: what went in or out without being typed. */
export const took = (what: string, massG: number): Computed[] =>
  massG > 0 ? [{ what, massG: massG as Grams, way: "out" }] : [];

export const missingVessel = (field: string, what: string): Problem => ({
  code: "MISSING",
  field: `${field}.vesselId`,
  message: `${what} needs a vessel first: put a “cover” or “add” step before it, or choose a pot.`,
});
