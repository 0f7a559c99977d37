import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { type FormulaDocument, FIGURES, linesOf } from "~/core/formula";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { WorkerHere, haveWorkers } from "../../workers/testing";
import { AimPanel } from "./aim-panel";
import { ScalePanel } from "./scale-panel";
import { SchoolsPanel } from "./schools-panel";
import { demo, onBench, words } from "./testing";

const SAUCE = "cider-juniper-pan-sauce";
const burnerId = DEMO_KITCHEN.defaultBurnerId;

beforeEach(haveWorkers);
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const type = (label: string | RegExp, text: string, root: HTMLElement = document.body) => {
  const field = within(root).getByLabelText(label, { selector: "input" });
  fireEvent.input(field, { target: { value: text } });
  fireEvent.blur(field);
};
const choose = (label: string, option: string) => {
  const select = screen.getByLabelText<HTMLSelectElement>(label, { selector: "select" });
  const found = [...select.options].find(o => o.text.startsWith(option));
  if (!found) throw new Error(`“${label}” offers no ${option}.`);
  fireEvent.change(select, { target: { value: found.value } });
};
const grams = (text: string): number => {
  const [, number = "", unit] = /(−?[\d ]+(?:\.\d+)?) (kg|g)/.exec(text) ?? [];
  return Number(number.replaceAll(" ", "").replace("−", "-")) * (unit === "kg" ? 1000 : 1);
};

describe("Scale", () => {
  const sheet = (start: FormulaDocument = demo(SAUCE)) =>
    onBench(start, bench => <ScalePanel {...bench} burnerId={burnerId} />);
  const scaled = async () => {
    fireEvent.click(screen.getByRole("button", { name: "Scale" }));
    return screen.findByRole("region", { name: "Side by side" }, { timeout: 10_000 });
  };
  /** The amounts of a row: as it is, plainly multiplied, Hondaro's. */
  const row = (table: HTMLElement, name: string): number[] => {
    const found = within(table)
      .getAllByRole("row")
      .find(tr => words(tr.firstElementChild) === name);
    if (!found) throw new Error(`There is no row ${name}.`);
    return [...found.children].slice(1, 4).map(td => grams(words(td)));
  };

  test("to covers: each portion with its overage is what it gives in the end (C153)", async () => {
    sheet();
    type("Covers", "84");
    type("Portion", "40 g");
    type("Over", "5 %");
    const [asItIs = NaN, , ours = NaN] = row(await scaled(), "finished");
    expect(ours).toBeGreaterThan(84 * 40 * 1.05 * 0.995);
    expect(ours).toBeLessThan(84 * 40 * 1.05 * 1.005);
    expect(asItIs).toBeLessThan(ours);
  });
  test("plain multiplication stands beside: one factor for every line of it", async () => {
    sheet();
    type("Covers", "84");
    const table = await scaled();
    const factors = ["shallot", "guinea-fowl brown stock", "finished"].map(name => {
      const [before = NaN, plain = NaN] = row(table, name);
      return plain / before;
    });
    for (const factor of factors) expect(factor).toBeCloseTo(factors[0] ?? NaN, 1);
  });
  test("what does not follow the factor says why (C173)", async () => {
    sheet();
    type("Covers", "84");
    const table = await scaled();
    const [, plain = NaN, ours = NaN] = row(table, "guinea-fowl brown stock");
    expect(ours).not.toBe(plain);
    expect(words(table)).toMatch(/leave as steam in the same time/);
    expect(words(table)).toMatch(/the rest by taste/);
  });
  test("from what lies on the table: the base and all that hangs on it", async () => {
    sheet();
    choose("Scale by", "from what lies on the table");
    type("guinea-fowl stock", "5 kg");
    const [before = NaN, plain = NaN] = row(await scaled(), "shallot");
    expect(plain / before).toBeCloseTo(2, 1);
  });
  test("by weight and by litres: what it must give, it gives", async () => {
    sheet();
    choose("Scale by", "it must give, by weight");
    type("finished", "4 kg");
    expect(row(await scaled(), "finished")[2]).toBeCloseTo(4000, -2);
    choose("Scale by", "it must give, in litres");
    type("It must give", "3 l");
    await scaled();
    await waitFor(() =>
      expect(row(screen.getByRole("region", { name: "Side by side" }), "finished")[2]).toBeLessThan(3500),
    );
  });
  test("by what there is of one line", async () => {
    sheet();
    choose("Scale by", "I only have");
    choose("of", "shallot");
    type("Weight there is", "300 g");
    const [before = NaN, , ours = NaN] = row(await scaled(), "shallot");
    expect(before).toBe(150);
    expect(ours).toBeCloseTo(300, -1);
  });
  test("by what fits a pot: no larger than the pot, and no pot overflows", async () => {
    sheet();
    choose("Scale by", "what fits a pot");
    choose("pot", "Saucepan 18");
    const small = row(await scaled(), "finished")[2] ?? NaN;
    choose("pot", "Tall pot No 1");
    fireEvent.click(screen.getByRole("button", { name: "Scale" }));
    await waitFor(
      () =>
        expect(row(screen.getByRole("region", { name: "Side by side" }), "finished")[2]).toBeGreaterThan(
          small,
        ),
      { timeout: 10_000 },
    );
  });
  test("what cannot be is refused in words, and nothing stands beside it", async () => {
    sheet();
    choose("Scale by", "it must give, in litres");
    type("It must give", "900 l");
    fireEvent.click(screen.getByRole("button", { name: "Scale" }));
    const alert = await screen.findByRole("alert", undefined, { timeout: 10_000 });
    expect(words(alert)).toMatch(/^✕ .{10,}/);
    expect(screen.queryByRole("region", { name: "Side by side" })).toBeNull();
  });
  test("taken, the formula is what was shown", async () => {
    const bench = sheet();
    type("Covers", "84");
    const [, , ours = NaN] = row(await scaled(), "finished");
    fireEvent.click(screen.getByRole("button", { name: /^Take/ }));
    expect(bench.walked().problems).toEqual([]);
    expect(bench.walked().finishedG).toBeGreaterThan(ours * 0.99);
    expect(bench.walked().finishedG).toBeLessThan(ours * 1.01);
  });
  test("who leaves the page leaves no worker behind", async () => {
    const bench = sheet();
    await scaled();
    expect(WorkerHere.running.size).toBe(1);
    bench.unmount();
    expect(WorkerHere.running.size).toBe(0);
  });
});

describe("Aim", () => {
  const sheet = (start: FormulaDocument = demo(SAUCE)) =>
    onBench(start, bench => <AimPanel {...bench} burnerId={burnerId} />);
  const worked = async () => {
    fireEvent.click(screen.getByRole("button", { name: "Work backwards" }));
    await waitFor(() => expect(screen.queryByText("Working …")).toBeNull(), { timeout: 20_000 });
  };
  const saltPct = (bench: ReturnType<typeof onBench>): number => {
    const last = bench.walked().states.at(-1);
    return (last && FIGURES.salt.of(last)) ?? NaN;
  };

  test("a wish begins at what suits, and can be let go", () => {
    const bench = sheet({ ...demo(SAUCE), targets: [] });
    choose("another wish", "salt");
    expect(bench.document().targets).toMatchObject([{ what: "salt" }]);
    choose("another wish", "finished");
    const finished = bench.document().targets.find(t => t.what === "finishedG")?.value;
    expect(finished).toBe(Math.round(bench.walked().finishedG));
    choose("another wish", "portions");
    const portions = bench.document().targets.find(t => t.what === "portions")?.value;
    expect(portions).toBe(Math.round(bench.walked().finishedG / bench.document().portionG));
    fireEvent.click(screen.getByRole("button", { name: "Let portions go" }));
    expect(bench.document().targets.map(t => t.what)).toEqual(["salt", "finishedG"]);
  });
  test("a wish that is there is not offered again", () => {
    sheet({ ...demo(SAUCE), targets: [{ what: "salt", value: 0.9, tolerance: 0.03 }] });
    const offered = [
      ...screen.getByLabelText<HTMLSelectElement>("another wish", { selector: "select" }).options,
    ].map(o => o.text);
    expect(offered).not.toContain("salt");
    expect(offered).toContain("fat");
  });
  test("0.85 % salt is worked back to, and taken (C121)", async () => {
    const bench = sheet({ ...demo(SAUCE), targets: [] });
    choose("another wish", "salt");
    type("salt", "0.85 %");
    await worked();
    expect(words(screen.getByRole("status"))).toMatch(/✓ salt 0.8\d %/);
    fireEvent.click(screen.getByRole("button", { name: "Take these amounts" }));
    expect(Math.abs(saltPct(bench) - 0.85)).toBeLessThan(0.03);
    expect(screen.queryByRole("status")).toBeNull();
  });
  test("only lines with limits move, and no further than their limits", async () => {
    const bench = sheet({ ...demo(SAUCE), targets: [] });
    choose("another wish", "salt");
    type("salt", "0.85 %");
    type("Least of fine salt", "1 g");
    type("Most of fine salt", "100 g");
    const before = linesOf(bench.document());
    expect(before.find(l => "larder" in l.of && l.of.larder === "salt")?.bounds).toEqual({
      minG: 1,
      maxG: 100,
    });
    await worked();
    const rows = within(screen.getByRole("table")).getAllByRole("row").slice(1);
    for (const tr of rows) {
      const name = words(tr.firstElementChild);
      const after = words(tr.lastElementChild);
      if (name.startsWith("fine salt")) expect(grams(after)).toBeGreaterThan(1);
      else expect(after).toBe("stays");
    }
  });
  test("limits can be taken off again", () => {
    const bench = sheet();
    type("Most of shallot", "400 g");
    expect(screen.getAllByRole("button", { name: "no limits" })).toHaveLength(1);
    fireEvent.click(screen.getByRole("button", { name: "no limits" }));
    expect(linesOf(bench.document()).every(line => line.bounds === undefined)).toBe(true);
  });
  test("what cannot be had together says which wishes fight", async () => {
    sheet({
      ...demo(SAUCE),
      targets: [
        { what: "salt", value: 0.5, tolerance: 0.01 },
        { what: "brix", value: 70, tolerance: 0.1 },
        { what: "finishedG", value: 50_000, tolerance: 5 },
        { what: "cost", value: 1, tolerance: 0.01 },
      ],
    });
    await worked();
    const said = words(screen.queryByRole("alert") ?? screen.getByRole("status"));
    expect(said).toMatch(/✕/);
    expect(said.length).toBeGreaterThan(20);
  });
  test("served as and the portion are the formula's", () => {
    const bench = sheet();
    const served = screen.getByLabelText<HTMLSelectElement>("served as", { selector: "select" });
    const other = [...served.options].find(o => o.value !== bench.document().servedAs);
    fireEvent.change(served, { target: { value: other?.value } });
    expect(bench.document().servedAs).toBe(other?.value);
    type("portion", "55 g");
    expect(bench.document().portionG).toBe(55);
    type("portion", "a ladle or so");
    expect(bench.document().portionG).toBe(55);
  });
});

describe("Schools", () => {
  const sheet = (start: FormulaDocument) =>
    onBench(start, bench => <SchoolsPanel {...bench} burnerId={burnerId} />);

  test("each way stands with its reason; the one taken is marked", () => {
    sheet(demo(SAUCE));
    for (const group of screen.getAllByRole("group")) {
      const ways = within(group).getAllByRole<HTMLInputElement>("radio");
      expect(ways.filter(way => way.checked)).toHaveLength(1);
      for (const way of ways) expect(words(way.closest("label")).length).toBeGreaterThan(20);
    }
  });
  test("what another way would change is told in figures", async () => {
    sheet(demo(SAUCE));
    await waitFor(
      () => expect(screen.getAllByText(/(yield|time|salt|fat|food cost) [+−]\d/)).not.toEqual([]),
      {
        timeout: 20_000,
      },
    );
    // The way taken changes nothing.
    for (const way of screen.getAllByRole<HTMLInputElement>("radio"))
      if (way.checked) expect(words(way.closest("label"))).not.toMatch(/(yield|time) [+−]/);
  });
  test("another way is another formula, and the way back is the way it was", () => {
    const bench = sheet(demo(SAUCE));
    const style = screen.getAllByRole("group")[0];
    if (!style) throw new Error("There is no choice.");
    const ways = within(style).getAllByRole<HTMLInputElement>("radio");
    const taken = ways.findIndex(way => way.checked);
    const other = ways.find(way => !way.checked);
    if (!other) throw new Error("There is no other way.");
    const before = bench.document();
    fireEvent.click(other);
    expect(bench.document().choices).not.toEqual(before.choices);
    expect(bench.walked().problems).toEqual([]);
    const back = within(style).getAllByRole<HTMLInputElement>("radio")[taken];
    if (back) fireEvent.click(back);
    expect(bench.document().choices).toEqual(before.choices);
  });
  test("a formula of no family has none to choose from", () => {
    sheet({ ...demo(SAUCE), family: "own" });
    expect(screen.getByText(/follows no family/)).toBeTruthy();
    expect(screen.queryByRole("radio")).toBeNull();
  });
});
