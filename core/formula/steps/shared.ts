import {
  type PotState,
  SHELF_TEMPERATURE_C,
  type Surroundings,
  addIngredient,
  evaporate,
  heatNatures,
  meltCheese,
  saturationTemperature,
  liquorMass,
  massOfPools,
  onePool,
  specificHeat,
  sumPools,
  volumeMlOf,
} from "../../things/pot";
import {
  type Celsius,
  type Millilitres,
  type Millimetres,
  type Seconds,
  degC,
  minutes,
  ml,
  s,
  watts,
} from "../../ground/quantity";
import { type Problem, type Result, type Warning, ok, refuse, valueOf } from "../../ground/result";
import {
  type Lid,
  type SimulationInput,
  type Surface,
  type TracePoint,
  heatIntoPan,
  simulate,
  simulateToGoal,
} from "../../laws/reduction";
import type { FactValues } from "../../ground/facts";
import {
  type Heap,
  type Vessel,
  bySize,
  displacedMl,
  geometryOfVessel,
  smallestForLiquid,
  vesselHeatCapacity,
} from "../../things/vessel";
import type { ResolvedLine, StepContext } from "./kind";

/** Puts the lines of a step into the pot, each at shelf temperature unless said otherwise. */
export function addLines(
  pot: PotState,
  lines: readonly ResolvedLine[],
  field: string,
  temperatureC: Celsius = SHELF_TEMPERATURE_C,
): Result<PotState> {
  let state = pot;
  for (const [i, line] of lines.entries()) {
    const added = addIngredient(state, line.ingredient, line.massG, {
      id: line.lineId,
      temperatureC,
      field: `${field}.lines.${i}.amount`,
    });
    if (!added.ok) return added;
    state = added.value;
  }
  return ok(state);
}

export const heapsOf = (pot: PotState): Heap[] =>
  pot.solids.map(part => ({ kind: part.kind, massG: massOfPools(part.pools) }));

export const displacedIn = (pot: PotState, facts: FactValues): Millilitres =>
  displacedMl(heapsOf(pot), facts);

/** Liquor, the air in it and what it surrounds, as hot as it is: what the stick measures. */
export const filledMl = (pot: PotState, facts: FactValues): Millilitres =>
  ml(volumeMlOf(pot.liquor, Math.max(0, pot.temperatureC)) + pot.natures.airMl + displacedIn(pot, facts));

/** The level, or nothing while there is no liquor. Clipped to the rim. */
export function levelIn(pot: PotState, vessel: Vessel | null, facts: FactValues): Millimetres | null {
  if (!vessel || liquorMass(pot) <= 0) return null;
  return geometryOfVessel(vessel).levelClipped(filledMl(pot, facts));
}

/** Heat capacity of vessel and solids, J/K: what a flame must warm besides the liquor. */
export function bystanders(pot: PotState, vessel: Vessel): number {
  const solids = sumPools([...pot.solids.map(part => part.pools), onePool("fat", pot.floatFatG)]);
  const mass = massOfPools(solids);
  return vesselHeatCapacity(vessel) + (mass > 0 ? mass * specificHeat(solids, pot.temperatureC) : 0);
}

/** Liquor, solids and floating fat to a given temperature, held there for some minutes; starch and yolk remember it. */
export const atTemperature = (pot: PotState, temperatureC: Celsius, heldMin = 0): PotState =>
  meltCheese(
    { ...pot, temperatureC, natures: heatNatures(pot.natures, temperatureC, heldMin) },
    temperatureC,
  );

/** Where starch counts as simmering, °C. Source: docs/models.md "Starch". */
const SIMMERS_C = 85;

/** Minutes of a stretch that were at a simmer: warming up counts from where it passes it, as if it rose evenly. */
export const simmeredMin = (fromC: number, toC: number, durationS: number, boilS: number | null): number => {
  if (toC < SIMMERS_C) return 0;
  if (fromC >= SIMMERS_C) return durationS / 60;
  const rising = boilS ?? durationS;
  return (durationS - (rising * (SIMMERS_C - fromC)) / Math.max(1, toC - fromC)) / 60;
};

/** Where water boils in this kitchen, a degree taken off so that a pot can be kept there. */
export const nearBoilC = (around: Surroundings): Celsius =>
  degC(valueOf(saturationTemperature(around.pressurePa)) - 1);

/** What a stretch on the fire made of a pot. */
export interface Cooked {
  readonly pot: PotState;
  readonly durationS: Seconds;
  readonly course: readonly TracePoint[];
  readonly warnings: readonly Warning[];
}

/**
 * Brings the liquor up to a temperature on the burner; at once when it is there, when there is no burner, or when
 * there is nothing to boil (a dry purée on the board).
 */
export function bringUp<S>(
  context: StepContext<S>,
  pot: PotState,
  vessel: Vessel,
  toC: Celsius,
  setting: number,
  lid: Lid,
): Result<Cooked> {
  const still = { pot: atTemperature(pot, toC), durationS: s(0), course: [], warnings: [] };
  if (!context.burner || pot.temperatureC >= toC || !hasLiquorToHeat(pot)) return ok(still);
  const geometry = geometryOfVessel(vessel);
  const flame = heatIntoPan(
    { kind: context.burner.kind, setting, overlap: 1 },
    geometry.baseDiameterMm,
    context.facts,
  );
  if (!flame.ok) return refuse(...inField(context.field, flame.problems));
  return cooked(context, pot, vessel, {
    drive: { watts: flame.value },
    goal: { temperatureC: toC },
    lid,
    surface: "stirred",
  });
}

/** Keeps the pot at a temperature for a time; steam leaves by the surface and the lid. */
export function keepAt<S>(
  context: StepContext<S>,
  pot: PotState,
  vessel: Vessel,
  how: { readonly holdC: Celsius; readonly min: number; readonly lid: Lid; readonly surface: Surface },
): Result<Cooked> {
  if (!hasLiquorToHeat(pot) || how.min <= 0)
    return ok({
      pot: atTemperature(pot, how.holdC, how.min),
      durationS: minutes(how.min),
      course: [],
      warnings: [],
    });
  return cooked(context, pot, vessel, {
    drive: { holdC: how.holdC },
    goal: "time",
    mostS: minutes(how.min),
    lid: how.lid,
    surface: how.surface,
  });
}

/** Lets the pot stand off the fire, losing heat and a little steam. */
export function letStand<S>(
  context: StepContext<S>,
  pot: PotState,
  vessel: Vessel,
  min: number,
  lid: Lid,
): Result<Cooked> {
  if (!hasLiquorToHeat(pot) || min <= 0)
    return ok({ pot, durationS: minutes(min), course: [], warnings: [] });
  return cooked(context, pot, vessel, {
    drive: { watts: watts(0) },
    goal: "time",
    mostS: minutes(min),
    lid,
    surface: "lazy",
  });
}

/** Less water than this is no liquor to heat: a purée dried on the stove, a bowl of fat. */
const LEAST_WATER_TO_HEAT_G = 5;
/** Drier than this it is flour in a pan, not a liquor: share of water in it. Our estimate. */
const LEAST_WATER_SHARE = 0.25;

const hasLiquorToHeat = ({ liquor }: PotState): boolean =>
  liquor.water >= LEAST_WATER_TO_HEAT_G &&
  liquor.water >= LEAST_WATER_SHARE * (massOfPools(liquor) - liquor.fat);

function cooked<S>(
  context: StepContext<S>,
  pot: PotState,
  vessel: Vessel,
  how: Pick<SimulationInput, "drive" | "goal" | "mostS" | "lid" | "surface">,
): Result<Cooked> {
  const run = how.goal === "time" ? simulate : simulateToGoal;
  const end = run({
    ...how,
    liquor: pot.liquor,
    temperatureC: pot.temperatureC,
    vessel: geometryOfVessel(vessel),
    displacedMl: displacedIn(pot, context.facts),
    heatCapacityJPerK: bystanders(pot, vessel),
    around: context.around,
    facts: context.facts,
    trace: context.trace,
  });
  if (!end.ok) return refuse(...inField(context.field, end.problems));
  const steamed = evaporate(pot, end.value.vapour);
  if (!steamed.ok) return steamed;
  const held = "holdC" in how.drive ? 0 : null;
  return ok({
    pot: atTemperature(
      steamed.value,
      end.value.temperatureC,
      simmeredMin(pot.temperatureC, end.value.temperatureC, end.value.endS, held ?? end.value.boilS),
    ),
    durationS: end.value.endS,
    course: end.value.trace,
    warnings: end.warnings,
  });
}

/** Two stretches one after the other. */
export const thenCourse = (first: Cooked, second: Cooked): Cooked => ({
  pot: second.pot,
  durationS: s(first.durationS + second.durationS),
  course: [...first.course, ...second.course.map(p => ({ ...p, atS: s(p.atS + first.durationS) }))],
  warnings: [...first.warnings, ...second.warnings],
});

/** A vessel may be filled this far before a cook takes the next one. Common practice, no source. */
const FILLED_AT_MOST = 0.85;

/** Milk solids from which a liquor rises and breaks as milk and cream do, as a share of it. Our estimate. */
const MILKY = 0.01;
/** To a gram of fat: cream has twice as much, butter a third. */
const MILKY_PER_FAT = 0.08;
export function isMilky({ liquor, floatFatG, natures }: PotState): boolean {
  const milkG = massOfPools(natures.milkDry);
  return milkG > MILKY * massOfPools(liquor) && milkG > MILKY_PER_FAT * (liquor.fat + floatFatG);
}

/**
 * The vessel a step works in: the one named, the one at hand while it is large enough, or the smallest that takes
 * what is in it. Where nothing larger is there, the one at hand, and the step says that it overflows.
 */
export function workingVessel<S>(
  context: StepContext<S>,
  pot: PotState,
  id: string | undefined,
  uses: readonly Vessel["use"][] = ["pot", "pan"],
): Result<Vessel> {
  const atHand = context.vessel && uses.includes(context.vessel.use) ? context.vessel : null;
  // What rises like milk stands in a pan that has room for it, as soon as it stands on the fire.
  const rises = isMilky(pot) && !uses.includes("container");
  const most = rises ? context.facts.fillFoam : FILLED_AT_MOST;
  const takes = (vessel: Vessel): boolean =>
    filledMl(pot, context.facts) <= most * geometryOfVessel(vessel).capacityMl;
  const usable = atHand && takes(atHand) ? atHand : null;
  const named = namedVessel(context, id, usable);
  if (!named.ok) return named;
  if (named.value) return ok(named.value);
  const roomy = rises
    ? bySize(context.vessels.filter(v => !v.closed && uses.includes(v.use))).find(takes)
    : undefined;
  if (roomy) return ok(roomy);
  const fits = smallestForLiquid(
    context.vessels.filter(v => !v.closed && uses.includes(v.use)),
    filledMl(pot, context.facts),
    context.facts,
  );
  if (fits.ok) return fits;
  return atHand ? ok(atHand) : refuse(...inField(context.field, fits.problems));
}

/** The vessel a step names, or `fallback` when it names none. @errors UNKNOWN_ID */
export function namedVessel<S>(
  context: StepContext<S>,
  id: string | undefined,
  fallback: Vessel | null,
): Result<Vessel | null> {
  if (!id) return ok(fallback);
  const inUse = context.taken.get(id);
  if (inUse !== undefined)
    return refuse({
      code: "IN_USE",
      field: `${context.field}.vesselId`,
      value: id,
      message: `The ${inUse} stands in that one at this point: choose another pot.`,
    });
  const vessel = context.vessels.find(candidate => candidate.id === id);
  if (vessel) return ok(vessel);
  const problem: Problem = {
    code: "UNKNOWN_ID",
    field: `${context.field}.vesselId`,
    value: id,
    message: "This kitchen has no such pot any more; choose another.",
  };
  return refuse(problem);
}

/** Puts a field path in front of problems that a kernel raised without knowing where it was called. */
export const inField = (field: string, problems: readonly Problem[]): Problem[] =>
  problems.map(problem =>
    problem.field.startsWith("steps.") ? problem : { ...problem, field: `${field}.${problem.field}` },
  );
