import type { Placed } from "./backward";
import { type Compiled, paths } from "./compiled";

/** What a schedule says once it is found: when each job is and why, and which of them decide the day. */

export type Reason =
  | { readonly kind: "due" }
  | { readonly kind: "fixed" }
  | { readonly kind: "precedence"; readonly task: string }
  | {
      readonly kind: "resource";
      readonly resource: string;
      readonly minute: number;
      /** Who has it; `null` where it is closed. */
      readonly task: string | null;
    };

export const RULES = ["head", "lf", "work", "hold", "combo"] as const;
export type Rule = (typeof RULES)[number];

export interface Violation {
  readonly task: string;
  readonly minutes: number;
  /** Waits longer than it keeps, is ready too early, begins before it may, stands where something else does. */
  readonly kind: "hold" | "maxHold" | "notBefore" | "order" | "due";
  /** Whom it waits for, where it waits. */
  readonly for?: string;
}

export interface ScheduledTask {
  readonly id: string;
  readonly start: number;
  readonly finish: number;
  readonly reason: Reason;
  /** How much earlier it could begin without anything else moving, resources left aside. */
  readonly slack: number;
  /** Oven of each segment; `null` where none is needed. */
  readonly ovens: readonly (string | null)[];
}

export interface Schedule {
  /** By id. */
  readonly tasks: readonly ScheduledTask[];
  /** The jobs that decide the day, from the first to what is due. */
  readonly chain: readonly string[];
  /** Minutes of violations, length of the day, minutes of waiting. */
  readonly objective: readonly [violations: number, length: number, waiting: number];
  readonly violations: readonly Violation[];
  readonly rule: Rule;
  readonly runs: number;
}

/** One arrangement that was tried. */
export interface Tried {
  readonly placed: Placed;
  readonly objective: Schedule["objective"];
  readonly violations: readonly Violation[];
  readonly rule: Rule;
}

export const startOf = (placed: Placed, i: number): number => placed.start[i] as number;
export const finishOf = (plan: Compiled, placed: Placed, i: number): number =>
  startOf(placed, i) + (plan.length[i] as number);

/** From the task that begins first along what binds each, until something is due. */
export function chainOf(plan: Compiled, placed: Placed): number[] {
  let at = 0;
  plan.tasks.forEach((_, i) => {
    if (startOf(placed, i) < startOf(placed, at)) at = i;
  });
  const chain = [at];
  for (;;) {
    const reason = placed.because[at];
    const next = reason?.kind === "precedence" ? reason.by : reason?.kind === "resource" ? reason.by : null;
    if (next === null || chain.includes(next)) return chain;
    chain.push(next);
    at = next;
  }
}

export function told(plan: Compiled, { placed, objective, violations, rule }: Tried, runs: number): Schedule {
  const id = (i: number): string => plan.tasks[i]?.id ?? "";
  const first = plan.due - objective[1];
  const { head } = paths(plan);
  return {
    tasks: plan.tasks.map((task, i) => {
      const start = startOf(placed, i);
      const room = (plan.successors[i] ?? []).map(
        ({ to, hold }) => hold - (startOf(placed, to) - finishOf(plan, placed, i)),
      );
      const early = start - (first + (head[i] as number) - (plan.length[i] as number));
      const kept =
        task.maxHold === undefined ? Infinity : task.maxHold - (plan.due - finishOf(plan, placed, i));
      return {
        id: task.id,
        start,
        finish: finishOf(plan, placed, i),
        reason: reasonOf(placed.because[i], plan),
        slack: Math.max(0, Math.min(early, kept, ...room)),
        ovens: (placed.ovens[i] ?? []).map(r => (r < 0 ? null : (plan.resources[r] ?? null))),
      };
    }),
    chain: chainOf(plan, placed).map(id),
    objective,
    violations,
    rule,
    runs,
  };
}

function reasonOf(because: Placed["because"][number] | undefined, plan: Compiled): Reason {
  const id = (i: number): string => plan.tasks[i]?.id ?? "";
  if (!because || because.kind === "due") return { kind: "due" };
  if (because.kind === "fixed") return { kind: "fixed" };
  if (because.kind === "precedence") return { kind: "precedence", task: id(because.by) };
  return {
    kind: "resource",
    resource: plan.resources[because.resource] ?? "",
    minute: because.minute,
    task: because.by === null ? null : id(because.by),
  };
}
