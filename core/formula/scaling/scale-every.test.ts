import { describe, expect, test } from "vitest";
import { EVERY_FORMULA } from "../../families/testing";
import { valueOf } from "../../ground/result";
import { type FormulaDocument, type Scaled, scaleFormula } from "..";
import { adding, blank, fixed, kitchen, line } from "../walk/testing";
import { DEMO_FORMULAS } from "../../../demo/formulas";
import { multiply } from "./multiply";

const times = (document: FormulaDocument, factor: number): Scaled =>
  valueOf(scaleFormula(document, kitchen, { by: "factor", factor }));

/** A correction smaller than this is nobody's to make; what it leaves is rounded off. */
const UNSEEN = 0.0051;

describe.each(EVERY_FORMULA)("%s", (_, document) => {
  test("taken once it is what it was", () => {
    const once = times(document, 1);
    expect(once.document).toEqual(document);
    expect(once.batches).toBe(1);
    for (const { oursG, originalG, reason } of once.lines) {
      expect(oursG).toBe(originalG);
      expect(reason).toBeUndefined();
    }
  });
  test.each([0.5, 4])(
    "times %d: the yield is met or the miss is told, and no line is moved without a reason",
    factor => {
      const scaled = times(document, factor);
      const gives = (scaled.batches * scaled.finished.oursG) / (factor * scaled.finished.originalG);
      const told = scaled.warnings.some(w => w.code === "YIELD_MISSED");
      expect(told || Math.abs(gives - 1) < 0.02, `gives ${gives}`).toBe(true);
      for (const { name, oursG, plainG, reason } of scaled.lines)
        if (Math.abs(oursG - plainG) > UNSEEN * plainG)
          expect(reason, `${name}: ${plainG} g, ours ${oursG} g`).toBeTruthy();
      for (const step of scaled.steps)
        if (step.vesselBefore && step.vesselBefore !== step.vesselAfter) expect(step.reason).toBeTruthy();
    },
  );
});

describe("what no pot of this kitchen brings to the yield", () => {
  const fumet = DEMO_FORMULAS["trout-fumet"] as FormulaDocument;
  test("a quarter of the fumet goes into a pan, and comes to its yield without being thinned", () => {
    const quarter = times(fumet, 0.25);
    const frames = quarter.lines.find(l => l.name === "trout frames");
    expect((frames?.oursG ?? 0) / (frames?.plainG ?? NaN)).toBeGreaterThan(0.75);
    expect(quarter.warnings.map(w => w.code)).not.toContain("YIELD_MISSED");
    expect(quarter.finished.oursG / (0.25 * quarter.finished.originalG)).toBeCloseTo(1, 1);
  });
  test("six times would be too full for the largest pot: two batches, each with its whole yield", () => {
    const six = times(fumet, 6);
    expect(six.batches).toBe(2);
    expect((2 * six.finished.oursG) / (6 * six.finished.originalG)).toBeCloseTo(1, 3);
    expect(six.lines.filter(l => l.reason?.includes("as all of it")).length).toBeGreaterThan(3);
    expect(six.lines.find(l => l.name === "trout frames")?.reason).toMatch(/of water cover it/);
  });
  test("a smaller pot is told to be enough, a larger one to be needed", () => {
    const reasons = (factor: number) => times(fumet, factor).steps.map(s => s.reason ?? "");
    expect(reasons(0.25).join()).toMatch(/is enough; in .* too low/);
    expect(reasons(0.25).join()).not.toContain("too full");
    expect(reasons(6).join()).toMatch(/takes it; .* too full/);
  });
});

describe("multiplied", () => {
  const bound = { ...line("x", "salt", fixed(10)), bounds: { minG: 5, maxG: 20 } };
  const document: FormulaDocument = {
    ...blank(1000, [
      adding([line("w", "water", fixed(900)), bound]),
      { id: "s", kind: "skim", lines: [], times: 2, massG: 30, durationMin: 5 },
    ]),
    targets: [
      { what: "finishedG", value: 900, tolerance: 10 },
      { what: "portions", value: 12, tolerance: 1 },
      { what: "cost", value: 4, tolerance: 0.1 },
      { what: "salt", value: 0.9, tolerance: 0.05 },
    ],
  };
  const thrice = multiply(document, 3);
  test("limits of lines and targets of the batch go along; shares stay", () => {
    expect(thrice.steps[0]?.lines[1]?.bounds).toEqual({ minG: 15, maxG: 60 });
    expect(thrice.targets.map(t => [t.what, t.value])).toEqual([
      ["finishedG", 2700],
      ["portions", 36],
      ["cost", 12],
      ["salt", 0.9],
    ]);
    expect(thrice.targets[3]).toEqual(document.targets[3]);
  });
  test("so does scum that was weighed, and the litres measured up to the bones", () => {
    expect(thrice.steps[1]).toMatchObject({ massG: 90, times: 2 });
    const covered: FormulaDocument = {
      ...document,
      steps: [
        { id: "c", kind: "cover", lines: [], depthMm: 25, countFond: true, toBonesMl: 4000, durationMin: 5 },
      ],
    };
    expect(multiply(covered, 3).steps[0]).toMatchObject({ toBonesMl: 12_000, depthMm: 25 });
  });
  test("once is the same", () => expect(multiply(document, 1)).toBe(document));
});

test("a mayonnaise for a banquet is beaten in bowls, by batches, never in a stock pot", () => {
  const [, mayonnaise] = EVERY_FORMULA.find(([name]) => /^mayonnaise/.test(name)) ?? [];
  if (!mayonnaise) throw new Error("There is no mayonnaise.");
  const scaled = valueOf(scaleFormula(mayonnaise, kitchen, { by: "factor", factor: 12 }));
  const beaten = scaled.steps.findLast(step => /^Beat in/.test(step.title));
  expect(beaten?.reason).toMatch(/Beaten in 3 batches of 3\.75\sl in the Steel bowl 28/);
  expect(kitchen.vessels.find(v => v.name === beaten?.vesselAfter)?.use).toBe("container");
  // Three bowls take three times as long as one.
  expect((beaten?.oursMin ?? 0) / (beaten?.originalMin ?? 1)).toBeGreaterThan(2.5);
});
