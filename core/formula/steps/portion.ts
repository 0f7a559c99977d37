import { z } from "zod";
import { minutes } from "../../quantity";
import { ok } from "../../result";
import { defineStep, durationMin, outcome, stepFields } from "../step-kind";

const schema = z.strictObject({
  ...stepFields,
  kind: z.literal("portion"),
  portionG: z.number().positive().max(10_000),
  into: z.string().min(1).max(80),
  durationMin,
});

/** Portions what was made; nothing leaves the books. */
export const portion = defineStep({
  kind: "portion",
  label: "Portion",
  schema,
  blank: id => ({ id, kind: "portion" as const, lines: [], portionG: 250, into: "tubs", durationMin: 10 }),
  title: step => `Portion into ${step.into}`,
  detail: step => `${step.portionG} g each, labelled`,
  cue: "every one weighed, name and day on it",
  cautions: () => [],
  place: "bench",
  attention: "watch",
  takesLines: false,
  endsAtMark: false,
  apply: context =>
    ok(outcome(context.pot, context.vessel, minutes(context.step.durationMin * context.facts.handTimes))),
});
