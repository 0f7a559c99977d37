import { COOLING_METHODS } from "../../laws/cooling";
import { reductionTargetSchema } from "../../laws/reduction";
import type { FormulaDocument } from "./document";
import { updateStep } from "./edit";

/** An answer worked out beside the formula. */
export interface WorkedOut {
  readonly name: string;
  readonly input: Readonly<Record<string, unknown>>;
  readonly sentence: string;
}

const MOST_REMARK = 400;
const MOST_NOTES = 2000;

const joined = (before: string | undefined, more: string, most: number): string =>
  [before, more].filter(Boolean).join(" ").slice(0, most);

/**
 * Drops the answer of a quick sum into a formula.
 *
 * A reduction's target goes into the chosen reduce step, a bath and its goal into the chosen cool step; anything else
 * is written down: with the chosen step, or in the notes.
 */
export function takeSum(document: FormulaDocument, stepId: string | null, sum: WorkedOut): FormulaDocument {
  const step = document.steps.find(s => s.id === stepId);
  if (step?.kind === "reduce" && "target" in sum.input) {
    const target = reductionTargetSchema.safeParse(sum.input.target);
    if (target.success) return updateStep(document, step.id, { target: target.data });
  }
  if (step?.kind === "cool" && sum.name === "cool-time") {
    const method = COOLING_METHODS.find(m => m === sum.input.method);
    const toC = typeof sum.input.toC === "number" ? sum.input.toC : undefined;
    return updateStep(document, step.id, { ...(method && { method }), ...(toC !== undefined && { toC }) });
  }
  return step
    ? updateStep(document, step.id, { remark: joined(step.remark, sum.sentence, MOST_REMARK) })
    : { ...document, notes: joined(document.notes, sum.sentence, MOST_NOTES) };
}
