import { type Problem, type Result, ok, refuse } from "../../ground/result";

/** What is to be planned, in whole minutes from the start of the plan. */

/** An oven, or anything that many may share while it stands at one setting. */
export interface AtSetting {
  /** Any of these will do; the first that is free soonest is taken. */
  readonly anyOf: readonly string[];
  readonly units: number;
  /** "220 °C": who wants another must wait until it has changed. */
  readonly setting: string;
}

/** A piece of work without a pause. */
export interface Segment {
  readonly minutes: number;
  /** Units of each resource: `{ cook: 1, burner: 1 }`. */
  readonly use: Readonly<Record<string, number>>;
  readonly atSetting?: AtSetting;
}

export interface After {
  readonly id: string;
  /** Least minutes between the end of that one and the start of this. */
  readonly lag?: number;
  /** Most minutes, as long as what that one made keeps; without it as long as one likes. */
  readonly hold?: number;
}

/** A job: its segments follow each other at once. */
export interface Task {
  readonly id: string;
  /** As it is spoken of; the id without one. */
  readonly name?: string;
  readonly segments: readonly Segment[];
  readonly after?: readonly After[];
  /** Standard deviation of its length, minutes. */
  readonly sd?: number;
  /** Ready by; the end of the plan without one. */
  readonly due?: number;
  readonly notBefore?: number;
  /** Ready at the earliest so many minutes before the end of the plan. */
  readonly maxHold?: number;
  /** Begins here whatever the rest does: it is locked, on the fire or done. */
  readonly fixedAt?: number;
}

/** A time in which some of a resource is not there: nobody in the house, an oven let to the pastry. */
export interface Closed {
  readonly resource: string;
  readonly from: number;
  readonly to: number;
  readonly units: number;
  readonly why: string;
}

export interface ScheduleInput {
  readonly tasks: readonly Task[];
  readonly capacity: Readonly<Record<string, number>>;
  /** All work ends by then, minutes. */
  readonly due: number;
  /** Nothing that is not fixed begins before: it is now. */
  readonly from?: number;
  readonly closed?: readonly Closed[];
  /** Minutes a resource at a setting needs for another. */
  readonly changeMin?: number;
}

/** Two weeks. */
export const LONGEST_PLAN_MIN = 20_160;
export const MOST_TASKS = 1000;
/** An oven needs so long from one temperature to the other. Our estimate. */
export const OVEN_CHANGE_MIN = 10;

export const lengthOf = ({ segments }: Pick<Task, "segments">): number =>
  segments.reduce((sum, { minutes }) => sum + minutes, 0);

const problem = (code: Problem["code"], field: string, message: string): Problem => ({
  code,
  field,
  message,
});

const isWhole = (x: number, least: number): boolean => Number.isInteger(x) && x >= least;

/**
 * Whether a plan can be asked at all.
 * @errors OUT_OF_RANGE · DUPLICATE · UNKNOWN_ID · CYCLE · NOTHING_FITS
 */
export function checkInput(input: ScheduleInput): Result<readonly Task[]> {
  const { tasks, capacity, due } = input;
  if (!isWhole(due, 1) || due > LONGEST_PLAN_MIN)
    return refuse(
      problem(
        "OUT_OF_RANGE",
        "due",
        "A plan spans whole minutes, from one minute to two weeks. Choose a nearer day.",
      ),
    );
  if (tasks.length > MOST_TASKS)
    return refuse(
      problem("OUT_OF_RANGE", "tasks", `That is ${tasks.length} jobs; ${MOST_TASKS} can be planned at once.`),
    );
  const byId = new Map(tasks.map(task => [task.id, task]));
  const problems: Problem[] = [];
  if (byId.size < tasks.length) {
    const twice = tasks.find((task, i) => tasks.findIndex(t => t.id === task.id) < i);
    problems.push(
      problem("DUPLICATE", `tasks.${twice?.id ?? ""}`, `Two jobs are called ${twice?.id ?? ""}.`),
    );
  }
  for (const task of tasks) problems.push(...ownProblems(task, byId, capacity));
  if (problems.length) return refuse(...problems);
  const sorted = [...tasks].sort((a, b) => (a.id < b.id ? -1 : 1));
  const round = inRound(sorted);
  if (round.length)
    return refuse(
      problem(
        "CYCLE",
        "tasks",
        `Each of these waits for another of them: ${round.join(", ")}. Let one go first.`,
      ),
    );
  return ok(sorted);
}

function ownProblems(
  task: Task,
  byId: ReadonlyMap<string, Task>,
  capacity: Readonly<Record<string, number>>,
): Problem[] {
  const at = `tasks.${task.id}`;
  const found: Problem[] = [];
  if (!task.segments.length || task.segments.some(({ minutes }) => !isWhole(minutes, 1)))
    found.push(
      problem("OUT_OF_RANGE", at, `${task.name ?? task.id} needs pieces of whole minutes, one at least.`),
    );
  for (const { use, atSetting } of task.segments) {
    for (const [resource, units] of Object.entries(use)) {
      const has = capacity[resource] ?? 0;
      if (!Number.isInteger(units) || units < 0)
        found.push(
          problem(
            "OUT_OF_RANGE",
            at,
            `${task.name ?? task.id} asks for ${units} of ${resource}: say a whole number.`,
          ),
        );
      else if (units > has)
        found.push(
          problem(
            "NOTHING_FITS",
            at,
            `${task.name ?? task.id} needs ${units} of ${resource}, and there ${has === 1 ? "is" : "are"} ${has}: it never fits.`,
          ),
        );
    }
    if (atSetting && !atSetting.anyOf.some(r => (capacity[r] ?? 0) >= atSetting.units))
      found.push(
        problem(
          "NOTHING_FITS",
          at,
          `${task.name ?? task.id} needs ${atSetting.units} at ${atSetting.setting}, and none of ${atSetting.anyOf.join(", ") || "the ovens"} has so much room.`,
        ),
      );
  }
  for (const { id, lag = 0, hold } of task.after ?? []) {
    if (!byId.has(id) || id === task.id)
      found.push(
        problem("UNKNOWN_ID", at, `${task.name ?? task.id} waits for ${id}, which is not in the plan.`),
      );
    if (!isWhole(lag, 0) || (hold !== undefined && !(hold >= lag)))
      found.push(
        problem(
          "OUT_OF_RANGE",
          at,
          `Between ${id} and ${task.id}: the least wait is a whole number, and the most is not less.`,
        ),
      );
  }
  return found;
}

/** Jobs that wait for each other, if any. */
function inRound(tasks: readonly Task[]): string[] {
  const open = new Map(tasks.map(task => [task.id, new Set((task.after ?? []).map(a => a.id))]));
  for (;;) {
    const free = [...open].filter(([, waits]) => !waits.size).map(([id]) => id);
    if (!free.length) return [...open.keys()];
    for (const id of free) open.delete(id);
    for (const waits of open.values()) for (const id of free) waits.delete(id);
  }
}
