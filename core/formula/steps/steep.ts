import { ok, refuse } from "../../ground/result";
import { defineStep, missingVessel, outcome } from "./kind";
import { textIfAny, time } from "./field";
import { addLines, letStand } from "./shared";

const fields = {
  durationMin: time(),
  /** What must come out again, counted: "2 cinnamon, 5 bay". */
  tally: textIfAny("Count them in", 120),
};

/** Draws aromatics off the heat under a lid; what goes in is counted out when straining. */
export const steep = defineStep({
  kind: "steep",
  label: "Steep",
  fields,
  blank: id => ({ id, kind: "steep" as const, lines: [], durationMin: 15 }),
  title: () => "Steep off the fire",
  detail: step => `${step.durationMin} min, lid on; count them in, count them out`,
  cue: "fresh herb smell, not stewed",
  why: "Fine scents boil away; hot and covered they stay.",
  cautions: () => ["Leaves and string come out again: count them before blending or serving."],
  place: "bench",
  steams: "to the end",
  attention: "leave",
  takesLines: true,
  endsAtMark: false,
  ticks: step => (step.tally ? [{ what: `In, and to come out again: ${step.tally}`, before: "end" }] : []),
  apply: context => {
    const { step, vessel } = context;
    if (!vessel) return refuse(missingVessel(context.field, "Steeping"));
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const rested = letStand(context, added.value, vessel, step.durationMin, "on");
    if (!rested.ok) return rested;
    const { pot, durationS, course, warnings } = rested.value;
    return ok(outcome(pot, vessel, durationS, { course, warnings }));
  },
});
