import type { Ingredient } from "../../things/larder";
import { type PotState, liquorMass, potMass, volumeAt20 } from "../../things/pot";
import {
  type Celsius,
  type Grams,
  type Millilitres,
  type Millimetres,
  type Seconds,
  ml,
  s,
} from "../../ground/quantity";
import type { TracePoint } from "../../laws/reduction";
import type { Warning } from "../../ground/result";
import type { DipMark, Vessel } from "../../things/vessel";
import { type PotBody, bodyOfPot } from "./body";
import { costOfIngredient } from "./ingredient-cost";
import type { Kitchen } from "./kitchen";
import { asRead } from "./learned-body";
import { type LineAmount, lineAmountOf } from "./line-amounts";
import type { Computed, Fire, OtherVessel, ResolvedLine, StepOutcome } from "../steps/kind";
import type { Step } from "../steps";
import type { LineSoFar, StateAfterStep } from "./walked";
import { levelIn } from "../steps/shared";

/** What is known after a step, from what the step did and where the line stood before it. */
export function stateAfter(
  step: Step,
  done: StepOutcome,
  lines: readonly ResolvedLine[],
  warnings: readonly Warning[],
  sources: ReadonlyMap<string, Ingredient>,
  from: LineSoFar,
  kitchen: Kitchen,
): StateAfterStep {
  const { pot, vessel } = done;
  let cost = from.cost;
  for (const line of lines) cost += costOfIngredient(line.ingredient, line.massG) ?? 0;
  return new KnownState(
    step,
    pot,
    vessel,
    done.elsewhere,
    potMass(pot),
    liquorMass(pot) > 0 ? ml(volumeAt20(pot.liquor) + pot.natures.airMl) : null,
    pot.temperatureC,
    done.durationS,
    s(from.clockS + done.durationS),
    levelIn(pot, vessel, kitchen.facts),
    lines.map((line, i) => lineAmountOf(line, step.lines[i], from.baseG)),
    sources,
    done.computed,
    warnings.length ? [...warnings, ...done.warnings] : done.warnings,
    done.course,
    done.mark,
    done.bulkLevelMm,
    done.fire,
    done.says,
    cost,
    once(() => asRead(bodyOfPot(pot, from.servedC, kitchen.facts), kitchen.learnedBody.get(from.family))),
  );
}

/** The same state with more to say of it. @param broken what parted or curdled has no body any more */
export const withDoubts = (
  state: StateAfterStep,
  more: readonly Warning[],
  broken: boolean,
): StateAfterStep =>
  new KnownState(
    state.step,
    state.pot,
    state.vessel,
    state.elsewhere,
    state.massG,
    state.volumeMl,
    state.temperatureC,
    state.durationS,
    state.clockS,
    state.levelMm,
    state.lines,
    state.sources,
    state.computed,
    [...state.warnings, ...more],
    state.course,
    state.mark,
    state.bulkLevelMm,
    state.fire,
    state.says,
    state.cost,
    () => (broken ? null : state.body),
  );

/** One shape for all states: a getter in an object literal gives each its own, and slows every reader down. */
class KnownState implements StateAfterStep {
  readonly #body: () => PotBody | null;
  constructor(
    readonly step: Step,
    readonly pot: PotState,
    readonly vessel: Vessel | null,
    readonly elsewhere: OtherVessel | undefined,
    readonly massG: Grams,
    readonly volumeMl: Millilitres | null,
    readonly temperatureC: Celsius,
    readonly durationS: Seconds,
    readonly clockS: Seconds,
    readonly levelMm: Millimetres | null,
    readonly lines: readonly LineAmount[],
    readonly sources: ReadonlyMap<string, Ingredient>,
    readonly computed: readonly Computed[],
    readonly warnings: readonly Warning[],
    readonly course: readonly TracePoint[],
    readonly mark: DipMark | undefined,
    readonly bulkLevelMm: number | undefined,
    readonly fire: Fire | undefined,
    readonly says: string | undefined,
    readonly cost: number,
    body: () => PotBody | null,
  ) {
    this.#body = body;
  }
  /** The dearest figure of all, and often nobody looks at it: worked out when it is asked for. */
  get body(): PotBody | null {
    return this.#body();
  }
}

/** Works something out at the first asking, and remembers it. */
function once<T>(work: () => T): () => T {
  let known: { readonly value: T } | null = null;
  return () => (known ??= { value: work() }).value;
}
