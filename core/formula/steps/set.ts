import { eggMass, evaporate, liquorMass } from "../../things/pot";
import { degC, minutes } from "../../ground/quantity";
import { type Warning, ok, refuse } from "../../ground/result";
import { choice, flag, temperature, time, vessel } from "./field";
import { defineStep, outcome, takenOut } from "./kind";
import { addLines, atTemperature, workingVessel } from "./shared";

const WAYS = {
  "water bath": "baked in a water bath",
  steam: "steamed",
  oven: "baked",
};

const fields = {
  way: choice("How", WAYS),
  /** In the middle of the largest mould: this ends it. */
  toC: temperature("In the middle", 60, 95),
  /** What is around it. */
  ovenC: temperature("Oven or steam at", 60, 220),
  durationMin: time("About"),
  covered: flag("covered"),
  vesselId: vessel("In", ["container", "pan", "pot", "tray"]),
};

/** Egg thickens a custard to a standing one from here to there, °C. Common practice, no source. */
const STANDS_C = { lo: 76, hi: 88 } as const;
/** Under this the egg is still raw, °C on a probe. Source: 9 CFR 590.570, from memory, to be verified; local codes differ. */
const COOKED_C = 70;
/** Egg a custard stands with, g per g: 1 egg to 280 ml. Common practice, no source. */
const LEAST_EGG = 0.15;
/** Starch that makes it stand without. Common practice, no source. */
const LEAST_STARCH = 0.04;

/** Sets a custard in its mould: a royale, a flan, a savoury custard. The probe ends it, never the clock. */
export const set = defineStep({
  kind: "set",
  label: "Set a custard",
  fields,
  blank: id => ({
    id,
    kind: "set" as const,
    lines: [],
    way: "water bath" as const,
    toC: 82,
    ovenC: 140,
    durationMin: 40,
    covered: true,
  }),
  title: step => (step.way === "steam" ? "Steam until set" : "Bake until set"),
  detail: step =>
    `${WAYS[step.way]} at ${step.ovenC} °C${step.covered ? ", covered" : ""}, about ${step.durationMin} min; ${step.toC} °C in the middle ends it`,
  cue: "the edge stands, the middle trembles; a knife comes out clean",
  cautions: step => [
    "Hot water and steam: open away from the face, carry the bath level or ladle it out first.",
    step.toC < COOKED_C
      ? `Under ${COOKED_C} °C in the middle its egg stays raw: say so to vulnerable guests. Follow your local food code.`
      : "Egg: say so on the label. The probe says when, not the recipe.",
  ],
  place: "oven",
  ovenC: step => step.ovenC,
  attention: "look in",
  takesLines: true,
  endsAtMark: false,
  steams: "to the end",
  cooks: true,
  timeHangsOnMain: true,
  speaksOfItsEgg: true,
  rule: "loss = share · liquor, uncovered",
  heard: { asksTime: true, asksHeat: true },
  apply: context => {
    const { step, facts } = context;
    if (step.ovenC <= step.toC)
      return refuse({
        code: "OUT_OF_RANGE",
        field: `${context.field}.ovenC`,
        value: step.ovenC,
        allowed: { min: step.toC },
        message: `What stands at ${step.ovenC} °C never comes to ${step.toC} °C in the middle: type a hotter oven, or a lower end.`,
      });
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const mass = liquorMass(added.value);
    if (mass <= 0)
      return refuse({
        code: "EMPTY",
        field: context.field,
        message: "There is no custard here to set: put milk, stock or cream and egg in first.",
      });
    const open = step.way !== "steam" && !step.covered;
    const steam = open ? Math.min(added.value.liquor.water, facts.setLoss * mass) : 0;
    const baked = evaporate(added.value, { water: steam });
    if (!baked.ok) return baked;
    const hot = atTemperature(baked.value, degC(step.toC));
    const pot = { ...hot, natures: { ...hot.natures, isSet: true } };
    const mould = workingVessel(context, pot, step.vesselId, ["container", "pan", "pot", "tray"]);
    if (!mould.ok) return mould;
    return ok(
      outcome(pot, mould.value, minutes(step.durationMin * facts.handTimes), {
        computed: takenOut("lost as steam", steam),
        warnings: doubtsOf(step.toC, eggMass(added.value.natures) / mass, added.value.liquor.starch / mass),
      }),
    );
  },
});

function doubtsOf(toC: number, egg: number, starch: number): Warning[] {
  if (egg < LEAST_EGG && starch < LEAST_STARCH)
    return [
      {
        code: "SETS_NOT",
        message: `${Math.round(100 * egg)} % egg in it: that does not stand. ${100 * LEAST_EGG} % trembles, 20–35 % is usual.`,
      },
    ];
  if (egg > 0 && toC < STANDS_C.lo)
    return [
      { code: "SETS_NOT", message: `At ${toC} °C it stays soft: egg stands from ${STANDS_C.lo}–82 °C on.` },
    ];
  return egg > 0 && toC > STANDS_C.hi
    ? [
        {
          code: "WEEPS",
          message: `Over ${STANDS_C.hi} °C a custard curdles: holes, and water under it. 80–85 °C is enough.`,
        },
      ]
    : [];
}
