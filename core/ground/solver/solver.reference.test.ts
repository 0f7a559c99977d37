import { describe, expect, test } from "vitest";
import { type HardRow, type LinearProblem, type Variable, explainConflict, rowValue, solveLinear } from ".";

/** docs/models.md "Working backwards", the mayonnaise that cannot be. */
const variables: Variable[] = ["oil", "yolk", "vinegar", "salt"].map(id => ({
  id,
  min: 0,
  max: 5000,
  base: 0,
}));
const only = (id: string, a = 1) => ({ [id]: a });
const row = (
  id: string,
  coefficients: Record<string, number>,
  limits: { min?: number; max?: number },
): HardRow => ({
  id,
  label: id,
  coefficients,
  ...limits,
});
const mayonnaise: LinearProblem = {
  variables,
  soft: [],
  hard: [
    row("yield", { oil: 1, yolk: 1, vinegar: 1, salt: 1 }, { min: 1000, max: 1000 }),
    row("oil", only("oil"), { min: 800 }),
    row("acid", only("vinegar", 0.05), { min: 6 }),
    row("yolk", only("yolk"), { min: 100 }),
    row("salt", only("salt"), { min: 11 }),
    row("cost", { oil: 0.004, yolk: 0.009, vinegar: 0.002, salt: 0.0008 }, { max: 9 }),
  ],
};

describe("06-H check rows: wishes that fight each other", () => {
  const conflict = explainConflict(mayonnaise);
  test("H-3 the smallest conflict leaves salt and cost out", () => {
    expect(conflict?.rows.map(r => r.id)).toEqual(["yield", "oil", "acid", "yolk"]);
  });
  test("H-4 the cheapest compromise gives 0.0310 in all: 31 g over the yield", () => {
    expect(conflict?.relativeViolation).toBeCloseTo(0.031, 6);
  });
  test("H-5 each wish alone", () => {
    const alone = Object.fromEntries(conflict?.alone.map(a => [a.row.id, a.best]) ?? []);
    expect(alone.yield).toBeCloseTo(1031, 2);
    expect(alone.oil).toBeCloseTo(769, 2);
    expect(alone.acid).toBeCloseTo(4.45, 2);
    expect(alone.yolk).toBeCloseTo(69, 2);
  });
  test("wishes that go together have no conflict", () => {
    expect(explainConflict({ ...mayonnaise, hard: mayonnaise.hard.slice(0, 2) })).toBeNull();
  });
});

describe("soft targets", () => {
  const problem: LinearProblem = {
    variables: [
      { id: "stock", min: 0, max: 3000, base: 1700 },
      { id: "salt", min: 0, max: 40, base: 14 },
    ],
    hard: [row("yield", { stock: 1, salt: 1 }, { min: 1800, max: 1800 })],
    soft: [
      {
        id: "salt",
        label: "salt",
        coefficients: { stock: 0.002, salt: 1 },
        value: 16.2,
        tolerance: 1,
        weight: 10,
      },
    ],
  };
  test("are met where they can be", () => {
    const answer = solveLinear(problem);
    expect(rowValue(problem.soft[0]?.coefficients ?? {}, answer?.x ?? {})).toBeCloseTo(16.2, 6);
  });
  test("give way to bounds, and the same question has the same answer", () => {
    const tight = {
      ...problem,
      variables: [
        { id: "stock", min: 0, max: 3000, base: 1700 },
        { id: "salt", min: 0, max: 5, base: 5 },
      ],
    };
    const answer = solveLinear(tight);
    expect(answer?.x.salt).toBeCloseTo(5, 6);
    expect(solveLinear(tight)).toEqual(answer);
  });
});
