import type { z } from "zod";
import type { FactValues } from "../ground/facts";
import type { Ingredient } from "../things/larder";
import type { Surroundings } from "../things/pot";
import type { Problem, Result, Warning } from "../ground/result";
import type { Vessel } from "../things/vessel";

/** What a sum may look up: a kitchen’s larder and kit, or the reference larder at sea level. */
export interface SumWorld {
  readonly ingredients: readonly Ingredient[];
  readonly vessels: readonly Vessel[];
  /** Air around the pots where the input says nothing. */
  readonly around: Surroundings;
  readonly altitudeM: number;
  readonly facts: FactValues;
}

/** What a sum works out, and its answer in a cook’s words. */
export interface Worked<O> {
  readonly output: O;
  readonly sentence: string;
}

/** A quick sum: one definition for the palette, the API, the command line and the formulas. */
export interface Sum<I = unknown, O = unknown> {
  readonly name: string;
  /** What a cook calls it, two or three words. */
  readonly title: string;
  /** One line: what it answers. */
  readonly purpose: string;
  /** Words that find it in the palette, its name and title aside. */
  readonly words: readonly string[];
  readonly input: z.ZodType<I>;
  readonly output: z.ZodType<O>;
  /** A complete input to begin from. */
  readonly example: Record<string, unknown>;
  /** What the palette asks first: the rest keeps its default or the example. */
  readonly asks: readonly string[];
  readonly work: (input: I, world: SumWorld) => Result<Worked<O>>;
}

/** A sum of any kind: what it takes is known to its own schema only. */
export type AnySum = Omit<Sum, "input" | "output" | "work"> & {
  readonly input: z.ZodType;
  readonly output: z.ZodType;
  readonly work: (input: never, world: SumWorld) => Result<Worked<unknown>>;
};

export const defineSum = <I, O>(sum: Sum<I, O>): Sum<I, O> => sum;

/** The answer of a sum as it is sent: its fields, what is doubtful, and the sentence. */
export type Answer = Readonly<Record<string, unknown>> & {
  readonly warnings: readonly Warning[];
  readonly sentence: string;
};

export const missing = (field: string, message: string): Problem => ({ code: "MISSING", field, message });
