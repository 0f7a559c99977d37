import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { EVERY_FORMULA } from "../../families/testing";
import { valueOf } from "../../ground/result";
import {
  type FormulaDocument,
  type FormulaTarget,
  type Line,
  STEP_KINDS,
  linesOf,
  openKitchen,
  updateLine,
  walk,
  workBackwards,
} from "..";
import { adding, blank, kitchen, line } from "../walk/testing";

const fixed = (massG: number) => ({ kind: "fixed" as const, massG });
const plain = (targets: FormulaTarget[]): FormulaDocument => ({
  ...blank(1000, [
    adding([
      line("stock", "bought-white-stock", fixed(1000)),
      line("cream", "cream", fixed(200)),
      line("salt", "salt", fixed(4)),
    ]),
  ]),
  targets,
});

describe("working a formula backwards", () => {
  test("a weight and a salt are met together, and the walk confirms it", () => {
    const found = valueOf(
      workBackwards(
        plain([
          { what: "finishedG", value: 2000, tolerance: 1 },
          { what: "salt", value: 0.9, tolerance: 0.01 },
          { what: "fat", value: 9, tolerance: 0.1 },
        ]),
        kitchen,
      ),
    );
    expect(found.achieved.every(a => a.met)).toBe(true);
    const walked = walk(found.document, kitchen);
    expect(walked.finishedG).toBeCloseTo(2000, 0);
  });
  test("a cider pan sauce is brought to 0.85 % salt through its reductions", () => {
    const home = openKitchen(DEMO_KITCHEN);
    const sauce = DEMO_KITCHEN.formulas["cider-juniper-pan-sauce"];
    if (!sauce) throw new Error("The demo pan sauce is gone.");
    const found = valueOf(
      workBackwards({ ...sauce, targets: [{ what: "salt", value: 0.85, tolerance: 0.02 }] }, home),
    );
    expect(found.achieved[0]?.after).toBeCloseTo(0.85, 3);
  });
  test("limits are kept, and a line at its limit says so", () => {
    const tight = updateLine(plain([{ what: "salt", value: 2, tolerance: 0.01 }]), "salt", {
      bounds: { minG: 0, maxG: 6 },
    });
    const found = valueOf(workBackwards(tight, kitchen));
    expect(found.achieved[0]?.met).toBe(false);
    expect(found.lines).toEqual([expect.objectContaining({ lineId: "salt", afterG: 6, atLimit: "most" })]);
  });
  test("wishes that fight are named, with what each could be alone", () => {
    const refused = workBackwards(
      plain([
        { what: "finishedG", value: 3000, tolerance: 1 },
        { what: "cost", value: 3, tolerance: 0.01 },
      ]),
      kitchen,
    );
    expect(!refused.ok && refused.problems[0]).toMatchObject({ code: "UNREACHABLE" });
    expect(!refused.ok && refused.problems[0]?.message).toContain("finished");
  });
  test("without a wish there is nothing to work back from", () => {
    const refused = workBackwards(plain([]), kitchen);
    expect(!refused.ok && refused.problems[0]?.code).toBe("EMPTY");
  });
});

describe("a yield, where nobody set limits, is reached by the whole formula", () => {
  /** Water that covers does not grow with the bones; so far the lines may differ from each other. */
  const ALIKE = 1.15;
  test.each(EVERY_FORMULA)("%s: a third more of it, in its proportions", (_, document) => {
    const before = walk(document, kitchen);
    const value = 1.3 * before.finishedG;
    const wish: FormulaTarget = { what: "finishedG", value, tolerance: value / 200 };
    const found = valueOf(workBackwards({ ...document, targets: [wish] }, kitchen));
    expect(found.achieved.map(a => a.met)).toEqual([true]);
    expect(found.document.targets).toEqual([wish]);
    expect(walk(found.document, kitchen).finishedG / value).toBeCloseTo(1, 2);
    // Salt that aims at a share fills up what the rest brings: it goes its own way.
    const aims = new Set(linesOf(document).flatMap(l => (l.amount.kind === "to-reach" ? [l.id] : [])));
    const grown = found.lines.filter(l => !aims.has(l.lineId)).map(l => l.afterG / l.beforeG);
    expect(Math.max(...grown) / Math.min(...grown)).toBeLessThan(ALIKE);
  });
  test("a formula that gives it already is left as it is", () => {
    const document = plain([]);
    const wish: FormulaTarget = { what: "finishedG", value: 1204, tolerance: 1 };
    const found = valueOf(workBackwards({ ...document, targets: [wish] }, kitchen));
    expect(found.lines).toEqual([]);
    expect(found.document).toEqual({ ...document, targets: [wish] });
  });
  test("portions count as their weight", () => {
    const document = { ...plain([{ what: "portions", value: 30, tolerance: 0.5 }]), portionG: 100 };
    const found = valueOf(workBackwards(document, kitchen));
    expect(found.document.portionG).toBe(100);
    expect(walk(found.document, kitchen).finishedG).toBeCloseTo(3000, 0);
  });
  test("with limits set only the lines that have some move", () => {
    const limited = updateLine(plain([{ what: "finishedG", value: 1500, tolerance: 1 }]), "stock", {
      bounds: { minG: 500, maxG: 2000 },
    });
    const found = valueOf(workBackwards(limited, kitchen));
    expect(found.lines.map(l => l.lineId)).toEqual(["stock"]);
    expect(found.achieved[0]?.met).toBe(true);
  });
});

describe("a share that nothing in the formula holds", () => {
  const broth = (targets: FormulaTarget[], ...more: Line[]): FormulaDocument => ({
    ...blank(1000, [adding([line("w", "water", { kind: "fixed", massG: 1000 }), ...more])]),
    targets,
  });
  const wish: FormulaTarget = { what: "salt", value: 0.9, tolerance: 0.02 };
  test("is told to lack something that does", () => {
    const [salt] = valueOf(workBackwards(broth([wish]), kitchen)).achieved;
    expect(salt?.met).toBe(false);
    expect(salt?.lacks).toMatch(/so much salt: put a line in/);
  });
  test("and nothing is moved for it; what else is wished is worked back all the same", () => {
    const alone = valueOf(workBackwards(broth([wish]), kitchen));
    expect([alone.lines, alone.document]).toEqual([[], broth([wish])]);
    const yielding: FormulaTarget = { what: "finishedG", value: 1500, tolerance: 1 };
    const both = valueOf(workBackwards(broth([wish, yielding]), kitchen));
    expect(both.achieved.map(a => [a.target.what, a.met])).toEqual([
      ["salt", false],
      ["finishedG", true],
    ]);
    expect(both.lines.map(l => [l.lineId, Math.round(l.afterG)])).toEqual([["w", 1500]]);
    expect(both.document.targets).toEqual([wish, yielding]);
  });
  test("is not where an ingredient could, or where there is too much already", () => {
    const salted = broth([wish], line("s", "salt", { kind: "fixed", massG: 1 }));
    expect(valueOf(workBackwards(salted, kitchen)).achieved[0]).toMatchObject({ met: true });
    const held = updateLine(salted, "s", { bounds: { minG: 0, maxG: 2 } });
    const atLimit = valueOf(workBackwards(held, kitchen)).achieved[0];
    expect([atLimit?.met, atLimit?.lacks]).toEqual([false, undefined]);
    const oversalted = updateLine(salted, "s", { bounds: { minG: 40, maxG: 50 } });
    const above = valueOf(workBackwards(oversalted, kitchen)).achieved[0];
    expect([above?.met, above?.lacks]).toEqual([false, undefined]);
  });
});

test("what asks for more than its pot holds goes as far as it can be cooked, and is told unmet", () => {
  const document: FormulaDocument = {
    ...blank(1000, [
      adding([line("cream", "cream", { kind: "fixed", massG: 1000 })]),
      { ...STEP_KINDS.reduce.blank("r"), vesselId: "copper-20" },
    ]),
    targets: [{ what: "finishedG", value: 20_000, tolerance: 10 }],
  };
  const found = workBackwards(document, kitchen);
  if (!found.ok) expect(found.problems[0]?.message).toMatch(/pot|holds|finished/i);
  else {
    expect(found.value.achieved[0]?.met).toBe(false);
    expect(walk(found.value.document, kitchen).problems).toEqual([]);
    expect(walk(found.value.document, kitchen).finishedG).toBeGreaterThan(walk(document, kitchen).finishedG);
  }
});
