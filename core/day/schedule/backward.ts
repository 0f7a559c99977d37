import { type Compiled, type Piece, begun } from "./compiled";

/** Why a task ends when it does and not later. */
export type Because =
  | { readonly kind: "due" }
  | { readonly kind: "fixed" }
  | { readonly kind: "precedence"; readonly by: number }
  | {
      readonly kind: "resource";
      readonly resource: number;
      /** The last minute at which there was not enough of it. */
      readonly minute: number;
      /** The task that has it; `null` where it is closed. */
      readonly by: number | null;
    };

export interface Placed {
  readonly start: Int32Array;
  readonly because: readonly Because[];
  /** Oven of each segment, by task; −1 where none is needed. */
  readonly ovens: readonly (readonly number[])[];
  /** Tasks in the order they were placed. */
  readonly order: readonly number[];
}

/** A task that would have to begin before the plan does. */
export interface Beyond {
  readonly beyond: number;
}

interface Booked {
  readonly task: number;
  /** When the whole task begins. */
  readonly begins: number;
  readonly from: number;
  readonly to: number;
  readonly setting: number;
}

/** What stands in the way of a piece of work, and the shift that clears it. */
interface Clash {
  readonly shift: number;
  readonly resource: number;
  readonly minute: number;
}

/** Usage of every resource by the minute, with who books it. */
class Usage {
  private readonly used: Int16Array[];
  private readonly booked: Booked[][];

  constructor(
    private readonly plan: Compiled,
    private readonly earliest: number,
    latest: number,
  ) {
    const minutes = latest - earliest;
    this.used = plan.capacity.map(() => new Int16Array(minutes));
    this.booked = plan.capacity.map(() => []);
    for (const { resource, from, to, units } of plan.closed) this.add(resource, from, to, units);
  }

  private add(resource: number, from: number, to: number, units: number): void {
    const used = this.used[resource] as Int16Array;
    const end = Math.min(to - this.earliest, used.length);
    for (let m = Math.max(0, from - this.earliest); m < end; m++) used[m] = (used[m] as number) + units;
  }

  book(resource: number, units: number, booked: Booked): void {
    this.add(resource, booked.from, booked.to, units);
    this.booked[resource]?.push(booked);
  }

  /** The lowest minute at which there is not enough; every start that still covers it is ruled out by it. */
  clash(resource: number, from: number, to: number, units: number): Clash | null {
    const used = this.used[resource] as Int16Array;
    const room = (this.plan.capacity[resource] as number) - units;
    for (let m = from - this.earliest; m < to - this.earliest; m++)
      if ((used[m] as number) > room) {
        const minute = m + this.earliest;
        return { shift: to - minute, resource, minute };
      }
    return null;
  }

  /** As `clash`, for what is shared at one setting only and needs time to change. */
  clashAt(resource: number, from: number, to: number, units: number, setting: number): Clash | null {
    const { changeMin } = this.plan;
    let worst = this.clash(resource, from, to, units);
    for (const b of this.booked[resource] ?? []) {
      if (b.setting === setting || b.to + changeMin <= from || b.from - changeMin >= to) continue;
      const shift = to - (b.from - changeMin);
      if (!worst || shift > worst.shift) worst = { shift, resource, minute: Math.max(from, b.from) };
    }
    return worst;
  }

  /** Who has it at a minute: the task that began last. */
  holder(resource: number, minute: number): number | null {
    let found: Booked | null = null;
    for (const b of this.booked[resource] ?? []) {
      const near = b.setting >= 0 ? this.plan.changeMin : 0;
      if (b.from - near > minute || b.to + near <= minute) continue;
      if (!found || b.begins > found.begins || (b.begins === found.begins && b.task < found.task)) found = b;
    }
    return found?.task ?? null;
  }
}

/**
 * Places every task as late as it can be, from the end backwards: the one with the smallest rank of those whose
 * successors stand.
 * @param rank by task; smaller goes first
 * Source: docs/models.md "The day".
 */
export function placeBackward(plan: Compiled, rank: readonly number[]): Placed | Beyond {
  const { tasks, pieces, length, successors, predecessors, due, from } = plan;
  const fixed = tasks.map(task => task.fixedAt);
  const earliest = Math.min(from, ...tasks.map(task => task.fixedAt ?? from));
  const latest = Math.max(due, ...tasks.map((task, i) => (task.fixedAt ?? 0) + (length[i] ?? 0)));
  const usage = new Usage(plan, earliest, latest);
  const start = new Int32Array(tasks.length);
  const because: Because[] = tasks.map(() => ({ kind: "due" }));
  const ovens: (readonly number[])[] = tasks.map(() => []);
  const order: number[] = [];
  const waiting = successors.map(links => links.length);

  const book = (task: number, at: number, chosen: readonly number[]): void => {
    start[task] = at;
    ovens[task] = chosen;
    let m = at;
    pieces[task]?.forEach((piece, k) => {
      const booked = { task, begins: at, from: m, to: m + piece.minutes };
      for (const { resource, units } of piece.needs) usage.book(resource, units, { ...booked, setting: -1 });
      const oven = chosen[k] ?? -1;
      if (piece.oven && oven >= 0)
        usage.book(oven, piece.oven.units, { ...booked, setting: piece.oven.setting });
      m += piece.minutes;
    });
  };
  // What is fixed stands first; the rest is planned around it.
  tasks.forEach((_, i) => {
    const at = fixed[i];
    if (at === undefined) return;
    because[i] = { kind: "fixed" };
    book(i, at, fit(i, at + (length[i] as number)).chosen);
  });

  const open = new Set<number>(tasks.flatMap((_, i) => (waiting[i] ? [] : [i])));
  while (open.size) {
    let next = -1;
    for (const i of open) if (next < 0 || (rank[i] as number) < (rank[next] as number)) next = i;
    open.delete(next);
    order.push(next);
    if (fixed[next] === undefined) {
      const placed = place(next);
      if (!placed) return { beyond: next };
    }
    for (const { to } of predecessors[next] ?? []) {
      waiting[to] = (waiting[to] as number) - 1;
      if (!waiting[to]) open.add(to);
    }
  }
  return { start, because, ovens, order };

  function place(i: number): boolean {
    let end = Math.min(due, tasks[i]?.due ?? Infinity);
    let reason: Because = { kind: "due" };
    let bySuccessor = Infinity;
    for (const { to, lag } of successors[i] ?? []) {
      if (begun(plan, to)) continue;
      const most = (start[to] as number) - lag;
      if (most < bySuccessor) {
        bySuccessor = most;
        if (most <= end) reason = { kind: "precedence", by: to };
      }
    }
    end = Math.min(end, bySuccessor);
    let last: Clash | null = null;
    for (;;) {
      const begin = end - (length[i] as number);
      if (begin < from) return false;
      const { worst, chosen } = fit(i, end);
      if (!worst) {
        // Who stood in the way is asked once, of what decided.
        because[i] = last
          ? {
              kind: "resource",
              resource: last.resource,
              minute: last.minute,
              by: usage.holder(last.resource, last.minute),
            }
          : reason;
        book(i, begin, chosen);
        return true;
      }
      end -= worst.shift;
      last = worst;
    }
  }

  /** The largest shift any piece asks for, the last piece looked at first. */
  function fit(i: number, end: number): { worst: Clash | null; chosen: number[] } {
    const own = pieces[i] as readonly Piece[];
    const chosen: number[] = own.map(() => -1);
    let worst: Clash | null = null;
    let to = end;
    for (let k = own.length - 1; k >= 0; k--) {
      const piece = own[k] as Piece;
      const begin = to - piece.minutes;
      for (const { resource, units } of piece.needs) {
        const clash = usage.clash(resource, begin, to, units);
        if (clash && (!worst || clash.shift > worst.shift)) worst = clash;
      }
      if (piece.oven) {
        const found = ovenFor(usage, piece, begin, piece.minutes);
        if (found) {
          chosen[k] = found.resource;
          if (found.clash && (!worst || found.clash.shift > worst.shift)) worst = found.clash;
        }
      }
      to = begin;
    }
    return { worst, chosen };
  }
}

/** The oven that is free soonest, going backwards; the first of equals. */
function ovenFor(
  usage: Usage,
  piece: Piece,
  from: number,
  minutes: number,
): { resource: number; clash: Clash | null } | null {
  if (!piece.oven) return null;
  const { anyOf, units, setting } = piece.oven;
  let best: { resource: number; clash: Clash | null } | null = null;
  for (const resource of anyOf) {
    const clash = usage.clashAt(resource, from, from + minutes, units, setting);
    if (!best || (clash?.shift ?? 0) < (best.clash?.shift ?? 0)) best = { resource, clash };
  }
  return best;
}
