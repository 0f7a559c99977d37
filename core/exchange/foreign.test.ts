import { describe, expect, test } from "vitest";
import { DEMO_FORMULAS, GLACE_ID } from "../../demo/formulas";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { openKitchen, walk } from "../formula";
import { cardOf } from "../standard";
import { bundleOf } from "./bundle";
import { readForeign } from "./foreign";
import { cardAsMarkdown } from "./markdown";
import { formulaAsRecipe } from "./recipe-jsonld";

const kitchen = { ...DEMO_KITCHEN, formulas: DEMO_FORMULAS };
const brought = (text: string) => {
  const read = readForeign(text);
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.value;
};

/** A page’s data as a hand would write it. Terms: schema.org/Recipe. */
const RECIPE = {
  "@context": "https://schema.org",
  "@graph": [
    { "@type": "WebPage", name: "a page" },
    {
      "@type": ["Recipe", "Thing"],
      name: "Mustard cream",
      author: { "@type": "Person", name: "somebody" },
      prepTime: "PT10M",
      recipeIngredient: ["500 ml chicken stock", "20&nbsp;cl cream", "30 g mustard"],
      recipeInstructions: [
        {
          "@type": "HowToSection",
          name: "Base",
          itemListElement: [{ "@type": "HowToStep", text: "<p>Reduce the stock by half.</p>" }],
        },
        { "@type": "HowToStep", text: "Add the cream, whisk in the mustard." },
      ],
    },
  ],
};

describe("a recipe of another program", () => {
  test("name, what goes in and what is done become words; the rest goes into the notes", () =>
    expect(brought(JSON.stringify(RECIPE))).toEqual({
      kind: "words",
      as: "a recipe in JSON-LD",
      text: "Mustard cream\n500 ml chicken stock\n20 cl cream\n30 g mustard\nReduce the stock by half.\nAdd the cream, whisk in the mustard.",
      notes: "author: somebody\nprepTime: PT10M",
    }));
  test("Markdown by another hand loses its marks, not its words", () =>
    expect(
      brought("# Gravy\n\n- 40 g **butter**\n- 40 g flour\n\n1. Make a roux.\n2. Add 1 l stock.\n"),
    ).toMatchObject({
      kind: "words",
      text: "Gravy\n40 g butter\n40 g flour\nMake a roux.\nAdd 1 l stock.",
    }));
  test("plain words stay as they are", () =>
    expect(brought("Sweat 40 g shallots.\nDeglaze.")).toMatchObject({
      as: "words",
      text: "Sweat 40 g shallots.\nDeglaze.",
    }));
});

describe("our own files come back as they went", () => {
  const document = DEMO_FORMULAS[GLACE_ID] as NonNullable<(typeof DEMO_FORMULAS)[string]>;
  const open = openKitchen(kitchen);
  const bundle = bundleOf([GLACE_ID], kitchen);
  test("JSON-LD", () => {
    const file = JSON.stringify(formulaAsRecipe(document, walk(document, open), bundle));
    expect(brought(file)).toEqual({ kind: "formulas", bundle });
  });
  test("Markdown, also where its words hold what would end a comment", () => {
    const odd = { ...document, notes: "cool -- then --> freeze" };
    const with_ = {
      ...bundle,
      formulas: bundle.formulas.map(f => (f.id === GLACE_ID ? { ...f, document: odd } : f)),
    };
    const file = cardAsMarkdown(cardOf(odd, open), with_);
    expect(brought(file)).toEqual({ kind: "formulas", bundle: with_ });
  });
});

test("a table of lines comes in as words: what goes in, then the steps", () =>
  expect(
    brought(
      'step,what,ingredient,grams,relation\n1,Sweat the shallot,shallot,40,\n1,Sweat the shallot,"butter, cold",15.5,\n2,Reduce by half,,0,\n',
    ),
  ).toMatchObject({
    as: "a table of lines",
    text: "40 g shallot\n15.5 g butter, cold\nSweat the shallot.\nReduce by half.",
  }));

test.each([
  ["", "nothing in it"],
  ['{"a": 1,\n"b": ', "line 2"],
  ['{"@type": "Recipe", "name": "Empty"}', "“Empty” says neither"],
  ["step,what,ingredient,grams\n1,Sweat,shallot,a lot\n", "Line 2: “a lot” is no weight"],
  ["step,what,ingredient,grams\nx,,,\n", "Line 2 of the table"],
  ['{"format": "something"}', "neither a formula"],
])("%j is refused with where and why", (file, why) => {
  const read = readForeign(file);
  expect(read.ok).toBe(false);
  if (!read.ok) expect(read.problems[0]?.message).toContain(why);
});
