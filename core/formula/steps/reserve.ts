import { z } from "zod";
import { liquorMass, pour } from "../../pot";
import { g, minutes } from "../../quantity";
import { ok } from "../../result";
import { defineStep, durationMin, outcome, stepFields, took } from "../step-kind";

const schema = z.strictObject({
  ...stepFields,
  kind: z.literal("reserve"),
  /** Share of the liquor set aside, per cent. */
  sharePct: z.number().min(0).max(95),
  /** What is set aside, in words: "60 prawns for the plate". */
  what: z.string().min(1).max(120),
  durationMin,
});

/** Sets something aside before the next step would take it: it has to be ticked before blending. */
export const reserve = defineStep({
  kind: "reserve",
  label: "Set aside",
  schema,
  blank: id => ({
    id,
    kind: "reserve" as const,
    lines: [],
    sharePct: 10,
    what: "a ladle for the plate",
    durationMin: 1,
  }),
  title: step => `Set aside ${step.what}`,
  detail: step => (step.sharePct ? `${step.sharePct} % of the liquor` : "before the next step takes it"),
  cue: "it stands labelled beside the pot",
  cautions: () => [],
  place: "bench",
  attention: "watch",
  takesLines: false,
  endsAtMark: false,
  ticks: step => [{ what: `Set aside: ${step.what}`, before: "end" }],
  apply: context => {
    const mass = g((liquorMass(context.pot) * context.step.sharePct) / 100);
    const pot = pour(context.pot, mass);
    if (!pot.ok) return pot;
    return ok(
      outcome(pot.value, context.vessel, minutes(context.step.durationMin * context.facts.handTimes), {
        computed: took("set aside", mass),
      }),
    );
  },
});
