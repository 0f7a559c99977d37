import {
  exitMass,
  holdBack,
  keepAside,
  liftFrom,
  mergePots,
  potMass,
  strain as strainPot,
} from "../../things/pot";
import { minutes } from "../../ground/quantity";
import { ok, refuse } from "../../ground/result";
import { defineStep, outcome, takenOut } from "./kind";
import { panKey } from "./pan";
import { choice, flag, panIfAny, textIfAny, time } from "./field";

const fields = {
  what: choice("What", { aromatics: "herbs and spices", "everything solid": "everything solid" }),
  /** Only these, by their names: "mussels, bay leaf"; all of it without them. */
  which: textIfAny("Only", 120),
  /** For the plate or the next pot; else it goes. */
  keep: flag("kept for the plate"),
  /** Name of the second vessel it goes into, to be worked there. */
  to: panIfAny("Into a second pan, named"),
  /** What must come out again, counted: "2 cinnamon, 5 bay, 1 bundle". */
  tally: textIfAny("Count them out", 120),
  durationMin: time(),
};

/** A tally piece by piece: "2 cinnamon, 5 bay and 1 bundle" is three to count. */
const piecesOf = (tally: string | undefined): string[] =>
  tally
    ?.split(/,|\band\b/)
    .map(piece => piece.trim())
    .filter(Boolean) ?? ["all that went in whole"];

/** Takes whole things out by hand: the bundle of herbs, the poached meat. What went in is counted out. */
export const lift = defineStep({
  kind: "lift",
  label: "Lift out",
  fields,
  blank: id => ({
    id,
    kind: "lift" as const,
    lines: [],
    what: "aromatics" as const,
    keep: false,
    durationMin: 2,
  }),
  title: step =>
    step.to
      ? `Lift ${step.which ?? (step.what === "aromatics" ? "the aromatics" : "what is solid")} into the ${step.to}`
      : step.which
        ? `Lift out ${step.which}${step.keep ? " and keep" : ""}`
        : step.what === "aromatics"
          ? "Lift the aromatics out"
          : step.keep
            ? "Lift out and keep"
            : "Lift it all out",
  detail: step => (step.tally ? `count them: ${step.tally}` : "count them in, count them out"),
  cue: "the tally is complete",
  cautions: () => [
    "String, bay, cinnamon and foil are no food: nothing may stay in before blending or serving.",
  ],
  place: "bench",
  attention: "watch",
  takesLines: false,
  ticks: step =>
    step.what === "aromatics"
      ? piecesOf(step.tally).map(piece => ({ what: `Out again: ${piece}`, before: "end" as const }))
      : [],
  endsAtMark: false,
  keepsAir: true,
  takesOut: true,
  touches: step => (step.to?.trim() ? panKey(step.to) : null),
  apply: context => {
    const { step, facts, pot } = context;
    const only = step.which
      ?.toLowerCase()
      .split(/,|\band\b/)
      .map(name => name.trim())
      .filter(Boolean);
    const out = pot.solids.filter(
      part =>
        (step.what !== "aromatics" || part.kind === "herbs") &&
        (!only?.length || only.some(name => part.name.toLowerCase().includes(name))),
    );
    if (!out.length)
      return refuse({
        code: "EMPTY",
        field: context.field,
        message:
          step.what === "aromatics"
            ? "No herb or spice is in the pot to lift out here."
            : "Nothing solid is in the pot to lift out here.",
      });
    const to = context.elsewhere;
    if (to) {
      const moved = liftFrom(pot, new Set(out.map(part => part.id)), kind => holdBack(kind, facts));
      const there = mergePots(to.pot, moved.taken);
      return ok(
        outcome(moved.rest, context.vessel, minutes(step.durationMin * facts.handTimes), {
          elsewhere: { pot: there, vessel: to.vessel },
          computed: takenOut(`into the ${step.to ?? "pan"}, with what clings`, potMass(moved.taken)),
        }),
      );
    }
    if (step.keep) {
      const kept = keepAside(pot, new Set(out.map(part => part.id)), kind => holdBack(kind, facts));
      return ok(
        outcome(kept, context.vessel, minutes(step.durationMin * facts.handTimes), {
          computed: takenOut("kept aside, with what clings", potMass(pot) - potMass(kept)),
        }),
      );
    }
    const lifted = strainPot({ ...pot, solids: out }, kind => holdBack(kind, facts), 0);
    const rest = { ...lifted, solids: pot.solids.filter(part => !out.includes(part)) };
    return ok(
      outcome(rest, context.vessel, minutes(step.durationMin * facts.handTimes), {
        computed: takenOut(
          "lifted out, with what clings",
          exitMass(rest, "strained") - exitMass(pot, "strained"),
        ),
      }),
    );
  },
});
