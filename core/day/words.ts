import type { Kitchen } from "../formula";
import { NOBODY_HERE, type DayPlan, type PlannedJob } from "./plan-day";
import type { Violation } from "./schedule";

/** A plan in words: what decides the day, why each job is when it is, what it breaks. */

const clock = (min: number): string => {
  const inDay = ((min % 1440) + 1440) % 1440;
  return `${String(Math.floor(inDay / 60)).padStart(2, "0")}:${String(inDay % 60).padStart(2, "0")}`;
};

/** "Sat 15:30" where a plan spans days: the weekday of a minute, by the day of service. */
export function clockOf(min: number, plan: Pick<DayPlan, "midnightMin">, weekday: number): string {
  const day = Math.floor((min - plan.midnightMin) / 1440);
  if (day === 0) return clock(min);
  const names = ["Sun", "Mon", "Tue", "Wed", "Thu", "Fri", "Sat"];
  return `${names[(((weekday + day) % 7) + 7) % 7]} ${clock(min)}`;
}

/** "Guinea-fowl brown stock, roast to strain": a job as it is spoken of. */
export const jobName = ({ job }: Pick<PlannedJob, "job">, plan: DayPlan): string => {
  const parts = plan.jobs.filter(other => other.job.batchId === job.batchId).length;
  const pots = new Set(
    plan.jobs.filter(other => other.job.formulaId === job.formulaId).map(other => other.job.batchId),
  ).size;
  return [
    job.name,
    ...(pots > 1 ? [`pot ${job.batchId.split("/").at(-1)}`] : []),
    ...(parts > 1 ? [job.part] : []),
  ].join(", ");
};

/** What a resource of the schedule is called. */
export function resourceName(resource: string, kitchen: Kitchen): string {
  if (resource.startsWith("pot "))
    return kitchen.vessels.find(v => v.id === resource.slice("pot ".length))?.name ?? resource;
  return kitchen.data.appliances.find(a => a.id === resource)?.name ?? resource;
}

const lackOf = (resource: string, cooks: number, kitchen: Kitchen): string =>
  resource === "cook"
    ? cooks === 1
      ? "the cook is"
      : cooks === 2
        ? "both cooks are"
        : "all cooks are"
    : resource === "burner"
      ? "no burner is free: one is"
      : resource === "blender"
        ? "the blenders are"
        : `${resourceName(resource, kitchen)} is`;

/** Why a job does not end later than it does. */
export function whyThen(
  planned: PlannedJob,
  plan: DayPlan,
  kitchen: Kitchen,
  cooks: number,
  weekday: number,
): string {
  const { reason, start, finish } = planned.task;
  const other = "task" in reason ? plan.jobs.find(p => p.job.id === reason.task) : undefined;
  switch (reason.kind) {
    case "due": {
      const sooner = Math.min(planned.job.task.due ?? plan.dueMin, plan.dueMin) - finish;
      return sooner > 0
        ? `It is ready at ${clockOf(finish, plan, weekday)}, ${spoken(sooner)} before it is wanted: that is the time in hand.`
        : `It is ready at ${clockOf(finish, plan, weekday)}, when it is wanted.`;
    }
    case "fixed":
      return `It stands at ${clockOf(start, plan, weekday)}: somebody put it there, or it is on the fire.`;
    case "precedence":
      return other
        ? `It must end by ${clockOf(other.task.start, plan, weekday)}, because ${jobName(other, plan)} begins then.`
        : "What comes after it begins then.";
    case "resource": {
      const early = latestOtherwise(planned, plan) - finish;
      const sooner = early > 0 ? `${spoken(early)} earlier than it need be` : "as late as it can be";
      if (!other)
        return `It is ${sooner}, because ${reason.resource === "cook" ? NOBODY_HERE : `${resourceName(reason.resource, kitchen)} is closed`} at ${clockOf(reason.minute, plan, weekday)}.`;
      return `It is ${sooner}, because ${lackOf(reason.resource, cooks, kitchen)} with ${jobName(other, plan)} at ${clockOf(reason.minute, plan, weekday)}.`;
    }
  }
}

/** When it could end if everything were free. */
function latestOtherwise({ job }: PlannedJob, plan: DayPlan): number {
  const ends = plan.jobs.flatMap(other =>
    (other.job.task.after ?? []).some(a => a.id === job.id) ? [other.task.start] : [],
  );
  return Math.min(job.task.due ?? plan.dueMin, plan.dueMin - plan.schedule.bufferMin, ...ends);
}

export const spoken = (min: number): string =>
  min < 60 ? `${min} min` : `${Math.floor(min / 60)} h${min % 60 ? ` ${min % 60} min` : ""}`;

/** The jobs that decide the day, a sentence a link. */
export function chainInWords(plan: DayPlan, kitchen: Kitchen, cooks: number, weekday: number): string[] {
  return plan.schedule.plan.chain.flatMap(id => {
    const planned = plan.jobs.find(p => p.job.id === id);
    return planned
      ? [
          `${jobName(planned, plan)}, ${clockOf(planned.task.start, plan, weekday)} to ${clockOf(planned.task.finish, plan, weekday)}. ${whyThen(planned, plan, kitchen, cooks, weekday)}`,
        ]
      : [];
  });
}

/** A limit that the plan breaks, and the cheapest way out of it. */
export function violationInWords(v: Violation, plan: DayPlan, weekday: number): string {
  const planned = plan.jobs.find(p => p.job.id === v.task);
  const other = plan.jobs.find(p => p.job.id === v.for);
  const name = planned ? jobName(planned, plan) : v.task;
  const by = spoken(v.minutes);
  // Where somebody put it there, the way out is to let it go.
  const out = (else_: string): string =>
    planned?.pinned ? "It was put there: let it find its own time, or put it elsewhere." : else_;
  switch (v.kind) {
    case "hold":
      return `${name} waits ${by} longer than it keeps${other ? ` for ${jobName(other, plan)}` : ""}. ${out(`Another pair of hands, or ${by} more patience, settles it.`)}`;
    case "maxHold":
      return `${name} is ready ${by} earlier than it holds until service. ${out(`Another pair of hands, or a job less at ${planned ? clockOf(planned.task.finish, plan, weekday) : "that time"}, settles it.`)}`;
    case "notBefore":
      return `${name} begins ${by} before it may.`;
    case "order":
      return `${name} is not ready when ${other ? jobName(other, plan) : "the next"} begins: ${by} are missing. Move one of them.`;
    case "due":
      return `${name} is ready ${by} after it is wanted.`;
  }
}
