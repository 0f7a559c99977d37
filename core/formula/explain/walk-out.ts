import { type PotState, liquorMass } from "../../things/pot";
import type { Warning } from "../../ground/result";
import { kindOf } from "../steps";
import { type StateAfterStep, type Walk } from "../walk/walked";

/** A step of a walk as plain figures: everything in the pot or on the tray in g, per cents of the liquor. */
export interface StateOut {
  readonly kind: string;
  readonly title: string;
  readonly minutes: number;
  readonly massG: number;
  readonly liquorG: number;
  readonly liquorMl: number | null;
  readonly floatFatG: number;
  readonly temperatureC: number;
  readonly saltPct: number;
  readonly fatPct: number;
  readonly gelatinPct: number;
  readonly sugarPct: number;
  readonly alcoholPct: number;
  /** 0–100; `null` where it has none. */
  readonly body: number | null;
  readonly vessel: string | null;
  /** Name of the second vessel it works in; `null` for the main pot. */
  readonly pan: string | null;
  readonly warnings: readonly Warning[];
}

/** A walk as plain figures, for whoever reads it without Hondaro. */
export interface WalkOut {
  readonly states: readonly StateOut[];
  readonly finishedG: number;
  readonly finishedMl: number;
  readonly totalMin: number;
  readonly problems: readonly string[];
  readonly warnings: readonly Warning[];
}

export const walkOut = (walked: Walk): WalkOut => ({
  states: walked.states.map(stateOut),
  finishedG: walked.finishedG,
  finishedMl: walked.finishedMl,
  totalMin: walked.totalS / 60,
  problems: walked.problems.map(problem => problem.message),
  warnings: walked.states.flatMap(state => state.warnings),
});

const stateOut = (state: StateAfterStep): StateOut => {
  const { pot } = state;
  return {
    kind: state.step.kind,
    title: kindOf(state.step).title(
      state.step,
      state.lines.map(line => line.name),
    ),
    minutes: state.durationS / 60,
    massG: state.massG,
    liquorG: liquorMass(pot),
    liquorMl: state.volumeMl,
    floatFatG: pot.floatFatG,
    temperatureC: state.temperatureC,
    saltPct: ofLiquor(pot, "salt"),
    fatPct: ofLiquor(pot, "fat"),
    gelatinPct: ofLiquor(pot, "collagen"),
    sugarPct: ofLiquor(pot, "sugars"),
    alcoholPct: ofLiquor(pot, "ethanol"),
    body: state.body?.thickness ?? null,
    vessel: state.vessel?.name ?? null,
    pan: state.step.pan ?? null,
    warnings: state.warnings,
  };
};

const ofLiquor = (pot: PotState, name: keyof PotState["liquor"]): number => {
  const mass = liquorMass(pot);
  return mass > 0 ? (100 * pot.liquor[name]) / mass : 0;
};
