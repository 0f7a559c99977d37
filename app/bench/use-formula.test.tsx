import { act, cleanup, renderHook, waitFor } from "@testing-library/react";
import { startTransition } from "react";
import { createRoutesStub } from "react-router";
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { type FormulaDocument, blankFormula } from "~/core/formula";
import type { SaveReply } from "./replies";
import type { StoredHead } from "./replies";
import { useFormula } from "./use-formula";

const base = blankFormula("Jus", { name: "bones", massG: 5000 });
const named = (name: string) => (d: FormulaDocument) => ({ ...d, name });
const stored = (over: Partial<StoredHead> = {}): StoredHead => ({
  rowVersion: 3,
  number: 2,
  document: base,
  editedBy: "Noor",
  ...over,
});
const draft = () =>
  JSON.parse(localStorage.getItem("hondaro-draft-jus") ?? "null") as {
    rowVersion: number;
    document: FormulaDocument;
  } | null;

/** A bench whose server answers as it is told; `null` lets a request hang. */
function bench(head: StoredHead, answer: (body: { rowVersion: number }) => SaveReply | null = () => null) {
  const asked: { rowVersion: number; document: FormulaDocument }[] = [];
  const Stub = createRoutesStub([
    {
      path: "/",
      // The hook under test is drawn by the caller.
      Component: () => <Slot />,
      action: async ({ request }) => {
        const body = (await request.json()) as (typeof asked)[number];
        asked.push(body);
        const reply = answer(body);
        return reply ?? new Promise<never>(() => undefined);
      },
    },
  ]);
  let read = () => undefined as unknown as ReturnType<typeof useFormula>;
  function Slot() {
    const formula = useFormula("jus", head);
    read = () => formula;
    return null;
  }
  const view = renderHook(() => undefined, { wrapper: () => <Stub /> });
  return { formula: () => read(), asked, leave: view.unmount };
}

beforeEach(() => {
  localStorage.clear();
  vi.useFakeTimers({ shouldAdvanceTime: true });
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});
const saved = (over: Partial<Extract<SaveReply, { kind: "saved" }>> = {}): SaveReply => ({
  kind: "saved",
  rowVersion: 4,
  number: 2,
  ...over,
});
const typing = (formula: () => ReturnType<typeof useFormula>, name: string, tag = "") =>
  act(() => formula().edit(named(name), tag));

describe("what is typed on the Bench", () => {
  test("is on this device before anything of it is drawn", () => {
    const { formula, leave } = bench(stored());
    // As a field does it: the drawing may wait, and the page is left before it comes.
    act(() => {
      startTransition(() => formula().edit(named("Jus gras")));
      expect(draft()).toMatchObject({ rowVersion: 3, document: { name: "Jus gras" } });
      leave();
    });
    expect(bench(stored()).formula().document.name).toBe("Jus gras");
  });
  test("in a field is on this device right after the frame that shows it", async () => {
    const { formula, leave } = bench(stored());
    typing(formula, "J", "name");
    typing(formula, "Ju", "name");
    await act(() => vi.advanceTimersByTimeAsync(60));
    expect(draft()).toMatchObject({ rowVersion: 3, document: { name: "Ju" } });
    leave();
    expect(bench(stored()).formula().document.name).toBe("Ju");
  });
  test.each([
    ["the page is left", (leave: () => void) => leave()],
    ["the tab is closed", () => window.dispatchEvent(new Event("pagehide"))],
    ["the tablet goes dark", () => document.dispatchEvent(new Event("visibilitychange"))],
  ])("in a field is on this device at once when %s", (_, go) => {
    const { formula, leave } = bench(stored());
    typing(formula, "Jus", "name");
    expect(draft()).toBeNull();
    act(() => void go(leave));
    expect(draft()).toMatchObject({ rowVersion: 3, document: { name: "Jus" } });
  });
  test("is saved when the typing pauses, and needs no draft then", async () => {
    const { formula, asked } = bench(stored(), () => saved());
    typing(formula, "Jus gras");
    expect(formula().saveState).toBe("waiting");
    await act(() => vi.advanceTimersByTimeAsync(800));
    await waitFor(() => expect(formula().saveState).toBe("saved"));
    expect(asked).toMatchObject([{ rowVersion: 3, document: { name: "Jus gras" } }]);
    expect(draft()).toBeNull();
  });
  test("goes on building on what was under way when the page was left", async () => {
    const first = bench(stored());
    typing(first.formula, "Jus gras");
    await act(() => vi.advanceTimersByTimeAsync(800));
    expect(first.asked).toHaveLength(1);
    typing(first.formula, "Jus gras, strained");
    first.leave();
    // Meanwhile the first edit has arrived.
    const arrived = stored({ rowVersion: 4, document: named("Jus gras")(base) });
    expect(bench(arrived).formula().document.name).toBe("Jus gras, strained");
  });
  test("does not overwrite what somebody else has saved since, and is not lost: both are shown", async () => {
    const first = bench(stored());
    typing(first.formula, "Jus gras");
    await act(() => vi.advanceTimersByTimeAsync(800));
    first.leave();
    const theirs = stored({ rowVersion: 4, document: named("Their jus")(base) });
    const { formula, asked } = bench(theirs, () => saved({ rowVersion: 5 }));
    expect(formula().document.name).toBe("Jus gras");
    expect(formula()).toMatchObject({ saveState: "conflict", theirs: { document: { name: "Their jus" } } });
    expect(formula().base.name).toBe("Jus");
    await act(() => vi.advanceTimersByTimeAsync(5000));
    expect(asked).toHaveLength(0);
    // Still so after another look, until somebody decides; then it builds on theirs.
    expect(draft()).toMatchObject({ rowVersion: 3, document: { name: "Jus gras" } });
    act(() => formula().join(named("Our jus")(base)));
    await act(() => vi.advanceTimersByTimeAsync(800));
    expect(asked).toMatchObject([{ rowVersion: 4, document: { name: "Our jus" } }]);
    await waitFor(() => expect(formula().saveState).toBe("saved"));
    expect(draft()).toBeNull();
    expect(localStorage).toHaveLength(0);
  });
  test("a draft that says what the server holds already is none", () => {
    const first = bench(stored());
    typing(first.formula, "Jus gras");
    first.leave();
    const { formula } = bench(stored({ rowVersion: 7, document: named("Jus gras")(base) }));
    expect(formula().saveState).toBe("saved");
  });
  test("what was done can be undone after the page was left and opened again", async () => {
    const first = bench(stored(), () => saved());
    typing(first.formula, "Jus gras");
    await act(() => vi.advanceTimersByTimeAsync(800));
    await waitFor(() => expect(first.formula().saveState).toBe("saved"));
    first.leave();
    const again = bench(stored({ rowVersion: 4, document: named("Jus gras")(base) }));
    expect(again.formula()).toMatchObject({ canUndo: true, saveState: "saved" });
    act(() => again.formula().undo());
    expect(again.formula().document.name).toBe("Jus");
    act(() => again.formula().redo());
    expect(again.formula().document.name).toBe("Jus gras");
    again.leave();
    // Somebody else has changed it since: there is nothing of that to undo.
    const theirs = bench(stored({ rowVersion: 9, document: named("Their jus")(base) }));
    expect(theirs.formula().canUndo).toBe(false);
  });
  test("is tried again while the server cannot be reached", async () => {
    let reachable = false;
    const { formula, asked } = bench(stored(), () =>
      reachable ? saved() : ({ kind: "unreachable" } as SaveReply),
    );
    typing(formula, "Jus gras");
    await act(() => vi.advanceTimersByTimeAsync(800));
    await waitFor(() => expect(formula().saveState).toBe("offline"));
    expect(draft()?.document.name).toBe("Jus gras");
    reachable = true;
    await act(() => vi.advanceTimersByTimeAsync(4100));
    await waitFor(() => expect(formula().saveState).toBe("saved"));
    expect(asked.length).toBeGreaterThan(1);
  });
  test("survives a draft that cannot be read and a device without room", () => {
    localStorage.setItem("hondaro-draft-jus", "{not json");
    const { formula } = bench(stored());
    expect(formula().document).toBe(base);
    const full = vi.spyOn(Storage.prototype, "setItem").mockImplementation(() => {
      throw new DOMException("full", "QuotaExceededError");
    });
    typing(formula, "Jus gras");
    expect(formula().document.name).toBe("Jus gras");
    full.mockRestore();
  });
});

describe("undo and redo", () => {
  test("keys in one field are one undo, another field is another", () => {
    const { formula } = bench(stored());
    for (const name of ["J", "Ju", "Jus!"]) typing(formula, name, "name");
    act(() => formula().edit(d => ({ ...d, notes: "with marrow" }), "notes"));
    expect(formula().canRedo).toBe(false);
    act(() => formula().undo());
    expect(formula().document).toMatchObject({ name: "Jus!", notes: base.notes });
    act(() => formula().undo());
    expect(formula().document).toBe(base);
    expect(formula().canUndo).toBe(false);
    act(() => formula().undo());
    act(() => formula().redo());
    act(() => formula().redo());
    act(() => formula().redo());
    expect(formula().document).toMatchObject({ name: "Jus!", notes: "with marrow" });
  });
  test("an edit that changes nothing is none", () => {
    const { formula } = bench(stored());
    act(() => formula().edit(d => d));
    expect(formula().canUndo).toBe(false);
    expect(draft()).toBeNull();
  });
});

describe("two cooks at once", () => {
  const theirs = stored({ rowVersion: 9, number: 5, document: named("Their jus")(base) });
  const conflicted = async () => {
    const made = bench(stored(), ({ rowVersion }) =>
      rowVersion < 9 ? { kind: "conflict", theirs } : saved({ rowVersion: 10 }),
    );
    typing(made.formula, "My jus");
    await act(() => vi.advanceTimersByTimeAsync(800));
    await waitFor(() => expect(made.formula().saveState).toBe("conflict"));
    return made;
  };
  test("the second is shown both; nothing more is sent until somebody decides", async () => {
    const { formula, asked } = await conflicted();
    expect(formula().theirs?.document.name).toBe("Their jus");
    expect(formula().document.name).toBe("My jus");
    await act(() => vi.advanceTimersByTimeAsync(10_000));
    expect(asked).toHaveLength(1);
  });
  test("taking theirs keeps mine in the undo", async () => {
    const { formula } = await conflicted();
    act(() => formula().takeTheirs());
    expect(formula()).toMatchObject({ theirs: null, number: 5, saveState: "saved" });
    expect(formula().document.name).toBe("Their jus");
    act(() => formula().undo());
    expect(formula().document.name).toBe("My jus");
  });
  test("what joins both is saved on top of theirs", async () => {
    const { formula, asked } = await conflicted();
    act(() => formula().join(named("Our jus")(base)));
    expect(draft()).toMatchObject({ rowVersion: 9, document: { name: "Our jus" } });
    await act(() => vi.advanceTimersByTimeAsync(800));
    await waitFor(() => expect(formula().saveState).toBe("saved"));
    expect(asked.at(-1)).toMatchObject({ rowVersion: 9, document: { name: "Our jus" } });
  });
});
