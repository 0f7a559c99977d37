import { liquorMass, pour } from "../../things/pot";
import { g, minutes } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome, takenOut } from "./kind";
import { number, text, time } from "./field";

const fields = {
  /** In words: "60 prawns for the plate". */
  what: text("What is set aside", 120),
  /** Share of the liquor, per cent. */
  sharePct: number("Of the liquor", "%", 0, 95),
  durationMin: time(),
};

/** Sets something aside before the next step would take it: it has to be ticked before blending. */
export const reserve = defineStep({
  kind: "reserve",
  label: "Set aside",
  fields,
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
  keepsAir: true,
  takesOut: true,
  ticks: step => [{ what: `Set aside: ${step.what}`, before: "end" }],
  apply: context => {
    const mass = g((liquorMass(context.pot) * context.step.sharePct) / 100);
    const pot = pour(context.pot, mass);
    if (!pot.ok) return pot;
    return ok(
      outcome(pot.value, context.vessel, minutes(context.step.durationMin * context.facts.handTimes), {
        computed: takenOut("set aside", mass),
      }),
    );
  },
});
