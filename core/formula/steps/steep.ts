import { z } from "zod";
import { evaporate } from "../../pot";
import { minutes, watts } from "../../quantity";
import { ok, refuse } from "../../result";
import { simulate } from "../../reduction";
import { geometryOfVessel } from "../../vessel";
import { defineStep, durationMin, missingVessel, outcome, stepFields } from "../step-kind";
import { addLines, at, bystanders, displacedIn } from "./shared";

const schema = z.strictObject({ ...stepFields, kind: z.literal("steep"), durationMin });

/** Draws aromatics off the heat under a lid; what goes in is counted out when straining. */
export const steep = defineStep({
  kind: "steep",
  label: "Steep",
  schema,
  blank: id => ({ id, kind: "steep" as const, lines: [], durationMin: 15 }),
  title: () => "Steep off the fire",
  detail: step => `${step.durationMin} min, lid on; count them in, count them out`,
  cue: "fresh herb smell, not stewed",
  cautions: () => ["Leaves and string come out again: count them before blending or serving."],
  place: "bench",
  steams: true,
  attention: "leave",
  takesLines: true,
  endsAtMark: false,
  apply: context => {
    const { step, facts, vessel } = context;
    if (!vessel) return refuse(missingVessel(context.field, "Steeping"));
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const rested = simulate({
      liquor: added.value.liquor,
      temperatureC: added.value.temperatureC,
      vessel: geometryOfVessel(vessel),
      displacedMl: displacedIn(added.value, facts),
      heatCapacityJPerK: bystanders(added.value, vessel),
      drive: { watts: watts(0) },
      surface: "lazy",
      lid: "on",
      around: context.around,
      goal: "time",
      mostS: minutes(step.durationMin),
      facts,
      trace: context.trace,
    });
    if (!rested.ok) return refuse(...at(context.field, rested.problems));
    const pot = evaporate(added.value, rested.value.vapour);
    if (!pot.ok) return pot;
    return ok(
      outcome({ ...pot.value, temperatureC: rested.value.temperatureC }, vessel, minutes(step.durationMin), {
        course: rested.value.trace,
      }),
    );
  },
});
