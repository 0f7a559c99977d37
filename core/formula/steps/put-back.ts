import { g, minutes } from "../../ground/quantity";
import { ok, refuse } from "../../ground/result";
import { putBack as putBackInto, solidsMass } from "../../things/pot";
import { defineStep, outcome } from "./kind";
import { time, vessel } from "./field";
import { workingVessel } from "./shared";

const fields = {
  durationMin: time(),
  vesselId: vessel(),
};

/** What was lifted out and kept comes back into the pot, with the juice that ran from it. */
export const putBack = defineStep({
  kind: "put-back",
  label: "Put back",
  fields,
  blank: id => ({ id, kind: "put-back" as const, lines: [], durationMin: 2 }),
  title: () => "Put back what was lifted out",
  detail: () => "with the juice that has run from it",
  cue: "all of it under the sauce",
  cautions: () => ["What stood aside warm goes back to the boil, or was kept hot."],
  place: "fire",
  attention: "watch",
  takesLines: false,
  endsAtMark: false,
  apply: context => {
    const { step, facts } = context;
    if (!context.pot.aside.length)
      return refuse({
        code: "EMPTY",
        field: context.field,
        message: "Nothing was lifted out and kept before: there is nothing to put back.",
      });
    const pot = putBackInto(context.pot);
    const vessel = workingVessel(context, pot, step.vesselId, ["pot", "pan", "container"]);
    if (!vessel.ok) return vessel;
    const came = solidsMass(pot) - solidsMass(context.pot);
    return ok(
      outcome(pot, vessel.value, minutes(step.durationMin * facts.handTimes), {
        computed: [{ what: "put back", massG: g(came), way: "within" }],
      }),
    );
  },
});
