import { type Grams, type Seconds, g, s } from "../../ground/quantity";
import type { Warning } from "../../ground/result";
import { rateAt } from "./rate-profile";
import { PACE, type Tracker, predict } from "./tracker";

/** What a tracker says: mass now, when it is there, how it goes. Source: docs/models.md "The live forecast". */

const Z90 = 1.645;

/** How much wider than expected the readings scatter, 1–9. */
const scatter = (t: Tracker): number => {
  if (t.surprises.length < 4) return 1;
  const mean = t.surprises.reduce((sum, x) => sum + Math.min(x, 9), 0) / t.surprises.length;
  return Math.min(9, Math.max(1, mean));
};

/** Mass now with its 90 % limits. */
export function massNow(t: Tracker): { value: Grams; lo: Grams; hi: Grams } {
  const half = Z90 * Math.sqrt(scatter(t) * t.p11);
  return { value: g(t.massG), lo: g(Math.max(0, t.massG - half)), hi: g(t.massG + half) };
}

/** When the pot is there, s from the tracker's clock. */
export interface Arrival {
  /** `null`: not within a day. */
  readonly value: Seconds | null;
  readonly lo: Seconds;
  /** `null`: no upper bound yet. */
  readonly hi: Seconds | null;
}

const LONGEST_S = 24 * 3600;

/** When the mass falls to a target, with its 90 % limits. Marches in growing steps, then halves to 0.05 s. */
export function arrival(t: Tracker, targetG: number): Arrival {
  const wide = Math.sqrt(scatter(t));
  const first = Math.min(
    1350,
    Math.max(10, (t.massG - targetG) / (t.pace * rateAt(t.profile, t.massG)) / 16),
  );
  const cross = (z: number): number | null => {
    const f = (d: number) => {
      const p = predict(t, d);
      return p.massG + z * wide * Math.sqrt(Math.max(0, p.p11)) - targetG;
    };
    if (f(0) <= 0) return 0;
    let [from, to, step] = [0, first, first];
    while (f(to) > 0) {
      if (to >= LONGEST_S) return null;
      from = to;
      step *= 1.15;
      to = Math.min(LONGEST_S, to + step);
    }
    while (to - from > 0.05) {
      const middle = (from + to) / 2;
      if (f(middle) > 0) from = middle;
      else to = middle;
    }
    return (from + to) / 2;
  };
  const [value, lo, hi] = [cross(0), cross(-Z90), cross(Z90)];
  const at = (d: number) => s(t.atS + d);
  return {
    value: value === null ? null : at(value),
    lo: at(lo ?? LONGEST_S),
    hi: hi === null ? null : at(hi),
  };
}

export const TRACKER_STATUSES = ["on-pace", "slow", "fast", "stalled", "there"] as const;
export type TrackerStatus = (typeof TRACKER_STATUSES)[number];

const LEAST_READINGS = 3;
/** A pace this far from the foreseen one is no longer called "as foreseen", whatever its doubt. */
const NEAR_PACE = 0.2;

/** How it goes. Slow, fast and stalled need three accepted readings; a dead flame also shows in the readings' own line. */
export function statusOf(t: Tracker, targetG: number, readingSdG: number): TrackerStatus {
  if (t.massG <= targetG + readingSdG) return "there";
  if (t.accepted < LEAST_READINGS) return "on-pace";
  const sd = Math.sqrt(Math.max(0, t.p22));
  if (t.pace + Z90 * sd < 0.25 || levelLine(t)) return "stalled";
  if (t.pace + Z90 * sd < 0.7) return "slow";
  return t.pace - Z90 * sd > 1.4 ? "fast" : "on-pace";
}

/** Whether some line through the last 3 to 6 readings is surely flatter than a quarter of what the model foresees. */
function levelLine(t: Tracker): boolean {
  const need = 0.25 * rateAt(t.profile, t.massG);
  for (let k = 3; k <= Math.min(6, t.recent.length); k++) {
    const last = t.recent.slice(-k);
    const mean = last.reduce((sum, r) => sum + r.atS, 0) / k;
    const mass = last.reduce((sum, r) => sum + r.massG, 0) / k;
    const sxx = last.reduce((sum, r) => sum + (r.atS - mean) ** 2, 0);
    if (sxx <= 0) continue;
    const slope = last.reduce((sum, r) => sum + (r.atS - mean) * (r.massG - mass), 0) / sxx;
    const sd = Math.max(...last.map(r => r.sdG));
    if (-slope + (Z90 * sd) / Math.sqrt(sxx) < need) return true;
  }
  return false;
}

/** What to look at, in a cook's words; nothing while it goes as foreseen. */
export const STATUS_WORDS: Record<TrackerStatus, string> = {
  "on-pace": "as foreseen",
  slow: "slower than foreseen: look at the flame, the lid, a layer of fat",
  fast: "faster than foreseen: lower the flame or look again sooner",
  stalled: "hardly anything leaves: is the flame out, the lid on, a crust closed?",
  there: "at the mark",
};

/**
 * How it goes, in a cook's words: the status, and where that is still open but the readings point away from what was foreseen,
 * which way.
 */
export function paceWords(t: Tracker, status: TrackerStatus): string {
  if (status !== "on-pace" || t.accepted < 2 || Math.abs(t.pace - 1) <= NEAR_PACE)
    return STATUS_WORDS[status];
  const times = Math.round(t.pace * 10) / 10;
  return t.pace < 1
    ? `so far about ${times} times the pace foreseen: look at the flame, and read once more`
    : `so far about ${times} times the pace foreseen: read again soon`;
}

/** Solids from which a falling pace may mean a crust. */
const CRUST_SOLIDS = 0.15;

/** @param solidsShare dissolved and swollen solids, share of the mass */
export function trackerWarnings(t: Tracker, solidsShare: number): Warning[] {
  const warnings: Warning[] = [];
  if (
    solidsShare > CRUST_SOLIDS &&
    t.pace < 0.7 * t.bestPace &&
    t.bestPace - t.pace > Z90 * Math.sqrt(Math.max(0, t.p22))
  )
    warnings.push({
      code: "CRUST",
      message: "It goes slower and slower while it thickens: a skin or crust closes the surface. Stir.",
    });
  if (t.pace <= PACE.least || t.pace >= PACE.most)
    warnings.push({
      code: "MODEL_MISFIT",
      message: "The readings do not fit this pot and burner at all: check tare, pot and start weight.",
    });
  return warnings;
}
