import { type Grams, type Seconds, g, printNumber, s } from "../quantity";
import { type Result, type Warning, refuse, ok } from "../result";
import { type RateProfile, rateAt } from "./rate-profile";

/**
 * Follows a reduction from a handful of readings: how much is in the pot, how fast it really goes.
 *
 * An extended Kalman filter over the mass m and the pace κ, a factor on the rate the model foresees: dm/dt = −κ·g(m),
 * κ drifting slowly. A reading far off is first put aside; the next one tells whether something was added, the heat
 * changed, or the scale was misread. Source: docs/models.md "The live forecast" (own derivation of a standard filter).
 */
export interface Tracker {
  readonly atS: number;
  readonly massG: number;
  readonly pace: number;
  /** Covariance of mass and pace: g², g, 1. */
  readonly p11: number;
  readonly p12: number;
  readonly p22: number;
  readonly profile: RateProfile;
  /** Drift of the pace, 1/s. */
  readonly drift: number;
  /** Squared surprises of the last accepted readings, in units of what was expected. */
  readonly surprises: readonly number[];
  /** Readings of any class since the last reported change: for the line that finds a dead flame. */
  readonly recent: readonly MassReading[];
  readonly accepted: number;
  readonly suspect: (MassReading & { readonly offG: number }) | null;
  /** Time of the last reading that was not suspect, or the start. */
  readonly lastGoodS: number;
  /** Largest pace since the heat or the lid was last reported changed. */
  readonly bestPace: number;
  readonly events: readonly TrackerEvent[];
}

export interface MassReading {
  readonly atS: number;
  readonly massG: number;
  /** Standard deviation, g. */
  readonly sdG: number;
}

export interface TrackerEvent {
  readonly atS: number;
  readonly code: "SUSPECT" | "JUMP" | "RATE_CHANGED" | "OUTLIER_IGNORED" | "ADDED" | "HEAT_CHANGED";
  readonly message: string;
}

const Z90 = 1.645;
const GATE_NORMAL = 2.5;
const GATE_SUSPECT = 5;
const PACE = { least: 0.02, most: 10 } as const;
const MEMORY = 8;
const SUBSTEPS = 8;
/** The pace may wander this much over the whole reduction. Our estimate. */
export const PACE_DRIFT = 0.2;
/** Spread of the pace before anything was read or learned. Our estimate. */
export const PACE_SPREAD = 0.3;

const clampPace = (pace: number): number => Math.min(PACE.most, Math.max(PACE.least, pace));

export interface TrackerStart {
  readonly atS?: number;
  readonly massG: number;
  readonly massSdG: number;
  readonly profile: RateProfile;
  /** How long the model gives the whole reduction, s. */
  readonly durationS: number;
  readonly paceSd?: number;
  readonly paceDrift?: number;
}

export const startTracker = (start: TrackerStart): Tracker => ({
  atS: start.atS ?? 0,
  massG: start.massG,
  pace: 1,
  p11: start.massSdG ** 2,
  p12: 0,
  p22: (start.paceSd ?? PACE_SPREAD) ** 2,
  profile: start.profile,
  drift: (start.paceDrift ?? PACE_DRIFT) ** 2 / Math.max(1, start.durationS),
  surprises: [],
  recent: [],
  accepted: 0,
  suspect: null,
  lastGoodS: start.atS ?? 0,
  bestPace: 0,
  events: [],
});

/** Mass after a time at a constant pace: Runge–Kutta in eight equal steps. */
function flow(profile: RateProfile, mass: number, pace: number, span: number): number {
  const h = span / SUBSTEPS;
  let m = mass;
  const slope = (x: number) => -pace * rateAt(profile, x);
  for (let i = 0; i < SUBSTEPS; i++) {
    const k1 = slope(m);
    const k2 = slope(m + (h / 2) * k1);
    const k3 = slope(m + (h / 2) * k2);
    const k4 = slope(m + h * k3);
    m += (h / 6) * (k1 + 2 * k2 + 2 * k3 + k4);
  }
  return m;
}

/** The state a span later, nothing read: mass falls, doubt grows. */
export function predict(t: Tracker, span: number): Tracker {
  if (span <= 0) return t;
  const massG = flow(t.profile, t.massG, t.pace, span);
  const [g0, g1] = [rateAt(t.profile, t.massG), rateAt(t.profile, massG)];
  const [f11, f12] = [g1 / g0, -span * g1];
  const q = t.drift;
  return {
    ...t,
    atS: t.atS + span,
    massG,
    p11: f11 * f11 * t.p11 + 2 * f11 * f12 * t.p12 + f12 * f12 * t.p22 + (g1 * g1 * q * span ** 3) / 3,
    p12: f11 * t.p12 + f12 * t.p22 - (g1 * q * span ** 2) / 2,
    p22: t.p22 + q * span,
  };
}

const say = (t: Tracker, code: TrackerEvent["code"], message: string, atS = t.atS): Tracker => ({
  ...t,
  events: [...t.events, { atS, code, message }],
});

/**
 * Takes a reading in.
 * @errors TIME_ORDER it is not later than the last one
 */
export function read(t: Tracker, reading: MassReading, field = "readings"): Result<Tracker> {
  if (!Number.isFinite(reading.massG) || !Number.isFinite(reading.atS))
    return refuse({ code: "NOT_FINITE", field, message: "A reading needs a time and a weight." });
  const since = t.recent.at(-1)?.atS;
  if (reading.atS < t.atS - 1e-9 || (since !== undefined && reading.atS <= since))
    return refuse({
      code: "TIME_ORDER",
      field,
      value: reading.atS,
      message: "This reading is not later than the one before.",
    });
  const p = predict(t, reading.atS - t.atS);
  const off = reading.massG - p.massG;
  const r = reading.sdG ** 2;
  const surprise = Math.abs(off) / Math.sqrt(p.p11 + r);
  const noted = { ...p, recent: [...p.recent, reading].slice(-MEMORY) };
  if (surprise > GATE_SUSPECT) return ok(doubt(noted, reading, off));
  const spread = surprise <= GATE_NORMAL ? p.p11 + r : off ** 2 / GATE_NORMAL ** 2;
  const [k1, k2] = [p.p11 / spread, p.p12 / spread];
  const pace = clampPace(p.pace + k2 * off);
  const next: Tracker = {
    ...noted,
    massG: p.massG + k1 * off,
    pace,
    p11: p.p11 * (1 - k1),
    p12: p.p12 * (1 - k1),
    p22: p.p22 - k2 * p.p12,
    surprises: [...p.surprises, off ** 2 / (p.p11 + r)].slice(-MEMORY),
    accepted: p.accepted + 1,
    suspect: null,
    lastGoodS: reading.atS,
    bestPace: Math.max(p.bestPace, pace),
  };
  return ok(
    p.suspect
      ? say(
          next,
          "OUTLIER_IGNORED",
          `The reading of ${printNumber(p.suspect.massG)} g did not fit and was put aside.`,
        )
      : next,
  );
}

/** A reading far off: alone it is put aside; the second one tells what happened. */
function doubt(p: Tracker, z: MassReading, off: number): Tracker {
  const aside = (): Tracker =>
    say(
      { ...p, suspect: { ...z, offG: off } },
      "SUSPECT",
      `${printNumber(z.massG)} g is far from the ${printNumber(p.massG)} g foreseen: weigh once more.`,
    );
  const first = p.suspect;
  if (!first) return aside();
  const span = z.atS - first.atS;
  const paired = Math.hypot(z.sdG, first.sdG);
  const grows =
    off * first.offG > 0 &&
    Math.abs(off) > Math.abs(first.offG) * (1 + span / (2 * Math.max(1e-9, first.atS - p.lastGoodS))) &&
    Math.abs(off - first.offG) > 2 * paired;
  const settled = {
    suspect: null,
    lastGoodS: z.atS,
    accepted: p.accepted + 1,
    massG: z.massG,
  };
  if (grows) {
    const g1 = rateAt(p.profile, z.massG) * span;
    const pace = clampPace((first.massG - z.massG) / g1);
    return say(
      {
        ...p,
        ...settled,
        pace,
        p11: z.sdG ** 2,
        p12: -(z.sdG ** 2) / g1,
        p22: Math.max(paired ** 2 / g1 ** 2, (0.15 * p.pace) ** 2),
        surprises: [],
        bestPace: Math.max(p.bestPace, pace),
      },
      "RATE_CHANGED",
      `The pot now loses ${perMinute(pace * rateAt(p.profile, z.massG))} instead of ${perMinute(p.pace * rateAt(p.profile, z.massG))}. Was the heat changed?`,
    );
  }
  const lost = p.pace * rateAt(p.profile, z.massG) * span;
  if (Math.abs(z.massG - first.massG + lost) < 4 * Math.hypot(paired, 0.3 * lost))
    return say(
      { ...p, ...settled, p11: z.sdG ** 2, p12: 0, bestPace: Math.max(p.bestPace, p.pace) },
      "JUMP",
      `The pot changed by ${printNumber(off)} g at once. Was something added or taken?`,
    );
  return aside();
}

const perMinute = (gPerS: number): string => `${printNumber(gPerS * 60)} g/min`;

/** A known amount was added (or taken, below zero), by default known to 2 %, at least 2 g. */
export function added(t: Tracker, atS: number, massG: number, sdG?: number, profile?: RateProfile): Tracker {
  const p = predict(t, atS - t.atS);
  const sd = sdG ?? Math.max(2, 0.02 * Math.abs(massG));
  return say(
    {
      ...p,
      massG: p.massG + massG,
      p11: p.p11 + sd ** 2,
      profile: profile ?? p.profile,
      recent: [],
    },
    "ADDED",
    massG >= 0 ? `${printNumber(massG)} g added.` : `${printNumber(-massG)} g taken out.`,
  );
}

/** The flame, the lid or the place on the fire was changed: the pace is open again. */
export function heatChanged(t: Tracker, atS: number, profile?: RateProfile): Tracker {
  const p = predict(t, atS - t.atS);
  return say(
    {
      ...p,
      profile: profile ?? p.profile,
      p22: p.p22 + (0.3 * p.pace) ** 2,
      bestPace: 0,
      recent: [],
    },
    "HEAT_CHANGED",
    "The heat was changed.",
  );
}

/** Back on the fire after a time off it: nothing evaporated, the pace is open again. */
export const backOnFire = (t: Tracker, atS: number): Tracker => heatChanged({ ...t, atS }, atS);

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
