import { errorFunction } from "simple-statistics";
import { type Result, ok, refuse } from "../../ground/result";
import { type Beyond, type Placed, placeBackward } from "./backward";
import { type Compiled, begun, compile, paths } from "./compiled";
import { OVEN_CHANGE_MIN, type ScheduleInput, type Task, checkInput } from "./task";

/** Standard deviations a plan stands off its end for so much confidence. */
export const CONFIDENCE = { "80 %": 0.8416, "90 %": 1.2816 } as const;
export type Confidence = keyof typeof CONFIDENCE;

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

/** At most so many schedules are tried. A count, not a clock: the same plan comes out everywhere. */
const MOST_RUNS = 12;
const STEP_AHEAD = 3;
const VAIN = 3;

interface Tried {
  readonly placed: Placed;
  readonly objective: Schedule["objective"];
  readonly violations: readonly Violation[];
  readonly rule: Rule;
}

const better = (a: Schedule["objective"], b: Schedule["objective"]): boolean => {
  for (let i = 0; i < 3; i++) if (a[i] !== b[i]) return (a[i] as number) < (b[i] as number);
  return false;
};

/**
 * Plans work backwards from its end: every job as late as cooks, burners, ovens and pots let it be, nothing waiting longer
 * than it keeps.
 *
 * Five priority rules are tried, and the best is mended: what breaks a limit goes first, jobs of the chain that decides the
 * day are moved ahead. Broken limits are part of the answer, never left out. The order the jobs come in is of no matter.
 *
 * @errors OUT_OF_RANGE · DUPLICATE · UNKNOWN_ID · CYCLE · NOTHING_FITS needs more than there is · HORIZON no time left
 * Source: docs/models.md "The day": backward serial schedule generation with priority rules.
 * @example bones, stock, reduction and pass of 415 minutes on two cooks: the bones go in 415 minutes before service
 */
export function schedule(input: ScheduleInput): Result<Schedule> {
  const checked = checkInput(input);
  if (!checked.ok) return checked;
  const plan = compile(input, checked.value, input.changeMin ?? OVEN_CHANGE_MIN);
  if (!plan.tasks.length)
    return ok({ tasks: [], chain: [], objective: [0, 0, 0], violations: [], rule: "head", runs: 0 });
  const search = new Search(plan);
  const best = search.best();
  if ("beyond" in best) {
    const task = plan.tasks[best.beyond] as Task;
    return refuse({
      code: "HORIZON",
      field: `tasks.${task.id}`,
      message: `There is no time left for ${task.name ?? task.id}: it would have to begin earlier than now, or than anybody can.`,
    });
  }
  return ok(told(plan, best, search.runs));
}

class Search {
  runs = 0;
  private readonly keys: Record<Rule, readonly (readonly [number, number])[]>;
  private readonly bump: number[];

  constructor(private readonly plan: Compiled) {
    this.keys = ruleKeys(plan);
    this.bump = plan.tasks.map(() => 0);
  }

  best(): Tried | Beyond {
    let best: Tried | null = null;
    let beyond: Beyond | null = null;
    for (const rule of RULES) {
      const tried = this.byRule(rule);
      if ("beyond" in tried) beyond ??= tried;
      else if (!best || better(tried.objective, best.objective)) best = tried;
    }
    if (!best) return beyond ?? { beyond: 0 };
    return this.moved(this.mended(best));
  }

  private byRule(rule: Rule): Tried | Beyond {
    const keys = this.keys[rule];
    const order = this.plan.tasks
      .map((_, i) => i)
      .sort((a, b) => {
        const [ka, kb] = [keys[a] as readonly [number, number], keys[b] as readonly [number, number]];
        return (this.bump[b] as number) - (this.bump[a] as number) || kb[0] - ka[0] || kb[1] - ka[1] || a - b;
      });
    return this.byOrder(order, rule);
  }

  private byOrder(order: readonly number[], rule: Rule): Tried | Beyond {
    this.runs += 1;
    const rank: number[] = [];
    order.forEach((task, at) => (rank[task] = at));
    const placed = placeBackward(this.plan, rank);
    if ("beyond" in placed) return placed;
    const violations = violationsOf(this.plan, placed);
    return { placed, violations, objective: objectiveOf(this.plan, placed, violations), rule };
  }

  /** While limits are broken: the worst goes first. */
  private mended(from: Tried): Tried {
    let best = from;
    const vain = new Set<number>();
    while (best.objective[0] > 0 && this.runs < MOST_RUNS && vain.size < VAIN) {
      const worst = worstOf(this.plan, best.violations, vain);
      if (worst === null) break;
      this.bump[worst] = (this.bump[worst] as number) + 1;
      const tried = this.byRule(best.rule);
      if (!("beyond" in tried) && better(tried.objective, best.objective)) best = tried;
      else {
        this.bump[worst] = (this.bump[worst] as number) - 1;
        vain.add(worst);
      }
    }
    return best;
  }

  /** Jobs of the chain that decides the day, one after the other, three places ahead. */
  private moved(from: Tried): Tried {
    let best = from;
    let improved = true;
    while (improved && this.runs < MOST_RUNS) {
      improved = false;
      for (const task of chainOf(this.plan, best.placed)) {
        const at = best.placed.order.indexOf(task);
        if (at <= 0 || this.runs >= MOST_RUNS) continue;
        const order = best.placed.order.filter(other => other !== task);
        order.splice(Math.max(0, at - STEP_AHEAD), 0, task);
        const tried = this.byOrder(order, best.rule);
        if (!("beyond" in tried) && better(tried.objective, best.objective)) {
          best = tried;
          improved = true;
          break;
        }
      }
    }
    return best;
  }
}

function ruleKeys(plan: Compiled): Record<Rule, readonly (readonly [number, number])[]> {
  const { head, tail } = paths(plan);
  const at = (list: readonly number[], i: number): number => list[i] ?? 0;
  const work = plan.pieces.map(pieces =>
    pieces.reduce(
      (sum, { minutes, needs, oven }) =>
        sum + minutes * (needs.reduce((units, need) => units + need.units, 0) + (oven?.units ?? 0)),
      0,
    ),
  );
  const hold = plan.tasks.map(({ maxHold = Infinity }, i) =>
    Math.min(maxHold, ...(plan.successors[i] ?? []).map(link => link.hold)),
  );
  const each = (key: (i: number) => readonly [number, number]) => plan.tasks.map((_, i) => key(i));
  return {
    head: each(i => [at(head, i), at(work, i)]),
    lf: each(i => [-at(tail, i), at(head, i)]),
    work: each(i => [at(work, i), at(head, i)]),
    // Two that keep for ever are equals: the difference of two infinities is none.
    hold: each(i => [-Math.min(at(hold, i), Number.MAX_SAFE_INTEGER), at(head, i)]),
    combo: each(i => [at(head, i) + at(plan.length, i) / 2, at(work, i)]),
  };
}

const startOf = (placed: Placed, i: number): number => placed.start[i] as number;
const finishOf = (plan: Compiled, placed: Placed, i: number): number =>
  startOf(placed, i) + (plan.length[i] as number);

function violationsOf(plan: Compiled, placed: Placed): Violation[] {
  const { tasks, successors, due } = plan;
  const found: Violation[] = [];
  const tell = (i: number, minutes: number, kind: Violation["kind"], of?: number): void => {
    if (minutes > 0)
      found.push({
        task: tasks[i]?.id ?? "",
        minutes,
        kind,
        ...(of !== undefined && { for: tasks[of]?.id ?? "" }),
      });
  };
  tasks.forEach((task, i) => {
    const end = finishOf(plan, placed, i);
    for (const { to, lag, hold } of successors[i] ?? []) {
      const wait = startOf(placed, to) - end;
      tell(i, wait - hold, "hold", to);
      // Only what is fixed can stand out of order; what is begun has what it needed.
      if (!begun(plan, to)) tell(i, lag - wait, "order", to);
    }
    tell(i, end - Math.min(due, task.due ?? due), "due");
    if (task.maxHold !== undefined) tell(i, due - end - task.maxHold, "maxHold");
    if (task.notBefore !== undefined) tell(i, task.notBefore - startOf(placed, i), "notBefore");
  });
  return found;
}

function objectiveOf(
  plan: Compiled,
  placed: Placed,
  violations: readonly Violation[],
): Schedule["objective"] {
  let waiting = 0;
  let first = Infinity;
  plan.tasks.forEach((_, i) => {
    first = Math.min(first, startOf(placed, i));
    for (const { to } of plan.successors[i] ?? []) waiting += startOf(placed, to) - finishOf(plan, placed, i);
  });
  return [violations.reduce((sum, { minutes }) => sum + minutes, 0), plan.due - first, waiting];
}

function worstOf(plan: Compiled, violations: readonly Violation[], but: ReadonlySet<number>): number | null {
  const by = new Map<string, number>();
  for (const { task, minutes } of violations) by.set(task, (by.get(task) ?? 0) + minutes);
  let worst: number | null = null;
  plan.tasks.forEach(({ id, fixedAt }, i) => {
    const minutes = by.get(id) ?? 0;
    if (!minutes || but.has(i) || fixedAt !== undefined) return;
    if (worst === null || minutes > (by.get(plan.tasks[worst]?.id ?? "") ?? 0)) worst = i;
  });
  return worst;
}

/** From the task that begins first along what binds each, until something is due. */
function chainOf(plan: Compiled, placed: Placed): number[] {
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

function told(plan: Compiled, { placed, objective, violations, rule }: Tried, runs: number): Schedule {
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
  return ok({ plan, bufferMin, onTime: sd > 0 ? normal(bufferMin / sd) : null, lateMin: 0 });
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

/** Share of a normal distribution below z. */
const normal = (z: number): number => (1 + errorFunction(z / Math.SQRT2)) / 2;
