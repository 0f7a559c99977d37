import { describe, expect, test } from "vitest";
import { InvariantError, checkNumber, ok, refuse, valueOf } from "./result";

describe("checking a number", () => {
  test.each([
    [NaN, "NOT_FINITE", "Salt: please enter a number."],
    [Infinity, "NOT_FINITE", "Salt: please enter a number."],
    [-1, "NEGATIVE", "Salt cannot be negative."],
    [40, "OUT_OF_RANGE", "Salt is 40 %; it must be between 0 and 26 %."],
  ])("%d is refused as %s", (value, code, message) => {
    expect(checkNumber(value, "saltPct", "Salt", { min: 0, max: 26, unit: "%" })).toMatchObject([
      { code, message, field: "saltPct" },
    ]);
  });
  test("at the limits it passes; without an upper limit it says at least", () => {
    expect(checkNumber(0, "x", "X")).toEqual([]);
    expect(checkNumber(26, "x", "X", { max: 26 })).toEqual([]);
    expect(checkNumber(0.5, "x", "Covers", { min: 1 })[0]?.message).toBe(
      "Covers is 0.5; it must be at least 1.",
    );
    expect(checkNumber(-5, "x", "X", { min: -10, max: 10 })).toEqual([]);
  });
});

describe("results", () => {
  test("a refusal where it was ruled out is our mistake and says which", () => {
    expect(valueOf(ok(5))).toBe(5);
    expect(() =>
      valueOf(refuse({ code: "EMPTY", field: "pot", message: "There is nothing in the pot yet." })),
    ).toThrow(InvariantError);
    expect(() => valueOf(refuse({ code: "EMPTY", field: "pot", message: "nothing" }))).toThrow(
      "pot: nothing",
    );
  });
  test("warnings travel beside the value", () => {
    expect(ok(1, [{ code: "HEADSPACE", message: "near the rim" }])).toEqual({
      ok: true,
      value: 1,
      warnings: [{ code: "HEADSPACE", message: "near the rim" }],
    });
  });
});
