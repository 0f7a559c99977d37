import { type Allergen, type DietFlag, type Ingredient, joinAllergens, saltDoubt } from "../larder";
import { EMPTY_POT, type PotState, liquorMass, potMass, volumeAt20 } from "../pot";
import {
  type Celsius,
  type Grams,
  type Millilitres,
  type Millimetres,
  type Seconds,
  g,
  s,
} from "../quantity";
import type { Problem, Warning } from "../result";
import type { TracePoint } from "../reduction";
import { type DipMark, type Vessel, limitsOf } from "../vessel";
import type { AmountRelation, Line } from "./amount";
import type { FormulaDocument } from "./document";
import type { Kitchen } from "./kitchen";
import { type LineAmount, faces, resolveLine } from "./line-amounts";
import { resolveSources } from "./sources";
import type { Computed, ResolvedLine } from "./step-kind";
import { type Step, kindOf } from "./steps";
import { at, levelIn } from "./steps/shared";

/** The pot after a step, and what the step did. */
export interface StateAfterStep {
  readonly step: Step;
  readonly pot: PotState;
  readonly vessel: Vessel | null;
  readonly massG: Grams;
  /** Liquor at 20 °C; `null` while there is none. */
  readonly volumeMl: Millilitres | null;
  readonly temperatureC: Celsius;
  readonly durationS: Seconds;
  /** Since the start of the line, at the end of this step. */
  readonly clockS: Seconds;
  readonly levelMm: Millimetres | null;
  readonly lines: readonly LineAmount[];
  /** Ingredient of each line, products of other formulas included. */
  readonly sources: ReadonlyMap<string, Ingredient>;
  readonly computed: readonly Computed[];
  readonly warnings: readonly Warning[];
  readonly course: readonly TracePoint[];
  readonly mark?: DipMark;
  readonly bulkLevelMm?: number;
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

export interface WalkOptions {
  /** Keep the course of each step, for charts. */
  readonly trace?: boolean;
  /** Called before each step is worked out: lets a caller see what a step reads. */
  readonly onStep?: (index: number) => void;
  /** Formulas walked on the way here, outermost first: a cycle is refused with this path. */
  readonly path?: readonly FormulaDocument[];
}

/** Most passes of the fixed point for amounts per finished litre, and when it counts as found. */
const MOST_PASSES = 60;
const FOUND = 1e-9;

/**
 * Walks the line: the heart of Hondaro. After every step it knows what is in the pot.
 *
 * Amounts per finished litre look ahead to the yield; they are found by fixed-point iteration, at most `MOST_PASSES`
 * passes to a relative change of `FOUND`. A step that cannot be done ends the walk: the states before it stand, and
 * `problems` says why.
 *
 * Pure and deterministic.
 * @errors in `problems`: those of the steps, UNKNOWN_ID for a line, CYCLE with its path, NO_CONVERGENCE names the line
 */
export function walk(document: FormulaDocument, kitchen: Kitchen, options: WalkOptions = {}): Walk {
  const sources = resolveSources(document, kitchen, options.path ?? [document], (other, where, path) =>
    walk(other, where, { path }),
  );
  if (!sources.ok) return stopped([], sources.problems, []);
  const lookAhead = linesPerLitre(document);
  if (!lookAhead.length) return pass(document, kitchen, sources.value, 0, options);

  let litres = document.base.massG / 1000;
  const memo: StepMemo = new Map();
  for (let i = 0; i < MOST_PASSES; i++) {
    const result = pass(document, kitchen, sources.value, litres, options, memo);
    const next = result.finishedMl / 1000;
    if (result.problems.length || Math.abs(next - litres) <= FOUND * Math.max(1, next)) return result;
    litres = next;
  }
  const [stepIndex = 0, line] = lookAhead[0] ?? [];
  return stopped(
    [],
    [
      {
        code: "NO_CONVERGENCE",
        field: `steps.${stepIndex}.lines`,
        value: line?.id,
        message: `“${line ? sources.value.get(line.id)?.name : "A line"}” per finished litre grows faster than the yield it is counted on. Type a smaller amount, or grams.`,
      },
    ],
    [],
  );
}

function linesPerLitre(document: FormulaDocument): [number, Line][] {
  const ahead = (relation: AmountRelation): boolean =>
    relation.kind === "per-litre" ||
    (relation.kind === "part" &&
      document.groups.find(x => x.id === relation.group)?.total.kind === "per-litre");
  return document.steps.flatMap((step, i) =>
    step.lines.filter(l => ahead(l.amount)).map((l): [number, Line] => [i, l]),
  );
}

const stopped = (
  states: readonly StateAfterStep[],
  problems: readonly Problem[],
  ingredients: readonly Ingredient[],
): Walk => {
  const last = states.at(-1);
  return {
    states,
    problems,
    finishedMl: last?.volumeMl ?? (0 as Millilitres),
    finishedG: last ? liquorMass(last.pot) : g(0),
    totalS: last?.clockS ?? s(0),
    ingredients,
  };
};

/** What a step made of which pot, from the pass before: steps ahead of the first look-ahead line need not run again. */
type StepMemo = Map<
  number,
  {
    readonly pot: PotState;
    readonly vessel: Vessel | null;
    readonly masses: string;
    readonly done: ReturnType<typeof applyStep>;
  }
>;

/** One walk with a given guess of the yield. */
function pass(
  document: FormulaDocument,
  kitchen: Kitchen,
  sources: ReadonlyMap<string, Ingredient>,
  litres: number,
  options: WalkOptions,
  memo: StepMemo = new Map(),
): Walk {
  const states: StateAfterStep[] = [];
  const used = new Map<string, Ingredient>();
  let pot = EMPTY_POT;
  let vessel: Vessel | null = null;
  let clock = 0;
  for (const [index, step] of document.steps.entries()) {
    const field = `steps.${index}`;
    const lines = step.lines.map(line => resolveLine(line, document, sources, litres));
    options.onStep?.(index);
    const masses = lines.map(line => line.massG).join();
    const known = memo.get(index);
    const same: boolean = known?.pot === pot && known.vessel === vessel && known.masses === masses;
    const done: ReturnType<typeof applyStep> =
      known && same
        ? known.done
        : applyStep(step, { pot, vessel, lines, kitchen, field, trace: options.trace ?? false });
    memo.set(index, { pot, vessel, masses, done });
    if (!done.ok)
      return stopped(states.map(perLitre(litresOf(states))), at(field, done.problems), [...used.values()]);
    for (const line of lines) used.set(line.ingredient.id, line.ingredient);
    for (const computed of done.value.computed) {
      const ingredient = computed.ingredientId && kitchen.ingredientById.get(computed.ingredientId);
      if (ingredient) used.set(ingredient.id, ingredient);
    }
    pot = done.value.pot;
    vessel = done.value.vessel;
    clock += done.value.durationS;
    const liquor = liquorMass(pot);
    states.push({
      step,
      pot,
      vessel,
      massG: potMass(pot),
      volumeMl: liquor > 0 ? volumeAt20(pot.liquor) : null,
      temperatureC: pot.temperatureC,
      durationS: done.value.durationS,
      clockS: s(clock),
      levelMm: levelIn(pot, vessel, kitchen.facts),
      lines: lines.map((line, i) => faces(line, step.lines[i], document)),
      sources,
      computed: done.value.computed,
      warnings: [...done.value.warnings, ...saltDoubts(lines, pot), ...whereModelsStop(step, vessel)],
      course: done.value.course,
      ...(done.value.mark && { mark: done.value.mark }),
      ...(done.value.bulkLevelMm !== undefined && { bulkLevelMm: done.value.bulkLevelMm }),
    });
  }
  return stopped(states.map(perLitre(litresOf(states))), [], [...used.values()]);
}

/** Above this much salt an ingredient is one: a dose that can be mistyped by a cup for a spoon. */
const A_SALT_PCT = 90;

const saltDoubts = (lines: readonly ResolvedLine[], pot: PotState): Warning[] =>
  lines.flatMap(line => {
    if (line.ingredient.composition.salt < A_SALT_PCT) return [];
    const { warning } = saltDoubt(line.massG, Math.max(0, potMass(pot) - line.massG));
    return warning ? [warning] : [];
  });

/** In a closed pot the sums are only a first guess, and it is said where heat is applied. */
function whereModelsStop(step: Step, vessel: Vessel | null): Warning[] {
  const limits = vessel && kindOf(step).place === "fire" ? limitsOf(vessel) : null;
  return limits ? [{ code: "MODEL_STOPS", message: limits }] : [];
}

const litresOf = (states: readonly StateAfterStep[]): number => (states.at(-1)?.volumeMl ?? 0) / 1000;

const perLitre =
  (litres: number) =>
  (state: StateAfterStep): StateAfterStep =>
    litres > 0
      ? { ...state, lines: state.lines.map(line => ({ ...line, gPerL: line.massG / litres })) }
      : state;

/** Applies one step to a pot, as planned or as it really stands. */
export function applyStep(
  step: Step,
  where: {
    readonly pot: PotState;
    readonly vessel: Vessel | null;
    readonly lines: readonly ResolvedLine[];
    readonly kitchen: Kitchen;
    readonly field: string;
    readonly trace: boolean;
  },
) {
  const { kitchen } = where;
  return kindOf(step).apply({
    step,
    pot: where.pot,
    vessel: where.vessel,
    lines: where.lines,
    vessels: kitchen.vessels,
    burner: kitchen.burner,
    around: kitchen.around,
    facts: kitchen.facts,
    ingredientById: id => kitchen.ingredientById.get(id),
    trace: where.trace,
    field: where.field,
  });
}

/** Allergens and diet flags of a walked formula, sub-formulas included. */
export function labelOf(walked: Walk): {
  allergens: readonly Allergen[];
  known: boolean;
  notEntered: readonly string[];
  diet: readonly DietFlag[];
} {
  const { recorded, known, notEntered } = joinAllergens(walked.ingredients);
  return {
    allergens: recorded,
    known,
    notEntered,
    diet: [...new Set(walked.ingredients.flatMap(i => i.diet))],
  };
}
