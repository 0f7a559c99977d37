import {
  COOLING_METHOD_WORDS,
  type CoolingMethod,
  coolingCourse,
  limitsInWords,
  sinksOf,
} from "../../laws/cooling";
import { liquorMass, specificHeat } from "../../things/pot";
import { degC, mm } from "../../ground/quantity";
import { ok, refuse } from "../../ground/result";
import { geometryOfVessel } from "../../things/vessel";
import { defineStep, missingVessel, outcome } from "./kind";
import { choice, temperature } from "./field";
import { inField, bystanders, levelIn } from "./shared";

const fields = {
  method: choice("Where", COOLING_METHOD_WORDS),
  toC: temperature("Down to", 1, 80),
};

const WHERE: Record<CoolingMethod, string> = {
  "ice-bath": "in the ice sink, stirred",
  "ice-bath-still": "in the ice sink, nobody stirs",
  "walk-in": "covered in the walk-in",
  "walk-in-fan": "covered in the walk-in, under the fan",
  room: "on the bench",
  blast: "in the blast chiller",
  "running-water": "in running water, stirred",
  "ice-wand": "with an ice wand, stirred",
};

/** Cools what is in the pot; the time follows from bath, vessel and mass. */
export const cool = defineStep({
  kind: "cool",
  label: "Cool",
  fields,
  blank: id => ({ id, kind: "cool" as const, lines: [], method: "ice-bath" as const, toC: 5 }),
  title: step => `Cool to ${step.toC} °C`,
  detail: step => WHERE[step.method],
  cue: "probe in the middle, stirred",
  why: "Between hot and cold is where what spoils grows fastest: through it quickly.",
  cautions: (_, cooled = "fda") => [
    `This kitchen’s limits: ${limitsInWords(cooled)}. Log it; follow your local food code.`,
  ],
  place: "cold",
  attention: "look in",
  takesLines: false,
  endsAtMark: false,
  keepsAir: true,
  finishes: true,
  apply: context => {
    const { step, facts, vessel, pot } = context;
    if (!vessel) return refuse(missingVessel(context.field, "Cooling"));
    const level = levelIn(pot, vessel, facts) ?? mm(0);
    const heat =
      liquorMass(pot) > 0 ? liquorMass(pot) * specificHeat(pot.liquor, (pot.temperatureC + step.toC) / 2) : 0;
    const sinks = sinksOf(
      {
        method: step.method,
        vessel: geometryOfVessel(vessel),
        level,
        covered: true,
        thick: false,
        stirred: true,
        roomC: context.around.ambientC,
      },
      facts,
    );
    if (!sinks.ok) return refuse(...inField(context.field, sinks.problems));
    const capacity = facts.coolingMassTrue * heat + bystanders(pot, vessel);
    const course = coolingCourse(capacity, pot.temperatureC, degC(step.toC), sinks.value);
    if (!course.ok) return refuse(...inField(context.field, course.problems));
    return ok(
      outcome(
        { ...pot, temperatureC: degC(Math.min(step.toC, pot.temperatureC)) },
        vessel,
        course.value.time,
      ),
    );
  },
});
