import { dryPart, massOfPools, renderFat } from "../../things/pot";
import { degC, g, minutes } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome } from "./kind";
import { temperature, time, vessel } from "./field";
import { addLines, namedVessel } from "./shared";

const fields = {
  ovenC: temperature("Oven", 60, 300),
  durationMin: time(),
  vesselId: vessel("On", ["tray", "pan", "pot"], "a tray"),
};

/** What comes out of the oven is about as hot as its juices, °C. Common practice, no source. */
const HOT_FROM_OVEN_C = degC(95);

/** Browns bones in the oven: water leaves, fat runs into the tray. */
export const roast = defineStep({
  kind: "roast",
  label: "Roast",
  fields,
  blank: id => ({ id, kind: "roast" as const, lines: [], ovenC: 200, durationMin: 50 }),
  title: (_step, names) => (names.length ? `Roast the ${names.join(", ")}` : "Roast"),
  detail: step => `${step.ovenC} °C, turn half-way`,
  cue: "even deep brown, no black edges; the tray smells of roast, not of smoke",
  cautions: () => [
    "Hot handles and tray edges: keep a cloth on them until they are cold.",
    "Fat in the tray can flare in a dirty oven; open the door facing away.",
  ],
  place: "oven",
  steams: "to the end",
  attention: "leave",
  takesLines: true,
  endsAtMark: false,
  cooks: true,
  timeHangsOnMain: true,
  fond: "leaves",
  ovenC: step => step.ovenC,
  rule: "loss = share · raw mass; part of it is melted fat",
  heard: {
    as: [/\b(roast|in the oven)\b/],
    next: ["roast"],
    begins: true,
    asksTime: true,
    asksHeat: true,
  },
  apply: context => {
    const { step, facts } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const tray = context.vessels.find(v => v.use === "tray") ?? null;
    const vessel = namedVessel(context, step.vesselId, tray);
    if (!vessel.ok) return vessel;
    let pot = added.value;
    let steam = 0;
    for (const part of pot.solids) {
      const loss = facts.roastLossBones * massOfPools(part.pools);
      const before = massOfPools(pot.exits.vapour);
      pot = renderFat(pot, part.id, g(loss * facts.roastLossFatShare));
      pot = dryPart(pot, part.id, g(loss * (1 - facts.roastLossFatShare)));
      steam += massOfPools(pot.exits.vapour) - before;
    }
    pot = {
      ...pot,
      temperatureC: HOT_FROM_OVEN_C,
      solids: pot.solids.map(part => ({ ...part, roasted: true })),
    };
    return ok(
      outcome(pot, vessel.value, minutes(step.durationMin * facts.handTimes), {
        computed: [{ what: "lost in the oven", massG: g(steam), way: "out" }],
      }),
    );
  },
});
