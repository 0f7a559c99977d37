import { z } from "zod";
import type { Place, StepKind } from "./kind";
import { add } from "./add";
import { blanch } from "./blanch";
import { blend } from "./blend";
import { braise } from "./braise";
import { bring } from "./bring";
import { brown } from "./brown";
import { clarify } from "./clarify";
import { confit } from "./confit";
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
import { panOf } from "./pan";
import { pass } from "./pass";
import { poach } from "./poach";
import { portion } from "./portion";
import { putBack } from "./put-back";
import { reduce } from "./reduce";
import { reheat } from "./reheat";
import { render } from "./render";
import { reserve } from "./reserve";
import { rest } from "./rest";
import { roast } from "./roast";
import { season } from "./season";
import { set } from "./set";
import { simmer } from "./simmer";
import { skim } from "./skim";
import { soak } from "./soak";
import { steep } from "./steep";
import { strain } from "./strain";
import { sweat } from "./sweat";
import { thaw } from "./thaw";
import { thicken } from "./thicken";
import { topUp } from "./top-up";
import { whip } from "./whip";

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
  braise,
  poach,
  confit,
  "top-up": topUp,
  skim,
  steep,
  lift,
  "put-back": putBack,
  bring,
  strain,
  drain,
  degrease,
  clarify,
  reduce,
  thicken,
  liaison,
  set,
  emulsify,
  whip,
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

export type StepKindName = keyof typeof STEP_KINDS;
export type Step = { [K in StepKindName]: z.infer<(typeof STEP_KINDS)[K]["schema"]> }[StepKindName];

/** Any step: its kind tells which. */
export const stepSchema = z.discriminatedUnion(
  "kind",
  Object.values(STEP_KINDS).map(kind => kind.schema) as unknown as [z.ZodObject, ...z.ZodObject[]],
) as unknown as z.ZodType<Step>;

/** The kind of a step, with its functions typed for any step: the union guarantees that kind and step belong together. */
export const kindOf = (step: Step): StepKind<Step> => STEP_KINDS[step.kind] as unknown as StepKind<Step>;

/** Where the pot is during a step. */
export function placeOf(step: Step): Place {
  const { place } = kindOf(step);
  return typeof place === "function" ? place(step) : place;
}

/** What a step does, with the pan it is done in where that is not the main pot: "In the cream pan: reduce to 60 %". */
export function titleWithPan(step: Step, names: readonly string[]): string {
  const title = kindOf(step).title(step, names);
  return step.pan && panOf(step)
    ? `In the ${step.pan.trim()}: ${title.charAt(0).toLowerCase()}${title.slice(1)}`
    : title;
}
