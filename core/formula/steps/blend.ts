import { type PotState, blendNatures, emulsify, massOfPools, potMass, sieve } from "../../things/pot";
import { BLADES, POTATO_MOST_S, gluesUnder } from "../../laws/puree";
import { minutes } from "../../ground/quantity";
import { type Warning, ok } from "../../ground/result";
import { defineStep, outcome } from "./kind";
import { ANYTHING_DEEP, asThemselves, choice, textIfAny, time, vessel } from "./field";
import { addLines, workingVessel } from "./shared";

const BLEND_TOOLS = [
  "jar blender",
  "stick blender",
  "food mill",
  "ricer",
  "masher",
  "food processor",
] as const;

const fields = {
  tool: choice("With", asThemselves(BLEND_TOOLS)),
  /** What must be taken out before: ticked on the Stove. */
  reserveFirst: textIfAny("Set aside first", 120),
  durationMin: time(),
  vesselId: vessel("In", ANYTHING_DEEP),
};

/** Minutes under a fast blade from which a purée is as fine as it gets. Our estimate. */
const FINE_AFTER_MIN = 3;
/** How fine a tool makes it: mill 0.8, blade 1, a fast blade for long 1.1. Source: docs/models.md "Purées". */
const finenessOf = (tool: (typeof BLEND_TOOLS)[number], minutes: number): number =>
  !BLADES.includes(tool) ? 0.8 : tool === "jar blender" && minutes >= FINE_AFTER_MIN ? 1.1 : 1;

/** Above this a closed jar throws its lid, °C. Common practice, no source. */
const CLOSED_JAR_C = 60;

/** Floury potato that this tool would turn to glue, by name; `null` where there is none. */
export const flouryIn = (pot: PotState, tool: string): string | null =>
  gluesUnder(
    tool,
    pot.solids.map(({ name, pools }) => ({ name, massG: massOfPools(pools) })),
    potMass(pot),
  );

/** Turns what is cooked and what it lies in into one purée. */
export const blend = defineStep({
  kind: "blend",
  label: "Blend",
  fields,
  blank: id => ({ id, kind: "blend" as const, lines: [], tool: "stick blender" as const, durationMin: 4 }),
  title: step => (BLADES.includes(step.tool) ? "Blend" : "Work to a purée"),
  detail: step => step.tool,
  cue: "smooth between tongue and palate",
  why: "Cells that are broken fine feel smooth; more time only warms it.",
  cautions: step =>
    step.tool === "jar blender"
      ? ["Hot liquid lifts the lid: a third to half full, vent capped with a folded cloth, start slow."]
      : step.tool === "stick blender"
        ? ["At most 60 % full; switch on under the surface, off before lifting."]
        : [],
  place: "bench",
  attention: "watch",
  takesLines: true,
  endsAtMark: false,
  ticks: step =>
    step.reserveFirst ? [{ what: `Set aside before blending: ${step.reserveFirst}`, before: "begin" }] : [],
  apply: context => {
    const { step, facts } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const warnings: Warning[] = [];
    if (step.tool === "jar blender" && added.value.temperatureC > CLOSED_JAR_C)
      warnings.push({
        code: "HOT_FILL",
        message: `At ${Math.round(added.value.temperatureC)} °C: fill the jar a third to half, or let it fall below ${CLOSED_JAR_C} °C first.`,
      });
    if (flouryIn(added.value, step.tool))
      warnings.push({
        code: "POTATO_GLUEY",
        message: `Floury potato under a blade turns to glue: take the mill or the ricer, or stop after ${POTATO_MOST_S} s.`,
      });
    const bones = added.value.solids.filter(part => /bones|frames|shells|poultry/.test(part.kind));
    if (bones.length)
      warnings.push({
        code: "BONES_IN",
        message: `${bones.map(part => part.name).join(", ")} still in the pot: strain or lift out before blending.`,
      });
    const merged = sieve(added.value, 1, 1);
    if (!merged.ok) return merged;
    const bound = emulsify(merged.value, merged.value.floatFatG);
    if (!bound.ok) return bound;
    const natures = blendNatures(
      { ...bound.value.natures, isSet: false, fineness: finenessOf(step.tool, step.durationMin) },
      step.tool === "jar blender" ? step.durationMin * 60 * facts.bladeRuns : 0,
    );
    const pot = { ...bound.value, natures };
    const vessel = workingVessel(context, pot, step.vesselId, ["pan", "pot", "container"]);
    if (!vessel.ok) return vessel;
    return ok(outcome(pot, vessel.value, minutes(step.durationMin * facts.handTimes), { warnings }));
  },
});
