import { retainedShare } from "../../laws/alcohol";
import { evaporate } from "../../things/pot";
import { minutes } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome, takenOut } from "./kind";
import { time } from "./field";
import { addLines } from "./shared";

const fields = {
  durationMin: time(),
};

/** Lights a spirit: some of its alcohol burns, never all of it. */
export const flame = defineStep({
  kind: "flame",
  label: "Flame",
  fields,
  blank: id => ({ id, kind: "flame" as const, lines: [], durationMin: 1 }),
  title: (_step, names) => (names.length ? `Flame the ${names.join(", ")}` : "Flame"),
  detail: () => "off the heat, lit, until it goes out by itself",
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
  heard: {
    as: [/\b(flame|flamb)/],
    next: ["flame"],
    puts: true,
  },
  apply: context => {
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const kept = retainedShare("flamed", 0, context.facts);
    if (!kept.ok) return kept;
    const burnt = added.value.liquor.ethanol * (1 - kept.value);
    const pot = evaporate(added.value, { water: 0, ethanol: burnt });
    if (!pot.ok) return pot;
    return ok(
      outcome(pot.value, context.vessel, minutes(context.step.durationMin * context.facts.handTimes), {
        computed: takenOut("alcohol burnt", burnt),
      }),
    );
  },
});
