import { fireEvent, render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import type { Askable, Explanation } from "~/core/formula";
import { Ask, AskProvider, askLabel } from "./ask";

const explained = (title: string, inputs: Explanation["inputs"] = []): Explanation => ({
  title,
  value: `${title.length} g`,
  rule: "As it is.",
  symbols: "",
  inputs,
  sharpen: "Weigh it.",
});
/** Litres lead to a mass, the mass to two lines of one name and weight, and a line to nothing. */
const explain = (asked: Askable): Explanation | null => {
  switch (asked.ask) {
    case "litres":
      return explained("Litres", [
        {
          label: "liquor",
          value: "2 kg",
          basis: "exact",
          source: "books",
          then: { ask: "mass", step: 0 },
        },
      ]);
    case "mass":
      return explained(
        "Mass",
        ["a", "b"].map(lineId => ({
          label: "butter",
          value: "30 g",
          basis: "exact" as const,
          source: "stated",
          then: { ask: "line" as const, step: 0, lineId },
        })),
      );
    case "line":
      return explained(`Line ${asked.lineId}`, [
        { label: "typed as", value: "2 knobs", basis: "estimate", source: "a guess", range: "20–40 g" },
      ]);
    default:
      return null;
  }
};
const page = () =>
  render(
    <AskProvider explain={explain} intervalOf={asked => (asked.ask === "litres" ? "± 0.1 l" : "")}>
      <Ask of={{ ask: "litres", step: 0 }} label="2.0 l after step 1">
        2.0 l
      </Ask>
      <Ask of={{ ask: "yield" }} label="nothing yet">
        –
      </Ask>
    </AskProvider>,
  );
const open = () => fireEvent.click(screen.getByRole("button", { name: askLabel("2.0 l after step 1") }));
const title = () => within(screen.getByRole("dialog")).getAllByText(/./)[0]?.textContent;

test("a number is taken apart: its value, how sure it is, its rule, what entered, what would sharpen it", () => {
  page();
  open();
  const panel = screen.getByRole("dialog", { name: "Litres" });
  for (const said of ["6 g", "± 0.1 l · 90 of 100 times", "As it is.", "liquor", "Weigh it."])
    expect(within(panel).getByText(said)).toBeTruthy();
});

test("what entered can be asked in turn, and one comes back the way one went", () => {
  page();
  open();
  fireEvent.click(screen.getByRole("button", { name: "2 kg" }));
  expect(screen.getByRole("dialog", { name: "Mass" })).toBeTruthy();
  // An interval belongs to the number it was worked out for.
  expect(screen.queryByText(/of 100 times/)).toBeNull();
  const [, second] = screen.getAllByRole("button", { name: "30 g" });
  fireEvent.click(second as HTMLElement);
  const line = screen.getByRole("dialog", { name: "Line b" });
  expect(line.textContent).toContain("20–40 g");
  expect(within(line).getByText("2 knobs").tagName).not.toBe("BUTTON");
  for (const name of ["Mass", "Litres"]) {
    fireEvent.click(screen.getByRole("button", { name: /back to the number before/ }));
    expect(screen.getByRole("dialog", { name })).toBeTruthy();
  }
  expect(screen.queryByRole("button", { name: /back to the number before/ })).toBeNull();
});

test("closed, it begins anew with the next number", async () => {
  page();
  open();
  fireEvent.click(screen.getByRole("button", { name: "2 kg" }));
  await userEvent.keyboard("{Escape}");
  expect(screen.queryByRole("dialog")).toBeNull();
  open();
  expect(title()).toBe("Litres");
  expect(screen.queryByRole("button", { name: /back to the number before/ })).toBeNull();
});

test("a number with nothing to tell opens nothing", () => {
  page();
  fireEvent.click(screen.getByRole("button", { name: askLabel("nothing yet") }));
  expect(screen.queryByRole("dialog")).toBeNull();
});
