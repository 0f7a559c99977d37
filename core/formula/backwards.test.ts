import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { valueOf } from "../result";
import { type FormulaDocument, type FormulaTarget, openKitchen, updateLine, walk, workBackwards } from ".";
import { adding, blank, kitchen, line } from "./testing";

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
