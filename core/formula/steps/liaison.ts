import { ALARM_BEFORE_K } from "../../laws/texture/yolk";
import { emulsify, liquorMass } from "../../things/pot";
import { degC, minutes } from "../../ground/quantity";
import { type Warning, ok, refuse } from "../../ground/result";
import { defineStep, missingVessel, outcome } from "./kind";
import { temperature, time } from "./field";
import { addLines, atTemperature } from "./shared";

const fields = {
  /** Where it is taken to and held. */
  toC: temperature("Taken to", 40, 100),
  durationMin: time(),
};

/** Yolk sets from here on, °C; it curdles above the ceiling, which flour lifts. Source: docs/models.md "Liaison". */
const SETS_FROM_C = 75;
const CEILING_C = { bare: 82, withFlour: 90 } as const;
/** So rich in yolk it is beaten to a ribbon, which stands from here on, °C. Common practice, no source. */
const YOLK_RICH = 0.2;
const RIBBON_FROM_C = 60;
/** Starch that counts as a flour-bound sauce, g per g. Our estimate. */
const FLOUR_BOUND = 0.015;

export const ceilingOf = (starchShare: number): number =>
  starchShare >= FLOUR_BOUND ? CEILING_C.withFlour : CEILING_C.bare;

/** Binds with yolk and cream, tempered first, never boiled. */
export const liaison = defineStep({
  kind: "liaison",
  label: "Liaison",
  fields,
  blank: id => ({ id, kind: "liaison" as const, lines: [], toC: 80, durationMin: 6 }),
  title: () => "Bind with yolk and cream",
  detail: step => `temper with a ladle at a time, back to ${step.toC} °C, never boiling`,
  cue: "coats the spoon; a finger’s line stays clean",
  why: "Yolk thickens just before it curdles: warmed first with some of the sauce, it gets there slowly.",
  cautions: step => [
    `Alarm ${ALARM_BEFORE_K} °C under the ceiling. ${step.toC < SETS_FROM_C ? "Raw yolk: the raw-egg caution stays below 75 °C." : "Egg: say so on the label."}`,
  ],
  place: "fire",
  attention: "watch",
  takesLines: true,
  endsAtMark: false,
  cooks: true,
  speaksOfItsEgg: true,
  apply: context => {
    const { step, facts, vessel } = context;
    if (!vessel) return refuse(missingVessel(context.field, "A liaison"));
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const bound = emulsify(added.value, added.value.floatFatG);
    if (!bound.ok) return bound;
    const mass = liquorMass(bound.value);
    const ceiling = ceilingOf(mass > 0 ? bound.value.liquor.starch / mass : 0);
    if (step.toC > ceiling)
      return refuse({
        code: "OUT_OF_RANGE",
        field: `${context.field}.toC`,
        value: step.toC,
        allowed: { max: ceiling },
        message: `At ${step.toC} °C this liaison curdles: ${ceiling} °C is the ceiling ${ceiling === CEILING_C.bare ? "without flour; a flour-bound sauce takes 90 °C" : "in a flour-bound sauce"}. Type ${ceiling - ALARM_BEFORE_K} °C or less.`,
      });
    const { yolkG } = bound.value.natures;
    const ribbon = step.toC >= RIBBON_FROM_C && yolkG > YOLK_RICH * mass;
    const warnings: Warning[] =
      step.toC < SETS_FROM_C && !ribbon
        ? [
            {
              code: "LIAISON_UNDERCOOKED",
              message: `Below ${SETS_FROM_C} °C the yolk does not bind, and it stays raw egg.`,
            },
          ]
        : [];
    return ok(
      outcome(
        atTemperature(bound.value, degC(step.toC)),
        vessel,
        minutes(step.durationMin * facts.handTimes),
        { warnings },
      ),
    );
  },
});
