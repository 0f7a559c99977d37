import { potMass } from "../../things/pot";
import { type Vessel, geometryOfVessel } from "../../things/vessel";
import { minutes, mm, printNumber, watts } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { inOven } from "../../laws/drying";
import { LIDS } from "../../laws/reduction";
import { defineStep, outcome } from "./kind";
import { asThemselves, choiceIfAny, countIfAny, temperature, time, vessel } from "./field";
import { inDryHeat, surfaceOf } from "./dry-heat";
import { liesInLiquor, standInOven } from "./oven";
import { addLines, namedVessel } from "./shared";

const fields = {
  ovenC: temperature("Oven", 60, 300),
  durationMin: time(),
  air: choiceIfAny("Air", { still: "still", fan: "fan on" }, "still"),
  lid: choiceIfAny("Lid", asThemselves(LIDS), "off"),
  trays: countIfAny("Trays", "", 1, 60, "as many as it lies flat on"),
  vesselId: vessel("On", ["tray", "pan", "pot"], "a tray"),
};

/** Browns bones in the oven: water leaves, fat runs into the tray. */
export const roast = defineStep({
  kind: "roast",
  label: "Roast",
  fields,
  blank: id => ({ id, kind: "roast" as const, lines: [], ovenC: 200, durationMin: 50 }),
  title: (_step, names) => (names.length ? `Roast the ${names.join(", ")}` : "Roast"),
  detail: step =>
    [
      `${step.ovenC} °C${step.air === "fan" ? ", fan" : ""}`,
      ...(step.lid && step.lid !== "off" ? [`lid ${step.lid}`] : ["turn half-way"]),
      ...(step.trays && step.trays > 1 ? [`on ${step.trays} trays`] : []),
    ].join(", "),
  cue: "even deep brown, no black edges; the tray smells of roast, not of smoke",
  why: "Colour is taste; black edges are bitter, and a stock concentrates them.",
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
  rule: "(u₀ − u)/R + (τ/θ) ln(u₀/u) = t",
  heard: { begins: true, asksTime: true, asksHeat: true },
  apply: context => {
    const { step, facts } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    // What stands in a pan goes into the oven in it.
    const inHand = potMass(context.pot) > 0 && context.vessel?.use !== "container" ? context.vessel : null;
    const tray = inHand ?? context.vessels.find(v => v.use === "tray") ?? null;
    const vessel = namedVessel(context, step.vesselId, tray);
    if (!vessel.ok) return vessel;
    const pot = added.value;
    const lid = step.lid ?? "off";
    const min = step.durationMin * facts.handTimes;
    if (liesInLiquor(pot)) return standInOven(context, pot, vessel.value, { ovenC: step.ovenC, min, lid });
    const surface = surfaceOf(pot.solids, facts);
    const baseM2 = vessel.value ? trayM2(vessel.value) : surface;
    const flat = baseM2 > 0 ? Math.round(surface / (facts.ovenOverTray * baseM2)) : 1;
    const trays = step.trays ?? Math.min(context.ovenTrays, Math.max(1, flat));
    const heating = inOven(
      { ovenC: step.ovenC + facts.ovenOff, fan: step.air === "fan", lid, trayM2: trays * baseM2 },
      surface,
      facts,
    );
    const heated = inDryHeat(pot, heating, min, facts, {
      netW: watts(heating.watts),
      where: "in the oven",
    });
    if (!heated.ok) return heated;
    return ok(
      outcome(heated.value.pot, vessel.value, minutes(min), {
        computed: heated.value.computed,
        warnings: [
          ...heated.value.warnings,
          ...(step.trays === undefined && trays > 1
            ? [{ code: "TRAYS", message: `Counted on ${printNumber(trays)} trays, in one layer.` }]
            : []),
        ],
      }),
    );
  },
});

/** Base of a tray, m². */
const trayM2 = (tray: Vessel): number => geometryOfVessel(tray).surfaceMm2(mm(0)) * 1e-6;
