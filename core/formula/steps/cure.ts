import { addPools, massOfPools, onePool, solidsMass } from "../../things/pot";
import { degC, g, minutes } from "../../ground/quantity";
import { ok, refuse } from "../../ground/result";
import { defineStep, outcome, takenOut } from "./kind";
import { number, time } from "./field";
import { addLines, atTemperature } from "./shared";

const fields = {
  /** On what is cured, per cent of its weight. */
  saltPct: number("Salt", "%", 0, 12),
  sugarPct: number("Sugar", "%", 0, 12),
  durationMin: time(),
};

/** Cold where a cure stands, °C. */
const COLD_C = degC(4);

/** Salt and sugar rubbed on and rinsed off again; what stays is counted in the salt of everything after. */
export const cure = defineStep({
  kind: "cure",
  label: "Cure",
  fields,
  blank: id => ({ id, kind: "cure" as const, lines: [], saltPct: 2.5, sugarPct: 0.8, durationMin: 960 }),
  title: (_step, names) => (names.length ? `Cure the ${names.join(", ")}` : "Cure"),
  detail: step =>
    `${step.saltPct} % salt${step.sugarPct ? `, ${step.sugarPct} % sugar` : ""}, ${Math.round(step.durationMin / 60)} h in the cold, then rinsed`,
  cue: "firm at the thin end, a puddle of brine under it",
  cautions: () => ["In the cold throughout; rinse and dry before it cooks."],
  place: "cold",
  attention: "leave",
  takesLines: true,
  endsAtMark: false,
  timeHangsOnMain: true,
  apply: context => {
    const { step, facts } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    if (added.value.solids.length === 0)
      return refuse({ code: "EMPTY", field: context.field, message: "There is nothing here to cure." });
    const stays = facts.cureUptake / 100;
    let entered = added.value.entered;
    const solids = added.value.solids.map(part => {
      const mass = massOfPools(part.pools);
      const taken = addPools(
        onePool("salt", mass * step.saltPct * stays),
        onePool("sugars", mass * step.sugarPct * stays),
      );
      entered = addPools(entered, taken);
      return { ...part, pools: addPools(part.pools, taken) };
    });
    const whole = solidsMass(added.value);
    const rub = (what: string, pct: number) =>
      pct > 0 ? [{ what, massG: ((whole * pct) / 100) as typeof whole, way: "in" as const }] : [];
    return ok(
      outcome(
        atTemperature({ ...added.value, solids, entered }, COLD_C),
        context.vessel,
        minutes(step.durationMin),
        {
          computed: [
            ...rub("salt to rub on", step.saltPct),
            ...rub("sugar to rub on", step.sugarPct),
            ...takenOut(
              "rinsed off again",
              g(((whole * (step.saltPct + step.sugarPct)) / 100) * (1 - facts.cureUptake)),
            ),
          ],
        },
      ),
    );
  },
});
