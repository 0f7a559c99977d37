import { DEMO_FORMULAS } from "../../demo/formulas";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { type FormulaDocument, openKitchen } from "../formula";
import { InvariantError } from "../ground/result";
import type { Ingredient } from "../things/larder";
import type { RunEvent, RunPayload } from ".";

/** Builders for the tests of runs: the demo kitchen, its formulas, and what is logged so many minutes after the start. */

export const KITCHEN = openKitchen({ ...DEMO_KITCHEN, formulas: DEMO_FORMULAS });

export const START = Date.UTC(2026, 10, 23, 8, 0, 0);
/** So many minutes after the start, ms. */
export const minute = (n: number): number => START + n * 60_000;

let logged = 0;
export const event = (atMinute: number, payload: RunPayload): RunEvent => ({
  id: `01HRVN${String(++logged).padStart(20, "0")}`,
  at: new Date(Math.round(minute(atMinute))).toISOString(),
  clockOffsetMs: 0,
  personId: "noor",
  payload,
});

export function demo(formulaId: string): FormulaDocument {
  const found = DEMO_FORMULAS[formulaId];
  if (!found) throw new InvariantError(`The demo has no ${formulaId}.`);
  return found;
}

export function ingredient(id: string): Ingredient {
  const found = DEMO_KITCHEN.ingredients.find(one => one.id === id);
  if (!found) throw new InvariantError(`The larder has no ${id}.`);
  return found;
}

/** The steps before an index, each begun and done within a minute. */
export const doneBefore = (document: FormulaDocument, index: number): RunEvent[] =>
  document.steps
    .slice(0, index)
    .flatMap((step, i) => [
      event(i, { kind: "step-begun", stepId: step.id }),
      event(i + 0.5, { kind: "step-done", stepId: step.id }),
    ]);
