import { describe, expect, test } from "vitest";
import { type Ingredient, REFERENCE_LARDER } from "~/core/things/larder";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { larderAsCsv, larderAsJson, previewImport } from "./exchange.server";

const csv = (...rows: readonly string[]) => previewImport(rows.join("\n"));

describe("out and in again", () => {
  test("JSON brings every entry back as it was", () => {
    const preview = previewImport(larderAsJson(DEMO_KITCHEN.ingredients));
    expect(preview.broken).toBeNull();
    expect(preview.rows.filter(r => !r.ingredient)).toEqual([]);
    expect(preview.rows.map(r => r.ingredient?.id)).toEqual(DEMO_KITCHEN.ingredients.map(i => i.id));
    expect(preview.rows[5]?.ingredient).toMatchObject({ price: DEMO_KITCHEN.ingredients[5]?.price });
  });
  test("CSV brings back names, composition, measures, allergens and prices", () => {
    const preview = previewImport(larderAsCsv(DEMO_KITCHEN.ingredients));
    expect(preview.rows.filter(r => !r.ingredient).map(r => r.problems)).toEqual([]);
    for (const [i, row] of preview.rows.entries()) {
      const was = DEMO_KITCHEN.ingredients[i];
      expect(row.ingredient?.name).toBe(was?.name);
      expect(row.ingredient?.allergens).toEqual(was?.allergens);
      expect(row.ingredient?.measures.map(m => [m.name, m.massG])).toEqual(
        was?.measures.map(m => [m.name, m.massG]),
      );
      expect(row.ingredient?.price?.perKg).toBe(was?.price?.perKg);
      expect(row.ingredient?.carries).toEqual(was?.carries);
      expect(row.ingredient?.composition.fat).toBeCloseTo(was?.composition.fat ?? 0, 6);
    }
  });
  test("what a spreadsheet would take for a formula is defused, and read back", () => {
    const [first] = REFERENCE_LARDER;
    if (!first) throw new Error("empty");
    const text = larderAsCsv([{ ...first, name: "=1+1" }]);
    expect(text).not.toMatch(/,=1\+1/);
    expect(previewImport(text).rows[0]?.ingredient?.name).toBe("=1+1");
  });
});

describe("what an entry carries", () => {
  const water = (more: string) => [
    `name,water${more ? `,${more.split("|")[0]}` : ""}`,
    `pea flour,100${more ? `,${more.split("|")[1]}` : ""}`,
  ];
  const own = {
    ...DEMO_KITCHEN.ingredients[0],
    id: "pea-flour",
    carries: { thickener: "corn" },
  } as Ingredient;
  test("a table without that column leaves it as it is in the larder", () => {
    expect(previewImport(water("").join("\n"), [own]).rows[0]?.ingredient?.carries).toEqual({
      thickener: "corn",
    });
    expect(previewImport(water("").join("\n")).rows[0]?.ingredient?.carries).toBeUndefined();
  });
  test("how it is sold stays where the table does not say it", () => {
    const pack = { name: "sack", massG: 25_000 };
    const sold = { ...own, pack };
    expect(previewImport(water("").join("\n"), [sold]).rows[0]?.ingredient?.pack).toEqual(pack);
    expect(previewImport(water("packG|10000").join("\n"), [sold]).rows[0]?.ingredient?.pack).toEqual({
      name: "pack",
      massG: 10_000,
    });
  });
  test("an empty cell takes it away, a word changes it", () => {
    expect(previewImport(water("carries|").join("\n"), [own]).rows[0]?.ingredient?.carries).toBeUndefined();
    expect(
      previewImport(water("carries|phase=vinegar; acids=malic:0.7+citric:0.3").join("\n"), [own]).rows[0]
        ?.ingredient?.carries,
    ).toEqual({ phase: "vinegar", acids: { malic: 0.7, citric: 0.3 } });
  });
  test("a thickener nobody knows is refused, and the column named", () => {
    const [row] = previewImport(water("carries|thickener=glue").join("\n")).rows;
    expect(row?.ingredient).toBeNull();
    expect(row?.problems[0]).toMatchObject({ field: "carries.thickener" });
  });
});

describe("looking it over", () => {
  test("columns by comma, semicolon or tab; decimals by point or comma", () => {
    expect(csv("name,water,sugars,other", "birch syrup,35,64,1").rows[0]?.ingredient?.id).toBe("birch-syrup");
    expect(
      csv("name;water;sugars;other", "birch syrup;35,5;63,5;1").rows[0]?.ingredient?.composition.water,
    ).toBe(35.5);
    expect(csv("name\twater\tsugars\tother", "birch syrup\t35\t64\t1").rows[0]?.ingredient).not.toBeNull();
  });
  test.each([
    ["sum", "name,water,sugars,other\nthing,10,10,10", /adds up to 30.0 g/],
    ["no number", "name,water,sugars,other\nthing,lots,10,10", /“lots” is not a number/],
    ["no name", "name,water,sugars,other\n,90,10,0", /name: it is empty/],
    ["allergen", "name,water,sugars,other,allergens\nthing,90,10,0,dragon", /“dragon” is not known/],
    ["measure", "name,water,sugars,other,measures\nthing,90,10,0,some", /should look like piece=150/],
    ["phase", "name,water,sugars,other,phase\nthing,90,10,0,gas", /phase/],
  ])("a row is refused with its reason: %s", (_, text, message) => {
    const [row] = previewImport(text).rows;
    expect(row?.ingredient).toBeNull();
    expect(row?.problems.map(p => p.message).join(" ")).toMatch(message);
  });
  test("the same id twice is refused the second time", () => {
    const preview = csv("name,water,sugars,other", "thing,90,10,0", "thing,80,20,0");
    expect(preview.rows.map(r => r.ingredient !== null)).toEqual([true, false]);
    expect(preview.rows[1]?.problems[0]?.message).toContain("Row 1");
  });
  test.each([
    ["", /nothing in it/],
    ["{oops", /not JSON/],
    ['{"cheese": []}', /no list “ingredients”/],
    ["just some words", /./],
    ["water,fat\n90,10", /“name”/],
  ])("a file that is none: %j", (text, message) => expect(previewImport(text).broken).toMatch(message));
  test("rows are counted before any is read: what is too much costs nothing", () => {
    const row = "butter,16,82,1,0,0,1\n";
    const table = previewImport(`name,water,fat,protein,sugars,salt,other\n${row.repeat(2500)}`);
    expect(table).toEqual({ rows: [], broken: expect.stringContaining("More than 2000 rows") as string });
    const list = previewImport(JSON.stringify(Array.from({ length: 2500 }, () => ({}))));
    expect(list.broken).toContain("2500 rows are too many at once");
  });
  test("what no column can keep is refused by its row, before anything is written", () => {
    const refusal = (over: object) => {
      const entry = { ...DEMO_KITCHEN.ingredients[0], ...over };
      return (
        previewImport(JSON.stringify([entry]))
          .rows[0]?.problems.map(p => p.message)
          .join() ?? ""
      );
    };
    expect(refusal({ name: "x".repeat(121) })).toContain("120 fit");
    expect(refusal({ id: "x".repeat(41) })).toContain("longer than 40");
    expect(refusal({ id: "new" })).toContain("cannot be an id");
    const price = { perKg: 5, currency: "EUR", on: "2026-11-29", source: { mark: "E", text: "x" } };
    expect(refusal({ price: { ...price, currency: "EURO" } })).toContain("three letters");
    expect(refusal({ price: { ...price, on: "yesterday" } })).toContain("From which day?");
    expect(refusal({ compositionSource: { mark: "E", text: "x".repeat(5_000) } })).toContain("300 fit");
  });
  test("odd rows come with their doubt, and may come in", () => {
    const preview = csv("name,water,ethanol,other", "strange cordial,80,19,1");
    expect(preview.rows[0]?.ingredient).not.toBeNull();
    expect(preview.rows[0]?.doubts.join()).toContain("alcohol");
  });
});
