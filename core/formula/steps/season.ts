import { z } from "zod";
import { minutes } from "../../quantity";
import { ok } from "../../result";
import { defineStep, durationMin, outcome, stepFields } from "../step-kind";
import { addLines } from "./shared";

const schema = z.strictObject({ ...stepFields, kind: z.literal("season"), durationMin });

/** Salt, acid, pepper: added by half, tasted, then the rest. */
export const season = defineStep({
  kind: "season",
  label: "Season",
  schema,
  blank: id => ({ id, kind: "season" as const, lines: [], durationMin: 2 }),
  title: (_step, names) => (names.length ? `Season: ${names.join(", ")}` : "Season"),
  detail: () => "half first, stir, taste, then the rest",
  cue: "tasted twice, as hot or cold as it will be eaten",
  cautions: () => [],
  place: "fire",
  attention: "watch",
  takesLines: true,
  endsAtMark: false,
  apply: context => {
    const added = addLines(context.pot, context.lines, context.field);
    return added.ok
      ? ok(outcome(added.value, context.vessel, minutes(context.step.durationMin * context.facts.handTimes)))
      : added;
  },
});
