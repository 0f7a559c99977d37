import type { Burner } from "../laws/reduction";
import { roomOn } from "../kit";
import type { Job } from "./jobs";
import type { ScheduledTask } from "./schedule";

/** Who and where, once the schedule has said when: it counts cooks and burners, people want names. */

export interface Stand {
  readonly burnerId: string;
  readonly from: number;
  readonly to: number;
}

export interface Hands {
  readonly personId: string;
  readonly from: number;
  readonly to: number;
}

export interface Assigned {
  readonly stands: readonly Stand[];
  readonly hands: readonly Hands[];
}

interface Span {
  readonly jobId: string;
  readonly from: number;
  readonly to: number;
}

/** Times a job needs a resource without a break. */
function spansOf(job: Job, start: number, resource: string): Span[] {
  const spans: Span[] = [];
  let m = start;
  for (const { minutes, use } of job.task.segments) {
    const last = spans.at(-1);
    if ((use[resource] ?? 0) > 0) {
      if (last?.to === m) spans[spans.length - 1] = { ...last, to: m + minutes };
      else spans.push({ jobId: job.id, from: m, to: m + minutes });
    }
    m += minutes;
  }
  return spans;
}

const leastTaken = (
  places: readonly string[],
  taken: ReadonlyMap<string, readonly Span[]>,
): string | undefined =>
  places.reduce<string | undefined>(
    (best, place) =>
      best === undefined || (taken.get(place)?.length ?? 0) < (taken.get(best)?.length ?? 0) ? place : best,
    undefined,
  );

/** Gives each span a place that is free all along: where its job was last, its own wish, then the one least in use. */
function give(
  spans: readonly Span[],
  places: readonly string[],
  room: (place: string) => number,
  wish: (jobId: string) => string | undefined,
): Map<Span, string> {
  const taken = new Map<string, Span[]>(places.map(place => [place, []]));
  const lastOf = new Map<string, string>();
  const given = new Map<Span, string>();
  for (const span of [...spans].sort((a, b) => a.from - b.from || (a.jobId < b.jobId ? -1 : 1))) {
    const free = (place: string): boolean =>
      (taken.get(place) ?? []).filter(other => other.from < span.to && other.to > span.from).length <
      room(place);
    const wanted = [lastOf.get(span.jobId), wish(span.jobId)].find(
      p => p !== undefined && taken.has(p) && free(p),
    );
    const place = wanted ?? leastTaken(places.filter(free), taken);
    if (place === undefined) continue;
    taken.get(place)?.push(span);
    lastOf.set(span.jobId, place);
    given.set(span, place);
  }
  return given;
}

/**
 * Burners and people of a plan. Where a count was enough for the schedule, a name is found for it; a job keeps its burner
 * and its cook where it can.
 * @param wishedBurner the burner its walk was worked out on, by job
 */
export function assign(
  jobs: readonly Job[],
  planned: readonly ScheduledTask[],
  burners: readonly Burner[],
  people: readonly string[],
  wishedBurner: (jobId: string) => string | undefined,
): Map<string, Assigned> {
  const startOf = new Map(planned.map(task => [task.id, task.start]));
  const spans = (resource: string) =>
    jobs.flatMap(job => {
      const start = startOf.get(job.id);
      return start === undefined ? [] : spansOf(job, start, resource);
    });
  const roomBy = new Map(burners.map(b => [b.id, roomOn(b)]));
  const onFire = give(
    spans("burner"),
    burners.map(b => b.id),
    place => roomBy.get(place) ?? 1,
    wishedBurner,
  );
  const byHand = give(
    spans("cook"),
    people,
    () => 1,
    () => undefined,
  );
  return new Map(
    jobs.map(job => [
      job.id,
      {
        stands: [...onFire]
          .filter(([span]) => span.jobId === job.id)
          .map(([{ from, to }, burnerId]) => ({ burnerId, from, to })),
        hands: [...byHand]
          .filter(([span]) => span.jobId === job.id)
          .map(([{ from, to }, personId]) => ({ personId, from, to })),
      },
    ]),
  );
}
