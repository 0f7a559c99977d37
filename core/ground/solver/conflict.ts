import { type HardRow, type LinearProblem, rowValue, solveLinear } from "./linear";

/** Why wishes cannot hold together, and what each could be alone. */
export interface Conflict {
  /** A smallest set of wishes that fight each other. */
  readonly rows: readonly HardRow[];
  /** By how much each wish would have to give at the least, all together. */
  readonly compromise: readonly { readonly row: HardRow; readonly by: number }[];
  /** Σ of violation over limit of the compromise. */
  readonly relativeViolation: number;
  /** With everything else as asked, the best this wish can be. */
  readonly alone: readonly { readonly row: HardRow; readonly best: number }[];
}

const feasible = (problem: LinearProblem, hard: readonly HardRow[]): boolean =>
  solveLinear({ ...problem, hard, soft: [] }) !== null;

/**
 * Explains wishes that cannot hold together.
 *
 * Deletion filter over the hard rows in their order; then the cheapest compromise (every row may give, at 1/|limit| a
 * unit); then each wish of the conflict let go alone.
 *
 * @returns `null` when they can hold together after all
 * Source: docs/models.md "Working backwards".
 */
export function explainConflict(problem: LinearProblem): Conflict | null {
  if (feasible(problem, problem.hard)) return null;
  let rows = [...problem.hard];
  for (const row of problem.hard) {
    const without = rows.filter(r => r !== row);
    if (!feasible(problem, without)) rows = without;
  }
  const elastic = solveLinear(problem, true);
  const compromise = elastic
    ? problem.hard.flatMap(row => {
        const by = elastic.broken[row.id];
        return by === undefined ? [] : [{ row, by }];
      })
    : [];
  const limitOf = (row: HardRow) => Math.abs(row.max ?? row.min ?? 1) || 1;
  return {
    rows,
    compromise,
    relativeViolation: compromise.reduce((sum, c) => sum + Math.abs(c.by) / limitOf(c.row), 0),
    alone: rows.flatMap(row => {
      const best = bestAlone(problem, row);
      return best === null ? [] : [{ row, best }];
    }),
  };
}

/** With the other hard rows kept, the nearest a row can come to what it asks. */
function bestAlone(problem: LinearProblem, row: HardRow): number | null {
  const others = problem.hard.filter(r => r !== row);
  const aim = row.min ?? row.max ?? 0;
  const nearest = solveLinear({
    variables: problem.variables,
    hard: others,
    soft: [
      { id: "aim", label: row.label, coefficients: row.coefficients, value: aim, tolerance: 1, weight: 1e6 },
    ],
  });
  return nearest ? rowValue(row.coefficients, nearest.x) + (row.offset ?? 0) : null;
}
