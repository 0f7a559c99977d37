import { type Closed, type ScheduleInput, type Task, lengthOf } from "./task";

/** A plan’s input with names turned into numbers once, so that a dozen runs compare integers only. */

export interface Need {
  readonly resource: number;
  readonly units: number;
}

export interface Piece {
  readonly minutes: number;
  readonly needs: readonly Need[];
  readonly oven: {
    readonly anyOf: readonly number[];
    readonly units: number;
    readonly setting: number;
  } | null;
}

export interface Link {
  readonly to: number;
  readonly lag: number;
  readonly hold: number;
}

export interface Compiled {
  /** By id: the order of what is compiled, whatever order they came in. */
  readonly tasks: readonly Task[];
  readonly pieces: readonly (readonly Piece[])[];
  readonly length: readonly number[];
  /** Who comes after each, and before it. */
  readonly successors: readonly (readonly Link[])[];
  readonly predecessors: readonly (readonly Link[])[];
  readonly resources: readonly string[];
  readonly capacity: readonly number[];
  readonly settings: readonly string[];
  readonly closed: readonly (Omit<Closed, "resource"> & { readonly resource: number })[];
  readonly due: number;
  readonly from: number;
  readonly changeMin: number;
}

/** @param tasks sorted and checked: see `checkInput` */
export function compile(input: ScheduleInput, tasks: readonly Task[], changeMin: number): Compiled {
  const resources = Object.keys(input.capacity);
  const numberOf = new Map(resources.map((name, i) => [name, i]));
  const at = (name: string): number => numberOf.get(name) ?? -1;
  const settings = [...new Set(tasks.flatMap(t => t.segments.flatMap(s => s.atSetting?.setting ?? [])))];
  const index = new Map(tasks.map(({ id }, i) => [id, i]));
  const successors: Link[][] = tasks.map(() => []);
  const predecessors: Link[][] = tasks.map(() => []);
  tasks.forEach((task, to) => {
    for (const { id, lag = 0, hold = Infinity } of task.after ?? []) {
      const from = index.get(id) as number;
      successors[from]?.push({ to, lag, hold });
      predecessors[to]?.push({ to: from, lag, hold });
    }
  });
  return {
    tasks,
    pieces: tasks.map(task =>
      task.segments.map(({ minutes, use, atSetting }) => ({
        minutes,
        needs: Object.entries(use)
          .map(([name, units]) => ({ resource: at(name), units }))
          .filter(need => need.units > 0)
          .sort((a, b) => a.resource - b.resource),
        oven: atSetting
          ? {
              anyOf: atSetting.anyOf
                .map(at)
                .filter(r => r >= 0 && (input.capacity[resources[r] as string] ?? 0) >= atSetting.units),
              units: atSetting.units,
              setting: settings.indexOf(atSetting.setting),
            }
          : null,
      })),
    ),
    length: tasks.map(lengthOf),
    successors,
    predecessors,
    resources,
    capacity: resources.map(name => input.capacity[name] ?? 0),
    settings,
    closed: (input.closed ?? []).flatMap(closed =>
      numberOf.has(closed.resource) ? [{ ...closed, resource: at(closed.resource) }] : [],
    ),
    due: input.due,
    from: input.from ?? 0,
    changeMin,
  };
}

/** Whether a task stands begun: whatever it waited for has been there. */
export const begun = ({ tasks, from }: Pick<Compiled, "tasks" | "from">, task: number): boolean =>
  (tasks[task]?.fixedAt ?? Infinity) < from;

/** Longest way to each task from the beginning, itself included; and from it to the end, itself included. */
export function paths({ tasks, length, predecessors, successors }: Compiled): {
  readonly head: readonly number[];
  readonly tail: readonly number[];
} {
  const longest = (links: readonly (readonly Link[])[]): number[] => {
    const known: (number | undefined)[] = tasks.map(() => undefined);
    const of = (i: number): number =>
      (known[i] ??= (length[i] ?? 0) + Math.max(0, ...(links[i] ?? []).map(({ to, lag }) => of(to) + lag)));
    return tasks.map((_, i) => of(i));
  };
  return { head: longest(predecessors), tail: longest(successors) };
}
