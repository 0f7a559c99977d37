import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { describe, expect, test } from "vitest";
import { type FormulaDocument, type Step, type StepKindName, blankFormula, insertStep } from "~/core/formula";
import type { WeighedLine } from "~/core/run";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { AskProvider } from "../ui/ask";
import { lineReader } from "./line-now";
import { LiveRowProvider, stillRow } from "./live-row";
import { onBench, words } from "./panels/testing";
import { StepEditor } from "./step-editor";
import { WeighedContext } from "./weighed";

type Line = Step["lines"][number];
const line = (id: string, larder: string, amount: Line["amount"], over: Partial<Line> = {}): Line => ({
  id,
  of: { larder },
  amount,
  certainty: "stated",
  ...over,
});
const grams = (massG: number): Line["amount"] => ({ kind: "fixed", massG });

/** Water with an onion for each ten parts of bones, and thyme by feel. */
const stock: FormulaDocument = {
  ...blankFormula("Stock", { name: "bones", massG: 5000 }),
  steps: [
    {
      id: "in",
      kind: "add",
      lines: [
        line("w", "water", grams(8000)),
        line("o", "onion", { kind: "share-of-base", pct: 10 }),
        line("t", "thyme", grams(4), { certainty: "assumed", question: "How much is a small bunch?" }),
      ],
      durationMin: 2,
      vesselId: "tall-2",
    },
    { id: "rest", kind: "steep", lines: [], durationMin: 10 },
    { id: "out", kind: "strain", lines: [], durationMin: 3, press: false },
  ] as unknown as FormulaDocument["steps"],
};

function open(start: FormulaDocument, index: number, weighed: readonly WeighedLine[] = []) {
  const id = start.steps[index]?.id;
  const lineOf = lineReader(DEMO_KITCHEN, DEMO_KITCHEN.defaultBurnerId, "of-test");
  const bench = onBench(start, ({ formula, kitchen, walked }) => {
    const at = formula.document.steps.findIndex(step => step.id === id);
    const step = formula.document.steps[at];
    return (
      step && (
        <AskProvider explain={() => null}>
          <WeighedContext value={weighed}>
            <LiveRowProvider value={stillRow(at, lineOf(formula.document))}>
              <StepEditor
                step={step}
                index={at}
                formula={formula}
                kitchen={kitchen}
                state={walked.states[at]}
                interval={undefined}
              />
            </LiveRowProvider>
          </WeighedContext>
        </AskProvider>
      )
    );
  });
  const step = () => bench.document().steps.find(s => s.id === id);
  return {
    ...bench,
    step,
    line: (lineId: string) => step()?.lines.find(l => l.id === lineId),
    row: (name: string) => screen.getByLabelText(`Amount of ${name}`).closest("li") as HTMLElement,
  };
}
const type = (label: string | RegExp, text: string) =>
  fireEvent.input(screen.getByLabelText(label), { target: { value: text } });

describe("the lines of an open step", () => {
  test("a line reads back what was understood, what it comes to and its measure", () => {
    const { row } = open(stock, 0);
    expect(words(row("onion"))).toMatch(/10 % of the bones.*500 g/);
    expect(words(row("water"))).toMatch(/8.0\d l|8 l/);
    const onion = screen.getByLabelText("Amount of onion");
    const note = document.getElementById(onion.getAttribute("aria-describedby") ?? "");
    expect(words(note)).toBe("10 % of the bones · 500 g");
  });
  test("an amount may be typed in another relation, and is stated from then on", () => {
    const { line: now, row } = open(stock, 0);
    type("Amount of onion", "600 g");
    expect(now("o")).toMatchObject({ amount: { kind: "fixed", massG: 600 }, certainty: "stated" });
    expect(words(row("onion"))).toContain("600 g");
    type("Amount of thyme", "5 g");
    expect(now("t")?.question).toBeUndefined();
    expect(screen.queryByText(/small bunch/)).toBeNull();
  });
  test("a long reading back has room for two lines, and is whole under the pointer", () => {
    const { row } = open(stock, 0);
    type("Amount of water", "three quarters of a pint");
    const note = within(row("water")).getByTitle(/typed as three quarters of a pint/);
    expect(words(note)).toBe(words({ textContent: note.getAttribute("title") } as Element));
  });
  test("what cannot be read stays in its field and is refused there; the line keeps its amount", () => {
    const { line: now } = open(stock, 0);
    type("Amount of onion", "a whole lot");
    expect(screen.getByLabelText<HTMLInputElement>("Amount of onion").value).toBe("a whole lot");
    expect(screen.getByRole("alert").textContent).toContain("a whole lot");
    expect(now("o")?.amount).toEqual({ kind: "share-of-base", pct: 10 });
  });
  test("another ingredient by its name; one the larder lacks is refused", () => {
    const { line: now, row } = open(stock, 0);
    const name = (text: string) =>
      fireEvent.input(within(row("onion")).getByLabelText("Ingredient"), { target: { value: text } });
    name("no such thing");
    expect(now("o")?.of).toEqual({ larder: "onion" });
    expect(screen.getByRole("alert").textContent).toContain("Not in the larder");
    name("shallot");
    expect(now("o")?.of).toEqual({ larder: "shallot" });
  });
  test("a question is settled by saying that it is right", () => {
    const { line: now } = open(stock, 0);
    fireEvent.click(screen.getByRole("button", { name: "It is right" }));
    expect(now("t")).toMatchObject({ certainty: "stated", amount: { kind: "fixed", massG: 4 } });
    expect(now("t")?.question).toBeUndefined();
  });
  test("C10 what hands have weighed is offered for an assumed amount, at this size", () => {
    const weighed = [
      { lineId: "t", massG: 3, baseG: 2500 },
      { lineId: "t", massG: 4, baseG: 2500 },
      { lineId: "t", massG: 7, baseG: 2500 },
    ];
    const { line: now, row } = open(stock, 0, weighed);
    expect(words(row("thyme"))).toMatch(
      /Weighed in 3 batches: 8(\.0)? g \(6(\.0)? g–14(\.0)? g\) at this size/,
    );
    fireEvent.click(screen.getByRole("button", { name: "Take it" }));
    expect(now("t")).toMatchObject({ certainty: "measured", amount: { kind: "fixed", massG: 8 } });
  });
  test("lines are put in as they are said, and taken out", () => {
    const { step, line: now } = open(stock, 0);
    type(/Add a line/, "50 g carrot");
    expect(screen.getByRole("status").textContent).toContain("understood: carrot");
    fireEvent.click(screen.getByRole("button", { name: "Put in" }));
    expect(step()?.lines.at(-1)).toMatchObject({ of: { larder: "carrot" }, amount: grams(50) });
    fireEvent.click(screen.getByRole("button", { name: "Remove onion" }));
    expect(now("o")).toBeUndefined();
  });
});

describe("what the cook says of a step", () => {
  test("own words and reasons are kept, and gone when they are rubbed out", () => {
    const { step } = open(stock, 1);
    type("Your own words for this step", "lid on");
    type("Why, for those who learn", "herbs turn bitter when they boil");
    expect(step()).toMatchObject({ remark: "lid on", why: "herbs turn bitter when they boil" });
    type("Your own words for this step", "");
    expect(step()?.remark).toBeUndefined();
  });
  test("what is taken out may be kept for something, and be worth something", () => {
    const { step } = open(stock, 2);
    type("What is taken out is kept for", "second wetting");
    type("worth a kg", "1.5");
    expect(step()?.keeps).toEqual({ use: "second wetting", perKg: 1.5 });
    type("What is taken out is kept for", "frying");
    expect(step()?.keeps).toEqual({ use: "frying", perKg: 1.5 });
    type("What is taken out is kept for", "");
    expect(step()?.keeps).toBeUndefined();
  });
  test("only a step that takes something out asks what becomes of it", () => {
    const asks = (kind: StepKindName) => {
      const document = insertStep(blankFormula("One", { name: "bones", massG: 1000 }), kind, "only");
      open(document, 0);
      const found = screen.queryByLabelText("What is taken out is kept for") !== null;
      cleanup();
      return found;
    };
    expect((["strain", "skim", "degrease", "drain", "lift"] as const).map(asks)).not.toContain(false);
    expect((["add", "simmer", "season", "steep"] as const).map(asks)).not.toContain(true);
  });
});

describe("where a step stands", () => {
  test("the first cannot go up, the last cannot go down, one between goes both ways", () => {
    const can = (name: string) => !screen.getByRole<HTMLButtonElement>("button", { name }).disabled;
    open(stock, 0);
    expect([can("Move up"), can("Move down")]).toEqual([false, true]);
    cleanup();
    open(stock, 2);
    expect([can("Move up"), can("Move down")]).toEqual([true, false]);
    cleanup();
    const { document } = open(stock, 1);
    fireEvent.click(screen.getByRole("button", { name: "Move up" }));
    expect(document().steps.map(s => s.id)).toEqual(["rest", "in", "out"]);
    expect([can("Move up"), can("Move down")]).toEqual([false, true]);
    fireEvent.click(screen.getByRole("button", { name: "Remove this step" }));
    expect(document().steps.map(s => s.id)).toEqual(["in", "out"]);
  });
});
