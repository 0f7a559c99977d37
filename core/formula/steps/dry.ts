import type { FactValues } from "../../ground/facts";
import { boilDown } from "../../laws/alcohol";
import {
  NO_POOLS,
  type PotState,
  type Surroundings,
  boilingPoint,
  dryPart,
  evaporate,
  massOfPools,
  potMass,
} from "../../things/pot";
import { type Celsius, type Grams, degC, g, minutes, printMass } from "../../ground/quantity";
import { ok, refuse } from "../../ground/result";
import { defineStep, outcome, takenOut } from "./kind";
import { number, time, vessel } from "./field";
import { addLines, atTemperature, nearBoilC, workingVessel } from "./shared";

const fields = {
  /** Weight that leaves as steam, per cent of what is in the pan. */
  lossPct: number("Weight lost", "%", 0.01, 90),
  durationMin: time(),
  vesselId: vessel(),
};

/** As long as it is turned over and not fried, what dries gets no hotter, °C. Our estimate. */
const MOIST_C = 105;

/** Drives water off by weight: drained potato, chopped mushrooms, tomato. Ends on the scale, not on the clock. */
export const dry = defineStep({
  kind: "dry",
  label: "Dry on the fire",
  fields,
  blank: id => ({ id, kind: "dry" as const, lines: [], lossPct: 6, durationMin: 6 }),
  title: (_step, names) => (names.length ? `Cook the ${names.join(", ")} dry` : "Dry on the fire"),
  detail: step => `until ${step.lossPct} % of the weight is gone; stop on the scale`,
  cue: "hiss instead of bubbling; a film on the pan",
  why: "Water is what makes it soft; when it hisses, the free water is gone.",
  cautions: () => ["It catches at the end: stir to the bottom, lower the flame."],
  place: "fire",
  steams: "to the end",
  attention: "watch",
  takesLines: true,
  endsAtMark: true,
  timeHangsOnMain: true,
  apply: context => {
    const { step, facts } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const wanted = g((potMass(added.value) * step.lossPct) / 100);
    const dried = driveOff(added.value, wanted, context.around, facts);
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
      outcome(
        atTemperature(dried, degC(Math.min(MOIST_C, boilsIn(dried, context.around)))),
        vessel.value,
        minutes(step.durationMin * facts.handTimes),
        {
          computed: takenOut("lost as steam", wanted),
        },
      ),
    );
  },
});

/** What dries is as hot as its juices boil. */
function boilsIn(pot: PotState, around: Surroundings): Celsius {
  const boils = boilingPoint(pot.liquor, around.pressurePa);
  return boils.ok ? boils.value : nearBoilC(around);
}

/**
 * Water out of liquor and solids in proportion to what each holds, spirit as it boils off all the water in the pan;
 * `null` when there is not so much.
 */
function driveOff(pot: PotState, mass: Grams, around: Surroundings, facts: FactValues): PotState | null {
  const inSolids = pot.solids.reduce((sum, part) => sum + part.pools.water, 0);
  const water = inSolids + pot.liquor.water;
  const { ethanol, acidVolatile } = pot.liquor;
  if (mass > (water + ethanol) * 0.999) return null;
  const together = { ...NO_POOLS, water, ethanol, acidVolatile };
  const whole = massOfPools(together);
  const left =
    ethanol > 0
      ? boilDown(together, Math.max(LEAST_LEFT, (whole - mass) / whole), around.pressurePa, facts)
      : null;
  const spirit = left?.ok ? ethanol - left.value.ethanol : Math.min(ethanol, mass);
  const acid = left?.ok ? acidVolatile - left.value.acidVolatile : 0;
  const steam = mass - spirit - acid;
  let next = pot;
  for (const part of pot.solids) next = dryPart(next, part.id, g((steam * part.pools.water) / water));
  const gone = massOfPools(next.exits.vapour) - massOfPools(pot.exits.vapour);
  const done = evaporate(next, {
    water: Math.max(0, steam - gone),
    ethanol: spirit,
    acidVolatile: acid,
  });
  return done.ok ? done.value : null;
}

/** Least share that the law of boiling down reaches. */
const LEAST_LEFT = 0.021;
