import { exitMass, holdBack, strain as strainPot } from "../../things/pot";
import { g, minutes } from "../../ground/quantity";
import { ok, refuse } from "../../ground/result";
import { smallestForLiquid } from "../../things/vessel";
import { defineStep, outcome } from "./kind";
import { ANYTHING_DEEP, flag, timeIfAny, vessel } from "./field";
import { strainMin } from "./hand-times";
import { inField, filledMl, namedVessel } from "./shared";

const fields = {
  /** Pressed gives more, drained gives a clearer liquor. */
  press: flag("pressed (more, cloudier)"),
  vesselId: vessel("Into", ANYTHING_DEEP),
  durationMin: timeIfAny("Time", "by how much it is"),
};

/** How clear the liquor comes out, of 5. Common practice, no source. */
const CLARITY = { pressed: 2, drained: 4 } as const;

/** Passes the liquor off what stands in it into another vessel; some stays with them. */
export const strain = defineStep({
  kind: "strain",
  label: "Strain",
  fields,
  blank: id => ({ id, kind: "strain" as const, lines: [], press: false }),
  title: step => (step.press ? "Strain and press" : "Strain and let drip"),
  detail: step =>
    step.press
      ? `through the chinois, pressed: more of it, clear to about ${CLARITY.pressed} of 5`
      : `through the chinois, drained, not pressed: clear to about ${CLARITY.drained} of 5`,
  cue: "the drip slows to single drops",
  why: "What has given all it has goes on taking liquor and giving mud.",
  cautions: () => ["Heavy and hot: two people or a ladle; never lift a full pot alone."],
  place: "bench",
  attention: "watch",
  takesLines: false,
  endsAtMark: false,
  finishes: true,
  takesOut: true,
  rule: "kept = solids + hold · solids",
  apply: context => {
    const { step, facts } = context;
    const pressed = step.press ? facts.pressedHold : 1;
    const pot = strainPot(context.pot, kind => holdBack(kind, facts) * pressed, facts.fatCling);
    const named = namedVessel(context, step.vesselId, null);
    if (!named.ok) return named;
    let vessel = named.value;
    if (!vessel) {
      const fits = smallestForLiquid(
        context.vessels.filter(v => v.use !== "tray" && !v.closed),
        filledMl(pot, facts),
        facts,
      );
      if (!fits.ok) return refuse(...inField(context.field, fits.problems));
      vessel = fits.value;
    }
    const out = g(exitMass(pot, "strained") - exitMass(context.pot, "strained"));
    return ok(
      outcome(
        pot,
        vessel,
        minutes((step.durationMin ?? strainMin(context.pot, step.press)) * facts.handTimes),
        {
          computed: out > 0 ? [{ what: "strained off, with what clings", massG: out, way: "out" }] : [],
        },
      ),
    );
  },
});
