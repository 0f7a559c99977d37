import { useMemo, useSyncExternalStore } from "react";
import { FIGURES, FIGURE_IDS, type FigureId, type StateAfterStep, type Walk } from "~/core/formula";

/** Colours of the threads: the liquid's own hues, each with its word beside it. */
export const THREAD_COLOUR: Readonly<Record<FigureId, string>> = {
  mass: "#c49a6c",
  litres: "#8a5a2c",
  brix: "#6b3f16",
  fat: "#d8b64a",
  salt: "#8d99a6",
  sugar: "#c77b4a",
  acid: "#8aa04f",
  alcohol: "#a08fb0",
  gelatin: "#b58a6a",
  starch: "#b9ab8f",
  body: "#7d5a46",
  temperature: "#d9a441",
  minutes: "#8b8590",
  cost: "#7a8c6a",
};

/** More threads than this leave no room for the words. */
export const MOST_THREADS = 4;
const USUAL: readonly FigureId[] = ["mass", "litres", "body", "temperature"];
const KEY = "hondaro-threads";

const listeners = new Set<() => void>();
const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
const stored = (): string => localStorage.getItem(KEY) ?? "";

function readThreads(kept: string): readonly FigureId[] {
  const known = FIGURE_IDS.filter(id => kept.split(" ").includes(id)).slice(0, MOST_THREADS);
  return known.length ? known : USUAL;
}

/** Columns this cook has chosen, kept on the device. */
export function useThreads(): [readonly FigureId[], (threads: readonly FigureId[]) => void] {
  const kept = useSyncExternalStore(subscribe, stored, () => "");
  const threads = useMemo(() => readThreads(kept), [kept]);
  return [
    threads,
    chosen => {
      localStorage.setItem(KEY, chosen.slice(0, MOST_THREADS).join(" "));
      listeners.forEach(listener => listener());
    },
  ];
}

const HOTTEST_C = 105;

/** The largest value along the line, which the thickest thread stands for. */
export const largestOf = (walked: Walk, id: FigureId): number =>
  id === "temperature"
    ? HOTTEST_C
    : Math.max(1e-9, ...walked.states.map(state => FIGURES[id].of(state) ?? 0));

/** A figure is repeated only when it has moved by more than this share. */
const MOVED = 0.003;

export function hasMoved(id: FigureId, state: StateAfterStep, before: StateAfterStep | undefined): boolean {
  const now = FIGURES[id].of(state);
  const then = before ? FIGURES[id].of(before) : null;
  if (now === null) return false;
  const least = 0.5 * 10 ** -FIGURES[id].decimals;
  if (then === null) return now >= least;
  return Math.abs(now - then) > Math.max(MOVED * Math.max(Math.abs(now), Math.abs(then)), least);
}
