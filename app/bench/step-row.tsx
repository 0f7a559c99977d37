import { useSortable } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import clsx from "clsx";
import { GripVertical } from "lucide-react";
import { type Kitchen, type StateAfterStep, type Step, type StepIntervals, kindOf } from "~/core/formula";
import { printMass, printNumber } from "~/core/quantity";
import type { Problem } from "~/core/result";
import { type Band, bandText, clockBandText, elapsedClock } from "../text/format";
import { Ask } from "../ui/ask";
import { Thread } from "../ui/thread";
import { type Face, faceOf } from "./faces";
import { StepEditor } from "./step-editor";
import { ROW_GRID } from "./row-grid";
import type { Formula } from "./use-formula";

export interface StepRowProps {
  step: Step;
  index: number;
  state: StateAfterStep | undefined;
  before: StateAfterStep | undefined;
  interval: StepIntervals | undefined;
  problems: readonly Problem[];
  largest: { mass: number; litres: number; clock: number };
  face: Face;
  open: boolean;
  onToggle: () => void;
  formula: Formula;
  kitchen: Kitchen;
}

/** A figure is repeated only when it has moved by more than this share. */
const MOVED = 0.003;

const HOTTEST_C = 105;

export function StepRow({
  step,
  index,
  state,
  before,
  interval,
  problems,
  largest,
  face,
  open,
  onToggle,
  formula,
  kitchen,
}: StepRowProps) {
  const { setNodeRef, transform, transition, attributes, listeners, setActivatorNodeRef, isDragging } =
    useSortable({ id: step.id });
  const kind = kindOf(step);
  const names = state?.lines.map(line => line.name) ?? step.lines.map(line => nameOf(line.of, kitchen));
  const detail = kind.detail(step);
  const moved = (now: number | null | undefined, then: number | null | undefined) =>
    now != null && (then == null || Math.abs(now - then) > MOVED * Math.max(Math.abs(now), Math.abs(then)));

  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={clsx(
        "relative",
        open && "bg-enamel shadow-[inset_3px_0_0_var(--color-copper)]",
        isDragging && "z-10 bg-enamel shadow-xl",
      )}
    >
      <div className={`grid ${ROW_GRID} lg:grid-rows-[auto_1fr]`}>
        <span className="group relative py-2.5 pl-1 text-right font-display font-semibold text-faded">
          {index + 1}
          <button
            type="button"
            ref={setActivatorNodeRef}
            {...attributes}
            {...listeners}
            aria-label={`Move step ${index + 1}: drag, or space and arrows`}
            className="absolute inset-y-2 -left-4 w-5 cursor-grab touch-none text-faded opacity-0 group-hover:opacity-100 focus-visible:opacity-100"
          >
            <GripVertical aria-hidden="true" className="size-4" />
          </button>
        </span>
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
          {problems.map(problem => (
            <p key={problem.field + problem.code} role="alert" className="mt-1 text-sm text-beet">
              ✕ {problem.message}
            </p>
          ))}
          {state?.warnings.map(warning => (
            <p key={warning.code} className="mt-1 text-sm text-saffron-ink">
              ▲ {warning.message}
            </p>
          ))}
        </div>
        <div className="col-start-2 pb-2 pl-3 lg:col-start-auto lg:px-4 lg:py-2.5">
          {state && <Amounts state={state} index={index} face={face} interval={interval} />}
        </div>
        {state ? (
          <>
            <p className="col-start-2 flex flex-wrap gap-x-4 pb-2.5 pl-3 text-sm text-faded lg:hidden">
              <span>
                {printNumber(state.massG / 1000, 2)} kg in pot {bandText(interval?.massG, 1000, 1)}
              </span>
              {state.volumeMl !== null && (
                <span>
                  {printNumber(state.volumeMl / 1000, 2)} l {bandText(interval?.volumeMl, 1000, 1)}
                </span>
              )}
              <span>
                {printNumber(state.temperatureC)} °C {bandText(interval?.temperatureC, 1, 0)}
              </span>
              <span>
                {elapsedClock(state.clockS)} {clockBandText(interval?.clockS)}
              </span>
            </p>
            <Thread
              className="hidden py-2.5 lg:row-span-2 lg:block"
              from={before ? before.massG / largest.mass : 0}
              to={state.massG / largest.mass}
              colour="#c49a6c"
            >
              {moved(state.massG, before?.massG) && (
                <Figure band={interval?.massG} divide={1000} decimals={2}>
                  <Ask
                    of={{ ask: "mass", step: index }}
                    label={`${printNumber(state.massG / 1000, 2)} kilograms in the pot`}
                  >
                    {printNumber(state.massG / 1000, 2)}
                  </Ask>{" "}
                  kg
                </Figure>
              )}
            </Thread>
            <Thread
              className="hidden py-2.5 lg:row-span-2 lg:block"
              from={before?.volumeMl ? before.volumeMl / largest.litres : 0}
              to={state.volumeMl ? state.volumeMl / largest.litres : 0}
              colour="#8a5a2c"
            >
              {state.volumeMl !== null && moved(state.volumeMl, before?.volumeMl) && (
                <Figure band={interval?.volumeMl} divide={1000} decimals={1}>
                  <Ask
                    of={{ ask: "litres", step: index }}
                    label={`${printNumber(state.volumeMl / 1000, 2)} litres of liquor`}
                  >
                    {printNumber(state.volumeMl / 1000, 2)}
                  </Ask>{" "}
                  l
                </Figure>
              )}
            </Thread>
            <Thread
              className="hidden py-2.5 lg:row-span-2 lg:block"
              from={before ? before.temperatureC / HOTTEST_C : 0}
              to={state.temperatureC / HOTTEST_C}
              colour="#d9a441"
            >
              {moved(state.temperatureC, before?.temperatureC) && (
                <Figure band={interval?.temperatureC} divide={1} decimals={0}>
                  {printNumber(state.temperatureC)} °C
                </Figure>
              )}
            </Thread>
            <div className="hidden border-rule py-2.5 text-right text-sm leading-5 lg:row-span-2 lg:block">
              <span className="font-semibold">{elapsedClock(state.clockS)}</span>
              <span className="block text-xs leading-4 text-faded">{clockBandText(interval?.clockS)}</span>
            </div>
          </>
        ) : (
          <p className="hidden py-2.5 text-sm text-faded lg:col-span-4 lg:row-span-2 lg:block">
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
    </li>
  );
}

const nameOf = (of: Step["lines"][number]["of"], kitchen: Kitchen): string =>
  "larder" in of
    ? (kitchen.ingredientById.get(of.larder)?.name ?? of.larder)
    : (kitchen.data.formulas[of.formula]?.name.toLowerCase() ?? "a formula");

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
  children: React.ReactNode;
}) {
  const text = bandText(band, divide, decimals);
  return (
    <>
      <span className="text-sm font-semibold whitespace-nowrap">{children}</span>
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

/** What goes in, line by line, and what the sums put in or take out. */
function Amounts({
  state,
  index,
  face,
  interval,
}: {
  state: StateAfterStep;
  index: number;
  face: Face;
  interval: StepIntervals | undefined;
}) {
  return (
    <dl className="text-sm leading-5">
      {state.lines.map(line => (
        <div key={line.lineId} className="flex items-baseline justify-between gap-2">
          <dt className="min-w-0">
            {line.name}
            {line.purchasedG - line.massG > 0.5 && (
              <span className="text-faded"> from {printMass(line.purchasedG)}</span>
            )}
          </dt>
          <dd
            className={clsx(
              "whitespace-nowrap",
              line.certainty === "assumed"
                ? "is-assumed"
                : line.certainty === "measured"
                  ? "is-measured"
                  : "font-semibold",
            )}
          >
            <Ask
              of={{ ask: "line", step: index, lineId: line.lineId }}
              label={`${line.name}, ${printMass(line.massG)}, ${line.certainty}`}
            >
              {faceOf(line, face)}
            </Ask>
            {line.certainty === "assumed" && <span title="assumed"> ?</span>}
          </dd>
        </div>
      ))}
      {state.computed.map(computed => (
        <div key={computed.what} className="flex items-baseline justify-between gap-2 text-faded">
          <dt className="min-w-0">
            {computed.what}{" "}
            <span className="text-xs whitespace-nowrap">{gramsBand(interval?.computedG[computed.what])}</span>
          </dt>
          <dd className="whitespace-nowrap">
            <Ask
              of={{ ask: "computed", step: index, what: computed.what }}
              label={`${computed.what}, ${printMass(computed.massG)}, worked out`}
            >
              {computed.way === "out" ? "−" : ""}
              {printMass(computed.massG)}
            </Ask>
          </dd>
        </div>
      ))}
    </dl>
  );
}
