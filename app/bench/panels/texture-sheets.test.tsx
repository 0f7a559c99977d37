import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, test } from "vitest";
import { type FormulaDocument, eggIn, linesOf } from "~/core/formula";
import { BindingPanel } from "./binding-panel";
import { EmulsionPanel } from "./emulsion-panel";
import { FixPanel } from "./fix-panel";
import { PureePanel } from "./puree-panel";
import { TastePanel } from "./taste-panel";
import { demo, onBench, words } from "./testing";

const type = async (label: string | RegExp, text: string, root: HTMLElement = document.body) => {
  const field = within(root).getByLabelText(label);
  await userEvent.clear(field);
  await userEvent.type(field, text);
  await userEvent.tab();
};
const gramsOf = (text: string): number => Number(/([\d ]+(?:\.\d+)?) g/.exec(text)?.[1]?.replaceAll(" ", ""));
const bodyOf = (bench: ReturnType<typeof onBench>): number =>
  bench.walked().states.at(-1)?.body?.thickness ?? NaN;

describe("Binding", () => {
  const sheet = (document: FormulaDocument) =>
    onBench(document, bench => <BindingPanel {...bench} formulaId="veloute" />);
  const wish = (value: number) =>
    fireEvent.change(screen.getByRole("slider", { name: "Body wanted" }), {
      target: { value: String(value) },
    });

  test("a wish becomes a target of the formula; where the sauce stands already nothing is offered", () => {
    const bench = sheet(demo("smoked-trout-veloute"));
    expect(screen.getByText(/It stands where it is wanted/)).toBeTruthy();
    wish(60);
    expect(bench.document().targets).toContainEqual({ what: "body", value: 60, tolerance: 1 });
    expect(screen.getByText(/wanted/, { selector: "p" }).textContent).toContain("60");
  });
  test("each way brings the sauce where it is wanted once it is on the line", () => {
    const bench = sheet(demo("smoked-trout-veloute"));
    wish(55);
    const way = screen.getByRole("rowheader", { name: "Corn starch slurry" });
    expect(words(way.closest("tr"))).toMatch(/\d+ g corn starch/);
    fireEvent.click(screen.getByRole("button", { name: "Put on the line: Corn starch slurry" }));
    expect(linesOf(bench.document()).some(l => "larder" in l.of && l.of.larder === "corn-starch")).toBe(true);
    expect(bench.walked().problems).toEqual([]);
    expect(bodyOf(bench)).toBeGreaterThan(52);
    expect(bodyOf(bench)).toBeLessThan(58);
  });
  test("less body is let down with stock, water or cream, in grams", () => {
    sheet(demo("smoked-trout-veloute"));
    wish(25);
    for (const liquid of ["unsalted stock", "water", "cream"])
      expect(words(screen.getByText(`loosen with ${liquid}`).closest("li"))).toMatch(/\d+ g.* in all/);
  });
  test("gelatin for a set: stronger leaf takes less, what is there is counted, agar stands beside", async () => {
    sheet(demo("trout-fumet"));
    const set = screen.getByRole("group", { name: "Set cold" });
    const trembling = gramsOf(words(set.querySelectorAll("p")[1] ?? null));
    expect(trembling).toBeGreaterThan(0);
    await userEvent.selectOptions(within(set).getByLabelText("it shall be"), "firm");
    const firm = gramsOf(words(set.querySelectorAll("p")[1] ?? null));
    expect(firm).toBeGreaterThan(trembling);
    await type("Bloom of the leaf", "250", set);
    expect(gramsOf(words(set.querySelectorAll("p")[1] ?? null))).toBeLessThan(firm);
    expect(words(set)).toMatch(/\d+(\.\d+)? g to \d+ g agar/);
  });
  test("rendered fat does the work of so much butter (C80)", () => {
    sheet(demo("smoked-trout-veloute"));
    fireEvent.change(screen.getByRole("spinbutton"), { target: { value: "80" } });
    expect(words(screen.getByText(/rendered fat do the work/))).toMatch(/of 9[78] g butter/);
  });
  test("without a liquor it says what is missing", () => {
    sheet({ ...demo("smoked-trout-veloute"), steps: [] });
    expect(screen.getByText(/There is no liquor to bind yet/)).toBeTruthy();
  });
});

describe("Emulsion", () => {
  const sheet = (document: FormulaDocument) => onBench(document, bench => <EmulsionPanel {...bench} />);

  test("more oil is a question until it is taken, and a refusal says what goes", async () => {
    const bench = sheet(demo("walnut-oil-mayonnaise"));
    const before = bench.document();
    await type("oil", "3000 g");
    expect(bench.document()).toBe(before);
    expect(screen.getByText(/risk (high|do not start)/)).toBeTruthy();
    await type("oil", "9000 g");
    expect(screen.getByRole("alert").textContent).toMatch(/take at most/);
    await type("oil", "1600 g");
    await userEvent.click(screen.getByRole("button", { name: "Take this much oil" }));
    const oil = bench
      .walked()
      .states.flatMap(s => s.lines)
      .filter(l => l.name.includes("oil"))
      .reduce((m, l) => m + l.massG, 0);
    // A little of the oil is in the mustard.
    expect(Math.abs(oil - 1600)).toBeLessThan(3);
  });
  test("cold things and a fast pour raise the risk, each with its reason", async () => {
    sheet(demo("walnut-oil-mayonnaise"));
    const score = () =>
      Number(/(\d+) of 100/.exec(words(screen.getByRole("group", { name: "Risk of breaking" })))?.[1]);
    const calm = score();
    await type("oil, times the usual pace", "4");
    const fast = score();
    expect(fast).toBeGreaterThan(calm);
    await type("everything at", "4");
    expect(score()).toBeGreaterThan(fast);
  });
  test("the egg is switched on every line, and its caution with it (C102)", async () => {
    const bench = sheet(demo("walnut-oil-mayonnaise"));
    const egg = screen.getByRole("group", { name: "Egg" });
    expect(words(egg)).toMatch(/Raw egg.*unverified.*raw egg – not for vulnerable guests.*kept 1 day/);
    await type("measured pH", "3.9");
    expect(words(egg)).toMatch(/Measured pH 3.9; the local code decides/);
    await userEvent.click(within(egg).getByRole("radio", { name: "pasteurised" }));
    expect(eggIn(bench.walked())).toBe("pasteurised");
    expect(words(egg)).toMatch(/“pasteurised egg”; kept 3 days/);
    expect(words(egg)).not.toContain("▲");
    await userEvent.click(within(egg).getByRole("radio", { name: "raw" }));
    expect(eggIn(bench.walked())).toBe("raw");
  });
  test("a larder that holds no pasteurised egg says so instead of switching", () => {
    onBench(demo("walnut-oil-mayonnaise"), bench => {
      const ingredientById = new Map(bench.kitchen.ingredientById);
      ingredientById.delete("pasteurised-yolk");
      return <EmulsionPanel {...bench} kitchen={{ ...bench.kitchen, ingredientById }} />;
    });
    const egg = screen.getByRole("group", { name: "Egg" });
    expect((within(egg).getByRole("radio", { name: "pasteurised" }) as HTMLInputElement).disabled).toBe(true);
    expect(words(egg)).toContain("Write it in there first");
  });
  test("it has split: water first, the second time a new yolk", async () => {
    sheet(demo("walnut-oil-mayonnaise"));
    await userEvent.click(screen.getByRole("button", { name: "It has split" }));
    const rescue = () => words(screen.getByRole("region", { name: "Rescue" }));
    expect(rescue()).toMatch(/A clean bowl: \d+ g water/);
    await userEvent.click(screen.getByRole("button", { name: "It has split again" }));
    expect(rescue()).toContain("a new yolk");
    await userEvent.click(screen.getByRole("button", { name: "It has split again" }));
    expect(screen.queryByRole("region", { name: "Rescue" })).toBeNull();
  });
  test("on a line without one an emulsion is built: 2 kg of each kind, all of it on the scale", async () => {
    for (const [kind, holds] of [
      ["mayonnaise", "egg-yolk"],
      ["warm, of yolk and butter", "clarified-butter"],
      ["of egg white", "egg-white"],
    ] as const) {
      const bench = sheet({ ...demo("walnut-oil-mayonnaise"), steps: [] });
      await userEvent.selectOptions(screen.getByLabelText("kind"), kind);
      await userEvent.click(screen.getByRole("button", { name: "Put it on the line" }));
      const lines = linesOf(bench.document());
      expect(lines.some(l => "larder" in l.of && l.of.larder === holds)).toBe(true);
      const total = lines.reduce((m, l) => m + (l.amount.kind === "fixed" ? l.amount.massG : 0), 0);
      expect(total).toBeGreaterThan(1950);
      expect(total).toBeLessThan(2060);
      cleanup();
    }
  });
});

describe("Purée", () => {
  const sheet = (id: string) => onBench(demo(id), bench => <PureePanel {...bench} />);
  const figure = (label: RegExp) =>
    gramsOf(
      words(screen.getByText(label, { selector: "dt" }).nextElementSibling).replace(
        /(\d+\.\d+) kg/,
        (_, kg) => `${1000 * Number(kg)} g`,
      ),
    );

  test("what is left of what was bought falls at every stage, and follows the purchase", async () => {
    sheet("salsify-puree");
    await type("as bought", "5 kg");
    const chain = [/^trimmed/, /^cooked/, /^purée/].map(figure);
    expect(chain[0]).toBeLessThan(5000);
    expect(chain[1]).toBeLessThan(chain[0] ?? 0);
    expect(chain[2]).toBeLessThan(chain[1] ?? 0);
    await type("as bought", "10 kg");
    expect(figure(/^purée/)).toBeCloseTo(2 * (chain[2] ?? 0), -2);
  });
  test("what peeling leaves is what the line says, and without such a line the table’s", async () => {
    const { walked } = sheet("salsify-puree");
    const line = walked()
      .states.flatMap(s => s.lines)
      .find(l => l.name === "salsify");
    expect(figure(/^trimmed/)).toBeCloseTo(line?.massG ?? 0, -1);
    await userEvent.selectOptions(screen.getByLabelText("vegetable"), "parsnip");
    await type("as bought", "1 kg");
    expect(figure(/^trimmed/)).toBeCloseTo(830, -1);
  });
  test("a sieve takes its share; without one more is left (C107)", async () => {
    sheet("salsify-puree");
    const sieved = figure(/^purée/);
    await userEvent.selectOptions(screen.getByLabelText("through"), "no sieve");
    expect(figure(/^purée/)).toBeGreaterThan(sieved);
  });
  test("what was weighed beats the table, and gives way to it again", async () => {
    sheet("salsify-puree");
    await type("as bought", "5 kg");
    const byTable = [figure(/^cooked/), figure(/^purée/)];
    await type("cooked, weighed", "3.1 kg");
    await type("sieved, weighed", "2.9 kg");
    expect([figure(/^cooked/), figure(/^purée/)]).toEqual([3100, 2900]);
    await type("cooked, weighed", "0.2 kg");
    expect(words(screen.getByRole("alert"))).toMatch(/dry matter; 200 g cannot be all that is left/);
    await userEvent.click(screen.getByRole("button", { name: "By the table" }));
    expect([figure(/^cooked/), figure(/^purée/)]).toEqual(byTable);
    expect((screen.getByLabelText("sieved, weighed") as HTMLInputElement).value).toBe("");
  });
  test("floury potato: no blade, and dried before it is enriched (C110, C108)", async () => {
    sheet("salsify-puree");
    expect(screen.queryByText(/no blade/)).toBeNull();
    await userEvent.selectOptions(screen.getByLabelText("vegetable"), "floury potato");
    expect(screen.getByText(/no blade/)).toBeTruthy();
    expect(figure(/^dried off, stop at/)).toBeLessThan(figure(/^purée/));
    expect(screen.queryByText(/loads of/)).toBeNull();
  });
  test("one base for three: what is left over, and a refusal when it is not enough (C112)", async () => {
    sheet("nettle-coulis");
    expect(words(screen.getByText(/left: use within two days/))).toMatch(/^150 g left/);
    await type("third", "150 g");
    expect(words(screen.getByText(/left: use within two days/))).toMatch(/^0(\.\d+)? g left/);
  });
  test("green things: seconds, salt and ice; pale ones: acid in the water", async () => {
    sheet("nettle-coulis");
    const colour = () => words(screen.getByText("Colour").parentElement);
    await userEvent.selectOptions(screen.getByLabelText("vegetable"), "spinach");
    expect(colour()).toMatch(/\d+–\d+ s in .* boiling water/);
    await userEvent.selectOptions(screen.getByLabelText("vegetable"), "salsify");
    expect(colour()).toMatch(/lemon juice in the water/);
  });
});

describe("Taste", () => {
  const sheet = (id: string) => onBench(demo(id), bench => <TastePanel {...bench} />);

  test("strong things: plainly multiplied up to twice, then a share of it first (C126)", async () => {
    sheet("cider-juniper-pan-sauce");
    const spices = screen.getByRole("group", { name: "Strong things, for more of it" });
    await type("times the recipe", "2", spices);
    expect(words(spices)).toContain("simply multiplied");
    const row = () =>
      [...words(within(spices).getAllByRole("row")[0] ?? null).matchAll(/([\d.]+) g/g)].map(m =>
        Number(m[1]),
      );
    const [twice, firstOfTwice] = row();
    expect(firstOfTwice).toBe(twice);
    await type("times the recipe", "8", spices);
    const [eightfold, first] = row();
    expect(eightfold).toBeCloseTo(4 * (twice ?? 0), 0);
    expect((first ?? 0) / (eightfold ?? 1)).toBeCloseTo(0.9, 1);
  });
  test("a salty garnish still to come is counted in (C117)", async () => {
    sheet("buckwheat-brown-gravy");
    const salt = () => words(screen.getByText("Salt, with what is still to come").parentElement);
    const before = salt();
    await type("salty garnish", "400 g");
    expect(salt()).not.toBe(before);
  });
  test("something strong brings its salt: the salt line gives way (C96)", async () => {
    sheet("smoked-trout-veloute");
    const strong = () => words(screen.getByText("Something strong stirred in").parentElement);
    expect(strong()).toMatch(/brings 1[01](\.\d)? g salt/);
    await type("so much", "900 g");
    expect(strong()).toMatch(/salt line to 0.*over/);
  });
  test("white pepper in a pale sauce, black in a brown one (C125)", () => {
    sheet("smoked-trout-veloute");
    expect(screen.getByText("white pepper")).toBeTruthy();
    cleanup();
    sheet("buckwheat-brown-gravy");
    expect(screen.getByText("black pepper")).toBeTruthy();
  });
});

describe("Fixes", () => {
  const sheet = (id: string) => onBench(demo(id), bench => <FixPanel {...bench} />);
  const cards = () => screen.queryAllByRole("listitem").filter(li => li.querySelector("dl"));

  test("nothing is said until somebody complains; a second press takes the complaint back", async () => {
    sheet("smoked-trout-veloute");
    expect(cards()).toHaveLength(0);
    await userEvent.click(screen.getByRole("button", { name: "too thin" }));
    expect(cards().length).toBeGreaterThan(1);
    await userEvent.click(screen.getByRole("button", { name: "too thin" }));
    expect(cards()).toHaveLength(0);
  });
  test("what costs and what brings allergens says so once", async () => {
    sheet("smoked-trout-veloute");
    await userEvent.click(screen.getByRole("button", { name: "bitter" }));
    const cream = cards().find(card => words(card).includes("cream or butter"));
    expect(words(cream ?? null)).toMatch(/Costs \d+\.\d\d EUR · brings milk/);
    expect(words(cream ?? null).match(/milk/g)).toHaveLength(1);
    const sugar = cards().find(card => words(card).startsWith("sugar"));
    expect(words(sugar ?? null)).toMatch(/Costs (less than )?0\.01 EUR/);
  });
  test("a complaint that does not hold is answered, with the figure that says so", async () => {
    sheet("smoked-trout-veloute");
    await userEvent.click(screen.getByRole("button", { name: "too salty" }));
    await type("salt wanted", "5");
    expect(words(screen.getByRole("alert"))).toMatch(
      /It has [\d.]+ % salt, not more than the 5\.00 % wanted/,
    );
    expect(cards()).toHaveLength(0);
  });
  test("before there is a sauce there is nothing to mend", () => {
    onBench({ ...demo("smoked-trout-veloute"), steps: [] }, bench => <FixPanel {...bench} />);
    expect(screen.getByText(/no sauce to mend/)).toBeTruthy();
  });
});
