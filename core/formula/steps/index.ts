import { z } from "zod";
import type { StepKind } from "../step-kind";
import { add } from "./add";
import { brown } from "./brown";
import { cool } from "./cool";
import { cover } from "./cover";
import { deglaze } from "./deglaze";
import { degrease } from "./degrease";
import { note } from "./note";
import { reduce } from "./reduce";
import { roast } from "./roast";
import { simmer } from "./simmer";
import { steep } from "./steep";
import { strain } from "./strain";

/** The register: a new kind of step is one file and one line here. */
export const STEP_KINDS = {
  add,
  roast,
  brown,
  deglaze,
  cover,
  simmer,
  steep,
  strain,
  degrease,
  cool,
  reduce,
  note,
} as const;

export const stepSchema = z.discriminatedUnion("kind", [
  add.schema as z.ZodObject & typeof add.schema,
  roast.schema as z.ZodObject & typeof roast.schema,
  brown.schema as z.ZodObject & typeof brown.schema,
  deglaze.schema as z.ZodObject & typeof deglaze.schema,
  cover.schema as z.ZodObject & typeof cover.schema,
  simmer.schema as z.ZodObject & typeof simmer.schema,
  steep.schema as z.ZodObject & typeof steep.schema,
  strain.schema as z.ZodObject & typeof strain.schema,
  degrease.schema as z.ZodObject & typeof degrease.schema,
  cool.schema as z.ZodObject & typeof cool.schema,
  reduce.schema as z.ZodObject & typeof reduce.schema,
  note.schema as z.ZodObject & typeof note.schema,
]);

export type StepKindName = keyof typeof STEP_KINDS;
export type Step = { [K in StepKindName]: z.infer<(typeof STEP_KINDS)[K]["schema"]> }[StepKindName];

/** The kind of a step, with its functions typed for any step: the union guarantees that kind and step belong together. */
export const kindOf = (step: Step): StepKind<Step> => STEP_KINDS[step.kind] as unknown as StepKind<Step>;
