import { screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, test } from "vitest";
import { type FormulaDocument, type Line, linesOf } from "~/core/formula";
import { CostPanel } from "./cost-panel";
import { PrepPanel } from "./prep-panel";
import { SaltPanel } from "./salt-panel";
import { demo, onBench, words } from "./testing";

const type = async (label: string | RegExp, text: string, root: HTMLElement = document.body) => {
  const field = within(root).getByLabelText(label);
  await userEvent.clear(field);
  await userEvent.type(field, text);
  await userEvent.tab();
};
const isSalt = (line: Line) => "larder" in line.of && line.of.larder === "salt";

describe("Salt", () => {
  const sheet = (document: FormulaDocument) => onBench(document, bench => <SaltPanel {...bench} />);

  test("every gram is followed to where it came from, through other formulas (C117)", () => {
    sheet(demo("langoustine-bisque"));
    const grams = screen
      .getAllByRole("listitem")
      .map(li => Number(/([\d.]+) g$/.exec(words(li))?.[1] ?? 0))
      .reduce((a, b) => a + b, 0);
    const came = Number(/([\d.]+) g came in/.exec(words(screen.getByText(/came in/)))?.[1]);
    expect(Math.abs(grams - came)).toBeLessThan(0.02 * came + 0.5);
  });
  test("salting to the wish puts one line in, and pressing again does not add another", async () => {
    const unsalted = demo("smoked-trout-veloute");
    const bench = sheet({
      ...unsalted,
      steps: unsalted.steps.map(s => ({ ...s, lines: s.lines.filter(l => !isSalt(l)) })),
    });
    const press = () => userEvent.click(screen.getByRole("button", { name: /^Salt to/ }));
    await press();
    expect(linesOf(bench.document()).filter(isSalt)).toHaveLength(1);
    await press();
    expect(linesOf(bench.document()).filter(isSalt)).toHaveLength(1);
    expect(screen.getByText(/it is there/)).toBeTruthy();
    expect(bench.walked().problems).toEqual([]);
  });
  test("nothing salty: it says so", () => {
    sheet({ ...demo("smoked-trout-veloute"), steps: [] });
    expect(screen.getByText(/No salt goes into this/)).toBeTruthy();
  });
});

describe("Cost", () => {
  const sheet = (document: FormulaDocument) => onBench(document, bench => <CostPanel {...bench} />);
  const money = (label: RegExp) =>
    Number(/([\d.]+) EUR/.exec(words(screen.getByText(label, { selector: "dt" }).nextElementSibling))?.[1]);

  test("the lines add up to the food, and the food to the kilograms (C17)", () => {
    sheet(demo("smoked-trout-veloute"));
    const lines = within(screen.getByRole("table"))
      .getAllByRole("row")
      .map(row => Number(/(−?[\d.]+) EUR$/.exec(words(row))?.[1]?.replace("−", "-") ?? 0))
      .reduce((a, b) => a + b, 0);
    expect(Math.abs(lines - money(/^food,/))).toBeLessThan(0.05);
    const kg = Number(/food, ([\d.]+) kg/.exec(words(screen.getByText(/^food,/)))?.[1]);
    expect(money(/^a kg/)).toBeCloseTo(money(/^food,/) / kg, 1);
  });
  test("a price gives the share of food, a share gives the price (C18)", async () => {
    const bench = sheet(demo("smoked-trout-veloute"));
    await type("price on the menu", "4");
    const share = Number(
      /([\d.]+) %/.exec(words(screen.getByText("food of the price").nextElementSibling))?.[1],
    );
    expect(share).toBeCloseTo((100 * money(/^a portion/)) / 4, 0);
    await type("food may be, of it", "25 %");
    expect(money(/^price at that share/)).toBeCloseTo(money(/^a portion/) / 0.25, 1);
    expect(bench.document().price).toMatchObject({ menu: 4, sharePct: 25 });
  });
  test("a thing without a price is left out, and named", () => {
    onBench(demo("smoked-trout-veloute"), bench => {
      const states = bench.walked.states.map(state => ({
        ...state,
        sources: new Map(
          [...state.sources].map(([id, i]) => [id, i.id === "smoked-trout" ? { ...i, price: undefined } : i]),
        ),
      }));
      return <CostPanel {...bench} walked={{ ...bench.walked, states } as never} />;
    });
    expect(words(screen.getByText(/Left out, no price entered/))).toContain("smoked trout");
  });
});

describe("Get ready", () => {
  test("what stands in two components stands in one row, with what each takes", () => {
    onBench(demo("smoked-trout-veloute"), bench => <PrepPanel {...bench} />);
    const names = within(screen.getByRole("table"))
      .getAllByRole("row")
      .map(row => words(row.querySelector("td")))
      .filter(Boolean);
    expect(new Set(names).size).toBe(names.length);
    expect(names).toContain("smoked trout");
    expect(words(screen.getByText("Made ahead").parentElement)).toMatch(
      /Trout fumet.* kg.*keeps \d+ days? at/,
    );
  });
  test("a formula that draws on no other says so", () => {
    onBench(demo("trout-fumet"), bench => <PrepPanel {...bench} />);
    expect(screen.getByText(/Nothing: it draws on no other formula/)).toBeTruthy();
    expect(screen.getByText(/to wash up/)).toBeTruthy();
  });
});
