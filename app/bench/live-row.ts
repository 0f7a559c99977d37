import {
  type RefObject,
  createContext,
  useContext,
  useLayoutEffect,
  useRef,
  useSyncExternalStore,
} from "react";
import { type FigureId, type Kitchen, type Step, cautionsAt, detailOf, kindOf } from "~/core/formula";
import type { LineNow } from "./line-now";
import { hasMoved } from "./threads";
import type { Formula } from "./use-formula";
import { nameOfFormula } from "~/core/formula";

/** What the figures of a row are written from. */
export interface LiveRow {
  readonly index: number;
  readonly line: () => LineNow;
  /** Tells when the line is another one. */
  readonly onTyped: Formula["onTyped"];
}

const NEVER = () => () => undefined;

/** A row that stands at one document until it is drawn again. */
export const stillRow = (index: number, line: LineNow): LiveRow => ({
  index,
  line: () => line,
  onTyped: NEVER,
});

const LiveRowContext = createContext<LiveRow | null>(null);
export const LiveRowProvider = LiveRowContext.Provider;

/** The row around a figure. */
export function useLiveRow(): LiveRow {
  const row = useContext(LiveRowContext);
  if (!row) throw new Error("A figure of a row stands outside any row.");
  return row;
}

/**
 * What `of` finds in the row at every key. Whoever uses it is drawn again only when one of the findings changes, so
 * that a key that changes nothing but figures draws no row.
 */
export function useLive<T extends readonly unknown[]>(
  row: LiveRow,
  of: (line: LineNow, index: number) => T,
): T {
  const last = useRef<T | null>(null);
  const found = () => {
    const now = of(row.line(), row.index);
    const before = last.current;
    if (before?.length === now.length && now.every((value, i) => value === before[i])) return before;
    last.current = now;
    return now;
  };
  return useSyncExternalStore(row.onTyped, found, found);
}

/** A figure as it stands on the page. */
export interface LiveText<E extends HTMLElement> {
  readonly ref: RefObject<E | null>;
  readonly text: string;
}

/**
 * A figure that is written straight into its element at every key: walking the page's tree down to a few figures
 * would take longer than all else that a key does. The element holds the text and nothing else.
 */
export function useLiveText<E extends HTMLElement>(
  of: (line: LineNow, index: number) => string,
): LiveText<E> {
  const row = useLiveRow();
  const ref = useRef<E>(null);
  // After every drawing: what stands in the element may be newer than what was drawn last.
  useLayoutEffect(() => {
    const write = () => {
      if (ref.current) writeInto(ref.current, of(row.line(), row.index));
    };
    write();
    return row.onTyped(write);
  });
  return { ref, text: of(row.line(), row.index) };
}

/** Changes the text that stands in an element, where it differs. */
function writeInto(element: HTMLElement, text: string): void {
  const { firstChild } = element;
  if (!firstChild) element.textContent = text;
  else if (firstChild.nodeValue !== text) firstChild.nodeValue = text;
}

export function titleOf(line: LineNow, index: number): readonly [title: string, detail: string] {
  const step = line.document.steps[index];
  if (!step) return ["", ""];
  const { state } = line.row(index);
  const kind = kindOf(step);
  const names = state?.lines.map(l => l.name) ?? step.lines.map(l => nameOf(l.of, line.kitchen));
  return [kind.title(step, names), detailOf(step, state)];
}

const nameOf = (of: Step["lines"][number]["of"], kitchen: Kitchen): string =>
  "larder" in of
    ? (kitchen.ingredientById.get(of.larder)?.name ?? of.larder)
    : (nameOfFormula(kitchen.data, of.formula)?.toLowerCase() ?? "a formula");

/** All that a row shows besides the figures that follow by themselves. */
export function shapeOf(
  line: LineNow,
  index: number,
  threads: readonly FigureId[],
  open: boolean,
): readonly unknown[] {
  const step = line.document.steps[index];
  if (!step) return [];
  const { state, before, problems, doubts } = line.row(index);
  return [
    step.id,
    ...titleOf(line, index),
    ...[...problems, ...(state?.warnings ?? []), ...doubts].map(said => said.message),
    ...step.lines.map(l => l.question),
    ...(state
      ? [
          ...state.lines.map(l => l.lineId),
          ...state.computed.map(c => c.what),
          ...threads.map(id => hasMoved(id, state, before)),
        ]
      : []),
    ...(open ? editorShapeOf(line, index) : []),
  ];
}

/** All that an open row lets be changed or tells at length, besides the amounts of its lines. */
function editorShapeOf(line: LineNow, index: number): readonly unknown[] {
  const step = line.document.steps[index];
  if (!step) return [];
  const { lines, ...fields } = step;
  const { state } = line.row(index);
  return [
    ...Object.values(fields),
    ...lines.flatMap(l => [l.id, l.of, l.certainty]),
    line.document.groups,
    ...(state
      ? [
          ...cautionsAt(state, line.kitchen.data.house),
          ...(state.mark ? [state.mark.markMm, state.massG] : []),
        ]
      : []),
  ];
}
