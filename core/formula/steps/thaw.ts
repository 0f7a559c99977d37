import { liquorMass, pour } from "../../things/pot";
import { degC, g, minutes } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome, takenOut } from "./kind";
import { temperature, time } from "./field";

const fields = {
  toC: temperature("Up to", 0, 8),
  durationMin: time(),
};

/** Thaws in the cold; a little stays behind as drip. */
export const thaw = defineStep({
  kind: "thaw",
  label: "Thaw",
  fields,
  blank: id => ({ id, kind: "thaw" as const, lines: [], toC: 4, durationMin: 720 }),
  title: () => "Thaw in the cold",
  detail: step => `to ${step.toC} °C, covered`,
  cue: "no ice under the spoon",
  cautions: () => ["Thaw cold, use within a day, never refreeze."],
  place: "cold",
  attention: "leave",
  takesLines: false,
  endsAtMark: false,
  heard: {
    as: [/\b(thaw|defrost)\b/],
  },
  apply: context => {
    const drip = g(liquorMass(context.pot) * context.facts.thawDrip);
    const pot = pour(context.pot, drip);
    if (!pot.ok) return pot;
    return ok(
      outcome(
        { ...pot.value, temperatureC: degC(context.step.toC) },
        context.vessel,
        minutes(context.step.durationMin),
        {
          computed: takenOut("drip", drip),
        },
      ),
    );
  },
});
