import { describe, expect, test } from "vitest";
import { fc, test as property } from "@fast-check/vitest";
import { valueOf } from "../../result";
import {
  FIGURES,
  compareOutcomes,
  diffFormulas,
  insertStep,
  mergeDocuments,
  moveStep,
  removeStep,
  updateLine,
  updateStep,
  walk,
} from "..";
import { demo, kitchen, share, stock } from "../testing";

const simmer = "s6";

describe("two edits of one formula, joined by line", () => {
  test("what only one side changed is taken from it", () => {
    const mine = updateLine(stock, "onion", { amount: { kind: "part", group: "mirepoix", parts: 3 } });
    const theirs = updateStep(stock, simmer, { durationMin: 300 });
    const merged = valueOf(mergeDocuments(stock, mine, theirs));
    expect(merged.conflicts).toEqual([]);
    expect(merged.document).toEqual(updateStep(mine, simmer, { durationMin: 300 }));
  });
  test("what both changed otherwise is a conflict; it stands as picked", () => {
    const mine = updateStep(stock, simmer, { durationMin: 240 });
    const theirs = updateStep(stock, simmer, { durationMin: 300 });
    const asked = valueOf(mergeDocuments(stock, mine, theirs));
    expect(asked.conflicts).toMatchObject([{ at: "steps.s6.durationMin", mine: 240, theirs: 300 }]);
    expect(asked.document).toEqual(mine);
    expect(
      valueOf(mergeDocuments(stock, mine, theirs, { "steps.s6.durationMin": "theirs" })).document,
    ).toEqual(theirs);
  });
  test("a step one removed and the other changed is asked about, not lost", () => {
    const merged = valueOf(
      mergeDocuments(stock, removeStep(stock, simmer), updateStep(stock, simmer, { holdC: 90 })),
    );
    expect(merged.conflicts.map(c => c.at)).toEqual(["steps.s6"]);
  });
  test("moved and added steps keep both intents", () => {
    const mine = moveStep(stock, "s3", -1);
    const theirs = insertStep(stock, "note", "told", "s6");
    const merged = valueOf(mergeDocuments(stock, mine, theirs)).document.steps.map(s => s.id);
    expect(merged.indexOf("s3")).toBeLessThan(merged.indexOf("s2"));
    expect(merged[merged.indexOf("s6") + 1]).toBe("told");
  });
  property.prop([fc.integer({ min: 1, max: 600 }), fc.double({ min: 1, max: 40, noNaN: true })])(
    "an edit joined with nothing is the edit, and joining is the same from both sides when nothing clashes",
    (min, pct) => {
      const mine = updateStep(stock, simmer, { durationMin: min });
      const theirs = updateLine(stock, "fond-water", { amount: share(pct) });
      expect(valueOf(mergeDocuments(stock, mine, stock)).document).toEqual(mine);
      expect(valueOf(mergeDocuments(stock, stock, mine)).document).toEqual(mine);
      expect(valueOf(mergeDocuments(stock, mine, theirs)).document).toEqual(
        valueOf(mergeDocuments(stock, theirs, mine)).document,
      );
    },
  );
});

describe("C161 what changed, in words", () => {
  const walks = (document: typeof stock) => ({
    before: walk(stock, kitchen),
    after: walk(document, kitchen),
  });
  test("an amount tells relation and grams, before and after", () => {
    const after = updateLine(stock, "fond-water", { amount: share(8) });
    expect(diffFormulas(stock, after, walks(after))).toEqual([
      expect.objectContaining({
        kind: "amount",
        before: expect.stringMatching(/^10 %/) as string,
        after: expect.stringMatching(/^8 %/) as string,
      }),
    ]);
  });
  test("C161 butter from 60 to 45 g a litre is told as that, with the grams of both", () => {
    const richer = updateLine(demo("cider-juniper-pan-sauce"), "butter-line", {
      amount: { kind: "per-litre", gPerL: 60 },
    });
    const lighter = updateLine(richer, "butter-line", { amount: { kind: "per-litre", gPerL: 45 } });
    const both = { before: walk(richer, kitchen), after: walk(lighter, kitchen) };
    const changes = diffFormulas(richer, lighter, both);
    expect(changes.some(c => /^60 g\/l/.test(c.before) && /^45 g\/l/.test(c.after))).toBe(true);
    const rows = compareOutcomes([
      { document: richer, walked: both.before },
      { document: lighter, walked: both.after },
    ]);
    const fat = rows.find(r => r.what === FIGURES.fat.label);
    expect((fat?.values[0] ?? 0) - (fat?.values[1] ?? 0)).toBeGreaterThan(0.5);
  });
  test("C162 two variants of one stock stand side by side: yield, cost, time and the state of the pot", () => {
    const late = insertStep(removeStep(stock, "s3"), "note", "n");
    const rows = compareOutcomes(
      [stock, late].map(document => ({ document, walked: walk(document, kitchen) })),
    );
    for (const what of ["yield", "food cost", "time"])
      expect(rows.find(r => r.what === what)?.values.every(v => v !== null)).toBe(true);
    expect(rows.every(r => r.values.length === 2)).toBe(true);
  });
  test("nothing changed is nothing said; a moved step is an order", () => {
    expect(diffFormulas(stock, stock, walks(stock))).toEqual([]);
    const moved = moveStep(stock, "s3", -1);
    expect(diffFormulas(stock, moved, walks(moved)).map(c => c.kind)).toEqual(["order"]);
  });
});
