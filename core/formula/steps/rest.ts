import { LIDS } from "../../laws/reduction";
import { ok, refuse } from "../../ground/result";
import { defineStep, missingVessel, outcome } from "./kind";
import { asThemselves, choice, time } from "./field";
import { addLines, letStand } from "./shared";

const fields = {
  durationMin: time(),
  lid: choice("Lid", asThemselves(LIDS)),
};

/** Off the fire, standing: it cools a little and settles. Juices that run meanwhile come back as a line. */
export const rest = defineStep({
  kind: "rest",
  label: "Rest",
  fields,
  blank: id => ({ id, kind: "rest" as const, lines: [], durationMin: 10, lid: "on" as const }),
  title: () => "Rest off the fire",
  detail: step => `${step.durationMin} min, lid ${step.lid}`,
  cue: "still, clear on top",
  why: "Juice that has settled stays in.",
  cautions: () => ["Resting juices of meat: the sauce goes back to the boil after they come in."],
  place: "bench",
  attention: "leave",
  takesLines: true,
  endsAtMark: false,
  apply: context => {
    const { step, vessel } = context;
    if (!vessel) return refuse(missingVessel(context.field, "Resting"));
    const stood = letStand(context, context.pot, vessel, step.durationMin, step.lid);
    if (!stood.ok) return stood;
    const added = addLines(stood.value.pot, context.lines, context.field);
    return added.ok
      ? ok(outcome(added.value, vessel, stood.value.durationS, { course: stood.value.course }))
      : added;
  },
});
