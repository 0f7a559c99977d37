import { addIngredient, drain, exitMass, solidsMass } from "../../things/pot";
import { degC, g, minutes } from "../../ground/quantity";
import { ok, refuse } from "../../ground/result";
import { drainedMass } from "../../laws/puree";
import { simmerSolids } from "../../laws/stock";
import { defineStep, outcome, takenOut } from "./kind";
import { flag, number, time, vessel } from "./field";
import { addLines, inField, atTemperature, nearBoilC, workingVessel } from "./shared";

const fields = {
  durationMin: time(),
  /** Water for each gram of what is blanched. */
  waterPerG: number("Water per g", "g", 0.5, 20),
  /** Into iced water afterwards. */
  ice: flag("then into ice"),
  vesselId: vessel(),
};

/** As cold as iced water leaves it, °C. Common practice, no source. */
const ICED_C = degC(5);

/** A short boil whose water is thrown away: bones lose their scum, greens keep their colour. */
export const blanch = defineStep({
  kind: "blanch",
  label: "Blanch",
  fields,
  blank: id => ({ id, kind: "blanch" as const, lines: [], durationMin: 3, waterPerG: 4, ice: false }),
  title: (_step, names) => (names.length ? `Blanch the ${names.join(", ")}` : "Blanch"),
  detail: step =>
    `${step.durationMin} min at the boil, the water goes${step.ice ? "; straight into ice" : ""}`,
  cue: "bones: grey scum has risen and stopped; greens: bright, still with bite",
  why: "Blood and scum leave with the first water, and do not cloud the stock.",
  cautions: step =>
    step.ice
      ? ["Drinking-water ice only; clean hands and scoop."]
      : ["Boiling water: drain away from yourself."],
  place: "fire",
  attention: "watch",
  takesLines: true,
  endsAtMark: false,
  timeHangsOnMain: true,
  heard: { begins: true },
  apply: context => {
    const { step, facts } = context;
    const water = context.ingredientById("water");
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    if (!water || added.value.solids.length === 0)
      return refuse({
        code: "EMPTY",
        field: context.field,
        message: "There is nothing here to blanch. Put bones or greens in first.",
      });
    const waterG = g(step.waterPerG * solidsMass(added.value));
    const bath = addIngredient(added.value, water, waterG, {
      id: `${step.id}-water`,
      temperatureC: nearBoilC(context.around),
    });
    if (!bath.ok) return bath;
    const vessel = workingVessel(context, bath.value, step.vesselId);
    if (!vessel.ok) return vessel;
    const given = simmerSolids(bath.value, minutes(step.durationMin), nearBoilC(context.around), facts);
    if (!given.ok) return refuse(...inField(context.field, given.problems));
    const drained = drain(given.value, part => drainedMass(part, facts), 0);
    if (!drained.ok) return drained;
    const gone = g(exitMass(drained.value, "drained") - exitMass(context.pot, "drained"));
    const pot = atTemperature(drained.value, step.ice ? ICED_C : nearBoilC(context.around));
    return ok(
      outcome(pot, vessel.value, minutes(step.durationMin * facts.handTimes), {
        // It is gone before anybody eats: the water of no recipe, and so of no ingredient.
        computed: [
          { what: "water to blanch in", massG: waterG, way: "in" },
          ...takenOut("blanching water", gone),
        ],
      }),
    );
  },
});
