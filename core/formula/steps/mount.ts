import { emulsify, liquorMass, potMass } from "../../things/pot";
import { degC, minutes } from "../../ground/quantity";
import { type Warning, ok, refuse } from "../../ground/result";
import { fatPartsAtC } from "./as-sauce";
import { defineStep, missingVessel, outcome, takenOut } from "./kind";
import { time } from "./field";
import { addLines, atTemperature, letStand, workingVessel } from "./shared";

const fields = {
  durationMin: time(),
};

/** Butter straight from the cold, °C; below this it stays in lumps, °C. Source: docs/models.md "Butter". */
const COLD_BUTTER_C = degC(5);
const LUMPS_BELOW_C = 48;
/** Where a sauce is kept while butter goes in, °C, and how far under where it would part. Common practice, no source. */
const MOUNTED_C = 60;
const UNDER_BREAK_K = 2;

/** Swirls cold butter in off the boil; it thickens and shines, and does not take fat away. */
export const mount = defineStep({
  kind: "mount",
  label: "Mount with butter",
  fields,
  blank: id => ({ id, kind: "mount" as const, lines: [], durationMin: 3 }),
  title: (_step, names) => (names.length ? `Mount with ${names.join(", ")}` : "Mount"),
  detail: () => "off the heat, cold, in cubes, the pan moving",
  cue: "glossy, one body, no yellow eyes",
  why: "Butter stays one with the sauce while it is warm and beaten; boiled, it parts.",
  cautions: () => ["Time is the control from here on: note when it was made; no topping up, no reheating."],
  place: "fire",
  attention: "watch",
  takesLines: true,
  endsAtMark: false,
  finishes: true,
  apply: context => {
    const { step, facts } = context;
    const { vessel: at } = context;
    if (!at) return refuse(missingVessel(context.field, "Mounting"));
    if (liquorMass(context.pot) <= 0)
      return refuse({
        code: "EMPTY",
        field: context.field,
        message: "There is no sauce to mount yet: butter is swirled into something.",
      });
    // Off the heat: it falls before the butter goes in, and goes on falling with it.
    const stood = letStand(context, context.pot, at, step.durationMin, "off");
    if (!stood.ok) return stood;
    const added = addLines(stood.value.pot, context.lines, context.field, COLD_BUTTER_C);
    if (!added.ok) return added;
    const pot = emulsify(added.value, added.value.floatFatG);
    if (!pot.ok) return pot;
    // With much butter it outgrows the pan it was reduced in.
    const working = workingVessel(context, pot.value, undefined, ["pan", "pot", "container"]);
    if (!working.ok) return working;
    const vessel = working.value;
    // Piece by piece over a low flame: the cold of the butter is given back as it goes in.
    const t = context.pot.temperatureC;
    const keptC = Math.min(t, MOUNTED_C, fatPartsAtC(pot.value, facts) - UNDER_BREAK_K);
    const mounted = atTemperature(pot.value, degC(Math.max(pot.value.temperatureC, keptC)));
    const warnings: Warning[] =
      t < LUMPS_BELOW_C
        ? [
            {
              code: "BUTTER_SETS",
              message: `At ${Math.round(t)} °C the butter stays in lumps: warm the sauce to 60–80 °C first.`,
            },
          ]
        : [];
    return ok(
      outcome(mounted, vessel, minutes(step.durationMin * facts.handTimes), {
        warnings,
        computed: takenOut("lost as steam", potMass(context.pot) - potMass(stood.value.pot)),
      }),
    );
  },
});
