import Ajv2020 from "ajv/dist/2020";
import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { DEMO_FORMULAS } from "../../demo/formulas";
import { blankFormula, formulaIn, openKitchen, readFormula, walk } from "../formula";
import { valueOf } from "../ground/result";
import {
  arrivalsOf,
  bundleOf,
  cardAsMarkdown,
  formulaAsRecipe,
  formulaJsonSchema,
  isoDuration,
  linesTable,
  readBundle,
  writeBundle,
} from ".";
import { cardOf } from "../standard";

/** As the database gives them out. */
const formulas = Object.fromEntries(
  Object.entries(DEMO_FORMULAS).map(([id, document]) => [id, valueOf(readFormula(document))]),
);
const kitchen = { ...DEMO_KITCHEN, formulas };
const ids = Object.keys(DEMO_FORMULAS);
const opened = openKitchen(kitchen);
const newId = () => "fresh";

describe("C171 formulas go out and come in again", () => {
  const text = writeBundle(bundleOf(ids, kitchen));

  test("all of the demo, twelve and more, come back identical", () => {
    expect(ids.length).toBeGreaterThanOrEqual(12);
    const read = valueOf(readBundle(text));
    expect(Object.fromEntries(read.formulas.map(f => [f.id, f.document]))).toEqual(DEMO_FORMULAS);
    expect(writeBundle(read)).toBe(text);
  });
  test("an empty kitchen takes them whole: what is exported there is the same file", () => {
    const empty = { ...kitchen, formulas: {}, ingredients: [] };
    const arrivals = valueOf(arrivalsOf(valueOf(readBundle(text)), empty, newId));
    expect(arrivals.formulas.every(f => f.kind === "new")).toBe(true);
    const filled = {
      ...empty,
      ingredients: arrivals.ingredients,
      formulas: Object.fromEntries(arrivals.formulas.map(f => [f.id, f.document])),
    };
    expect(writeBundle(bundleOf(ids, filled))).toBe(text);
  });
  test("the kitchen they came from takes nothing", () => {
    const arrivals = valueOf(arrivalsOf(valueOf(readBundle(text)), kitchen, newId));
    expect(new Set(arrivals.formulas.map(f => f.kind))).toEqual(new Set(["same"]));
    expect(arrivals.ingredients).toEqual([]);
  });
  test("a changed one is newer, never overwritten unsaid", () => {
    const id = "buckwheat-brown-gravy";
    const mine = { ...DEMO_FORMULAS[id], name: "Gravy, changed" };
    const here = { ...kitchen, formulas: { ...DEMO_FORMULAS, [id]: mine as (typeof DEMO_FORMULAS)[string] } };
    const arrivals = valueOf(arrivalsOf(valueOf(readBundle(text)), here, newId));
    expect(arrivals.formulas.find(f => f.id === id)?.kind).toBe("newer");
  });
  test("one formula brings those it draws on", () => {
    const bundle = bundleOf(["nettle-butter-sauce"], kitchen);
    expect(bundle.formulas.map(f => f.id)).toContain("nettle-coulis");
  });
});

describe("what cannot come in is refused by name", () => {
  test.each([
    ["not json", "This is not JSON"],
    ['{"format":"other"}', "neither a formula"],
    ['{"schema":2,"steps":[],"base":{"name":"x","massG":-1}}', "base"],
    [
      '{"format":"hondaro-formulas","version":1,"formulas":[{"id":"a","document":{"name":"Half a sauce"}}]}',
      "Half a sauce",
    ],
  ])("%s", (text, message) => {
    const read = readBundle(text);
    expect(read.ok).toBe(false);
    expect(read.ok ? "" : read.problems.map(p => p.message).join()).toContain(message);
  });
  test("an ingredient nobody has", () => {
    const [first] = bundleOf(["buckwheat-brown-gravy"], kitchen).formulas;
    if (!first) throw new Error("no gravy");
    const arrivals = arrivalsOf(
      { formulas: [first], ingredients: [] },
      { ...kitchen, ingredients: [] },
      newId,
    );
    expect(arrivals.ok ? "" : arrivals.problems[0]?.message).toContain("neither here nor in the file");
  });
  test("a bare formula comes in under a fresh id", () => {
    const bare = blankFormula("Bare", { name: "bones", massG: 1000 });
    const arrivals = valueOf(arrivalsOf(valueOf(readBundle(JSON.stringify(bare))), kitchen, newId));
    expect(arrivals.formulas).toEqual([{ id: "fresh", document: bare, kind: "new" }]);
  });
});

describe("the published JSON Schema", () => {
  const schema = formulaJsonSchema();
  test("is the one the code reads with", async () => {
    await expect(`${JSON.stringify(schema, null, 2)}\n`).toMatchFileSnapshot(
      "../../docs/formula.schema.json",
    );
  });
  // Checked with an independent validator of JSON Schema 2020-12 (ajv).
  const valid = new Ajv2020({ strict: false, allErrors: true }).compile(schema);
  test.each(ids)("holds for %s", id => {
    expect(valid(DEMO_FORMULAS[id]) ? [] : valid.errors).toEqual([]);
  });
  test("refuses what the code refuses", () => {
    expect(valid({ ...DEMO_FORMULAS["buckwheat-brown-gravy"], schema: 99 })).toBe(false);
    expect(valid({ name: "no steps" })).toBe(false);
  });
});

describe("other open formats", () => {
  const document = DEMO_FORMULAS["cider-juniper-pan-sauce"];
  if (!document) throw new Error("no sauce");
  const walked = walk(document, opened);
  test("Markdown tells every step, line and the label", () => {
    const text = cardAsMarkdown(cardOf(document, opened, [], walked));
    expect(text).toMatch(/^# Cider and juniper pan sauce\n/);
    for (const line of walked.states.flatMap(s => s.lines)) expect(text).toContain(line.name);
    expect(text).toContain("Contains: ");
  });
  test("typed words do not become marks", () => {
    const text = cardAsMarkdown(cardOf({ ...document, name: "# *Sauce*" }, opened, [], walked));
    expect(text.split("\n")[0]).toBe("# \\# \\*Sauce\\*");
  });
  test("a schema.org Recipe with its required terms", () => {
    const recipe = formulaAsRecipe(document, walked) as Record<string, unknown>;
    expect(recipe["@type"]).toBe("Recipe");
    expect(recipe.recipeInstructions).toHaveLength(document.steps.length);
    expect((recipe.recipeIngredient as string[]).some(i => /g dry cider$/.test(i))).toBe(true);
  });
  test.each([
    [0, "PT0M"],
    [90 * 60, "PT1H30M"],
    [3600, "PT1H"],
  ])("%d s is %s (ISO 8601)", (seconds, text) => expect(isoDuration(seconds)).toBe(text));
  test("the table of lines sums to what went in", () => {
    const rows = linesTable(document, walked);
    const sum = rows.reduce((a, r) => a + r.grams, 0);
    const went = walked.states.flatMap(s => s.lines).reduce((a, l) => a + l.massG, 0);
    expect(Math.abs(sum - went)).toBeLessThan(0.5);
  });
});

describe("ids that could not be kept are refused before anything is written", () => {
  const [id = "", document] = Object.entries(formulas)[0] ?? [];
  const refusal = (...named: string[]) => {
    const bundle = {
      formulas: named.map(name => ({ id: name, document: document as never })),
      ingredients: [],
    };
    const read = arrivalsOf(bundle, kitchen, newId);
    return read.ok ? "" : (read.problems[0]?.message ?? "");
  };
  test.each(["constructor ", "__proto__", "new", ".", "x/y"])("%j", name =>
    expect(refusal(name)).toContain("cannot be an id"),
  );
  test("one that stands in the file twice, or differs from another by a capital only", () => {
    expect(refusal("mine", "mine")).toContain("in the file twice");
    expect(refusal("mine", "Mine")).toContain("in the file twice");
    expect(refusal(id.toUpperCase())).toContain(`here as “${id}”`);
    expect(refusal(id)).toBe("");
  });
  test("what every object is born with is no formula", () => {
    expect(formulaIn(kitchen, "constructor")).toBeUndefined();
    expect(refusal("constructor")).toBe("");
    expect(bundleOf(["constructor", "__proto__"], kitchen).formulas).toEqual([]);
  });
});
