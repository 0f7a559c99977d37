import { type Result, ok, refuse } from "../../ground/result";
import { type Beyond, type Placed, placeBackward } from "./backward";
import { type Compiled, begun, compile, paths } from "./compiled";
import {
  type Rule,
  RULES,
  type Schedule,
  type Tried,
  type Violation,
  chainOf,
  finishOf,
  startOf,
  told,
} from "./told";
import { OVEN_CHANGE_MIN, type ScheduleInput, type Task, checkInput } from "./task";

/** At most so many schedules are tried. A count, not a clock: the same plan comes out everywhere. */
const MOST_RUNS = 12;
const STEP_AHEAD = 3;
const VAIN = 3;

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
