import type { AmountRelation, Line } from "../steps/amount";
import type { FormulaDocument, TargetKind } from "../document/document";
import { fieldsTimes } from "../steps/field";
import { kindOf } from "../steps";

/** A relation times a factor, where it holds grams of its own; relations that follow something else follow on. */
export function relationTimes(relation: AmountRelation, factor: number): AmountRelation {
  switch (relation.kind) {
    case "fixed":
    case "by-feel":
      return { ...relation, massG: relation.massG * factor };
    default:
      return relation;
  }
}

/** A line times a factor, with the limits set on it. */
function lineTimes(line: Line, factor: number): Line {
  const amount = relationTimes(line.amount, factor);
  if (amount === line.amount && !line.bounds) return line;
  return {
    ...line,
    amount,
    ...(amount !== line.amount && { typed: undefined }),
    ...(line.bounds && {
      bounds: { minG: line.bounds.minG * factor, maxG: line.bounds.maxG * factor },
    }),
  };
}

/** Targets that are of the whole batch. */
const OF_THE_BATCH: ReadonlySet<TargetKind> = new Set(["finishedG", "portions", "cost"]);

/**
 * Plain multiplication: the base and everything that stands in grams or litres times a factor, limits and targets too. Shares, parts and aims follow of
 * themselves; what a step computes (the water that covers, the steam) is for the walk to find.
 */
export function multiply(document: FormulaDocument, factor: number): FormulaDocument {
  if (factor === 1) return document;
  return {
    ...document,
    base: { ...document.base, massG: document.base.massG * factor },
    groups: document.groups.map(group =>
      group.total.kind === "fixed"
        ? { ...group, total: { ...group.total, massG: group.total.massG * factor } }
        : group,
    ),
    targets: document.targets.map(target =>
      OF_THE_BATCH.has(target.what)
        ? { ...target, value: target.value * factor, tolerance: target.tolerance * factor }
        : target,
    ),
    steps: document.steps.map(step => {
      const lines = step.lines.map(line => lineTimes(line, factor));
      return { ...fieldsTimes(step, kindOf(step).fields, factor), lines };
    }),
  };
}

/** A line made to weigh so much, keeping the way it is meant as far as that can be. */
export function withLineMass(
  document: FormulaDocument,
  lineId: string,
  massG: number,
  nowG: number,
): FormulaDocument {
  const change = (relation: AmountRelation): AmountRelation => {
    const factor = nowG > 0 ? massG / nowG : 0;
    switch (relation.kind) {
      case "fixed":
      case "by-feel":
        return { ...relation, massG };
      case "share-of-base":
        return { ...relation, pct: (100 * massG) / document.base.massG };
      case "per-litre":
        return nowG > 0 ? { ...relation, gPerL: relation.gPerL * factor } : { kind: "fixed", massG };
      case "per-kg":
        return nowG > 0 ? { ...relation, gPerKg: relation.gPerKg * factor } : { kind: "fixed", massG };
      case "per-portion":
        return nowG > 0
          ? { ...relation, gPerPortion: relation.gPerPortion * factor }
          : { kind: "fixed", massG };
      case "equal-to":
        return nowG > 0 ? { ...relation, factor: relation.factor * factor } : { kind: "fixed", massG };
      case "part":
      case "to-reach":
        return { kind: "share-of-base", pct: (100 * massG) / document.base.massG };
    }
  };
  return {
    ...document,
    steps: document.steps.map(step =>
      step.lines.some(line => line.id === lineId)
        ? {
            ...step,
            lines: step.lines.map(line =>
              line.id === lineId ? { ...line, amount: change(line.amount), typed: undefined } : line,
            ),
          }
        : step,
    ),
  };
}
