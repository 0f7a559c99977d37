import { describe, expect, test } from "vitest";
import { EVERY_FORMULA } from "../../families/testing";
import { shareLeft, walk } from "..";
import { adding, blank, fixed, glace, kitchen, line } from "./testing";

describe("how much stronger a reduction is than what it was made of", () => {
  test("the glace lets down by what boiled away from the stock", () => {
    const walked = walk(glace, kitchen);
    const left = shareLeft(walked);
    const stockG = Math.max(...walked.states.flatMap(s => s.lines.map(l => l.massG)));
    expect(left).toBeCloseTo(walked.finishedG / stockG, 9);
    expect(left ?? NaN).toBeLessThan(0.6);
  });
  test("nothing boiled away, many things, or an empty pot: no label", () => {
    expect(shareLeft(walk(blank(1000, [adding([line("w", "water", fixed(1000))])]), kitchen))).toBeNull();
    expect(shareLeft(walk(blank(1000, []), kitchen))).toBeNull();
  });
  test.each(EVERY_FORMULA)(
    "%s: between nothing and all, and only where something was reduced",
    (_, document) => {
      const walked = walk(document, kitchen);
      const left = shareLeft(walked);
      if (left === null) return;
      expect(left).toBeGreaterThan(0);
      expect(left).toBeLessThan(0.95);
      expect(document.steps.some(step => step.kind === "reduce")).toBe(true);
    },
  );
});
