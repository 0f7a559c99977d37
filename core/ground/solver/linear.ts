import { solve } from "yalps";

/** A quantity to be found, with its limits and where it stands now. */
export interface Variable {
  readonly id: string;
  readonly min: number;
  readonly max: number;
  /** Present value: of equally good answers the nearest to it is taken. */
  readonly base: number;
}

/** Σ aᵢ·xᵢ between limits; what must hold. */
export interface HardRow {
  readonly id: string;
  /** The wish in a cook's words: "at most 7.00 to spend". */
  readonly label: string;
  readonly coefficients: Readonly<Record<string, number>>;
  readonly min?: number;
  readonly max?: number;
  /** Part of the quantity that no variable moves: added when its value is told. */
  readonly offset?: number;
}

/** Σ aᵢ·xᵢ wanted at a value; a miss of one tolerance costs `weight`. */
export interface SoftRow {
  readonly id: string;
  readonly label: string;
  readonly coefficients: Readonly<Record<string, number>>;
  readonly value: number;
  readonly tolerance: number;
  readonly weight: number;
}

export interface LinearProblem {
  readonly variables: readonly Variable[];
  readonly hard: readonly HardRow[];
  readonly soft: readonly SoftRow[];
}

export interface LinearAnswer {
  readonly x: Readonly<Record<string, number>>;
  readonly objective: number;
}

/** Weight of staying near where it stands: makes the answer unique without moving it. */
const NEARNESS = 1e-3;
const PRECISION = 1e-9;

type Row = { min?: number; max?: number; equal?: number };

/**
 * Solves a linear programme with soft targets: L1 misses, so that one miss falls on the least important wish.
 *
 * @param elastic hard rows may be broken for a penalty of 1/|limit| a unit; the answer then tells the violations
 * @returns `null` when no answer exists
 * Method: simplex (`yalps`), rows and variables in the order given. Source: docs/models.md "Working backwards".
 */
export function solveLinear(
  problem: LinearProblem,
  elastic = false,
): (LinearAnswer & { readonly broken: Readonly<Record<string, number>> }) | null {
  const constraints = new Map<string, Row>();
  const variables = new Map<string, Map<string, number>>();
  const put = (variable: string, row: string, coefficient: number) => {
    const columns = variables.get(variable) ?? new Map<string, number>();
    columns.set(row, (columns.get(row) ?? 0) + coefficient);
    variables.set(variable, columns);
  };
  for (const v of problem.variables) {
    constraints.set(`bound:${v.id}`, { min: v.min, max: v.max });
    put(v.id, `bound:${v.id}`, 1);
    constraints.set(`near:${v.id}`, { equal: v.base });
    put(v.id, `near:${v.id}`, 1);
    put(`over:${v.id}`, `near:${v.id}`, -1);
    put(`under:${v.id}`, `near:${v.id}`, 1);
    const cost = elastic ? NEARNESS * 1e-6 : NEARNESS / Math.max(v.base, 1);
    put(`over:${v.id}`, "cost", cost);
    put(`under:${v.id}`, "cost", cost);
  }
  for (const row of problem.hard) {
    const scale = scaleOf(row.coefficients);
    constraints.set(`hard:${row.id}`, {
      ...(row.min !== undefined && { min: row.min / scale }),
      ...(row.max !== undefined && { max: row.max / scale }),
    });
    for (const [id, a] of Object.entries(row.coefficients)) put(id, `hard:${row.id}`, a / scale);
    if (!elastic) continue;
    const penalty = scale / Math.max(Math.abs(row.max ?? row.min ?? 1), 1e-9);
    if (row.max !== undefined) {
      put(`above:${row.id}`, `hard:${row.id}`, -1);
      put(`above:${row.id}`, "cost", penalty);
    }
    if (row.min !== undefined) {
      put(`below:${row.id}`, `hard:${row.id}`, 1);
      put(`below:${row.id}`, "cost", penalty);
    }
  }
  if (!elastic)
    for (const row of problem.soft) {
      const scale = scaleOf(row.coefficients);
      constraints.set(`soft:${row.id}`, { equal: row.value / scale });
      for (const [id, a] of Object.entries(row.coefficients)) put(id, `soft:${row.id}`, a / scale);
      const cost = (row.weight * scale) / row.tolerance;
      put(`lack:${row.id}`, `soft:${row.id}`, 1);
      put(`lack:${row.id}`, "cost", cost);
      put(`spare:${row.id}`, `soft:${row.id}`, -1);
      put(`spare:${row.id}`, "cost", cost);
    }
  const solution = solve(
    { direction: "minimize", objective: "cost", constraints, variables },
    { includeZeroVariables: true, precision: PRECISION },
  );
  if (solution.status !== "optimal") return null;
  const found = new Map(solution.variables);
  return {
    x: Object.fromEntries(problem.variables.map(v => [v.id, found.get(v.id) ?? 0])),
    objective: solution.result,
    broken: Object.fromEntries(
      problem.hard.flatMap(row => {
        const by =
          scaleOf(row.coefficients) *
          ((found.get(`above:${row.id}`) ?? 0) - (found.get(`below:${row.id}`) ?? 0));
        return Math.abs(by) > 1e-6 ? [[row.id, by] as const] : [];
      }),
    ),
  };
}

/** Rows are scaled so that their largest coefficient is 1. */
const scaleOf = (coefficients: Readonly<Record<string, number>>): number =>
  Math.max(...Object.values(coefficients).map(Math.abs), 0) || 1;

/** Value of a row for an answer. */
export const rowValue = (
  coefficients: Readonly<Record<string, number>>,
  x: Readonly<Record<string, number>>,
): number => Object.entries(coefficients).reduce((sum, [id, a]) => sum + a * (x[id] ?? 0), 0);
