import type { Kitchen } from "../formula";
import { type Result, ok } from "../ground/result";
import { type Assigned, assign } from "./assign";
import { type Job, capacityOf, jobsOf } from "./jobs";
import { type InStock, type MenuLine, type Need, needsOf } from "./needs";
import {
  type Buffered,
  type Closed,
  type Confidence,
  type ScheduledTask,
  scheduleWithBuffer,
} from "./schedule";

/** A day of a kitchen, planned. */

const DAY_MIN = 1440;
/** A long stock is begun so many days ahead at most. */
export const DAYS_AHEAD = 2;

/** Where a cook has put a job, or how far it has come. */
export interface Pinned {
  /** Minute of the plan it begins at. */
  readonly startMin: number;
  /** Its length where that is not what the sums say. */
  readonly minutes?: number;
}

export interface DayInput {
  readonly menu: readonly MenuLine[];
  /** Minute of service from the beginning of its day. */
  readonly serviceMin: number;
  readonly cooks: readonly string[];
  readonly stock: readonly InStock[];
  /** Burners, ovens and other gear that are not to be had. */
  readonly without: readonly string[];
  /** Minutes of each day of the plan in which nobody is in the house; `null`: work at any hour. */
  readonly house: { readonly opensMin: number; readonly closesMin: number } | null;
  /** Further times, in minutes of the plan. */
  readonly closed: readonly Closed[];
  /** By job. */
  readonly pinned: Readonly<Record<string, Pinned>>;
  /** It is now this minute of the plan; nothing new begins before. `null` for a day that is not yet near. */
  readonly nowMin: number | null;
  readonly confidence?: Confidence;
}

export interface PlannedJob {
  readonly job: Job;
  readonly task: ScheduledTask;
  readonly assigned: Assigned;
  readonly pinned: boolean;
}

export interface DayPlan {
  readonly needs: readonly Need[];
  readonly jobs: readonly PlannedJob[];
  readonly schedule: Buffered;
  /** Times in which cooks or gear are not there. */
  readonly closed: readonly Closed[];
  /** Minute of service in the plan, which begins `DAYS_AHEAD` days before at midnight. */
  readonly dueMin: number;
  readonly midnightMin: number;
}

export const NOBODY_HERE = "nobody is in the house";

/**
 * A day planned from its menu: what is needed beyond the stock, in which pots, when each begins, where and by whom.
 * @errors as `schedule`
 */
export function planDay(input: DayInput, kitchen: Kitchen): Result<DayPlan> {
  const midnightMin = DAYS_AHEAD * DAY_MIN;
  const dueMin = midnightMin + input.serviceMin;
  const capacity = capacityOf(kitchen, input.cooks.length, new Set(input.without));
  const needs = needsOf(input.menu, kitchen, input.stock);
  const readyMin = new Map<string, number>();
  for (const line of input.menu)
    readyMin.set(line.formulaId, Math.max(line.readyMin, readyMin.get(line.formulaId) ?? 0));
  const jobs = jobsOf(needs, kitchen, capacity, { dueMin, midnightMin, readyMin }).map(job =>
    withPin(job, input.pinned[job.id]),
  );
  const closed = [...nights(input, dueMin), ...input.closed];
  const found = scheduleWithBuffer(
    {
      tasks: jobs.map(job => job.task),
      capacity,
      due: dueMin,
      from: input.nowMin === null ? 0 : Math.max(0, Math.floor(input.nowMin)),
      closed,
    },
    input.confidence,
  );
  if (!found.ok) return found;
  const burnerOf = new Map(
    needs.flatMap(need =>
      need.batches.map(batch => [batch.id, batch.walked.states.find(s => s.fire)?.fire?.burner.id] as const),
    ),
  );
  const batchOf = new Map(jobs.map(job => [job.id, job.batchId]));
  const assigned = assign(
    jobs,
    found.value.plan.tasks,
    kitchen.data.burners.filter(b => !input.without.includes(b.id)),
    input.cooks,
    id => burnerOf.get(batchOf.get(id) ?? ""),
  );
  const taskOf = new Map(found.value.plan.tasks.map(task => [task.id, task]));
  return ok({
    needs,
    jobs: jobs.flatMap(job => {
      const task = taskOf.get(job.id);
      return task
        ? [
            {
              job,
              task,
              assigned: assigned.get(job.id) ?? { stands: [], hands: [] },
              pinned: input.pinned[job.id] !== undefined,
            },
          ]
        : [];
    }),
    schedule: found.value,
    closed,
    dueMin,
    midnightMin,
  });
}

/** A job where a cook has put it, drawn out or shortened in its longest piece. */
function withPin(job: Job, pin: Pinned | undefined): Job {
  if (!pin) return job;
  const { segments } = job.task;
  const length = segments.reduce((sum, s) => sum + s.minutes, 0);
  const more = pin.minutes === undefined ? 0 : Math.round(pin.minutes) - length;
  const longest = segments.reduce((best, s, i) => (s.minutes > (segments[best]?.minutes ?? 0) ? i : best), 0);
  return {
    ...job,
    task: {
      ...job.task,
      fixedAt: Math.round(pin.startMin),
      segments: segments.map((s, i) =>
        i === longest ? { ...s, minutes: Math.max(1, s.minutes + more) } : s,
      ),
    },
  };
}

/** Hours in which all cooks are away; a pot may simmer through them, hands may not touch it. */
function nights({ house, cooks }: DayInput, dueMin: number): Closed[] {
  if (!house || house.closesMin <= house.opensMin) return [];
  const closed: Closed[] = [];
  for (let day = 0; day <= DAYS_AHEAD + 1; day++) {
    const from = day * DAY_MIN + house.closesMin - DAY_MIN;
    const to = day * DAY_MIN + house.opensMin;
    if (from < dueMin + DAY_MIN)
      closed.push({ resource: "cook", from: Math.max(0, from), to, units: cooks.length, why: NOBODY_HERE });
  }
  return closed;
}
