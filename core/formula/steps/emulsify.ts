import { z } from "zod";
import { emulsify as beatIn } from "../../pot";
import { EMULSION_TOOLS } from "../../emulsion";
import { minutes } from "../../quantity";
import { ok } from "../../result";
import { defineStep, durationMin, outcome, stepFields, vesselId } from "../step-kind";
import { addLines, workingVessel } from "./shared";

const schema = z.strictObject({
  ...stepFields,
  kind: z.literal("emulsify"),
  tool: z.enum(EMULSION_TOOLS),
  durationMin,
  vesselId,
});

/** Beats oil or fat into water until they hold together; everything fat in the bowl is taken up. */
export const emulsify = defineStep({
  kind: "emulsify",
  label: "Emulsify",
  schema,
  blank: id => ({ id, kind: "emulsify" as const, lines: [], tool: "whisk" as const, durationMin: 7 }),
  title: (_step, names) => (names.length ? `Beat in ${names.join(", ")}` : "Beat to an emulsion"),
  detail: step => `${step.tool}; any fat in thin drops for the first tenth, then in a thread`,
  cue: "it holds the track of the whisk and shines",
  cautions: () => [],
  place: "bench",
  attention: "watch",
  takesLines: true,
  endsAtMark: false,
  apply: context => {
    const { step, facts } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const pot = beatIn(added.value, added.value.floatFatG);
    if (!pot.ok) return pot;
    const vessel = workingVessel(
      context,
      pot.value,
      step.vesselId,
      context.vessel ? ["container", "pan", "pot"] : ["container"],
    );
    if (!vessel.ok) return vessel;
    const beaten = { ...pot.value, carriers: { ...pot.value.carriers, beatenWith: step.tool } };
    return ok(outcome(beaten, vessel.value, minutes(step.durationMin * facts.handTimes)));
  },
});
