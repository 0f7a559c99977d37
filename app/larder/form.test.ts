import { describe, expect, test } from "vitest";
import { REFERENCE_BY_ID, type Ingredient } from "~/core/larder";
import { idFor, readIngredientForm } from "./form.server";
import { valuesOf } from "./ingredient-form";
import { readPriceForm } from "./price.server";
import { sourceWords } from "./source-words";

const formOf = (
  values: Readonly<Record<string, readonly string[]>>,
  over: Readonly<Record<string, string>> = {},
) => {
  const form = new FormData();
  for (const [key, all] of Object.entries(values))
    if (!(key in over)) for (const value of all) form.append(key, value);
  for (const [key, value] of Object.entries(over)) form.append(key, value);
  return form;
};
const known = (id: string): Ingredient => {
  const found = REFERENCE_BY_ID.get(id);
  if (!found) throw new Error(id);
  return found;
};

describe("the form of an ingredient", () => {
  test.each(["milk", "leek", "butter", "bought-white-stock", "lemon", "gelatin-leaf", "stock-powder"])(
    "%s goes through the form unchanged",
    id => {
      const was = known(id);
      const read = readIngredientForm(formOf(valuesOf(was)), was);
      expect(read.ok, JSON.stringify(read)).toBe(true);
      if (!read.ok) return;
      expect(read.value).toMatchObject({
        id: was.id,
        name: was.name,
        phase: was.phase,
        ediblePct: was.ediblePct,
        allergens: was.allergens,
        diet: was.diet,
        edibleSource: was.edibleSource,
      });
      expect(read.value.measures).toEqual(was.measures);
      expect(read.value.composition.water).toBeCloseTo(was.composition.water, 6);
    },
  );
  test("a changed figure carries the source of the change, the others keep theirs", () => {
    const milk = known("milk");
    const form = formOf(valuesOf(milk), {
      densityGPerMl: "1,04",
      "source.mark": "measured",
      "source.text": "weighed on Monday",
    });
    const read = readIngredientForm(form, milk);
    expect(read.ok && read.value.densitySource).toEqual({ mark: "measured", text: "weighed on Monday" });
    expect(read.ok && read.value.edibleSource).toEqual(milk.edibleSource);
    expect(read.ok && read.value.compositionSource).toEqual(milk.compositionSource);
  });
  test("every field that cannot be read is told by its name", () => {
    const form = formOf(valuesOf(known("milk")), {
      name: " ",
      "composition.water": "wet",
      "composition.fat": "-3",
      measures: "some",
    });
    const read = readIngredientForm(form, known("milk"));
    expect(!read.ok && read.problems.map(p => p.field)).toEqual([
      "name",
      "composition.water",
      "composition.fat",
      "measures",
    ]);
  });
  test("without a word on allergens they are not known, whatever was ticked", () => {
    const values = { ...valuesOf(known("milk")), allergensKnown: [] };
    const read = readIngredientForm(formOf(values), known("milk"));
    expect(read.ok && read.value.allergens).toBeNull();
  });
  test("ids come from names, in letters every file system knows", () => {
    expect(idFor("Crème brûlée, à la Ilse!")).toBe("creme-brulee-a-la-ilse");
    expect(idFor("???")).toBe("ingredient");
  });
});

describe("a price", () => {
  const read = (over: Readonly<Record<string, string>>) =>
    readPriceForm(formOf({ perKg: ["5.80"], currency: ["EUR"], since: ["2026-11-20"] }, over));
  test("per kilogram, from a day on", () =>
    expect(read({ perKg: "5,80", currency: "chf" })).toMatchObject({
      ok: true,
      value: { perKg: 5.8, currency: "CHF", since: "2026-11-20" },
    }));
  test.each([
    [{ perKg: "cheap" }, "perKg"],
    [{ perKg: "-2" }, "perKg"],
    [{ since: "last week" }, "since"],
    [{ currency: "€" }, "currency"],
  ])("%j is refused", (over, field) => {
    const refused = read(over as Record<string, string>);
    expect(!refused.ok && refused.problems[0]?.field).toBe(field);
  });
});

test("a source says its mark once", () => {
  expect(sourceWords({ mark: "M", text: "USDA SR Legacy, from memory, to be verified" })).toBe(
    "USDA SR Legacy · published (from memory, to be verified)",
  );
  expect(sourceWords({ mark: "T", text: "trim yield, common practice, no source" })).toBe(
    "trim yield, common practice, no source",
  );
  expect(sourceWords({ mark: "measured", text: "measured here" })).toBe("measured here");
});

test("what it is in a sauce is chosen by word; acids and its place in an emulsion stay", () => {
  const milk = known("milk");
  const as = (nature: string) => {
    const read = readIngredientForm(formOf({ ...valuesOf(milk), nature: [nature] }), milk);
    return read.ok ? read.value.carries : read.problems;
  };
  expect(as("milk")).toEqual(milk.carries);
  expect(as("arrowroot")).toEqual({ phase: "milk", thickener: "arrowroot" });
  expect(as("")).toEqual({ phase: "milk" });
});
