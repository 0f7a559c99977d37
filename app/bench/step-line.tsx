import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  closestCenter,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { type KeyboardEvent, createContext, useContext, useMemo, useRef } from "react";
import {
  FIGURES,
  type FigureId,
  type Kitchen,
  type Step,
  type StepIntervals,
  type Walk,
  moveStep,
} from "~/core/formula";
import { useSettled } from "../ui/use-settled";
import { AddStep } from "./add-step";
import type { Face } from "./faces";
import { IngredientNames } from "./ingredient-field";
import { ROW_GRID, threadColumns } from "./row-grid";
import { ThreadPicker } from "./thread-picker";
import { largestOf } from "./threads";
import { SortableRow } from "./sortable-row";
import { StepRow } from "./step-row";
import { useRowsInView } from "./use-rows-in-view";
import type { Formula } from "./use-formula";

export interface StepLineProps {
  formula: Formula;
  walked: Walk;
  intervals: readonly StepIntervals[];
  kitchen: Kitchen;
  face: Face;
  onFace: () => void;
  selected: string | null;
  onSelect: (id: string | null) => void;
  threads: readonly FigureId[];
  onThreads: (threads: readonly FigureId[]) => void;
}

/** The line: steps down the page, amounts beside them, the pot's state as threads at the right. */
export function StepLine({
  formula,
  walked,
  intervals,
  kitchen,
  face,
  onFace,
  selected,
  onSelect,
  threads,
  onThreads,
}: StepLineProps) {
  const { document, edit } = formula;
  const sensors = useSensors(useSensor(PointerSensor, BY_POINTER), useSensor(KeyboardSensor, BY_KEYS));
  // Rows nobody can see follow when the typing pauses.
  const settled = useSettled(walked, OUT_OF_VIEW_PAUSE_MS);
  const largest = useLargest(walked, threads);
  const largestSettled = useLargest(settled, threads);
  const order = document.steps.map(step => step.id).join(" ");
  const list = useRef<HTMLOListElement>(null);
  const inView = useRowsInView(list, order);
  const line: LineOfRows = {
    drawnFrom: (step, index) => {
      if (!inView || inView.has(step.id) || selected === step.id) return [walked, largest];
      return settled.states[index]?.step.id === step.id ? [settled, largestSettled] : [walked, largest];
    },
    stepById: new Map(document.steps.map((step, index) => [step.id, [step, index]])),
    intervals,
    threads,
    face,
    selected,
    onSelect,
    formula,
    kitchen,
  };
  // The frames that can be dragged stay as they are while amounts are typed; only what is in them is drawn again.
  const frames = useMemo(() => {
    const ids = order ? order.split(" ") : [];
    return (
      <DndContext
        id="steps"
        sensors={sensors}
        collisionDetection={closestCenter}
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
                <RowOfLine id={id} />
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
          onClick={onFace}
          title="u"
          className="hidden px-4 text-left hover:text-copper lg:block"
        >
          {(["grams", "ratio", "per litre"] as const).map((name, i) => (
            <span key={name}>
              {i > 0 && " · "}
              <span
                className={
                  face === name
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
      <AddStep formula={formula} after={selected} onAdded={onSelect} />
    </section>
  );
}

// The same objects at every drawing: new ones would wake the dragging of every row.
const BY_POINTER = { activationConstraint: { distance: 6 } };
const BY_KEYS = { coordinateGetter: sortableKeyboardCoordinates };

/** What the rows are drawn from; each picks its own. */
interface LineOfRows {
  readonly drawnFrom: (step: Step, index: number) => readonly [Walk, Partial<Record<FigureId, number>>];
  readonly stepById: ReadonlyMap<string, readonly [Step, number]>;
  readonly intervals: readonly StepIntervals[];
  readonly threads: readonly FigureId[];
  readonly face: Face;
  readonly selected: string | null;
  readonly onSelect: (id: string | null) => void;
  readonly formula: Formula;
  readonly kitchen: Kitchen;
}
const LineContext = createContext<LineOfRows | null>(null);

function RowOfLine({ id }: { id: string }) {
  const line = useContext(LineContext);
  const [step, index] = line?.stepById.get(id) ?? [];
  if (!line || !step || index === undefined) return null;
  const [source, largest] = line.drawnFrom(step, index);
  const open = line.selected === id;
  return (
    <StepRow
      step={step}
      index={index}
      state={source.states[index]}
      before={source.states[index - 1]}
      interval={line.intervals[index]}
      problems={problemsAt(source, index)}
      threads={line.threads}
      largest={largest}
      face={line.face}
      finishedMl={source.finishedMl}
      open={open}
      onToggle={() => line.onSelect(open ? null : id)}
      formula={line.formula}
      kitchen={line.kitchen}
    />
  );
}

function alongTheLine(event: KeyboardEvent<HTMLOListElement>) {
  if (event.altKey || (event.key !== "ArrowDown" && event.key !== "ArrowUp")) return;
  if (!(event.target instanceof HTMLElement) || !event.target.matches("[data-step]")) return;
  const all = [...event.currentTarget.querySelectorAll<HTMLElement>("[data-step]")];
  all[all.indexOf(event.target) + (event.key === "ArrowDown" ? 1 : -1)]?.focus();
  event.preventDefault();
}

/** Rows out of view are drawn again when nothing was typed for so long, ms. */
const OUT_OF_VIEW_PAUSE_MS = 200;

const useLargest = (walked: Walk, threads: readonly FigureId[]) =>
  useMemo(() => Object.fromEntries(threads.map(id => [id, largestOf(walked, id)])), [threads, walked]);

const NO_PROBLEMS: Walk["problems"] = [];

/** What stopped the walk at a step; the same empty list wherever nothing did. */
function problemsAt(walked: Walk, index: number): Walk["problems"] {
  if (!walked.problems.length) return NO_PROBLEMS;
  return walked.problems.filter(
    p =>
      p.field.startsWith(`steps.${index}`) ||
      (index === walked.states.length && !p.field.startsWith("steps.")),
  );
}
