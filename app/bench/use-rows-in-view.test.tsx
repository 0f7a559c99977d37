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
/** The watcher of what is in view, and that of what is far. */
const watchers = () => {
  const [inView, far] = Watcher.all.filter(watcher => watcher.rows.size > 0);
  if (!inView || !far) throw new Error("Nobody watches the rows.");
  return { inView, far };
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
    act(() => watchers().inView.sees(["a", "b"]));
    expect(seen()).toBe("a b");
    act(() => watchers().inView.sees(["b", "c"]));
    expect(seen()).toBe("b c");
  });
  test("a row put in is watched as well, and one taken out no more", () => {
    const view = render(<List ids={["a", "b"]} />);
    view.rerender(<List ids={["a", "x"]} />);
    const watched = [...watchers().inView.rows].map(row => (row as HTMLElement).dataset.row);
    expect(watched).toEqual(["a", "x"]);
  });
  test("far rows are marked without drawing anything again, and scrolling takes the mark away", () => {
    const { container } = render(<List ids={["a", "b", "c"]} />);
    const farOnes = () =>
      [...container.querySelectorAll<HTMLElement>("[data-far]")].map(row => row.dataset.row);
    const before = drawn;
    watchers().far.sees(["a"]);
    expect(farOnes()).toEqual(["b", "c"]);
    watchers().far.sees(["b", "c"]);
    expect(farOnes()).toEqual(["a"]);
    expect(drawn).toBe(before);
  });
  test("the window reaches farther for what is far than for what is in view", () => {
    render(<List ids={["a"]} />);
    expect(watchers().inView.options.rootMargin).toMatch(/px$/);
    expect(watchers().far.options.rootMargin).toMatch(/%$/);
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
  test("who leaves the page leaves nobody watching", () => {
    const { unmount } = render(<List ids={["a", "b"]} />);
    unmount();
    expect(Watcher.all.every(watcher => watcher.rows.size === 0)).toBe(true);
  });
});
