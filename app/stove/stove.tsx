import { useCallback, useMemo, useState } from "react";
import { Link, useRevalidator, useSearchParams } from "react-router";
import {
  LONGEST_NOTE,
  type RunPayload,
  locksOf,
  openTicks,
  notTakenBack,
  stepToRead,
  usualTimers,
  facing,
} from "~/core/run";
import type { Route } from "./+types/stove";
import { useKitchen } from "../kitchen/context";
import { isLive } from "../live/stream";
import { useHeard, useLive } from "../live/use-live";
import { foldPot, potAt, potsAt } from "../range/pot-now";
import { clockTime } from "../text/format";
import { QuickSums } from "../sums/quick-sums";
import { type AnswerTaker, AnswerTakerProvider, useAnswerTaker } from "../sums/answer-taker";
import { CommandProvider, type ScreenCommand, useCommands } from "../ui/commands";
import { useAwake } from "../ui/use-bell";
import { useNow } from "../ui/use-now";
import { BatchSummary } from "./batch-summary";
import { basisFrom, openKitchen, panOf, servedAtC } from "~/core/formula";
import { LogPanel, type LogKind } from "./log-panel";
import { MendSheet } from "./mend-sheet";
import { MiniPot, OtherPot } from "./mini-pot";
import { PotLive } from "./pot-live";
import { StepSide } from "./step-side";
import { RingingElsewhere, TimerPanel, TimerStrip } from "./timers";
import { RefusedReadings } from "./refused-readings";
import { useRunEvents } from "./use-run-events";

export { loader } from "./stove.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Stove · Hondaro" }];

export default function StovePage({ loaderData }: Route.ComponentProps) {
  return (
    <CommandProvider>
      <AnswerTakerProvider>
        <QuickSums />
        <Stove key={loaderData.live.run.id} {...loaderData} />
      </AnswerTakerProvider>
    </CommandProvider>
  );
}

/** Pots that come and go. */
const OTHERS: ReadonlySet<string> = new Set(["started", "finished", "abandoned"]);

const STEP_BUTTON = "min-h-16 rounded-xl border-2 px-1 font-bold disabled:opacity-45 sm:text-lg";

function Stove({ live, others, person, people, now: first }: Route.ComponentProps["loaderData"]) {
  const today = useKitchen();
  // What it was put on in, whatever the kitchen has become since.
  const kitchen = useMemo(() => basisFrom(live.basis, today), [live.basis, today]);
  const now = useNow(first);
  const { revalidate } = useRevalidator();
  // What was delivered comes back by the stream; without one the page asks.
  const again = useCallback(() => {
    if (!isLive()) void revalidate();
  }, [revalidate]);
  useLive(
    ({ runId, event }) =>
      OTHERS.has(event.payload.kind) || (runId !== live.run.id && event.payload.kind === "undone"),
  );
  const [heard] = useHeard(useMemo(() => [live], [live]));
  const besides = useHeard(others);
  const owner = useMemo(() => ({ kitchenId: today.id, personId: person.id }), [today.id, person.id]);
  const { events, waiting, ofOthers, refused, log, drop } = useRunEvents(
    live.run.id,
    heard?.events ?? live.events,
    owner,
    first,
    again,
  );
  const folded = useMemo(() => foldPot({ ...live, events }, kitchen), [live, events, kitchen]);
  // A formula with a second pan has two pots to work: the one that was chosen, else what comes first.
  const wanted = useSearchParams()[0].get("pan");
  const here = folded.state.open.find(i => panOf(folded.state.steps[i]?.step ?? {}) === wanted);
  const pot = useMemo(
    () => potAt(here === undefined ? folded : { ...folded, state: facing(folded.state, here) }, now),
    [folded, here, now],
  );
  const beside = useMemo(
    () => potsAt(folded, now).filter(other => other.pan !== pot.pan),
    [folded, now, pot.pan],
  );
  const [panel, setPanel] = useState<LogKind | null>(null);
  const [setting, setSetting] = useState(false);
  useAwake();
  /** A reading that was not kept, on its way to be typed anew. */
  const [retyped, setRetyped] = useState<{ readonly id: string; readonly typed: string } | null>(null);
  const { state } = pot;
  const progress = state.steps[state.current];
  const stepId = progress?.step.id;
  // What is weighed when every step is through is still weighed in.
  const readId = stepToRead(state)?.step.id;
  const last = notTakenBack(events)
    .filter(e => e.payload.kind !== "started")
    .at(-1);

  const close = useCallback(() => {
    setRetyped(null);
    setPanel(null);
  }, []);
  const act = (payload: RunPayload) => {
    log(payload);
    if (retyped) drop(retyped.id);
    close();
  };
  const undo = useCallback(() => last && log({ kind: "undone", eventId: last.id }), [last, log]);
  const ticks = useMemo(() => (progress ? openTicks(progress) : []), [progress]);
  const locks = useMemo(() => locksOf(state), [state]);
  // What closes a line holds the step at its end, what spoils the pot at its beginning.
  const locked = locks.some(lock => lock.before === (progress?.status === "live" ? "end" : "begin"));
  const next = useCallback(() => {
    if (ticks.length || locked) return;
    if (!stepId) return log({ kind: "finished" });
    log(progress?.status === "live" ? { kind: "step-done", stepId } : { kind: "step-begun", stepId });
  }, [locked, log, progress?.status, stepId, ticks.length]);
  // An answer is kept in the run as a note: what was worked out belongs to what was cooked.
  const taker = useMemo<AnswerTaker | null>(
    () =>
      readId && state.finishedAt === null
        ? {
            label: "Noted in this run",
            take: ({ answer }) =>
              log({ kind: "noted", stepId: readId, text: answer.sentence.slice(0, LONGEST_NOTE) }),
          }
        : null,
    [log, state.finishedAt, readId],
  );
  useAnswerTaker(taker);
  const commands = useMemo<ScreenCommand[]>(
    () =>
      state.finishedAt !== null
        ? []
        : [
            {
              id: "weigh",
              label: pot.reading.weigh ? "log a reading: weigh" : "log a reading: dip, the pot is too heavy",
              group: "This pot",
              keys: "r",
              shown: "r",
              run: () => setPanel(pot.reading.weigh ? "weigh" : "dip"),
            },
            {
              id: "dip",
              label: "dip the stick",
              group: "This pot",
              keys: "d",
              shown: "d",
              run: () => setPanel("dip"),
            },
            {
              id: "probe",
              label: "probe",
              group: "This pot",
              keys: "p",
              shown: "p",
              run: () => setPanel("probe"),
            },
            {
              id: "timer",
              label: "set a timer",
              group: "This pot",
              keys: "t",
              shown: "t",
              run: () => setSetting(true),
            },
            { id: "jug", label: "jug", group: "This pot", keys: "j", shown: "j", run: () => setPanel("jug") },
            {
              id: "note",
              label: "note",
              group: "This pot",
              keys: "n",
              shown: "n",
              run: () => setPanel("note"),
            },
            {
              id: "next",
              label: "begin, or it is there",
              group: "This pot",
              keys: "Enter",
              shown: "Enter",
              run: next,
            },
            { id: "give-up", label: "give this pot up", group: "This pot", run: () => setPanel("give up") },
            {
              id: "undo",
              label: "undo the last reading",
              group: "This pot",
              keys: "$mod+z",
              shown: "Ctrl Z",
              run: () => undo(),
            },
          ],
    [next, pot.reading.weigh, state.finishedAt, undo],
  );
  useCommands(commands);

  if (state.finishedAt !== null)
    return (
      <BatchSummary
        state={state}
        live={live}
        people={people}
        timeZone={kitchen.timeZone}
        demo={today.demo}
        onReopen={() => last && log({ kind: "undone", eventId: last.id })}
        waiting={waiting}
      />
    );

  const burner = kitchen.burners.find(b => b.id === pot.burnerId);
  const where = [
    `step ${Math.min(state.current + 1, state.steps.length)} of ${state.steps.length}`,
    pot.place === "fire" ? burner?.name : undefined,
    pot.vessel?.name,
  ]
    .filter(Boolean)
    .join(" · ");
  // A stick and a jug need liquor.
  const dry = pot.nowMm === null && pot.endMm === null;
  const { facts } = openKitchen(kitchen, {}, live.run.burnerId);
  const liveStep = progress?.status === "live";
  return (
    <main className="night flex min-h-dvh flex-col bg-night text-lamp">
      <header className="flex min-h-15 items-center gap-4 border-b border-night-rule px-4 sm:px-5">
        <Link to="/" className="flex min-h-14 items-center font-bold whitespace-nowrap hover:text-ember">
          ← Range
        </Link>
        <nav aria-label="Other pots" className="flex min-w-0 gap-3 overflow-x-auto">
          {beside.map(other => (
            <MiniPot key={other.to} pot={other} now={now} timeZone={kitchen.timeZone} />
          ))}
          {besides.map(other => (
            <OtherPot key={other.run.id} live={other} today={today} now={now} />
          ))}
        </nav>
        <p className="ml-auto text-right text-sm whitespace-nowrap text-lamp-faded">
          {clockTime(now, kitchen.timeZone)} · {person.name.split(" ")[0]}
          <span role="status" className={`block ${waiting ? "text-glow" : ""}`}>
            {ofOthers.length
              ? `${ofOthers.length} wait for ${namesOf(ofOthers, people)}`
              : waiting
                ? `${waiting} waiting for the network`
                : refused.length
                  ? `${refused.length} not kept`
                  : "all readings kept"}
          </span>
        </p>
      </header>
      <div className="px-4 pt-3 sm:px-5">
        <p className="text-sm text-lamp-faded">
          {pot.name} · {where}
        </p>
        <h1 className="text-2xl leading-tight sm:text-4xl">{pot.title}</h1>
        {pot.detail && <p className="text-lg text-lamp-faded sm:text-xl">{pot.detail}</p>}
      </div>
      <div className="grid grow gap-4 px-4 py-2 sm:px-5 md:grid-cols-[minmax(0,1fr)_19rem]">
        <PotLive pot={pot} now={now} timeZone={kitchen.timeZone} compact={panel !== null} />
        <StepSide
          pot={pot}
          people={people}
          timeZone={kitchen.timeZone}
          onAdd={lineId => setPanel(`add:${lineId}`)}
          now={now}
          ticks={ticks}
          locks={locks}
          onLeaveOut={lineId => stepId && log({ kind: "added", stepId, lineId, massG: 0 })}
          onOverride={(what, reason) => stepId && log({ kind: "overridden", stepId, what, reason })}
          onTick={what => stepId && log({ kind: "ticked", stepId, what })}
          onGiveUp={() => setPanel("give up")}
        />
      </div>
      <div className="px-4 sm:px-5">
        <RingingElsewhere runs={besides} now={first} className="bg-glow text-night" />
      </div>
      {refused.length > 0 && (
        <RefusedReadings
          refused={refused}
          onChange={(id, kind, typed) => {
            setRetyped({ id, typed });
            setPanel(kind);
          }}
          onDrop={drop}
        />
      )}
      {/* What rings is seen without scrolling. */}
      <div className="sticky bottom-0 bg-night">
        <TimerStrip
          events={events}
          now={first}
          onHeard={({ id, stepId: of }) => log({ kind: "timer-heard", stepId: of, timerId: id })}
          onStop={({ id, stepId: of }) => log({ kind: "timer-stopped", stepId: of, timerId: id })}
        />
        {panel && readId ? (
          <LogPanel
            key={panel}
            kind={panel}
            pot={pot}
            stepId={readId}
            typed={retyped?.typed ?? ""}
            probes={today.appliances.filter(a => a.kind === "probe")}
            onLog={act}
            onClose={close}
          />
        ) : setting && readId ? (
          <TimerPanel
            usual={
              progress ? usualTimers(progress.step, (progress.foreseen ?? progress.planned).durationS) : []
            }
            stepId={readId}
            onLog={payload => {
              log(payload);
              setSetting(false);
            }}
            onClose={() => setSetting(false)}
          />
        ) : (
          <footer className="grid grid-cols-5 gap-2.5 border-t border-night-rule bg-night px-4 py-3 sm:px-5 md:grid-cols-[repeat(7,minmax(0,1fr))_2fr_auto]">
            {(["weigh", "dip", "probe", "jug", "note"] as const).map(kind => (
              <button
                key={kind}
                type="button"
                disabled={
                  !readId ||
                  (dry && (kind === "dip" || kind === "jug")) ||
                  (kind === "weigh" && !pot.reading.weigh)
                }
                onClick={() => setPanel(kind)}
                className={`${STEP_BUTTON} border-night-rule hover:border-ember`}
              >
                {kind}
              </button>
            ))}
            <MendSheet
              pot={state.pot}
              foreseen={progress?.foreseen?.pot}
              servedC={servedAtC(live.document)}
              facts={facts}
              ingredients={today.ingredients}
              className={`${STEP_BUTTON} border-night-rule hover:border-ember`}
            />
            <button
              type="button"
              disabled={!readId}
              onClick={() => setSetting(true)}
              className={`${STEP_BUTTON} border-night-rule hover:border-ember`}
            >
              timer
            </button>
            <button
              type="button"
              onClick={next}
              disabled={ticks.length > 0 || locked}
              className={`${STEP_BUTTON} col-span-2 border-leaf bg-leaf text-night hover:bg-lamp md:col-span-1`}
            >
              {locked
                ? "Locked: see above"
                : ticks.length > 0
                  ? "Tick first what stands above"
                  : !stepId
                    ? "Finish the batch"
                    : liveStep
                      ? progress && pot.markMm !== null
                        ? "It is there"
                        : "This step is done"
                      : "Begin this step"}
            </button>
            <button
              type="button"
              onClick={() => undo()}
              disabled={!last}
              className={`${STEP_BUTTON} border-night-rule px-3 hover:border-ember`}
            >
              undo
            </button>
          </footer>
        )}
      </div>
    </main>
  );
}

/** Whose readings they are, by first names. */
const namesOf = (
  events: readonly { readonly personId: string }[],
  people: Route.ComponentProps["loaderData"]["people"],
): string =>
  [...new Set(events.map(e => e.personId))]
    .map(id => people.find(p => p.id === id)?.name.split(" ")[0] ?? "somebody else")
    .join(" and ");
