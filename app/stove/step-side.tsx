import { type StateAfterStep, cautionsAt, kindOf } from "~/core/formula";
import { USUAL_HOUSE } from "~/core/things/house";
import { printMass } from "~/core/ground/quantity";
import {
  type Lock,
  type Moment,
  type Reading,
  type RunState,
  type Seasoned,
  courseSoFar,
  miseOf,
  readingMoment,
  stepToRead,
  toldOfStep,
  waitingSalt,
} from "~/core/run";
import type { Mended } from "./mend-sheet";
import { MiseList } from "./mise-list";
import { SplitRescue, rescueIn } from "./split-rescue";
import type { Person } from "~/data";
import type { PotNow } from "../range/pot-now";
import { clockTime, deviationText, gramsBand, spread } from "../text/format";
import { TraceChart } from "../ui/trace-chart";
import { Locks } from "./locks";
import { OilPace } from "./oil-pace";
import { Why } from "./why";
import { FirstDoses } from "./first-doses";
import { useKitchenIfAny } from "../kitchen/context";

/** Beside the pot: what goes in, how to see the end, what to take care of, and the readings against the forecast. */
export function StepSide({
  pot,
  before = null,
  first = false,
  role = "",
  people,
  timeZone,
  onAdd,
  now,
  ticks,
  onTick,
  locks = [],
  onLeaveOut,
  onOverride,
  onGiveUp,
  onMended,
  onSplit,
}: {
  pot: PotNow;
  /** What the last batch of it took by taste. */
  before?: { readonly baseG: number; readonly seasoned: readonly Seasoned[] } | null;
  /** Above the pot where there is one column. */
  first?: boolean;
  /** Of who stands here. */
  role?: string;
  people: readonly Person[];
  timeZone: string;
  onAdd: (lineId: string) => void;
  now: number;
  /** Still to be ticked off. */
  ticks: readonly string[];
  onTick: (what: string) => void;
  /** What may not be done yet. */
  locks?: readonly Lock[];
  onLeaveOut: (lineId: string) => void;
  onOverride: (what: string, reason: string) => void;
  onGiveUp: () => void;
  /** A parted emulsion holds again, or has parted once more. */
  onMended?: (mended: Mended) => void;
  onSplit?: () => void;
}) {
  const house = useKitchenIfAny()?.snapshot.house ?? USUAL_HOUSE;
  const { state, forecast } = pot;
  const progress = state.steps[state.current];
  const problems = <Problems run={state} />;
  const last = stepToRead(state);
  const readings = last && (
    <Readings
      of={last === progress ? "Readings of this step" : "Readings of the last step"}
      readings={last.readings}
      told={toldOfStep(state, last)}
      planned={last.planned}
      against={forecast?.lastAgainst ?? null}
      people={people}
      timeZone={timeZone}
    />
  );
  if (!progress)
    return (
      <aside aria-label="This step" className="min-w-0 space-y-3 text-base">
        {problems}
        {readings}
      </aside>
    );
  const kind = kindOf(progress.step);
  const why = progress.step.why ?? kind.why;
  const rescue = rescueIn(state, progress, pot.facts);
  const course = courseSoFar(progress);
  const weighedIn = new Map(
    progress.readings.flatMap(r =>
      r.kind === "added" && r.lineId ? [[r.lineId, r.massG ?? 0] as const] : [],
    ),
  );
  const water = progress.foreseen?.computed.filter(c => c.way === "in") ?? [];
  const waiting = progress.status === "live" ? waitingSalt(state) : [];
  const measured = progress.readings.filter(r => r.massG !== undefined && r.kind !== "added");
  return (
    <aside
      aria-label="This step"
      className={`min-w-0 text-base *:mb-3 *:break-inside-avoid md:portrait:columns-2 md:portrait:gap-5 md:portrait:text-lg ${first ? "portrait:order-first max-md:order-first" : ""}`}
    >
      {problems}
      {rescue && onMended && (
        <SplitRescue
          key={state.told.incidents.length}
          rescue={rescue}
          onHolds={onMended}
          onAgain={() => onSplit?.()}
        />
      )}
      {!rescue && progress.step.kind === "emulsify" && progress.foreseen && (
        <OilPace
          from={progress.from}
          foreseen={progress.foreseen}
          tool={progress.step.tool}
          facts={pot.facts}
          sinceS={progress.begunAt === null ? null : (now - progress.begunAt) / 1000}
        />
      )}
      {state.current === 0 && progress.status === "waiting" && (
        <MiseList items={miseOf(state)} onTick={onTick} />
      )}
      <Locks locks={locks} onLeaveOut={onLeaveOut} onOverride={onOverride} />
      {(ticks.length > 0 || progress.ticked.length > 0) && (
        <ul aria-label="To tick off" className="space-y-1.5">
          {ticks.map(what => (
            <li key={what}>
              <button
                type="button"
                onClick={() => onTick(what)}
                className="flex min-h-14 w-full items-center gap-3 rounded-lg border-2 border-glow bg-night-raised px-3 text-left font-bold text-glow hover:border-ember"
              >
                <span aria-hidden="true" className="size-6 shrink-0 rounded border-2 border-glow" />
                {what}
              </button>
            </li>
          ))}
          {progress.ticked.map(what => (
            <li key={what} className="flex min-h-10 items-center gap-3 px-3 text-leaf">
              <span aria-hidden="true">✓</span> {what}
            </li>
          ))}
        </ul>
      )}
      {(progress.planned.lines.length > 0 || water.length > 0) && (
        <section>
          <h2 className="text-sm font-normal text-lamp-faded">In goes</h2>
          <ul className="mt-1 space-y-1.5">
            {progress.planned.lines.map(line => (
              <li key={line.lineId}>
                <button
                  type="button"
                  onClick={() => onAdd(line.lineId)}
                  disabled={locks.some(lock => lock.lineId === line.lineId)}
                  className="flex min-h-14 w-full items-center justify-between gap-3 rounded-lg border border-night-rule bg-night-raised px-3 text-left hover:border-ember disabled:border-dashed disabled:opacity-55"
                >
                  <span className="text-lg leading-tight">{line.name}</span>
                  {weighedIn.has(line.lineId) ? (
                    <span className="font-display text-2xl font-bold whitespace-nowrap text-leaf">
                      ✓ {printMass((weighedIn.get(line.lineId) ?? 0) as never)}
                    </span>
                  ) : (
                    <span
                      className={`font-display text-3xl font-bold whitespace-nowrap ${line.certainty === "assumed" ? "text-glow italic" : ""}`}
                    >
                      {printMass(line.massG)}
                      {line.certainty === "assumed" && " ?"}
                    </span>
                  )}
                </button>
              </li>
            ))}
            {water.map(computed => (
              <li
                key={computed.what}
                className="flex min-h-14 items-center justify-between rounded-lg border border-dashed border-night-rule px-3"
              >
                <span>{computed.what}, about</span>
                <span className="text-right">
                  <span className="block font-display text-2xl font-bold whitespace-nowrap">
                    {printMass(computed.massG)}
                  </span>
                  <span className="block text-sm text-lamp-faded">
                    {gramsBand(spread(computed.massG, pot.band.computed[computed.what]))}
                  </span>
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {before && <FirstDoses planned={progress.planned} before={before} baseG={pot.live.run.baseG} />}
      {waiting.length > 0 && (
        <section>
          <h2 className="text-sm font-normal text-lamp-faded">Left out before, may go in now: taste first</h2>
          <ul className="mt-1 space-y-1.5">
            {waiting.map(salt => (
              <li key={salt.lineId}>
                <button
                  type="button"
                  onClick={() => onAdd(salt.lineId)}
                  className="flex min-h-14 w-full items-center justify-between gap-3 rounded-lg border-2 border-leaf bg-night-raised px-3 text-left hover:border-ember"
                >
                  <span>{salt.name}</span>
                  <span className="font-bold">up to {printMass(salt.massG as never)}</span>
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      {(progress.step.cue ?? kind.cue) && (
        <p>
          <span className="text-sm text-lamp-faded">It is there when </span>
          {progress.step.cue ?? kind.cue}.
        </p>
      )}
      {why && <Why key={progress.step.id} why={why} role={role} />}
      {progress.step.remark && <p className="italic">{progress.step.remark}</p>}
      {cautionsAt(progress.planned, house).map(caution => (
        <p key={caution} className="rounded-lg border border-glow/60 px-3 py-2 text-sm text-glow">
          ▲ {caution}
        </p>
      ))}
      {pot.watch.map(warning => (
        <p
          key={warning.code}
          role="status"
          className="rounded-lg border-2 border-glow px-3 py-2 font-bold text-glow"
        >
          ▲ {warning.message}
        </p>
      ))}
      {pot.prompts.map(({ code, message }) => (
        <p key={code} className="rounded-lg border border-night-rule bg-night-raised px-3 py-2">
          <span aria-hidden="true" className="text-leaf">
            →{" "}
          </span>
          {message}
        </p>
      ))}
      {progress.foreseen?.warnings.map(warning => (
        <p
          key={warning.code + warning.message}
          className="rounded-lg border border-glow/60 px-3 py-2 text-sm text-glow"
        >
          ▲ {warning.message}
        </p>
      ))}
      {course && progress.begunAt !== null && measured.length > 0 && (
        <TraceChart
          planned={course.seconds.map((atS, i) => ({ atS, value: course.mass[i] ?? 0 }))}
          band={[]}
          measured={measured.map(r => ({
            atS: (r.at - (progress.begunAt ?? r.at)) / 1000,
            value: r.massG ?? 0,
          }))}
          unit="kg"
          divide={1000}
          decimals={2}
          label="Mass in the pot in this step"
          height={130}
          night
          fromZero={false}
          summary={forecast?.massNowG == null ? "" : `foreseen ${printMass(forecast.massNowG)} now`}
        />
      )}
      {readings}
      <button
        type="button"
        onClick={onGiveUp}
        className="min-h-14 text-sm text-lamp-faded underline underline-offset-4 hover:text-ember"
      >
        Give this pot up …
      </button>
    </aside>
  );
}

function Readings({
  of,
  readings,
  told,
  planned,
  against,
  people,
  timeZone,
}: {
  of: string;
  readings: readonly Reading[];
  told: readonly Moment[];
  planned: StateAfterStep;
  against: { reading: Reading; foreseenG: number } | null;
  people: readonly Person[];
  timeZone: string;
}) {
  const entries = [
    ...told,
    ...readings.map((reading): Moment => {
      const here = against?.reading.eventId === reading.eventId ? against : null;
      return {
        ...readingMoment(reading, planned),
        ...(here &&
          reading.massG !== undefined && {
            beside: `foreseen ${printMass(here.foreseenG as never)}, ${deviationText((reading.massG - here.foreseenG) / here.foreseenG)}`,
          }),
      };
    }),
  ].sort((a, b) => b.at - a.at);
  if (!entries.length) return null;
  return (
    <section>
      <h2 className="text-sm font-normal text-lamp-faded">{of}</h2>
      <ul className="mt-1 divide-y divide-night-rule border-y border-night-rule text-sm">
        {entries.map(entry => (
          <li key={entry.key} className="flex justify-between gap-3 py-1.5">
            <span className="text-lamp-faded">
              {clockTime(entry.at, timeZone)} {people.find(p => p.id === entry.personId)?.name.split(" ")[0]}
            </span>
            <span className="text-right">
              {entry.words}
              {entry.photoId && (
                <img
                  src={`/api/photos/${entry.photoId}`}
                  alt="The pot"
                  className="mt-1 ml-auto h-24 rounded-lg"
                />
              )}
              {entry.beside && <span className="block text-lamp-faded">{entry.beside}</span>}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What could not be reckoned with in the step at work and the one before: its last reading counts when it ends. */
function Problems({ run }: { run: RunState }) {
  const [before, here] = [run.steps[run.current - 1], run.steps[run.current]].map(p => p?.step.id);
  return run.problems
    .filter(({ stepId }) => stepId === before || stepId === here)
    .map(({ stepId, message }) => (
      <p key={message} role="alert" className="rounded-lg border-2 border-glow px-3 py-2 text-sm text-glow">
        ▲ {stepId === here ? "This step" : "The step before"}: {message}
      </p>
    ));
}
