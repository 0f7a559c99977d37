import { dryPart, massOfPools } from "../../things/pot";
import { degC, g, minutes } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome } from "./kind";
import { time } from "./field";
import { addLines, workingVessel } from "./shared";

const fields = {
  durationMin: time(),
};

const BROWNING_C = degC(95);

/** Colours vegetables in the fat at hand; only what this step adds loses weight. */
export const brown = defineStep({
  kind: "brown",
  label: "Brown",
  fields,
  blank: id => ({ id, kind: "brown" as const, lines: [], durationMin: 15 }),
  title: (_step, names) =>
    names.length > 2 ? "Brown the mirepoix" : names.length ? `Brown the ${names.join(", ")}` : "Brown",
  detail: () => "in the fat of the tray, stirred",
  cue: "brown at the edges, sweet smell, the fond loose under the spoon",
  cautions: () => ["Extraction on; smoking fat is too hot."],
  place: "fire",
  steams: "to the end",
  attention: "watch",
  takesLines: true,
  endsAtMark: false,
  cooks: true,
  fond: "leaves",
  rule: "loss = share · what this step adds",
  heard: {
    as: [/\b(brown|colou?r|sear|caramelise|caramelize|fry|toast)\b/],
    next: ["toast", "caramelise", "caramelize"],
    begins: true,
  },
  apply: context => {
    const { step, facts } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const vessel = context.vessel
      ? ok(context.vessel)
      : workingVessel(context, added.value, undefined, ["pan", "pot"]);
    if (!vessel.ok) return vessel;
    let pot = added.value;
    const before = massOfPools(pot.exits.vapour);
    for (const line of context.lines)
      pot = dryPart(pot, line.lineId, g(facts.brownLossMirepoix * line.massG));
    const steam = g(massOfPools(pot.exits.vapour) - before);
    return ok(
      outcome(
        { ...pot, temperatureC: BROWNING_C },
        vessel.value,
        minutes(step.durationMin * facts.handTimes),
        {
          computed: [{ what: "lost as steam", massG: steam, way: "out" }],
        },
      ),
    );
  },
});
