import { describe, expect, test } from "vitest";
import { type FormulaDocument, linesOf, walk } from "../formula";
import { InvariantError } from "../ground/result";
import { asCooked, draftOf, fold, improvisedFormula, isImprovised } from ".";
import { KITCHEN as kitchen, demo, event, ingredient as by } from "./testing";

const putIn = (
  minute: number,
  stepId: string,
  id: string,
  massG: number,
  why: "season" | "other" | "top up" = "other",
) => event(minute, { kind: "put-in", stepId, ingredient: by(id), massG, why });
const massesOf = (document: FormulaDocument) =>
  new Map(walk(document, kitchen).states.flatMap(s => s.lines.map(l => [l.name, l.massG] as const)));

describe("a batch as the new version of its formula", () => {
  const document = demo("verjus-butter-sauce");
  const [first] = document.steps;
  const stepId = first?.id ?? "";
  const begun = event(0, { kind: "step-begun", stepId });
  const planned = walk(document, kitchen).states[0]?.lines[0];
  if (!planned) throw new InvariantError("no line");
  test("a line stands as it was weighed, in its own relation; one that was near enough stays", () => {
    const added = (massG: number) =>
      fold([begun, event(1, { kind: "added", stepId, lineId: planned.lineId, massG })], document, kitchen);
    const more = asCooked(added(planned.massG * 1.2), document);
    expect(massesOf(more.document).get(planned.name)).toBeCloseTo(planned.massG * 1.2, 3);
    expect(more.changes).toHaveLength(1);
    expect(asCooked(added(planned.massG * 1.004), document)).toEqual({ document, changes: [] });
  });
  test("what went in by taste becomes a line; what topped the pot up on the day does not", () => {
    const run = fold(
      [begun, putIn(2, stepId, "white-pepper", 2, "season"), putIn(3, stepId, "water", 400, "top up")],
      document,
      kitchen,
    );
    const made = asCooked(run, document);
    expect(made.changes).toHaveLength(1);
    expect(linesOf(made.document)).toHaveLength(linesOf(document).length + 1);
  });
});

describe("a run that was started from nothing", () => {
  const document = improvisedFormula("Improvised, Monday");
  const stepId = document.steps[0]?.id ?? "";
  test("becomes a draft: the heaviest thing is the base, the rest shares of it, a fall of its weight a reduction", () => {
    expect(isImprovised(document)).toBe(true);
    const run = fold(
      [
        event(0, { kind: "step-begun", stepId }),
        putIn(1, stepId, "cream", 1000),
        putIn(2, stepId, "mushroom", 250),
        event(20, { kind: "weighed", stepId, netG: 625 }),
        putIn(25, stepId, "salt", 4, "season"),
        putIn(26, stepId, "salt", 2, "season"),
      ],
      document,
      kitchen,
    );
    // What goes in where nothing stood yet has chosen a pot, and is in it.
    expect(run.steps[0]?.foreseen?.vessel).not.toBeNull();
    const draft = draftOf(run, document).document;
    expect(isImprovised(draft)).toBe(false);
    expect(draft.base.massG).toBe(1000);
    expect(draft.steps.map(step => step.kind)).toEqual(["add", "reduce", "add"]);
    expect(draft.steps[1]).toMatchObject({ target: { to: 0.5 } });
    expect([...massesOf(draft).values()].map(Math.round)).toEqual([1000, 250, 6]);
  });
});
