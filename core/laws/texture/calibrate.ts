import { clamp } from "../../ground/quantity";
import { type Result, checkNumber, ok, refuse } from "../../ground/result";

/** A thickness as read or forecast (`x`) beside what it truly was (`y`). */
export interface CalibrationPair {
  readonly x: number;
  readonly y: number;
}

/** A straight correction of one device or one kind of sauce, and how far it can be trusted. */
export interface Calibration {
  /** Points to add at thickness 45, and more per point above it. */
  readonly a: number;
  readonly b: number;
  /** Scatter left, points. */
  readonly s: number;
  /** Variances of a and b and their covariance. */
  readonly v: { readonly aa: number; readonly ab: number; readonly bb: number };
  readonly n: number;
  /** Places in the input of pairs that do not fit and were set aside. */
  readonly setAside: readonly number[];
  /** Enough pairs to be called calibrated. */
  readonly trusted: boolean;
}

const MIDDLE = 45;
/** How large a correction is thought likely before anything is read, points and points per point. Our estimate. */
const PRIOR_A_VARIANCE = 36;
const PRIOR_B_VARIANCE = 0.0225;
const FIRST_S = 4;
const PRIOR_WEIGHT = 4;
const MOST_SLOPE = 0.4;
const ENOUGH = 3;
const SET_ASIDE_FROM = 4;
const STANDS_APART = 3.5;

function fit(pairs: readonly CalibrationPair[]): Omit<Calibration, "n" | "setAside" | "trusted"> {
  let s = FIRST_S;
  let found = { a: 0, b: 0, v: { aa: PRIOR_A_VARIANCE, ab: 0, bb: PRIOR_B_VARIANCE } };
  const points = pairs.map(p => ({ u: p.x - MIDDLE, r: p.y - p.x }));
  for (let pass = 0; pass < 2; pass++) {
    const w = 1 / s ** 2;
    let [n, u1, u2, r1, ur] = [0, 0, 0, 0, 0];
    for (const { u, r } of points) {
      n += w;
      u1 += w * u;
      u2 += w * u * u;
      r1 += w * r;
      ur += w * u * r;
    }
    const m11 = 1 / PRIOR_A_VARIANCE + n;
    const m22 = 1 / PRIOR_B_VARIANCE + u2;
    const det = m11 * m22 - u1 * u1;
    const free = (m11 * ur - u1 * r1) / det;
    const b = clamp(free, -MOST_SLOPE, MOST_SLOPE);
    const a = b === free ? (m22 * r1 - u1 * ur) / det : (r1 - b * u1) / m11;
    found = { a, b, v: { aa: m22 / det, ab: -u1 / det, bb: m11 / det } };
    // The scatter is renewed after the first pass only: the second is the last.
    if (pass === 0)
      s = Math.sqrt(
        (PRIOR_WEIGHT * FIRST_S ** 2 + points.reduce((sum, { u, r }) => sum + (r - a - b * u) ** 2, 0)) /
          (PRIOR_WEIGHT + points.length),
      );
  }
  return { ...found, s };
}

/** A thickness put right by a calibration, with its standard deviation. */
export function corrected(x: number, c: Pick<Calibration, "a" | "b" | "s" | "v">) {
  const u = x - MIDDLE;
  return {
    thickness: x + c.a + c.b * u,
    sd: Math.sqrt(c.s ** 2 + c.v.aa + 2 * u * c.v.ab + u * u * c.v.bb),
  };
}

/**
 * Learns a straight correction from pairs of one kitchen.
 *
 * Bayesian straight line in two passes; priors keep few pairs harmless. From four pairs on, a pair further than 3.5 of
 * its own deviations from the line through the others is set aside and named, at most a quarter of them.
 * @errors NOT_FINITE · OUT_OF_RANGE a thickness outside 0–100
 * Source: docs/models.md "Calibration" (A.7). @example six pairs of the check row → a 4.184, b 0.0365, s 2.658
 */
export function calibrate(pairs: readonly CalibrationPair[]): Result<Calibration> {
  const range = { min: 0, max: 100 };
  const problems = pairs.flatMap((p, i) => [
    ...checkNumber(p.x, `pairs.${i}.x`, "The first thickness", range),
    ...checkNumber(p.y, `pairs.${i}.y`, "The second thickness", range),
  ]);
  if (problems.length) return refuse(...problems);
  const setAside: number[] = [];
  const kept = () => pairs.map((p, i) => ({ p, i })).filter(({ i }) => !setAside.includes(i));
  if (pairs.length >= SET_ASIDE_FROM)
    for (let k = 0; k < Math.floor(pairs.length / 4); k++) {
      const left = kept();
      let worst = { i: -1, apart: STANDS_APART };
      for (const { p, i } of left) {
        const others = fit(left.filter(o => o.i !== i).map(o => o.p));
        const { thickness, sd } = corrected(p.x, others);
        const apart = Math.abs(p.y - thickness) / sd;
        if (apart > STANDS_APART && apart >= worst.apart) worst = { i, apart };
      }
      if (worst.i < 0) break;
      setAside.push(worst.i);
    }
  const used = kept().map(({ p }) => p);
  return ok({ ...fit(used), n: used.length, setAside, trusted: used.length >= ENOUGH });
}
