import { type ReactNode, useCallback, useEffect, useMemo, useState } from "react";
import { useRevalidator, useSearchParams } from "react-router";
import {
  LONGEST_NOTE,
  type RunPayload,
  gatesOf,
  locksOf,
  miseLock,
  miseOf,
  readyWords,
  openTicks,
  notTakenBack,
  stepToRead,
  facing,
} from "~/core/run";
import type { Route } from "./+types/stove";
import { useKitchen } from "../kitchen/context";
import { isLive } from "../live/stream";
import { useHeard, useLive } from "../live/use-live";
import { keepPots } from "../offline/keep-pages";
import { useHeardBefore, useKeptHere } from "../offline/use-kept-here";
import { foldPot, potAt, potsAt } from "../range/pot-now";
import { useBands } from "../range/use-bands";
import { QuickSums } from "../sums/quick-sums";
import { type AnswerTaker, AnswerTakerProvider, useAnswerTaker } from "../sums/answer-taker";
import { CommandProvider } from "../ui/commands";
import { ClockContext, REAL_TIME, rehearsalClock } from "../ui/clock";
import { useAwake } from "../ui/use-bell";
import { useConnected } from "../ui/use-connected";
import { useNow } from "../ui/use-now";
import { BatchSummary } from "./batch-summary";
import { basisFrom, openKitchen, panOf, servedAtC } from "~/core/formula";
import { MendSheet, type Mended } from "./mend-sheet";
import { PotLive } from "./pot-live";
import { StepSide } from "./step-side";
import { StoveHeader, keptInWords } from "./stove-header";
import { RingingElsewhere, TimerStrip } from "./timers";
import { StoveButtons, type StovePanel } from "./stove-buttons";
import { OpenPanel } from "./stove-panel";
import { RefusedReadings } from "./refused-readings";
import { useInstruments } from "./use-instruments";
import { useRehearsal } from "./use-rehearsal";
import { useRunEvents } from "./use-run-events";
import { useStoveCommands } from "./use-stove-commands";

export { loader } from "./stove.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Stove · Hondaro" }];

export default function StovePage({ loaderData }: Route.ComponentProps) {
  return (
    <CommandProvider>
      <AnswerTakerProvider>
        <QuickSums />
        <OnItsClock run={loaderData.live.run}>
          <Stove key={loaderData.live.run.id} {...loaderData} />
        </OnItsClock>
      </AnswerTakerProvider>
    </CommandProvider>
  );
}

/** A rehearsal has a clock of its own. */
function OnItsClock({
  run: { startedAt, rehearsal },
  children,
}: {
  run: Route.ComponentProps["loaderData"]["live"]["run"];
  children: ReactNode;
}) {
  const started = startedAt.getTime();
  const speed = rehearsal?.speed ?? null;
  const clock = useMemo(
    () => (speed === null ? REAL_TIME : rehearsalClock(started, speed)),
    [started, speed],
  );
  return <ClockContext value={clock}>{children}</ClockContext>;
}

/** Pots that come and go. */
const OTHERS: ReadonlySet<string> = new Set(["started", "finished", "abandoned"]);

function Stove({
  live,
  others,
  before,
  felt,
  person,
  people,
  now: first,
}: Route.ComponentProps["loaderData"]) {
  const today = useKitchen();
  // What it was put on in, whatever the kitchen has become since.
  const kitchen = useMemo(() => basisFrom(live.basis, today), [live.basis, today]);
  const { rehearsal } = live.run;
  // What runs faster is looked at more often.
  const now = useNow(first, rehearsal ? 1000 : undefined);
  const { revalidate } = useRevalidator();
  // What was delivered comes back by the stream; without one the page asks.
  const again = useCallback(() => {
    if (!isLive()) void revalidate();
  }, [revalidate]);
  useLive(
    ({ runId, event }) =>
      OTHERS.has(event.payload.kind) || (runId !== live.run.id && event.payload.kind === "undone"),
  );
  const [heard] = useHeardBefore(useHeard(useMemo(() => [live], [live])));
  const besides = useKeptHere(useHeardBefore(useHeard(others)));
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
  const alarms = [pot, ...beside].flatMap(({ alarm }) => (alarm ? [alarm] : []));
  const simulated = useRehearsal(live.run.id, rehearsal !== null, folded.state, log);
  const instruments = useInstruments();
  const shown = rehearsal ? simulated : instruments;
  const runsHere = useMemo(() => [live, ...others], [live, others]);
  const [panel, setPanel] = useState<StovePanel | null>(null);
  useAwake();
  useBands(runsHere);
  const connected = useConnected();
  const onFire = [live, ...others].map(one => one.run.id).join(" ");
  useEffect(() => {
    if (!rehearsal) keepPots(onFire.split(" "));
  }, [onFire, rehearsal]);
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
  /** What a remedy brought went in: it is in the pot from now on. */
  const mended = ({ fault, remedy, brings }: Mended) => {
    if (!readId) return;
    log({ kind: "fixed", stepId: readId, fault, remedy });
    for (const [id, massG] of Object.entries(brings)) {
      const ingredient = today.ingredients.find(i => i.id === id);
      if (ingredient && massG > 0) log({ kind: "put-in", stepId: readId, ingredient, massG, why: "mend" });
    }
  };
  const undo = useCallback(() => {
    if (last) log({ kind: "undone", eventId: last.id });
  }, [last, log]);
  const ticks = useMemo(
    () => (progress ? [...openTicks(progress), ...gatesOf(state, state.current)] : []),
    [progress, state],
  );
  const locks = useMemo(
    () => [
      ...miseLock(state).filter(lock => !progress?.overridden.some(o => o.what === lock.what)),
      ...locksOf(state),
    ],
    [progress, state],
  );
  // What closes a line holds the step at its end, what spoils the pot at its beginning.
  const locked = locks.some(lock => lock.before === (progress?.status === "live" ? "end" : "begin"));
  const next = useCallback(() => {
    if (ticks.length || locked) return;
    if (!stepId) return log({ kind: "finished" });
    log(progress?.status === "live" ? { kind: "step-done", stepId } : { kind: "step-begun", stepId });
  }, [locked, log, progress?.status, stepId, ticks.length]);
  const allReady = useCallback(() => {
    const first = state.steps[0];
    if (state.current !== 0 || first?.status !== "waiting") return;
    for (const { what, ticked } of miseOf(state))
      if (!ticked) log({ kind: "ticked", stepId: first.step.id, what: readyWords(what) });
  }, [log, state]);
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
  useStoveCommands(state.finishedAt === null, {
    weigh: pot.reading.weigh,
    open: setPanel,
    allReady,
    next,
    undo,
  });

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

  // While something has to go in, its amount stands above the pot where there is one column.
  const goesIn = (progress?.planned.lines ?? []).some(
    line => !progress?.readings.some(r => r.kind === "added" && r.lineId === line.lineId),
  );
  // A stick and a jug need liquor.
  const dry = pot.nowMm === null && pot.endMm === null;
  const { facts } = openKitchen(kitchen, {}, live.run.burnerId);
  const nextWords = locked
    ? "Locked: see above"
    : ticks.length > 0
      ? "Tick first what stands above"
      : !stepId
        ? "Finish the batch"
        : progress?.status !== "live"
          ? "Begin this step"
          : pot.markMm !== null
            ? "It is there"
            : "This step is done";
  return (
    <main className="night flex min-h-dvh flex-col bg-night text-lamp">
      <StoveHeader
        pot={pot}
        beside={beside}
        others={besides}
        today={today}
        kitchen={kitchen}
        now={now}
        said={person.name.split(" ")[0] ?? ""}
        kept={keptInWords({ waiting, ofOthers, refused: refused.length, connected }, people)}
        waits={waiting > 0}
      />
      <div className="grid grow content-start gap-4 px-4 py-2 sm:px-5 md:landscape:content-stretch md:landscape:grid-cols-[minmax(0,1fr)_19rem]">
        <PotLive pot={pot} now={now} timeZone={kitchen.timeZone} compact={panel !== null} />
        <StepSide
          pot={pot}
          first={goesIn}
          before={before}
          role={person.role}
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
          onMended={mended}
          onSplit={() => readId && log({ kind: "incident", stepId: readId, what: "split" })}
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
          alarms={alarms}
          now={first}
          onHeard={({ id, stepId: of }) => log({ kind: "timer-heard", stepId: of, timerId: id })}
          onStop={({ id, stepId: of }) => log({ kind: "timer-stopped", stepId: of, timerId: id })}
        />
        {panel && readId ? (
          <OpenPanel
            key={panel}
            panel={panel}
            pot={pot}
            stepId={readId}
            kitchen={kitchen}
            today={today}
            people={people}
            beside={beside}
            others={others}
            now={now}
            typed={retyped?.typed ?? ""}
            shown={shown}
            felt={felt}
            onLog={act}
            onStay={log}
            onOpen={setPanel}
            onClose={close}
          />
        ) : (
          <StoveButtons
            closed={of =>
              !readId || (dry && (of === "dip" || of === "jug")) || (of === "weigh" && !pot.reading.weigh)
            }
            onOpen={setPanel}
            mend={className => (
              <MendSheet
                pot={state.pot}
                foreseen={progress?.foreseen?.pot}
                servedC={servedAtC(live.document)}
                facts={facts}
                ingredients={today.ingredients}
                className={className}
                onDone={mended}
              />
            )}
            next={{ label: nextWords, run: ticks.length > 0 || locked ? null : next }}
            onUndo={last ? undo : null}
          />
        )}
      </div>
    </main>
  );
}
