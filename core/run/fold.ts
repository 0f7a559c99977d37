import {
  type FormulaDocument,
  type Kitchen,
  type StateAfterStep,
  type Walk,
  interpolate,
  kindOf,
  Pots,
  panOf,
  pairKey,
  walk,
} from "../formula";
import { type PotState, liquorMass, potMass, reconcile, volumeMlOf } from "../things/pot";
import { type Grams, type Millilitres, degC, g, ml, printMass } from "../ground/quantity";
import { InvariantError, ok } from "../ground/result";
import type { Vessel } from "../things/vessel";
import { type RunEvent, inOrder, timeOf } from "./events";
import { type Put, legsOf } from "./legs";
import { type Reading, type StepProgress, type StepStatus, courseSoFar, legAt } from "./progress";
import { readingsOf } from "./readings";
import { type Told, toldIn } from "./told";

export interface RunState {
  readonly startedAt: number | null;
  readonly finishedAt: number | null;
  /** Why the pot was given up, where it was; it is at its end then. */
  readonly abandoned: string | null;
  readonly burnerId: string | null;
  readonly steps: readonly StepProgress[];
  /** Index of the first step that is not through; the count of steps when all are. */
  readonly current: number;
  /** What can be worked now: for each vessel its first step that is not through, unless another vessel holds it up. */
  readonly open: readonly number[];
  /** The pot as it stands now, corrected by what was weighed. */
  readonly pot: PotState;
  readonly vessel: Vessel | null;
  readonly planned: Walk;
  readonly lastEventAt: number | null;
  /** How it tasted, what went wrong, what was done about it, who has it. */
  readonly told: Told;
  /** What could not be reckoned with. */
  readonly problems: readonly RunProblem[];
}

/** Why a step could not be foreseen from the pot as it stands, or a reading could not be true of it. */
export interface RunProblem {
  readonly stepId: string;
  readonly message: string;
}

/** The run as it stands for whoever works at one of its open steps: in a second pan, or in the main pot. */
export function facing(run: RunState, index: number): RunState {
  const step = run.steps[index];
  return step && index !== run.current
    ? { ...run, current: index, pot: step.from, vessel: step.foreseen?.vessel ?? step.fromVessel }
    : run;
}

/** The step a reading belongs to: the one at work; once all are through, the last that was done; `null` before any. */
export const stepToRead = (run: RunState): StepProgress | null =>
  run.steps[run.current] ?? run.steps.findLast(({ status }) => status === "done") ?? null;

/** Events that still count: undone ones and the undoing itself drop out. An undone undo counts again. */
export function notTakenBack(events: readonly RunEvent[]): RunEvent[] {
  const ordered = inOrder(events);
  const gone = new Set<string>();
  for (const event of [...ordered].reverse())
    if (event.payload.kind === "undone" && !gone.has(event.id)) gone.add(event.payload.eventId);
  return ordered.filter(event => event.payload.kind !== "undone" && !gone.has(event.id));
}

/**
 * The run as it stands: a run is its events.
 *
 * Readings correct the pot when a step ends: what was weighed or dipped last in the step is what the next step starts
 * from. Events may arrive late or twice; the fold is the same.
 *
 * @param events   in any order
 * @param document the version that is cooked, at the size of this batch
 * @param kitchen  opened for the burner of the run
 */
export function fold(events: readonly RunEvent[], document: FormulaDocument, kitchen: Kitchen): RunState {
  const counted = notTakenBack(events);
  const planned = walk(document, kitchen, { trace: true });
  const byStep = new Map<string, RunEvent[]>();
  for (const event of counted)
    if ("stepId" in event.payload)
      byStep.set(event.payload.stepId, [...(byStep.get(event.payload.stepId) ?? []), event]);

  const problems: RunProblem[] = [];
  const pots = new Pots(kitchen);
  const putOf = new Map<string, Put>();
  const steps = planned.states.map((plan, index): StepProgress => {
    const own = byStep.get(plan.step.id) ?? [];
    const find = (kind: RunEvent["payload"]["kind"]) => own.find(e => e.payload.kind === kind);
    const begun = find("step-begun");
    const done = find("step-done");
    const skipped = find("skipped");
    const status: StepStatus = skipped ? "skipped" : done ? "done" : begun ? "live" : "waiting";
    const place = pots.place(plan.step);
    const begunAt = begun ? timeOf(begun) : null;
    const ended = done ?? skipped;
    const doneAt = ended ? timeOf(ended) : null;
    const pan = panOf(plan.step);
    const gone = legsOf(
      plan,
      {
        pot: place.pot,
        vessel: place.vessel,
        lines: linesAsWeighed(plan, own, planned.states.slice(0, index)),
        begunAt,
        doneAt,
      },
      own,
      {
        kitchen: place.kitchen,
        elsewhere: place.elsewhere,
        taken: place.taken,
        field: `steps.${index}`,
      },
      putOf.get(pan) ?? {},
    );
    putOf.set(pan, gone.put);
    const { from, turns, legs } = gone;
    const foreseen = skipped ? null : gone.foreseen;
    if (!skipped) problems.push(...gone.problems.map(message => ({ stepId: plan.step.id, message })));
    let pot = foreseen?.pot ?? from;
    const vessel = foreseen?.vessel ?? place.vessel;
    const readings = readingsOf(
      own,
      at => {
        const leg = legAt(legs, at)?.foreseen ?? foreseen;
        return { pot: leg?.pot ?? pot, vessel: leg?.vessel ?? vessel, foreseenG: leg?.massG };
      },
      kitchen,
    );
    const progress: StepProgress = {
      step: plan.step,
      status,
      begunAt,
      doneAt,
      planned: plan,
      from,
      fromVessel: place.vessel,
      burnerId:
        gone.put.burnerId === undefined
          ? ((foreseen?.fire?.burner ?? place.kitchen.burner)?.id ?? null)
          : gone.put.burnerId,
      learned: learnedFor(foreseen, kitchen),
      foreseen,
      legs,
      turns,
      readings,
      ticked: own.flatMap(e => (e.payload.kind === "ticked" ? [e.payload.what] : [])),
      overridden: own.flatMap(e =>
        e.payload.kind === "overridden"
          ? [{ what: e.payload.what, reason: e.payload.reason, personId: e.personId }]
          : [],
      ),
    };
    if (status === "done") {
      const put = corrected(pot, progress);
      pot = put.pot;
      if (put.problem) problems.push({ stepId: plan.step.id, message: put.problem });
    }
    pot = gone.end(pot);
    pots.put(plan.step, { pot, vessel, elsewhere: foreseen?.elsewhere, fire: foreseen?.fire }, 0);
    return progress;
  });

  const firstOpen = steps.findIndex(step => step.status === "live" || step.status === "waiting");
  const current = firstOpen < 0 ? steps.length : firstOpen;
  const last = counted.at(-1);
  const started = counted.find(e => e.payload.kind === "started");
  // Readings may be entered from a slip of paper, later than they were taken.
  const [earliest] = counted;
  const finished = counted.find(e => e.payload.kind === "finished" || e.payload.kind === "abandoned");
  const newer = counted.flatMap(e => (e.payload.kind === "unknown" ? [e.payload.of] : []));
  if (newer.length)
    problems.push({
      stepId: "",
      message: `${newer.length === 1 ? "A reading" : `${newer.length} readings`} (${[...new Set(newer)].join(", ")}) came from a newer Hondaro: kept, and counted nowhere here.`,
    });
  const now = steps[current];
  const { pot, vessel } = pots.main();
  return {
    startedAt: started && earliest ? timeOf(earliest) : null,
    finishedAt: finished ? timeOf(finished) : null,
    abandoned: finished?.payload.kind === "abandoned" ? finished.payload.reason : null,
    burnerId: started?.payload.kind === "started" ? started.payload.burnerId : null,
    steps,
    current,
    open: openSteps(steps),
    pot: now ? now.from : pot,
    vessel: now ? (now.foreseen?.vessel ?? now.fromVessel) : vessel,
    planned,
    lastEventAt: last ? timeOf(last) : null,
    told: toldIn(counted),
    problems,
  };
}

const learnedFor = (foreseen: StateAfterStep | null, { learnedPace }: Kitchen) =>
  foreseen?.fire && foreseen.vessel
    ? (learnedPace.get(pairKey(foreseen.fire.burner.id, foreseen.vessel.id)) ?? null)
    : null;

/**
 * The first step of each vessel that is not through. A step that gives to or takes from another vessel waits until all
 * that is written before it for that vessel is through, and holds that vessel up.
 */
function openSteps(steps: readonly StepProgress[]): number[] {
  const heldUp = new Set<string>();
  return steps.flatMap(({ status, step }, i) => {
    if (status === "done" || status === "skipped") return [];
    const touched = [panOf(step), kindOf(step).touches?.(step) ?? null].filter(name => name !== null);
    const free = touched.every(name => !heldUp.has(name));
    for (const name of touched) heldUp.add(name);
    return free ? [i] : [];
  });
}

/** The lines of a step with what was really weighed in, where it was; and what was left out before and went in now. */
function linesAsWeighed(plan: StateAfterStep, own: readonly RunEvent[], before: readonly StateAfterStep[]) {
  const added = new Map(
    own.flatMap(e => (e.payload.kind === "added" ? [[e.payload.lineId, e.payload.massG] as const] : [])),
  );
  const of = ({ sources }: StateAfterStep, lineId: string, massG: number) => {
    const ingredient = sources.get(lineId);
    if (!ingredient) throw new InvariantError(`Line ${lineId} lost its ingredient.`);
    return { lineId, ingredient, massG: g(massG) };
  };
  const late = [...added].flatMap(([lineId, massG]) => {
    const from = before.find(state => state.lines.some(line => line.lineId === lineId));
    return from ? [of(from, lineId, massG)] : [];
  });
  return [...plan.lines.map(line => of(plan, line.lineId, added.get(line.lineId) ?? line.massG)), ...late];
}

/** A reading this close above the foreseen end counts as the end itself. Common practice, no source. */
const AT_THE_MARK = 1.1;

/**
 * Everything in the pot at the end of a step, by its last weighing or dip; `null` if nothing tells more than the plan.
 *
 * On the way to a mark an early reading says nothing about the end: there the cook's "it is there" counts. A step that
 * ends by the clock ends when the cook ended it, and what a reading found too much or too little is still so then.
 */
function massAtEnd(
  progress: Pick<StepProgress, "step" | "from" | "begunAt" | "doneAt" | "foreseen" | "readings" | "legs">,
): Grams | null {
  const { foreseen, begunAt, doneAt } = progress;
  const reading = progress.readings.filter(r => r.kind === "weighed" || r.kind === "dipped").at(-1);
  const course = foreseen && courseSoFar(progress);
  if (!foreseen || !course || begunAt === null) return reading?.massG ?? null;
  if (kindOf(progress.step).endsAtMark)
    return reading?.massG !== undefined && reading.massG <= foreseen.massG * AT_THE_MARK
      ? reading.massG
      : null;
  const foreseenAt = (at: number) => interpolate(course.seconds, course.mass, (at - begunAt) / 1000);
  const off = reading?.massG === undefined ? 0 : reading.massG - foreseenAt(reading.at);
  return g((doneAt === null ? foreseen.massG : foreseenAt(doneAt)) + off);
}

/** A pot with less water than this, as a share of what is in it, has none to speak of. */
const LEAST_WATER_SHARE = 0.1;

/**
 * The pot after a step, put right by what was weighed, dipped or poured into the jug, and by the last probe. A reading
 * that cannot be true of it moves nothing, and is told.
 */
function corrected(
  pot: PotState,
  progress: Parameters<typeof massAtEnd>[0],
): { readonly pot: PotState; readonly problem?: string } {
  // Sugar that melts dry has no water to lose.
  const wet =
    pot.liquor.water + pot.solids.reduce((sum, part) => sum + part.pools.water, 0) >
    LEAST_WATER_SHARE * potMass(pot);
  const through = wet && kindOf(progress.step).steams ? "vapour" : "poured";
  const jugged = progress.readings.filter(r => r.kind === "jugged");
  const unread = massAtEnd({ ...progress, readings: [] });
  const read = massAtEnd(progress) ?? (jugged.length ? massOfJugs(jugged, pot) : null);
  const put = read === null ? ok(pot) : reconcile(pot, read, through);
  const planned = unread === null ? ok(pot) : reconcile(pot, unread, through);
  const state = put.ok ? put.value : planned.ok ? planned.value : pot;
  const problem = put.ok
    ? undefined
    : `${printMass(progress.readings.findLast(r => r.massG !== undefined)?.massG ?? read ?? g(0))} was read, and that cannot be: about ${printMass(potMass(state))} were foreseen at the end. ${put.problems[0]?.message ?? ""} The reading is kept; the sums go on without it. Read again, and log it.`;
  const probe = progress.readings.filter(r => r.kind === "probed" && r.where === "pot").at(-1);
  return {
    pot:
      probe?.temperatureC === undefined
        ? state
        : { ...state, temperatureC: degC(Math.min(110, Math.max(0, probe.temperatureC))) },
    problem,
  };
}

function massOfJugs(jugs: readonly Reading[], pot: PotState): Grams {
  const volume: Millilitres = ml(jugs.reduce((sum, jug) => sum + (jug.volumeMl ?? 0), 0));
  const here = liquorMass(pot);
  const density = here > 0 ? here / (volumeMlOf(pot.liquor, pot.temperatureC) + pot.natures.airMl) : 1;
  return g(potMass(pot) - here + volume * density);
}
