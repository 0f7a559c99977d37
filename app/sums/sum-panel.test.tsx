import { fireEvent, render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { beforeEach, describe, expect, test, vi } from "vitest";
import { SUMS, inOrder, textsOf as textsIn, worldOf } from "~/core/sums";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { readRecent } from "./recent";
import { AnswerTakerProvider, useAnswerTaker } from "./answer-taker";
import { SumPanel } from "./sum-panel";

beforeEach(() => localStorage.clear());
const world = worldOf(DEMO_KITCHEN);
const textsOf = (sum: (typeof SUMS)[number]) => {
  const { asked, more } = inOrder(sum);
  return textsIn([...asked, ...more], sum.example, world);
};

function open(name: string, texts?: Readonly<Record<string, string>>) {
  const sum = SUMS.find(s => s.name === name);
  if (!sum) throw new Error(`There is no sum ${name}.`);
  const onClose = vi.fn();
  const onKept = vi.fn();
  render(
    <SumPanel
      open={{ name, texts: texts ?? textsOf(sum) }}
      world={world}
      onClose={onClose}
      onKept={onKept}
    />,
  );
  return { sum, panel: screen.getByRole("dialog"), onClose, onKept };
}

describe("every quick sum, opened with its example", () => {
  test.each(SUMS.map(s => [s.name] as const))("%s answers in words a cook can read", name => {
    const { sum, panel } = open(name);
    expect(panel.getAttribute("aria-labelledby")).toBeTruthy();
    expect(screen.getByRole("heading", { name: sum.title })).toBeTruthy();
    expect(within(panel).queryAllByRole("alert")).toEqual([]);
    expect(panel.textContent).not.toMatch(/NaN|Infinity|undefined|\[object/);
    const sentence = panel.querySelector("[aria-live] > p")?.textContent ?? "";
    expect(sentence).toMatch(/\S.{8,}/);
    // No figure stands without its name, and no name without its figure.
    for (const term of panel.querySelectorAll("dt")) {
      expect(term.textContent).toMatch(/^[\p{L}°%]/u);
      expect(term.nextElementSibling?.textContent?.trim()).toBeTruthy();
    }
    for (const drawing of panel.querySelectorAll("svg[role=img]")) {
      expect(drawing.getAttribute("aria-label")).toBeTruthy();
      expect(drawing.innerHTML).not.toMatch(/NaN|Infinity/);
    }
    // Every field can be found by its name, and no two by the same.
    const fields = [...panel.querySelectorAll("input, select, textarea")];
    const names = fields.map(
      f => f.getAttribute("aria-label") ?? panel.querySelector(`label[for="${f.id}"]`)?.textContent ?? "",
    );
    expect(names.every(n => n.length > 1)).toBe(true);
    expect(new Set(names).size, names.join(" · ")).toBe(names.length);
  });
});

describe("typing in a sum", () => {
  const sauce = { salinity: "salt-after" };
  test("the answer follows each key; what is refused keeps what was typed and says what is wrong there", () => {
    const { panel, onKept } = open("hold-loss");
    const [first] = within(panel).getAllByRole("textbox");
    if (!first) throw new Error("no field");
    const before = panel.querySelector("[aria-live] > p")?.textContent;
    fireEvent.change(first, { target: { value: "9 kg" } });
    expect(panel.querySelector("[aria-live] > p")?.textContent).not.toBe(before);
    fireEvent.change(first, { target: { value: "a bucket" } });
    expect(first).toHaveProperty("value", "a bucket");
    expect(first.getAttribute("aria-invalid")).toBe("true");
    const note = document.getElementById(first.getAttribute("aria-describedby") ?? "");
    expect(note?.textContent).toMatch(/^✕ .{10,}/);
    expect(screen.getByRole("status").textContent).toContain("What you typed stays");
    fireEvent.click(screen.getByRole("button", { name: "Done" }));
    expect(onKept).not.toHaveBeenCalled();
  });
  test("closed with an answer it is among those worked out lately, with what was typed", async () => {
    const { panel, onClose, onKept } = open(sauce.salinity);
    const [first] = within(panel).getAllByRole("textbox");
    fireEvent.change(first as HTMLElement, { target: { value: "3 kg" } });
    await userEvent.keyboard("{Escape}");
    expect(onClose).toHaveBeenCalledOnce();
    expect(onKept).toHaveBeenCalledOnce();
    const [kept] = readRecent(localStorage);
    expect(kept?.name).toBe(sauce.salinity);
    expect(Object.values(kept?.texts ?? {})).toContain("3 kg");
    expect(kept?.sentence).toBe(panel.querySelector("[aria-live] > p")?.textContent);
  });
  test("a sum nobody knows shows nothing", () => {
    render(<SumPanel open={{ name: "gone", texts: {} }} world={world} onClose={vi.fn()} onKept={vi.fn()} />);
    expect(screen.queryByRole("dialog")).toBeNull();
  });
});

describe("a screen that takes the answer", () => {
  const take = vi.fn();
  function Screen({ onClose }: { onClose: () => void }) {
    useAnswerTaker(SINK);
    return (
      <SumPanel
        open={{
          name: "hold-loss",
          texts: textsOf(SUMS.find(s => s.name === "hold-loss") as (typeof SUMS)[number]),
        }}
        world={world}
        onClose={onClose}
        onKept={vi.fn()}
      />
    );
  }
  const SINK = { label: "Into the formula", take };
  test("Enter gives it there, with what it was reckoned from, and closes", () => {
    const onClose = vi.fn();
    render(
      <AnswerTakerProvider>
        <Screen onClose={onClose} />
      </AnswerTakerProvider>,
    );
    const form = screen.getByRole("dialog").querySelector("form");
    fireEvent.submit(form as HTMLFormElement);
    expect(take).toHaveBeenCalledOnce();
    const [given] = take.mock.calls[0] as [{ name: string; input: object; answer: { sentence: string } }];
    expect(given.name).toBe("hold-loss");
    expect(Object.keys(given.input).length).toBeGreaterThan(1);
    expect(given.answer.sentence).toBeTruthy();
    expect(onClose).toHaveBeenCalledOnce();
  });
  test("what is refused cannot be given", () => {
    take.mockClear();
    render(
      <AnswerTakerProvider>
        <Screen onClose={vi.fn()} />
      </AnswerTakerProvider>,
    );
    const panel = screen.getByRole("dialog");
    fireEvent.change(within(panel).getAllByRole("textbox")[0] as HTMLElement, { target: { value: "?" } });
    expect(within(panel).getByRole("button", { name: /^Use it/ })).toHaveProperty("disabled", true);
    fireEvent.submit(panel.querySelector("form") as HTMLFormElement);
    expect(take).not.toHaveBeenCalled();
  });
});
