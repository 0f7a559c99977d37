import { drainedMass } from "../../laws/puree";
import { drain as drainPot, exitMass } from "../../things/pot";
import { g, minutes } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome, takenOut } from "./kind";
import { choiceIfAny, time } from "./field";

const fields = {
  durationMin: time(),
  how: choiceIfAny("How", { drips: "let drip", squeezed: "squeezed in a cloth" }, "drips"),
};

/** Pours the cooking liquor off and keeps what was cooked in it. */
export const drain = defineStep({
  kind: "drain",
  label: "Drain",
  fields,
  blank: id => ({ id, kind: "drain" as const, lines: [], durationMin: 5 }),
  title: () => "Drain",
  detail: step =>
    step.how === "squeezed"
      ? "squeezed in a cloth by the handful; the liquor goes"
      : `${step.durationMin} min in the colander; the liquor goes`,
  cue: "no more than a drop a second",
  cautions: () => ["Hot and heavy: drain away from yourself, two people for a full pot."],
  place: "bench",
  attention: "look in",
  takesLines: false,
  endsAtMark: false,
  takesOut: true,
  apply: context => {
    const { facts } = context;
    const squeezed = context.step.how === "squeezed";
    const pot = drainPot(
      context.pot,
      part => drainedMass(part, facts) * (squeezed && part.tissue ? facts.squeezedOut : 1),
      facts.fatCling,
    );
    if (!pot.ok) return pot;
    const gone = g(exitMass(pot.value, "drained") - exitMass(context.pot, "drained"));
    return ok(
      outcome(pot.value, context.vessel, minutes(context.step.durationMin * facts.handTimes), {
        computed: takenOut("drained off", gone),
      }),
    );
  },
});
