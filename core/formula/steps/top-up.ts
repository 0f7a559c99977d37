import { SHELF_TEMPERATURE_C, topUp as topUpPot, volumeAt20 } from "../../things/pot";
import { minutes } from "../../ground/quantity";
import { ok, refuse } from "../../ground/result";
import { defineStep, missingVessel, outcome } from "./kind";
import { litres, time } from "./field";

const fields = {
  /** Liquor there should be again, at 20 °C. */
  toMl: litres("Back to"),
  durationMin: time(),
};

/** Gives back the water that steamed away; nothing when there is enough. */
export const topUp = defineStep({
  kind: "top-up",
  label: "Top up",
  fields,
  blank: id => ({ id, kind: "top-up" as const, lines: [], toMl: 10_000, durationMin: 2 }),
  title: () => "Top up with water",
  detail: step => `back to ${(step.toMl / 1000).toFixed(1)} l of liquor`,
  cue: "the bones out of sight again",
  cautions: () => [],
  place: "fire",
  attention: "watch",
  takesLines: false,
  endsAtMark: true,
  apply: context => {
    const { step, vessel } = context;
    const water = context.ingredientById("water");
    if (!vessel || !water) return refuse(missingVessel(context.field, "Topping up"));
    const enough = volumeAt20(context.pot.liquor) >= step.toMl;
    const done = enough
      ? ok({ pot: context.pot, addedG: 0 })
      : topUpPot(context.pot, { volumeMl: step.toMl }, water, {
          id: `${step.id}-water`,
          temperatureC: SHELF_TEMPERATURE_C,
        });
    if (!done.ok) return done;
    return ok(
      outcome(done.value.pot, vessel, minutes(step.durationMin * context.facts.handTimes), {
        computed: enough
          ? []
          : [{ what: "water", massG: done.value.addedG as never, way: "in", ingredientId: "water" }],
      }),
    );
  },
});
