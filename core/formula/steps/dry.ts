import { type PotState, dryPart, evaporate, massOfPools, potMass } from "../../things/pot";
import { type Grams, degC, g, minutes, printMass } from "../../ground/quantity";
import { ok, refuse } from "../../ground/result";
import { defineStep, outcome, takenOut } from "./kind";
import { number, time, vessel } from "./field";
import { addLines, atTemperature, workingVessel } from "./shared";

const fields = {
  /** Weight that leaves as steam, per cent of what is in the pan. */
  lossPct: number("Weight lost", "%", 0.01, 90),
  durationMin: time(),
  vesselId: vessel(),
};

const DRYING_C = degC(95);

/** Drives water off by weight: drained potato, chopped mushrooms, tomato. Ends on the scale, not on the clock. */
export const dry = defineStep({
  kind: "dry",
  label: "Dry on the fire",
  fields,
  blank: id => ({ id, kind: "dry" as const, lines: [], lossPct: 6, durationMin: 6 }),
  title: (_step, names) => (names.length ? `Cook the ${names.join(", ")} dry` : "Dry on the fire"),
  detail: step => `until ${step.lossPct} % of the weight is gone; stop on the scale`,
  cue: "hiss instead of bubbling; a film on the pan",
  cautions: () => ["It catches at the end: stir to the bottom, lower the flame."],
  place: "fire",
  steams: "to the end",
  attention: "watch",
  takesLines: true,
  endsAtMark: true,
  timeHangsOnMain: true,
  heard: {
    as: [/\b(dry|until it hisses)\b/],
  },
  apply: context => {
    const { step, facts } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const wanted = g((potMass(added.value) * step.lossPct) / 100);
    const dried = driveOff(added.value, wanted);
    if (!dried)
      return refuse({
        code: "NOT_ENOUGH",
        field: `${context.field}.lossPct`,
        value: step.lossPct,
        message: `There is not ${printMass(wanted)} of water in it to drive off. Type a smaller loss.`,
      });
    const vessel = workingVessel(context, dried, step.vesselId, ["pan", "pot", "tray"]);
    if (!vessel.ok) return vessel;
    return ok(
      outcome(atTemperature(dried, DRYING_C), vessel.value, minutes(step.durationMin * facts.handTimes), {
        computed: takenOut("lost as steam", wanted),
      }),
    );
  },
});

/** Water out of liquor and solids in proportion to what each holds; `null` when there is not so much. */
function driveOff(pot: PotState, mass: Grams): PotState | null {
  const inSolids = pot.solids.reduce((sum, part) => sum + part.pools.water, 0);
  const all = inSolids + pot.liquor.water;
  if (mass > all * 0.999) return null;
  let next = pot;
  for (const part of pot.solids) next = dryPart(next, part.id, g((mass * part.pools.water) / all));
  const left = mass - (massOfPools(next.exits.vapour) - massOfPools(pot.exits.vapour));
  const done = evaporate(next, { water: Math.max(0, left) });
  return done.ok ? done.value : null;
}
