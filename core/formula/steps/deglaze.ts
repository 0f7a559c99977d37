import { minutes } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome } from "./kind";
import { time } from "./field";
import { addLines, workingVessel } from "./shared";

const fields = {
  durationMin: time(),
};

/** Dissolves the fond. Its liquid counts as part of the wetting that follows. */
export const deglaze = defineStep({
  kind: "deglaze",
  label: "Deglaze",
  fields,
  blank: id => ({ id, kind: "deglaze" as const, lines: [], durationMin: 5 }),
  title: (_step, names) =>
    names.length && names[0] !== "water" ? `Deglaze with ${names.join(", ")}` : "Deglaze",
  detail: () => "scrape; this liquid counts as wetting",
  cue: "nothing brown left on the metal",
  why: "What stuck to the pan is the best of the roast; hot metal lets go of it.",
  cautions: () => ["Steam rises at once: pour slowly, face away."],
  place: "fire",
  attention: "watch",
  takesLines: true,
  endsAtMark: false,
  fond: "lifts",
  keepsItsLiquid: true,
  apply: context => {
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const vessel = workingVessel(context, added.value, undefined, ["pan", "pot", "tray"]);
    if (!vessel.ok) return vessel;
    return ok(
      outcome(added.value, vessel.value, minutes(context.step.durationMin * context.facts.handTimes)),
    );
  },
});
