import { normalShare } from "../../ground/distributions";
import { type Result, ok } from "../../ground/result";
import { schedule } from "./plan";
import type { ScheduleInput, Task } from "./task";
import type { Schedule } from "./told";

/** How far a plan stands off its end, so that it holds where reductions take longer; and how late it is where it does not fit. */

/** Standard deviations a plan stands off its end for so much confidence. */
export const CONFIDENCE = { "80 %": 0.8416, "90 %": 1.2816 } as const;
export type Confidence = keyof typeof CONFIDENCE;

/**
 * Minutes to stand off the end so that the chain is on time with so much confidence: jobs as uncertain as theirs, taken
 * together. @example sd 5, 20, 12 and 3 at 80 % → 20.23
 * Source: docs/models.md "The day": independent deviations add as squares.
 */
export const bufferOf = (
  chain: readonly string[],
  tasks: readonly Task[],
  confidence: Confidence = "80 %",
): number => CONFIDENCE[confidence] * sdOf(chain, tasks);

export const sdOf = (chain: readonly string[], tasks: readonly Task[]): number =>
  Math.sqrt(chain.reduce((sum, id) => sum + (tasks.find(task => task.id === id)?.sd ?? 0) ** 2, 0));

export interface Buffered {
  readonly plan: Schedule;
  /** Minutes the plan stands off its end. */
  readonly bufferMin: number;
  /** How likely the chain is ready by the end, 0–1; `null` where nothing in it is uncertain. */
  readonly onTime: number | null;
  /** Minutes the end had to be moved for the plan to fit; 0 where it fits. */
  readonly lateMin: number;
}

/** Coarse steps first, then to the minute. */
const LATENESS = [15, 30, 60, 120, 240, 480, 960, 1440];

/**
 * The plan with its buffer; without the buffer where there is no room for it, and later than wished where nothing else
 * is possible – with the least lateness that was found, never with an empty sheet.
 * @errors as `schedule` but HORIZON, which is given only where a day later is not enough
 */
export function scheduleWithBuffer(input: ScheduleInput, confidence: Confidence = "80 %"): Result<Buffered> {
  const first = schedule(input);
  if (!first.ok) {
    if (first.problems[0]?.code !== "HORIZON") return first;
    return late(input, first);
  }
  const wanted = Math.ceil(bufferOf(first.value.chain, input.tasks, confidence));
  // Less room than the buffer wants: half of it, or none; what is left of the time says how likely the plan holds.
  const { plan, bufferMin } = [wanted, Math.ceil(wanted / 2)]
    .filter(minutes => minutes > 0 && minutes < input.due)
    .reduce<{ plan: Schedule; bufferMin: number } | null>((found, minutes) => {
      if (found) return found;
      const tried = schedule(earlierBy(minutes, input));
      return tried.ok && worthIt(tried.value, first.value, minutes)
        ? { plan: tried.value, bufferMin: minutes }
        : null;
    }, null) ?? { plan: first.value, bufferMin: 0 };
  const sd = sdOf(plan.chain, input.tasks);
  return ok({ plan, bufferMin, onTime: sd > 0 ? normalShare(bufferMin / sd) : null, lateMin: 0 });
}

/** A buffer may cost the day so many minutes more than itself. */
const MOST_LONGER_MIN = 60;

/** No limit more is broken for it, and nobody comes the evening before. */
const worthIt = (tried: Schedule, first: Schedule, minutes: number): boolean =>
  tried.objective[0] <= first.objective[0] &&
  tried.objective[1] <= first.objective[1] + minutes + MOST_LONGER_MIN;

/**
 * Everything ready so many minutes sooner; what would not hold so long keeps its own time.
 */
const earlierBy = (buffer: number, input: ScheduleInput): ScheduleInput => ({
  ...input,
  tasks: input.tasks.map(task =>
    task.maxHold !== undefined && task.maxHold < 2 * buffer
      ? task
      : { ...task, due: Math.min(task.due ?? input.due, input.due) - buffer },
  ),
});

function late(input: ScheduleInput, refused: Result<Schedule>): Result<Buffered> {
  const by = (minutes: number): Schedule | null => {
    const later = schedule({
      ...input,
      due: input.due + minutes,
      tasks: input.tasks.map(task => (task.due === undefined ? task : { ...task, due: task.due + minutes })),
    });
    return later.ok ? later.value : null;
  };
  let most = LATENESS.find(minutes => by(minutes));
  if (most === undefined) return refused as Result<never>;
  let least = LATENESS[LATENESS.indexOf(most) - 1] ?? 0;
  while (most - least > 1) {
    const middle = Math.floor((most + least) / 2);
    if (by(middle)) most = middle;
    else least = middle;
  }
  const plan = by(most);
  return plan ? ok({ plan, bufferMin: 0, onTime: 0, lateMin: most }) : (refused as Result<never>);
}
