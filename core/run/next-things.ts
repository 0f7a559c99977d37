import { type Attention, kindOf } from "../formula";
import type { LiveForecast } from "./forecast";
import type { RunState } from "./fold";
import type { Timer } from "./timers";

/** What a section has to do next, in order of time, and where two things want the same pair of eyes. */

/** A stretch in which somebody has to stand by, ms. */
interface Watch {
  readonly from: number;
  readonly to: number;
}

export interface NextThing {
  /** Of which pot. */
  readonly key: string;
  readonly at: number;
  readonly what: "mark" | "begin" | "timer" | "handed over";
  readonly words: string;
  /** Not begun, or over its time. */
  readonly late: boolean;
  readonly watch: Watch | null;
  /** With which other pot it wants watching at the same time, and when it could be begun instead. */
  readonly clash: { readonly key: string; readonly betterAt: number } | null;
}

export interface PotAhead {
  readonly key: string;
  readonly state: RunState;
  readonly forecast: LiveForecast | null;
  readonly timers: readonly Timer[];
}

/** Before its mark a reduction is not left alone, ms. Common practice, no source. */
const LAST_MINUTES_MS = 5 * 60_000;
const MINUTE_MS = 60_000;

const attentionOf = (state: RunState, index: number): Attention | null => {
  const step = state.steps[index]?.step;
  return step ? kindOf(step).attention : null;
};

/**
 * The next things of all pots.
 *
 * A step that must be watched takes its cook from its beginning to its end; one that ends at a mark, for the last minutes.
 * Of two that overlap, the one that is not begun can wait until the other is through.
 *
 * @example cream 17:00–17:12 and a caramel at 17:05, both watched: better at 17:13
 */
export function nextThings(pots: readonly PotAhead[], now: number): NextThing[] {
  const things = pots.flatMap(pot => thingsOf(pot, now)).sort((a, b) => a.at - b.at);
  return things.map(thing => {
    if (thing.what !== "begin" || !thing.watch) return thing;
    const { from, to } = thing.watch;
    const other = things
      .filter(one => one.key !== thing.key && one.watch && one.watch.from < to && from < one.watch.to)
      .filter(
        one => one.what !== "begin" || one.at < thing.at || (one.at === thing.at && one.key < thing.key),
      )
      .sort((a, b) => (b.watch?.to ?? 0) - (a.watch?.to ?? 0))[0];
    return other?.watch
      ? { ...thing, clash: { key: other.key, betterAt: other.watch.to + MINUTE_MS } }
      : thing;
  });
}

function thingsOf({ key, state, forecast, timers }: PotAhead, now: number): NextThing[] {
  const plain = { key, late: false, watch: null, clash: null };
  const found: NextThing[] = timers.map(timer => ({
    ...plain,
    at: Math.max(timer.dueAt, timer.rings ? now : 0),
    what: "timer",
    words: timer.name,
    late: timer.rings,
  }));
  const { handOver } = state.told;
  if (handOver?.nextAt != null && state.finishedAt === null)
    found.push({
      ...plain,
      at: handOver.nextAt,
      what: "handed over",
      words: handOver.next,
      late: handOver.nextAt < now,
    });
  const progress = state.steps[state.current];
  if (!progress) return found;
  // A pot without a formula has no next thing of its own.
  if (progress.status === "live" && !forecast) return found;
  if (progress.status !== "live" || !forecast) {
    found.push(begins(state, state.current, now, plain));
    return found;
  }
  const watched = attentionOf(state, state.current) === "watch";
  const toMark = kindOf(progress.step).endsAtMark;
  found.push({
    ...plain,
    at: forecast.endsAt,
    what: "mark",
    words: "",
    late: forecast.late,
    watch: forecast.paused
      ? null
      : watched
        ? { from: progress.begunAt ?? now, to: forecast.endsAt }
        : toMark
          ? { from: forecast.endsAt - LAST_MINUTES_MS, to: forecast.endsAt }
          : null,
  });
  if (state.steps[state.current + 1] && attentionOf(state, state.current + 1) === "watch")
    found.push(begins(state, state.current + 1, Math.max(now, forecast.endsAt), plain));
  return found;
}

function begins(
  state: RunState,
  index: number,
  at: number,
  plain: Pick<NextThing, "key" | "late" | "watch" | "clash">,
): NextThing {
  const progress = state.steps[index];
  const lasts = 1000 * ((progress?.foreseen ?? progress?.planned)?.durationS ?? 0);
  return {
    ...plain,
    at,
    what: "begin",
    words: progress
      ? kindOf(progress.step).title(
          progress.step,
          progress.planned.lines.map(line => line.name),
        )
      : "",
    watch: attentionOf(state, index) === "watch" ? { from: at, to: at + lasts } : null,
  };
}
