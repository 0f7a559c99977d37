import { type Grams, type Millilitres, g, ml } from "../ground/quantity";
import { type Result, checkNumber, ok, refuse } from "../ground/result";
import { netEvaporation, volumeAt20 } from "../things/pot";
import { TEST_IDS, type TestId, movedTo, readAtC, readThickness } from "../laws/texture";
import {
  FIGURES,
  type PaceReading,
  eatenShare,
  finalState,
  kindOf,
  productMass,
  productVolume,
} from "../formula";
import { paceOf } from "./pace";
import type { RunState } from "./fold";
import type { Felt } from "./touch";
import { type Seasoned, seasonedIn } from "./seasoning";
import { type Incident, fixInWords, incidentInWords, tastingInWords } from "./told";
import type { StepProgress } from "./progress";
import { isTappedThrough } from "./tapped";
import { type Taught, taughtBy } from "./taught";

/** Planned beside actual. `deviation` is (actual − planned)/planned; `null` where one side is missing. */
export interface Compared {
  readonly what: string;
  readonly unit: "g" | "ml" | "min" | "°C" | "mm";
  readonly planned: number | null;
  readonly actual: number | null;
  readonly deviation: number | null;
}

const compared = (
  what: string,
  unit: Compared["unit"],
  planned: number | null,
  actual: number | null,
): Compared => ({
  what,
  unit,
  planned,
  actual,
  deviation: planned !== null && actual !== null && planned !== 0 ? (actual - planned) / planned : null,
});

export interface BatchStep {
  readonly stepId: string;
  readonly title: string;
  readonly status: string;
  readonly figures: readonly Compared[];
  readonly notes: readonly { readonly text: string; readonly personId: string }[];
}

/** Foreseen and read; `null` where there is none. */
export interface Pair {
  readonly planned: number | null;
  readonly actual: number | null;
}

/** The record of a finished run: what was planned, what came out, step by step. */
export interface BatchRecord {
  readonly startedAt: number | null;
  readonly finishedAt: number | null;
  readonly steps: readonly BatchStep[];
  readonly yieldMl: Compared;
  readonly yieldG: Compared;
  readonly minutes: Compared;
  /** What it took by taste, with what to begin with next time; absent in batches from before that was kept. */
  readonly seasoned?: readonly Seasoned[];
  /** How it tasted last; absent where nobody tasted. */
  readonly score?: number;
  /** Body by the last kitchen test of it, beside what was planned, 0–100 where it is eaten; absent where nobody tested. */
  readonly thickness?: { readonly planned: number; readonly actual: number };
  /** Read at the end beside what was foreseen: °Brix, per cent of salt in what is eaten, pH; absent in older batches. */
  readonly measured?: {
    readonly brix: Pair;
    readonly saltPct: Pair;
    readonly ph: Pair;
  };
  /** Its pot: the one it stood in longest; absent in older batches. */
  readonly vesselId?: string | null;
  /** What went in had cost, in the kitchen’s currency; `null` without prices. */
  readonly cost?: number | null;
  /** What was weighed in for lines of the formula. */
  readonly weighed?: readonly { readonly lineId: string; readonly massG: number }[];
  /** What went wrong and what it cost, g. */
  readonly incidents?: readonly {
    /** What it was; absent in older batches. */
    readonly what?: Incident["what"];
    readonly words: string;
    readonly lostG: number | null;
    /** What was lost, in the kitchen’s currency; `null` where nobody weighed it or it has no price. */
    readonly cost?: number | null;
  }[];
  /** How it gave under the finger, beside the probe. */
  readonly touches?: readonly Felt[];
  /** How fast its pots on their burners went: what the kitchen learns of it. */
  readonly paces?: readonly PaceReading[];
  /** What it says of the figures the sums rest on; absent in older batches. */
  readonly taught?: readonly Taught[];
  /** Litres got out of the strainer over litres in the pot before, 0–1; `null` without a jug reading. */
  readonly strainYield: number | null;
}

const isTest = (what: string | undefined): what is TestId => TEST_IDS.some(id => id === what);

/** The last kitchen test of body, moved to where it is eaten; `null` where nobody tested or nothing was foreseen. */
function thicknessIn(run: RunState): BatchRecord["thickness"] | null {
  for (const { readings, planned } of [...run.steps].reverse()) {
    const { body } = planned;
    const last = readings.findLast(r => r.kind === "measured" && isTest(r.what));
    if (!body || last?.value === undefined || !isTest(last.what)) continue;
    const temperatureC = last.temperatureC ?? planned.temperatureC;
    const read = readThickness({ test: last.what, reading: last.value, options: { temperatureC } });
    if (!read.ok) continue;
    const moved = movedTo({ ...read.value, atC: readAtC(last.what, temperatureC) }, body.atC);
    return { planned: body.thickness, actual: Math.min(100, Math.max(0, moved.thickness)) };
  }
  return null;
}

/** Planned against actual for every step and for the whole. Only readings count as actual; nothing is filled in. */
export function batchRecord(run: RunState): BatchRecord {
  const planned = run.planned;
  const steps = run.steps.map((progress, i): BatchStep => {
    const { step, planned: plan, readings } = progress;
    const took = minutesOf(progress);
    const weighed = readings.filter(r => r.kind === "weighed" || r.kind === "dipped").at(-1);
    const figures = [compared("time", "min", plan.durationS / 60, took)];
    if (weighed)
      figures.push(
        compared(
          weighed.kind === "dipped" ? "in pot, by the stick" : "in pot, weighed",
          "g",
          plan.massG,
          weighed.massG ?? null,
        ),
      );
    for (const reading of readings) {
      if (reading.kind === "added") {
        const line = planned.states
          .slice(0, i + 1)
          .flatMap(state => state.lines)
          .find(l => l.lineId === reading.lineId);
        figures.push(compared(line?.name ?? "added", "g", line?.massG ?? null, reading.massG ?? null));
      }
      if (reading.kind === "probed" && reading.where === "oven")
        figures.push(
          compared("oven", "°C", kindOf(step).ovenC?.(step) ?? null, reading.temperatureC ?? null),
        );
    }
    const probe = readings.filter(r => r.kind === "probed" && r.where === "pot").at(-1);
    if (probe) figures.push(compared("probe", "°C", plan.temperatureC, probe.temperatureC ?? null));
    const jugs = readings.filter(r => r.kind === "jugged");
    if (jugs.length)
      figures.push(
        compared(
          "in the jug",
          "ml",
          plan.volumeMl,
          jugs.reduce((sum, j) => sum + (j.volumeMl ?? 0), 0),
        ),
      );
    const steamed = steamedOff(run, i);
    if (steamed) figures.push(steamed);
    return {
      stepId: step.id,
      title: kindOf(step).title(
        step,
        plan.lines.map(l => l.name),
      ),
      status: run.steps[i]?.status ?? "waiting",
      figures,
      notes: [
        ...readings.flatMap(r =>
          r.kind === "noted" && r.text ? [{ text: r.text, personId: r.personId }] : [],
        ),
        ...toldIn(run, progress),
        ...(run.steps[i]?.overridden ?? []).map(({ what, reason, personId }) => ({
          text: `${what} – done all the same: ${reason}`,
          personId,
        })),
      ],
    };
  });
  const measured = run.steps.some(s =>
    s.readings.some(r => r.massG !== undefined || r.volumeMl !== undefined),
  );
  // With a step in it that nobody timed the whole says nothing either.
  const total =
    run.startedAt !== null && run.finishedAt !== null && !run.steps.some(isTappedThrough)
      ? (run.finishedAt - run.startedAt) / 60_000
      : null;
  const thickness = thicknessIn(run);
  const last = finalState(planned.states);
  const score = run.told.tastings.findLast(tasting => tasting.score !== null)?.score;
  return {
    startedAt: run.startedAt,
    finishedAt: run.finishedAt,
    steps,
    yieldMl: compared("yield", "ml", planned.finishedMl, measured ? productVolume(run.pot) : null),
    yieldG: compared("yield", "g", planned.finishedG, measured ? productMass(run.pot) : null),
    minutes: compared("whole run", "min", planned.totalS / 60, total),
    strainYield: strainYieldOf(run),
    seasoned: seasonedIn(run),
    measured: {
      brix: { planned: last ? FIGURES.brix.of(last) : null, actual: lastRead(run, "brix") },
      saltPct: {
        planned: last ? eatenShare(last, "salt") : null,
        // What went in is known, what it stands in only by weight.
        actual: measured ? eatenShare({ pot: run.pot }, "salt", last) : null,
      },
      ph: { planned: null, actual: lastRead(run, "ph") },
    },
    vesselId: potOf(run),
    cost: last && last.cost > 0 ? last.cost : null,
    weighed: run.steps.flatMap(({ readings }) =>
      readings.flatMap(r =>
        r.kind === "added" && r.lineId !== undefined && r.massG !== undefined
          ? [{ lineId: r.lineId, massG: r.massG }]
          : [],
      ),
    ),
    ...(score != null && { score }),
    ...(thickness && { thickness }),
    paces: run.steps.flatMap(step => paceOf(step) ?? []),
    taught: taughtBy(run),
    incidents: run.told.incidents.map(one => ({
      what: one.what,
      words: incidentInWords(one),
      lostG: one.lostG,
      cost: costOfLoss(run, one.stepId, one.lostG),
    })),
    touches: run.told.touches.map(({ touch, temperatureC }) => ({ touch, temperatureC })),
  };
}

/** The last an instrument showed in a run. */
const lastRead = (run: RunState, what: "brix" | "ph"): number | null =>
  run.steps.flatMap(({ readings }) => readings).findLast(r => r.kind === "measured" && r.what === what)
    ?.value ?? null;

/** The pot it stood in longest, as it was foreseen where nobody timed it. */
function potOf(run: RunState): string | null {
  const minutes = new Map<string, number>();
  for (const step of run.steps) {
    const id = (step.foreseen ?? step.planned).vessel?.id;
    if (id) minutes.set(id, (minutes.get(id) ?? 0) + (minutesOf(step) ?? step.planned.durationS / 60));
  }
  return (
    [...minutes].reduce<[string, number] | null>(
      (most, one) => (!most || one[1] > most[1] ? one : most),
      null,
    )?.[0] ?? null
  );
}

/**
 * What so much of a pot at a step had cost, in the kitchen’s currency, as purchased; `null` where nothing has a price.
 * @example 600 g of cream at 4.20 a kilogram: 2.52
 */
export function costOfLoss(run: RunState, stepId: string, lostG: number | null): number | null {
  const plan = run.steps.find(({ step }) => step.id === stepId)?.planned;
  return plan && lostG !== null && plan.cost > 0 && plan.massG > 0 ? (plan.cost / plan.massG) * lostG : null;
}

/** What left a simmered pot as steam, by litres in and litres out: told where it was strained into jugs. */
function steamedOff(run: RunState, index: number): Compared | null {
  const strained = run.steps[index];
  const jugs = strained?.readings.flatMap(r => (r.kind === "jugged" && r.volumeMl ? [r.volumeMl] : [])) ?? [];
  const simmered = run.steps.slice(0, index).findLast(s => s.step.kind === "simmer" && s.status === "done");
  if (strained?.step.kind !== "strain" || !jugs.length || !simmered) return null;
  const { begunAt, doneAt, from, turns, planned } = simmered;
  if (begunAt === null || doneAt === null || isTappedThrough(simmered)) return null;
  const held = Math.max(0, volumeAt20(strained.from.liquor) - (strained.foreseen?.volumeMl ?? 0));
  const net = netEvaporation({
    startMl: volumeAt20(from.liquor),
    toppedUpMl: turns.flatMap(turn => (turn.massG > 0 ? [turn.massG] : [])),
    outMl: jugs.reduce((a, b) => a + b, 0),
    lostMl: held - turns.reduce((sum, turn) => sum + Math.min(0, turn.massG), 0),
    hours: (doneAt - begunAt) / 3_600_000,
  });
  const out = planned.computed.filter(c => c.way === "out").reduce((sum, c) => sum + c.massG, 0);
  return net.ok
    ? compared("steamed off in the simmer, by the jugs", "ml", out || null, net.value.evaporatedMl)
    : null;
}

/** What was done and said in a step besides its readings. */
function toldIn({ told }: RunState, { step, turns }: StepProgress): BatchStep["notes"] {
  const here = <T extends { stepId: string; personId: string }>(
    all: readonly T[],
    words: (one: T) => string,
  ) => all.filter(one => one.stepId === step.id).map(one => ({ text: words(one), personId: one.personId }));
  return [
    ...turns.map(({ words, personId }) => ({ text: words, personId })),
    ...here(told.tastings, tastingInWords),
    ...here(told.incidents, incidentInWords),
    ...here(told.fixes, fixInWords),
  ];
}

/** Minutes a step took; `null` while it is not over, and where nobody timed it. */
const minutesOf = (progress: StepProgress): number | null =>
  progress.begunAt === null || progress.doneAt === null || isTappedThrough(progress)
    ? null
    : (progress.doneAt - progress.begunAt) / 60_000;

function strainYieldOf(run: RunState): number | null {
  const strained = run.steps.find(s => s.step.kind === "strain" && s.readings.some(r => r.kind === "jugged"));
  if (!strained) return null;
  const jugs = strained.readings.flatMap(r => (r.kind === "jugged" && r.volumeMl ? [ml(r.volumeMl)] : []));
  const share = strainYield(volumeAt20(strained.from.liquor), jugs);
  return share.ok ? share.value : null;
}

/**
 * Share of the liquor got back from a straining, drip included.
 * @errors NOT_FINITE · NEGATIVE · OUT_OF_RANGE
 * Source: exact. @example 10.4 l in the pot; 9.6 + 0.35 l → 95.7 %
 */
export function strainYield(inPot: Millilitres, got: readonly Millilitres[]): Result<number> {
  const problems = [
    ...checkNumber(inPot, "inPotMl", "What was in the pot", { min: 1, unit: "ml" }),
    ...got.flatMap((v, i) => checkNumber(v, `gotMl.${i}`, "What came out")),
  ];
  return problems.length ? refuse(...problems) : ok(got.reduce((sum, v) => sum + v, 0) / inPot);
}

/**
 * What left a bottle, from its weight before and after.
 * @errors NOT_FINITE · NEGATIVE · TARE it weighs more afterwards
 * Source: exact. @example 1240 → 1085 g: 155 g
 */
export function pouredFrom(before: Grams, after: Grams): Result<Grams> {
  const problems = [
    ...checkNumber(before, "fromG", "The weight before"),
    ...checkNumber(after, "toG", "The weight after"),
  ];
  if (problems.length) return refuse(...problems);
  if (after > before)
    return refuse({
      code: "TARE",
      field: "toG",
      value: after,
      allowed: before,
      message: `It weighs more after pouring (${Math.round(after)} g) than before (${Math.round(before)} g). Check the two readings.`,
    });
  return ok(g(before - after));
}
