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
  worstVerdict,
} from "../laws/cooling";
import type { Estimate } from "../ground/estimate";
import type { ProbeReading } from "../laws/lethality";

/** A log of something that cools, is held hot or is warmed again, held against the limits a kitchen has set. */

export const LOG_KINDS = ["cooling", "holding", "reheating"] as const;
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

/**
 * How much sooner it is cold in shallow pans: the fold time falls with the depth, since the same mass has more surface.
 * @returns minutes per fold at the new depth
 * Source: lumped cooling, docs/models.md "Cooling": the time constant goes with mass over wetted surface.
 */
export const shallower = (minutesPerFold: number, depthMm: number, toMm: number): number =>
  depthMm > toMm ? minutesPerFold * (toMm / depthMm) : minutesPerFold;

/** As deep as a shallow pan is filled, mm. Common practice, no source. */
export const SHALLOW_MM = 50;

export type { CoolingMethod, ProfileId };
