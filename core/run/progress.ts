import {
  type Course,
  type PairPace,
  type StateAfterStep,
  type Step,
  type Tick,
  courseOf,
  kindOf,
} from "../formula";
import type { Grams } from "../ground/quantity";
import type { PotState } from "../things/pot";
import type { Vessel } from "../things/vessel";
import type { CLARITY, GLOSS, Instrument } from "./payloads";

export type StepStatus = "waiting" | "live" | "done" | "skipped";

/** A reading as it stands in the pot: what was read, and the mass or temperature it means. */
export interface Reading {
  readonly eventId: string;
  readonly at: number;
  readonly personId: string;
  readonly kind: "weighed" | "dipped" | "probed" | "jugged" | "noted" | "added" | "measured" | "looked";
  /** Everything in the pot, where the reading tells it. */
  readonly massG?: Grams;
  readonly levelMm?: number;
  readonly temperatureC?: number;
  readonly where?: "pot" | "oven";
  readonly volumeMl?: number;
  readonly text?: string;
  readonly lineId?: string;
  readonly what?: Instrument;
  readonly value?: number;
  readonly gloss?: (typeof GLOSS)[number];
  readonly clarity?: (typeof CLARITY)[number];
  /** 1 pale to 6 dark, beside the house’s reference. */
  readonly colour?: number;
  readonly photoId?: string;
  /** What the plan said there, for comparison. */
  readonly plannedG?: Grams;
}

/** What a cook changed of a step under way. */
export interface Turn {
  readonly eventId: string;
  readonly at: number;
  readonly personId: string;
  /** In a few words: "to Burner 3", "lid on", "500 g water in". */
  readonly words: string;
  /** What came or went, g; 0 where only the heat was changed. */
  readonly massG: number;
}

/** A stretch of a step between two changes: what stood where, and what it was to become from there. */
export interface Leg {
  /** When it begins, ms by the common clock. */
  readonly at: number;
  readonly from: PotState;
  readonly vessel: Vessel | null;
  readonly foreseen: StateAfterStep;
  /** What changed at its beginning; `null` for the first. */
  readonly turn: Turn | null;
  /** Off the fire: nothing boils away, and the step waits. */
  readonly paused: boolean;
}

export interface StepProgress {
  readonly step: Step;
  readonly status: StepStatus;
  readonly begunAt: number | null;
  readonly doneAt: number | null;
  /** What the formula foresaw. */
  readonly planned: StateAfterStep;
  /** The pot when the step began, and where it stood. */
  readonly from: PotState;
  readonly fromVessel: Vessel | null;
  /** The burner for its vessel, where it does not choose one itself; `null`: off the fire. */
  readonly burnerId: string | null;
  /** What its pot on its burner had been found to do when the run was put on. */
  readonly learned: PairPace | null;
  /** What this pot is foreseen to become, from how it really stood at the start and after each change. */
  readonly foreseen: StateAfterStep | null;
  /** The stretches of a step that is begun; the last is the one at work. */
  readonly legs: readonly Leg[];
  /** All that was done to it by hand besides the formula, skims too. */
  readonly turns: readonly Turn[];
  readonly readings: readonly Reading[];
  /** What was ticked off. */
  readonly ticked: readonly string[];
  /** Locks that were opened, and why. */
  readonly overridden: readonly {
    readonly what: string;
    readonly reason: string;
    readonly personId: string;
  }[];
}

/** A step that goes to a mark and has a cue of its own ends when both are there: the mark is read, the cue ticked. */
const bothCues = ({ step }: StepProgress): Tick[] => {
  const toWeight = kindOf(step).endsAtMark || ("lossPct" in step && step.lossPct !== undefined);
  // What is dried is weighed and listened to.
  const cue = step.cue ?? (step.kind === "dry" ? kindOf(step).cue : undefined);
  return cue && toWeight ? [{ what: `Seen and heard: ${cue}`, before: "end" }] : [];
};

/** What of a step is still to be ticked off before it can go on: begin while it waits, end while it is live. */
export const openTicks = (progress: StepProgress): string[] =>
  [...(kindOf(progress.step).ticks?.(progress.step) ?? []), ...bothCues(progress)]
    .filter(tick => tick.before === (progress.status === "waiting" ? "begin" : "end"))
    .map(tick => tick.what)
    .filter(what => !progress.ticked.includes(what));

/** The stretch a moment falls into. */
export const legAt = (legs: readonly Leg[], at: number): Leg | undefined =>
  legs.findLast(leg => leg.at <= at) ?? legs[0];

/**
 * How everything in the pot was to run through the step, change by change, in seconds since it began. `null` where nothing
 * is foreseen to change by itself.
 */
export function courseSoFar({
  legs,
  begunAt,
  from,
  foreseen,
}: Pick<StepProgress, "legs" | "begunAt" | "from" | "foreseen">): Course | null {
  // prettier-ignore
  if (begunAt === null || !legs.length) return foreseen && courseOf(from, foreseen);
  const parts = legs.map((leg, i) => {
    const own = leg.paused ? null : courseOf(leg.from, leg.foreseen);
    const startS = (leg.at - begunAt) / 1000;
    const endS = ((legs[i + 1]?.at ?? Infinity) - begunAt) / 1000;
    if (!own) return null;
    const kept = own.seconds.map((at, j) => [at + startS, j] as const).filter(([at]) => at <= endS);
    return {
      seconds: kept.map(([at]) => at),
      mass: kept.map(([, j]) => own.mass[j] ?? 0),
      temperature: kept.map(([, j]) => own.temperature[j] ?? 0),
    };
  });
  const all = parts.filter(part => part !== null);
  return all.length
    ? {
        seconds: all.flatMap(part => part.seconds),
        mass: all.flatMap(part => part.mass),
        temperature: all.flatMap(part => part.temperature),
      }
    : null;
}
