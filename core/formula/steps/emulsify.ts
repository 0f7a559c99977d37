import { SHELF_TEMPERATURE_C, emulsify as beatIn } from "../../things/pot";
import { EMULSION_TOOLS } from "../../laws/emulsion";
import { degC, minutes } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome } from "./kind";
import { ANYTHING_DEEP, asThemselves, choice, time, vessel } from "./field";
import { addLines, workingVessel } from "./shared";

const fields = {
  tool: choice("With", asThemselves(EMULSION_TOOLS)),
  durationMin: time(),
  vesselId: vessel("In", ANYTHING_DEEP),
};

/** A bowl warmer than this gets its butter melted, and so warm. Common practice, no source, °C. */
const WARM_BOWL_C = 45;
const MELTED_C = degC(55);

/** Beats oil or fat into water until they hold together; everything fat in the bowl is taken up. */
export const emulsify = defineStep({
  kind: "emulsify",
  label: "Emulsify",
  fields,
  blank: id => ({ id, kind: "emulsify" as const, lines: [], tool: "whisk" as const, durationMin: 7 }),
  title: (_step, names) => (names.length ? `Beat in ${names.join(", ")}` : "Beat to an emulsion"),
  detail: step => `${step.tool}; any fat in thin drops for the first tenth, then in a thread`,
  cue: "it holds the track of the whisk and shines",
  cautions: () => [],
  place: "bench",
  attention: "watch",
  takesLines: true,
  endsAtMark: false,
  heard: {
    as: [
      /\b(emulsify|oil in a (?:thin )?(?:stream|thread)|(?:beat|whisk|trickle|drizzle) in\b[^,.;]*\b(?:oil|(?:melted|warm|clarified) butter))\b/,
    ],
    puts: true,
  },
  apply: context => {
    const { step, facts } = context;
    // Butter that goes into a warm bowl is melted first.
    const warm = context.pot.temperatureC > WARM_BOWL_C;
    const added = addLines(context.pot, context.lines, context.field, warm ? MELTED_C : SHELF_TEMPERATURE_C);
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
    const beaten = { ...pot.value, natures: { ...pot.value.natures, beatenWith: step.tool } };
    return ok(outcome(beaten, vessel.value, minutes(step.durationMin * facts.handTimes)));
  },
});
