import { degC } from "../../ground/quantity";
import { LIDS, SURFACE_WORDS } from "../../laws/reduction";
import { defineStep } from "./kind";
import { asThemselves, choice, endIfAny, opening, temperature, time } from "./field";
import { addLines, workingVessel } from "./shared";
import { endInWords } from "./reduction-end";
import { KEEPING, keepingOf } from "./keep-covered";
import { hoursInWords, simmerAlong } from "./simmering";

const fields = {
  holdC: temperature("Held at", 40, 110),
  durationMin: time(),
  /** Whichever comes first: this, or the time. */
  until: endIfAny("Or until", "by the clock"),
  lid: choice("Lid", asThemselves(LIDS)),
  surface: choice("Surface", SURFACE_WORDS),
  /** How far the burner is opened to bring it up. */
  setting: opening("Flame to bring it up"),
  ...KEEPING,
};

/** What is asked for so hot is a boil, wherever the kitchen stands, °C. */
const BOIL_FROM_C = 99;

const WITH_LID = { off: "lid off", ajar: "lid ajar", on: "lid on" } as const;

/** Brings the pot up and keeps it there: steam leaves from the surface, bones and vegetables give. */
export const simmer = defineStep({
  kind: "simmer",
  label: "Simmer",
  fields,
  blank: id => ({
    id,
    kind: "simmer" as const,
    lines: [],
    holdC: 88,
    durationMin: 240,
    lid: "off" as const,
    surface: "lazy" as const,
    setting: 1,
    keepCovered: "hot" as const,
  }),
  title: step => (step.holdC >= BOIL_FROM_C ? "Boil" : "Simmer, barely moving"),
  detail: step =>
    `${step.holdC} °C for ${hoursInWords(step.durationMin)}${step.until ? `, or sooner: ${endInWords(step.until)}` : ""}, ${WITH_LID[step.lid]}, skim`,
  cue: "a bubble now and then, scum drawn to one side, the liquor clear on a spoon",
  why: "A boil beats fat and scum into the liquor, and they stay there.",
  cautions: () => ["No open flame unwatched; a forecast or a timer of this program is not a safety device."],
  place: "fire",
  steams: "by the clock",
  attention: "look in",
  takesLines: true,
  endsAtMark: false,
  cooks: true,
  timeHangsOnMain: true,
  rule: "ṁ = A · f · (0.089 + 0.078 v) · (p − p∞) / h fg",
  heard: { asksTime: true },
  apply: context => {
    const { step } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const working = workingVessel(context, added.value, undefined, ["pot", "pan"]);
    if (!working.ok) return working;
    return simmerAlong(context, added.value, working.value, {
      holdC: degC(step.holdC),
      durationMin: step.durationMin,
      lid: step.lid,
      surface: step.surface,
      setting: step.setting,
      until: step.until,
      keep: keepingOf(step),
    });
  },
});
