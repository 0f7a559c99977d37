import clsx from "clsx";
import { memo } from "react";
import {
  type FigureId,
  type Kitchen,
  type StateAfterStep,
  type Step,
  type StepIntervals,
  panOf,
} from "~/core/formula";
import type { Problem, Warning } from "~/core/ground/result";
import { Thread } from "../ui/thread";
import type { AmountView } from "./amount-views";
import { LongSimmerNotice } from "./long-simmer-notice";
import { Amounts, ClockFigure, FiguresInWords, ThreadFigure } from "./row-figures";
import { StepEditor } from "./step-editor";
import { ROW_GRID } from "./row-grid";
import { THREAD_COLOUR, hasMoved } from "./threads";
import type { Editing } from "./use-formula";

export interface StepRowProps {
  step: Step;
  index: number;
  title: string;
  detail: string;
  state: StateAfterStep | undefined;
  before: StateAfterStep | undefined;
  /** How thick each thread is before and after the row, as a share of the thickest along the line. */
  shares: readonly number[];
  interval: StepIntervals | undefined;
  problems: readonly Problem[];
  /** What the whole line says of this step. */
  doubts: readonly Warning[];
  threads: readonly FigureId[];
  view: AmountView;
  open: boolean;
  onToggle: () => void;
  formula: Editing;
  kitchen: Kitchen;
}

const NONE: readonly Warning[] = [];

/** Read only while the row is open: a closed one need not be drawn again for them. */
const WHEN_OPEN: ReadonlySet<string> = new Set(["formula", "kitchen", "onToggle"]);

const looksTheSame = (before: StepRowProps, after: StepRowProps): boolean =>
  (Object.keys(after) as (keyof StepRowProps)[]).every(
    key =>
      before[key] === after[key] ||
      (key === "shares" && after.shares.every((share, i) => share === before.shares[i])) ||
      (WHEN_OPEN.has(key) && !before.open && !after.open && after.step.kind !== "simmer"),
  );

export const StepRow = memo(function StepRow({
  step,
  index,
  title,
  detail,
  state,
  before,
  interval,
  problems,
  doubts,
  threads,
  shares,
  view,
  open,
  onToggle,
  formula,
  kitchen,
}: StepRowProps) {
  return (
    <div
      className={clsx(
        `grid ${ROW_GRID} lg:grid-rows-[auto_1fr]`,
        open && "bg-enamel shadow-[inset_3px_0_0_var(--color-copper)]",
      )}
    >
      <span className="py-2.5 pl-1 text-right font-display font-semibold text-faded">{index + 1}</span>
      <div className={clsx("py-2.5 pl-3", panOf(step) && "ml-5 border-l-2 border-copper")}>
        {step.pan && panOf(step) && (
          <p className="text-xs font-semibold text-copper">
            {before ? step.pan : `${step.pan}, beside the main pot`}
          </p>
        )}
        <button
          type="button"
          data-step={step.id}
          aria-expanded={open}
          onClick={onToggle}
          className="block w-full text-left leading-snug hover:text-copper"
        >
          <span className="font-bold">{title}</span>{" "}
          {detail && <span className="text-sm text-faded">{detail}</span>}
        </button>
        {step.remark && <p className="text-sm italic">{step.remark}</p>}
        {open && step.why && <p className="text-sm text-faded">why: {step.why}</p>}
        {(step.question ?? step.lines.some(line => line.question)) && !open && (
          <p className="mt-0.5 text-sm text-saffron-ink">
            ? {step.question ?? step.lines.find(line => line.question)?.question}
          </p>
        )}
        {problems.map(problem => (
          <p key={problem.field + problem.code} role="alert" className="mt-1 text-sm text-beet">
            ✕ {problem.message}
          </p>
        ))}
        <LongSimmerNotice step={step} formula={formula} />
        {(state ? [...state.warnings, ...doubts] : NONE).map(warning => (
          <p key={warning.code + warning.message} className="mt-1 text-sm text-saffron-ink">
            ▲ {warning.message}
          </p>
        ))}
      </div>
      <div className="col-start-2 pb-2 pl-3 lg:col-start-auto lg:px-4 lg:py-2.5">
        {state && <Amounts state={state} view={view} interval={interval} />}
      </div>
      {state ? (
        <>
          <p className="col-start-2 flex flex-wrap gap-x-4 pb-2.5 pl-3 text-sm text-faded lg:hidden">
            <FiguresInWords threads={threads} interval={interval} />
          </p>
          {threads.map((id, i) => (
            <Thread
              key={id}
              className="hidden lg:row-span-2 lg:grid"
              from={shares[2 * i] ?? 0}
              to={shares[2 * i + 1] ?? 0}
              colour={THREAD_COLOUR[id]}
            >
              {hasMoved(id, state, before) && <ThreadFigure id={id} interval={interval} />}
            </Thread>
          ))}
          <div className="hidden border-rule py-2.5 text-right text-sm leading-5 lg:row-span-2 lg:block">
            <ClockFigure interval={interval} />
          </div>
        </>
      ) : (
        <p
          className="hidden py-2.5 text-sm text-faded lg:row-span-2 lg:block"
          style={{ gridColumn: `span ${threads.length + 1}` }}
        >
          not reached yet
        </p>
      )}
      <div className="col-span-full border-b border-rule lg:col-span-3 lg:col-start-1 lg:row-start-2">
        {open && (
          <StepEditor
            step={step}
            index={index}
            formula={formula}
            kitchen={kitchen}
            state={state}
            interval={interval}
          />
        )}
      </div>
    </div>
  );
}, looksTheSame);
