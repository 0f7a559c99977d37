import clsx from "clsx";
import { type ReactNode, memo } from "react";
import {
  FIGURES,
  type FigureId,
  type Kitchen,
  type StateAfterStep,
  type Step,
  type StepIntervals,
  kindOf,
} from "~/core/formula";
import { printMass, printNumber } from "~/core/quantity";
import type { Problem, Warning } from "~/core/result";
import { type Band, bandText, clockBandText, elapsedClock } from "../text/format";
import { Ask } from "../ui/ask";
import { Thread } from "../ui/thread";
import { type Face, faceOf } from "./faces";
import { LongSimmerNotice } from "./long-simmer-notice";
import { StepEditor } from "./step-editor";
import { ROW_GRID } from "./row-grid";
import { THREAD_COLOUR, hasMoved } from "./threads";
import type { Editing } from "./use-formula";

export interface StepRowProps {
  step: Step;
  index: number;
  state: StateAfterStep | undefined;
  before: StateAfterStep | undefined;
  /** How thick each thread is before and after the row, as a share of the thickest along the line. */
  shares: readonly number[];
  interval: StepIntervals | undefined;
  problems: readonly Problem[];
  /** What the whole line says of this step. */
  doubts: readonly Warning[];
  threads: readonly FigureId[];
  face: Face;
  finishedMl: number;
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
  state,
  before,
  interval,
  problems,
  doubts,
  threads,
  shares,
  face,
  finishedMl,
  open,
  onToggle,
  formula,
  kitchen,
}: StepRowProps) {
  const kind = kindOf(step);
  const names = state?.lines.map(line => line.name) ?? step.lines.map(line => nameOf(line.of, kitchen));
  const detail = kind.detail(step);
  return (
    <div
      className={clsx(
        `grid ${ROW_GRID} lg:grid-rows-[auto_1fr]`,
        open && "bg-enamel shadow-[inset_3px_0_0_var(--color-copper)]",
      )}
    >
      <span className="py-2.5 pl-1 text-right font-display font-semibold text-faded">{index + 1}</span>
      <div className="py-2.5 pl-3">
        <button
          type="button"
          data-step={step.id}
          aria-expanded={open}
          onClick={onToggle}
          className="block w-full text-left leading-snug hover:text-copper"
        >
          <span className="font-bold">{kind.title(step, names)}</span>{" "}
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
          <p key={warning.code} className="mt-1 text-sm text-saffron-ink">
            ▲ {warning.message}
          </p>
        ))}
      </div>
      <div className="col-start-2 pb-2 pl-3 lg:col-start-auto lg:px-4 lg:py-2.5">
        {state && (
          <Amounts state={state} index={index} face={face} finishedMl={finishedMl} interval={interval} />
        )}
      </div>
      {state ? (
        <>
          <p className="col-start-2 flex flex-wrap gap-x-4 pb-2.5 pl-3 text-sm text-faded lg:hidden">
            {threads.map(id => {
              const value = FIGURES[id].of(state);
              return value === null ? null : (
                <span key={id}>
                  {FIGURES[id].label} {printNumber(value, FIGURES[id].decimals)} {FIGURES[id].unit}{" "}
                  {bandText(interval?.figures[id], 1, FIGURES[id].decimals)}
                </span>
              );
            })}
            <span>
              {elapsedClock(state.clockS)} {clockBandText(interval?.clockS)}
            </span>
          </p>
          {threads.map((id, i) => (
            <Thread
              key={id}
              className="hidden lg:row-span-2 lg:grid"
              from={shares[2 * i] ?? 0}
              to={shares[2 * i + 1] ?? 0}
              colour={THREAD_COLOUR[id]}
            >
              {hasMoved(id, state, before) && (
                <ThreadFigure id={id} state={state} index={index} interval={interval} />
              )}
            </Thread>
          ))}
          <div className="hidden border-rule py-2.5 text-right text-sm leading-5 lg:row-span-2 lg:block">
            <span className="stands-alone h-5 font-semibold">{elapsedClock(state.clockS)}</span>
            <span className="block text-xs leading-4 text-faded">{clockBandText(interval?.clockS)}</span>
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

const nameOf = (of: Step["lines"][number]["of"], kitchen: Kitchen): string =>
  "larder" in of
    ? (kitchen.ingredientById.get(of.larder)?.name ?? of.larder)
    : (kitchen.data.formulas[of.formula]?.name.toLowerCase() ?? "a formula");

/** A thread's figure, which can be asked. */
function ThreadFigure({
  id,
  state,
  index,
  interval,
}: {
  id: FigureId;
  state: StateAfterStep;
  index: number;
  interval: StepIntervals | undefined;
}) {
  const figure = FIGURES[id];
  const text = printNumber(figure.of(state) ?? 0, figure.decimals);
  return (
    <Figure band={interval?.figures[id]} divide={1} decimals={figure.decimals}>
      <Ask
        of={{ ask: "figure", step: index, figure: id }}
        label={`${text} ${figure.unit} ${figure.words} after step ${index + 1}`}
      >
        {text}
      </Ask>{" "}
      {figure.unit}
    </Figure>
  );
}

/** A figure with its 90 % band below it. */
function Figure({
  band,
  divide,
  decimals,
  children,
}: {
  band: Band | null | undefined;
  divide: number;
  decimals: number;
  children: ReactNode;
}) {
  const text = bandText(band, divide, decimals);
  return (
    <>
      <span className="stands-alone h-5 text-sm font-semibold whitespace-nowrap">{children}</span>
      {text && <span className="block text-xs leading-4 whitespace-nowrap text-faded">{text}</span>}
    </>
  );
}

/** The band of an amount nobody typed, in the unit that reads best. */
const gramsBand = (band: Band | undefined): string => {
  if (!band) return "";
  const large = band.value >= 2000;
  const text = bandText(band, large ? 1000 : 1, large ? 1 : 0);
  return text && `${text} ${large ? "kg" : "g"}`;
};

const Amount = ({ className, children }: { className?: string; children: ReactNode }) => (
  <dd className={className}>
    <span className="stands-alone h-5 w-18 text-right whitespace-nowrap">{children}</span>
  </dd>
);

/** What goes in, line by line, and what the sums put in or take out. */
function Amounts({
  state,
  index,
  face,
  finishedMl,
  interval,
}: {
  state: StateAfterStep;
  index: number;
  face: Face;
  finishedMl: number;
  interval: StepIntervals | undefined;
}) {
  return (
    <dl className="text-sm leading-5">
      {state.lines.map(line => (
        <div key={line.lineId} className="flex items-start justify-between gap-2">
          <dt className="min-w-0">
            {line.name}
            {line.purchasedG - line.massG > 0.5 && (
              <span className="text-faded"> from {printMass(line.purchasedG)}</span>
            )}
          </dt>
          <Amount
            className={
              line.certainty === "assumed"
                ? "is-assumed"
                : line.certainty === "measured"
                  ? "is-measured"
                  : "font-semibold"
            }
          >
            <Ask
              of={{ ask: "line", step: index, lineId: line.lineId }}
              label={`${line.name}, ${printMass(line.massG)}, ${line.certainty}`}
            >
              {faceOf(line, face, finishedMl)}
            </Ask>
            {line.certainty === "assumed" && <span title="assumed"> ?</span>}
          </Amount>
        </div>
      ))}
      {state.computed.map(computed => (
        <div key={computed.what} className="flex items-start justify-between gap-2 text-faded">
          <dt className="min-w-0">
            {computed.what}{" "}
            <span className="text-xs whitespace-nowrap">{gramsBand(interval?.computedG[computed.what])}</span>
          </dt>
          <Amount>
            <Ask
              of={{ ask: "computed", step: index, what: computed.what }}
              label={`${computed.what}, ${printMass(computed.massG)}, worked out`}
            >
              {computed.way === "out" ? "−" : ""}
              {printMass(computed.massG)}
            </Ask>
          </Amount>
        </div>
      ))}
    </dl>
  );
}
