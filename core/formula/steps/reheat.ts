import { potMass } from "../../things/pot";
import { degC } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome, takenOut } from "./kind";
import { opening, temperature, vessel } from "./field";
import { addLines, bringUp, nearBoilC, workingVessel } from "./shared";

const fields = {
  toC: temperature("Up to", 30, 105),
  setting: opening("Flame"),
  vesselId: vessel(),
};

/** Brings it up again, lid on. What would be over the boil here stops a degree under it. */
export const reheat = defineStep({
  kind: "reheat",
  label: "Heat up",
  fields,
  blank: id => ({ id, kind: "reheat" as const, lines: [], toC: 75, setting: 0.6 }),
  title: step => `Heat to ${step.toC} °C`,
  detail: () => "lid on, stirred",
  cue: "steam when the lid lifts; the probe says it",
  cautions: () => ["Reheat once, through and through; gelatin stocks to 74 °C at least. Do not cool again."],
  place: "fire",
  steams: "to the end",
  attention: "look in",
  takesLines: true,
  endsAtMark: false,
  cooks: true,
  apply: context => {
    const { step } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const vessel = workingVessel(context, added.value, step.vesselId);
    if (!vessel.ok) return vessel;
    const toC = degC(Math.min(step.toC, nearBoilC(context.around)));
    const up = bringUp(context, added.value, vessel.value, toC, step.setting, "on");
    if (!up.ok) return up;
    return ok(
      outcome(up.value.pot, vessel.value, up.value.durationS, {
        course: up.value.course,
        warnings: up.value.warnings,
        computed: takenOut("lost as steam", potMass(added.value) - potMass(up.value.pot)),
      }),
    );
  },
});
