import { expect, test } from "vitest";
import { GLACE_ID, STOCK_ID } from "../../../demo/formulas";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { REFERENCE_BY_ID } from "../../things/larder";
import { brandChange, formulasUsing } from "..";
import type { FormulaDocument } from "..";

const line = (id: string, larder: string, massG: number) => ({
  id,
  of: { larder },
  amount: { kind: "fixed" as const, massG },
  certainty: "stated" as const,
});
const base = Object.values(DEMO_KITCHEN.formulas)[0] as FormulaDocument;
const sauce: FormulaDocument = {
  ...base,
  name: "Butter sauce",
  groups: [],
  steps: [
    {
      id: "a",
      kind: "add",
      lines: [line("w", "white-wine", 500), line("c", "cream", 300), line("s", "salt", 5)],
      durationMin: 2,
      vesselId: "saucepan-24",
    },
  ],
};
const { [STOCK_ID]: stock, [GLACE_ID]: glace } = DEMO_KITCHEN.formulas as Record<string, FormulaDocument>;
const kitchen = {
  ...DEMO_KITCHEN,
  formulas: { [STOCK_ID]: stock, [GLACE_ID]: glace, sauce } as Record<string, FormulaDocument>,
};
const ingredient = (id: string) => {
  const found = REFERENCE_BY_ID.get(id);
  if (!found) throw new Error(id);
  return found;
};

test("a leaner cream moves the fat of the sauces that use it, and of no other", () => {
  const moved = brandChange(kitchen, "cream", ingredient("cream-18"));
  expect(moved.map(m => m.name)).toEqual(["Butter sauce"]);
  const fat = moved[0]?.moved.find(m => m.what === "fat");
  expect(fat?.before).toBeCloseTo((100 * 111) / 805, 0);
  expect(fat?.after).toBeCloseTo((100 * 54) / 805, 0);
});
test("saltier salt is still salt: the same brand moves nothing", () =>
  expect(brandChange(kitchen, "cream", ingredient("cream"))[0]?.moved).toEqual([]));
test("formulas that draw on a formula are found too", () => {
  const users = formulasUsing(kitchen.formulas, { larder: "onion" });
  expect(users).toContain("guinea-fowl-brown-stock");
  expect(users).toContain("guinea-fowl-glace");
  expect(formulasUsing(kitchen.formulas, { larder: "saffron" })).toEqual([]);
});
