import { dryPart, massOfPools } from "../../things/pot";
import { degC, g, minutes } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome, takenOut, withoutFat } from "./kind";
import { numberIfAny, time, vessel } from "./field";
import { addLines, atTemperature, workingVessel } from "./shared";

const fields = {
  durationMin: time(),
  /** Where somebody wants it drier, or less so. */
  lossPct: numberIfAny("Until it has lost", "%", 0, 90, "as it goes"),
  vesselId: vessel(),
};

/** Moist vegetables in fat stay a little under the boil, °C. Common practice, no source. */
const SWEATING_C = degC(92);

/** Softens vegetables in fat without colour; only what this step adds loses weight. */
export const sweat = defineStep({
  kind: "sweat",
  label: "Sweat",
  fields,
  blank: id => ({ id, kind: "sweat" as const, lines: [], durationMin: 8 }),
  title: (_step, lines) => {
    const names = withoutFat(lines);
    return names.length > 3
      ? "Sweat the vegetables"
      : names.length
        ? `Sweat the ${names.join(", ")}`
        : "Sweat";
  },
  detail: step =>
    `${step.lossPct === undefined ? `${step.durationMin} min` : `until ${step.lossPct} % of the weight is gone, about ${step.durationMin} min`}, low, no colour`,
  cue: "translucent, soft under the spoon, nothing brown",
  why: "Softened without colour it gives sweetness and no roast.",
  cautions: () => [],
  place: "fire",
  steams: "to the end",
  attention: "watch",
  takesLines: true,
  endsAtMark: false,
  cooks: true,
  heard: { begins: true },
  apply: context => {
    const { step, facts } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const vessel = workingVessel(context, added.value, step.vesselId, ["pan", "pot", "tray"]);
    if (!vessel.ok) return vessel;
    const share = step.lossPct === undefined ? facts.sweatLoss : step.lossPct / 100;
    let pot = added.value;
    const before = massOfPools(pot.exits.vapour);
    for (const line of context.lines) pot = dryPart(pot, line.lineId, g(share * line.massG));
    return ok(
      outcome(atTemperature(pot, SWEATING_C), vessel.value, minutes(step.durationMin * facts.handTimes), {
        computed: takenOut("lost as steam", massOfPools(pot.exits.vapour) - before),
      }),
    );
  },
});
