import { describe, expect, test } from "vitest";
import { fc, test as property } from "@fast-check/vitest";
import { valueOf } from "../../ground/result";
import {
  FIGURES,
  type FormulaDocument,
  addLine,
  compareOutcomes,
  diffFormulas,
  insertStep,
  linesOf,
  mergeDocuments,
  moveStep,
  removeLine,
  removeStep,
  updateLine,
  updateStep,
  walk,
} from "..";
import { demo, fixed, kitchen, line as lineOf, share, stock } from "../walk/testing";

const simmer = "s6";

describe("two edits of one formula, joined by line", () => {
  test("a step that is called like a field is joined by its parts all the same", () => {
    const named = { ...stock, steps: stock.steps.map(s => (s.id === simmer ? { ...s, id: "trim" } : s)) };
    const mine = updateStep(named, "trim", { durationMin: 300 });
    const theirs = updateStep(named, "trim", { remark: "slowly" });
    const merged = valueOf(mergeDocuments(named, mine, theirs));
    expect(merged.conflicts).toEqual([]);
    expect(merged.document.steps.find(s => s.id === "trim")).toMatchObject({
      durationMin: 300,
      remark: "slowly",
    });
  });
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

/** A line taken out of its step and put into another. */
const carried = (document: FormulaDocument, lineId: string, to: string): FormulaDocument => {
  const line = linesOf(document).find(l => l.id === lineId);
  if (!line || !document.steps.some(s => s.id === to)) return document;
  return {
    ...document,
    steps: document.steps.map(step => {
      const lines = step.lines.filter(l => l.id !== lineId);
      return { ...step, lines: step.id === to ? [...lines, line] : lines };
    }),
  };
};
const holderOf = (document: FormulaDocument, lineId: string) =>
  document.steps.filter(s => s.lines.some(l => l.id === lineId)).map(s => s.id);

describe("a line that goes into another step stands once", () => {
  const [from, to] = ["s2", "s6"];
  const lineId = stock.steps.find(s => s.id === from)?.lines[0]?.id ?? "";
  const moved = carried(stock, lineId, to);
  test("the test moves what it says", () => {
    expect([holderOf(stock, lineId), holderOf(moved, lineId)]).toEqual([[from], [to]]);
  });
  test("one moved it, the other did something else: it is moved", () => {
    const theirs = updateStep(stock, simmer, { durationMin: 300 });
    for (const [a, b] of [
      [moved, theirs],
      [theirs, moved],
    ] as const) {
      const merged = valueOf(mergeDocuments(stock, a, b));
      expect(holderOf(merged.document, lineId)).toEqual([to]);
      expect(merged.conflicts).toEqual([]);
    }
  });
  test("one moved it, the other gave it another amount: asked, and as picked", () => {
    const heavier = updateLine(stock, lineId, { amount: share(33) });
    const at = `steps.${from}.lines.${lineId}`;
    const mineStands = valueOf(mergeDocuments(stock, heavier, moved));
    expect(mineStands.conflicts.map(c => c.at)).toEqual([at]);
    expect(holderOf(mineStands.document, lineId)).toEqual([from]);
    const theirsStands = valueOf(mergeDocuments(stock, heavier, moved, { [at]: "theirs" }));
    expect(holderOf(theirsStands.document, lineId)).toEqual([to]);
  });
  test("one moved it and took its old step out, the other changed that step: as picked", () => {
    const gone = removeStep(moved, from);
    const changed = addLine(stock, from, lineOf("own", "water", fixed(5)));
    const at = `steps.${from}`;
    const mineStands = valueOf(mergeDocuments(stock, changed, gone));
    expect(mineStands.conflicts.map(c => c.at)).toEqual([at]);
    expect(holderOf(mineStands.document, lineId)).toEqual([from]);
    const theirsStands = valueOf(mergeDocuments(stock, changed, gone, { [at]: "theirs" }));
    expect(holderOf(theirsStands.document, lineId)).toEqual([to]);
    expect(theirsStands.document.steps.map(s => s.id)).not.toContain(from);
  });
  test("each moved it somewhere else: asked in words, and as picked", () => {
    const elsewhere = carried(stock, lineId, "s4");
    const asked = valueOf(mergeDocuments(stock, elsewhere, moved));
    expect(holderOf(asked.document, lineId)).toEqual(["s4"]);
    const [conflict] = asked.conflicts;
    expect(asked.conflicts).toHaveLength(1);
    expect(conflict?.theirs).toMatch(/simmer/i);
    const picked = mergeDocuments(stock, elsewhere, moved, { [conflict?.at ?? ""]: "theirs" });
    expect(holderOf(valueOf(picked).document, lineId)).toEqual([to]);
  });
});

const stepIds = stock.steps.map(s => s.id);
const timedIds = stock.steps.filter(s => "durationMin" in s).map(s => s.id);
const lineIds = linesOf(stock).map(l => l.id);
/** Something somebody does to a formula. */
const anyEdit = fc.oneof(
  fc.tuple(fc.constantFrom(...lineIds), fc.constantFrom(...stepIds)).map(
    ([line, step]) =>
      (d: FormulaDocument) =>
        carried(d, line, step),
  ),
  fc.tuple(fc.constantFrom(...lineIds), fc.double({ min: 1, max: 90, noNaN: true })).map(
    ([line, pct]) =>
      (d: FormulaDocument) =>
        updateLine(d, line, { amount: share(pct) }),
  ),
  fc.constantFrom(...lineIds).map(line => (d: FormulaDocument) => removeLine(d, line)),
  fc.constantFrom(...stepIds).map(step => (d: FormulaDocument) => removeStep(d, step)),
  fc.tuple(fc.constantFrom(...stepIds), fc.integer({ min: -3, max: 3 })).map(
    ([step, by]) =>
      (d: FormulaDocument) =>
        moveStep(d, step, by),
  ),
  fc.tuple(fc.constantFrom(...timedIds), fc.integer({ min: 1, max: 600 })).map(
    ([step, durationMin]) =>
      (d: FormulaDocument) =>
        updateStep(d, step, { durationMin }),
  ),
);
const edited = (edits: readonly ((d: FormulaDocument) => FormulaDocument)[]): FormulaDocument =>
  edits.reduce((d, edit) => edit(d), stock);

property.prop([fc.array(anyEdit, { maxLength: 6 }), fc.array(anyEdit, { maxLength: 6 })], { numRuns: 300 })(
  "any two edits can be joined, each line once; all picked from one side keeps what that side changed",
  (my, their) => {
    const [mine, theirs] = [edited(my), edited(their)];
    const { document, conflicts } = valueOf(mergeDocuments(stock, mine, theirs));
    const ids = linesOf(document).map(l => l.id);
    expect(new Set(ids).size).toBe(ids.length);
    // A line both still have is not lost, but where a step that held it is in dispute.
    if (conflicts.length === 0)
      for (const { id } of linesOf(mine))
        if (linesOf(theirs).some(l => l.id === id)) expect(ids).toContain(id);
    const allTheirs = Object.fromEntries(conflicts.map(c => [c.at, "theirs" as const]));
    const joined = valueOf(mergeDocuments(stock, mine, theirs, allTheirs));
    expect(joined.conflicts.map(c => c.at)).toEqual(conflicts.map(c => c.at));
    const again = linesOf(joined.document).map(l => l.id);
    expect(new Set(again).size).toBe(again.length);
  },
);

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
