import { exitMass, liquorMass, skimFat, skimMass } from "../../things/pot";
import { g, minutes } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome, takenOut } from "./kind";
import { count, gramsIfAny, timeIfAny } from "./field";
import { skimMin } from "./hand-times";

const fields = {
  /** Over the step. */
  times: count("How often", "times", 1, 60),
  durationMin: timeIfAny("Time", "by the pot"),
  /** Where somebody weighed what came off. */
  massG: gramsIfAny("Weighed off", 50_000, "by eye"),
};

/** Scum carries about this share of the liquor away each time. Our estimate. */
const SCUM_SHARE = 0.002;

/** Takes scum and the first fat off while it simmers. */
export const skim = defineStep({
  kind: "skim",
  label: "Skim",
  fields,
  blank: id => ({ id, kind: "skim" as const, lines: [], times: 1 }),
  title: () => "Skim",
  detail: step =>
    step.times > 1 ? `${step.times} times, from the cool side` : "scum and first fat, from the cool side",
  cue: "the liquor shows between the eyes of fat",
  why: "Scum pushed to the cool side and lifted stays out; stirred in, it stays in.",
  cautions: () => [],
  place: "fire",
  attention: "watch",
  takesLines: false,
  endsAtMark: false,
  takesOut: true,
  apply: context => {
    const { step, facts } = context;
    const done =
      step.massG === undefined ? scum(context.pot) : skimMass(context.pot, g(step.massG), facts.ladleCarry);
    if (!done.ok) return done;
    const handsMin = step.durationMin ?? skimMin(context.pot, context.vessel, step.times, facts);
    const taken = exitMass(done.value, "skim") - exitMass(context.pot, "skim");
    return ok(
      outcome(done.value, context.vessel, minutes(handsMin * facts.handTimes), {
        computed: takenOut("scum and fat", taken),
      }),
    );

    function scum(pot: typeof context.pot) {
      const fat = skimFat(pot, 1 - Math.pow(1 - facts.ladleFat / 4, step.times), facts.ladleCarry);
      return fat.ok ? skimMass(fat.value, g(liquorMass(pot) * SCUM_SHARE * step.times), 0) : fat;
    }
  },
});
