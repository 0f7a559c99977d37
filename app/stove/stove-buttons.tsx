import type { ReactNode } from "react";
import type { LogKind } from "./log-panel";
import type { MoreKind } from "./panels/more";

/** What can be opened at the foot of the Stove. */
export type StovePanel = LogKind | MoreKind | "put in" | "take out" | "taste" | "move" | "timer" | "more";

export const STEP_BUTTON = "min-h-14 rounded-xl border-2 px-1 font-bold disabled:opacity-45 sm:text-lg";
const QUIET = `${STEP_BUTTON} border-night-rule hover:border-ember`;

const READ = ["weigh", "dip", "probe", "jug"] as const;
const DO = ["put in", "take out", "taste", "move", "note", "timer"] as const;

/** Everything a cook logs, under one thumb; the next thing is the largest. */
export function StoveButtons({
  closed,
  onOpen,
  mend,
  next,
  onUndo,
}: {
  /** What cannot be opened now. */
  closed: (panel: StovePanel) => boolean;
  onOpen: (panel: StovePanel) => void;
  /** The button of the remedies. */
  mend: (className: string) => ReactNode;
  next: { readonly label: string; readonly run: (() => void) | null };
  onUndo: (() => void) | null;
}) {
  const button = (panel: StovePanel) => (
    <button
      key={panel}
      type="button"
      disabled={closed(panel)}
      onClick={() => onOpen(panel)}
      className={QUIET}
    >
      {panel}
    </button>
  );
  return (
    <footer className="grid grid-cols-4 gap-2 border-t border-night-rule bg-night px-4 py-2.5 sm:px-5 md:grid-cols-[repeat(6,minmax(0,1fr))_minmax(0,2.2fr)]">
      {READ.map(button)}
      {DO.slice(0, 2).map(button)}
      <button
        type="button"
        onClick={() => next.run?.()}
        disabled={next.run === null}
        className={`${STEP_BUTTON} order-last col-span-3 border-leaf bg-leaf text-night hover:bg-lamp md:order-none md:col-span-1 md:text-xl`}
      >
        {next.label}
      </button>
      {DO.slice(2).map(button)}
      {mend(QUIET)}
      {button("more")}
      <button
        type="button"
        onClick={() => onUndo?.()}
        disabled={onUndo === null}
        className={`${QUIET} order-last md:order-none`}
      >
        undo
      </button>
    </footer>
  );
}

const MORE: readonly (readonly [StovePanel, string])[] = [
  ["instrument", "refractometer, pH, spoon, line …"],
  ["touch", "soft, springy, firm, beside the probe"],
  ["look", "gloss, clarity, a picture beside earlier ones"],
  ["went wrong", "boiled over, split, burnt; and whether a remedy worked"],
  ["hand over", "somebody else looks after it"],
  ["give up", "burnt, dropped, not wanted any more"],
];

/** What is wanted now and then. */
export function MoreButtons({
  onOpen,
  onClose,
}: {
  onOpen: (panel: StovePanel) => void;
  onClose: () => void;
}) {
  return (
    <section
      aria-label="More to log"
      className="sticky bottom-0 space-y-3 border-t-2 border-ember bg-night-raised px-4 py-3 sm:px-5"
    >
      <div className="grid gap-2.5 sm:grid-cols-2 lg:grid-cols-3">
        {MORE.map(([panel, words]) => (
          <button
            key={panel}
            type="button"
            onClick={() => onOpen(panel)}
            className="min-h-14 rounded-xl border-2 border-night-rule px-4 text-left hover:border-ember"
          >
            <span className="block text-lg font-bold">{panel}</span>
            <span className="block text-sm text-lamp-faded">{words}</span>
          </button>
        ))}
        <button
          type="button"
          onClick={onClose}
          className="min-h-14 rounded-xl border-2 border-night-rule px-5 text-lg font-bold"
        >
          Close
        </button>
      </div>
    </section>
  );
}
