import { g, printKilograms, printMass } from "../../ground/quantity";
import type { FormulaDocument } from "../document/document";
import { relationAsTyped } from "../document/parse-relation";
import { type Step, kindOf } from "../steps";
import type { Walk } from "../walk/walked";
import { sameValue } from "./merge";

/** One difference between two versions, in a cook's words. */
export interface Change {
  readonly kind: "amount" | "step" | "order" | "whole";
  /** What it is about: a step, a line of it, the formula. */
  readonly where: string;
  /** Empty: it was not there. */
  readonly before: string;
  /** Empty: it is gone. */
  readonly after: string;
}

const titleOf = (step: Step, walked: Walk | null): string => {
  const state = walked?.states.find(s => s.step.id === step.id);
  return kindOf(step).title(step, state?.lines.map(l => l.name) ?? []);
};

const nameOf = (lineId: string, walked: Walk | null, larder: string): string =>
  walked?.states.flatMap(s => s.lines).find(l => l.lineId === lineId)?.name ?? larder;

const gramsIn = (lineId: string, walked: Walk | null): string => {
  const line = walked?.states.flatMap(s => s.lines).find(l => l.lineId === lineId);
  return line ? ` (${printMass(line.massG)})` : "";
};

const larderName = (line: Step["lines"][number]): string =>
  "larder" in line.of ? line.of.larder : line.of.formula;

/**
 * What changed from one version to another: amounts with their relations and grams, steps, their order, and the
 * formula's own figures. Empty when nothing a cook would notice differs.
 */
export function diffFormulas(
  before: FormulaDocument,
  after: FormulaDocument,
  walks: { readonly before: Walk | null; readonly after: Walk | null },
): Change[] {
  const changes: Change[] = [];
  const whole = (where: string, a: string, b: string) => {
    if (a !== b) changes.push({ kind: "whole", where, before: a, after: b });
  };
  whole("name", before.name, after.name);
  whole("school", before.school, after.school);
  whole(
    "base",
    `${printKilograms(g(before.base.massG))} ${before.base.name}`,
    `${printKilograms(g(after.base.massG))} ${after.base.name}`,
  );
  whole("portion", printMass(g(before.portionG)), printMass(g(after.portionG)));
  whole("targets", targetsInWords(before), targetsInWords(after));
  for (const group of after.groups) {
    const was = before.groups.find(x => x.id === group.id);
    whole(group.name, was ? relationAsTyped(was.total) : "", relationAsTyped(group.total));
  }
  for (const step of before.steps)
    if (!after.steps.some(s => s.id === step.id))
      changes.push({
        kind: "step",
        where: `step ${before.steps.indexOf(step) + 1}`,
        before: stepInWords(step, walks.before),
        after: "",
      });
  after.steps.forEach((step, i) => {
    const was = before.steps.find(s => s.id === step.id);
    if (!was) {
      changes.push({
        kind: "step",
        where: `step ${i + 1}`,
        before: "",
        after: stepInWords(step, walks.after),
      });
      step.lines.forEach(line => changes.push(lineChange(step, line, undefined, walks)));
      return;
    }
    if (!sameValue({ ...was, lines: [] }, { ...step, lines: [] }))
      changes.push({
        kind: "step",
        where: `step ${i + 1}`,
        before: stepInWords(was, walks.before),
        after: stepInWords(step, walks.after),
      });
    for (const line of step.lines) {
      const wasLine = was.lines.find(l => l.id === line.id);
      if (!wasLine || !sameValue({ ...wasLine, typed: 0 }, { ...line, typed: 0 }))
        changes.push(lineChange(step, line, wasLine, walks));
    }
    for (const gone of was.lines.filter(l => !step.lines.some(x => x.id === l.id)))
      changes.push({
        kind: "amount",
        where: `${titleOf(step, walks.after)}: ${nameOf(gone.id, walks.before, larderName(gone))}`,
        before: relationAsTyped(gone.amount) + gramsIn(gone.id, walks.before),
        after: "",
      });
  });
  const common = (list: FormulaDocument, other: FormulaDocument) =>
    list.steps.map(s => s.id).filter(id => other.steps.some(s => s.id === id));
  const [was, is] = [common(before, after), common(after, before)];
  if (was.join() !== is.join())
    changes.push({
      kind: "order",
      where: "order of the steps",
      before: orderInWords(before, was, walks.before),
      after: orderInWords(after, is, walks.after),
    });
  return changes;
}

function lineChange(
  step: Step,
  line: Step["lines"][number],
  was: Step["lines"][number] | undefined,
  walks: { readonly before: Walk | null; readonly after: Walk | null },
): Change {
  const name = nameOf(line.id, walks.after, larderName(line));
  const words = (l: Step["lines"][number], walked: Walk | null) => {
    const own = nameOf(l.id, walked, larderName(l));
    return `${own === name ? "" : `${own} `}${relationAsTyped(l.amount)}${gramsIn(l.id, walked)}${l.certainty === "stated" ? "" : `, ${l.certainty}`}`;
  };
  return {
    kind: "amount",
    where: `${titleOf(step, walks.after)}: ${name}`,
    before: was ? words(was, walks.before) : "",
    after: words(line, walks.after),
  };
}

const stepInWords = (step: Step, walked: Walk | null): string =>
  [titleOf(step, walked), kindOf(step).detail(step), step.remark, step.cue, step.why && `why: ${step.why}`]
    .filter(Boolean)
    .join(" · ");

const orderInWords = (document: FormulaDocument, ids: readonly string[], walked: Walk | null): string =>
  ids
    .map(id => document.steps.find(s => s.id === id))
    .flatMap(step => (step ? [titleOf(step, walked)] : []))
    .join(" → ");

const targetsInWords = (document: FormulaDocument): string =>
  document.targets.map(t => `${t.what} ${t.value}`).join(", ") || "none";
