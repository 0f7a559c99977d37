import type { Step } from "../formula";
import { type RunEvent, timeOf } from "./events";
import { notTakenBack } from "./fold";

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
