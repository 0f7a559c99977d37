import { z } from "zod";
import type { StepKind } from "../step-kind";
import { add } from "./add";
import { blanch } from "./blanch";
import { blend } from "./blend";
import { brown } from "./brown";
import { clarify } from "./clarify";
import { cool } from "./cool";
import { cover } from "./cover";
import { cure } from "./cure";
import { deglaze } from "./deglaze";
import { degrease } from "./degrease";
import { drain } from "./drain";
import { dry } from "./dry";
import { emulsify } from "./emulsify";
import { flame } from "./flame";
import { freeze } from "./freeze";
import { hold } from "./hold";
import { liaison } from "./liaison";
import { lift } from "./lift";
import { mount } from "./mount";
import { note } from "./note";
import { pass } from "./pass";
import { portion } from "./portion";
import { reduce } from "./reduce";
import { reheat } from "./reheat";
import { render } from "./render";
import { reserve } from "./reserve";
import { rest } from "./rest";
import { roast } from "./roast";
import { season } from "./season";
import { simmer } from "./simmer";
import { skim } from "./skim";
import { soak } from "./soak";
import { steep } from "./steep";
import { strain } from "./strain";
import { sweat } from "./sweat";
import { thaw } from "./thaw";
import { thicken } from "./thicken";
import { topUp } from "./top-up";

/** The register: a new kind of step is one file and one line here. In the order a cook looks for them. */
export const STEP_KINDS = {
  add,
  soak,
  blanch,
  cure,
  roast,
  brown,
  sweat,
  render,
  deglaze,
  flame,
  cover,
  simmer,
  "top-up": topUp,
  skim,
  steep,
  lift,
  strain,
  drain,
  degrease,
  clarify,
  reduce,
  thicken,
  liaison,
  emulsify,
  mount,
  reserve,
  blend,
  pass,
  season,
  dry,
  rest,
  cool,
  freeze,
  thaw,
  reheat,
  hold,
  portion,
  note,
} as const;

/** A schema as the union of all kinds wants it: an object whose `kind` tells it from the others. */
const asOption = <T extends z.ZodType>(schema: T) => schema as z.ZodObject & T;

export const stepSchema = z.discriminatedUnion("kind", [
  asOption(add.schema),
  asOption(soak.schema),
  asOption(blanch.schema),
  asOption(cure.schema),
  asOption(roast.schema),
  asOption(brown.schema),
  asOption(sweat.schema),
  asOption(render.schema),
  asOption(deglaze.schema),
  asOption(flame.schema),
  asOption(cover.schema),
  asOption(simmer.schema),
  asOption(topUp.schema),
  asOption(skim.schema),
  asOption(steep.schema),
  asOption(lift.schema),
  asOption(strain.schema),
  asOption(drain.schema),
  asOption(degrease.schema),
  asOption(clarify.schema),
  asOption(reduce.schema),
  asOption(thicken.schema),
  asOption(liaison.schema),
  asOption(emulsify.schema),
  asOption(mount.schema),
  asOption(reserve.schema),
  asOption(blend.schema),
  asOption(pass.schema),
  asOption(season.schema),
  asOption(dry.schema),
  asOption(rest.schema),
  asOption(cool.schema),
  asOption(freeze.schema),
  asOption(thaw.schema),
  asOption(reheat.schema),
  asOption(hold.schema),
  asOption(portion.schema),
  asOption(note.schema),
]);

export type StepKindName = keyof typeof STEP_KINDS;
export type Step = { [K in StepKindName]: z.infer<(typeof STEP_KINDS)[K]["schema"]> }[StepKindName];

/** The kind of a step, with its functions typed for any step: the union guarantees that kind and step belong together. */
export const kindOf = (step: Step): StepKind<Step> => STEP_KINDS[step.kind] as unknown as StepKind<Step>;
