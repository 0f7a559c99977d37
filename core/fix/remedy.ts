import type { FactValues } from "../facts";
import { ACID_IDS, type SauceState, bodyOf, fatPctOf, massOfSauce, saltPctOf } from "../texture";

/** What the sauce is once a remedy is done. */
export interface After {
  readonly massG: number;
  readonly saltPct: number;
  readonly fatPct: number;
  readonly acidPct: number;
  readonly sugarPct: number;
  /** 0–100; `null` where the model does not reach. */
  readonly thickness: number | null;
}

export interface Remedy {
  readonly what: string;
  /** Grams to add; negative: to take out or boil off; 0: nothing by weight. */
  readonly addG: number;
  /** What is done first, second … */
  readonly order: readonly string[];
  readonly after: After;
  /** What it does besides, and what it cannot mend. */
  readonly besides: readonly string[];
  /** What goes in, by its id in the larder, g; water is not counted. */
  readonly brings: Readonly<Record<string, number>>;
}

export interface FixTarget {
  readonly thickness?: number;
  readonly saltPct?: number;
  readonly acidPct?: number;
  readonly fatPct?: number;
  /** Mass it should have had, g. */
  readonly massG?: number;
}

export interface FixInput {
  readonly state: SauceState;
  readonly temperatureC: number;
  readonly target: FixTarget;
}

/** All acids of a sauce, per cent of its mass. */
export const acidPctOf = (s: SauceState): number =>
  (100 * ACID_IDS.reduce((sum, id) => sum + (s.acids[id] ?? 0), 0)) / massOfSauce(s);

export function afterOf(state: SauceState, temperatureC: number, facts: FactValues): After {
  const body = bodyOf(state, temperatureC, facts);
  return {
    massG: massOfSauce(state),
    saltPct: saltPctOf(state),
    fatPct: fatPctOf(state),
    acidPct: acidPctOf(state),
    sugarPct: (100 * state.sugarG) / massOfSauce(state),
    thickness: body.ok ? body.value.thickness : null,
  };
}
