import {
  type PotState,
  evaporate,
  massOfPools,
  potMass,
  volumeAt,
  volumeAt20,
  volumeMlOf,
} from "../../things/pot";
import { g, ml, s } from "../../ground/quantity";
import { type Result, ok, refuse } from "../../ground/result";
import { type EndPoint, type Rapid, foamsUp, heatIntoPan, rapid, simulateToGoal } from "../../laws/reduction";
import { dipMark, geometryOfVessel } from "../../things/vessel";
import { type StepContext, defineStep, missingVessel, outcome } from "./kind";
import { type ReductionEnd, endInWords, endPointIn } from "./reduction-end";
import { burner as burnerField, end, opening, openingIfAny, vessel } from "./field";
import {
  addLines,
  inField,
  atTemperature,
  bystanders,
  displacedIn,
  namedVessel,
  simmeredMin,
  workingVessel,
} from "./shared";

const fields = {
  target: end("Reduce by or to"),
  /** How far the burner is opened. */
  setting: openingIfAny("Flame", "as it goes best"),
  burnerId: burnerField("Burner", "the strongest free one"),
  /** Share of the pot over the heat. */
  overlap: opening("Pot over the fire"),
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
  heard: {
    as: [/\b(reduce(?! (?:the )?(?:heat|flame|fire))|boil down|almost dry|au sec)\b/],
    next: ["reduce", "boil down"],
  },
  apply: context => {
    const { step, facts } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const pot = added.value;
    const found = endPointIn(step.target, pot, facts, `${context.field}.target`);
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
    const end = simulateToGoal({
      liquor: pot.liquor,
      temperatureC: pot.temperatureC,
      vessel: geometry,
      displacedMl: displaced,
      heatCapacityJPerK: bystanders(pot, vessel),
      drive: { watts: flame.value },
      surface: "stirred",
      lid: "off",
      around: context.around,
      goal,
      facts,
      trace: context.trace,
    });
    if (!end.ok) return refuse(...inField(context.field, end.problems));
    const steamed = evaporate(pot, end.value.vapour);
    if (!steamed.ok) return steamed;
    const { temperatureC, endS, boilS } = end.value;
    const reduced = atTemperature(
      steamed.value,
      temperatureC,
      simmeredMin(pot.temperatureC, temperatureC, endS, boilS),
    );
    // Both ends of the mark are read as hot as the pot will be: the ratio of volumes is the ratio at one temperature.
    const hot = volumeAt(pot.liquor, end.value.temperatureC);
    if (!hot.ok) return hot;
    const remaining = volumeAt20(reduced.liquor) / volumeAt20(pot.liquor);
    const mark = dipMark(geometry, ml(hot.value), remaining, displaced);
    if (!mark.ok) return refuse(...inField(context.field, mark.problems));
    return ok(
      outcome(reduced, vessel, end.value.endS, {
        computed: [{ what: "boiled off", massG: g(potMass(pot) - potMass(reduced)), way: "out" }],
        warnings: end.warnings,
        course: end.value.trace,
        mark: mark.value,
        fire: { burner, setting },
      }),
    );
  },
});

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
  const displaced = displacedIn(pot, facts);
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
    milk: massOfPools(pot.natures.milkDry) > MILKY * massOfPools(pot.liquor),
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

const HOT_C = 95;
const STILL_COLD_C = 30;
/** Milk solids from which a liquor behaves as cream, as a share of it. Our estimate. */
const MILKY = 0.01;

/** What is dissolved, as a share of the liquor once so much of it is left. */
function solidsAt({ liquor }: PotState, left: number): number {
  const mass = left * massOfPools(liquor);
  const solids = massOfPools(liquor) - liquor.water - liquor.ethanol - liquor.fat;
  return mass > 0 ? Math.min(1, solids / mass) : 1;
}
