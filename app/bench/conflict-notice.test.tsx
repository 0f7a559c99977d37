import { fireEvent, render, screen, within } from "@testing-library/react";
import { describe, expect, test, vi } from "vitest";
import { type FormulaDocument, linesOf, openKitchen, updateLine, updateStep } from "~/core/formula";
import { STOCK_ID } from "~/demo/formulas";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { ConflictNotice } from "./conflict-notice";
import { demo, words } from "./panels/testing";

const stock = demo(STOCK_ID);
const simmer = stock.steps.find(s => s.kind === "simmer")?.id ?? "";
const onions = (parts: number) =>
  updateLine(stock, "onion", { amount: { kind: "part", group: "mirepoix", parts } });
const partsIn = (document: FormulaDocument | undefined) =>
  document && linesOf(document).find(l => l.id === "onion")?.amount;

function notice(mine: FormulaDocument, theirs: FormulaDocument) {
  const onJoin = vi.fn<(document: FormulaDocument) => void>();
  const onTake = vi.fn();
  render(
    <ConflictNotice
      base={stock}
      mine={mine}
      theirs={{ document: theirs, rowVersion: 2, number: 1, editedBy: "Noor Adeyi" }}
      kitchen={openKitchen(DEMO_KITCHEN)}
      onJoin={onJoin}
      onTake={onTake}
    />,
  );
  const press = (name: string) => fireEvent.click(screen.getByRole("button", { name }));
  return { press, onTake, joined: () => onJoin.mock.calls.at(-1)?.[0] };
}

describe("two cooks saved at once", () => {
  test("what does not touch is joined without a question", () => {
    const { press, joined } = notice(onions(3), updateStep(stock, simmer, { durationMin: 300 }));
    expect(words(screen.getByRole("alert"))).toMatch(/Noor Adeyi saved this formula while you were working/);
    expect(screen.queryByRole("radio")).toBeNull();
    press("Join both");
    expect(partsIn(joined())).toMatchObject({ parts: 3 });
    expect(joined()?.steps.find(s => s.id === simmer)).toMatchObject({ durationMin: 300 });
  });
  test("where both changed the same, mine stands until somebody picks theirs", () => {
    const { press, joined } = notice(onions(3), onions(4));
    const question = words(within(screen.getByRole("alert")).getByText("Both of you changed:").parentElement);
    expect(question).toMatch(/onion: amount.*yours: 3 parts.*theirs: 4 parts/);
    press("Join both");
    expect(partsIn(joined())).toMatchObject({ parts: 3 });
    fireEvent.click(screen.getByRole("radio", { name: /theirs/ }));
    press("Join both");
    expect(partsIn(joined())).toMatchObject({ parts: 4 });
  });
  test("one of the two can be kept whole", () => {
    const mine = onions(3);
    const { press, joined, onTake } = notice(mine, onions(4));
    press("Keep mine");
    expect(joined()).toBe(mine);
    press("Take theirs");
    expect(onTake).toHaveBeenCalledOnce();
  });
  test("each side’s changes stand with their grams", () => {
    notice(onions(3), onions(4));
    const [mine, theirs] = screen.getAllByRole("list").map(words);
    expect(mine).toMatch(/onion: .*3 parts \([\d .]+k?g\)/);
    expect(theirs).toMatch(/onion: .*4 parts \([\d .]+k?g\)/);
  });
});
