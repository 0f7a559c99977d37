import { startTransition, useCallback, useEffect, useRef, useState } from "react";
import { useFetcher } from "react-router";
import type { FormulaDocument } from "~/core/formula";
import { type BuiltOn, forgetDraft, sameFormula, keepDraft, keepBuiltOn, unsavedDraft } from "./kept-draft";
import type { SaveReply, StoredHead } from "./replies";

/** Typing pauses this long before the formula is saved, ms. */
const PAUSE_MS = 700;
/** The rows in view follow every key; the rest of the page is drawn again when the typing pauses this long, ms. */
const DRAWN_AFTER_MS = 250;
/** A key is kept on this device so long after it at most: the frame that shows it comes first, ms. */
const KEPT_AFTER_MS = 50;
const TRY_AGAIN_MS = 4000;
const MOST_UNDO = 200;

interface History {
  readonly past: readonly FormulaDocument[];
  readonly present: FormulaDocument;
  readonly future: readonly FormulaDocument[];
  /** Name of the last edit: typing on in the same field makes one undo, not one per key. */
  readonly tag: string;
}

type Edit =
  | {
      readonly type: "edit";
      readonly tag: string;
      readonly change: (document: FormulaDocument) => FormulaDocument;
    }
  | { readonly type: "undo" }
  | { readonly type: "redo" }
  | { readonly type: "replace"; readonly document: FormulaDocument };

function step(history: History, edit: Edit): History {
  switch (edit.type) {
    case "edit": {
      const next = edit.change(history.present);
      if (next === history.present) return history;
      const past =
        edit.tag && edit.tag === history.tag
          ? history.past
          : [...history.past, history.present].slice(-MOST_UNDO);
      return { past, present: next, future: [], tag: edit.tag };
    }
    case "undo": {
      const before = history.past.at(-1);
      if (!before) return history;
      return {
        past: history.past.slice(0, -1),
        present: before,
        future: [history.present, ...history.future],
        tag: "",
      };
    }
    case "redo": {
      const [next, ...future] = history.future;
      if (!next) return history;
      return { past: [...history.past, history.present], present: next, future, tag: "" };
    }
    case "replace":
      return { past: [...history.past, history.present], present: edit.document, future: [], tag: "" };
  }
}

export type SaveState = "saved" | "waiting" | "saving" | "offline" | "refused" | "conflict";

export interface Formula {
  /** What the page is drawn from. While somebody types in a field it lags behind `typed` by a moment. */
  readonly document: FormulaDocument;
  readonly number: number;
  readonly rowVersion: number;
  readonly saveState: SaveState;
  /** What was typed so far, to the last key. */
  readonly typed: () => FormulaDocument;
  /** Tells at once of every edit. */
  readonly onTyped: (listener: () => void) => () => void;
  readonly savedAt: number | null;
  readonly refusal: string | null;
  /** What somebody else saved meanwhile. */
  readonly theirs: StoredHead | null;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  /** `tag` names a field being typed in: its keys make one undo, and the page around it follows when the typing pauses. */
  readonly edit: (change: (document: FormulaDocument) => FormulaDocument, tag?: string) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly takeTheirs: () => void;
  /** What this page started from: the common ground of mine and theirs. */
  readonly base: FormulaDocument;
  /** Goes on with a document that holds both edits. */
  readonly join: (document: FormulaDocument) => void;
}

/** What a step's editor needs of the formula it stands in. */
export type Editing = Pick<Formula, "document" | "edit" | "typed">;

/** Whether both have the same steps in the same order. */
const sameRows = (a: FormulaDocument, b: FormulaDocument): boolean =>
  a.steps.length === b.steps.length && a.steps.every((step, i) => step.id === b.steps[i]?.id);

/** What was done and undone in formulas that were left, as long as the application is open. */
const keptHistories = new Map<string, History>();

/**
 * The formula on the Bench: edits, undo, saving by itself, and what to do when two cooks save at once.
 * @param id of the formula, for one cook in one kitchen: what waits on this device is kept under it
 */
export function useFormula(id: string, stored: StoredHead): Formula {
  const [history, setHistory] = useState<History>({
    past: [],
    present: stored.document,
    future: [],
    tag: "",
  });
  // What is drawn may lag behind the keys for a moment; what was typed is known at once.
  const latest = useRef(history);
  const lag = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const drawAll = useCallback(() => {
    clearTimeout(lag.current);
    lag.current = undefined;
    setHistory(latest.current);
  }, []);
  const typed = useCallback(() => latest.current.present, []);
  const [listeners] = useState(() => new Set<() => void>());
  const onTyped = useCallback(
    (listener: () => void) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    [listeners],
  );
  const [head, setHead] = useState({
    rowVersion: stored.rowVersion,
    number: stored.number,
    document: stored.document,
  });
  const [theirs, setTheirs] = useState<StoredHead | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [offline, setOffline] = useState(false);
  const [savedAt, setSavedAt] = useState<number | null>(null);
  const builtOn = useRef<BuiltOn>(stored);
  const keptGround = useRef<BuiltOn | null>(null);
  /** A draft was found that builds on less than the server holds. */
  const found = useRef(false);
  const sent = useRef<FormulaDocument | null>(null);
  const [attempt, setAttempt] = useState(0);
  const fetcher = useFetcher<SaveReply>();
  const unkept = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const keep = useCallback(() => {
    clearTimeout(unkept.current);
    unkept.current = undefined;
    if (keptGround.current !== builtOn.current) {
      keptGround.current = builtOn.current;
      keepBuiltOn(id, { rowVersion: builtOn.current.rowVersion, document: builtOn.current.document });
    }
    keepDraft(id, {
      rowVersion: builtOn.current.rowVersion,
      document: latest.current.present,
      sending: sent.current,
    });
  }, [id]);
  const dispatch = useCallback(
    (edit: Edit) => {
      const next = step(latest.current, edit);
      if (next === latest.current) return;
      const typing = edit.type === "edit" && edit.tag && sameRows(next.present, latest.current.present);
      latest.current = next;
      if (typing) {
        unkept.current ??= setTimeout(keep, KEPT_AFTER_MS);
        clearTimeout(lag.current);
        lag.current = setTimeout(() => startTransition(drawAll), DRAWN_AFTER_MS);
      } else {
        keep();
        drawAll();
      }
      for (const listener of listeners) listener();
    },
    [listeners, drawAll, keep],
  );
  // Whoever leaves the page leaves nothing behind.
  useEffect(() => {
    const leaving = () => unkept.current !== undefined && keep();
    addEventListener("pagehide", leaving);
    document.addEventListener("visibilitychange", leaving);
    return () => {
      removeEventListener("pagehide", leaving);
      document.removeEventListener("visibilitychange", leaving);
      leaving();
    };
  }, [keep]);
  // Whoever leaves a field finds all of the page following before the next thing is pressed.
  useEffect(() => {
    const left = () => lag.current !== undefined && drawAll();
    document.addEventListener("focusout", left, true);
    return () => {
      document.removeEventListener("focusout", left, true);
      clearTimeout(lag.current);
    };
  }, [drawAll]);
  const changed = history.present !== head.document;

  const goBackTo = useCallback(
    (ground: BuiltOn) => {
      builtOn.current = ground;
      found.current = true;
      setHead({ ...ground, number: stored.number });
      setTheirs(stored);
    },
    [stored],
  );
  // Once, after the page has come to life: what an earlier visit could not save, and what it had done and undone.
  useEffect(() => {
    const kept = unsavedDraft(id, stored);
    // What this device holds is known only now: the server could not draw it.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    if (kept?.builtOn) goBackTo(kept.builtOn);
    if (kept) dispatch({ type: "replace", document: kept.document });
    else {
      const earlier = keptHistories.get(id);
      if (earlier && sameFormula(earlier.present, stored.document)) {
        latest.current = { ...earlier, present: stored.document, tag: "" };
        drawAll();
      }
    }
    return () => void keptHistories.set(id, latest.current);
    // Only on the first look; later drafts are this page's own.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [id]);

  // A saved formula needs no draft; one that was edited since builds on what the server holds now.
  useEffect(() => {
    // On the first look the head is not yet what a draft found here builds on.
    if (found.current) return void (found.current = false);
    builtOn.current = head;
    if (latest.current.present === head.document) {
      forgetDraft(id);
      keptGround.current = null;
    } else keep();
  }, [head, history.present, id, keep]);

  const { submit, state } = fetcher;
  useEffect(() => {
    if (!changed || theirs || state !== "idle") return;
    if (sent.current === history.present && refusal) return;
    const timer = setTimeout(
      () => {
        sent.current = history.present;
        void submit(
          JSON.stringify({ intent: "save", rowVersion: head.rowVersion, document: history.present }),
          {
            method: "post",
            encType: "application/json",
          },
        ).catch(() => setOffline(true));
      },
      offline ? TRY_AGAIN_MS : PAUSE_MS,
    );
    return () => clearTimeout(timer);
  }, [attempt, changed, head.rowVersion, history.present, offline, refusal, state, submit, theirs]);

  const reply = fetcher.data;
  useEffect(() => {
    if (!reply || !sent.current) return;
    setOffline(reply.kind === "unreachable");
    setRefusal(reply.kind === "refused" ? reply.message : null);
    if (reply.kind === "saved") {
      setHead({ rowVersion: reply.rowVersion, number: reply.number, document: sent.current });
      setSavedAt(Date.now());
    } else if (reply.kind === "conflict") setTheirs(reply.theirs);
    else setAttempt(n => n + 1);
  }, [reply]);

  const edit = useCallback(
    (change: (document: FormulaDocument) => FormulaDocument, tag = "") =>
      dispatch({ type: "edit", change, tag }),
    [dispatch],
  );
  const undo = useCallback(() => dispatch({ type: "undo" }), [dispatch]);
  const redo = useCallback(() => dispatch({ type: "redo" }), [dispatch]);
  const join = useCallback(
    (document: FormulaDocument) => {
      if (!theirs) return;
      setHead({ rowVersion: theirs.rowVersion, number: theirs.number, document: theirs.document });
      builtOn.current = theirs;
      dispatch({ type: "replace", document });
      setTheirs(null);
    },
    [dispatch, theirs],
  );
  const takeTheirs = useCallback(() => theirs && join(theirs.document), [join, theirs]);

  const saveState: SaveState = theirs
    ? "conflict"
    : refusal
      ? "refused"
      : offline
        ? "offline"
        : !changed
          ? "saved"
          : state === "idle"
            ? "waiting"
            : "saving";
  return {
    document: history.present,
    number: head.number,
    rowVersion: head.rowVersion,
    saveState,
    typed,
    onTyped,
    savedAt,
    refusal,
    theirs,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    edit,
    undo,
    redo,
    takeTheirs,
    base: head.document,
    join,
  };
}
