import { useState } from "react";
import { Link } from "react-router";
import { ulid } from "ulid";
import { printDuration, s } from "~/core/ground/quantity";
import { type RunEvent, type RunPayload, type Timer, type UsualTimer, timersOf } from "~/core/run";
import type { LiveRun } from "../range/live-run.server";
import { readMinutes } from "../ui/read";
import { TypedField } from "../ui/typed-field";
import { useBell } from "../ui/use-bell";
import { useNow } from "../ui/use-now";

/** What rings in other pots leads there. */
export function RingingElsewhere({
  runs,
  alarms = [],
  now: first,
  className,
}: {
  runs: readonly Pick<LiveRun, "run" | "document" | "events">[];
  /** What rings by itself before a mark. */
  alarms?: readonly { readonly to: string; readonly words: string }[];
  now: number;
  className: string;
}) {
  const now = useNow(first, TICK_MS);
  const ringing = [
    ...runs.flatMap(run =>
      timersOf(run.events, now).flatMap(timer =>
        timer.rings
          ? [
              {
                key: timer.id,
                to: `/stove/${run.run.id}`,
                name: timer.name,
                words: `${run.document.name}: ${timer.name} now`,
              },
            ]
          : [],
      ),
    ),
    ...alarms.map(alarm => ({ ...alarm, key: alarm.to, name: alarm.words })),
  ];
  useBell(ringing.map(({ name }) => name));
  if (!ringing.length) return null;
  return (
    <ul aria-label="Timers that ring" className="flex flex-wrap gap-2.5 py-2">
      {ringing.map(({ key, to, words }) => (
        <li key={key}>
          <Link to={to} className={`flex min-h-14 items-center rounded-xl px-4 font-bold ${className}`}>
            {words}
          </Link>
        </li>
      ))}
    </ul>
  );
}

/** A countdown is read to the second. */
const TICK_MS = 1000;

/** What runs and what rings, as large as a wet thumb. */
export function TimerStrip({
  events,
  alarms,
  now: first,
  onHeard,
  onStop,
}: {
  events: readonly RunEvent[];
  /** What rings by itself, and is shown only then. */
  alarms: readonly Timer[];
  now: number;
  onHeard: (timer: Timer) => void;
  onStop: (timer: Timer) => void;
}) {
  const now = useNow(first, TICK_MS);
  const timers = [...timersOf(events, now), ...alarms.filter(alarm => alarm.rings)];
  useBell(timers.filter(timer => timer.rings).map(timer => timer.name));
  if (!timers.length) return null;
  return (
    <ul aria-label="Timers" className="flex flex-wrap gap-2.5 px-4 py-2 sm:px-5">
      {timers.map(timer => (
        <li
          key={timer.id}
          className={`flex min-h-14 items-stretch overflow-hidden rounded-xl border-2 ${timer.rings ? "border-glow bg-glow text-night" : "border-night-rule"}`}
        >
          <button
            type="button"
            disabled={!timer.rings}
            onClick={() => onHeard(timer)}
            className="px-4 text-left font-bold disabled:cursor-default"
          >
            <span className="block leading-tight">{timer.name}</span>
            <span className={`block text-sm ${timer.rings ? "" : "text-lamp-faded"}`}>
              {timer.rings
                ? `now${late(now - timer.dueAt)}: heard`
                : `in ${countdown(timer.dueAt - now)}${timer.everyS === null ? "" : `, every ${printDuration(s(timer.everyS))}`}`}
            </span>
          </button>
          <button
            type="button"
            aria-label={`Stop the timer “${timer.name}”`}
            onClick={() => (alarms.includes(timer) ? onHeard : onStop)(timer)}
            className={`min-w-14 border-l-2 text-lg ${timer.rings ? "border-night" : "border-night-rule hover:border-ember"}`}
          >
            ✕
          </button>
        </li>
      ))}
    </ul>
  );
}

const pad = (n: number): string => String(n).padStart(2, "0");
/** "4:05", "1:04:05". */
function countdown(ms: number): string {
  const seconds = Math.max(0, Math.ceil(ms / 1000));
  const [h, m, sec] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60];
  return h ? `${h}:${pad(m)}:${pad(sec)}` : `${m}:${pad(sec)}`;
}

const late = (ms: number): string =>
  ms < 60_000 ? "" : `, since ${printDuration(s(Math.floor(ms / 60_000) * 60))}`;

/** One tap for what is usual here; anything else by name and minutes. */
export function TimerPanel({
  usual,
  stepId,
  onLog,
  onClose,
}: {
  usual: readonly UsualTimer[];
  stepId: string;
  onLog: (payload: RunPayload) => void;
  onClose: () => void;
}) {
  const [name, setName] = useState("");
  const [minutes, setMinutes] = useState<number | null>(null);
  const [every, setEvery] = useState(false);
  const set = (timer: UsualTimer) =>
    onLog({
      kind: "timer-set",
      stepId,
      timerId: ulid(),
      name: timer.name,
      seconds: Math.round(timer.minutes * 60),
      every: timer.every,
    });
  const button =
    "min-h-14 rounded-xl border-2 border-night-rule px-4 font-bold hover:border-ember disabled:opacity-45";
  return (
    <section
      aria-label="Set a timer"
      className="sticky bottom-0 space-y-3 border-t border-night-rule bg-night px-4 py-3 sm:px-5"
    >
      <div className="flex flex-wrap gap-2.5">
        {usual.map(timer => (
          <button key={timer.name} type="button" className={button} onClick={() => set(timer)}>
            {timer.name}
            <span className="font-normal text-lamp-faded">
              {timer.every ? " every " : " in "}
              {printDuration(s(timer.minutes * 60))}
            </span>
          </button>
        ))}
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <label className="block">
          <span className="block text-xs text-lamp-faded">what for</span>
          <input
            value={name}
            maxLength={40}
            onChange={event => setName(event.currentTarget.value)}
            className="h-14 w-44 rounded-xl border-2 border-night-rule bg-night-raised px-3 text-lg text-lamp"
          />
        </label>
        <div>
          <span aria-hidden="true" className="block text-xs text-lamp-faded">
            in, or every
          </span>
          <TypedField
            hideLabel
            label="in, or every"
            shown={minutes === null ? "" : printDuration(s(minutes * 60))}
            read={readMinutes("The timer", 2880)}
            onRead={setMinutes}
            width="w-36"
            look="h-14 rounded-xl border-2 border-night-rule bg-night-raised px-3 text-lg text-lamp"
          />
        </div>
        <label className="flex min-h-14 items-center gap-2">
          <input
            type="checkbox"
            checked={every}
            onChange={event => setEvery(event.currentTarget.checked)}
            className="size-6"
          />
          again and again
        </label>
        <button
          type="button"
          className={`${button} border-leaf bg-leaf text-night`}
          disabled={minutes === null}
          onClick={() => minutes !== null && set({ name: name.trim() || "timer", minutes, every })}
        >
          Set it
        </button>
        <button type="button" className={`${button} ml-auto`} onClick={onClose}>
          Close
        </button>
      </div>
    </section>
  );
}
