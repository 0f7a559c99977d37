import { describe, expect, test } from "vitest";
import { blankFormula, type FormulaDocument, type Line, labelOf, misnamed, swapMain, walk } from "..";
import { kitchen, demo, line, share } from "./testing";

const sauce = (name: string, lines: Line[]): FormulaDocument => ({
  ...blankFormula(name, { name: "base", massG: 1000 }),
  steps: [{ id: "in", kind: "add", durationMin: 1, vesselId: "tall-1", lines }],
});
const labelled = (document: FormulaDocument) => labelOf(walk(document, kitchen));
const soyGlaze = [line("soy", "soy-sauce", share(40)), line("honey", "honey", share(40))];

describe("C19 allergens, alcohol and diet, through everything", () => {
  test("a soy glaze is soy and gluten", () => {
    expect([...labelled(sauce("Soy glaze", soyGlaze)).allergens].sort()).toEqual(["gluten", "soy"]);
  });
  test("60 g of butter to finish adds milk", () => {
    const label = labelled(
      sauce("Soy glaze", [...soyGlaze, line("butter", "butter", { kind: "fixed", massG: 60 })]),
    );
    expect(label.allergens).toContain("milk");
    expect(label.diet).toContain("dairy");
  });
  test("a shellfish stock makes the velouté crustacean", () => {
    const bisque = labelled(demo("langoustine-bisque"));
    expect(bisque.allergens).toContain("crustaceans");
    const onIt: FormulaDocument = sauce("Velouté", [
      { id: "s", of: { formula: "langoustine-bisque" }, amount: share(100), certainty: "stated" },
    ]);
    expect(labelled(onIt).allergens).toEqual(expect.arrayContaining([...bisque.allergens]));
  });
  test("a wrong animal is flagged, a right one and a bought stock are not", () => {
    const bones = [line("bones", "veal-bones", share(100))];
    const wrong = sauce("Duck jus", bones);
    expect(misnamed(wrong, walk(wrong, kitchen))).toMatch(/after duck.*it holds veal bones/);
    const right = sauce("Veal jus", bones);
    expect(misnamed(right, walk(right, kitchen))).toBeNull();
    const bought = sauce("Sauce for duck", [line("stock", "bought-brown-stock", share(100))]);
    expect(misnamed(bought, walk(bought, kitchen))).toBeNull();
  });
  test("no formula of the demo kitchen is misnamed", () => {
    for (const id of Object.keys(kitchen.data.formulas)) {
      const document = demo(id);
      expect(misnamed(document, walk(document, kitchen)), id).toBeNull();
    }
  });
});

describe("C23 the same method with another main ingredient", () => {
  const bisque = demo("langoustine-bisque");
  const [from, to] = ["langoustine-shells", "prawn-shells"].map(id => kitchen.ingredientById.get(id));
  test("ratios stay, allergens are worked out anew, the blending stays", () => {
    if (!from || !to) throw new Error("the larder has both shells");
    const prawn = swapMain(bisque, from, to, "Prawn bisque");
    const before = walk(bisque, kitchen);
    const after = walk(prawn, kitchen);
    expect(after.problems).toEqual([]);
    expect(after.states[0]?.lines.map(l => l.massG)).toEqual(before.states[0]?.lines.map(l => l.massG));
    expect(prawn.steps.map(s => s.kind)).toEqual(bisque.steps.map(s => s.kind));
    expect(labelOf(after).allergens).toContain("crustaceans");
    expect(prawn.steps.some(s => s.question)).toBe(true);
    expect(
      prawn.steps.flatMap(s => s.lines).find(l => "larder" in l.of && l.of.larder === to.id),
    ).toMatchObject({ certainty: "assumed" });
  });
});
