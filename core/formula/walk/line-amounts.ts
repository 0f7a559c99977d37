import { type Ingredient, asPurchased } from "../../things/larder";
import { bisect } from "../../ground/solver/halving";
import { type Pools, addPools, brixOf, massOfPools, poolsOf } from "../../things/pot";
import { type Grams, g, printNumber } from "../../ground/quantity";
import {
  InvariantError,
  type Problem,
  type Result,
  type Warning,
  ok,
  refuse,
  valueOf,
} from "../../ground/result";
import type { AmountRelation, Certainty, Line, Reachable } from "../steps/amount";
import { type FormulaDocument, linesOf } from "../document/document";
import type { ResolvedLine } from "../steps/kind";

/** One line's amount: grams, share, and what to buy. */
export interface LineAmount {
  readonly lineId: string;
  readonly ingredientId: string;
  readonly name: string;
  readonly massG: Grams;
  /** What to buy for it, by the edible portion. */
  readonly purchasedG: Grams;
  /** Per cent of the base. */
  readonly ratioPct: number;
  readonly certainty: Certainty;
}

/** A line in its faces; grams per finished litre follow from the yield of the walk. */
export function lineAmountOf(line: ResolvedLine, source: Line | undefined, baseG: number): LineAmount {
  return {
    lineId: line.lineId,
    ingredientId: line.ingredient.id,
    name: line.ingredient.name,
    massG: line.massG,
    purchasedG: valueOf(asPurchased(line.massG, line.ingredient.ediblePct)),
    ratioPct: (100 * line.massG) / baseG,
    certainty: source?.certainty ?? "stated",
  };
}

/** What relations that look ahead are counted on: a guess that each pass of the walk makes better. */
export interface Ahead {
  readonly litres: number;
  readonly kg: number;
  readonly portions: number;
}

/** What an amount may depend on. `solved` holds the masses of the lines that are in the pot already. */
export interface AmountContext {
  readonly document: FormulaDocument;
  readonly sources: ReadonlyMap<string, Ingredient>;
  readonly ahead: Ahead;
  readonly solved: Map<string, Grams>;
}

/** Whether a line can only be known once the end of the walk is. */
export const looksAhead = (relation: AmountRelation, document: FormulaDocument): boolean => {
  switch (relation.kind) {
    case "per-litre":
    case "per-kg":
    case "per-portion":
      return true;
    case "part": {
      const total = document.groups.find(x => x.id === relation.group)?.total;
      return total !== undefined && looksAhead(total, document);
    }
    case "equal-to": {
      const other = linesOf(document).find(l => l.id === relation.line)?.amount;
      return other !== undefined && other.kind !== "equal-to" && looksAhead(other, document);
    }
    default:
      return false;
  }
};

/** Most rounds in which lines of one step that each aim at a share settle among each other. */
const MOST_ROUNDS = 40;
const SETTLED_G = 1e-9;

/**
 * The lines of a step with their grams.
 *
 * Lines that aim at a share ("to 0.8 % salt") are solved on the liquor as it is once every line of the step is in it;
 * several of them settle in turn.
 *
 * @param inPot  the liquor the step starts from
 * @errors UNREACHABLE an ingredient too weak for its aim · CYCLE two lines that wait for each other
 */
export function resolveLines(
  lines: readonly Line[],
  inPot: Pools,
  context: AmountContext,
  field: string,
): Result<ResolvedLine[]> {
  const problems: Problem[] = [];
  const warnings: Warning[] = [];
  const masses: number[] = lines.map((line, i) => {
    const found = gramsOf(line.amount, context, [line.id]);
    if (found.ok) return found.value;
    problems.push(...found.problems.map(p => ({ ...p, field: `${field}.lines.${i}.amount` })));
    return 0;
  });
  const ingredients = lines.map(line => {
    const ingredient = context.sources.get(line.id);
    if (!ingredient) throw new InvariantError(`Line ${line.id} has no ingredient.`);
    return ingredient;
  });
  const aims = lines.flatMap((line, i) =>
    line.amount.kind === "to-reach" ? [{ i, amount: line.amount }] : [],
  );
  for (let round = 0; aims.length && !problems.length && round < MOST_ROUNDS; round++) {
    let moved = 0;
    for (const { i, amount } of aims) {
      const others = ingredients.reduce(
        (sum, ingredient, j) =>
          j === i ? sum : addPools(sum, poolsOf(ingredient.composition, g(masses[j] ?? 0))),
        inPot,
      );
      const found = doseToReach(others, ingredients[i]?.composition, amount.what, amount.value);
      if (found === null) {
        problems.push({
          code: "UNREACHABLE",
          field: `${field}.lines.${i}.amount`,
          value: amount.value,
          message: `No amount of ${ingredients[i]?.name} brings this to ${printNumber(amount.value, 2)} ${amount.what === "brix" ? "°Bx" : `% ${amount.what}`}. Take something stronger, or a lower aim.`,
        });
        break;
      }
      if (found === 0 && round === 0 && reachOf(others, amount.what) > amount.value * (1 + 1e-9))
        warnings.push({
          code: "THERE_ALREADY",
          message: `It holds ${printNumber(reachOf(others, amount.what), 2)} ${amount.what === "brix" ? "°Bx" : `% ${amount.what}`} already, more than the ${printNumber(amount.value, 2)} asked for: no ${ingredients[i]?.name} goes in.`,
        });
      moved = Math.max(moved, Math.abs(found - (masses[i] ?? 0)));
      masses[i] = found;
    }
    if (moved < SETTLED_G) break;
  }
  if (problems.length) return refuse(...problems);
  lines.forEach((line, i) => context.solved.set(line.id, g(masses[i] ?? 0)));
  return ok(
    lines.map((line, i) => ({
      lineId: line.id,
      ingredient: ingredients[i] as Ingredient,
      massG: g(masses[i] ?? 0),
    })),
    warnings,
  );
}

/** Per cent of a liquor, or its °Brix. */
export function reachOf(liquor: Pools, what: Reachable): number {
  const mass = massOfPools(liquor);
  if (mass <= 0) return 0;
  switch (what) {
    case "salt":
      return (100 * liquor.salt) / mass;
    case "sugar":
      return (100 * liquor.sugars) / mass;
    case "acid":
      return (100 * (liquor.acidVolatile + liquor.acidFixed)) / mass;
    case "fat":
      return (100 * liquor.fat) / mass;
    case "brix":
      return brixOf(liquor);
  }
}

/**
 * Mass of an ingredient that brings a liquor to an aim: closed for a share, bisection for °Brix.
 * @returns g; 0 when it is there already; `null` when no amount gets there
 */
function doseToReach(
  liquor: Pools,
  composition: Ingredient["composition"] | undefined,
  what: Reachable,
  value: number,
): number | null {
  if (!composition || massOfPools(liquor) <= 0) return composition ? 0 : null;
  if (reachOf(liquor, what) >= value) return 0;
  const pure: number = reachOf(poolsOf(composition, g(100)), what);
  if (pure <= value) return null;
  if (what !== "brix") return (massOfPools(liquor) * (value - reachOf(liquor, what))) / (pure - value);
  const at = (mass: number) => reachOf(addPools(liquor, poolsOf(composition, g(mass))), what);
  let hi: number = massOfPools(liquor);
  for (let i = 0; i < 30 && at(hi) < value; i++) hi *= 2;
  return bisect(mass => at(mass) - value, 0, hi);
}

/**
 * Grams of a relation. A part of a group that is gone, or of nobody, weighs nothing; so does an aim that is not solved.
 * @param path ids of the lines that led here, to find lines that wait for each other
 * @errors CYCLE
 */
export function gramsOf(
  relation: AmountRelation,
  context: AmountContext,
  path: readonly string[] = [],
): Result<Grams> {
  const { document, ahead } = context;
  switch (relation.kind) {
    case "fixed":
    case "by-feel":
      return ok(g(relation.massG));
    case "share-of-base":
      return ok(g((document.base.massG * relation.pct) / 100));
    case "per-litre":
      return ok(g(relation.gPerL * ahead.litres));
    case "per-kg":
      return ok(g(relation.gPerKg * ahead.kg));
    case "per-portion":
      return ok(g(relation.gPerPortion * ahead.portions));
    case "part": {
      const group = document.groups.find(candidate => candidate.id === relation.group);
      const all = linesOf(document).reduce(
        (sum, l) =>
          sum + (l.amount.kind === "part" && l.amount.group === relation.group ? l.amount.parts : 0),
        0,
      );
      if (!group || all <= 0) return ok(g(0));
      const total = gramsOf(group.total, context, path);
      return total.ok ? ok(g((total.value * relation.parts) / all)) : total;
    }
    case "equal-to": {
      const known = context.solved.get(relation.line);
      if (known !== undefined) return ok(g(known * relation.factor));
      const other = linesOf(document).find(l => l.id === relation.line);
      if (!other || path.includes(relation.line))
        return refuse({
          code: other ? "CYCLE" : "UNKNOWN_ID",
          field: "amount",
          value: relation.line,
          message: other
            ? "These two lines each wait for the other. Type grams for one of them."
            : "The line this one follows is gone. Type an amount of its own.",
        });
      const found = gramsOf(other.amount, context, [...path, relation.line]);
      return found.ok ? ok(g(found.value * relation.factor)) : found;
    }
    case "to-reach":
      return ok(g(0));
  }
}
