import { z } from "zod";
import { minutes } from "../../quantity";
import { ok } from "../../result";
import { defineStep, durationMin, outcome, stepFields } from "../step-kind";

const schema = z.strictObject({
  ...stepFields,
  kind: z.literal("note"),
  text: z.string().min(1).max(400),
  durationMin,
});

/** Anything else a cook must do: it changes nothing in the pot. */
export const note = defineStep({
  kind: "note",
  label: "Note",
  schema,
  blank: id => ({ id, kind: "note" as const, lines: [], text: "Label: name, date, who", durationMin: 2 }),
  title: step => step.text,
  detail: () => "",
  cue: "",
  cautions: () => [],
  place: "bench",
  attention: "watch",
  takesLines: false,
  endsAtMark: false,
  apply: context =>
    ok(outcome(context.pot, context.vessel, minutes(context.step.durationMin * context.facts.handTimes))),
});
