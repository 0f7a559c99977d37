import { evaporate, potMass, volumeAt, volumeAt20 } from "../../things/pot";
import { g, ml } from "../../ground/quantity";
import { ok, refuse } from "../../ground/result";
import { endPointOf, heatIntoPan, simulateToGoal, targetInWords } from "../../laws/reduction";
import { dipMark, geometryOfVessel } from "../../things/vessel";
import { defineStep, missingVessel, outcome } from "./kind";
import { end, opening, vessel } from "./field";
import {
  addLines,
  inField,
  atTemperature,
  bystanders,
  displacedIn,
  simmeredMin,
  workingVessel,
} from "./shared";

const fields = {
  target: end("Reduce by or to"),
  /** How far the burner is opened. */
  setting: opening("Flame"),
  /** Share of the pot over the heat. */
  overlap: opening("Pot over the fire"),
  vesselId: vessel("Pot", undefined, "where it stands"),
};

/** The other wording of the same end, so that by and to are never mixed up. */
const otherWay = (target: Parameters<typeof targetInWords>[0]): string => {
  const other = /\((.*)\)/.exec(targetInWords(target))?.[1];
  return other ? `that is ${other}, ` : "";
};

/** Boils down to a share, a volume or a mass; ends at a mark on the stick, never at a clock. */
export const reduce = defineStep({
  kind: "reduce",
  label: "Reduce",
  fields,
  blank: id => ({ id, kind: "reduce" as const, lines: [], target: { to: 0.5 }, setting: 0.6, overlap: 1 }),
  title: step => `Reduce ${targetInWords(step.target).replace(/ \(.*/, "")}`,
  detail: step => `${otherWay(step.target)}${step.overlap < 1 ? "partly off the fire, " : ""}skim`,
  cue: "bubbles grow large and slow, the spoon leaves a line that closes in two seconds",
  cautions: () => [
    "Do not salt yet: all the salt stays while the water leaves.",
    "Boiling liquor spits as it thickens: lower the flame towards the mark.",
  ],
  place: "fire",
  steams: "to the end",
  attention: "look in",
  takesLines: true,
  endsAtMark: true,
  cooks: true,
  rule: "ṁ = (Q − Q loss) / h fg",
  heard: {
    as: [/\b(reduce(?! (?:the )?(?:heat|flame|fire))|boil down|almost dry|au sec)\b/],
    next: ["reduce", "boil down"],
  },
  apply: context => {
    const { step, facts, burner } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const pot = added.value;
    const working = workingVessel(context, pot, step.vesselId);
    if (!working.ok) return working;
    const vessel = working.value;
    if (!burner) return refuse(missingVessel(context.field, "A reduction"));
    const geometry = geometryOfVessel(vessel);
    const flame = heatIntoPan(
      { kind: burner.kind, setting: step.setting, overlap: step.overlap },
      geometry.baseDiameterMm,
      facts,
    );
    if (!flame.ok) return refuse(...inField(context.field, flame.problems));
    const goal = endPointOf(step.target, pot.liquor, `${context.field}.target`);
    if (!goal.ok) return goal;
    const displaced = displacedIn(pot, facts);
    const end = simulateToGoal({
      liquor: pot.liquor,
      temperatureC: pot.temperatureC,
      vessel: geometry,
      displacedMl: displaced,
      heatCapacityJPerK: bystanders(pot, vessel),
      drive: { watts: flame.value },
      surface: "stirred",
      lid: "off",
      around: context.around,
      goal: goal.value,
      facts,
      trace: context.trace,
    });
    if (!end.ok) return refuse(...inField(context.field, end.problems));
    const steamed = evaporate(pot, end.value.vapour);
    if (!steamed.ok) return steamed;
    const { temperatureC, endS, boilS } = end.value;
    const reduced = atTemperature(
      steamed.value,
      temperatureC,
      simmeredMin(pot.temperatureC, temperatureC, endS, boilS),
    );
    // Both ends of the mark are read as hot as the pot will be: the ratio of volumes is the ratio at one temperature.
    const hot = volumeAt(pot.liquor, end.value.temperatureC);
    if (!hot.ok) return hot;
    const remaining = volumeAt20(reduced.liquor) / volumeAt20(pot.liquor);
    const mark = dipMark(geometry, ml(hot.value), remaining, displaced);
    if (!mark.ok) return refuse(...inField(context.field, mark.problems));
    return ok(
      outcome(reduced, vessel, end.value.endS, {
        computed: [{ what: "boiled off", massG: g(potMass(pot) - potMass(reduced)), way: "out" }],
        warnings: end.warnings,
        course: end.value.trace,
        mark: mark.value,
      }),
    );
  },
});
