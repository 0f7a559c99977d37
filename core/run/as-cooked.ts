import {
  type FormulaDocument,
  type Line,
  type Step,
  STEP_KINDS,
  addLine,
  blankFormula,
  insertStep,
  kindOf,
  linesOf,
  updateLine,
  withLineMass,
} from "../formula";
import { g, printMass } from "../ground/quantity";
import { potMass } from "../things/pot";
import type { RunState } from "./fold";
import type { PutIn } from "./told";

/** A formula from what was really cooked: what was weighed instead of what was planned, what went in by taste as a line. */

export interface AsCooked {
  readonly document: FormulaDocument;
  /** What differs from the formula, in a cook's words. */
  readonly changes: readonly string[];
}

/** A hand is this far off without meaning it, share. Our estimate. */
const MEANT = 0.01;
/** What belongs to this pot on this day and not to its formula. */
const OF_THE_DAY: ReadonlySet<string> = new Set(["top up", "mend"]);

/**
 * The new version of a formula: each line as it was weighed, in its own relation; what was put in to season, thin or finish
 * as a line of its step, as a share of the base.
 *
 * @param document the formula as it stands today; lines it no longer has are left out
 */
export function asCooked(run: RunState, document: FormulaDocument): AsCooked {
  let made = document;
  const changes: string[] = [];
  const has = (lineId: string) => linesOf(made).some(line => line.id === lineId);
  for (const { planned, readings } of run.steps)
    for (const line of planned.lines) {
      const weighed = readings.findLast(r => r.kind === "added" && r.lineId === line.lineId)?.massG;
      if (weighed === undefined || !has(line.lineId)) continue;
      if (Math.abs(weighed - line.massG) <= MEANT * line.massG) continue;
      made = withLineMass(made, line.lineId, weighed, line.massG);
      changes.push(`${line.name}: ${printMass(line.massG)} becomes ${printMass(weighed)}`);
    }
  for (const [stepId, ingredientId, putIns] of byStepAndThing(run.told.putIns)) {
    const first = putIns[0];
    if (!first || OF_THE_DAY.has(first.why)) continue;
    const massG = putIns.reduce((sum, one) => sum + one.massG, 0);
    const step = made.steps.find(one => one.id === stepId);
    const own = step?.lines.find(line => "larder" in line.of && line.of.larder === ingredientId);
    const planned = run.planned.states.flatMap(s => s.lines).find(line => line.lineId === own?.id);
    if (own && planned) {
      made = withLineMass(made, own.id, planned.massG + massG, planned.massG);
      changes.push(
        `${planned.name}: ${printMass(g(planned.massG + massG))}, ${printMass(g(massG))} of it by taste`,
      );
      continue;
    }
    const line = lineOf(made, ingredientId, massG);
    if (step && kindOf(step).takesLines) made = addLine(made, step.id, line);
    else {
      const id = freshId(made, "add");
      made = addLine(insertStep(made, "add", id, step?.id), id, line);
    }
    changes.push(`new: ${printMass(g(massG))} ${first.ingredient.name}`);
  }
  return { document: made, changes };
}

function byStepAndThing(putIns: readonly PutIn[]): (readonly [string, string, PutIn[]])[] {
  const found = new Map<string, [string, string, PutIn[]]>();
  for (const one of putIns) {
    const key = `${one.stepId} ${one.ingredient.id}`;
    const known = found.get(key) ?? [one.stepId, one.ingredient.id, []];
    known[2].push(one);
    found.set(key, known);
  }
  return [...found.values()];
}

const freshId = (document: FormulaDocument, word: string): string => {
  const taken = new Set([...document.steps.map(s => s.id), ...linesOf(document).map(l => l.id)]);
  let n = 1;
  while (taken.has(`${word}-${n}`)) n++;
  return `${word}-${n}`;
};

const lineOf = (document: FormulaDocument, larder: string, massG: number): Line => ({
  id: freshId(document, "line"),
  of: { larder },
  amount: { kind: "share-of-base", pct: (100 * massG) / document.base.massG },
  certainty: "stated",
});

type Kind<K extends Step["kind"]> = Extract<Step, { kind: K }>;
const LONGEST_NOTE_STEP = 400;
const noteOf = (id: string, text: string): Kind<"note"> => ({
  ...(STEP_KINDS.note.blank(id) as Kind<"note">),
  text: text.slice(0, LONGEST_NOTE_STEP),
});
const reduction = (id: string): Kind<"reduce"> => STEP_KINDS.reduce.blank(id) as Kind<"reduce">;

/** So much more of something in a step: on the line it has there, or on a line of its own. */
function withMore(document: FormulaDocument, stepId: string, larder: string, massG: number): FormulaDocument {
  const own = document.steps
    .find(step => step.id === stepId)
    ?.lines.find(line => "larder" in line.of && line.of.larder === larder);
  if (own?.amount.kind !== "share-of-base") return addLine(document, stepId, lineOf(document, larder, massG));
  const pct = own.amount.pct + (100 * massG) / document.base.massG;
  return updateLine(document, own.id, { amount: { kind: "share-of-base", pct } });
}

const counted = (n: number, one: string): string => `${n} ${one}${n === 1 ? "" : "s"}`;

/** The one step of a run that was started from nothing. */
const SEED = "improvised";

/** A formula to cook without one: all it says is to log what is done. */
export const improvisedFormula = (name: string): FormulaDocument => ({
  ...blankFormula(name, { name: "what is cooked", massG: 1000 }),
  steps: [{ ...noteOf(SEED, "Just cook"), durationMin: 0 }],
});

export const isImprovised = (document: FormulaDocument): boolean =>
  document.steps.length === 1 && document.steps[0]?.id === SEED;

/** What goes in within this long goes in together, ms. */
const TOGETHER_MS = 3 * 60_000;
/** A pot that lost less between two weighings was not reduced. Our estimate. */
const REDUCED_BELOW = 0.93;

/**
 * A draft from a run that was started from nothing. The heaviest thing is taken for the base, everything else stands as a share
 * of it; where a weighing found less in the pot than the one before, or than had gone in, it was reduced to that share. All of it
 * is a proposal.
 */
export function draftOf(run: RunState, document: FormulaDocument): AsCooked {
  const { putIns } = run.told;
  const heaviest = [...putIns].sort((a, b) => b.massG - a.massG)[0];
  if (!heaviest) return { document, changes: [] };
  const base = { name: heaviest.ingredient.name.slice(0, 80), massG: Math.round(heaviest.massG) };
  let made: FormulaDocument = { ...document, base, steps: [] };
  const add = (step: Step) => {
    made = { ...made, steps: [...made.steps, step] };
  };
  const weighings = run.steps.flatMap(step =>
    step.readings.flatMap(r =>
      r.massG !== undefined && r.kind !== "added" ? [{ at: r.at, massG: r.massG }] : [],
    ),
  );
  const notes = run.steps.flatMap(step =>
    step.readings.flatMap(r => (r.kind === "noted" && r.text ? [{ at: r.at, text: r.text }] : [])),
  );
  let inPot = 0;
  /** The step things go into together, and when the last of them did. */
  let step = { at: -Infinity, id: "" };
  const moments = [
    ...putIns.map(one => ({ at: one.at, putIn: one })),
    ...weighings.map(one => ({ at: one.at, massG: one.massG })),
    ...notes.map(one => ({ at: one.at, text: one.text })),
  ].sort((a, b) => a.at - b.at);
  for (const moment of moments) {
    if ("putIn" in moment) {
      const { ingredient, massG } = moment.putIn;
      if (moment.at - step.at > TOGETHER_MS) {
        const id = freshId(made, "add");
        add(STEP_KINDS.add.blank(id));
        step = { at: moment.at, id };
      } else step = { ...step, at: moment.at };
      made = withMore(made, step.id, ingredient.id, massG);
      inPot += massG;
    } else if ("massG" in moment) {
      if (inPot > 0 && moment.massG < REDUCED_BELOW * inPot) {
        const to = Math.max(0.02, Math.round((100 * moment.massG) / inPot) / 100);
        add({ ...reduction(freshId(made, "reduce")), target: { to } });
        step = { at: -Infinity, id: "" };
      }
      inPot = moment.massG;
    } else {
      const id = freshId(made, "note");
      add(noteOf(id, moment.text));
      step = { at: -Infinity, id: "" };
    }
  }
  return {
    document: made,
    changes: [
      `base: ${printMass(g(base.massG))} ${base.name}`,
      `${counted(linesOf(made).length, "line")} as shares of it`,
      `${counted(made.steps.length, "step")}, ${printMass(potMass(run.pot))} in the pot at the end`,
    ],
  };
}
