import { minutes } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome } from "./kind";
import { number, text, time } from "./field";

const fields = {
  portionG: number("Each", "g", 0.01, 10_000),
  into: text("Into", 80),
  durationMin: time(),
};

/** Portions what was made; nothing leaves the books. */
export const portion = defineStep({
  kind: "portion",
  label: "Portion",
  fields,
  blank: id => ({ id, kind: "portion" as const, lines: [], portionG: 250, into: "tubs", durationMin: 10 }),
  title: step => `Portion into ${step.into}`,
  detail: step => `${step.portionG} g each, labelled`,
  cue: "every one weighed, name and day on it",
  cautions: () => [],
  place: "bench",
  attention: "watch",
  takesLines: false,
  endsAtMark: false,
  keepsAir: true,
  finishes: true,
  apply: context =>
    ok(outcome(context.pot, context.vessel, minutes(context.step.durationMin * context.facts.handTimes))),
});
