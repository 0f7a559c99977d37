import {
  type FormulaDocument,
  type KitchenData,
  type StateAfterStep,
  courseOf,
  kindOf,
  openKitchen,
  walk,
} from "../core/formula";
import { type RunEvent, type RunPayload, fold } from "../core/run";
import { type Chance, chance } from "./random";
import { asItGoes } from "./true-pot";

/**
 * A cook who follows a formula on a stove as it really is: weighs in what is worth weighing, reads the pot now and then, stops a
 * reduction where its mark is reached, and not where the forecast said.
 */
export interface Cooking {
  readonly document: FormulaDocument;
  /** The kitchen as the books have it, and as it is. */
  readonly kitchen: KitchenData;
  readonly truth: KitchenData;
  readonly burnerId: string;
  readonly personId: string;
  /** ms. */
  readonly startAt: number;
  /** Nothing after this has happened yet, ms. */
  readonly until: number;
  readonly seed: number;
  /** Gives an event its id: unique, rising with time. */
  readonly idAt: (at: number) => string;
  /** Whose hand it is: how much salt goes in, and where a reduction is stopped, as shares of what is written. */
  readonly hand?: { readonly salt?: number; readonly stopsAt?: number };
  /** What else was said of it, at a share of a step. */
  readonly besides?: readonly {
    readonly stepId: string;
    readonly share: number;
    readonly payload: RunPayload;
  }[];
}

/** Least that is weighed in a second time, g, and how far hands are off. */
const WORTH_WEIGHING_G = 25;
const HAND_SD = 0.012;
/** When a reduction is read, as shares of the way, and how exactly it is stopped. */
const READ_AT = [0.3, 0.45, 0.6, 0.75, 0.9];
const STOP_SD = 0.015;
/** Steps by the clock end about on time. */
const CLOCK_SD = 0.05;
const SCALE_SD_G = 4;
const SALT = /(?:^|-)salt$/;
const BETWEEN_MS = 40_000;
const JUG_SD = 0.01;

export function cookThrough(cooking: Cooking): RunEvent[] {
  const { document, kitchen, burnerId, startAt, until, idAt, personId } = cooking;
  const noise = chance(cooking.seed);
  const events: RunEvent[] = [];
  const log = (moment: number, payload: RunPayload) => {
    const at = Math.round(moment);
    events.push({
      id: idAt(at),
      at: new Date(at).toISOString(),
      clockOffsetMs: 0,
      personId,
      payload,
    });
  };
  log(startAt, { kind: "started", burnerId });
  const planned = walk(document, openKitchen(kitchen, {}, burnerId));
  let at = startAt;
  for (const [index, plan] of planned.states.entries()) {
    at += BETWEEN_MS;
    if (at > until) break;
    at = cookStep(cooking, plan, index, at, events, log, noise);
  }
  if (at <= until) log(at + BETWEEN_MS, { kind: "finished" });
  return events.filter(event => Date.parse(event.at) <= until);
}

function cookStep(
  cooking: Cooking,
  plan: StateAfterStep,
  index: number,
  beginAt: number,
  events: readonly RunEvent[],
  log: (at: number, payload: RunPayload) => void,
  { normal }: Chance,
): number {
  const stepId = plan.step.id;
  log(beginAt, { kind: "step-begun", stepId });
  const { salt = 1 } = cooking.hand ?? {};
  for (const line of plan.lines) {
    const own = SALT.test(line.ingredientId) ? salt : 1;
    if (line.massG >= WORTH_WEIGHING_G || (own !== 1 && line.massG > 0))
      log(beginAt + 1000, {
        kind: "added",
        stepId,
        lineId: line.lineId,
        massG: Math.round(10 * own * line.massG * (1 + HAND_SD * normal())) / 10,
      });
  }
  const toMark = kindOf(plan.step).endsAtMark ? markOf(cooking, index, events) : null;
  const lastsS = toMark
    ? toMark.seconds * (1 + STOP_SD * normal())
    : plan.durationS * Math.max(0.8, 1 + CLOCK_SD * normal());
  const moment = (share: number) => beginAt + 1000 * lastsS * share;
  if (toMark)
    for (const share of READ_AT)
      log(moment(share), {
        kind: "weighed",
        stepId,
        netG: Math.max(1, Math.round(toMark.massAt(lastsS * share) + SCALE_SD_G * normal())),
      });
  for (const { stepId: of, share, payload } of cooking.besides ?? [])
    if (of === stepId) log(moment(share), payload);
  if (plan.step.kind === "strain" && plan.volumeMl)
    log(moment(0.9), {
      kind: "jugged",
      stepId,
      volumeMl: Math.round(plan.volumeMl * (0.985 + JUG_SD * normal())),
    });
  for (const { what } of kindOf(plan.step).ticks?.(plan.step) ?? [])
    log(beginAt + 2000, { kind: "ticked", stepId, what });
  const doneAt = moment(1);
  log(doneAt, { kind: "step-done", stepId });
  return doneAt;
}

/** When the pot as it is comes to where the formula stops it, s, and what it weighs on the way. */
function markOf(
  { document, kitchen, truth, burnerId, hand }: Cooking,
  index: number,
  events: readonly RunEvent[],
): { readonly seconds: number; readonly massAt: (s: number) => number } | null {
  const written = fold(events, document, openKitchen(kitchen, {}, burnerId)).steps[index]?.foreseen?.massG;
  const wanted = written === undefined ? undefined : written * (hand?.stopsAt ?? 1);
  const open = openKitchen(truth, {}, burnerId);
  const begunAt = Date.parse(events.at(-1)?.at ?? "");
  const goes = asItGoes(document, fold(events, document, open), begunAt);
  const progress = fold(events, goes, open).steps[index];
  const course = progress?.foreseen && courseOf(progress.from, progress.foreseen);
  if (!course || wanted === undefined) return null;
  const i = course.mass.findIndex(mass => mass <= wanted);
  const seconds = course.seconds[i];
  if (seconds === undefined) return null;
  const massAt = (s: number) => {
    const j = Math.max(
      1,
      course.seconds.findIndex(x => x >= s),
    );
    const [s0 = 0, s1 = 1, m0 = 0, m1 = 0] = [
      course.seconds[j - 1],
      course.seconds[j],
      course.mass[j - 1],
      course.mass[j],
    ];
    return m0 + ((m1 - m0) * (s - s0)) / Math.max(1, s1 - s0);
  };
  return { seconds, massAt };
}
