import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { openKitchen, readFormula, walk } from "../formula";
import { valueOf } from "../ground/result";
import {
  LONGEST_RECIPE,
  contradictions,
  draftRecipe,
  findTerm,
  formulaFromDraft,
  proposeAmount,
  VOCABULARY,
} from ".";

const larder = DEMO_KITCHEN.ingredients;
const counter = () => {
  let n = 0;
  return () => `id-${++n}`;
};

describe("C167 words by alias, misspelling and mishearing", () => {
  test.each([
    ["mirpoy", "mirepoix"],
    ["milpoir", "mirepoix"],
    ["gastric", "gastrique"],
    ["chinoa", "chinois"],
    ["coolie", "coulis"],
    ["meez", "mise en place"],
    ["demi glass", "demi-glace"],
    ["velute", "velouté"],
  ])("%s is %s", (heard, term) => expect(findTerm(heard)?.term).toBe(term));
  test("demi asks which meaning the house takes", () =>
    expect(findTerm("demi")?.senses?.length).toBeGreaterThan(2));
  test("nonsense is nothing", () => expect(findTerm("carburettor")).toBeNull());
  test("ids are told apart", () => expect(new Set(VOCABULARY.map(v => v.id)).size).toBe(VOCABULARY.length));
});

const DICTATED = `Cider pan sauce
Sweat 120 g shallots in a knob of butter.
Deglaze with 500 ml cider, then reduce almost dry.
Add 2 kg bought brown stock and juniper.
Simmer, skim.
Reduce a third.
Strain.
Whisk in cold butter.
Season with 1 cup salt.`;

describe("what is no recipe", () => {
  const read = (text: string) => draftRecipe(text, DEMO_KITCHEN, counter());
  test("a book is read to its limit, and what was left out is said", () => {
    const book = "Add 100 g cream.\n".repeat(2000);
    const { pieces, leftOut } = read(book);
    const whole = Math.floor(LONGEST_RECIPE / "Add 100 g cream.\n".length);
    expect(pieces).toHaveLength(whole);
    expect(leftOut).toBe(book.length - whole * "Add 100 g cream.\n".length);
  });
  test("a stretch without an end and a word without a blank are kept as they stand, never guessed at", () => {
    expect(read("cream and ".repeat(400)).pieces).toEqual([]);
    expect(read(`Add ${"7".repeat(5000)} g cream.`).pieces).toEqual([]);
    expect(read(`Add 100 g cream.\nAdd ${"x".repeat(5000)}.`).unread).toHaveLength(1);
  });
  test("blanks are no words", () =>
    expect(read(`Add${" ".repeat(3000)}100 g cream.`).pieces).toHaveLength(1));
});

describe("C166 what is said in words", () => {
  const pieces = (text: string) => draftRecipe(text, DEMO_KITCHEN, counter()).pieces;
  const lines = (text: string) =>
    pieces(text).flatMap(({ step }) =>
      step.lines.map(({ of, amount, certainty }) => [
        "larder" in of ? of.larder : of.formula,
        amount.kind === "fixed" ? Math.round(amount.massG) : amount,
        certainty,
      ]),
    );
  test.each([
    [
      "Sweat a hundred and twenty grams of shallots in fifty grams of butter.",
      [
        ["shallot", 120, "stated"],
        ["butter", 50, "stated"],
      ],
    ],
    [
      "Add fifteen hundred grams of water and twenty grams of salt.",
      [
        ["water", 1500, "stated"],
        ["salt", 20, "stated"],
      ],
    ],
    ["Add two point five litres of water.", [["water", 2496, "stated"]]],
    ["Add a quarter of a litre of water.", [["water", 250, "stated"]]],
  ])("%s", (text, wanted) => expect(lines(text)).toEqual(wanted));
  test.each([
    ["Season to point eight per cent salt.", 0.8],
    ["Season with salt to 0.8 %.", 0.8],
    ["Season to one and a quarter percent salt.", 1.25],
  ])("%s reaches for it, stated", (text, value) =>
    expect(lines(text)).toEqual([["salt", { kind: "to-reach", what: "salt", value }, "stated"]]),
  );
  test("salt without a share is still asked for, and assumed", () => {
    const [piece] = pieces("Season with salt.");
    expect(piece?.step.lines[0]?.certainty).toBe("assumed");
    expect(piece?.questions.map(q => q.ask).join()).toMatch(/How much fine salt/);
  });
  test("an amount of something unknown is told as it was said", () =>
    expect(pieces("Add two hundred grams of moonstones.")[0]?.doubts.join()).toContain(
      "two hundred grams of “moonstones”",
    ));
});

describe("C166 two steps in one breath", () => {
  const kinds = (text: string) =>
    draftRecipe(text, DEMO_KITCHEN, counter()).pieces.map(p => [p.step.kind, p.text]);
  test.each([
    ["Deglaze with cider and reduce by two thirds.", ["deglaze", "reduce"]],
    ["Skim and strain, then cool to 4 °C.", ["skim", "strain", "cool"]],
    ["Cover with cold water and bring to the boil and skim.", ["cover", "simmer", "skim"]],
    ["Bring to the boil and simmer for four hours.", ["simmer"]],
    ["Sweat the shallots in butter and dry cider.", ["sweat"]],
    ["Mount with butter and season.", ["mount", "season"]],
  ])("%s", (text, wanted) => expect(kinds(text).map(([kind]) => kind)).toEqual(wanted));
  test("each keeps its own words, end and time", () => {
    const text = "Deglaze with 500 ml cider and reduce by half and simmer for twenty minutes";
    expect(
      kinds(text)
        .map(([, words]) => words)
        .join(" and "),
    ).toBe(text);
    const [, reduce, simmer] = draftRecipe(text, DEMO_KITCHEN, counter()).pieces;
    expect(reduce?.step).toMatchObject({ target: { by: 0.5 } });
    expect(simmer?.step).toMatchObject({ durationMin: 20 });
  });
});

describe("C11 an amount of what the larder does not know", () => {
  const doubts = (text: string) => draftRecipe(text, DEMO_KITCHEN, counter()).pieces.flatMap(p => p.doubts);
  test.each([
    ["Roast half a kilo of moonstones at 200 °C for 40 min.", /half a kilo of “moonstones”/],
    ["Add 500 g moonstones and 2 l water.", /500 g of “moonstones”/],
  ])("%s is told, not lost", (text, says) => expect(doubts(text).join()).toMatch(says));
  test.each([
    "Sweat 120 g finely chopped shallots in 30 g cold unsalted butter.",
    "Deglaze with half a litre of cider.",
    "Cover with 4 l cold water.",
    "Add two cups of water and three sprigs of thyme.",
  ])("%s is all known", text => expect(doubts(text)).toEqual([]));
});

describe("C166 a dictated recipe becomes a draft", () => {
  const draft = draftRecipe(DICTATED, DEMO_KITCHEN, counter());
  test("name, steps and kinds are found", () => {
    expect(draft.name).toBe("Cider pan sauce");
    expect(draft.pieces.map(p => p.step.kind)).toEqual([
      "sweat",
      "deglaze",
      "reduce",
      "add",
      "simmer",
      "skim",
      "reduce",
      "strain",
      "mount",
      "season",
    ]);
  });
  test("said amounts become grams, a knob is a guess", () => {
    const lines = draft.pieces[0]?.step.lines ?? [];
    expect(lines[0]).toMatchObject({
      of: { larder: "shallot" },
      amount: { kind: "fixed", massG: 120 },
      certainty: "stated",
    });
    expect(lines[1]).toMatchObject({ of: { larder: "butter" }, certainty: "assumed" });
  });
  test("what was not said is asked", () => {
    const stock = draft.pieces.find(p => p.step.kind === "add");
    expect(stock?.questions.map(q => q.ask).join()).toMatch(/How much juniper/);
    const butter = draft.pieces.find(p => p.step.kind === "mount");
    expect(butter?.step.lines[0]).toMatchObject({
      amount: { kind: "per-litre", gPerL: 30 },
      certainty: "assumed",
    });
  });
  test("“a third” without by or to is asked, almost dry is not", () => {
    const reductions = draft.pieces.filter(p => p.step.kind === "reduce");
    expect(reductions[0]?.questions).toEqual([]);
    expect(reductions[1]?.questions[0]?.ask).toMatch(/by or to/);
  });
  test("C9 a cup of salt is questioned", () => {
    expect(draft.pieces.at(-1)?.doubts.join()).toMatch(/Is the amount meant/);
  });
  test("the pieces taken make a formula that can be read and walked", () => {
    const taken = draft.pieces.filter(p => p.step.kind !== "season");
    const document = formulaFromDraft(draft.name, taken);
    expect(document?.base).toEqual({ name: "bought brown stock, unsalted", massG: 2000 });
    expect(readFormula(document).ok).toBe(true);
    if (document) expect(walk(document, openKitchen(DEMO_KITCHEN)).problems).toEqual([]);
  });
  test("nothing taken is no formula", () => expect(formulaFromDraft("x", [])).toBeNull());
});

describe("C11 contradictions", () => {
  test("a 9 % brine of 2 l and 150 g is 7.0 %", () => {
    expect(contradictions("9 % salt brine: 2 L + 150 g", [])[0]).toContain("7.0 %");
  });
  test("parts that do not add up", () => {
    expect(contradictions("Mirepoix 700 g: 300 g onion, 200 g carrot, 150 g celery", [])[0]).toContain("650");
  });
  test("what fits is not questioned", () => {
    expect(contradictions("7 % salt brine: 2 L + 150 g", [])).toEqual([]);
  });
  test("a range that runs backwards", () => {
    const draft = draftRecipe("Simmer 30 to 20 minutes", DEMO_KITCHEN, counter());
    expect(draft.pieces[0]?.doubts[0]).toMatch(/backwards/);
  });
});

test("C10 four litres of white sauce without flour: 240 g proposed", () => {
  const usual = proposeAmount("wheat-flour", "thicken");
  expect(usual?.amount).toEqual({ kind: "per-litre", gPerL: 60 });
  expect(usual?.amount.kind === "per-litre" && usual.amount.gPerL * 4).toBe(240);
  expect(proposeAmount("butter", "add")?.amount).toEqual({ kind: "per-litre", gPerL: 60 });
});

test("temperatures, times and ends are read", () => {
  const draft = draftRecipe(
    "Roast the veal bones at 385 F for 1 hour.\nReduce to 600 g.\nCool to 5 C.",
    DEMO_KITCHEN,
    counter(),
  );
  const [roast, reduce, cool] = draft.pieces.map(p => p.step);
  expect(roast).toMatchObject({ kind: "roast", ovenC: 196, durationMin: 60 });
  expect(reduce).toMatchObject({ kind: "reduce", target: { endG: 600 } });
  expect(cool).toMatchObject({ kind: "cool", toC: 5 });
  expect(valueOf(readFormula(formulaFromDraft("Stock", draft.pieces))).steps).toHaveLength(3);
});

describe("every ingredient of the larder is heard by its name", () => {
  const heard = (text: string) =>
    draftRecipe(text, DEMO_KITCHEN, counter()).pieces.flatMap(({ step }) =>
      step.lines.map(({ of, amount }) => [
        "larder" in of ? of.larder : of.formula,
        amount.kind === "fixed" ? amount.massG : amount.kind,
      ]),
    );
  test.each(larder.map(i => [i.name, i.id] as const))("%s", (name, id) => {
    expect(heard(`Add 250 g ${name}.`)).toEqual([[id, 250]]);
    expect(heard(`Add 250 g of ${name} and 30 g honey.`)).toEqual(
      id === "honey"
        ? expect.arrayContaining([[id, 250]])
        : [
            [id, 250],
            ["honey", 30],
          ],
    );
  });
  test.each([
    ["ham bone", "ham bone, smoked"],
    ["smoked ham bone", "ham bone, smoked"],
    ["breadcrumbs", "breadcrumbs, fresh"],
    ["fresh breadcrumbs", "breadcrumbs, fresh"],
    ["shelled broad beans", "broad beans, shelled"],
  ])("“%s” is %s", (said, name) => {
    expect(heard(`Put in 250 g ${said}.`)).toEqual([
      [larder.find(i => [i.name, ...i.aliases].includes(name))?.id, 250],
    ]);
  });
  test("a comma between two ingredients keeps them two", () => {
    expect(heard("Add 100 g carrot, 50 g celery, 20 g butter.").map(([id]) => id)).toEqual([
      "carrot",
      "celery",
      "butter",
    ]);
  });
});
