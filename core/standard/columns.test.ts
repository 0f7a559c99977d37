import { describe, expect, test } from "vitest";
import { DEMO_FORMULAS, GLACE_ID, STOCK_ID } from "../../demo/formulas";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { openKitchen, scaleFormula } from "../formula";
import { columnOf, ownColumns, readColumns } from "./columns";

const kitchen = openKitchen({ ...DEMO_KITCHEN, formulas: DEMO_FORMULAS });
const stock = DEMO_FORMULAS[STOCK_ID] as NonNullable<(typeof DEMO_FORMULAS)[string]>;
const glace = DEMO_FORMULAS[GLACE_ID] as typeof stock;

describe("columns of a card", () => {
  test("a kitchen’s own pots, smallest first, each with a batch to remember and that pot’s own marks", () => {
    const columns = ownColumns(glace, kitchen);
    expect(columns.length).toBeGreaterThan(1);
    for (const [i, column] of columns.entries()) {
      expect(column.title).toMatch(/^(Tall|Low) pot .+, [\d.]+\u00a0kg$/);
      if (i) expect(column.baseG).toBeGreaterThan(columns[i - 1]?.baseG ?? 0);
      const stops = Object.values(column.steps).filter(step => step.stop);
      expect(stops.length).toBeGreaterThan(0);
    }
    // The same liquor stands lower in a broader pot: marks are never those of another column.
    const marks = columns.map(c => Object.values(c.steps).find(s => s.stop)?.stop?.markMm);
    expect(new Set(marks).size).toBe(marks.length);
  });
  test("figures are those of the law of scaling, not of a calculator", () => {
    const column = columnOf(stock, kitchen, { of: "base", massG: 3000 });
    const law = scaleFormula(stock, kitchen, { by: "base", massG: 3000 });
    if (!column.ok || !law.ok) throw new Error("The stock does not scale.");
    for (const line of law.value.lines) expect(column.value.lines[line.lineId]).toBe(line.oursG);
    const plain = columnOf(stock, kitchen, { of: "times", times: 3000 / stock.base.massG });
    if (!plain.ok) throw new Error("The stock does not multiply.");
    expect(plain.value.plain).toBe(true);
    expect(plain.value.finishedG).not.toBeCloseTo(column.value.finishedG, 0);
  });
  test("more than the largest pot takes is several batches, and says so", () => {
    const column = columnOf(glace, kitchen, { of: "base", massG: 120_000 });
    if (!column.ok) throw new Error("It cannot be split.");
    expect(column.value.batches).toBeGreaterThan(1);
    expect(column.value.title).toMatch(/^\d+ × .+, 120\u00a0kg$/);
  });
  test("a pot the recipe is not made in has no column", () =>
    expect(columnOf(stock, kitchen, { of: "pot", vesselId: "saucepan-18" }).ok).toBe(false));
});

describe("columns asked for", () => {
  const grams = (words: string) => {
    const kg = /^([\d.,]+) ?kg$/.exec(words);
    return kg ? Number((kg[1] ?? "").replace(",", ".")) * 1000 : null;
  };
  const read = (text: string) => readColumns(text, kitchen.vessels, grams);
  test("weights, pots and multiples, with a point or a comma", () =>
    expect(read("1,5 kg, 8.6 kg; tall pot no 2, ×3")).toMatchObject({
      ok: true,
      value: [
        { of: "base", massG: 1500 },
        { of: "base", massG: 8600 },
        { of: "pot", vesselId: "tall-2" },
        { of: "times", times: 3 },
      ],
    }));
  test.each(["a lot", "1 kg; 2 kg; 3 kg; 4 kg; 5 kg"])("%s is refused in words", text => {
    const got = read(text);
    expect(got.ok).toBe(false);
    if (!got.ok) expect(got.problems[0]?.message).toMatch(/no batch size|room for 4/);
  });
});
