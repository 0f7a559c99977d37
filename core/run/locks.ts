import { type StateAfterStep, flouryIn, isSalt, pendingSalty } from "../formula";
import { POTATO_MOST_S } from "../laws/puree";
import type { RunState } from "./fold";
import type { StepProgress } from "./progress";

/** Something a step may not do yet; only a reason that is logged opens it. */
export interface Lock {
  /** What it is known by in the log. */
  readonly what: string;
  readonly why: string;
  /** It stands in the way of beginning the step, or of ending it. */
  readonly before: "begin" | "end";
  /** The line it closes, where it is one. */
  readonly lineId?: string;
}

/** Lines of salt that were left out of their step while it was closed, and can go in now. */
export interface WaitingSalt {
  readonly lineId: string;
  readonly name: string;
  readonly massG: number;
}

const saltLines = ({ lines, sources }: StateAfterStep) =>
  lines.filter(line => line.massG > 0 && isSalt(sources.get(line.lineId)));

const addedIn = (progress: StepProgress, lineId: string) =>
  progress.readings.findLast(r => r.kind === "added" && r.lineId === lineId);

/** What is salty and still to come in the steps after one that are not skipped. */
const saltyToCome = (run: RunState, step: number): string[] =>
  pendingSalty(
    run.steps.map(({ planned, status }) => (status === "skipped" ? { ...planned, lines: [] } : planned)),
    step,
  );

/** The locks of the step at work that nobody has opened. */
export function locksOf(run: RunState): Lock[] {
  const progress = run.steps[run.current];
  if (!progress) return [];
  const locks = [...saltLock(run, progress), ...bladeLock(progress)];
  return locks.filter(lock => !progress.overridden.some(o => o.what === lock.what));
}

/** No salt until the salty things are in: how much is still wanted, only they tell. */
function saltLock(run: RunState, progress: StepProgress): Lock[] {
  const pending = saltyToCome(run, run.current);
  if (!pending.length) return [];
  return saltLines(progress.planned)
    .filter(line => !addedIn(progress, line.lineId))
    .map(line => ({
      what: `No ${line.name} yet`,
      why: `Still to come: ${pending.join(", ")}. ${pending.length === 1 ? "It brings" : "They bring"} salt: how much more it wants shows after that.`,
      before: "end",
      lineId: line.lineId,
    }));
}

/** A purée of floury potato never meets a blade. */
function bladeLock({ step, from }: StepProgress): Lock[] {
  const floury = step.kind === "blend" ? flouryIn(from, step.tool) : null;
  return floury
    ? [
        {
          what: `No blade into ${floury}`,
          why: `A blade breaks the cells and floury starch turns to glue: the ricer or the mill, the fat folded in first, at most ${POTATO_MOST_S} s.`,
          before: "begin",
        },
      ]
    : [];
}

/** Salt that was left out of earlier steps and that nothing keeps out any more. */
export function waitingSalt(run: RunState): WaitingSalt[] {
  const progress = run.steps[run.current];
  if (!progress || saltyToCome(run, run.current).length) return [];
  return run.steps.slice(0, run.current).flatMap(before =>
    saltLines(before.planned)
      .filter(line => addedIn(before, line.lineId)?.massG === 0)
      .filter(
        line =>
          !run.steps.slice(0, run.current + 1).some(later => later !== before && addedIn(later, line.lineId)),
      )
      .map(({ lineId, name, massG }) => ({ lineId, name, massG })),
  );
}
