import { act, cleanup, fireEvent, render } from "@testing-library/react";
import { useEffect, useRef } from "react";
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { useRowsInView } from "./use-rows-in-view";

/** A window whose scrolling the test does: it tells each watcher what it sees. */
class Watcher {
  static all: Watcher[] = [];
  readonly rows = new Set<Element>();
  constructor(
    readonly tell: (entries: { target: Element; isIntersecting: boolean }[]) => void,
    readonly options: { rootMargin: string },
  ) {
    Watcher.all.push(this);
  }
  observe(row: Element) {
    this.rows.add(row);
  }
  disconnect() {
    this.rows.clear();
  }
  sees(ids: readonly string[]) {
    this.tell(
      [...this.rows].map(target => ({
        target,
        isIntersecting: ids.includes((target as HTMLElement).dataset.row ?? ""),
      })),
    );
  }
}
/** The watcher of the rows. */
const watcher = () => {
  const [found] = Watcher.all.filter(one => one.rows.size > 0);
  if (!found) throw new Error("Nobody watches the rows.");
  return found;
};

let drawn = 0;
function List({ ids }: { ids: readonly string[] }) {
  const list = useRef<HTMLOListElement>(null);
  const seen = useRowsInView(list, ids.join(" "));
  useEffect(() => void drawn++);
  return (
    <ol ref={list} data-seen={seen ? [...seen].sort().join(" ") : "all"}>
      {ids.map(id => (
        <li key={id} data-row={id}>
          <input aria-label={`Amount of ${id}`} />
          <button type="button">{id}</button>
        </li>
      ))}
    </ol>
  );
}

beforeEach(() => {
  Watcher.all = [];
  vi.stubGlobal("IntersectionObserver", Watcher);
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("rows in view", () => {
  test("until anything is known all of them count; then those the window reaches", () => {
    const { container } = render(<List ids={["a", "b", "c", "d"]} />);
    const seen = () => container.querySelector("ol")?.dataset.seen;
    expect(seen()).toBe("all");
    act(() => watcher().sees(["a", "b"]));
    expect(seen()).toBe("a b");
    act(() => watcher().sees(["b", "c"]));
    expect(seen()).toBe("b c");
  });
  test("a row put in is watched as well, and one taken out no more", () => {
    const view = render(<List ids={["a", "b"]} />);
    view.rerender(<List ids={["a", "x"]} />);
    const watched = [...watcher().rows].map(row => (row as HTMLElement).dataset.row);
    expect(watched).toEqual(["a", "x"]);
  });
  test("rows out of view are marked, and scrolling takes the mark away", () => {
    const { container } = render(<List ids={["a", "b", "c"]} />);
    const outOfView = () =>
      [...container.querySelectorAll<HTMLElement>("[data-far]")].map(row => row.dataset.row);
    act(() => watcher().sees(["a"]));
    expect(outOfView()).toEqual(["b", "c"]);
    act(() => watcher().sees(["b", "c"]));
    expect(outOfView()).toEqual(["a"]);
  });
  test("the list is marked while somebody types in it: not for a button, not after the field is left", () => {
    const { container, getByLabelText, getByText } = render(<List ids={["a", "b"]} />);
    const typing = () => container.querySelector("ol")?.hasAttribute("data-typing");
    fireEvent.focusIn(getByText("a"));
    expect(typing()).toBe(false);
    fireEvent.focusIn(getByLabelText("Amount of a"));
    expect(typing()).toBe(true);
    fireEvent.focusOut(getByLabelText("Amount of a"));
    expect(typing()).toBe(false);
  });
  test.each(["wheel", "touchmove", "scroll"])("a %s shows all rows again, until the next key", event => {
    const { container, getByLabelText } = render(<List ids={["a", "b"]} />);
    const typing = () => container.querySelector("ol")?.hasAttribute("data-typing");
    const before = drawn;
    fireEvent.focusIn(getByLabelText("Amount of a"));
    fireEvent(window, new Event(event));
    expect(typing()).toBe(false);
    fireEvent.input(getByLabelText("Amount of a"), { target: { value: "5" } });
    expect(typing()).toBe(true);
    expect(drawn).toBe(before);
  });
  test("who leaves the page leaves nobody watching", () => {
    const { unmount } = render(<List ids={["a", "b"]} />);
    unmount();
    expect(Watcher.all.every(watcher => watcher.rows.size === 0)).toBe(true);
  });
});
