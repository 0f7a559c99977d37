import type { Ingredient } from "../../things/larder";
import type { PotState } from "../../things/pot";
import type { Celsius, Grams, Millilitres, Millimetres, Seconds } from "../../ground/quantity";
import type { TracePoint } from "../../laws/reduction";
import type { Problem, Warning } from "../../ground/result";
import type { DipMark, Vessel } from "../../things/vessel";
import type { PotBody } from "./body";
import type { LineAmount } from "./line-amounts";
import type { Computed, Fire, OtherVessel } from "../steps/kind";
import { type Step, kindOf } from "../steps";
import { panOf } from "../steps/pan";

/** What a walk along the line knows. */

/** The pot after a step, and what the step did. */
export interface StateAfterStep {
  readonly step: Step;
  /** What the vessel of this step holds. */
  readonly pot: PotState;
  readonly vessel: Vessel | null;
  /** The vessel it gave to or took from, where it did. */
  readonly elsewhere: OtherVessel | undefined;
  readonly massG: Grams;
  /** Liquor at 20 °C, with the air in it; `null` while there is none. */
  readonly volumeMl: Millilitres | null;
  readonly temperatureC: Celsius;
  readonly durationS: Seconds;
  /** Since the start of the line, at the end of this step; a second vessel runs beside the main pot. */
  readonly clockS: Seconds;
  readonly levelMm: Millimetres | null;
  readonly lines: readonly LineAmount[];
  /** Ingredient of each line, products of other formulas included. */
  readonly sources: ReadonlyMap<string, Ingredient>;
  readonly computed: readonly Computed[];
  readonly warnings: readonly Warning[];
  readonly course: readonly TracePoint[];
  readonly mark: DipMark | undefined;
  readonly bulkLevelMm: number | undefined;
  /** Where it stands and how far open, for steps that look for the best. */
  readonly fire: Fire | undefined;
  /** What a step came to that its fields do not say. */
  readonly says: string | undefined;
  /** Body at the temperature it is eaten at; `null` where there is no liquor, or it is beyond a sauce. */
  readonly body: PotBody | null;
  /** What went in so far cost, in the kitchen’s currency, as purchased; what has no price is left out. */
  readonly cost: number;
}

/** Where the line stood before a step. */
export interface LineSoFar {
  readonly clockS: number;
  readonly cost: number;
  readonly baseG: number;
  readonly servedC: number;
  readonly family: string;
}

export interface Walk {
  readonly states: readonly StateAfterStep[];
  /** Why the walk stopped before the end, if it did. */
  readonly problems: readonly Problem[];
  readonly finishedMl: Millilitres;
  readonly finishedG: Grams;
  readonly totalS: Seconds;
  readonly ingredients: readonly Ingredient[];
}

/** Which state the vessel of a step was in before it; −1 where the step is its first. Past the end: the main pot's last. */
export function indexBefore(states: readonly StateAfterStep[], index: number): number {
  const pan = panOf(states[index]?.step ?? {});
  for (let i = index - 1; i >= 0; i--) if (panOf(states[i]?.step ?? {}) === pan) return i;
  return -1;
}

/** What the vessel of a step held before it, also where another vessel filled it; `undefined` where it was empty. */
export function potBefore(states: readonly StateAfterStep[], index: number): PotState | undefined {
  const pan = panOf(states[index]?.step ?? {});
  for (let i = index - 1; i >= 0; i--) {
    const state = states[i];
    if (!state) continue;
    if (panOf(state.step) === pan) return state.pot;
    if (state.elsewhere && kindOf(state.step).touches?.(state.step) === pan) return state.elsewhere.pot;
  }
  return undefined;
}

/** What the line ends with: the main pot after its last step. */
export const finalState = (states: readonly StateAfterStep[]): StateAfterStep | undefined =>
  states.findLast(({ step }) => panOf(step) === "");
