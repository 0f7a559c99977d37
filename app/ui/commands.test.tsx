import { fireEvent, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useMemo, useState } from "react";
import { beforeAll, expect, test } from "vitest";
import { CommandProvider, type ScreenCommand, useCommands } from "./commands";

beforeAll(() => {
  // The palette's list scrolls its choice into view, which this page-less browser cannot.
  Element.prototype.scrollIntoView = () => {};
});

function Counter() {
  const [count, setCount] = useState(0);
  const commands = useMemo<ScreenCommand[]>(
    () => [
      {
        id: "more",
        label: "one more",
        group: "Counter",
        keys: "m",
        shown: "m",
        run: () => setCount(count + 1),
      },
      {
        id: "enter",
        label: "ten more",
        group: "Counter",
        keys: "Enter",
        shown: "Enter",
        run: () => setCount(count + 10),
      },
      { id: "arrows", label: "along the line", group: "Counter", shown: "↑ ↓" },
    ],
    [count],
  );
  useCommands(commands);
  return (
    <>
      <output>{count}</output>
      <input aria-label="a field" />
      <button type="button">a button</button>
    </>
  );
}

const page = () => {
  render(
    <CommandProvider>
      <Counter />
    </CommandProvider>,
  );
  return screen.getByRole("status");
};

test("a key acts on the screen as it is now", () => {
  const count = page();
  for (let i = 0; i < 3; i++) fireEvent.keyDown(document.body, { key: "m", code: "KeyM" });
  expect(count.textContent).toBe("3");
});

test("letters belong to the field while somebody types; Enter on a button presses that", async () => {
  const count = page();
  await userEvent.type(screen.getByLabelText("a field"), "mmm");
  fireEvent.keyDown(screen.getByRole("button"), { key: "Enter", code: "Enter" });
  expect(count.textContent).toBe("0");
  fireEvent.keyDown(document.body, { key: "Enter", code: "Enter" });
  expect(count.textContent).toBe("10");
});

test("the page of keys lists what the screen can do, the palette does it by name", async () => {
  const count = page();
  fireEvent.keyDown(document.body, { key: "?", code: "Slash", shiftKey: true });
  expect(screen.getByRole("dialog").textContent).toContain("along the line");
  fireEvent.keyDown(screen.getByRole("dialog"), { key: "Escape" });
  fireEvent.keyDown(document.body, { key: "k", code: "KeyK", ctrlKey: true });
  await userEvent.type(screen.getByPlaceholderText(/^Go to, do/), "ten{Enter}");
  expect(count.textContent).toBe("10");
  expect(screen.queryByRole("dialog")).toBeNull();
});
