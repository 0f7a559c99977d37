import { minutes } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome } from "./kind";
import { time } from "./field";
import { addLines } from "./shared";

const fields = {
  durationMin: time(),
};

/** Salt, acid, pepper: added by half, tasted, then the rest. */
export const season = defineStep({
  kind: "season",
  label: "Season",
  fields,
  blank: id => ({ id, kind: "season" as const, lines: [], durationMin: 2 }),
  title: (_step, names) => (names.length ? `Season: ${names.join(", ")}` : "Season"),
  detail: () => "half first, stir, taste, then the rest",
  cue: "tasted twice, as hot or cold as it will be eaten",
  why: "Hot food hides salt and cold food hides more: it is judged as it is eaten.",
  cautions: () => [],
  place: "fire",
  attention: "watch",
  takesLines: true,
  endsAtMark: false,
  keepsAir: true,
  finishes: true,
  apply: context => {
    const added = addLines(context.pot, context.lines, context.field);
    return added.ok
      ? ok(outcome(added.value, context.vessel, minutes(context.step.durationMin * context.facts.handTimes)))
      : added;
  },
});
