import type { Line } from "../steps/amount";
import type { FormulaDocument } from "./document";
import { STEP_KINDS, type Step, type StepKindName } from "../steps";

/** Edits of a formula: each takes a document and gives a new one. Ids come from outside. */

export const updateStep = (
  document: FormulaDocument,
  id: string,
  change: Partial<Step>,
): FormulaDocument => ({
  ...document,
  steps: document.steps.map(step => (step.id === id ? ({ ...step, ...change } as Step) : step)),
});

/** Puts a new step of a kind behind another; at the end without one. */
export function insertStep(
  document: FormulaDocument,
  kind: StepKindName,
  id: string,
  afterId?: string,
): FormulaDocument {
  const step: Step = STEP_KINDS[kind].blank(id);
  const at = document.steps.findIndex(s => s.id === afterId);
  const steps = [...document.steps];
  steps.splice(at < 0 ? steps.length : at + 1, 0, step);
  return { ...document, steps };
}

export const removeStep = (document: FormulaDocument, id: string): FormulaDocument => ({
  ...document,
  steps: document.steps.filter(step => step.id !== id),
});

/** Moves a step by some places; it stops at either end. */
export function moveStep(document: FormulaDocument, id: string, by: number): FormulaDocument {
  const from = document.steps.findIndex(step => step.id === id);
  const step = document.steps[from];
  if (!step) return document;
  const steps = document.steps.filter(s => s !== step);
  steps.splice(Math.min(steps.length, Math.max(0, from + by)), 0, step);
  return { ...document, steps };
}

export const addLine = (document: FormulaDocument, stepId: string, line: Line): FormulaDocument => ({
  ...document,
  steps: document.steps.map(step => (step.id === stepId ? { ...step, lines: [...step.lines, line] } : step)),
});

export const updateLine = (
  document: FormulaDocument,
  lineId: string,
  change: Partial<Line>,
): FormulaDocument => ({
  ...document,
  steps: document.steps.map(step => ({
    ...step,
    lines: step.lines.map(line => (line.id === lineId ? { ...line, ...change } : line)),
  })),
});

export const removeLine = (document: FormulaDocument, lineId: string): FormulaDocument => ({
  ...document,
  steps: document.steps.map(step => ({ ...step, lines: step.lines.filter(line => line.id !== lineId) })),
});

/** Changes what a group shares out, such as 12 % to 10 % mirepoix. */
export const updateGroupShare = (
  document: FormulaDocument,
  groupId: string,
  pct: number,
): FormulaDocument => ({
  ...document,
  groups: document.groups.map(group =>
    group.id === groupId ? { ...group, total: { kind: "share-of-base", pct } } : group,
  ),
});
