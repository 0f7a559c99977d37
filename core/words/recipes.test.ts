import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { openKitchen, readFormula, walk } from "../formula";
import { draftRecipe, formulaFromDraft } from ".";

/** Recipes as cooks write, paste and say them: every amount and every step of them has to be somewhere. */
const read = (text: string) => {
  let n = 0;
  return draftRecipe(text, DEMO_KITCHEN, () => `id-${++n}`);
};

/** Each piece in short: "sweat shallot 120 butter 50", an amount that is asked for as "?". */
const told = (text: string) =>
  read(text).pieces.map(({ step }) =>
    [
      step.kind,
      ...step.lines.map(
        ({ of, amount }) =>
          `${"larder" in of ? of.larder : of.formula} ${amount.kind === "fixed" ? Math.round(amount.massG) : amount.kind === "to-reach" ? `→${amount.value} %` : "?"}`,
      ),
    ].join(" "),
  );
const only = (text: string) => read(text).pieces[0];
const asked = (text: string) =>
  read(text)
    .pieces.flatMap(piece => piece.questions.map(q => q.ask))
    .join(" ");
const doubted = (text: string) =>
  read(text)
    .pieces.flatMap(piece => piece.doubts)
    .join(" ");

describe("C166 several steps in one sentence", () => {
  test.each([
    ["Strain through a fine chinois lined with muslin, chill to 4 °C in an ice bath.", ["strain", "cool"]],
    ["Strain, reduce to 2 litres and season.", ["strain", "reduce", "season salt →0.9 %"]],
    ["Blanch 5 kg chicken bones from cold, drain and rinse.", ["blanch chicken-carcass 5000"]],
    ["Simmer 3 hours at 92 degrees, skimming every twenty minutes.", ["simmer"]],
    ["Bring to the boil, simmer 20 minutes.", ["simmer"]],
    ["Cover with 7 litres cold water, bring to a simmer, skim.", ["add water 6987", "simmer", "skim"]],
    [
      "Caramelise 200g sugar to a dark amber, stop it with 200 ml sherry vinegar, reduce by half.",
      ["brown sugar 200", "deglaze sherry-vinegar 203", "reduce"],
    ],
    [
      "For the mayo take 4 yolks, a tablespoon of mustard, whisk in 500 ml grapeseed oil in a thin stream, thin with a splash of lemon juice, season with 4 g salt, hold in the fridge",
      ["emulsify egg-yolk 72 mustard 15 grapeseed-oil 460", "add lemon-juice 8", "season salt 4", "cool"],
    ],
    ["Purée, sieve, enrich with 100ml cream.", ["blend", "pass", "add cream 99"]],
    [
      "Mount with 25 g butter, sharpen with 5 g sherry vinegar, correct the salt.",
      ["mount butter 25", "season sherry-vinegar 5", "season salt →0.9 %"],
    ],
    [
      "Take 200g sugar to 170 degrees, add 150 ml red wine vinegar.",
      ["reduce sugar 200", "deglaze red-wine-vinegar 152"],
    ],
    ["Put everything in the big pot, top up with cold water to cover.", ["cover"]],
    ["Cover with 4 litres chicken stock, simmer 3 hours.", ["add bought-white-stock 4024", "simmer"]],
    ["Bring to a boil, reduce heat and simmer until reduced by half, about 25 minutes.", ["reduce"]],
    ["Chill, remove the fat, reduce to 800 ml.", ["cool", "degrease", "reduce"]],
    [
      "In a pot combine 500 g cream and 200 g parmesan, warm to 70 degrees, blend until smooth.",
      ["add cream 500 parmesan 200", "reheat", "blend"],
    ],
    [
      "Sauté 100 g shallots in 2 Tbsp. olive oil with 3 g thyme, discard the thyme.",
      ["sweat shallot 100 olive-oil 27 thyme 3", "lift"],
    ],
  ])("%s", (text, wanted) => expect(told(text)).toEqual(wanted));

  const CLAUSES = [
    ["deglaze with * g dry cider", "deglaze cider"],
    ["add * g cream", "add cream"],
    ["reduce by half", "reduce"],
    ["skim off the fat", "degrease"],
    ["blend until smooth", "blend"],
    ["season with * g salt", "season salt"],
    ["chill to 3 °C", "cool"],
    ["sweat * g shallots", "sweat shallot"],
    ["mount with * g cold butter", "mount butter"],
  ] as const;
  test("whatever is said one after the other is read one after the other, with its amounts", () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat({ max: CLAUSES.length - 1 }), fc.integer({ min: 1, max: 900 })), {
          minLength: 2,
          maxLength: 8,
        }),
        fc.constantFrom(", ", ", then ", ". ", "\n", " and "),
        (picks, between) => {
          const apart = picks.filter(([at], i) => at !== picks[i - 1]?.[0]);
          const said = apart.map(([at, grams]) => CLAUSES[at]?.[0].replace("*", String(grams)) ?? "");
          const wanted = apart.map(([at, grams]) => {
            const [words = "", short = ""] = CLAUSES[at] ?? [];
            return words.includes("*") ? `${short} ${grams}` : short;
          });
          expect(told(`${said.join(between)}.`)).toEqual(wanted);
        },
      ),
      { numRuns: 150 },
    ));
});

describe("C166 a recipe with its list before the method", () => {
  const PORK = `Sauce for pork
Ingredients:
50 g butter
100 g onions, finely chopped
200 ml white wine
500 ml demi-glace
1 l chicken stock
2 tbsp mustard
a pinch of sugar
4 g salt
Method:
1. Sweat the onions in the butter.
2. Add the wine and reduce by two thirds.
3. Add the stock and simmer for 15 min.
4. Strain, stir in the mustard.
5. Season.`;
  test("each thing goes in where the method first names it; what it does not name is told", () => {
    expect(read(PORK).name).toBe("Sauce for pork");
    expect(read(PORK).unread).toEqual([]);
    expect(told(PORK)).toEqual([
      "sweat onion 100 butter 50",
      "add white-wine 199",
      "reduce",
      "add bought-white-stock 1006",
      "simmer demi-glace 515",
      "strain",
      "add mustard 30",
      "season salt 4",
      "add sugar 0",
    ]);
    expect(doubted(PORK)).toMatch(/does not say when the/);
  });
  test("names first, capitals, halves and what is left of them", () =>
    expect(
      told(`Mayonnaise
- Egg yolks 80 g
- Mustard 20 g
- Grapeseed oil 800 g
- Salt 8 g
- Vinegar 24 g
Whisk yolks, mustard, salt and half the vinegar.
Beat in the oil in a thin stream.
Adjust with the remaining vinegar.`),
    ).toEqual([
      "emulsify egg-yolk 80 mustard 20 salt 8 wine-vinegar 12 grapeseed-oil 800",
      "add wine-vinegar 12",
    ]));
  test("a yield in the title, what is named without an amount, short forms with a stop", () => {
    const text = `Pan gravy (1 litre)
2 Tbsp. butter
1 sprig thyme
3 cups brown stock
Nutmeg, salt and pepper

Heat the butter in a pan. Add the stock and thyme. Season.`;
    expect(read(text).name).toBe("Pan gravy (1 litre)");
    expect(told(text)).toEqual([
      "add butter 28",
      "add bought-brown-stock 713 thyme 1",
      "season nutmeg ? salt →0.9 % peppercorns ?",
    ]);
  });
  test("a sentence that is no step takes nothing from the list", () => {
    const text =
      "Fish stock\n1 kg sole bones\n100 g leek\n2 l water\nRinse the bones under cold water. Add the bones and the leek, then the water.";
    expect(told(text)).toEqual(["add white-fish-frames 1000 leek 100 water 1996"]);
  });
  test("steps that begin with a number are no list", () =>
    expect(told("4 yolks whisked with 20 g mustard, add 300 g walnut oil.")).toEqual([
      "emulsify egg-yolk 72 mustard 20 walnut-oil 300",
    ]));
  test("every amount of a list is in the draft once, whatever the method names", () =>
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom("cream", "butter", "leek", "carrot", "honey", "milk"), {
          minLength: 2,
        }),
        fc.array(fc.boolean(), { minLength: 6, maxLength: 6 }),
        (names, isNamed) => {
          const list = names.map((name, i) => `${(i + 1) * 10} g ${name}`);
          const method = names.filter((_, i) => isNamed[i]).map(name => `Stir in the ${name}.`);
          const { pieces } = read([...list, "Set a pan on the fire.", ...method].join("\n"));
          const masses = pieces.flatMap(({ step }) =>
            step.lines.map(({ amount }) => (amount.kind === "fixed" ? amount.massG : NaN)),
          );
          expect(masses.sort((a, b) => a - b)).toEqual(names.map((_, i) => (i + 1) * 10));
        },
      ),
    ));
});

describe("C166 names, amounts and numbers as they are said", () => {
  test.each([
    ["Pea purée. Boil 1 kg peas.", "Pea purée"],
    ["Beurre blanc: reduce 200 ml white wine.", "Beurre blanc"],
    ["Mushroom velouté. Sweat 500 g mushrooms.", "Mushroom velouté"],
    ["Brown veal stock\nBrown the bones.", "Brown veal stock"],
    ["Reduce the stock by half. Strain.", ""],
    ["Slowly reduce. Strain.", ""],
  ])("%s is called “%s”", (text, name) => expect(read(text).name).toBe(name));
  test.each([
    ["Deglaze with a bottle of red wine.", "deglaze red-wine 746"],
    ["Add the juice of half a lemon.", "add lemon-juice 23"],
    ["Add the juice of 2 lemons.", "add lemon-juice 90"],
    ["Add 2 cloves garlic and 2 cloves.", "add garlic 10 cloves 0"],
    ["Blend with 100 g butter and 50 ml of the cooking water.", "blend butter 100 water 50"],
    ["Add 1 kg finely diced mirepoix.", "add onion 500 carrot 250 celery 250"],
    ["Add 1 kg mirpoy.", "add onion 500 carrot 250 celery 250"],
    ["Season at 0.9% salt.", "season salt →0.9 %"],
    ["Mount with 10% unsalted butter.", "mount butter ?"],
    ["Off the heat whisk in 400 g cold diced butter bit by bit.", "mount butter 400"],
    ["Whisk 6 egg yolks over a bain-marie to 65 C.", "liaison egg-yolk 108"],
    ["Brown 3 kg veal bones at 210°C for an hour.", "roast veal-bones 3000"],
    ["Pour off most of the fat.", "degrease"],
    ["Sweat 2 large onions.", "sweat onion 380"],
    ["Add 3-4 cloves of garlic.", "add garlic 18"],
    ["Add butter 70 g, flour 80 g and milk 1 l.", "thicken butter 70 wheat-flour 80 milk 1030"],
    ["Add ½ cup minced shallots.", "add shallot 80"],
    ["Thicken with 15 g cornstarch.", "thicken corn-starch 15"],
    ["Add 200 to 250 g leek.", "add leek 225"],
    ["Add about 2 kg carrots.", "add carrot 2000"],
    ["Moisten with 800 g brown stock.", "add bought-brown-stock 800"],
  ])("%s", (text, wanted) => expect(told(text)).toEqual([wanted]));
  test("a bundle of herbs is its herbs, each asked for; a second time it is the one that is there", () => {
    const text = "Add 300 g onion, bouquet garni. Lift out the bouquet garni.";
    expect(told(text)).toEqual(["add onion 300 parsley-stems ? thyme ? bay-leaf ?", "lift"]);
    expect(asked(text)).toMatch(/What is in the bouquet garni/);
  });
  test("parts that are named stand instead of the bundle", () =>
    expect(told("Add the mirepoix: 300 g onion, 200 g carrot, 150 g celery.")).toEqual([
      "add onion 300 carrot 200 celery 150",
    ]));
  test("binding by its form", () =>
    expect(
      ["a slurry of 10 g cornflour", "a roux of 60 g butter", "60 g beurre manié"].map(
        what => only(`Thicken with ${what}.`)?.step,
      ),
    ).toMatchObject([{ form: "slurry" }, { form: "roux" }, { form: "beurre manié" }]));
  test.each([
    ["Roast 3 kg veal bones at 220 for 45 min.", { ovenC: 220, durationMin: 45 }, /“220”, of what/],
    ["Keep warm at 55 to 60.", { holdC: 58 }, /“55 to 60”, of what/],
    ["Hold between 60 and 64 °C.", { holdC: 62 }, /How long/],
    ["Chill to 4 °C.", { toC: 4 }, /^$/],
    ["Cool from 80 to 4 °C.", { toC: 4 }, /^$/],
    ["Simmer overnight.", { durationMin: 600 }, /overnight\? 10 h/],
    ["Simmer 2 1/2 hours.", { durationMin: 150 }, /^$/],
    ["Simmer 1½ hours with the lid on.", { durationMin: 90, lid: "on" }, /^$/],
    ["Simmer for a couple of hours.", { durationMin: 120 }, /^$/],
    ["Boil for 3/4 hour.", { durationMin: 45, holdC: 100 }, /^$/],
    ["Bring to the boil.", { durationMin: 1, holdC: 100 }, /^$/],
    ["Add 1 l water. Cook in the oven at 150 °C for 45 minutes.", { kind: "add" }, /^$/],
  ])("%s", (text, wanted, asks) => {
    expect(only(text)?.step).toMatchObject(wanted);
    expect(asked(text)).toMatch(asks);
  });
  test("a temperature or a time that the step has no place for stays beside it", () => {
    expect(only("Reduce by half, about 20 minutes.")?.step.remark).toBe("Said: 20 min");
    expect(only("Season at 0.9 % salt.")?.step.remark).toBeUndefined();
  });
});

describe("what the kitchen makes itself is heard by its name", () => {
  const lines = (text: string) => read(text).pieces.flatMap(({ step }) => step.lines);
  test("the house's own stock is not a bought one", () => {
    expect(lines("Add 2 kg guinea-fowl brown stock.")).toMatchObject([
      { of: { formula: "guinea-fowl-brown-stock" }, amount: { massG: 2000 }, certainty: "stated" },
    ]);
    expect(lines("Add 2 kg brown stock.")).toMatchObject([{ of: { larder: "bought-brown-stock" } }]);
  });
  test("litres of it are a guess until it is walked", () =>
    expect(lines("Add 2 l guinea-fowl brown stock.")).toMatchObject([
      { amount: { massG: 2040 }, certainty: "assumed", typed: "2 l" },
    ]));
  test("a formula drawn on can be the base, and is walked", () => {
    const { pieces } = read("Add 2 kg guinea-fowl brown stock and 100 g cream. Reduce by half.");
    const document = formulaFromDraft("Cream sauce", pieces);
    expect(document?.base).toEqual({ name: "guinea-fowl brown stock", massG: 2000 });
    expect(document?.steps[0]?.lines[0]?.amount).toEqual({ kind: "share-of-base", pct: 100 });
    if (document) expect(walk(document, openKitchen(DEMO_KITCHEN)).problems).toEqual([]);
  });
});

describe("C11 what would be lost or counted twice is told", () => {
  test.each([
    ["Add 300 g onion, zwiffel and 20 g honey.", /“zwiffel”/],
    ["Roast 300g peppers and 200g tomatoes at 200°C.", /300 g of “peppers”/],
    ["Finish with the zest of a bergamot.", /“bergamot zest”/],
    ["Add a tablespoon of moonstones.", /a tablespoon of “moonstones”/],
    [
      "Melt 500 g butter, pour into a jug. Slowly pour in the butter, whisking.",
      /“the unsalted butter”: 500.g of it went in before/,
    ],
  ])("%s", (text, says) => expect(doubted(text)).toMatch(says));
  test.each([
    "Blanch 5 kg chicken bones from cold, drain and rinse.",
    "Sweat 100 g shallots in 20 g butter, lid on, without colour.",
    "Whisk in 400 g butter, bit by bit and off the heat.",
    "Add 2 kg brown stock, stirring, and scrape well.",
    "Sweat 100 g shallots. Reduce the shallots almost dry.",
  ])("%s has nothing to doubt", text => expect(doubted(text)).toBe(""));
  test("bones that nobody weighed are asked for", () =>
    expect(asked("Roast the bones at 220 °C for 45 min.")).toMatch(/What is it, and how much\?/));
  test("what goes in beside a step that takes nothing has a step of its own", () =>
    expect(told("Hold with 20 g butter on top at 60 °C for 30 min.")).toEqual(["add butter 20", "hold"]));
  test("salt said early is judged by all that goes in", () => {
    expect(doubted("Mix 80 g yolks with 8 g salt. Beat in 800 g sunflower oil.")).toBe("");
    expect(doubted("Mix 80 g yolks with 80 g salt. Beat in 800 g sunflower oil.")).toMatch(
      /Is the amount meant/,
    );
  });
});

test("what was read can be walked", () => {
  const { name, pieces } =
    read(`Mushroom velouté. Sweat 500 g mushrooms and 100 g shallots in 60 g butter for 10 min.
Dust with 40 g flour. Add 1 litre chicken stock, bring to the boil, simmer 20 minutes.
Blend until smooth, pass through a fine sieve. Add 150 ml cream, season to 0.8% salt.`);
  const document = formulaFromDraft(name, pieces);
  expect(readFormula(document).ok).toBe(true);
  if (document) expect(walk(document, openKitchen(DEMO_KITCHEN)).problems).toEqual([]);
});
test("bringing to the boil costs no more than a little steam, up here where water boils at 96 °C", () => {
  const { pieces } = read("Add 2 kg brown stock. Bring to the boil. Season with 10 g salt.");
  const document = formulaFromDraft("Jus", pieces);
  if (!document) throw new Error("Nothing was read.");
  const { problems, states } = walk(document, openKitchen(DEMO_KITCHEN));
  expect(problems).toEqual([]);
  expect(states[1]?.massG).toBeGreaterThan(1900);
});
