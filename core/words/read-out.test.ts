import { describe, expect, test } from "vitest";
import { inWords, readAt, walkAt, walkInWords } from "./at-the-desk";

const CREAM =
  "Cream sauce\n\nAdd 400 g bought brown stock. Reduce by half. Add 300 g cream. Reduce to nappe. Season.";

describe("a recipe as data", () => {
  const read = readAt(CREAM, 0);
  test("each piece has its kind, its lines with the grams of the walk, and its end in figures", () => {
    expect(read.name).toBe("Cream sauce");
    expect(read.pieces.map(p => p.kind)).toEqual(["add", "reduce", "add", "reduce", "season"]);
    expect(read.pieces[0]?.lines).toMatchObject([{ massG: 400, assumed: false }]);
    expect(read.pieces[1]?.end).toEqual({ by: 0.5 });
    expect(read.pieces[3]?.end).toEqual({ body: 45 });
  });
  test("it is walked as it is taken", () => {
    expect(read.walk?.problems).toEqual([]);
    // Nappe is judged by the film on the spoon; in the pot it is a little thinner.
    expect(Math.abs((read.walk?.body ?? 0) - 43)).toBeLessThan(4);
    expect(read.walk?.finishedG).toBeGreaterThan(250);
  });
  test("the same in lines: what is clear, what is asked, what it gives", () => {
    expect(inWords(read)).toMatch(/✓ reduce: Reduce by half\n/);
    expect(inWords(read)).toMatch(/gives \d+ g, \d+ ml, body 4\d/);
  });
  test("words in which nothing is cooked make no formula, and say so", () => {
    const nothing = readAt("Lorem ipsum dolor sit amet.", 0);
    expect(nothing.document).toBeNull();
    expect(nothing.walk).toBeNull();
    expect(inWords(nothing)).toContain("nothing to cook in it");
    expect(walkAt({ text: "Lorem ipsum." }, 0)).toMatchObject({ ok: false, problems: [{ code: "EMPTY" }] });
  });
});

describe("a walk as data", () => {
  const of = (altitudeM: number) => {
    const found = walkAt({ text: CREAM }, altitudeM);
    if (!found.ok) throw new Error(found.problems[0]?.message);
    return found.value;
  };
  test("every step with its mass, its per cents of the liquor, its pot", () => {
    const [first, reduced] = of(0).states;
    expect(first?.kind).toBe("add");
    expect(first?.massG).toBeCloseTo(400, 6);
    expect((reduced?.gelatinPct ?? 0) / (first?.gelatinPct ?? 1)).toBeCloseTo(2, 1);
    expect(reduced?.vessel).toMatch(/pan|pot/);
    expect(walkInWords(of(0))).toMatch(/^1\. Add/);
  });
  test("as high as it is said: it boils cooler", () =>
    expect(of(1180).states[1]?.temperatureC).toBeLessThan((of(0).states[1]?.temperatureC ?? 0) - 3));
  test("what is no formula is refused", () => expect(walkAt({ formula: { a: 1 } }, 0).ok).toBe(false));
});
