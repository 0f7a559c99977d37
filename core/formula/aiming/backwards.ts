import { g, printNumber } from "../../ground/quantity";
import { type Problem, type Result, ok, refuse } from "../../ground/result";
import {
  type Conflict,
  type HardRow,
  type SoftRow,
  type Variable,
  explainConflict,
  solveLinear,
} from "../../ground/solver";
import { poolsOf } from "../../things/pot";
import { REACHABLE } from "../steps/amount";
import { type FormulaDocument, type FormulaTarget, linesOf } from "../document/document";
import type { Kitchen } from "../walk/kitchen";
import { reachOf } from "../walk/line-amounts";
import { FROM_NOTHING, linearise, massIn, valueOfTarget } from "./linearise";
import { withLineMass } from "../scaling/multiply";
import { hasAmountOfItsOwn, isLimited, toYield } from "./to-yield";
import { walk } from "../walk/walk";
import type { Walk } from "../walk/walked";
import { WalkCache } from "../walk/walk-cache";

/** One wish and what came of it. */
export interface Achieved {
  readonly target: FormulaTarget;
  readonly before: number;
  readonly after: number;
  readonly met: boolean;
  /** Why it is not met, where it is plain: nothing in the formula brings what is wanted. */
  readonly lacks?: string;
}

export interface Backwards {
  readonly document: FormulaDocument;
  readonly lines: readonly {
    readonly lineId: string;
    readonly name: string;
    readonly beforeG: number;
    readonly afterG: number;
    readonly atLimit: "least" | "most" | null;
  }[];
  readonly achieved: readonly Achieved[];
  readonly rounds: number;
}

/** Where nobody set limits a line may move this far. Our estimate. */
const FREE_FROM = 0.2;
const FREE_TO = 5;
const MOST_ROUNDS = 12;
/** How often a step that cannot be cooked is halved. */
const MOST_HALVINGS = 6;
const SETTLED_G = 0.02;

/**
 * Works a formula backwards: finds amounts that meet its targets, within the limits the chef set on lines.
 *
 * Where a yield is wanted and nobody set limits the whole formula is brought there first, so that its proportions stay.
 * Then each round walks the line, moves each free line a little to see what it does, solves the linear programme those
 * slopes make and walks again, until nothing moves. Lines that aim at a share themselves take the target as their aim.
 *
 * @errors EMPTY no target · MISSING no line may move · those of the walk · UNREACHABLE with the wishes that fight
 * Source: docs/models.md "Working backwards".
 */
export function workBackwards(document: FormulaDocument, kitchen: Kitchen): Result<Backwards> {
  if (!document.targets.length)
    return refuse({
      code: "EMPTY",
      field: "targets",
      message: "Say first what it shall be: a weight, salt, strength, or a cost.",
    });
  const cache = new WalkCache();
  const original = walk(document, kitchen, { cache });
  if (original.problems.length) return refuse(...original.problems);
  const aimed = aimLines(toYield(document, original, kitchen, cache));
  const start = walk(aimed, kitchen, { cache });
  if (start.problems.length) return refuse(...start.problems);
  const free = freeLines(aimed, start);
  if (!free.length)
    return refuse({
      code: "MISSING",
      field: "steps",
      message: "Every line is fixed: let at least one move, by giving it a least and a most.",
    });
  let current = aimed;
  let walked = start;
  let rounds = 0;
  for (; rounds < MOST_ROUNDS; rounds++) {
    const problem = linearise(current, walked, kitchen, free, cache);
    const answer = solveLinear(problem);
    if (!answer) {
      const conflict = explainConflict({
        ...problem,
        variables: problem.variables.map(v => ({ ...v, ...limitsOf(free, v.id) })),
      });
      // Only the step was too short for this round: go as far as it lets us.
      if (!conflict) {
        const relaxed = solveLinear({
          ...problem,
          hard: [],
          soft: [...problem.soft, ...problem.hard.map(asSoft)],
        });
        if (!relaxed) break;
        [current, walked] = applied(current, walked, relaxed.x, kitchen, cache);
        continue;
      }
      return refuse(...inWords(conflict));
    }
    const moved = Math.max(...free.map(v => Math.abs((answer.x[v.id] ?? 0) - massIn(walked, v.id))));
    const next = farthest(current, walked, answer.x, kitchen, cache);
    if (!next) break;
    [current, walked] = next;
    if (moved < SETTLED_G) break;
  }
  const achieved = document.targets.map((target): Achieved => {
    const after = valueOfTarget(target, current, walked);
    const exact =
      target.what === "cost"
        ? after <= target.value + target.tolerance
        : Math.abs(after - target.value) <= target.tolerance;
    const lacks = exact || after > target.value ? undefined : whatLacks(target, walked);
    return {
      target,
      before: valueOfTarget(target, document, original),
      after,
      met: exact,
      ...(lacks && { lacks }),
    };
  });
  if (achieved.some(a => a.lacks)) return withoutHopeless(document, kitchen, achieved);
  return ok({
    document: rebased(current),
    rounds: rounds + 1,
    achieved,
    lines: linesOf(current).flatMap(line => {
      const [beforeG, afterG] = [massIn(original, line.id), massIn(walked, line.id)];
      if (Math.abs(beforeG - afterG) < 0.05) return [];
      const limits = free.find(v => v.id === line.id);
      const name = walked.states.flatMap(s => s.lines).find(l => l.lineId === line.id)?.name ?? line.id;
      return [
        {
          lineId: line.id,
          name,
          beforeG,
          afterG,
          atLimit: !limits
            ? null
            : afterG <= limits.min + 0.05
              ? ("least" as const)
              : afterG >= limits.max - 0.05
                ? ("most" as const)
                : null,
        },
      ];
    }),
  });
}

/** Nothing is moved for a wish that cannot come near: the others are worked back without it, and it is told. */
function withoutHopeless(
  document: FormulaDocument,
  kitchen: Kitchen,
  achieved: readonly Achieved[],
): Result<Backwards> {
  const targets = achieved.filter(a => !a.lacks).map(a => a.target);
  const rest = targets.length ? workBackwards({ ...document, targets }, kitchen) : null;
  if (rest && !rest.ok) return rest;
  const made = rest ? { ...rest.value.document, targets: document.targets } : document;
  const walked = walk(made, kitchen);
  return ok({
    document: made,
    rounds: rest?.value.rounds ?? 0,
    lines: rest?.value.lines ?? [],
    achieved: achieved.map(
      a =>
        rest?.value.achieved.find(other => other.target === a.target) ?? {
          ...a,
          after: valueOfTarget(a.target, made, walked),
        },
    ),
  });
}

/** What no ingredient holds as much of as is wanted has to come in by another. */
function whatLacks({ what, value }: FormulaTarget, walked: Walk): string | undefined {
  const share = REACHABLE.find(reachable => reachable === what);
  if (!share) return undefined;
  const brings = walked.ingredients.some(i => reachOf(poolsOf(i.composition, g(100)), share) > value);
  return brings
    ? undefined
    : `Nothing in it holds so much${share === "brix" ? "" : ` ${share}`}: put a line in that does.`;
}

/** Lines that aim at what is wanted aim at the wanted value. */
const aimLines = (document: FormulaDocument): FormulaDocument => ({
  ...document,
  steps: document.steps.map(step => ({
    ...step,
    lines: step.lines.map(line => {
      const target = document.targets.find(
        t => line.amount.kind === "to-reach" && t.what === line.amount.what,
      );
      return target && line.amount.kind === "to-reach"
        ? { ...line, amount: { ...line.amount, value: target.value } }
        : line;
    }),
  })),
});

/** Lines that may move: those with limits; where none has any, every line with an amount of its own. */
function freeLines(document: FormulaDocument, walked: Walk): Variable[] {
  const own = linesOf(document).filter(hasAmountOfItsOwn);
  const limited = own.filter(isLimited);
  return (limited.length ? limited : own).map(line => {
    const base = massIn(walked, line.id);
    const [min, max] = line.bounds
      ? [line.bounds.minG, line.bounds.maxG]
      : [FREE_FROM * base, Math.max(FREE_TO * base, FROM_NOTHING * walked.finishedG)];
    return { id: line.id, min, max, base };
  });
}

const limitsOf = (free: readonly Variable[], id: string): { min: number; max: number } => {
  const found = free.find(v => v.id === id);
  return { min: found?.min ?? 0, max: found?.max ?? 0 };
};

const asSoft = (row: HardRow): SoftRow => ({
  id: row.id,
  label: row.label,
  coefficients: row.coefficients,
  value: row.max ?? row.min ?? 0,
  tolerance: Math.abs(row.max ?? row.min ?? 1) / 1000 || 1,
  weight: 100,
});

function applied(
  document: FormulaDocument,
  walked: Walk,
  x: Readonly<Record<string, number>>,
  kitchen: Kitchen,
  cache: WalkCache,
): [FormulaDocument, Walk] {
  const next = Object.entries(x).reduce(
    (d, [id, massG]) => withLineMass(d, id, massG, massIn(walked, id)),
    document,
  );
  return [next, walk(next, kitchen, { cache })];
}

/** As far towards an answer as can be cooked: past the last step no pot takes it, or nothing is left to boil off. */
function farthest(
  document: FormulaDocument,
  walked: Walk,
  x: Readonly<Record<string, number>>,
  kitchen: Kitchen,
  cache: WalkCache,
): [FormulaDocument, Walk] | null {
  for (let i = 0, part = 1; i <= MOST_HALVINGS; i++, part /= 2) {
    const towards = Object.fromEntries(
      Object.entries(x).map(([id, massG]) => {
        const now = massIn(walked, id);
        return [id, now + part * (massG - now)];
      }),
    );
    const next = applied(document, walked, towards, kitchen, cache);
    if (next[1].problems.length === 0) return next;
  }
  return null;
}

/** The base weighs what its line has become; shares are counted on it again. */
function rebased(document: FormulaDocument): FormulaDocument {
  const first = linesOf(document).find(l => l.amount.kind === "share-of-base" && l.amount.pct > 50);
  if (first?.amount.kind !== "share-of-base" || Math.abs(first.amount.pct - 100) < 1e-9) return document;
  const k = first.amount.pct / 100;
  return {
    ...document,
    base: { ...document.base, massG: document.base.massG * k },
    groups: document.groups.map(group =>
      group.total.kind === "share-of-base"
        ? { ...group, total: { ...group.total, pct: group.total.pct / k } }
        : group,
    ),
    steps: document.steps.map(step => ({
      ...step,
      lines: step.lines.map(line =>
        line.amount.kind === "share-of-base"
          ? { ...line, amount: { ...line.amount, pct: line.amount.pct / k } }
          : line,
      ),
    })),
  };
}

/** The conflict as refusals: which wishes fight, how far each must give, what each could be alone. */
function inWords(conflict: Conflict): Problem[] {
  const wishes = conflict.rows.map(r => r.label);
  const alone = conflict.alone.map(
    a =>
      `with everything else as asked, ${a.row.label} could be ${printNumber(a.best, Math.abs(a.best) < 100 ? 2 : 0)} in its own unit`,
  );
  return [
    {
      code: "UNREACHABLE",
      field: "targets",
      value: conflict.rows.map(r => r.id),
      allowed: conflict.alone.map(a => ({ wish: a.row.id, best: a.best })),
      message: `${wishes.length > 1 ? `These wishes cannot hold together: ${wishes.join("; ")}` : `This cannot be reached: ${wishes.join("")}`} within the limits of the lines. ${alone.join("; ")}. Widen a line’s limits or let a wish go.`,
    },
  ];
}
