import { coldSpaceInWords, coldSpaceOf } from "./cold-space";
import type { Kitchen, Walk } from "../formula";
import { type Result, ok } from "../ground/result";
import { capacityOf } from "./jobs";
import { type DayLists, listsOf } from "./lists";
import { type DayInput, type DayPlan, type PlannedJob, planDay } from "./plan-day";
import type { ScheduleInput } from "./schedule";
import { chainInWords, clockOf, jobName, spoken, violationInWords, whyThen } from "./words";

/** A planned day as screens, papers and calendars read it: figures and sentences, nothing to be worked out any more. */

export interface JobView {
  readonly id: string;
  readonly batchId: string;
  readonly formulaId: string;
  /** Of its pot. */
  readonly name: string;
  readonly title: string;
  readonly start: number;
  readonly finish: number;
  readonly volumeMl: number;
  readonly place: PlannedJob["job"]["place"];
  /** Where it stands from when to when: burners, ovens, cold places, by id. */
  readonly stands: readonly { readonly at: string; readonly from: number; readonly to: number }[];
  readonly hands: PlannedJob["assigned"]["hands"];
  readonly vessels: readonly string[];
  readonly steps: PlannedJob["job"]["steps"];
  readonly why: string;
  readonly slackMin: number;
  readonly pinned: boolean;
  readonly onChain: boolean;
  /** What limit it breaks, in words. */
  readonly broken: readonly string[];
  readonly massG: number;
}

export interface NeedView {
  readonly formulaId: string;
  readonly name: string;
  readonly needG: number;
  readonly fromStockG: number;
  readonly toMakeG: number;
  readonly pots: number;
  /** What a ladle of it weighs, g/ml; 1 where none of it is made on this day. */
  readonly gPerMl: number;
  readonly uses: readonly { readonly name: string; readonly massG: number }[];
  readonly problems: readonly string[];
  /** What is counted besides the sums because past batches said so. */
  readonly habits: readonly string[];
}

export interface DayView {
  readonly jobs: readonly JobView[];
  readonly needs: readonly NeedView[];
  readonly lists: DayLists;
  readonly dueMin: number;
  readonly midnightMin: number;
  readonly bufferMin: number;
  readonly onTime: number | null;
  readonly lateMin: number;
  /** In a sentence. */
  readonly verdict: string;
  readonly chain: readonly string[];
  readonly broken: readonly string[];
  /** What the schedule was made of, so that a page can try another one. */
  readonly input: Pick<ScheduleInput, "tasks" | "capacity" | "due" | "from" | "closed">;
}

/** @param weekday of the day of service, 0 Sunday @errors as `planDay` */
export function viewOfDay(input: DayInput, kitchen: Kitchen, weekday: number): Result<DayView> {
  const planned = planDay(input, kitchen);
  if (!planned.ok) return planned;
  const plan = planned.value;
  const { plan: schedule, bufferMin, onTime, lateMin } = plan.schedule;
  const broken = schedule.violations.map(v => ({ of: v.task, words: violationInWords(v, plan, weekday) }));
  const space = coldSpaceInWords(coldSpaceOf(plan, kitchen, input.stock, input.without), plan, weekday);
  const limits = [...broken.map(b => b.words), ...(space ? [space] : [])];
  return ok({
    jobs: plan.jobs
      .map((p): JobView => {
        const { job, task } = p;
        return {
          id: job.id,
          batchId: job.batchId,
          formulaId: job.formulaId,
          name: job.name,
          title: jobName(p, plan),
          start: task.start,
          finish: task.finish,
          volumeMl: job.volumeMl,
          place: job.place,
          stands: standsOf(p, kitchen),
          hands: p.assigned.hands,
          vessels: job.vesselIds.map(id => kitchen.vessels.find(v => v.id === id)?.name ?? id),
          steps: job.steps,
          why: whyThen(p, plan, kitchen, input.cooks.length, weekday),
          slackMin: task.slack,
          pinned: p.pinned,
          onChain: schedule.chain.includes(job.id),
          broken: broken.filter(b => b.of === job.id).map(b => b.words),
          massG: plan.needs.flatMap(n => n.batches).find(b => b.id === job.batchId)?.massG ?? 0,
        };
      })
      .sort((a, b) => a.start - b.start || (a.id < b.id ? -1 : 1)),
    needs: plan.needs.map(({ batches, ...need }) => ({
      ...need,
      pots: batches.length,
      gPerMl: densityOf(batches[0]?.walked),
    })),
    lists: listsOf(plan.needs, kitchen),
    dueMin: plan.dueMin,
    midnightMin: plan.midnightMin,
    bufferMin,
    onTime,
    lateMin,
    verdict: verdictOf(plan, limits.length, weekday),
    chain: chainInWords(plan, kitchen, input.cooks.length, weekday),
    broken: limits,
    input: {
      tasks: plan.jobs.map(p => p.job.task),
      capacity: capacityOf(kitchen, input.cooks.length, new Set(input.without)),
      due: plan.dueMin,
      from: input.nowMin === null ? 0 : Math.max(0, Math.floor(input.nowMin)),
      closed: plan.closed,
    },
  });
}

const densityOf = (walked: Walk | undefined): number =>
  walked && walked.finishedMl > 0 ? walked.finishedG / walked.finishedMl : 1;

/** Ovens and cold places besides the burners that were assigned. */
function standsOf({ job, task, assigned }: PlannedJob, kitchen: Kitchen): JobView["stands"] {
  const stands = assigned.stands.map(({ burnerId, from, to }) => ({ at: burnerId, from, to }));
  let m = task.start;
  job.task.segments.forEach(({ minutes, use }, i) => {
    const cold = Object.keys(use).find(name =>
      kitchen.data.appliances.some(a => a.kind === "cold place" && a.id === name),
    );
    const at = task.ovens[i] ?? cold;
    const last = stands.at(-1);
    if (at && last?.at === at && last.to === m) stands[stands.length - 1] = { ...last, to: m + minutes };
    else if (at) stands.push({ at, from: m, to: m + minutes });
    m += minutes;
  });
  return stands;
}

function verdictOf(plan: DayPlan, broken: number, weekday: number): string {
  const { bufferMin, onTime, lateMin, plan: schedule } = plan.schedule;
  if (!plan.jobs.length) return "Nothing has to be made.";
  const first = clockOf(plan.dueMin - schedule.objective[1] + lateMin, plan, weekday);
  if (lateMin > 0)
    return `It does not fit: the last sauce is ready ${spoken(lateMin)} after it is wanted. Take a line off, bring another pair of hands, or begin with less.`;
  const chance = onTime === null ? "" : `, on time about ${Math.round(10 * onTime)} times in ten`;
  return broken
    ? `${broken} ${broken === 1 ? "limit is" : "limits are"} broken and to be settled. The first job begins at ${first}.`
    : `It fits. The first job begins at ${first}, with ${bufferMin} min in hand${chance}.`;
}
