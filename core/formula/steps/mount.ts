import { emulsify } from "../../things/pot";
import { degC, minutes } from "../../ground/quantity";
import { type Warning, ok, refuse } from "../../ground/result";
import { defineStep, missingVessel, outcome } from "./kind";
import { time } from "./field";
import { addLines, atTemperature } from "./shared";

const fields = {
  durationMin: time(),
};

/** Butter straight from the cold, °C; window of the mounted sauce, °C. Source: docs/models.md "Butter". */
const COLD_BUTTER_C = degC(5);
const WINDOW_C = { lo: 48, hi: 80 } as const;
/** Where a sauce is kept while butter goes in, °C. Common practice, no source. */
const MOUNTED_C = 60;

/** Swirls cold butter in off the boil; it thickens and shines, and does not take fat away. */
export const mount = defineStep({
  kind: "mount",
  label: "Mount with butter",
  fields,
  blank: id => ({ id, kind: "mount" as const, lines: [], durationMin: 3 }),
  title: (_step, names) => (names.length ? `Mount with ${names.join(", ")}` : "Mount"),
  detail: () => "cold, in cubes, off the boil, the pan moving",
  cue: "glossy, one body, no yellow eyes",
  cautions: () => ["Time is the control from here on: note when it was made; no topping up, no reheating."],
  place: "fire",
  attention: "watch",
  takesLines: true,
  endsAtMark: false,
  finishes: true,
  heard: {
    as: [
      /\b(mount|mont(?:er|ez|e)|swirl in|(?:whisk|beat|whip) in\b[^,.;]*\bbutter|finish with\b[^,.;]*\bbutter)\b/,
    ],
    next: ["mount"],
    puts: true,
  },
  apply: context => {
    const { step, facts, vessel } = context;
    if (!vessel) return refuse(missingVessel(context.field, "Mounting"));
    const added = addLines(context.pot, context.lines, context.field, COLD_BUTTER_C);
    if (!added.ok) return added;
    const pot = emulsify(added.value, added.value.floatFatG);
    if (!pot.ok) return pot;
    // Piece by piece over a low flame: the cold of the butter is given back as it goes in.
    const t = context.pot.temperatureC;
    const kept = atTemperature(pot.value, degC(Math.max(pot.value.temperatureC, Math.min(t, MOUNTED_C))));
    const warnings: Warning[] =
      t > WINDOW_C.hi
        ? [
            {
              code: "BUTTER_TOO_HOT",
              message: `At ${Math.round(t)} °C the butter melts to oil: let the sauce fall to ${WINDOW_C.hi} °C first.`,
            },
          ]
        : t < WINDOW_C.lo
          ? [
              {
                code: "BUTTER_SETS",
                message: `At ${Math.round(t)} °C the butter stays in lumps: warm the sauce to ${WINDOW_C.lo}–${WINDOW_C.hi} °C first.`,
              },
            ]
          : [];
    return ok(outcome(kept, vessel, minutes(step.durationMin * facts.handTimes), { warnings }));
  },
});
