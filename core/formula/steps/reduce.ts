import {
  type PotState,
  contentsOf,
  evaporate,
  massOfPools,
  potMass,
  specificHeat,
  volumeAt,
  volumeAt20,
  volumeMlOf,
} from "../../things/pot";
import { type Watts, degC, g, minutes, ml, mm, s, watts } from "../../ground/quantity";
import { type Result, type Warning, ok, refuse } from "../../ground/result";
import { heatUpTime } from "../../laws/heat";
import {
  type EndPoint,
  LIDS,
  type Rapid,
  type SimulationInput,
  foamsUp,
  heatIntoPan,
  rapid,
  simulate,
  simulateToGoal,
} from "../../laws/reduction";
import { LACQUER, SERVED_HOT_C, bareBody, setsOnSpoon } from "../../laws/texture";
import { type Vessel, dipMark, geometryOfVessel, vesselHeatCapacity } from "../../things/vessel";
import { type StepContext, defineStep, missingVessel, outcome } from "./kind";
import { type ReductionEnd, SYRUP_WATER, endInWords, endPointIn } from "./reduction-end";
import { sauceOf } from "./as-sauce";
import {
  asThemselves,
  burner as burnerField,
  choiceIfAny,
  end,
  opening,
  openingIfAny,
  timeIfAny,
  vessel,
} from "./field";
import {
  addLines,
  inField,
  isMilky,
  atTemperature,
  bystanders,
  displacedIn,
  namedVessel,
  simmeredMin,
  workingVessel,
} from "./shared";

const fields = {
  target: end("Reduce by or to"),
  /** Whichever comes first: the end, or so many minutes. */
  orAfterMin: timeIfAny("Or after", "no clock"),
  /** How far the burner is opened. */
  setting: openingIfAny("Flame", "as it goes best"),
  burnerId: burnerField("Burner", "the strongest free one"),
  /** Share of the pot over the heat. */
  overlap: opening("Pot over the fire"),
  lid: choiceIfAny("Lid", asThemselves(LIDS), "off"),
  vesselId: vessel("Pot", undefined, "where it goes best"),
};

/** The other wording of the same end, so that by and to are never mixed up. */
const otherWay = (target: ReductionEnd): string => {
  const other = /\((.*)\)/.exec(endInWords(target))?.[1];
  return other ? ("body" in target ? `${other} on the spoon, ` : `that is ${other}, `) : "";
};

/** Boils down to a share, a volume or a mass; ends at a mark on the stick, never at a clock. */
export const reduce = defineStep({
  kind: "reduce",
  label: "Reduce",
  fields,
  blank: id => ({ id, kind: "reduce" as const, lines: [], target: { to: 0.5 }, overlap: 1 }),
  title: step => `Reduce ${endInWords(step.target).replace(/ \(.*/, "")}`,
  detail: step => `${otherWay(step.target)}${step.overlap < 1 ? "partly off the fire, " : ""}skim`,
  cue: "bubbles grow large and slow, the spoon leaves a line that closes in two seconds",
  why: "Water leaves and everything else stays: taste, salt and body all climb together.",
  cautions: () => [
    "Do not salt yet: all the salt stays while the water leaves.",
    "Boiling liquor spits as it thickens: lower the flame towards the mark.",
  ],
  place: "fire",
  steams: "to the end",
  attention: "look in",
  takesLines: true,
  endsAtMark: true,
  cooks: true,
  rule: "ṁ = (Q − Q loss) / h fg",
  apply: context => {
    const { step, facts } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const pot = added.value;
    const browns = "stopC" in step.target && isFat(pot) ? step.target.stopC : null;
    const driesTo: ReductionEnd = browns === null ? step.target : { dry: "hisses" };
    const found = endPointIn(driesTo, pot, context.around.pressurePa, facts, `${context.field}.target`);
    if (!found.ok) return found;
    const goal = found.value;
    if (!goal) return thereAlready(context, pot);
    const place = placeFor(context, pot, goal);
    if (!place.ok) return place;
    const { vessel, burner, setting } = place.value;
    const geometry = geometryOfVessel(vessel);
    const flame = heatIntoPan(
      { kind: burner.kind, setting, overlap: step.overlap },
      geometry.baseDiameterMm,
      facts,
    );
    if (!flame.ok) return refuse(...inField(context.field, flame.problems));
    const displaced = displacedIn(pot, facts);
    const boilsDown: SimulationInput = {
      liquor: pot.liquor,
      temperatureC: pot.temperatureC,
      vessel: geometry,
      displacedMl: displaced,
      heatCapacityJPerK: bystanders(pot, vessel),
      drive: { watts: watts(flame.value * context.paceOf(burner.id, vessel.id)) },
      surface: "stirred",
      lid: step.lid ?? "off",
      around: context.around,
      goal,
      facts,
      trace: context.trace,
      ...("stopC" in step.target && { dryShare: SYRUP_WATER / 2 }),
    };
    const first = step.orAfterMin ? { ...boilsDown, mostS: minutes(step.orAfterMin) } : boilsDown;
    const toGoal = simulateToGoal(first);
    const byClock = !toGoal.ok && step.orAfterMin && toGoal.problems[0]?.code === "NOT_REACHED";
    const end = byClock ? simulate({ ...first, goal: "time" }) : toGoal;
    if (!end.ok) return refuse(...inField(context.field, end.problems));
    const steamed = evaporate(pot, end.value.vapour);
    if (!steamed.ok) return steamed;
    const { temperatureC, endS, boilS } = end.value;
    const reduced = atTemperature(
      steamed.value,
      temperatureC,
      simmeredMin(pot.temperatureC, temperatureC, endS, boilS),
    );
    const warnings = byClock ? [...end.warnings, CLOCK_FIRST] : end.warnings;
    if (browns !== null) {
      const browned = brownFat(context, reduced, vessel, flame.value, browns);
      if (!browned.ok) return refuse(...inField(context.field, browned.problems));
      return ok(
        outcome(browned.value.pot, vessel, s(endS + browned.value.durationS), {
          computed: [{ what: "boiled off", massG: g(potMass(pot) - potMass(reduced)), way: "out" }],
          warnings,
          course: end.value.trace,
          fire: { burner, setting },
        }),
      );
    }
    // Both ends of the mark are read as hot as the pot will be: the ratio of volumes is the ratio at one temperature.
    const hot = volumeAt(pot.liquor, end.value.temperatureC);
    if (!hot.ok) return hot;
    const remaining = volumeAt20(reduced.liquor) / volumeAt20(pot.liquor);
    const mark = dipMark(geometry, ml(hot.value), remaining, displaced);
    if (!mark.ok) return refuse(...inField(context.field, mark.problems));
    return ok(
      outcome(reduced, vessel, end.value.endS, {
        computed: [{ what: "boiled off", massG: g(potMass(pot) - potMass(reduced)), way: "out" }],
        warnings,
        course: end.value.trace,
        ...(setsOnSpoon(bareBody(sauceOf(reduced, facts), SERVED_HOT_C, facts)) && { says: LACQUER }),
        mark: mark.value,
        fire: { burner, setting },
      }),
    );
  },
});

const CLOCK_FIRST: Warning = {
  code: "CLOCK_FIRST",
  message: "The clock comes first: the end itself is not reached by then.",
};

/** Mostly fat: what is boiled off is its water, and then the fat itself gets hot. */
const isFat = (pot: PotState): boolean => pot.floatFatG > massOfPools(pot.liquor);

/** Fat whose water is gone goes on to a temperature: butter browns. */
function brownFat(
  context: StepContext<unknown>,
  pot: PotState,
  vessel: Vessel,
  flame: Watts,
  toC: number,
): Result<{ readonly pot: PotState; readonly durationS: number }> {
  const area = geometryOfVessel(vessel).surfaceMm2(mm(0)) * 1e-6;
  const all = contentsOf(pot);
  const time = heatUpTime({
    heatJPerK: massOfPools(all) * specificHeat(all, pot.temperatureC) + vesselHeatCapacity(vessel),
    lossWPerK: context.facts.topLossOpen * area,
    heatW: watts(Math.max(50, flame * LOWERED)),
    fromC: degC(Math.min(toC, FAT_IS_DRY_C)),
    toC: degC(toC),
    ambientC: context.around.ambientC,
  });
  return time.ok ? ok({ pot: atTemperature(pot, degC(toC)), durationS: time.value }) : time;
}

/** As hot as fat is when its last water leaves, °C. */
const FAT_IS_DRY_C = 105;

/** The flame is lowered once the foam falls: butter goes from brown to black in seconds. Common practice, no source. */
const LOWERED = 0.4;

/** Nothing is boiled off where the end is reached before it begins; that is said. */
function thereAlready(
  context: StepContext<{ target: ReductionEnd; vesselId?: string | undefined }>,
  pot: PotState,
) {
  const vessel = workingVessel(context, pot, context.step.vesselId);
  if (!vessel.ok) return vessel;
  return ok(
    outcome(pot, vessel.value, s(0), {
      warnings: [
        {
          code: "THERE_ALREADY",
          message: `It is there already: nothing to reduce ${endInWords(context.step.target)}.`,
        },
      ],
    }),
  );
}

interface Told {
  readonly setting?: number | undefined;
  readonly burnerId?: string | undefined;
  readonly vesselId?: string | undefined;
}

/** Pan, burner and flame: as the cook has said, and where nothing is said as it goes best. */
function placeFor(context: StepContext<Told>, pot: PotState, goal: EndPoint): Result<Rapid> {
  const { step, facts } = context;
  const named = step.burnerId === undefined ? null : context.burners.find(b => b.id === step.burnerId);
  if (named === undefined)
    return refuse({
      code: "UNKNOWN_ID",
      field: `${context.field}.burnerId`,
      value: step.burnerId,
      message: "This kitchen has no such burner any more; choose another.",
    });
  const burners = named ? [named] : context.burners;
  const displaced = ml(displacedIn(pot, facts) + pot.floatFatG / FAT_G_PER_ML);
  const start = ml(volumeMlOf(pot.liquor, HOT_C) + displaced);
  const left =
    "ml" in goal ? goal.ml / volumeAt20(pot.liquor) : "g" in goal ? goal.g / massOfPools(pot.liquor) : 1;
  const told = step.vesselId ? namedVessel(context, step.vesselId, null) : ok(null);
  if (!told.ok) return told;
  // What stands in it is not tipped over into another pan.
  const stays = told.value ?? (pot.solids.length ? context.vessel : null);
  const best = rapid({
    startMl: start,
    endMl: ml(left * volumeMlOf(pot.liquor, HOT_C) + displaced),
    foams: foamsUp(pot.liquor),
    milk: isMilky(pot),
    binds: pot.natures.starches.length > 0 || massOfPools(pot.natures.pureeDry) > 0,
    endSolids: solidsAt(pot, left),
    vessels: stays ? [stays] : context.vessels.filter(v => !v.closed && (v.use === "pot" || v.use === "pan")),
    burners,
    // What is cold was only just poured together: the pan it stands in is nobody’s choice yet.
    inHand: pot.temperatureC > STILL_COLD_C ? context.vessel : null,
  });
  if (best) return ok({ ...best, setting: step.setting ?? best.setting });
  // Fuller than anybody would fill it: then it is at least a pot that holds it, and the step says that it overflows.
  const working = workingVessel(context, pot, step.vesselId);
  if (!working.ok) return working;
  const burner = named ?? context.burner;
  return burner
    ? ok({ vessel: working.value, burner, setting: step.setting ?? 1 })
    : refuse(missingVessel(context.field, "A reduction"));
}

/** Of melted fat. */
const FAT_G_PER_ML = 0.9;

const HOT_C = 95;
const STILL_COLD_C = 30;

/** What is dissolved, as a share of the liquor once so much of it is left. */
function solidsAt({ liquor }: PotState, left: number): number {
  const mass = left * massOfPools(liquor);
  const solids = massOfPools(liquor) - liquor.water - liquor.ethanol - liquor.fat;
  return mass > 0 ? Math.min(1, solids / mass) : 1;
}
