import { degC } from "../../ground/quantity";
import { type Warning, ok } from "../../ground/result";
import { LIDS } from "../../laws/reduction";
import { defineStep } from "./kind";
import { asThemselves, choice, temperature, time, vessel } from "./field";
import { KEEPING, keepingOf } from "./keep-covered";
import { hoursInWords, simmerAlong } from "./simmering";
import { standInOven } from "./oven";
import { addLines, workingVessel } from "./shared";

const WHERE = { oven: "in the oven", burner: "on the burner" } as const;

const fields = {
  where: choice("Where", WHERE),
  /** The oven’s, or what the liquor is held at. */
  atC: temperature("Oven, or liquor on the burner", 60, 220),
  durationMin: time(),
  lid: choice("Lid", asThemselves(LIDS)),
  ...KEEPING,
  vesselId: vessel("In", ["pot", "pan", "tray"], "what it is in"),
};

/** Hotter than this no liquor is held on a burner, °C: it is the boil. */
const BOIL_C = 100;

/** Meat and vegetables cook slowly in a little liquor under a lid; they give, and what they give stays in it. */
export const braise = defineStep({
  kind: "braise",
  label: "Braise",
  fields,
  blank: id => ({
    id,
    kind: "braise" as const,
    lines: [],
    where: "oven" as const,
    atC: 150,
    durationMin: 150,
    lid: "on" as const,
    keepCovered: "none" as const,
  }),
  // What goes in now are herbs more often than the meat: the pot is named by what is done.
  title: step => (step.where === "oven" ? "Braise in the oven" : "Braise"),
  detail: step =>
    `${step.where === "oven" ? `oven ${step.atC} °C` : `held at ${Math.min(BOIL_C, step.atC)} °C`}, ${hoursInWords(step.durationMin)}, lid ${step.lid}`,
  cue: "a fork goes in and comes out without lifting the meat",
  why: "Long and low turns sinew to gelatin; hot and fast squeezes the juice out first.",
  cautions: () => [
    "The pot comes out of the oven with burning handles and lid: a dry cloth, and it stays on them.",
    "Held between 5 and 60 °C no longer than your food code allows.",
  ],
  place: step => (step.where === "oven" ? "oven" : "fire"),
  ovenC: step => (step.where === "oven" ? step.atC : null),
  steams: "by the clock",
  attention: "leave",
  takesLines: true,
  endsAtMark: false,
  cooks: true,
  timeHangsOnMain: true,
  rule: "ṁ = A · f · (0.089 + 0.078 v) · (p − p∞) / h fg",
  heard: { begins: true, asksTime: true },
  apply: context => {
    const { step, facts } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const vessel = workingVessel(context, added.value, step.vesselId, ["pot", "pan", "tray"]);
    if (!vessel.ok) return vessel;
    const min = step.durationMin * facts.handTimes;
    if (step.where === "oven") {
      const stood = standInOven(context, added.value, vessel.value, { ovenC: step.atC, min, lid: step.lid });
      return stood.ok && keepingOf(step).with !== "none"
        ? ok({ ...stood.value, warnings: [...stood.value.warnings, NOT_TOPPED_UP] })
        : stood;
    }
    return simmerAlong(context, added.value, vessel.value, {
      holdC: degC(Math.min(step.atC, BOIL_C)),
      durationMin: step.durationMin,
      lid: step.lid,
      surface: added.value.floatFatG > 0 ? "fat-layer" : "lazy",
      setting: 1,
      keep: keepingOf(step),
    });
  },
});

const NOT_TOPPED_UP: Warning = {
  code: "NOT_TOPPED_UP",
  message:
    "In the oven nobody tops it up, and nothing was counted for it: put the lid on, or braise it on the burner.",
};
