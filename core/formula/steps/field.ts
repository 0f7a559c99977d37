import { z } from "zod";
import { type ReductionEnd, reductionEndSchema } from "./reduction-end";
import type { Vessel } from "../../things/vessel";

/** How a thing of a step is typed or chosen: what a form draws, and the limits it keeps. */
export type FieldForm = { readonly label: string } & (
  | { readonly type: "minutes"; readonly empty?: string }
  | { readonly type: "temperature"; readonly min: number; readonly max: number; readonly empty?: string }
  | {
      readonly type: "number";
      readonly unit: string;
      readonly min: number;
      readonly max: number;
      /** Words for nothing typed, where that means something. */
      readonly empty?: string;
    }
  | { readonly type: "litres"; readonly min: number; readonly max: number; readonly empty?: string }
  | { readonly type: "percent"; readonly empty?: string }
  | { readonly type: "burner"; readonly empty: string }
  | { readonly type: "flag" }
  | {
      readonly type: "choice";
      readonly choices: readonly (readonly [value: string, words: string])[];
      /** What counts where nobody chose. */
      readonly otherwise?: string;
    }
  | { readonly type: "vessel"; readonly uses: readonly Vessel["use"][]; readonly empty: string }
  | { readonly type: "target"; readonly empty?: string }
  | { readonly type: "pan"; readonly most: number; readonly optional: boolean }
  | { readonly type: "text"; readonly most: number; readonly optional: boolean }
);

/** A thing of a step: what it may be, how it is asked for, and what becomes of it in a batch so many times as large. */
export interface Field<T extends z.ZodType = z.ZodType> {
  readonly schema: T;
  readonly form: FieldForm;
  /** Absent where the size of the batch does not change it. */
  readonly times?: (value: never, factor: number) => z.infer<T>;
}
export type Fields = Readonly<Record<string, Field>>;

/** A field with the name it has in its step. */
export type StepField = FieldForm & { readonly key: string };

/** Longest a step may take: a week, min. */
export const LONGEST_STEP_MIN = 7 * 24 * 60;
const MOST_ML = 500_000;

const grow = (value: number, factor: number): number => value * factor;

export const time = (label = "Time") => ({
  schema: z.number().min(0).max(LONGEST_STEP_MIN),
  form: { label, type: "minutes" as const },
});

/** @param empty words for the time its law gives */
export const timeIfAny = (label: string, empty: string) => ({
  schema: z.number().min(0).max(LONGEST_STEP_MIN).optional(),
  form: { label, type: "minutes" as const, empty },
});

export const temperature = (label: string, min: number, max: number) => ({
  schema: z.number().min(min).max(max),
  form: { label, type: "temperature" as const, min, max },
});

/** @param empty words for none: "as it is" */
export const temperatureIfAny = (label: string, min: number, max: number, empty: string) => ({
  schema: z.number().min(min).max(max).optional(),
  form: { label, type: "temperature" as const, min, max, empty },
});

/** A number within limits, in a unit. */
export const number = (label: string, unit: string, min: number, max: number) => ({
  schema: z.number().min(min).max(max),
  form: { label, type: "number" as const, unit, min, max },
});

/** A whole number within limits. */
export const count = (label: string, unit: string, min: number, max: number) => ({
  schema: z.number().int().min(min).max(max),
  form: { label, type: "number" as const, unit, min, max },
});

/** A whole number that may be left out. */
export const countIfAny = (label: string, unit: string, min: number, max: number, empty: string) => ({
  schema: z.number().int().min(min).max(max).optional(),
  form: { label, type: "number" as const, unit, min, max, empty },
});

/** A number that may be left out. @param empty words for none: "all of it" */
export const numberIfAny = (label: string, unit: string, min: number, max: number, empty: string) => ({
  schema: z.number().min(min).max(max).optional(),
  form: { label, type: "number" as const, unit, min, max, empty },
});

/** Grams of the whole batch, which may be left out. */
export const gramsIfAny = (label: string, max: number, empty: string) => ({
  ...numberIfAny(label, "g", 0, max, empty),
  times: grow,
});

/** Millilitres of the whole batch, typed in litres. */
export const litres = (label: string) => ({
  schema: z.number().positive().max(MOST_ML),
  form: { label, type: "litres" as const, min: 0.01, max: MOST_ML / 1000 },
  times: grow,
});

/** As `litres`, and may be left out. @param empty words for none: "by eye" */
export const litresIfAny = (label: string, empty: string) => ({
  schema: z.number().positive().max(MOST_ML).optional(),
  form: { label, type: "litres" as const, min: 0.01, max: MOST_ML / 1000, empty },
  times: grow,
});

/** How far something is opened or covered, 0–1, shown as per cent. */
export const opening = (label: string) => ({
  schema: z.number().gt(0).max(1),
  form: { label, type: "percent" as const },
});

/** As `opening`, and may be left out. @param empty words for what the kitchen chooses then */
export const openingIfAny = (label: string, empty: string) => ({
  schema: z.number().gt(0).max(1).optional(),
  form: { label, type: "percent" as const, empty },
});

/** @param empty words for a burner the kitchen chooses */
export const burner = (label: string, empty: string) => ({
  schema: z.string().min(1).max(40).optional(),
  form: { label, type: "burner" as const, empty },
});

export const flag = (label: string) => ({ schema: z.boolean(), form: { label, type: "flag" as const } });

/** One of several, each with its words for a cook. */
export const choice = <const K extends string>(label: string, words: Readonly<Record<K, string>>) => ({
  schema: z.enum(Object.keys(words) as [K, ...K[]]),
  form: {
    label,
    type: "choice" as const,
    choices: Object.entries(words) as [K, string][],
  },
});

/** As `choice`, and may be left out. @param otherwise what counts then */
export const choiceIfAny = <const K extends string>(
  label: string,
  words: Readonly<Record<K, string>>,
  otherwise: NoInfer<K>,
) => {
  const { schema, form } = choice(label, words);
  return { schema: schema.optional(), form: { ...form, otherwise } };
};

/** Choices whose names are a cook's words already. */
export const asThemselves = <const K extends string>(names: readonly K[]) =>
  Object.fromEntries(names.map(name => [name, name])) as Record<K, K>;

const ON_THE_FIRE = ["pot", "pan"] as const satisfies readonly Vessel["use"][];
/** What may go into a container as well. */
export const ANYTHING_DEEP = ["pot", "pan", "container"] as const satisfies readonly Vessel["use"][];

/** @param empty words for a pot the kitchen chooses */
export const vessel = (label = "Pot", uses: readonly Vessel["use"][] = ON_THE_FIRE, empty = "by itself") => ({
  schema: z.string().min(1).optional(),
  form: { label, type: "vessel" as const, uses, empty },
});

/** Where a reduction ends. An end in grams or litres is one of the whole batch. */
export const end = (label: string) => ({
  schema: reductionEndSchema,
  form: { label, type: "target" as const },
  times: (target: ReductionEnd, factor: number): ReductionEnd =>
    "endG" in target
      ? { endG: target.endG * factor }
      : "endMl" in target
        ? { endMl: target.endMl * factor }
        : target,
});

/** As `end`, and may be left out. */
export const endIfAny = (label: string, empty: string) => {
  const { schema, form, times } = end(label);
  return {
    schema: schema.optional(),
    form: { ...form, empty },
    times: (target: ReductionEnd | undefined, factor: number) => target && times(target, factor),
  };
};

/** @param most signs */
export const text = (label: string, most: number) => ({
  schema: z.string().min(1).max(most),
  form: { label, type: "text" as const, most, optional: false },
});

/** As `text`, and may be left out. */
export const textIfAny = (label: string, most: number) => ({
  schema: z.string().max(most).optional(),
  form: { label, type: "text" as const, most, optional: true },
});

const LONGEST_PAN = 40;

/** The name of a vessel of the line. */
export const pan = (label: string) => ({
  schema: z.string().trim().min(1).max(LONGEST_PAN),
  form: { label, type: "pan" as const, most: LONGEST_PAN, optional: false },
});

/** As `pan`, and may be left out. */
export const panIfAny = (label: string) => ({
  schema: z.string().max(LONGEST_PAN).optional(),
  form: { label, type: "pan" as const, most: LONGEST_PAN, optional: true },
});

/** Everything of a step that its fields say, times a factor. */
export function fieldsTimes<S extends object>(step: S, fields: Fields, factor: number): S {
  const changed: Record<string, unknown> = {};
  for (const [key, { times }] of Object.entries(fields)) {
    const value = (step as Record<string, unknown>)[key];
    if (times && value !== undefined) changed[key] = times(value as never, factor);
  }
  return { ...step, ...changed };
}
