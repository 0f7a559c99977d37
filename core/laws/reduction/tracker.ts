import { printNumber } from "../../ground/quantity";
import { type Result, ok, refuse } from "../../ground/result";
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

const GATE_NORMAL = 2.5;
const GATE_SUSPECT = 5;
/** The pace is looked for between these. */
export const PACE = { least: 0.02, most: 10 } as const;
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
