import {
  NO_POOLS,
  type Pools,
  type Surroundings,
  addPools,
  boilingPointC,
  latentHeatJPerG,
  massOfPools,
  specificHeat,
  volumeAt20,
} from "../../things/pot";
import type { FactValues } from "../../ground/facts";
import { type Celsius, degC, ml } from "../../ground/quantity";
import { type Problem, type Result, type Warning, ok, refuse } from "../../ground/result";
import type { Geometry } from "../../things/vessel";
import { ETHANOL_HEAT_J_PER_G, type Lid, Pan, type PanInput } from "./pan";
import { type Drive, type Simulation, simulateToGoal } from "./simulate";
import type { EndPoint } from "./target";

/** What is in the pan, and how hot the pan is with it. */
export interface Running {
  readonly liquor: Pools;
  readonly temperatureC: Celsius;
}

/**
 * Pours a liquid into a pan that may be hot: the pan and what is in it share their heat with what comes.
 * What would be hotter than its boil hisses off at once, as a deglazed pan does.
 *
 * @param heatCapacityJPerK of the empty pan
 * @returns the mixture and its temperature, at most its boiling point
 * Source: docs/models.md "Evaporation and reduction", adiabatic mixing.
 */
export function pourInto(
  pan: Running,
  added: Running,
  heatCapacityJPerK: number,
  around: Surroundings,
  facts: FactValues,
  vessel: Geometry,
): Running {
  const here = heatOf(pan) + heatCapacityJPerK;
  const there = heatOf(added);
  const mixed = addPools(pan.liquor, added.liquor);
  const total = here + there;
  const t = total > 0 ? (here * pan.temperatureC + there * added.temperatureC) / total : added.temperatureC;
  if (!(mixed.water > 0)) return { liquor: mixed, temperatureC: degC(t) };
  const boils = boilingPointC(mixed, around.pressurePa);
  if (t <= boils) return { liquor: mixed, temperatureC: degC(t) };
  const surplus = (t - boils) * (massOfPools(mixed) * specificHeat(mixed, boils) + heatCapacityJPerK);
  const physics = new Pan(panOf(mixed, vessel, heatCapacityJPerK, around, facts, "off"));
  // The split of the steam at the boil; its heat is what was too much.
  const split = physics.boil(boils, 1000 + physics.lossW(boils));
  const joules = split.w * latentHeatJPerG(boils) + split.e * ETHANOL_HEAT_J_PER_G;
  const seconds = joules > 0 ? surplus / joules : 0;
  const left: Pools = {
    ...mixed,
    water: Math.max(0, mixed.water - split.w * seconds),
    ethanol: Math.max(0, mixed.ethanol - split.e * seconds),
    acidVolatile: Math.max(0, mixed.acidVolatile - split.a * seconds),
  };
  return { liquor: left, temperatureC: degC(left.water > 0 ? boilingPointC(left, around.pressurePa) : t) };
}

const heatOf = ({ liquor, temperatureC }: Running): number => {
  const mass = massOfPools(liquor);
  return mass > 0 ? mass * specificHeat(liquor, temperatureC) : 0;
};

const panOf = (
  liquor: Pools,
  vessel: Geometry,
  heatCapacityJPerK: number,
  around: Surroundings,
  facts: FactValues,
  lid: Lid,
): PanInput => ({
  liquor,
  vessel,
  displacedMl: ml(0),
  heatCapacityJPerK,
  surface: "stirred",
  lid,
  around,
  facts,
});

export interface ChainStep {
  readonly added: Running;
  readonly vessel: Geometry;
  readonly heatCapacityJPerK: number;
  readonly lid: Lid;
  /** Heat and end, worked out from what stands in the pan then, and from what was there before the pouring. */
  readonly drive: (liquor: Pools, vessel: Geometry) => Result<Drive>;
  readonly goal: (liquor: Pools, before: Pools) => Result<EndPoint>;
}

export interface ChainResult {
  readonly startMl: number;
  readonly mixC: Celsius;
  readonly end: Simulation;
}

/**
 * Liquids added one after the other, each reduced before the next: wine, stock, cream.
 *
 * @param panC temperature of the empty pan at the start
 * @errors those of `simulateToGoal`, with the step's number in the field
 * @example 0.3 kg wine to a third, + 0.6 kg stock by half, + 0.2 kg cream by a third → 33.7 min
 */
export function runChain(
  steps: readonly ChainStep[],
  panC: Celsius,
  around: Surroundings,
  facts: FactValues,
): Result<ChainResult[]> {
  let running: Running = { liquor: NO_POOLS, temperatureC: panC };
  const results: ChainResult[] = [];
  const warnings: Warning[] = [];
  for (const [i, step] of steps.entries()) {
    const at = (problems: readonly Problem[]) =>
      problems.map(p => ({ ...p, field: `steps.${i}.${p.field}` }));
    const before = running.liquor;
    const mixed = pourInto(running, step.added, step.heatCapacityJPerK, around, facts, step.vessel);
    const drive = step.drive(mixed.liquor, step.vessel);
    if (!drive.ok) return refuse(...at(drive.problems));
    const goal = step.goal(mixed.liquor, before);
    if (!goal.ok) return refuse(...at(goal.problems));
    const end = simulateToGoal({
      ...panOf(mixed.liquor, step.vessel, step.heatCapacityJPerK, around, facts, step.lid),
      temperatureC: mixed.temperatureC,
      drive: drive.value,
      goal: goal.value,
    });
    if (!end.ok) return refuse(...at(end.problems));
    warnings.push(...end.warnings);
    results.push({ startMl: volumeAt20(mixed.liquor), mixC: mixed.temperatureC, end: end.value });
    running = { liquor: end.value.liquor, temperatureC: end.value.temperatureC };
  }
  return ok(results, warnings);
}
