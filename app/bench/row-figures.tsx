import type { ReactNode } from "react";
import { FIGURES, type FigureId, type StateAfterStep, type StepIntervals } from "~/core/formula";
import { type Grams, printMass, printNumber } from "~/core/ground/quantity";
import { bandText, clockBandText, elapsedClock, gramsBand } from "../text/format";
import { type AmountView, amountIn } from "./amount-views";
import type { LineNow } from "./line-now";
import { useLive, useLiveRow } from "./live-row";
import { LiveAsk, LiveWords } from "./live-text";

/** A thread's figure after the row, with its 90 % band below it. */
export function ThreadFigure({ id, interval }: { id: FigureId; interval: StepIntervals | undefined }) {
  const { index } = useLiveRow();
  const { of, unit, words, decimals } = FIGURES[id];
  const band = bandText(interval?.figures[id], 1, decimals);
  const figureOf = ({ row }: LineNow) => {
    const { state } = row(index);
    return printNumber((state && of(state)) ?? 0, decimals);
  };
  return (
    <>
      <span className="stands-alone h-5 text-sm font-semibold whitespace-nowrap">
        <LiveAsk
          asked={{ ask: "figure", step: index, figure: id }}
          of={figureOf}
          called={line => `${figureOf(line)} ${unit} ${words} after step ${index + 1}`}
        />{" "}
        {unit}
      </span>
      {band && <span className="block text-xs leading-4 whitespace-nowrap text-faded">{band}</span>}
    </>
  );
}

const clockOf = (line: LineNow, index: number): string => elapsedClock(line.row(index).state?.clockS ?? 0);

/** The clock when the row is done, with its band. */
export function ClockFigure({ interval }: { interval: StepIntervals | undefined }) {
  return (
    <>
      <LiveWords className="stands-alone h-5 font-semibold" of={clockOf} />
      <span className="block text-xs leading-4 text-faded">{clockBandText(interval?.clockS)}</span>
    </>
  );
}

/** The figures in a row of words, where there is no room for threads. */
export function FiguresInWords({
  threads,
  interval,
}: {
  threads: readonly FigureId[];
  interval: StepIntervals | undefined;
}) {
  return (
    <>
      {threads.map(id => (
        <FigureInWords key={id} id={id} interval={interval} />
      ))}
      <LiveWords
        of={(line, index) => `${clockOf(line, index)} ${clockBandText(interval?.clockS)}`.trimEnd()}
      />
    </>
  );
}

function FigureInWords({ id, interval }: { id: FigureId; interval: StepIntervals | undefined }) {
  const { of, label, unit, decimals } = FIGURES[id];
  const valueOf = ({ row }: LineNow, index: number) => {
    const { state } = row(index);
    return state ? of(state) : null;
  };
  const [known] = useLive(useLiveRow(), (line, index) => [valueOf(line, index) !== null]);
  return (
    known && (
      <LiveWords
        of={(line, index) =>
          `${label} ${printNumber(valueOf(line, index) ?? 0, decimals)} ${unit} ${bandText(interval?.figures[id], 1, decimals)}`.trimEnd()
        }
      />
    )
  );
}

const Amount = ({ className, children }: { className?: string; children: ReactNode }) => (
  <dd className={className}>
    <span className="stands-alone h-5 w-18 text-right whitespace-nowrap">{children}</span>
  </dd>
);

/** What goes in, line by line, and what the sums put in or take out. */
export function Amounts({
  state,
  view,
  interval,
}: {
  /** Which lines there are; each follows by itself. */
  state: StateAfterStep;
  view: AmountView;
  interval: StepIntervals | undefined;
}) {
  return (
    <dl className="text-sm leading-5">
      {state.lines.map(({ lineId }) => (
        <LineAmount key={lineId} lineId={lineId} view={view} />
      ))}
      {state.computed.map(({ what }) => (
        <ComputedAmount key={what} what={what} band={gramsBand(interval?.computedG[what])} />
      ))}
    </dl>
  );
}

/** Of a line that is gone there is nothing to tell. */
const massIn = (found: { readonly massG: Grams } | undefined): string =>
  found ? printMass(found.massG) : "";

/** Stated, measured and assumed never look alike. */
const LOOK = { stated: "font-semibold", measured: "is-measured", assumed: "is-assumed" };

function LineAmount({ lineId, view }: { lineId: string; view: AmountView }) {
  const { index } = useLiveRow();
  const lineOf = ({ row }: LineNow) => row(index).state?.lines.find(line => line.lineId === lineId);
  const [name, certainty, from] = useLive(useLiveRow(), now => {
    const line = lineOf(now);
    const more = line && line.purchasedG - line.massG > 0.5;
    return [line?.name ?? "", line?.certainty ?? "stated", more ? printMass(line.purchasedG) : ""];
  });
  return (
    <div className="flex items-start justify-between gap-2">
      <dt className="min-w-0">
        {name}
        {from && <span className="text-faded"> from {from}</span>}
      </dt>
      <Amount className={LOOK[certainty]}>
        <LiveAsk
          asked={{ ask: "line", step: index, lineId }}
          of={now => {
            const line = lineOf(now);
            return line ? amountIn(line, view, view === "per litre" ? now.walked.finishedMl : 0) : "";
          }}
          called={now => `${name}, ${massIn(lineOf(now))}, ${certainty}`}
        />
        {certainty === "assumed" && <span title="assumed"> ?</span>}
      </Amount>
    </div>
  );
}

function ComputedAmount({ what, band }: { what: string; band: string }) {
  const { index } = useLiveRow();
  const computedOf = ({ row }: LineNow) => row(index).state?.computed.find(c => c.what === what);
  return (
    <div className="flex items-start justify-between gap-2 text-faded">
      <dt className="min-w-0">
        {what} <span className="text-xs whitespace-nowrap">{band}</span>
      </dt>
      <Amount>
        <LiveAsk
          asked={{ ask: "computed", step: index, what }}
          of={now => {
            const computed = computedOf(now);
            return computed?.way === "out" ? `−${massIn(computed)}` : massIn(computed);
          }}
          called={now => `${what}, ${massIn(computedOf(now))}, worked out`}
        />
      </Amount>
    </div>
  );
}
