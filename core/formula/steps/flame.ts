import { retainedShare } from "../../laws/alcohol";
import { evaporate } from "../../things/pot";
import { minutes } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome, takenOut } from "./kind";
import { choiceIfAny, time } from "./field";
import { addLines } from "./shared";

const fields = {
  durationMin: time(),
  where: choiceIfAny("Lit", { pot: "in the pot", own: "warmed and lit in a small pan, then in" }, "pot"),
};

/** Lights a spirit: some of its alcohol burns, never all of it. */
export const flame = defineStep({
  kind: "flame",
  label: "Flame",
  fields,
  blank: id => ({ id, kind: "flame" as const, lines: [], durationMin: 1 }),
  title: (_step, names) => (names.length ? `Flame the ${names.join(", ")}` : "Flame"),
  detail: step =>
    step.where === "own"
      ? "warmed and lit in a small pan of its own, poured in once it is out"
      : "off the heat, lit, until it goes out by itself",
  cue: "the blue flame is gone and does not come back",
  cautions: () => [
    "Follow the local fire rule for hood and extraction. Measured into a cup, never from the bottle; lid at hand, hair and sleeves back.",
    "Most of the alcohol stays: say so to guests who avoid it.",
  ],
  place: "fire",
  attention: "watch",
  takesLines: true,
  endsAtMark: false,
  keepsItsLiquid: true,
  apply: context => {
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const kept = retainedShare("flamed", 0, context.facts);
    if (!kept.ok) return kept;
    // In a pan of its own only the spirit burns; in the pot all the alcohol there does.
    const burns =
      context.step.where === "own"
        ? added.value.liquor.ethanol - context.pot.liquor.ethanol
        : added.value.liquor.ethanol;
    const burnt = burns * (1 - kept.value);
    const pot = evaporate(added.value, { water: 0, ethanol: burnt });
    if (!pot.ok) return pot;
    return ok(
      outcome(pot.value, context.vessel, minutes(context.step.durationMin * context.facts.handTimes), {
        computed: takenOut("alcohol burnt", burnt),
      }),
    );
  },
});
