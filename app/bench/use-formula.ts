import { startTransition, useEffect, useState } from "react";
import { useFetcher } from "react-router";
import { refusedWords } from "~/core/things/rank";
import { useMay } from "../people/use-may";
import type { SaveReply, StoredHead } from "./replies";
import { SavingLine } from "./saving-line";
import { BenchSession, type History, type SessionWorld, type Settled } from "./session";

/** What a page has of the formula on the Bench: its settled view, what was typed to the last key, and what can be done. */
export type Formula = Settled &
  Pick<BenchSession, "typed" | "onTyped" | "edit" | "undo" | "redo" | "takeTheirs" | "join">;

/** What a step's editor needs of the formula it stands in. */
export type Editing = Pick<Formula, "document" | "edit" | "typed">;

const left = new Map<string, History>();

/** Storage of this device; a server that draws the page has none, and asks for nothing. */
const DEVICE: SessionWorld["storage"] = {
  getItem: key => localStorage.getItem(key),
  setItem: (key, value) => localStorage.setItem(key, value),
  removeItem: key => localStorage.removeItem(key),
};

/** Who reads and cooks may try what would change; it is not kept. */
const notKept = (): Promise<SaveReply> =>
  Promise.resolve({
    kind: "refused",
    message: refusedWords("edit") + " What you try here stays on this device.",
  });

/**
 * The formula on the Bench, drawn as its session settles.
 * @param id of the formula, for one cook in one kitchen
 */
export function useFormula(id: string, stored: StoredHead): Formula {
  const mayEdit = useMay("edit");
  const { submit, data: reply } = useFetcher<SaveReply>();
  const [line] = useState(() => new SavingLine());
  useEffect(() => {
    line.through(body => submit(body, { method: "post", encType: "application/json" }));
  }, [line, submit]);
  useEffect(() => {
    if (reply) line.answered(reply);
  }, [line, reply]);
  const [session] = useState(
    () =>
      new BenchSession(id, stored, {
        storage: DEVICE,
        now: () => Date.now(),
        after: (ms, work) => {
          const timer = setTimeout(work, ms);
          return () => clearTimeout(timer);
        },
        send: mayEdit ? line.send : notKept,
        left,
      }),
  );
  const [settled, setSettled] = useState(() => session.settled());
  useEffect(() => {
    const deaf = session.onSettled(pace => {
      const draw = () => setSettled(session.settled());
      if (pace === "lazily") startTransition(draw);
      else draw();
    });
    session.open();
    const leaving = () => session.keepNow();
    const leftField = () => session.settleNow();
    addEventListener("pagehide", leaving);
    document.addEventListener("visibilitychange", leaving);
    document.addEventListener("focusout", leftField, true);
    return () => {
      removeEventListener("pagehide", leaving);
      document.removeEventListener("visibilitychange", leaving);
      document.removeEventListener("focusout", leftField, true);
      session.close();
      deaf();
    };
  }, [session]);
  const { typed, onTyped, edit, undo, redo, takeTheirs, join } = session;
  return { ...settled, typed, onTyped, edit, undo, redo, takeTheirs, join };
}
