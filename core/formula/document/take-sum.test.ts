import { expect, test } from "vitest";
import { DEMO_FORMULAS, GLACE_ID, STOCK_ID } from "../../../demo/formulas";
import { readFormula, takeSum } from "..";
import type { FormulaDocument } from "..";

const glace = DEMO_FORMULAS[GLACE_ID] as FormulaDocument;
const stock = DEMO_FORMULAS[STOCK_ID] as FormulaDocument;
const step = (document: FormulaDocument, id: string) => document.steps.find(s => s.id === id);

test("a reduction’s target goes into the chosen reduction", () => {
  const taken = takeSum(glace, "g2", {
    name: "dip-mark",
    input: { target: { by: 0.5 } },
    sentence: "Stop at 28 mm.",
  });
  expect(step(taken, "g2")).toMatchObject({ kind: "reduce", target: { by: 0.5 } });
  expect(readFormula(taken).ok).toBe(true);
});
test("a bath and its goal go into the chosen cooling", () => {
  const taken = takeSum(stock, "s9", {
    name: "cool-time",
    input: { method: "walk-in", toC: 4 },
    sentence: "",
  });
  expect(step(taken, "s9")).toMatchObject({ kind: "cool", method: "walk-in", toC: 4 });
});
test("anything else is written down: at the step, or in the notes", () => {
  const said = { name: "ice", input: {}, sentence: "6.4 kg of ice for the bath." };
  expect(step(takeSum(stock, "s9", said), "s9")?.remark).toBe(said.sentence);
  expect(takeSum(stock, null, said).notes).toBe(`${stock.notes} ${said.sentence}`);
  expect(readFormula(takeSum(stock, null, { ...said, sentence: "x".repeat(5000) })).ok).toBe(true);
});
