import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  closestCenter,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { type KeyboardEvent, createContext, memo, useContext, useMemo, useRef } from "react";
import {
  FIGURES,
  type FigureId,
  type FormulaDocument,
  type StepIntervals,
  moveStep,
  panOf,
} from "~/core/formula";
import { useSettled } from "../ui/use-settled";
import { AddStep } from "./add-step";
import { dragWords } from "./drag-words";
import type { AmountView } from "./amount-views";
import { IngredientNames } from "./ingredient-field";
import type { LineNow } from "./line-now";
import { type LiveRow, LiveRowProvider, shapeOf, stillRow, titleOf, useLive } from "./live-row";
import { ROW_GRID, threadColumns } from "./row-grid";
import { ThreadPicker } from "./thread-picker";
import { SortableRow } from "./sortable-row";
import { StepRow } from "./step-row";
import { useRowsInView } from "./use-rows-in-view";
import type { Formula } from "./use-formula";
import { PanNames } from "./pan-field";

export interface StepLineProps {
  formula: Formula;
  lineOf: (document: FormulaDocument) => LineNow;
  intervals: readonly StepIntervals[];
  view: AmountView;
  onView: () => void;
  selected: string | null;
  onSelect: (id: string | null) => void;
  threads: readonly FigureId[];
  onThreads: (threads: readonly FigureId[]) => void;
}

/** The line: steps down the page, amounts beside them, the pot's state as threads at the right. */
export function StepLine({
  formula,
  lineOf,
  intervals,
  view,
  onView,
  selected,
  onSelect,
  threads,
  onThreads,
}: StepLineProps) {
  const { document, edit } = formula;
  const sensors = useSensors(useSensor(PointerSensor, BY_POINTER), useSensor(KeyboardSensor, BY_KEYS));
  // Rows nobody can see follow when the typing pauses.
  const here = useMemo(() => ({ document, intervals }), [document, intervals]);
  const settled = useSettled(here, OUT_OF_VIEW_PAUSE_MS);
  const order = document.steps.map(step => step.id).join(" ");
  const list = useRef<HTMLOListElement>(null);
  const inView = useRowsInView(list, order);
  const { kitchen } = lineOf(document);
  const line: LineOfRows = {
    shared: { lineOf, threads, view, onSelect, edit, typed: formula.typed, onTyped: formula.onTyped },
    here,
    settled: (id, index) => (settled.document.steps[index]?.id === id ? settled : here),
    isInView: id => !inView || inView.has(id) || selected === id,
    selected,
  };
  // The frames that can be dragged stay as they are while amounts are typed; only what is in them is drawn again.
  const frames = useMemo(() => {
    const ids = order ? order.split(" ") : [];
    return (
      <DndContext
        id="steps"
        sensors={sensors}
        collisionDetection={closestCenter}
        accessibility={dragWords(ids)}
        onDragEnd={({ active, over }) => {
          if (!over || active.id === over.id) return;
          edit(d =>
            moveStep(d, String(active.id), ids.indexOf(String(over.id)) - ids.indexOf(String(active.id))),
          );
        }}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          {/* Arrows run along the steps, whose buttons hold the focus. */}
          {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions */}
          <ol ref={list} onKeyDown={alongTheLine}>
            {ids.map((id, index) => (
              <SortableRow key={id} id={id} index={index} open={selected === id}>
                <RowOfLine id={id} index={index} />
              </SortableRow>
            ))}
          </ol>
        </SortableContext>
      </DndContext>
    );
  }, [order, sensors, edit, selected]);

  return (
    <section aria-label="The line" className="px-4 sm:px-6" style={threadColumns(threads.length)}>
      <div className={`grid ${ROW_GRID} border-b border-ink/70 pb-1 text-xs text-faded`}>
        <span />
        <span className="pl-3">step</span>
        <button
          type="button"
          onClick={onView}
          title="u"
          className="hidden px-4 text-left hover:text-copper lg:block"
        >
          {(["grams", "ratio", "per litre"] as const).map((name, i) => (
            <span key={name}>
              {i > 0 && " · "}
              <span
                className={
                  view === name
                    ? "font-bold text-ink underline decoration-copper decoration-2 underline-offset-4"
                    : ""
                }
              >
                {name}
              </span>
            </span>
          ))}
        </button>
        {threads.map(id => (
          <span key={id} className="hidden pl-6 lg:block">
            {FIGURES[id].label}
          </span>
        ))}
        <span className="hidden items-center justify-end gap-2 lg:flex">
          clock <ThreadPicker threads={threads} onThreads={onThreads} />
        </span>
      </div>
      <LineContext value={line}>{frames}</LineContext>
      {document.steps.length === 0 && (
        <p className="py-8 text-faded">No step yet. Begin with what goes into the oven or the pot.</p>
      )}
      <IngredientNames kitchen={kitchen} />
      <PanNames steps={document.steps} />
      <AddStep formula={formula} after={selected} onAdded={onSelect} />
    </section>
  );
}

// The same objects at every drawing: new ones would wake the dragging of every row.
const BY_POINTER = { activationConstraint: { distance: 6 } };
const BY_KEYS = { coordinateGetter: sortableKeyboardCoordinates };

interface DrawnFrom {
  readonly document: FormulaDocument;
  readonly intervals: readonly StepIntervals[];
}

/** What all rows share. */
interface ForEveryRow extends Pick<Formula, "edit" | "typed" | "onTyped"> {
  readonly lineOf: (document: FormulaDocument) => LineNow;
  readonly threads: readonly FigureId[];
  readonly view: AmountView;
  readonly onSelect: (id: string | null) => void;
}

interface LineOfRows {
  readonly shared: ForEveryRow;
  readonly here: DrawnFrom;
  /** What a row out of view is drawn from. */
  readonly settled: (id: string, index: number) => DrawnFrom;
  readonly isInView: (id: string) => boolean;
  readonly selected: string | null;
}
const LineContext = createContext<LineOfRows | null>(null);

function RowOfLine({ id, index }: { id: string; index: number }) {
  const line = useContext(LineContext);
  if (!line) return null;
  const inView = line.isInView(id);
  return (
    <RowOfThis
      {...line.shared}
      id={id}
      index={index}
      inView={inView}
      drawn={inView ? line.here : line.settled(id, index)}
      open={line.selected === id}
    />
  );
}

interface RowOfThisProps extends ForEveryRow {
  id: string;
  index: number;
  inView: boolean;
  drawn: DrawnFrom;
  open: boolean;
}

/** A row in view follows every key by itself, ahead of the page around it; one out of view stays as it is. */
const RowOfThis = memo(function RowOfThis({
  id,
  index,
  inView,
  drawn,
  open,
  lineOf,
  threads,
  view,
  onSelect,
  edit,
  typed,
  onTyped,
}: RowOfThisProps) {
  const still = inView ? null : drawn.document;
  const live = useMemo<LiveRow>(
    () => (still ? stillRow(index, lineOf(still)) : { index, line: () => lineOf(typed()), onTyped }),
    [still, index, lineOf, typed, onTyped],
  );
  // Drawn again only when a key changes more than figures.
  useLive(live, (now, i) => shapeOf(now, i, threads, open));
  const now = live.line();
  const { document } = now;
  const step = document.steps[index];
  // While a step is put in, moved or taken out, a row may be a moment ahead of its frame.
  if (step?.id !== id) return null;
  const [title, detail] = titleOf(now, index);
  const page = lineOf(drawn.document);
  return (
    <LiveRowProvider value={live}>
      <StepRow
        step={step}
        index={index}
        title={title}
        detail={detail}
        {...now.row(index)}
        interval={drawn.intervals[index]}
        threads={threads}
        // The shape of the threads follows with the page; the figures beside them are there at once.
        shares={sharesOf(page, index, threads)}
        view={view}
        open={open}
        onToggle={() => onSelect(open ? null : id)}
        formula={{ document, edit, typed }}
        kitchen={page.kitchen}
      />
    </LiveRowProvider>
  );
});

/** Before and after a row, each thread's amount as a share of the largest along the line. */
function sharesOf(now: LineNow, index: number, threads: readonly FigureId[]): number[] {
  const { before, state, beside } = now.row(index);
  const inSecondPan = panOf(now.document.steps[index] ?? {}) !== "";
  // Beside a second pan the thread of the main pot runs straight on.
  return threads.flatMap(id =>
    (inSecondPan ? [beside, beside] : [before, state]).map(at =>
      at ? (FIGURES[id].of(at) ?? 0) / now.largest(id) : 0,
    ),
  );
}

function alongTheLine(event: KeyboardEvent<HTMLOListElement>) {
  if (event.altKey || (event.key !== "ArrowDown" && event.key !== "ArrowUp")) return;
  if (!(event.target instanceof HTMLElement) || !event.target.matches("[data-step]")) return;
  const all = [...event.currentTarget.querySelectorAll<HTMLElement>("[data-step]")];
  all[all.indexOf(event.target) + (event.key === "ArrowDown" ? 1 : -1)]?.focus();
  event.preventDefault();
}

/** Rows out of view are drawn again so long after the page around them, ms; one that comes into view, at once. */
const OUT_OF_VIEW_PAUSE_MS = 1500;
