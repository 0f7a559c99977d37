import {
  type PotState,
  SHELF_TEMPERATURE_C,
  addIngredient,
  liquorMass,
  massOfPools,
  onePool,
  specificHeat,
  sumPools,
  volumeMlOf,
} from "../../pot";
import { type Millilitres, type Millimetres, ml } from "../../quantity";
import { type Problem, type Result, ok, refuse } from "../../result";
import type { FactValues } from "../../facts";
import { type Heap, type Vessel, displacedMl, geometryOfVessel, vesselHeatCapacity } from "../../vessel";
import type { ResolvedLine, StepContext } from "../step-kind";

/** Puts the lines of a step into the pot, each at shelf temperature. */
export function addLines(pot: PotState, lines: readonly ResolvedLine[], field: string): Result<PotState> {
  let state = pot;
  for (const [i, line] of lines.entries()) {
    const added = addIngredient(state, line.ingredient, line.massG, {
      id: line.lineId,
      temperatureC: SHELF_TEMPERATURE_C,
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

/** Liquor and what it surrounds, as hot as it is: what the stick measures. */
export const filledMl = (pot: PotState, facts: FactValues): Millilitres =>
  ml(volumeMlOf(pot.liquor, pot.temperatureC) + displacedIn(pot, facts));

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

/** The vessel a step names, or `fallback` when it names none. @errors UNKNOWN_ID */
export function namedVessel<S>(
  context: StepContext<S>,
  id: string | undefined,
  fallback: Vessel | null,
): Result<Vessel | null> {
  if (!id) return ok(fallback);
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
export const at = (field: string, problems: readonly Problem[]): Problem[] =>
  problems.map(problem =>
    problem.field.startsWith("steps.") ? problem : { ...problem, field: `${field}.${problem.field}` },
  );
