import { degC } from "../../ground/quantity";
import { LIDS } from "../../laws/reduction";
import { defineStep } from "./kind";
import { asThemselves, choice, temperature, time, vessel } from "./field";
import { addLines, workingVessel } from "./shared";
import { hoursInWords, simmerAlong } from "./simmering";

const fields = {
  holdC: temperature("Held at", 55, 98),
  durationMin: time(),
  lid: choice("Lid", asThemselves(LIDS)),
  vesselId: vessel(),
};

/** Cooks something tender in a liquor well under the boil: it gives juice to the liquor, and is lifted out. */
export const poach = defineStep({
  kind: "poach",
  label: "Poach",
  fields,
  blank: id => ({ id, kind: "poach" as const, lines: [], holdC: 80, durationMin: 20, lid: "off" as const }),
  title: (_step, names) => (names.length ? `Poach the ${names.join(", ")}` : "Poach"),
  detail: step => `${step.holdC} °C for ${hoursInWords(step.durationMin)}, not a bubble, lid ${step.lid}`,
  cue: "the liquor shivers, and a knife goes in without pulling",
  cautions: step =>
    step.holdC < 63
      ? ["Under 63 °C it is time at the core that makes it safe: a probe, and your local food code."]
      : [],
  place: "fire",
  steams: "by the clock",
  attention: "look in",
  takesLines: true,
  endsAtMark: false,
  cooks: true,
  timeHangsOnMain: true,
  rule: "ṁ = A · f · (0.089 + 0.078 v) · (p − p∞) / h fg",
  heard: { asksTime: true },
  apply: context => {
    const { step } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const vessel = workingVessel(context, added.value, step.vesselId);
    if (!vessel.ok) return vessel;
    return simmerAlong(context, added.value, vessel.value, {
      holdC: degC(step.holdC),
      durationMin: step.durationMin,
      lid: step.lid,
      surface: "lazy",
      setting: 0.6,
    });
  },
});
