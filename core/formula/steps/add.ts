import { z } from "zod";
import { minutes } from "../../quantity";
import { ok } from "../../result";
import { defineStep, durationMin, outcome, stepFields, vesselId } from "../step-kind";
import { addLines, filledMl, namedVessel } from "./shared";
import { bySize, smallestForLiquid } from "../../vessel";
import { liquorMass } from "../../pot";

const schema = z.strictObject({ ...stepFields, kind: z.literal("add"), durationMin, vesselId });

/** Puts things into the pot as they are. The first one chooses the pot. */
export const add = defineStep({
  kind: "add",
  label: "Add",
  schema,
  blank: id => ({ id, kind: "add" as const, lines: [], durationMin: 2 }),
  title: (_step, names) => (names.length ? `Add ${names.join(", ")}` : "Add"),
  detail: () => "as it is",
  cue: "all in, evenly spread",
  cautions: () => [],
  place: "fire",
  endsAtMark: false,
  apply: context => {
    const { step, facts } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const named = namedVessel(context, step.vesselId, context.vessel);
    if (!named.ok) return named;
    let vessel = named.value;
    if (!vessel && liquorMass(added.value) > 0) {
      const pots = context.vessels.filter(v => v.use === "pot" || v.use === "pan");
      const fits = smallestForLiquid(pots, filledMl(added.value, facts), facts);
      if (!fits.ok) return fits;
      vessel = fits.value;
    }
    vessel ??= bySize(context.vessels.filter(v => v.use === "pot")).at(-1) ?? null;
    return ok(outcome(added.value, vessel, minutes(step.durationMin * facts.handTimes)));
  },
});
