import { degC, minutes, printNumber } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { geometryOfVessel } from "../../things/vessel";
import { defineStep, outcome } from "./kind";
import { ANYTHING_DEEP, temperature, time, vessel } from "./field";
import { filledMl, workingVessel } from "./shared";

const fields = {
  toC: temperature("Down to", -40, -5),
  durationMin: time(),
  vesselId: vessel("In", ANYTHING_DEEP),
};

/** Ice takes about a tenth more room than water. Source: density of ice 0.917 g/ml. */
const ICE_GROWS = 1.09;

/** Freezes flat; the tub needs room for the ice to grow. */
export const freeze = defineStep({
  kind: "freeze",
  label: "Freeze",
  fields,
  blank: id => ({ id, kind: "freeze" as const, lines: [], toC: -18, durationMin: 480 }),
  title: step => `Freeze to ${step.toC} °C`,
  detail: () => "cold first, flat, covered, labelled",
  cue: "hard through",
  cautions: () => [
    "Only what is cold already goes into the freezer; leave headspace, ice grows by about a tenth.",
  ],
  place: "cold",
  attention: "leave",
  takesLines: false,
  endsAtMark: false,
  keepsAir: true,
  finishes: true,
  apply: context => {
    const { step } = context;
    const vessel = workingVessel(context, context.pot, step.vesselId, ["container", "pot", "pan"]);
    if (!vessel.ok) return vessel;
    const room = geometryOfVessel(vessel.value).capacityMl;
    const frozen = filledMl(context.pot, context.facts) * ICE_GROWS;
    return ok(
      outcome({ ...context.pot, temperatureC: degC(step.toC) }, vessel.value, minutes(step.durationMin), {
        warnings:
          frozen > room
            ? [
                {
                  code: "HEADSPACE",
                  message: `Frozen it takes ${printNumber(frozen / 1000, 2)} l; ${vessel.value.name} holds ${printNumber(room / 1000, 2)} l. Fill it less.`,
                },
              ]
            : [],
      }),
    );
  },
});
