import { EMPTY_POT, mergePots, potMass, takeFrom } from "../../things/pot";
import { minutes } from "../../ground/quantity";
import { ok, refuse } from "../../ground/result";
import { defineStep, outcome } from "./kind";
import { choice, opening, pan, time } from "./field";
import { MAIN_POT, panKey } from "./pan";
import { workingVessel } from "./shared";

const fields = {
  /** The vessel it comes from, by its name. */
  from: pan("From"),
  what: choice("What", { everything: "everything", liquor: "the liquor", solids: "what is solid" }),
  share: opening("How much of it"),
  durationMin: time(),
};

/** What stands in another vessel comes into this one: the cream reduced apart, the mushrooms fried dry, their liquor. */
export const bring = defineStep({
  kind: "bring",
  label: "Bring in from another pan",
  fields,
  blank: id => ({
    id,
    kind: "bring" as const,
    lines: [],
    from: MAIN_POT,
    what: "everything" as const,
    share: 1,
    durationMin: 2,
  }),
  title: step =>
    `Bring in ${step.what === "everything" ? "" : step.what === "liquor" ? "the liquor of " : "what is solid in "}the ${step.from}`,
  detail: step =>
    step.share < 1
      ? `${Math.round(100 * step.share)} % of it; the rest stays there`
      : "all of it, scraped out",
  cue: "stirred in evenly, the pan scraped clean",
  cautions: () => ["Two hot pans, two hands: put one down before you pour the other."],
  place: "fire",
  attention: "watch",
  takesLines: false,
  endsAtMark: false,
  touches: step => panKey(step.from),
  apply: context => {
    const { step, facts, elsewhere } = context;
    const { rest, taken } = takeFrom(elsewhere?.pot ?? EMPTY_POT, step.what, step.share);
    if (potMass(taken) <= 0)
      return refuse({
        code: "EMPTY",
        field: `${context.field}.from`,
        value: step.from,
        message: `Nothing ${step.what === "solids" ? "solid " : step.what === "liquor" ? "liquid " : ""}stands in the ${step.from} at this point. Write its steps above this one, with the same name.`,
      });
    const pot = mergePots(context.pot, taken);
    const vessel = workingVessel(context, pot, undefined, ["pot", "pan", "container"]);
    if (!vessel.ok) return vessel;
    return ok(
      outcome(pot, vessel.value, minutes(step.durationMin * facts.handTimes), {
        elsewhere: { pot: rest, vessel: potMass(rest) > 0 ? (elsewhere?.vessel ?? null) : null },
        computed: [{ what: `from the ${step.from}`, massG: potMass(taken), way: "in" }],
      }),
    );
  },
});
