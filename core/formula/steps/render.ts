import { dryPart, massOfPools, renderFat } from "../../things/pot";
import { degC, g, minutes } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome } from "./kind";
import { time, vessel } from "./field";
import { addLines, atTemperature, workingVessel } from "./shared";

const fields = {
  durationMin: time(),
  vesselId: vessel(),
};

const RENDERING_C = degC(110);

/** Melts fat out of skin and trim until it no longer bubbles. */
export const render = defineStep({
  kind: "render",
  label: "Render",
  fields,
  blank: id => ({ id, kind: "render" as const, lines: [], durationMin: 60 }),
  title: (_step, names) => (names.length ? `Render the ${names.join(", ")}` : "Render"),
  detail: step => `${step.durationMin} min, low, a spoon of water to start`,
  cue: "the fat stands clear and quiet; no more bubbles means no more water",
  cautions: () => ["Hot fat: never water into it, never half-full pans; a dry lid at hand."],
  place: "fire",
  steams: "to the end",
  attention: "look in",
  takesLines: true,
  endsAtMark: false,
  cooks: true,
  takesOut: true,
  timeHangsOnMain: true,
  heard: {
    as: [/\b(render|melt out)\b/],
    begins: true,
  },
  apply: context => {
    const { step, facts } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const vessel = workingVessel(context, added.value, step.vesselId, ["pan", "pot", "tray"]);
    if (!vessel.ok) return vessel;
    let pot = added.value;
    const [steamBefore, fatBefore] = [massOfPools(pot.exits.vapour), pot.floatFatG];
    for (const part of pot.solids) {
      pot = renderFat(pot, part.id, g(facts.renderedFat * part.pools.fat));
      pot = dryPart(pot, part.id, g(facts.crispLoss * part.pools.water));
    }
    const steam = massOfPools(pot.exits.vapour) - steamBefore;
    return ok(
      outcome(atTemperature(pot, RENDERING_C), vessel.value, minutes(step.durationMin * facts.handTimes), {
        computed: [
          { what: "fat melted out", massG: g(pot.floatFatG - fatBefore), way: "within" as const },
          { what: "lost as steam", massG: g(steam), way: "out" as const },
        ].filter(c => c.massG > 0),
      }),
    );
  },
});
