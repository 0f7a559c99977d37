import { type PotState, evaporate, massOfPools, potMass, solidsMass } from "../../things/pot";
import { degC, g, minutes, watts } from "../../ground/quantity";
import { type Result, ok, refuse } from "../../ground/result";
import { type Lid, simulate } from "../../laws/reduction";
import { releaseJuice, simmerSolids } from "../../laws/stock";
import { type Vessel, geometryOfVessel } from "../../things/vessel";
import { type StepContext, type StepOutcome, missingVessel, outcome } from "./kind";
import { atTemperature, bystanders, displacedIn, inField, simmeredMin, workingVessel } from "./shared";

/** From here on what is in it lies in its liquor and cooks there: share of the solids. Our estimate. */
const LIES_IN = 0.5;

/** Whether an oven meets a liquor, with things in it or without, and not things with a little juice under them. */
export const liesInLiquor = (pot: PotState): boolean =>
  pot.liquor.water > 0 && massOfPools(pot.liquor) > LIES_IN * solidsMass(pot);

/** A sauce or a braise stands in the oven: heat comes from all around, steam goes into air that is hot and moist. */
export function standInOven<S>(
  context: StepContext<S>,
  pot: PotState,
  inIt: Vessel | null,
  how: { readonly ovenC: number; readonly min: number; readonly lid: Lid },
): Result<StepOutcome> {
  const { facts } = context;
  const found = inIt ? ok(inIt) : workingVessel(context, pot, undefined, ["pot", "pan", "tray"]);
  if (!found.ok) return refuse(missingVessel(context.field, "The oven"), ...found.problems);
  const vessel = found.value;
  const start = releaseJuice(pot, facts);
  const stood = simulate({
    liquor: start.liquor,
    temperatureC: start.temperatureC,
    vessel: geometryOfVessel(vessel),
    displacedMl: displacedIn(start, facts),
    heatCapacityJPerK: bystanders(start, vessel),
    drive: { watts: watts(0) },
    goal: "time",
    mostS: minutes(how.min),
    surface: start.floatFatG > 0 ? "fat-layer" : "stirred",
    lid: how.lid,
    around: { ...context.around, ambientC: degC(how.ovenC + facts.ovenOff) },
    inOven: true,
    facts,
    trace: context.trace,
  });
  if (!stood.ok) return refuse(...inField(context.field, stood.problems));
  const steamed = evaporate(start, stood.value.vapour);
  if (!steamed.ok) return steamed;
  const { temperatureC, endS, boilS } = stood.value;
  const hotMin = simmeredMin(start.temperatureC, temperatureC, endS, boilS);
  const hot = atTemperature(steamed.value, temperatureC, hotMin);
  const given = simmerSolids(hot, minutes(hotMin), temperatureC, facts);
  if (!given.ok) return refuse(...inField(context.field, given.problems));
  return ok(
    outcome(given.value, vessel, minutes(how.min), {
      computed: [{ what: "lost in the oven", massG: g(potMass(pot) - potMass(given.value)), way: "out" }],
      warnings: [...stood.warnings, ...given.warnings],
      course: stood.value.trace,
    }),
  );
}
