import {
  type CoolingMethod,
  type LogVerdict,
  type Outlook,
  PROFILES,
  type ProfileId,
  type Verdict,
  judgeLog,
  outlook,
  projectCooling,
  sinksOf,
  withWand,
  worstVerdict,
} from "../laws/cooling";
import type { Kitchen } from "../formula";
import { ml, mm } from "../ground/quantity";
import { type Vessel, geometryOfVessel, vesselHeatCapacity } from "../things/vessel";
import type { Estimate } from "../ground/estimate";
import type { ProbeReading } from "../laws/lethality";

/** A log of something that cools, is held hot, is warmed again or stands out of the cold, held against the limits a kitchen has set. */

export const LOG_KINDS = ["cooling", "holding", "reheating", "tempering"] as const;
export type LogKind = (typeof LOG_KINDS)[number];

/** Hot holding: the least, °C, and how often it is looked at, min. Guidance: FDA Food Code 2022 § 3-501.16, 57 °C; UK 63 °C; from memory. */
export const HOLD_EVERY_MIN = 120;
export const HOLD_C: Readonly<Record<ProfileId, number>> = { fda: 57, uk: 63, "cook-chill": 63 };
/** Warming again: the least, °C, within so long. Guidance: FDA Food Code 2022 § 3-403.11, 74 °C within 2 h; from memory. */
export const REHEAT_WITHIN_MIN = 120;

/** A forecast of the next limit, with what stands in the way. */
export interface Ahead {
  readonly name: string;
  readonly endC: number;
  /** Minute of the log by which it is to be there. */
  readonly dueMin: number | null;
  /** When it will be, min of the log; `null` where it is not falling that far. */
  readonly at: Estimate | null;
  readonly outlook: Outlook;
}

export interface Judged {
  readonly verdict: Verdict;
  readonly log: LogVerdict | null;
  readonly ahead: readonly Ahead[];
}

/**
 * A cooling log as it stands: each limit with its verdict, and where it heads. @param sinkC of what it stands in
 * @param minutesPerFold expected minutes for the excess over the cold to fall to 1/e
 */
export function judgeCooling(
  readings: readonly ProbeReading[],
  profileId: ProfileId,
  sinkC: number,
  minutesPerFold: number,
  probeErrorK: number,
): Judged {
  const judged = readings.length > 1 ? judgeLog(readings, profileId, probeErrorK) : null;
  const log = judged?.ok ? judged.value : null;
  const projected = projectCooling(readings, sinkC, minutesPerFold);
  const profile = PROFILES[profileId];
  const startMin = log?.startMin ?? null;
  const open = profile.stages.filter((_, i) => (log?.stages[i]?.tookMin ?? null) === null);
  const ahead = open.map((stage): Ahead => {
    const at = projected.ok ? projected.value.crossing(stage.endC) : null;
    const begins =
      startMin ?? (projected.ok ? (projected.value.crossing(profile.startC)?.value ?? null) : null);
    const dueMin = begins === null ? null : begins + stage.allowedMin;
    return {
      name: stage.name,
      endC: stage.endC,
      dueMin,
      at,
      outlook: dueMin === null ? "at-risk" : outlook(at, dueMin),
    };
  });
  return { verdict: log ? worstVerdict(log.stages) : "pending", log, ahead };
}

/** What is wrong with checks of hot holding: below the limit, or too long between two. Minutes from its start. */
export function judgeHolding(
  readings: readonly ProbeReading[],
  limitC: number,
  nowMin: number | null,
): {
  readonly verdict: Verdict;
  readonly below: readonly ProbeReading[];
  readonly gapMin: number;
  readonly nextMin: number;
} {
  const below = readings.filter(r => r.c < limitC);
  const times = [0, ...readings.map(r => r.min), ...(nowMin === null ? [] : [nowMin])];
  const gapMin = Math.max(0, ...times.slice(1).map((t, i) => t - (times[i] ?? 0)));
  const verdict: Verdict = below.length
    ? "fail"
    : !readings.length
      ? "pending"
      : gapMin > HOLD_EVERY_MIN
        ? "unknown"
        : "pass";
  return { verdict, below, gapMin, nextMin: (readings.at(-1)?.min ?? 0) + HOLD_EVERY_MIN };
}

/** Warming again: when it got there, and whether in time. */
export function judgeReheating(
  readings: readonly ProbeReading[],
  limitC: number,
  nowMin: number,
): { readonly verdict: Verdict; readonly thereMin: number | null } {
  const there = readings.find(r => r.c >= limitC);
  if (there) return { verdict: there.min <= REHEAT_WITHIN_MIN ? "pass" : "fail", thereMin: there.min };
  return { verdict: nowMin > REHEAT_WITHIN_MIN ? "fail" : "pending", thereMin: null };
}

/** Out of the cold so long at most, min; it is told from half of it on. Common practice, no source; the local code decides. */
export const TEMPER_MIN = 30;

/**
 * Something that was taken out to lose its chill. @param backMin when it was cooked or put back; `null` while it stands out
 * @example out at 13:10 with 30 minutes: told from 13:25, over at 13:40
 */
export function judgeTempering(
  capMin: number,
  nowMin: number,
  backMin: number | null,
): { readonly verdict: Verdict; readonly tellMin: number; readonly overMin: number } {
  const stood = backMin ?? nowMin;
  return {
    verdict: stood > capMin ? "fail" : backMin === null ? "pending" : "pass",
    tellMin: capMin / 2,
    overMin: capMin,
  };
}

/** Stocks and sauces, J/(g K). Source: docs/models.md "Cooling", as the sum *cooling* takes it. */
const SAUCE_HEAT = 3.9;
/** As deep as a shallow pan is filled, mm. Common practice, no source. */
export const SHALLOW_MM = 50;
/** How fast a pot cools, and towards what. */
export interface Pace {
  /** Minutes in which the excess over the cold falls to 1/e. */
  readonly minutesPerFold: number;
  readonly sinkC: number;
}

/**
 * The pace before anything was read: by the law of cooling for this pot.
 * @returns `null` where nothing of it touches the cold, or no pot is named
 * Source: docs/models.md "Cooling" (`sinksOf`): τ = C/UA.
 */
export function expectedFold(
  pot: {
    readonly massG: number;
    readonly vessel: Vessel | undefined;
    readonly method: CoolingMethod;
  },
  kitchen: Kitchen,
): Pace | null {
  const { massG, vessel, method } = pot;
  if (!vessel || !(massG > 0)) return null;
  const geometry = geometryOfVessel(vessel);
  const sinks = sinksOf(
    {
      method,
      vessel: geometry,
      level: geometry.levelClipped(ml(massG)),
      covered: true,
      thick: false,
      stirred: method !== "ice-bath-still",
      roomC: kitchen.around.ambientC,
    },
    kitchen.facts,
  );
  if (!sinks.ok) return null;
  const capacity = kitchen.facts.coolingMassTrue * massG * SAUCE_HEAT + vesselHeatCapacity(vessel);
  const drain = withWand(sinks.value);
  return { minutesPerFold: capacity / drain.wPerK / 60, sinkC: drain.towardsC };
}

export interface Shallow {
  readonly pans: number;
  readonly name: string;
  readonly pace: Pace;
}

/** The same in shallow pans of this kitchen, filled to 50 mm: which, how many, and how fast; `null` where it has none. */
export function inShallowPans(
  pot: { readonly massG: number; readonly method: CoolingMethod },
  kitchen: Kitchen,
): Shallow | null {
  const volumeOf = (vessel: Vessel): number => geometryOfVessel(vessel).volumeAtLevel(mm(SHALLOW_MM));
  const widest = kitchen.vessels
    .filter(v => !v.closed && (v.use === "container" || v.use === "tray"))
    .sort((a, b) => volumeOf(b) - volumeOf(a))[0];
  if (!widest) return null;
  const pans = Math.max(1, Math.ceil(pot.massG / volumeOf(widest)));
  const pace = expectedFold({ ...pot, massG: pot.massG / pans, vessel: widest }, kitchen);
  return pace && { pans, name: widest.name, pace };
}
