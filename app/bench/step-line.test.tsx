import { act, cleanup, fireEvent, render } from "@testing-library/react";
import { useState } from "react";
import { createRoutesStub } from "react-router";
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { type FormulaDocument, openKitchen } from "~/core/formula";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { AskProvider } from "../ui/ask";
import type { AmountView } from "./amount-views";
import { lineReader } from "./line-now";
import { demo, words } from "./panels/testing";
import { StepLine } from "./step-line";
import type { StoredHead } from "./replies";
import { useFormula } from "./use-formula";

const CIDER = "cider-juniper-pan-sauce";

/** The line of a formula as the Bench draws it, without a server behind it. */
function line(document: FormulaDocument) {
  const head: StoredHead = { rowVersion: 1, number: 1, document, editedBy: "Noor" };
  const lineOf = lineReader(DEMO_KITCHEN, DEMO_KITCHEN.defaultBurnerId, CIDER);
  let drawn = 0;
  let formula: ReturnType<typeof useFormula>;
  function Bench() {
    formula = useFormula("line-of-test", head);
    const [selected, select] = useState<string | null>(null);
    const [face, setView] = useState<AmountView>("grams");
    drawn++;
    return (
      <AskProvider explain={() => null}>
        <StepLine
          formula={formula}
          lineOf={lineOf}
          intervals={[]}
          view={face}
          onView={() => setView(face === "grams" ? "ratio" : "grams")}
          selected={selected}
          onSelect={select}
          threads={["mass", "salt"]}
          onThreads={() => undefined}
        />
      </AskProvider>
    );
  }
  const Stub = createRoutesStub([
    { path: "/", Component: Bench, action: () => new Promise<never>(() => undefined) },
  ]);
  const view = render(<Stub />);
  const row = (i: number) => {
    const found = view.container.querySelectorAll("[data-row]")[i];
    if (!found) throw new Error(`There is no row ${i}.`);
    return found;
  };
  return {
    ...view,
    row,
    open: (i: number) => fireEvent.click(row(i).querySelector("[data-step]") as Element),
    formula: () => formula,
    drawn: () => drawn,
    kitchen: openKitchen(DEMO_KITCHEN),
  };
}

beforeEach(() => {
  localStorage.clear();
  vi.useFakeTimers({ shouldAdvanceTime: true });
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

const described = (id: string | null) => globalThis.document.getElementById(id ?? "");

/** The first step that has a line typed in grams, and that line. */
const typedInGrams = (document: FormulaDocument) => {
  const at = document.steps.findIndex(s => s.lines.some(l => l.amount.kind === "fixed"));
  const step = document.steps[at];
  const found = step?.lines.find(l => l.amount.kind === "fixed");
  if (!found) throw new Error("No line of it is in grams.");
  return { at, lineId: found.id };
};

describe("the line on the Bench", () => {
  const document = {
    ...demo(CIDER),
    steps: demo(CIDER).steps.map(step => ({
      ...step,
      lines: step.lines.map((l, i) =>
        i === 0 && "larder" in l.of
          ? { ...l, amount: { kind: "fixed" as const, massG: 500 }, typed: undefined }
          : l,
      ),
    })) as FormulaDocument["steps"],
  };
  const { at } = typedInGrams(document);

  test("a key is in its row at once; the page around it follows when the typing pauses", async () => {
    const bench = line(document);
    bench.open(at);
    const field = bench.row(at).querySelector<HTMLInputElement>("ul input[spellcheck='false']:not([list])");
    if (!field) throw new Error("The row has no amount to type in.");
    const before = bench.drawn();
    fireEvent.input(field, { target: { value: "750 g" } });
    expect(words(bench.row(at).querySelector("dl"))).toContain("750 g");
    expect(bench.drawn()).toBe(before);
    expect(bench.formula().document).toBe(document);
    expect(bench.formula().typed()).not.toBe(document);
    await act(() => vi.advanceTimersByTimeAsync(300));
    expect(bench.formula().document).toBe(bench.formula().typed());
    expect(bench.drawn()).toBeGreaterThan(before);
  });
  test("whoever leaves the field finds all of the page following", () => {
    const bench = line(document);
    bench.open(at);
    const field = bench.row(at).querySelector<HTMLInputElement>("ul input[spellcheck='false']:not([list])");
    if (!field) throw new Error("The row has no amount to type in.");
    field.focus();
    fireEvent.input(field, { target: { value: "800 g" } });
    act(() => field.blur());
    expect(bench.formula().document).toBe(bench.formula().typed());
    expect(field.value).toBe("800 g");
  });
  test("what cannot be read stays in its field and is refused below it; the row keeps the last good amount", () => {
    const bench = line(document);
    bench.open(at);
    const field = bench.row(at).querySelector<HTMLInputElement>("ul input[spellcheck='false']:not([list])");
    if (!field) throw new Error("The row has no amount to type in.");
    fireEvent.input(field, { target: { value: "lots and lots" } });
    expect(field.value).toBe("lots and lots");
    expect(field.getAttribute("aria-invalid")).toBe("true");
    expect(words(bench.row(at).querySelector("dl"))).toContain("500 g");
    expect(bench.formula().canUndo).toBe(false);
  });
  test("every figure of the row is what was typed last, whichever way it came", async () => {
    const bench = line(document);
    bench.open(at);
    const field = bench.row(at).querySelector<HTMLInputElement>("ul input[spellcheck='false']:not([list])");
    if (!field) throw new Error("The row has no amount to type in.");
    const shown = () => ({
      amounts: words(bench.row(at).querySelector("dl")),
      called: bench.row(at).querySelector("dl button")?.getAttribute("aria-label")?.replace(/\s/g, " "),
      readBack: words(described(field.getAttribute("aria-describedby"))?.parentElement ?? null),
      inWords: words(bench.row(at).querySelector("p.col-start-2")),
      threads: [...bench.row(at).querySelectorAll("svg + div")].map(words),
    });
    const before = shown();
    const type = (value: string) => fireEvent.input(field, { target: { value } });
    type("750 g");
    const typed = shown();
    expect(typed.amounts).toContain("750 g");
    expect(typed.called).toContain("750 g");
    expect(typed.readBack).toContain("750 g");
    expect(typed.inWords).not.toBe(before.inWords);
    expect(typed.threads).not.toEqual(before.threads);
    await act(() => vi.advanceTimersByTimeAsync(300));
    expect(shown()).toEqual(typed);
    type("500 g");
    expect(shown()).toEqual(before);
    type("750 g");
    act(() => bench.formula().undo());
    expect(shown()).toEqual(before);
    act(() => bench.formula().redo());
    expect(shown()).toEqual(typed);
  });
  describe.each([
    ["grams", 0],
    ["ratio", 1],
  ] as const)("in the face of %s", (_, turns) => {
    test.each([
      ["another mass", ["620 g", "1.4 kg", "3 kg"]],
      ["nothing, and something again", ["0 g", "5 g"]],
      ["a share", ["25 %", "250 %"]],
      ["more than the pot holds", ["90 kg", "9 kg"]],
      ["what cannot be read, between what can", ["2 kg", "lots", "3 kg"]],
      ["an amount by feel", ["a knob", "2 cups"]],
      ["to the finished sauce", ["60 g/l finished", "80 g/l finished"]],
    ])("the rows in view are at once what they are when the page has followed: %s", async (__, texts) => {
      const bench = line(document);
      for (let i = 0; i < turns; i++) fireEvent.click(bench.getByTitle("u"));
      bench.open(at);
      const field = bench.row(at).querySelector<HTMLInputElement>("ul input[spellcheck='false']:not([list])");
      if (!field) throw new Error("The row has no amount to type in.");
      const rows = () => [...bench.container.querySelectorAll("[data-row]")].map(words);
      for (const text of texts) {
        fireEvent.input(field, { target: { value: text } });
        const atOnce = rows();
        await act(() => vi.advanceTimersByTimeAsync(300));
        expect(rows()).toEqual(atOnce);
      }
    });
  });
  test("an amount is shown in the face that is turned up", () => {
    const bench = line(document);
    const grams = words(bench.row(at).querySelector("dl"));
    fireEvent.click(bench.getByTitle("u"));
    const ratio = words(bench.row(at).querySelector("dl"));
    expect(grams).toContain("500 g");
    expect(ratio).toMatch(/[\d.]+ %/);
    expect(ratio).not.toContain("500 g");
  });
  test("a step moved or taken out is gone from its place at once", () => {
    const bench = line(document);
    const titles = () => [...bench.container.querySelectorAll("[data-step]")].map(words);
    const [first = "", second = ""] = titles();
    bench.open(0);
    fireEvent.click(bench.getByRole("button", { name: "Move down" }));
    expect(titles().slice(0, 2)).toEqual([second, first]);
    fireEvent.click(bench.getByRole("button", { name: "Remove this step" }));
    expect(titles()).toHaveLength(document.steps.length - 1);
    act(() => bench.formula().undo());
    act(() => bench.formula().undo());
    expect(titles().slice(0, 2)).toEqual([first, second]);
  });
  test("arrows run along the steps; Enter opens one", () => {
    const bench = line(document);
    const steps = [...bench.container.querySelectorAll<HTMLElement>("[data-step]")];
    steps[0]?.focus();
    fireEvent.keyDown(steps[0] as Element, { key: "ArrowDown" });
    expect(globalThis.document.activeElement).toBe(steps[1]);
    fireEvent.keyDown(steps[1] as Element, { key: "ArrowUp" });
    expect(globalThis.document.activeElement).toBe(steps[0]);
    fireEvent.keyDown(steps[0] as Element, { key: "ArrowUp" });
    expect(globalThis.document.activeElement).toBe(steps[0]);
    expect(steps[0]?.getAttribute("aria-expanded")).toBe("false");
    bench.open(0);
    expect(steps[0]?.getAttribute("aria-expanded")).toBe("true");
  });
});
