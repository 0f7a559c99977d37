import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  closestCenter,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from "@dnd-kit/sortable";
import type { KeyboardEvent } from "react";
import { type Kitchen, type StepIntervals, type Walk, moveStep } from "~/core/formula";
import { AddStep } from "./add-step";
import type { Face } from "./faces";
import { ROW_GRID } from "./row-grid";
import { StepRow } from "./step-row";
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
}: StepLineProps) {
  const { document, edit } = formula;
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const largest = {
    mass: Math.max(1, ...walked.states.map(s => s.massG)),
    litres: Math.max(1, ...walked.states.map(s => s.volumeMl ?? 0)),
    clock: Math.max(1, walked.totalS),
  };
  const alongTheLine = (event: KeyboardEvent<HTMLOListElement>) => {
    if (event.altKey || (event.key !== "ArrowDown" && event.key !== "ArrowUp")) return;
    if (!(event.target instanceof HTMLElement) || !event.target.matches("[data-step]")) return;
    const all = [...event.currentTarget.querySelectorAll<HTMLElement>("[data-step]")];
    all[all.indexOf(event.target) + (event.key === "ArrowDown" ? 1 : -1)]?.focus();
    event.preventDefault();
  };

  return (
    <section aria-label="The line" className="px-4 sm:px-6">
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
        <span className="hidden pl-6 lg:block">in pot</span>
        <span className="hidden pl-6 lg:block">liquor</span>
        <span className="hidden pl-6 lg:block">heat</span>
        <span className="hidden text-right lg:block">clock</span>
      </div>
      <DndContext
        id="steps"
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={({ active, over }) => {
          if (!over || active.id === over.id) return;
          const ids = document.steps.map(step => step.id);
          edit(d =>
            moveStep(d, String(active.id), ids.indexOf(String(over.id)) - ids.indexOf(String(active.id))),
          );
        }}
      >
        <SortableContext items={document.steps.map(step => step.id)} strategy={verticalListSortingStrategy}>
          {/* Arrows run along the steps, whose buttons hold the focus. */}
          {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions */}
          <ol onKeyDown={alongTheLine}>
            {document.steps.map((step, index) => (
              <StepRow
                key={step.id}
                step={step}
                index={index}
                state={walked.states[index]}
                before={walked.states[index - 1]}
                interval={intervals[index]}
                problems={walked.problems.filter(
                  p =>
                    p.field.startsWith(`steps.${index}`) ||
                    (index === walked.states.length && !p.field.startsWith("steps.")),
                )}
                largest={largest}
                face={face}
                open={selected === step.id}
                onToggle={() => onSelect(selected === step.id ? null : step.id)}
                formula={formula}
                kitchen={kitchen}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      {document.steps.length === 0 && (
        <p className="py-8 text-faded">No step yet. Begin with what goes into the oven or the pot.</p>
      )}
      <AddStep formula={formula} after={selected} onAdded={onSelect} />
    </section>
  );
}
