import { z } from "zod";
import type { FactValues } from "../../ground/facts";
import type { Ingredient } from "../../things/larder";
import type { PotState, Surroundings } from "../../things/pot";
import type { Grams, Seconds } from "../../ground/quantity";
import type { Problem, Result, Warning } from "../../ground/result";
import type { ProfileId } from "../../laws/cooling";
import type { Burner, TracePoint } from "../../laws/reduction";
import type { DipMark, Vessel } from "../../things/vessel";
import { byProductSchema, lineSchema } from "./amount";
import type { Fields, StepField } from "./field";

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
  /** Name of the second vessel it works in, such as "mushroom pan"; the main pot without one. */
  pan: z.string().trim().min(1).max(40).optional(),
  /** What becomes of what this step takes out of the pot: skimmed fat, spent bones. */
  keeps: byProductSchema.optional(),
};

type Shape<F extends Fields> = { [K in keyof F]: F[K]["schema"] };

const schemaOf = <const K extends string, F extends Fields>(kind: K, fields: F) =>
  z.strictObject({
    ...stepFields,
    kind: z.literal(kind),
    ...(Object.fromEntries(Object.entries(fields).map(([key, { schema }]) => [key, schema])) as Shape<F>),
  });
type SchemaOf<K extends string, F extends Fields> = ReturnType<typeof schemaOf<K, F>>;
type StepWith<K extends string, F extends Fields> = z.infer<SchemaOf<K, F>>;

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
  /** Burners a step may choose among where nobody has said. */
  readonly burners: readonly Burner[];
  /** Trays that all ovens together take. */
  readonly ovenTrays: number;
  readonly around: Surroundings;
  readonly facts: FactValues;
  /** Times the pace of the sums that a pot on a burner has been found to go. */
  readonly paceOf: (burnerId: string, vesselId: string) => number;
  readonly ingredientById: (id: string) => Ingredient | undefined;
  /** The vessel this step gives to or takes from, where it does: it has the name the step says. */
  readonly elsewhere: OtherVessel | null;
  /** Vessels in which something else stands meanwhile, and what that is called; they are not among `vessels`. */
  readonly taken: ReadonlyMap<string, string>;
  /** Keep the course of the step for charts and forecasts. */
  readonly trace: boolean;
  /** Path of the step, for the messages. */
  readonly field: string;
}

/** A pot that is worked beside another, and where it stands. */
export interface OtherVessel {
  readonly pot: PotState;
  readonly vessel: Vessel | null;
}

/** An amount nobody typed: it follows from the sums, such as the water that covers. */
export interface Computed {
  readonly what: string;
  readonly massG: Grams;
  /** `in`: it entered the pot; `out`: it left; `within`: it changed its place in it, as fat that melts out. */
  readonly way: "in" | "out" | "within";
  readonly ingredientId?: string;
}

/** The fire a step chose, or was told. */
export interface Fire {
  readonly burner: Burner;
  /** How far open, 0–1. */
  readonly setting: number;
}

export interface StepOutcome {
  readonly pot: PotState;
  readonly vessel: Vessel | null;
  readonly durationS: Seconds;
  readonly computed: readonly Computed[];
  readonly warnings: readonly Warning[];
  /** Mass of the liquor and temperature through the step, in seconds from its start. */
  readonly course: readonly TracePoint[];
  /** Where it stands and how far open, for steps that look for the best. */
  readonly fire?: Fire;
  /** What it came to that its fields do not say: water to have ready, when a core is hot. */
  readonly says?: string;
  /** Mark on the dip-stick, for steps that end at one. */
  readonly mark?: DipMark;
  /** What the vessel it gave to or took from holds now. */
  readonly elsewhere?: OtherVessel;
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

/** What is asked where a recipe in words leaves it open. */
interface Heard {
  /** With nothing in the pot yet it needs something to begin with. */
  readonly begins?: true;
  readonly asksTime?: true;
  readonly asksHeat?: true;
}

/** Where the pot is meanwhile: over a burner, in an oven, on the table, in the cold. */
export type Place = "fire" | "oven" | "bench" | "cold";

/** A kind of step: one file each, which says everything that is known of the kind. */
export interface StepKind<S> {
  readonly kind: string;
  /** Word in the list of kinds to add. */
  readonly label: string;
  readonly schema: z.ZodType<S>;
  /** What can be changed of it, in the order a form asks. */
  readonly fields: Fields;
  /** A new step of this kind. */
  readonly blank: (id: string) => S;
  /** What to do, in one or two words: "Roast". */
  readonly title: (step: S, lineNames: readonly string[]) => string;
  /** How: temperatures, depths, times, end points. */
  readonly detail: (step: S) => string;
  /** How a cook sees that it is there. */
  readonly cue: string;
  /** Why it is done so, for those who learn; a step’s own reason comes before it. Common practice, no source. */
  readonly why?: string;
  /** @param cooled the limits the house cools by */
  readonly cautions: (step: S, cooled?: ProfileId) => readonly string[];
  readonly place: Place | ((step: S) => Place);
  /** What an oven must be set to; absent where none is needed. */
  readonly ovenC?: (step: S) => number | null;
  readonly attention: Attention;
  /** Whether things go in at this step. */
  readonly takesLines: boolean;
  /** Whether the end is a level or mass (true) or a time (false). */
  readonly endsAtMark: boolean;
  /**
   * Whether what is missing at its end has gone as steam, and whether its written time decides how much; of any other
   * step a low reading is liquor poured away.
   */
  readonly steams?: "by the clock" | "to the end";
  /** Whether a sauce has been cooked by it, and is served hot unless its formula says otherwise. */
  readonly cooks?: true;
  /** Whether it finishes a sauce: a binding goes in before it. */
  readonly finishes?: true;
  /** Whether something leaves the pot by it that may be of use. */
  readonly takesOut?: true;
  /** Whether how long it takes hangs on what is cooked. */
  readonly timeHangsOnMain?: true;
  /** Whether it leaves a fond in its vessel, or lifts it. */
  readonly fond?: "leaves" | "lifts";
  /** Whether its liquid is measured by the pan and not by what is to be made. */
  readonly keepsItsLiquid?: true;
  /** Whether air that was beaten in is still there after it. */
  readonly keepsAir?: true;
  /** Whether its own cautions speak of raw egg. */
  readonly speaksOfItsEgg?: true;
  /** The law it goes by, in symbols. */
  readonly rule?: string;
  /** What a recipe in words is asked of it. */
  readonly heard?: Heard;
  /** Name of the vessel a step gives to or takes from; "" is the main pot; `null` where it touches no other. */
  readonly touches?: (step: S) => string | null;
  /** What must be ticked off before the step can begin, or before it can end. */
  readonly ticks?: (step: S) => readonly Tick[];
  readonly apply: (context: StepContext<S>) => Result<StepOutcome>;
}

/** A kind of step from what its file says; the schema follows from the fields. */
export const defineStep = <const K extends string, F extends Fields>(
  said: Omit<StepKind<StepWith<K, F>>, "schema" | "kind" | "fields"> & {
    readonly kind: K;
    readonly fields: F;
  },
): StepKind<StepWith<K, F>> & { readonly kind: K; readonly fields: F; readonly schema: SchemaOf<K, F> } =>
  ({ ...said, schema: schemaOf(said.kind, said.fields) }) as never;

/** The fields of a kind, in the order a form asks. */
export const fieldsOf = ({ fields }: Pick<StepKind<never>, "fields">): StepField[] =>
  Object.entries(fields).map(([key, { form }]) => ({ key, ...form }));

/** Names of what is fried, without what it is fried in. */
export const withoutFat = (names: readonly string[]): readonly string[] =>
  names.filter(name => !/(?:oil|butter|dripping|lard|ghee|\bfat)$/.test(name));

export const outcome = (
  pot: PotState,
  vessel: Vessel | null,
  durationS: Seconds,
  more: Partial<StepOutcome> = {},
): StepOutcome => ({ pot, vessel, durationS, computed: [], warnings: [], course: [], ...more });

/** Puts what a step computed together: what went in or out without being typed. */
export const takenOut = (what: string, massG: number): Computed[] =>
  massG > 0 ? [{ what, massG: massG as Grams, way: "out" }] : [];

export const missingVessel = (field: string, what: string): Problem => ({
  code: "MISSING",
  field: `${field}.vesselId`,
  message: `${what} needs a vessel first: put a “cover” or “add” step before it, or choose a pot.`,
});
