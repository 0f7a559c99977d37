import { TOLERANCE } from "../control";
import { type Result, ok, refuse } from "../ground/result";
import type { BatchRecord } from "../run";

/** Whether what a version has shown in its batches is enough to call it the standard. */

/** Batches of one attribute, in the order they were made: how far off each was, as a share of what was wanted. */
export interface Attribute {
  readonly name: string;
  readonly deviations: readonly number[];
  /** What still counts as inside, to either side, as a share. */
  readonly tolerance: number;
}

export interface AttributeReady {
  readonly name: string;
  readonly n: number;
  readonly inside: number;
  /** 0–100. */
  readonly score: number;
  readonly lastInside: boolean;
  /** The latest batch lies outside three sigmas of the others. */
  readonly alarm: boolean;
}

export interface Readiness {
  /** The least of its attributes, 0–100; 0 where nothing was measured. */
  readonly score: number;
  readonly ready: boolean;
  readonly attributes: readonly AttributeReady[];
  /** The smallest number of further batches, all inside, after which it is ready; 0 when it is. */
  readonly missing: number;
}

/** A batch is good where it is inside this often at least. Our estimate. */
const WANTED_RATE = 0.8;
const READY_SCORE = 90;
const LEAST_BATCHES = 8;
const LAST_INSIDE = 3;
/** Mean moving range over its sigma, for two neighbours. */
const RANGE_OVER_SIGMA = 2 / Math.sqrt(Math.PI);
const ALARM_SIGMAS = 3;
/** Fewer give no range worth the name. */
const LEAST_FOR_ALARM = 5;
const MOST_MISSING = 1000;

/**
 * Probability that a version with `inside` of `n` batches within tolerance is so in at least 80 % of all, per cent.
 *
 * Beta prior (1, 1): 100·(1 − I₀.₈(1 + x, 1 + n − x)), for whole numbers the sum of a binomial of n + 1 up to x.
 * Source: docs/models.md "Standard". @example 10 of 10: 91.41; 9 of 9: 89.26; 14 of 15: 85.93
 */
export function scoreOf(inside: number, n: number): number {
  const p = WANTED_RATE;
  let term = (1 - p) ** (n + 1);
  let sum = 0;
  for (let k = 0; k <= inside; k++) {
    sum += term;
    term *= ((n + 1 - k) / (k + 1)) * (p / (1 - p));
  }
  return 100 * Math.min(1, sum);
}

/**
 * Readiness from all attributes that were measured at all: the weakest decides.
 *
 * @errors NOT_FINITE a deviation is no number · EMPTY no attribute was measured
 * @example ten of ten inside for yield, nine of nine for salt: 89.26, one batch is missing
 */
export function readiness(attributes: readonly Attribute[]): Result<Readiness> {
  const measured = attributes.filter(({ deviations }) => deviations.length > 0);
  const broken = measured.find(({ deviations }) => !deviations.every(Number.isFinite));
  if (broken)
    return refuse({
      code: "NOT_FINITE",
      field: broken.name,
      message: `A batch has no number for its ${broken.name}.`,
    });
  if (!measured.length)
    return refuse({
      code: "EMPTY",
      field: "batches",
      message: "No batch of it was measured yet: weigh it at the end, and its readiness shows here.",
    });
  const found = measured.map(attributeReady);
  const ready = isReady(found);
  let missing = 0;
  while (!ready && missing < MOST_MISSING) {
    missing += 1;
    const added = missing;
    const then = measured.map(one =>
      attributeReady({ ...one, deviations: [...one.deviations, ...Array<number>(added).fill(0)] }),
    );
    if (isReady(then)) break;
  }
  return ok({ score: Math.min(...found.map(one => one.score)), ready, attributes: found, missing });
}

const isReady = (found: readonly AttributeReady[]): boolean =>
  found.every(
    ({ n, score, lastInside, alarm }) => n >= LEAST_BATCHES && score >= READY_SCORE && lastInside && !alarm,
  );

function attributeReady({ name, deviations, tolerance }: Attribute): AttributeReady {
  const within = deviations.map(d => Math.abs(d) <= tolerance);
  const inside = within.filter(Boolean).length;
  return {
    name,
    n: deviations.length,
    inside,
    score: scoreOf(inside, deviations.length),
    lastInside: within.slice(-LAST_INSIDE).every(Boolean),
    alarm: isAlarm(deviations),
  };
}

/** Whether the latest lies further from the mean of those before it than three sigmas by their moving ranges. */
function isAlarm(values: readonly number[]): boolean {
  const before = values.slice(0, -1);
  const last = values.at(-1);
  if (last === undefined || before.length < LEAST_FOR_ALARM) return false;
  const mean = before.reduce((sum, v) => sum + v, 0) / before.length;
  const ranges = before.slice(1).map((v, i) => Math.abs(v - (before[i] ?? v)));
  const sigma = ranges.reduce((sum, r) => sum + r, 0) / ranges.length / RANGE_OVER_SIGMA;
  return sigma > 0 && Math.abs(last - mean) > ALARM_SIGMAS * sigma;
}

/**
 * What batches have measured of a version: how much came out, how long it took, and what salt it took against what the
 * formula puts in.
 * @param records in the order they were made
 */
export function attributesOf(records: readonly BatchRecord[]): Attribute[] {
  const told = (of: (record: BatchRecord) => number | null) => records.flatMap(record => of(record) ?? []);
  return [
    {
      name: "yield",
      deviations: told(r => r.yieldG.deviation ?? r.yieldMl.deviation),
      tolerance: TOLERANCE.yield,
    },
    { name: "time", deviations: told(r => r.minutes.deviation), tolerance: TOLERANCE.time },
    {
      name: "thickness",
      // Of the whole scale of body: eight points to either side.
      deviations: told(r => (r.thickness ? (r.thickness.actual - r.thickness.planned) / 100 : null)),
      tolerance: TOLERANCE.thickness,
    },
    { name: "salt", deviations: told(saltOff), tolerance: TOLERANCE.salt },
  ];
}

/** All the salt a batch took over the formula’s own, less one; `null` where it has none of its own. */
function saltOff({ seasoned = [] }: BatchRecord): number | null {
  const salts = seasoned.filter(one => /(?:^|-)salt$/.test(one.ingredientId));
  const own = salts.reduce((sum, one) => sum + (one.doses[0]?.massG ?? 0), 0);
  return own > 0 ? salts.reduce((sum, one) => sum + one.totalG, 0) / own - 1 : null;
}
