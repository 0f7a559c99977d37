import {
  bodyOfPot,
  type FormulaDocument,
  type KitchenData,
  type Step,
  courseOf,
  displacedIn,
  interpolate,
  openKitchen,
} from "../core/formula";
import {
  type RunEvent,
  type RunState,
  type StepProgress,
  UNKNOWN_BAND,
  fold,
  forecastOf,
  notTakenBack,
  timeOf,
  watchNow,
} from "../core/run";
import { type PotState, liquorMass, potMass, volumeMlOf } from "../core/things/pot";
import type { FactValues } from "../core/ground/facts";
import { degC, g, ml } from "../core/ground/quantity";
import { KITCHEN_TESTS } from "../core/laws/texture";
import { type Vessel, geometryOfVessel } from "../core/things/vessel";

/**
 * A pot as it really is, whatever anybody reads of it: the formula walked in the true kitchen along what the cook did, and
 * when. What a cook does not end goes on: a reduction runs past its mark until it is dry.
 */
export interface TruePot {
  readonly massG: number;
  readonly temperatureC: number;
  readonly levelMm: number | null;
  readonly vessel: Vessel | null;
  readonly pot: PotState;
  /** How far 50 ml of it spread on the plate, cm; `null` where it has no body to tell. */
  readonly spreadCm: number | null;
  /** What has gone wrong by now. */
  readonly wrong: readonly TrueMishap[];
}

export interface TrueMishap {
  readonly stepId: string;
  readonly what: "boiled over" | "burnt" | "ran dry" | "split";
  readonly lostG: number;
  readonly words: string;
}

/** What the readings say is for whoever reads; the pot goes by what was done. */
const READ: ReadonlySet<string> = new Set(["weighed", "dipped", "probed", "jugged", "measured"]);
/** Oil poured faster than this share of its planned time splits. Our estimate. */
const TOO_FAST = 0.6;
/** It boils over within so long once it boils, s, and loses so much of what foams. Our estimate. */
const OVER_AFTER_S = 20;
const OVER_LOSES = 0.12;
const FOAMS: ReadonlySet<string> = new Set(["FOAM_RISK", "OVERFLOW"]);

export function truePot(
  events: readonly RunEvent[],
  document: FormulaDocument,
  kitchen: KitchenData,
  burnerId: string,
  now: number,
): TruePot {
  const done = notTakenBack(events).filter(e => !READ.has(e.payload.kind) && timeOf(e) <= now);
  const opened = openKitchen(kitchen, {}, burnerId);
  const state = fold(done, asItGoes(document, fold(done, document, opened), now), opened);
  const progress = state.steps[state.current];
  const leg = progress?.status === "live" ? progress.legs.at(-1) : undefined;
  const course = leg && !leg.paused ? courseOf(leg.from, leg.foreseen) : null;
  const atS = leg ? (now - leg.at) / 1000 : 0;
  const massG = course ? interpolate(course.seconds, course.mass, atS) : potMass(leg?.from ?? state.pot);
  const temperatureC = course
    ? interpolate(course.seconds, course.temperature, atS)
    : (leg?.from ?? state.pot).temperatureC;
  const before = leg?.from ?? state.pot;
  const gone = potMass(before) - massG;
  const pot: PotState = {
    ...before,
    temperatureC: degC(temperatureC),
    liquor: { ...before.liquor, water: Math.max(0, before.liquor.water - gone) },
  };
  const vessel = leg?.foreseen.vessel ?? state.vessel;
  const levelMm =
    vessel && liquorMass(pot) > 0
      ? geometryOfVessel(vessel).levelClipped(
          ml(volumeMlOf(pot.liquor, pot.temperatureC) + displacedIn(pot, opened.facts)),
        )
      : null;
  const forecast = forecastOf(state, now, () => UNKNOWN_BAND);
  const caught = progress
    ? watchNow(progress, forecast && { ...forecast, massNowG: g(massG) }, opened, now)
    : [];
  return {
    massG,
    temperatureC,
    levelMm,
    vessel,
    pot,
    spreadCm: spreadOf(pot, opened.facts),
    wrong: [
      ...state.steps.flatMap(step => mishapsOf(step, now)),
      ...(progress && caught.some(w => w.code === "SCORCH")
        ? [{ stepId: progress.step.id, what: "burnt" as const, lostG: 0, words: "it caught on the bottom" }]
        : []),
      ...(progress?.step.kind === "reduce" && course && atS >= (course.seconds.at(-1) ?? Infinity)
        ? [
            {
              stepId: progress.step.id,
              what: "ran dry" as const,
              lostG: massG,
              words: "nothing but a crust is left",
            },
          ]
        : []),
    ],
  };
}

function spreadOf(pot: PotState, facts: FactValues): number | null {
  const body = bodyOfPot(pot, pot.temperatureC, facts);
  return body ? KITCHEN_TESTS.line.fromThickness(body.thickness, { temperatureC: pot.temperatureC }) : null;
}

/**
 * The formula as the clock goes through it: what is not ended runs on, what was ended stops where it was. It stands where the
 * run as written stands: a pan is not chosen for where it would run dry.
 */
export function asItGoes(document: FormulaDocument, run: RunState, now: number): FormulaDocument {
  return {
    ...document,
    steps: document.steps.map((step, i): Step => {
      const { begunAt = null, doneAt = null, legs = [], foreseen = null } = run.steps[i] ?? {};
      if (begunAt === null) return step;
      const tookMin = Math.max(0.1, ((doneAt ?? now) - begunAt) / 60_000);
      if (step.kind === "reduce") {
        const stands = legs[0]?.foreseen ?? foreseen;
        return {
          ...step,
          target: { dry: "gone" },
          ...(stands?.vessel && { vesselId: stands.vessel.id }),
          ...(stands?.fire && { burnerId: stands.fire.burner.id, setting: stands.fire.setting }),
          ...(doneAt !== null && { orAfterMin: tookMin }),
        };
      }
      if (step.kind === "simmer" && doneAt === null && tookMin > step.durationMin)
        return { ...step, durationMin: tookMin + 30 };
      return step;
    }),
  };
}

function mishapsOf(
  { step, status, legs, begunAt, doneAt, planned }: StepProgress,
  now: number,
): TrueMishap[] {
  if (begunAt === null || status === "waiting" || status === "skipped") return [];
  const tookS = ((doneAt ?? now) - begunAt) / 1000;
  const found: TrueMishap[] = [];
  if (step.kind === "emulsify" && doneAt !== null && tookS < TOO_FAST * planned.durationS)
    found.push({
      stepId: step.id,
      what: "split",
      lostG: 0,
      words: "the oil went in faster than it could be taken up",
    });
  for (const leg of legs) {
    const foams = leg.foreseen.warnings.some(w => FOAMS.has(w.code));
    const boilsAtS =
      leg.foreseen.course.find(p => p.temperatureC >= leg.foreseen.temperatureC - 1)?.atS ?? Infinity;
    if (foams && (now - leg.at) / 1000 > boilsAtS + OVER_AFTER_S)
      found.push({
        stepId: step.id,
        what: "boiled over",
        lostG: Math.round(OVER_LOSES * liquorMass(leg.from)),
        words: "it rose over the rim as it came to the boil",
      });
  }
  return found.slice(0, 1);
}
