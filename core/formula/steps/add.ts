import { minutes, mm } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome } from "./kind";
import { time, vessel } from "./field";
import { addLines, heapsOf, workingVessel } from "./shared";
import { bySize, smallestForCover } from "../../things/vessel";
import { liquorMass, meltCheese } from "../../things/pot";

const fields = {
  durationMin: time(),
  vesselId: vessel(),
};

/** What goes in dry will be covered: so deep there must be room for. Common practice, no source, mm. */
const COVERED_BY_MM = 25;

/** Puts things into the pot as they are. The first one chooses the pot. */
export const add = defineStep({
  kind: "add",
  label: "Add",
  fields,
  blank: id => ({ id, kind: "add" as const, lines: [], durationMin: 2 }),
  title: (_step, names) => (names.length ? `Add ${names.join(", ")}` : "Add"),
  detail: () => "as it is",
  cue: "all in, evenly spread",
  cautions: () => [],
  place: "fire",
  attention: "watch",
  takesLines: true,
  endsAtMark: false,
  keepsAir: true,
  apply: context => {
    const { step, facts } = context;
    const put = addLines(context.pot, context.lines, context.field);
    if (!put.ok) return put;
    // Stirred in, cheese meets the sauce as hot as it was.
    const added = meltCheese(put.value, context.pot.temperatureC);
    if (liquorMass(added) > 0 || step.vesselId) {
      const vessel = workingVessel(
        context,
        added,
        step.vesselId,
        context.vessel?.use === "container" ? ["pot", "pan", "container"] : ["pot", "pan"],
      );
      return vessel.ok
        ? ok(outcome(added, vessel.value, minutes(step.durationMin * facts.handTimes)))
        : vessel;
    }
    const open = context.vessels.filter(v => (v.use === "pot" || v.use === "pan") && !v.closed);
    const covers = smallestForCover(open, heapsOf(added), mm(COVERED_BY_MM), facts);
    const vessel = context.vessel ?? (covers.ok ? covers.value.vessel : (bySize(open).at(-1) ?? null));
    return ok(outcome(added, vessel, minutes(step.durationMin * facts.handTimes)));
  },
});
