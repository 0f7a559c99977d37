import { degC, minutes, watts } from "../../ground/quantity";
import { ok, refuse } from "../../ground/result";
import { inFat } from "../../laws/drying";
import { heatIntoPan } from "../../laws/reduction";
import { geometryOfVessel } from "../../things/vessel";
import { defineStep, outcome } from "./kind";
import { time, vessel } from "./field";
import { inDryHeat, surfaceOf } from "./dry-heat";
import { addLines, atTemperature, inField, workingVessel } from "./shared";

const fields = {
  durationMin: time(),
  vesselId: vessel(),
};

/** Fat in which trim renders, °C. Common practice, no source. */
const RENDERING_C = degC(120);

/** Melts fat out of skin and trim until it no longer bubbles. */
export const render = defineStep({
  kind: "render",
  label: "Render",
  fields,
  blank: id => ({ id, kind: "render" as const, lines: [], durationMin: 60 }),
  title: (_step, names) => (names.length ? `Render the ${names.join(", ")}` : "Render"),
  detail: step => `${step.durationMin} min, low, a spoon of water to start`,
  cue: "the fat stands clear and quiet; no more bubbles means no more water",
  why: "While it bubbles there is water in it: it would spit and turn.",
  cautions: () => ["Hot fat: never water into it, never half-full pans; a dry lid at hand."],
  place: "fire",
  steams: "to the end",
  attention: "look in",
  takesLines: true,
  endsAtMark: false,
  cooks: true,
  takesOut: true,
  timeHangsOnMain: true,
  heard: { begins: true },
  ticks: () => [{ what: "Clear and quiet, no more bubbles: the water is out", before: "end" }],
  apply: context => {
    const { step, facts } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const vessel = workingVessel(context, added.value, step.vesselId, ["pan", "pot", "tray"]);
    if (!vessel.ok) return vessel;
    const pot = added.value;
    const min = step.durationMin * facts.handTimes;
    const flame = context.burner
      ? heatIntoPan(
          { kind: context.burner.kind, setting: 1, overlap: 1 },
          geometryOfVessel(vessel.value).baseDiameterMm,
          facts,
        )
      : ok(watts(Infinity));
    if (!flame.ok) return refuse(...inField(context.field, flame.problems));
    const heating = inFat(RENDERING_C, flame.value, surfaceOf(pot.solids, facts), facts);
    const rendered = inDryHeat(pot, heating, min, facts, { netW: flame.value, where: "as steam" });
    if (!rendered.ok) return rendered;
    // The spoon of water that begins it is meant to boil off.
    const warnings = rendered.value.warnings.filter(w => w.code !== "STEWS");
    return ok(
      outcome(atTemperature(rendered.value.pot, RENDERING_C), vessel.value, minutes(min), {
        computed: rendered.value.computed,
        warnings,
      }),
    );
  },
});
