import { type Allergen, type DietFlag, type Ingredient, asPurchased, joinAllergens } from "../larder";
import { EMPTY_POT, type Pools, type PotState, liquorMass, massOfPools, potMass, volumeAt20 } from "../pot";
import {
  type Celsius,
  type Grams,
  type Millilitres,
  type Millimetres,
  type Seconds,
  g,
  s,
} from "../quantity";
import { InvariantError, type Problem, type Result, type Warning, ok, refuse, valueOf } from "../result";
import type { TracePoint } from "../reduction";
import type { DipMark, Vessel } from "../vessel";
import type { AmountRelation, Certainty, Line } from "./amount";
import type { FormulaDocument } from "./document";
import type { Kitchen } from "./kitchen";
import type { Computed, ResolvedLine } from "./step-kind";
import { type Step, kindOf } from "./steps";
import { at, levelIn } from "./steps/shared";

/** One line's amount with its three faces. */
export interface LineAmount {
  readonly lineId: string;
  readonly ingredientId: string;
  readonly name: string;
  readonly massG: Grams;
  /** What to buy for it, by the edible portion. */
  readonly purchasedG: Grams;
  /** Per cent of the base. */
  readonly ratioPct: number;
  /** `null` while the formula yields no liquor. */
  readonly gPerL: number | null;
  readonly certainty: Certainty;
}

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
  readonly path?: readonly string[];
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
  const sources = resolveSources(document, kitchen, options.path ?? [document.name]);
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

/** Finds the ingredient of every line; a line on another formula becomes an ingredient with that product's composition. */
function resolveSources(
  document: FormulaDocument,
  kitchen: Kitchen,
  path: readonly string[],
): Result<Map<string, Ingredient>> {
  const found = new Map<string, Ingredient>();
  const problems: Problem[] = [];
  document.steps.forEach((step, i) =>
    step.lines.forEach((line, j) => {
      const field = `steps.${i}.lines.${j}.of`;
      if ("larder" in line.of) {
        const ingredient = kitchen.ingredientById.get(line.of.larder);
        if (ingredient) found.set(line.id, ingredient);
        else
          problems.push({
            code: "UNKNOWN_ID",
            field,
            value: line.of.larder,
            message: `“${line.of.larder}” is not in the larder any more. Choose another ingredient.`,
          });
        return;
      }
      const product = productOf(line.of.formula, kitchen, path, field);
      if (product.ok) found.set(line.id, product.value);
      else problems.push(...product.problems);
    }),
  );
  return problems.length ? refuse(...problems) : ok(found);
}

/** What a formula makes, as an ingredient for another. */
function productOf(
  formulaId: string,
  kitchen: Kitchen,
  path: readonly string[],
  field: string,
): Result<Ingredient> {
  const document = kitchen.data.formulas[formulaId];
  if (!document)
    return refuse({
      code: "UNKNOWN_ID",
      field,
      value: formulaId,
      message: "The formula this line draws on is gone. Choose another.",
    });
  if (path.includes(document.name))
    return refuse({
      code: "CYCLE",
      field,
      value: formulaId,
      message: `This goes round in a circle: ${[...path, document.name].join(" → ")}. A sauce cannot be made from itself.`,
    });
  const made = walk(document, kitchen, { path: [...path, document.name] });
  const last = made.states.at(-1);
  if (made.problems.length || !last || !made.finishedG)
    return refuse({
      code: "EMPTY",
      field,
      value: formulaId,
      message: `${document.name} cannot be made yet: ${made.problems[0]?.message ?? "it yields no liquor."}`,
    });
  return ok(asIngredient(document.name, formulaId, last.pot.liquor, made.ingredients));
}

function asIngredient(
  name: string,
  formulaId: string,
  liquor: Pools,
  ingredients: readonly Ingredient[],
): Ingredient {
  const k = 100 / massOfPools(liquor);
  const allergens = joinAllergens(ingredients);
  return {
    id: `formula-${formulaId}`,
    name: name.toLowerCase(),
    aliases: [],
    composition: {
      water: liquor.water * k,
      fat: liquor.fat * k,
      protein: (liquor.proteinOther + liquor.collagen) * k,
      collagen: liquor.collagen * k,
      sugars: liquor.sugars * k,
      starch: liquor.starch * k,
      fibre: liquor.fibre * k,
      salt: liquor.salt * k,
      ethanol: liquor.ethanol * k,
      acid: (liquor.acidVolatile + liquor.acidFixed) * k,
      volatileAcid: liquor.acidVolatile * k,
      other: liquor.other * k,
    },
    compositionSource: { mark: "E", text: `walked from the formula ${name}` },
    phase: "liquor",
    densityGPerMl: massOfPools(liquor) / volumeAt20(liquor),
    densitySource: { mark: "E", text: "density model at 20 °C" },
    ediblePct: 100,
    edibleSource: { mark: "P", text: "used whole" },
    allergens: allergens.known ? [...allergens.recorded] : null,
    diet: [...new Set(ingredients.flatMap(i => i.diet))],
  };
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
      warnings: done.value.warnings,
      course: done.value.course,
      ...(done.value.mark && { mark: done.value.mark }),
      ...(done.value.bulkLevelMm !== undefined && { bulkLevelMm: done.value.bulkLevelMm }),
    });
  }
  return stopped(states.map(perLitre(litresOf(states))), [], [...used.values()]);
}

const litresOf = (states: readonly StateAfterStep[]): number => (states.at(-1)?.volumeMl ?? 0) / 1000;

const perLitre =
  (litres: number) =>
  (state: StateAfterStep): StateAfterStep =>
    litres > 0
      ? { ...state, lines: state.lines.map(line => ({ ...line, gPerL: line.massG / litres })) }
      : state;

function faces(line: ResolvedLine, source: Line | undefined, document: FormulaDocument): LineAmount {
  return {
    lineId: line.lineId,
    ingredientId: line.ingredient.id,
    name: line.ingredient.name,
    massG: line.massG,
    purchasedG: valueOf(asPurchased(line.massG, line.ingredient.ediblePct)),
    ratioPct: (100 * line.massG) / document.base.massG,
    gPerL: null,
    certainty: source?.certainty ?? "stated",
  };
}

function resolveLine(
  line: Line,
  document: FormulaDocument,
  sources: ReadonlyMap<string, Ingredient>,
  litres: number,
): ResolvedLine {
  const ingredient = sources.get(line.id);
  if (!ingredient) throw new InvariantError(`Line ${line.id} has no ingredient.`);
  return { lineId: line.id, ingredient, massG: gramsOf(line.amount, document, litres) };
}

/** Grams of a relation. A part of a group that is gone, or of nobody, weighs nothing. */
export function gramsOf(relation: AmountRelation, document: FormulaDocument, litres: number): Grams {
  switch (relation.kind) {
    case "fixed":
      return g(relation.massG);
    case "share-of-base":
      return g((document.base.massG * relation.pct) / 100);
    case "per-litre":
      return g(relation.gPerL * litres);
    case "part": {
      const group = document.groups.find(candidate => candidate.id === relation.group);
      const all = document.steps
        .flatMap(step => step.lines)
        .reduce(
          (sum, l) =>
            sum + (l.amount.kind === "part" && l.amount.group === relation.group ? l.amount.parts : 0),
          0,
        );
      return group && all > 0 ? g((gramsOf(group.total, document, litres) * relation.parts) / all) : g(0);
    }
  }
}

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
