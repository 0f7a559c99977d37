import { type Step, courseOf, interpolate, kindOf } from "../formula";
import { g, printMass } from "../ground/quantity";
import { type RunEvent, timeOf } from "./events";
import { notTakenBack } from "./fold";
import type { LiveForecast } from "./forecast";
import type { StepProgress } from "./progress";

/** Timers of a run are what was logged of them: they are the same on every tablet, and outlive a reload, a sleep and a restart. */

export interface Timer {
  readonly id: string;
  readonly name: string;
  readonly stepId: string;
  /** Interval, s; `null` where it rings once. */
  readonly everyS: number | null;
  readonly setAt: number;
  /** When it rings next, or has rung and nobody has heard it. By the common clock, ms. */
  readonly dueAt: number;
  readonly rings: boolean;
}

/**
 * The timers that run or ring at a moment, the next first.
 *
 * @param events in any order; what was taken back does not count
 * @param now    common clock, ms
 */
export function timersOf(events: readonly RunEvent[], now: number): Timer[] {
  const counted = notTakenBack(events);
  if (counted.some(e => e.payload.kind === "finished" || e.payload.kind === "abandoned")) return [];
  const stopped = new Set(
    counted.flatMap(e => (e.payload.kind === "timer-stopped" ? [e.payload.timerId] : [])),
  );
  const heard = new Map<string, number>();
  for (const e of counted) if (e.payload.kind === "timer-heard") heard.set(e.payload.timerId, timeOf(e));
  return counted
    .flatMap((e): Timer[] => {
      if (e.payload.kind !== "timer-set" || stopped.has(e.payload.timerId)) return [];
      const { timerId, name, stepId, seconds, every } = e.payload;
      const setAt = timeOf(e);
      const heardAt = heard.get(timerId);
      if (!every && heardAt !== undefined && heardAt >= setAt + 1000 * seconds) return [];
      // An interval that nobody heard for an hour rings once, not three times.
      const rounds =
        heardAt === undefined ? 0 : Math.max(0, Math.floor((heardAt - setAt) / (1000 * seconds)));
      const dueAt = setAt + 1000 * seconds * (rounds + 1);
      return [
        { id: timerId, name, stepId, everyS: every ? seconds : null, setAt, dueAt, rings: now >= dueAt },
      ];
    })
    .sort((a, b) => a.dueAt - b.dueAt);
}

/** The last of a reduction is watched: so long before its mark it rings by itself, ms. Common practice, no source. */
const LAST_MINUTE_MS = 60_000;
const MOST_LEAD_MS = 5 * 60_000;

/**
 * What rings by itself before a reduction is there, with the mass it stands at then: a minute before, earlier where it
 * might be there sooner. `null` where the step ends by the clock, or somebody has heard it.
 *
 * @example 420 g to 90 g at 30 g a minute: rings at 120 g
 */
export function lastMinute(
  { step, status, legs }: StepProgress,
  forecast: LiveForecast | null,
  events: readonly RunEvent[],
  now: number,
): Timer | null {
  const leg = legs.at(-1);
  const course = leg && courseOf(leg.from, leg.foreseen);
  if (!leg || !course || status !== "live" || !forecast || forecast.paused || !kindOf(step).endsAtMark)
    return null;
  const leadMs = Math.min(MOST_LEAD_MS, Math.max(LAST_MINUTE_MS, forecast.endsAt - forecast.earliest));
  const dueAt = forecast.endsAt - leadMs;
  const id = `mark:${step.id}`;
  const heard = notTakenBack(events).findLast(
    ({ payload }) => payload.kind === "timer-heard" && payload.timerId === id,
  );
  // Moved far on, by water or a weaker flame, it rings once more.
  if (heard && timeOf(heard) >= dueAt - leadMs) return null;
  const endS = course.seconds.at(-1) ?? 0;
  const atG = interpolate(course.seconds, course.mass, endS - leadMs / 1000);
  return {
    id,
    name: `watch it from ${printMass(g(atG))}`,
    stepId: step.id,
    everyS: null,
    setAt: leg.at,
    dueAt,
    rings: now >= dueAt,
  };
}

/** A timer cooks set for such a step: name, minutes, again and again or once. */
export interface UsualTimer {
  readonly name: string;
  readonly minutes: number;
  readonly every: boolean;
}

/** Common practice, no source. */
const USUAL: Readonly<Partial<Record<Step["kind"], readonly UsualTimer[]>>> = {
  roast: [
    { name: "turn", minutes: 20, every: true },
    { name: "baste", minutes: 15, every: true },
  ],
  brown: [{ name: "turn", minutes: 4, every: true }],
  sweat: [{ name: "stir", minutes: 3, every: true }],
  simmer: [
    { name: "skim", minutes: 20, every: true },
    { name: "look at the flame", minutes: 45, every: true },
  ],
  braise: [{ name: "turn the meat", minutes: 45, every: true }],
  poach: [{ name: "look at the heat", minutes: 5, every: true }],
  reduce: [
    { name: "dip", minutes: 10, every: true },
    { name: "scrape the sides", minutes: 5, every: true },
  ],
  steep: [{ name: "taste it", minutes: 10, every: true }],
  cool: [{ name: "probe", minutes: 20, every: true }],
  hold: [{ name: "probe", minutes: 30, every: true }],
};

/** Timers to offer for a step, the whole of its planned time among them. */
export function usualTimers(step: Step, plannedS: number): UsualTimer[] {
  const minutes = Math.round(plannedS / 60);
  return [
    ...(USUAL[step.kind] ?? []).filter(timer => timer.minutes < minutes || !timer.every),
    ...(minutes >= 1 ? [{ name: "time is up", minutes, every: false }] : []),
  ];
}
