import {
  type PotState,
  contentsOf,
  extract,
  massOfPools,
  renderFat,
  solidsMass,
  specificHeat,
} from "../../things/pot";
import { type Watts, degC, g, minutes, printDuration, s, watts } from "../../ground/quantity";
import { type Result, type Warning, ok, refuse } from "../../ground/result";
import type { FactValues } from "../../ground/facts";
import { CORE_SAFE_C, coreLagS, heatUpTime } from "../../laws/heat";
import { heatIntoPan } from "../../laws/reduction";
import { type Vessel, geometryOfVessel, vesselHeatCapacity } from "../../things/vessel";
import { type StepContext, defineStep, outcome } from "./kind";
import { choice, temperature, time, vessel } from "./field";
import { addLines, atTemperature, inField, levelIn, workingVessel } from "./shared";
import { hoursInWords } from "./simmering";

const fields = {
  /** Brought up on the burner either way: an oven as low as this takes hours. */
  where: choice("Then", { oven: "in the oven", burner: "on the burner" }),
  fatC: temperature("Fat held at", 60, 110),
  /** From when the fat is there. */
  durationMin: time(),
  vesselId: vessel("In", ["pot", "pan", "tray"], "what it is in"),
};

/** Brought up slowly, so that nothing fries: share of the burner. Common practice, no source. */
const LOW_FLAME = 0.3;

/** Cooks under fat, hours below the simmer: the meat gives juice and fat, and both stay with it. */
export const confit = defineStep({
  kind: "confit",
  label: "Cook under fat",
  fields,
  blank: id => ({
    id,
    kind: "confit" as const,
    lines: [],
    where: "oven" as const,
    fatC: 88,
    durationMin: 240,
  }),
  title: (_step, names) => (names.length ? `Cook the ${names.join(", ")} under fat` : "Cook under fat"),
  detail: step =>
    `fat at ${step.fatC} °C, ${hoursInWords(step.durationMin)} ${step.where === "oven" ? "in the oven" : "over a low flame"}, covered by fat`,
  cue: "the bone turns in the joint",
  cautions: () => [
    "Up through 60 °C at the core without a pause; the probe says it, not the fat.",
    "Garlic and herbs under fat: in the cold at once, never at room temperature.",
  ],
  place: step => (step.where === "oven" ? "oven" : "fire"),
  ovenC: step => (step.where === "oven" ? step.fatC : null),
  attention: "leave",
  takesLines: true,
  endsAtMark: false,
  cooks: true,
  timeHangsOnMain: true,
  rule: "juice = min(0.45, 0.0085 (T − 48)) · water · (1 − e^(−t/0.75 h))",
  heard: { asksTime: true, asksHeat: true },
  apply: context => {
    const { step, facts } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    if (!added.value.solids.length || added.value.floatFatG <= 0)
      return refuse({
        code: "EMPTY",
        field: context.field,
        message: "To cook under fat there must be something to cook, and fat over it: add both before it.",
      });
    const vessel = workingVessel(context, added.value, step.vesselId, ["pot", "pan", "tray"]);
    if (!vessel.ok) return vessel;
    const up = bringUpFat(context, added.value, vessel.value, step.fatC);
    if (!up.ok) return refuse(...inField(context.field, up.problems));
    const coreS = up.value.coreS;
    const pot = underFat(added.value, step.fatC, step.durationMin / 60, facts);
    const limitS = facts.dangerZoneMin * 60;
    const level = levelIn(added.value, vessel.value, facts);
    const warnings: Warning[] = [
      ...(coreS > limitS
        ? [
            {
              code: "DANGER_ZONE",
              message: `Its core is under ${CORE_SAFE_C} °C for ${printDuration(s(coreS))}, longer than ${printDuration(s(limitS))}: warm the fat first, or cook less at once.`,
            },
          ]
        : []),
      ...(added.value.floatFatG < LEAST_FAT * solidsMass(added.value) && level !== null
        ? [
            {
              code: "NOT_COVERED",
              message: "So little fat does not cover it: what stands out dries and does not keep.",
            },
          ]
        : []),
    ];
    return ok(
      outcome(
        atTemperature(pot, degC(step.fatC), step.durationMin),
        vessel.value,
        s(up.value.upS + step.durationMin * 60),
        {
          computed: [
            {
              what: "juice under the fat",
              massG: g(pot.liquor.water - added.value.liquor.water),
              way: "within" as const,
            },
            {
              what: "fat melted out",
              massG: g(pot.floatFatG - added.value.floatFatG),
              way: "within" as const,
            },
          ].filter(c => c.massG > 0),
          warnings,
          says: `core at ${CORE_SAFE_C} °C after about ${printDuration(minutes(Math.round(coreS / 60)))}`,
        },
      ),
    );
  },
});

/** Fat under this share of the meat leaves some of it bare. Common practice, no source. */
const LEAST_FAT = 0.35;

/** How long fat and meat take to come up, and when the core is past where germs grow. */
function bringUpFat<S>(
  context: StepContext<S>,
  pot: PotState,
  vessel: Vessel,
  toC: number,
): Result<{ readonly upS: number; readonly coreS: number }> {
  const { burner, facts, around } = context;
  const geometry = geometryOfVessel(vessel);
  const flame: Result<Watts> = burner
    ? heatIntoPan({ kind: burner.kind, setting: LOW_FLAME, overlap: 1 }, geometry.baseDiameterMm, facts)
    : ok(watts(USUAL_W));
  if (!flame.ok) return flame;
  const all = contentsOf(pot);
  const heatJPerK = massOfPools(all) * specificHeat(all, pot.temperatureC) + vesselHeatCapacity(vessel);
  const wall = geometry.wallMm2(geometry.levelClipped(geometry.capacityMl)) * 1e-6;
  const until = (c: number): Result<number> =>
    c <= pot.temperatureC
      ? ok(0)
      : heatUpTime({
          heatJPerK,
          lossWPerK: facts.wallLoss * wall * HALF,
          heatW: flame.value,
          fromC: pot.temperatureC,
          toC: degC(c),
          ambientC: around.ambientC,
        });
  const [up, safe] = [until(toC), until(CORE_SAFE_C)];
  if (!up.ok) return up;
  if (!safe.ok) return safe;
  return ok({ upS: up.value, coreS: safe.value + coreLagS(CORE_LAG_MM) });
}

/** A burner nobody has entered, turned low, W. */
const USUAL_W = 1000;
/** Pot filled about half. */
const HALF = 0.5;
/** Half the thickness of a leg, mm. */
const CORE_LAG_MM = 25;

const JUICE_H = 0.75;
const FAT_H = 1.2;
/** Meat gives no juice below this, °C, and never more of its water than this share. */
const GIVES_FROM_C = 48;
const MOST_JUICE = 0.45;

/** What meat gives in some hours under fat: juice, with the salt that is in it, and its own fat. */
function underFat(pot: PotState, fatC: number, hours: number, facts: FactValues): PotState {
  const juice = Math.min(MOST_JUICE, Math.max(0, facts.confitJuice * (fatC - GIVES_FROM_C)));
  return pot.solids.reduce((state, part) => {
    const still = Math.max(0, part.pools.water - (1 - juice) * part.rawWaterG);
    const water = still * (1 - Math.exp(-hours / JUICE_H));
    const salt = part.pools.water > 0 ? (part.pools.salt * water) / part.pools.water : 0;
    const fat =
      Math.max(0, part.pools.fat - (1 - facts.confitFat) * part.rawFatG) * (1 - Math.exp(-hours / FAT_H));
    return renderFat(extract(state, part.id, { water, salt }), part.id, g(fat));
  }, pot);
}
