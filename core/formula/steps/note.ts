import { minutes } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome } from "./kind";
import { text, time } from "./field";

const fields = {
  text: text("What to do", 400),
  durationMin: time(),
};

/** Anything else a cook must do: it changes nothing in the pot. */
export const note = defineStep({
  kind: "note",
  label: "Note",
  fields,
  blank: id => ({ id, kind: "note" as const, lines: [], text: "Label: name, date, who", durationMin: 2 }),
  title: step => step.text,
  detail: () => "",
  cue: "",
  cautions: () => [],
  place: "bench",
  attention: "watch",
  takesLines: false,
  endsAtMark: false,
  keepsAir: true,
  apply: context =>
    ok(outcome(context.pot, context.vessel, minutes(context.step.durationMin * context.facts.handTimes))),
});
