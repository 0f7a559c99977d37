import { type ProbeReading, probeErrorProblem, readingsProblem } from "../lethality";
import { type Result, ok, refuse } from "../../ground/result";
import { type CoolingProfile, type CoolingStage, PROFILES, type ProfileId } from "./limits";

/** What a cooling log shows for one stage. On screen these are words that promise nothing. */
export const VERDICTS = ["pass", "pass-marginal", "fail", "pending", "unknown"] as const;
export type Verdict = (typeof VERDICTS)[number];

/** Never "safe", never "passed": inside or outside the limits this kitchen has set. */
export const VERDICT_WORDS: Record<Verdict, string> = {
  pass: "inside the limits set in this kitchen",
  "pass-marginal": "inside the limits, but only just: the readings leave it open",
  fail: "outside the limits set in this kitchen",
  pending: "not there yet, the limit is still ahead",
  unknown: "the readings do not tell",
};

export interface StageVerdict {
  readonly stage: CoolingStage;
  /** Minutes from the start crossing to the end crossing, as shown; `null` while it is above the end. */
  readonly tookMin: number | null;
  /** Minute at which it crossed the end; `null` likewise. */
  readonly crossedAtMin: number | null;
  readonly verdict: Verdict;
  readonly notes: readonly string[];
}

export interface LogVerdict {
  readonly profile: CoolingProfile;
  /** Minute the start temperature was crossed; `null` while it is still hotter. */
  readonly startMin: number | null;
  readonly stages: readonly StageVerdict[];
  readonly notes: readonly string[];
}

/** Bracketing readings further apart than this leave open what happened between. */
const GAP_MIN = 60;

const crossing = (a: ProbeReading, b: ProbeReading, limit: number): number =>
  a.min + ((b.min - a.min) * (a.c - limit)) / (a.c - b.c);

interface Start {
  /** As shown: linear between the readings. */
  readonly shown: number;
  /** The last reading at or above the limit: what a pass is counted from. */
  readonly cautious: number;
  readonly unknown: boolean;
  readonly rewarmed: boolean;
}

function startOf(log: readonly ProbeReading[], profile: CoolingProfile): Start | null {
  let from = 0;
  log.forEach((reading, i) => {
    if (reading.c >= profile.reheatC) from = i;
  });
  const first = log[from];
  if (!first) return null;
  if (first.c < profile.startC)
    return { shown: first.min, cautious: first.min, unknown: true, rewarmed: false };
  for (let i = from + 1; i < log.length; i++) {
    const [a, b] = [log[i - 1] as ProbeReading, log[i] as ProbeReading];
    if (a.c >= profile.startC && b.c < profile.startC)
      return {
        shown: crossing(a, b, profile.startC),
        cautious: a.min,
        unknown: false,
        rewarmed: log.slice(i + 1).some(r => r.c >= profile.startC),
      };
  }
  return null;
}

function judge(log: readonly ProbeReading[], stage: CoolingStage, start: Start): StageVerdict {
  const limit = stage.endC;
  const crossings = log.flatMap((b, i) => {
    const a = log[i - 1];
    return a && a.c > limit && b.c <= limit ? [{ a, b }] : [];
  });
  const last = crossings.at(-1);
  const below = (log.at(-1)?.c ?? Infinity) <= limit;
  const crossed = last && below ? crossing(last.a, last.b, limit) : null;
  const due = start.shown + stage.allowedMin;
  const lateAbove = log.some(r => r.c > limit && r.min > due);
  const tookMin = crossed === null ? null : crossed - start.shown;
  const verdict = ((): Verdict => {
    const tooLate = lateAbove || (tookMin !== null && tookMin > stage.allowedMin);
    if (start.unknown) return tooLate ? "fail" : "unknown";
    if (crossed !== null && crossed - start.cautious <= stage.allowedMin) return "pass";
    if (last && below && last.b.min - last.a.min > GAP_MIN && due > last.a.min && due < last.b.min)
      return "unknown";
    if (tookMin !== null && tookMin <= stage.allowedMin) return "pass-marginal";
    return tooLate ? "fail" : "pending";
  })();
  return {
    stage,
    tookMin,
    crossedAtMin: crossed,
    verdict,
    notes: crossings.length > 1 ? ["REWARMED"] : [],
  };
}

/**
 * Holds a probe log against a profile of limits.
 *
 * A stage ends at the last time it fell through its end; it starts at the first fall through the profile's start
 * temperature after the last true reheating. The end is judged by the chord (late, so careful), the start by the last
 * reading above it. An unproved probe may turn "inside" into "only just".
 *
 * @param readings     minutes and °C in order, at least two
 * @param probeErrorK  90 % error of the probe, K
 * @errors TIME_ORDER · PROBE · EMPTY · NOT_FINITE · OUT_OF_RANGE
 * Guidance: the local code decides. Source: docs/models.md "Cooling".
 */
export function judgeLog(
  readings: readonly ProbeReading[],
  profileId: ProfileId,
  probeErrorK = 1,
): Result<LogVerdict> {
  const problem = readingsProblem(readings);
  if (problem) return refuse(problem);
  const unproved = probeErrorProblem(probeErrorK);
  if (unproved) return refuse(unproved);
  const profile = PROFILES[profileId];
  const start = startOf(readings, profile);
  const warmer = readings.map(r => ({ ...r, c: r.c + probeErrorK }));
  const warmerStart = startOf(warmer, profile);
  const stages = profile.stages.map((stage): StageVerdict => {
    if (!start) return { stage, tookMin: null, crossedAtMin: null, verdict: "pending", notes: [] };
    const found = judge(readings, stage, start);
    if (found.verdict !== "pass" || probeErrorK === 0 || !warmerStart) return found;
    const careful = judge(warmer, stage, warmerStart);
    return careful.verdict === "pass"
      ? found
      : { ...found, verdict: "pass-marginal", notes: [...found.notes, "PROBE_ERROR"] };
  });
  const notes = [
    ...(start?.unknown ? ["START_UNKNOWN"] : []),
    ...(start?.rewarmed ? ["REWARM_NOT_REHEATED"] : []),
  ];
  return ok({ profile, startMin: start?.shown ?? null, stages, notes });
}

/** The worst of several: what the whole log comes to. */
export const worstVerdict = (stages: readonly StageVerdict[]): Verdict => {
  const order: readonly Verdict[] = ["fail", "unknown", "pending", "pass-marginal", "pass"];
  return order.find(v => stages.some(stage => stage.verdict === v)) ?? "pending";
};
