import { absorb, massOfPools, pour } from "../../things/pot";
import { g, minutes } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome, takenOut } from "./kind";
import { ANYTHING_DEEP, number, time, vessel } from "./field";
import { addLines, workingVessel } from "./shared";

const fields = {
  durationMin: time(),
  /** Grams of liquor a gram of what goes in drinks. */
  drinks: number("Drinks, g per g", "g", 0, 12),
  /** Liquor left behind with the grit, per cent. */
  leavePct: number("Left with the grit", "%", 0, 60),
  vesselId: vessel("Pot", ANYTHING_DEEP),
};

/** Lets dried things drink; the last of the liquor stays behind with the grit. */
export const soak = defineStep({
  kind: "soak",
  label: "Soak",
  fields,
  blank: id => ({ id, kind: "soak" as const, lines: [], durationMin: 30, drinks: 3, leavePct: 10 }),
  title: (_step, names) => (names.length ? `Soak the ${names[0]}` : "Soak"),
  detail: step =>
    `${step.durationMin} min${step.leavePct ? `, lift out, leave the last ${step.leavePct} % with the grit` : ""}`,
  cue: "soft to the heart, no pale core when cut",
  cautions: () => ["Soaking liquor of wild mushrooms: strain it, then boil it through."],
  place: "bench",
  attention: "leave",
  takesLines: true,
  endsAtMark: false,
  timeHangsOnMain: true,
  heard: { begins: true },
  apply: context => {
    const { step } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const vessel = workingVessel(context, added.value, step.vesselId, ["pan", "pot", "container"]);
    if (!vessel.ok) return vessel;
    let pot = added.value;
    for (const line of context.lines.filter(l => l.ingredient.phase === "solids")) {
      const drunk = absorb(
        pot,
        line.lineId,
        g(Math.min(step.drinks * line.massG, massOfPools(pot.liquor) * 0.98)),
      );
      if (!drunk.ok) return drunk;
      pot = drunk.value;
    }
    const left = g((massOfPools(pot.liquor) * step.leavePct) / 100);
    const clear = pour(pot, left);
    if (!clear.ok) return clear;
    return ok(
      outcome(clear.value, vessel.value, minutes(step.durationMin), {
        computed: takenOut("left with the grit", left),
      }),
    );
  },
});
