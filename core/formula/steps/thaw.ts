import { liquorMass, pour } from "../../things/pot";
import { degC, g, minutes } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome, takenOut } from "./kind";
import { choiceIfAny, temperature, time } from "./field";
import { addLines } from "./shared";

const fields = {
  toC: temperature("Up to", 0, 8),
  durationMin: time(),
  how: choiceIfAny("How", { cold: "in the cold", hot: "let down with something hot" }, "cold"),
};

/** What lets a frozen base down comes from the fire, °C. Common practice, no source. */
const HOT_C = degC(90);

/** Thaws in the cold; a little stays behind as drip. */
export const thaw = defineStep({
  kind: "thaw",
  label: "Thaw",
  fields,
  blank: id => ({ id, kind: "thaw" as const, lines: [], toC: 4, durationMin: 720 }),
  title: () => "Thaw in the cold",
  detail: step =>
    step.how === "hot"
      ? "melted into the hot liquid, stirred, straight to the boil"
      : `to ${step.toC} °C, covered`,
  cue: "no ice under the spoon",
  cautions: () => ["Thaw cold, use within a day, never refreeze."],
  place: "cold",
  attention: "leave",
  takesLines: true,
  endsAtMark: false,
  apply: context => {
    if (context.step.how === "hot") {
      const melted = addLines(context.pot, context.lines, context.field, HOT_C);
      return melted.ok
        ? ok(outcome(melted.value, context.vessel, minutes(context.step.durationMin)))
        : melted;
    }

    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const drip = g(liquorMass(context.pot) * context.facts.thawDrip);
    const pot = pour(added.value, drip);
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
