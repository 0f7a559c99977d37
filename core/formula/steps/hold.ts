import { withFact } from "../../ground/facts";
import { potMass } from "../../things/pot";
import { degC } from "../../ground/quantity";
import { ok, refuse } from "../../ground/result";
import { LIDS } from "../../laws/reduction";
import { defineStep, missingVessel, outcome, takenOut } from "./kind";
import { asThemselves, choice, temperature, time } from "./field";
import { keepAt } from "./shared";

const fields = {
  holdC: temperature("Held at", 30, 98),
  durationMin: time(),
  lid: choice("Lid", asThemselves(LIDS)),
};

/** Keeps it warm for service: water goes on leaving, so the salt climbs. */
export const hold = defineStep({
  kind: "hold",
  label: "Hold for service",
  fields,
  blank: id => ({ id, kind: "hold" as const, lines: [], holdC: 65, durationMin: 60, lid: "on" as const }),
  title: step => `Hold at ${step.holdC} °C`,
  detail: step => `at most ${step.durationMin} min, lid ${step.lid}`,
  cue: "stirred, no skin",
  why: "Water goes on leaving, so salt climbs; under the limit what lives in it grows.",
  cautions: step =>
    step.holdC < 60
      ? ["Below the hot-hold limit time is the control: the clock starts when it is made, then it goes."]
      : ["Checked and logged every two hours; follow your local food code."],
  place: "fire",
  steams: "by the clock",
  attention: "leave",
  takesLines: false,
  endsAtMark: false,
  finishes: true,
  heard: { asksTime: true },
  apply: context => {
    const { step, vessel } = context;
    if (!vessel) return refuse(missingVessel(context.field, "Holding"));
    const { facts } = context;
    // A kitchen that has weighed what a hold takes counts with that.
    const here = { ...context, facts: withFact(facts, "surfaceLazy", facts.surfaceLazy * facts.holdTrue) };
    const kept = keepAt(here, context.pot, vessel, {
      holdC: degC(step.holdC),
      min: step.durationMin,
      lid: step.lid,
      surface: "lazy",
    });
    if (!kept.ok) return kept;
    return ok(
      outcome(kept.value.pot, vessel, kept.value.durationS, {
        course: kept.value.course,
        warnings: kept.value.warnings,
        computed: takenOut("lost as steam", potMass(context.pot) - potMass(kept.value.pot)),
      }),
    );
  },
});
