import { expect, test } from "vitest";
import { DEMO_FORMULAS, GLACE_ID, STOCK_ID } from "../../../demo/formulas";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import type { FormulaDocument } from "../document/document";
import { motherChange } from "./mother-change";

const kitchen = { ...DEMO_KITCHEN, formulas: DEMO_FORMULAS };
const stock = DEMO_FORMULAS[STOCK_ID] as FormulaDocument;

/** The stock with something more in its pot at the last step. */
const withMore = (larder: string, massG: number): FormulaDocument => ({
  ...stock,
  steps: [
    ...stock.steps,
    {
      id: "more",
      kind: "add",
      lines: [{ id: "more-1", of: { larder }, amount: { kind: "fixed", massG } }],
    } as FormulaDocument["steps"][number],
  ],
});

test("salt put into the stock is found in the glace, four times as strong and more", () => {
  const moved = motherChange(kitchen, STOCK_ID, stock, withMore("salt", 60));
  const glace = moved.find(d => d.id === GLACE_ID);
  const salt = glace?.moved.find(m => m.what === "salt");
  expect(salt?.before).toBeLessThan(0.6);
  expect((salt?.after ?? 0) - (salt?.before ?? 0)).toBeGreaterThan(2);
  // The pan sauce is made of the stock, too.
  expect(moved.map(d => d.id)).toContain("cider-juniper-pan-sauce");
});

test("an allergen that comes into the mother comes into every daughter", () => {
  const moved = motherChange(kitchen, STOCK_ID, stock, withMore("butter", 50));
  expect(moved.find(d => d.id === GLACE_ID)).toMatchObject({ comes: ["milk"], goes: [] });
});

test("nothing changed, nothing said; who does not draw on it is never named", () => {
  expect(motherChange(kitchen, STOCK_ID, stock, { ...stock, notes: "other words" })).toEqual([]);
  const moved = motherChange(kitchen, STOCK_ID, stock, withMore("butter", 50));
  expect(moved.map(d => d.id)).not.toContain("walnut-oil-mayonnaise");
});
