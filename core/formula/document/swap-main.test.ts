import { describe, expect, test } from "vitest";
import { EVERY_FORMULA } from "../../families/testing";
import type { Ingredient } from "../../things/larder";
import { type FormulaDocument, labelOf, linesOf, swapMain, walk } from "..";
import { adding, blank, fixed, kitchen, line, share, stock } from "../walk/testing";

const ingredient = (id: string): Ingredient => {
  const found = kitchen.ingredientById.get(id);
  if (!found) throw new Error(`The larder has no ${id}.`);
  return found;
};
/** What most of a formula is, by weight, out of the larder. */
function mainOf(document: FormulaDocument): Ingredient | undefined {
  const grams = new Map<string, number>();
  for (const { lines } of walk(document, kitchen).states)
    for (const { lineId, massG } of lines) {
      const of = linesOf(document).find(l => l.id === lineId)?.of;
      if (of && "larder" in of) grams.set(of.larder, (grams.get(of.larder) ?? 0) + massG);
    }
  const [most] = [...grams].sort((a, b) => b[1] - a[1]);
  return most && kitchen.ingredientById.get(most[0]);
}
const of = (document: FormulaDocument, id: string) =>
  linesOf(document).filter(l => "larder" in l.of && l.of.larder === id);

describe.each(EVERY_FORMULA)("%s with another main ingredient", (_, document) => {
  const from = mainOf(document);
  test.each(["celeriac", "chicken-carcass", "milk", "bought-white-stock"])("%s", id => {
    const to = ingredient(id);
    if (!from || from.id === to.id) return;
    const swapped = swapMain(document, from, to, "Another");
    expect(of(swapped, from.id)).toEqual([]);
    expect(of(swapped, to.id)).toHaveLength(of(document, from.id).length + of(document, to.id).length);
    expect(swapped.steps.map(s => [s.id, s.kind])).toEqual(document.steps.map(s => [s.id, s.kind]));
    for (const [i, { amount, certainty }] of linesOf(swapped).entries()) {
      const was = linesOf(document)[i];
      expect(amount).toEqual(was?.amount);
      if (was && "larder" in was.of && was.of.larder === from.id) expect(certainty).toBe("assumed");
    }
    expect(swapped.notes).toContain(document.notes);
    // It can be walked, or it says in words what keeps it.
    for (const { message } of walk(swapped, kitchen).problems)
      expect(message).toMatch(/^[A-Z“\d].{10,}[.?]$/);
  });
});

describe("what cannot be known any more is asked", () => {
  const soup: FormulaDocument = {
    ...blank(1000, [
      adding([
        line("celeriac", "celeriac", share(100)),
        { ...line("salt", "salt", fixed(9)), typed: "a spoon" },
      ]),
    ]),
    base: { name: "celeriac", massG: 1000 },
  };
  test("a base that bears the name of the one bears that of the other; any other base keeps its own", () => {
    expect(swapMain(soup, ingredient("celeriac"), ingredient("parsnip"), "P").base.name).toBe(
      ingredient("parsnip").name,
    );
    expect(swapMain(soup, ingredient("salt"), ingredient("sugar"), "S").base.name).toBe("celeriac");
  });
  test("like for like the amount is trusted, unlike it is asked", () => {
    const asked = (to: string) =>
      of(swapMain(soup, ingredient("celeriac"), ingredient(to), "X"), to)[0]?.question ?? "";
    expect(asked("parsnip")).toBe("");
    expect(asked("butter")).toMatch(/Is the amount right for .*butter\? It was written for celeriac/);
  });
  test("what was typed for the one is not said of the other", () => {
    expect(
      of(swapMain(soup, ingredient("salt"), ingredient("sugar"), "S"), "sugar")[0]?.typed,
    ).toBeUndefined();
  });
  test("times are asked from the step on where it comes in, where they depend on it", () => {
    const bones = mainOf(stock);
    if (!bones) throw new Error("The stock has no bones.");
    const swapped = swapMain(stock, bones, ingredient("trout-frames"), "Fish");
    const simmer = swapped.steps.find(s => s.kind === "simmer");
    expect(simmer?.question).toMatch(/How long with trout frames\?/);
    expect(swapped.steps.find(s => s.kind === "strain")?.question).toBeUndefined();
  });
  test("allergens follow from the larder", () => {
    const fish = swapMain(soup, ingredient("celeriac"), ingredient("trout-frames"), "F");
    expect(labelOf(walk(fish, kitchen)).allergens).toContain("fish");
    expect(labelOf(walk(soup, kitchen)).allergens).not.toContain("fish");
  });
});
