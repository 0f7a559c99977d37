import {
  type PotState,
  SHELF_TEMPERATURE_C,
  eggMass,
  emulsify,
  liquorMass,
  massOfPools,
  volumeMlOf,
} from "../../things/pot";
import { degC, minutes, printNumber } from "../../ground/quantity";
import { type Warning, ok, refuse } from "../../ground/result";
import { ANYTHING_DEEP, choice, number, temperatureIfAny, time, vessel } from "./field";
import { defineStep, outcome } from "./kind";
import { addLines, atTemperature, workingVessel } from "./shared";

const TOOLS = { whisk: "whisk", machine: "machine", "stick blender": "stick blender", siphon: "siphon" };

const fields = {
  tool: choice("With", TOOLS),
  /** By air, per cent of the liquor's volume. */
  growsPct: number("Grows by", "%", 5, 500),
  /** Over a bain-marie meanwhile. */
  toC: temperatureIfAny("Warmed to", 40, 90, "not at all"),
  durationMin: time(),
  vesselId: vessel("In", ANYTHING_DEEP),
};

/** What goes in comes out of the cold, °C. */
const COLD_C = degC(5);
/** Cream holds air from this fat on, g per g, and below this temperature, °C. Common practice, no source. */
const CREAM_FAT = 0.28;
const CREAM_C = 10;
/** By its fat alone cream about doubles, per cent. Common practice, no source. */
const CREAM_GROWS_PCT = 120;
/** Egg, gelatin and lecithin that hold a foam, g per g. Our estimates. */
const HOLDS = { egg: 0.05, gelatin: 0.01, lecithin: 0.003 } as const;

/** Beats air in: whipped cream, a sabayon, a foam. What is whipped stands by its air, and only for a while. */
export const whip = defineStep({
  kind: "whip",
  label: "Whip",
  fields,
  blank: id => ({
    id,
    kind: "whip" as const,
    lines: [],
    tool: "whisk" as const,
    growsPct: 80,
    durationMin: 5,
  }),
  title: (_step, names) => (names.length ? `Whip the ${names.join(", ")}` : "Whip"),
  detail: step =>
    `${step.tool}, until it has grown by ${printNumber(step.growsPct)} %${step.toC === undefined ? "" : `, over a bain-marie to ${step.toC} °C`}`,
  cue: "it holds the track of the whisk; stop before it looks dry",
  cautions: step => [
    ...(step.tool === "siphon"
      ? ["Siphon: filled to its mark at most; let all pressure out before it is opened."]
      : []),
    ...(step.toC === undefined ? [] : ["Over steam: bowl held with a cloth, the whisk never resting."]),
  ],
  place: step => (step.toC === undefined ? "bench" : "fire"),
  attention: "watch",
  takesLines: true,
  endsAtMark: false,
  finishes: true,
  keepsAir: true,
  rule: "V = V liquor · (1 + growth)",
  apply: context => {
    const { step, facts } = context;
    const added = addLines(context.pot, context.lines, context.field, COLD_C);
    if (!added.ok) return added;
    if (liquorMass(added.value) <= 0 && added.value.floatFatG <= 0)
      return refuse({
        code: "EMPTY",
        field: context.field,
        message: "There is nothing here to whip: put cream, yolks or the sauce in first.",
      });
    const bound = emulsify(added.value, added.value.floatFatG);
    if (!bound.ok) return bound;
    const warm =
      step.toC === undefined
        ? bound.value
        : atTemperature(bound.value, degC(Math.max(step.toC, bound.value.temperatureC)));
    const airMl = (step.growsPct / 100) * volumeMlOf(warm.liquor, Math.max(0, warm.temperatureC));
    const pot = { ...warm, natures: { ...warm.natures, airMl, isSet: false } };
    const bowl = workingVessel(context, pot, step.vesselId, context.vessel ? ANYTHING_DEEP : ["container"]);
    if (!bowl.ok) return bowl;
    return ok(
      outcome(pot, bowl.value, minutes(step.durationMin * facts.handTimes), {
        warnings: doubtsOf(warm, step.growsPct),
      }),
    );
  },
});

/** Whether anything in it holds the air, and as much of it. */
function doubtsOf(pot: PotState, growsPct: number): Warning[] {
  const mass = liquorMass(pot);
  const { natures: c, liquor } = pot;
  const holds =
    eggMass(c) >= HOLDS.egg * mass ||
    liquor.collagen >= HOLDS.gelatin * mass ||
    (c.phases.lecithin ?? 0) >= HOLDS.lecithin * mass;
  if (holds) return [];
  const cream = massOfPools(c.milkDry) > 0 && liquor.fat >= CREAM_FAT * mass;
  if (!cream)
    return [
      {
        code: "HOLDS_NO_AIR",
        message: `Nothing in it holds air: that takes cream of ${100 * CREAM_FAT} % fat or more, egg, gelatin or lecithin.`,
      },
    ];
  // What an earlier step put in is reckoned as warm as the shelf, wherever it stood.
  if (pot.temperatureC > SHELF_TEMPERATURE_C)
    return [
      {
        code: "HOLDS_NO_AIR",
        message: `At ${printNumber(pot.temperatureC)} °C cream turns to butter under the whisk: below ${CREAM_C} °C, bowl and all.`,
      },
    ];
  return growsPct > CREAM_GROWS_PCT
    ? [
        {
          code: "HOLDS_NO_AIR",
          message: `Cream about doubles; ${printNumber(growsPct)} % more takes egg, gelatin or a siphon.`,
        },
      ]
    : [];
}
