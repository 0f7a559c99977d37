import { useCallback, useMemo, useState } from "react";
import { data, useNavigate } from "react-router";
import { ulid } from "ulid";
import {
  atSize,
  sameValue,
  type Askable,
  FIGURES,
  type FigureId,
  STEP_KINDS,
  type StepKindName,
  explain,
  insertStep,
  moveStep,
  removeStep,
  takeSum,
  traceOf,
  indexBefore,
} from "~/core/formula";
import { g, printDuration, s } from "~/core/ground/quantity";
import type { Route } from "./+types/bench";
import { useKitchenWith } from "../kitchen/context";
import { bandText, durationBandText } from "../text/format";
import { AskProvider } from "../ui/ask";
import { type AnswerTaker, useAnswerTaker } from "../sums/answer-taker";
import { type ScreenCommand, useCommands } from "../ui/commands";
import { TraceChart } from "../ui/trace-chart";
import { useSettled } from "../ui/use-settled";
import { useIntervals } from "../workers/use-intervals";
import { BenchHeader } from "./bench-header";
import { littleLeft } from "~/core/families";
import { LittleLeftNotice } from "./little-left-notice";
import { ConflictNotice } from "./conflict-notice";
import { AMOUNT_VIEWS, type AmountView } from "./amount-views";
import { intervalText } from "./interval-text";
import { lineReader } from "./line-now";
import { Panels } from "./panels";
import type { PanelId } from "./panels/panel-ids";
import { PotPanel } from "./pot-panel";
import { isNoNetwork } from "../offline/patient-fetch";
import { StepLine } from "./step-line";
import { useThreads } from "./threads";
import { type Formula, useFormula } from "./use-formula";
import { useDrawnOn } from "./use-drawn-on";
import { WeighedContext } from "./weighed";

export { action, loader } from "./bench.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

/** Without a network nothing is saved, and nothing breaks: it stays on this device, and the next try says so. */
export async function clientAction({ serverAction }: Route.ClientActionArgs) {
  try {
    return await serverAction();
  } catch (error) {
    if (!isNoNetwork(error)) throw error;
    return data({ kind: "unreachable" } as const, { status: 503 });
  }
}

export { shouldRevalidate } from "../saving";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  {
    title: `${(loaderData as { stored: { document: { name: string } } } | undefined)?.stored.document.name ?? "Bench"} · Hondaro`,
  },
];

export default function BenchPage({ loaderData }: Route.ComponentProps) {
  // Another formula is another bench: its history and its draft begin anew.
  return <Bench key={loaderData.whose} {...loaderData} />;
}

function Bench({ drawnOn, stored, weighed, whose, newRunId }: Route.ComponentProps["loaderData"]) {
  const formula = useFormula(whose, stored);
  const asKept = useMemo(
    () => sameValue(atSize(stored.document, g(formula.document.base.massG)), formula.document),
    [stored.document, formula.document],
  );
  const { document } = formula;
  const kitchenData = useKitchenWith(useDrawnOn(document, drawnOn));
  const [burnerId, setBurnerId] = useState(kitchenData.defaultBurnerId);
  const lineOf = useMemo(
    () => lineReader(kitchenData, burnerId, stored.id),
    [kitchenData, burnerId, stored.id],
  );
  const { kitchen, walked } = lineOf(document);
  const { intervals, fresh } = useIntervals(document, kitchenData, burnerId);
  const [selected, setSelected] = useState<string | null>(null);
  const [view, setView] = useState<AmountView>("grams");
  const [threads, setThreads] = useThreads();
  const [chosen, setQuantity] = useState<FigureId | null>(null);
  const quantity = chosen && threads.includes(chosen) ? chosen : (threads[0] ?? "mass");
  const [panel, setPanel] = useState<PanelId | null>(null);
  const last = intervals[indexBefore(walked.states, walked.states.length)];
  const little = littleLeft(document, walked);
  useBenchCommands(formula, selected, setSelected, setView);

  const explained = useCallback(
    (asked: Askable) => explain(asked, document, walked, kitchen),
    [document, walked, kitchen],
  );
  const intervalOf = useCallback((asked: Askable): string => intervalText(asked, intervals), [intervals]);
  const shown = FIGURES[quantity];
  // The chart is the dearest drawing of the page; it waits until the typing pauses.
  const drawn = useSettled(walked, CHART_PAUSE_MS);
  const trace = useMemo(() => traceOf(drawn, quantity), [drawn, quantity]);
  const band = useMemo(
    () =>
      drawn.states.flatMap((state, i) => {
        const estimate = intervals[i]?.figures[quantity];
        return estimate ? [{ atS: state.clockS, lo: estimate.lo, hi: estimate.hi }] : [];
      }),
    [drawn, intervals, quantity],
  );

  return (
    <AskProvider explain={explained} intervalOf={intervalOf}>
      <main>
        <BenchHeader
          asKept={asKept}
          formula={formula}
          kitchen={kitchen}
          walked={walked}
          burnerId={burnerId}
          onBurner={setBurnerId}
          yieldBand={fresh ? bandText(last?.volumeMl, 1000, walked.finishedMl < 2000 ? 2 : 1) : ""}
          timeBand={fresh ? durationBandText(last?.clockS) : ""}
          little={little !== null}
          formulaId={stored.id}
          newRunId={newRunId}
        />
        {little && <LittleLeftNotice little={little} formula={formula} />}
        {formula.theirs && (
          <ConflictNotice
            base={formula.base}
            mine={document}
            theirs={formula.theirs}
            kitchen={kitchen}
            onTake={formula.takeTheirs}
            onJoin={formula.join}
          />
        )}
        <Panels
          open={panel}
          onOpen={setPanel}
          formula={formula}
          formulaId={stored.id}
          kitchen={kitchen}
          walked={walked}
          burnerId={burnerId}
        />
        <div className="grid xl:grid-cols-[minmax(0,1fr)_22rem]">
          <div className="min-w-0">
            <WeighedContext value={weighed}>
              <StepLine
                formula={formula}
                lineOf={lineOf}
                intervals={intervals}
                view={view}
                onView={() => setView(nextView)}
                selected={selected}
                onSelect={setSelected}
                threads={threads}
                onThreads={setThreads}
              />
            </WeighedContext>
            <section
              aria-label="Trace"
              className="skipped-out-of-view px-4 pt-4 pb-8 [contain-intrinsic-block-size:auto_17rem] sm:px-6"
            >
              <div role="group" aria-label="Quantity of the trace" className="flex gap-4 text-sm">
                {threads.map(name => (
                  <button
                    key={name}
                    type="button"
                    aria-pressed={quantity === name}
                    onClick={() => setQuantity(name)}
                    className={quantity === name ? "font-bold" : "text-faded hover:text-copper"}
                  >
                    {FIGURES[name].words}
                  </button>
                ))}
              </div>
              <TraceChart
                planned={trace}
                band={band}
                unit={shown.unit}
                divide={1}
                decimals={shown.decimals}
                label={shown.words}
                height={150}
                summary={`along the line over ${printDuration(s(drawn.totalS))}`}
              />
            </section>
          </div>
          <PotPanel
            walked={walked}
            selected={selected}
            kitchen={kitchen}
            intervals={intervals}
            document={document}
          />
        </div>
      </main>
    </AskProvider>
  );
}

/** The chart is drawn again so long after the page around it, ms. */
const CHART_PAUSE_MS = 400;

const nextView = (view: AmountView): AmountView =>
  AMOUNT_VIEWS[(AMOUNT_VIEWS.indexOf(view) + 1) % AMOUNT_VIEWS.length] ?? "grams";

function useBenchCommands(
  formula: Formula,
  selected: string | null,
  select: (id: string | null) => void,
  setView: (change: (view: AmountView) => AmountView) => void,
) {
  const { edit, undo, redo } = formula;
  const navigate = useNavigate();
  const taker = useMemo<AnswerTaker>(
    () => ({
      label: selected ? "Taken into the step" : "Taken into the notes",
      take: ({ name, input, answer }) =>
        edit(d => takeSum(d, selected, { name, input, sentence: answer.sentence })),
    }),
    [edit, selected],
  );
  useAnswerTaker(taker);
  const commands = useMemo<ScreenCommand[]>(
    () => [
      {
        id: "view",
        label: "grams, ratio to base, per finished litre",
        group: "This formula",
        keys: "u",
        shown: "u",
        run: () => setView(nextView),
      },
      { id: "undo", label: "undo", group: "This formula", keys: "$mod+z", shown: "Ctrl Z", run: undo },
      {
        id: "redo",
        label: "redo",
        group: "This formula",
        keys: "$mod+Shift+z",
        shown: "Ctrl Shift Z",
        run: redo,
      },
      ...(selected
        ? [
            {
              id: "up",
              label: "move the open step up",
              group: "This formula",
              keys: "Alt+ArrowUp",
              shown: "Alt ↑",
              run: () => edit(d => moveStep(d, selected, -1)),
            },
            {
              id: "down",
              label: "move the open step down",
              group: "This formula",
              keys: "Alt+ArrowDown",
              shown: "Alt ↓",
              run: () => edit(d => moveStep(d, selected, 1)),
            },
            {
              id: "remove",
              label: "remove the open step",
              group: "This formula",
              run: () => edit(d => removeStep(d, selected)),
            },
          ]
        : []),
      { id: "arrows", label: "along the line", group: "This formula", shown: "↑ ↓" },
      { id: "open", label: "open or close the step", group: "This formula", shown: "Enter" },
      ...(Object.keys(STEP_KINDS) as StepKindName[]).map(kind => ({
        id: `add-${kind}`,
        label: `Add a step: ${STEP_KINDS[kind].label.toLowerCase()}`,
        group: "Add a step",
        run: () => {
          const id = ulid();
          edit(d => insertStep(d, kind, id, selected ?? undefined));
          select(id);
        },
      })),
      { id: "book", label: "Cards in the Book", group: "This formula", run: () => void navigate("/book") },
    ],
    [edit, navigate, redo, select, selected, setView, undo],
  );
  useCommands(commands);
}
