import {
  MOLAR_MASS_WATER_G,
  ethanolActivity,
  ethanolMoleFraction,
  ethanolVapourPressurePa,
  waterActivityBesideEthanol,
} from "./vapour-liquid";
import { bisect } from "../../ground/solver/halving";
import { type Celsius, type Pascals, degC, pascals } from "../../ground/quantity";
import { type Problem, type Result, type Warning, ok, refuse } from "../../ground/result";
import type { Pools } from "./pools";

/** Air around the pots. */
export interface Surroundings {
  readonly pressurePa: Pascals;
  readonly ambientC: Celsius;
  /** Relative humidity, 0–1. */
  readonly humidity: number;
}

export const STANDARD_PRESSURE_PA = 101325;

/**
 * Standard-atmosphere pressure at an altitude.
 *
 * @param altitudeM −430…5500 m
 * @returns Pa
 * @errors ALTITUDE · NOT_FINITE
 * Valid for: weather moves it by ± 2 % (90 %).
 * Source: ASHRAE Handbook—Fundamentals 2017, ch. 1, eq. 3.
 * @example pressureAtAltitude(1609) // 83 431 Pa
 */
export function pressureAtAltitude(altitudeM: number): Result<Pascals> {
  if (!Number.isFinite(altitudeM))
    return refuse({
      code: "NOT_FINITE",
      field: "altitudeM",
      value: altitudeM,
      message: "Altitude: please enter a number.",
    });
  if (altitudeM < -430 || altitudeM > 5500)
    return refuse({
      code: "ALTITUDE",
      field: "altitudeM",
      value: altitudeM,
      allowed: { min: -430, max: 5500 },
      message: `An altitude of ${altitudeM} m is outside −430 to 5500 m.`,
    });
  return ok(pascals(STANDARD_PRESSURE_PA * (1 - 2.25577e-5 * altitudeM) ** 5.2559));
}

/** Pressures a station can have, Pa. */
const PRESSURES = { min: 50_000, max: 110_000 } as const;
/** A pressure this far above the standard one of its altitude was read off a sea-level barometer. Our estimate. */
const SEA_LEVEL_READING = 1.03;
/** Lower than this the two cannot be told apart, m. */
const TOLD_APART_FROM_M = 300;

/**
 * Why a pressure is none a station at this altitude shows; `null` where it may be.
 * @param pressure Pa, of the station · @param field the problem is told at
 */
export function pressureProblem(pressure: number, altitudeM: number, field: string): Problem | null {
  const hPa = Math.round(pressure / 100);
  if (!(pressure >= PRESSURES.min && pressure <= PRESSURES.max))
    return {
      code: "PRESSURE",
      field,
      value: pressure,
      allowed: PRESSURES,
      message: `A pressure of ${hPa} hPa is outside 500 to 1100 hPa.`,
    };
  const standard = pressureAtAltitude(altitudeM);
  if (altitudeM > TOLD_APART_FROM_M && standard.ok && pressure > SEA_LEVEL_READING * standard.value)
    return {
      code: "PRESSURE",
      field,
      value: pressure,
      allowed: { max: SEA_LEVEL_READING * standard.value },
      message: `A pressure of ${hPa} hPa at ${altitudeM} m looks like the sea-level value. Type the station’s, about ${Math.round(standard.value / 100)} hPa, or leave it empty.`,
    };
  return null;
}

/**
 * Saturation pressure of water over liquid, Pa, at `t` °C (0–200).
 * Source: Hyland & Wexler 1983, ASHRAE Fundamentals 2017, ch. 1, eq. 6.
 */
export function saturationPressurePa(t: number): number {
  const k = t + 273.15;
  return Math.exp(
    -5800.2206 / k +
      1.3914993 -
      0.048640239 * k +
      4.1764768e-5 * k * k -
      1.4452093e-8 * k * k * k +
      6.5459673 * Math.log(k),
  );
}

const saturationSlope = (t: number): number => {
  const k = t + 273.15;
  return 5800.2206 / (k * k) - 0.048640239 + 8.3529536e-5 * k - 4.3356279e-8 * k * k + 6.5459673 / k;
};

/** Newton on ln(a·p_s(T)/p) = 0; monotone in the range, at most 60 passes. */
function solveBoiling(lnRatio: (t: number) => number, start: number, tolerance: number): number {
  let t = start;
  for (let pass = 0; pass < 60; pass++) {
    const step = lnRatio(t) / saturationSlope(t);
    t -= step;
    if (Math.abs(step) < tolerance) return t;
  }
  return bisectBoiling(lnRatio);
}

/** Between these any liquid of a kitchen boils, °C. */
const BOILS_BETWEEN = { lo: 0, hi: 220 } as const;

/**
 * The slow, sure way for what the quick ways cannot do: a crust, a drop of spirit without water. The vapour pressure
 * rises with the temperature, so halving always arrives; outside `BOILS_BETWEEN` the nearer end stands.
 */
function bisectBoiling(lnRatio: (t: number) => number): number {
  const { lo, hi } = BOILS_BETWEEN;
  return bisect(lnRatio, lo, hi, 1e-12) ?? (lnRatio(hi) > 0 ? lo : hi);
}

/**
 * Boiling point of pure water at a station pressure.
 *
 * @param pressure 50 000–110 000 Pa (station, not sea-level-reduced)
 * @errors PRESSURE
 * @example saturationTemperature(pascals(101325)) // 99.974 °C
 */
export function saturationTemperature(pressure: Pascals): Result<Celsius> {
  const problem = checkPressure(pressure);
  if (problem) return refuse(problem);
  return ok(degC(saturationC(pressure)));
}

const saturationC = (pressure: number): number => {
  const start = 100 + Math.log(pressure / STANDARD_PRESSURE_PA) / 0.0357;
  return solveBoiling(t => Math.log(saturationPressurePa(t) / pressure), start, 1e-9);
};

function checkPressure(pressure: number): Problem | null {
  if (pressure >= 50_000 && pressure <= 110_000) return null;
  return {
    code: "PRESSURE",
    field: "pressurePa",
    value: pressure,
    allowed: { min: 50_000, max: 110_000 },
    message: `A pressure of ${Math.round(pressure / 100)} hPa is outside 500 to 1100 hPa.`,
  };
}

/** Water bound by protein, gelatin and starch, g/g. Our estimate. */
const BOUND_WATER = 0.3;

/** Solutes with molar mass g/mol, particles per formula unit, Norrish constant. Source: docs/models.md "Boiling point". */
const SOLUTES = [
  { of: (p: Pools) => p.sugars, molarMass: 342.3, particles: 1, norrish: 6.47 },
  { of: (p: Pools) => p.salt, molarMass: 58.44, particles: 2, norrish: 2.2 },
  { of: (p: Pools) => p.acidVolatile + p.acidFixed, molarMass: 60.05, particles: 1, norrish: 0 },
  { of: (p: Pools) => p.other, molarMass: 100, particles: 1, norrish: 0 },
] as const;

/** Honey, invert sugar, fruit: mostly glucose and fructose. Source: Norrish 1966, from memory. */
const INVERT = { molarMass: 180.16, norrish: 2.25 } as const;

/** Boiling points of sugar syrups at sea level, °C, by sugar in sugar + water. Source: candy stages, from memory. */
// prettier-ignore
const SYRUPS: readonly (readonly [share: number, boilsC: number])[] = [
  [0.7, 105.48], [0.75, 107.5], [0.8, 110.2], [0.85, 114.5], [0.87, 117.7], [0.9, 122], [0.92, 126.5],
  [0.94, 133], [0.95, 136.5], [0.96, 140], [0.97, 145], [0.98, 151.5], [0.985, 156], [0.99, 162], [0.995, 171],
];
const THICK_SYRUP = 0.7;

/** Water activity of a syrup thicker than Norrish reaches: what its boiling point says. */
function activityOfThickSyrup(share: number): number {
  const at = SYRUPS.findIndex(([x]) => x >= share);
  const [x1, t1] = (at < 0 ? SYRUPS.at(-1) : SYRUPS[Math.max(1, at)]) ?? [1, 171];
  const [x0, t0] = SYRUPS[at < 0 ? SYRUPS.length - 2 : Math.max(0, at - 1)] ?? [0, 100];
  const boils = t0 + ((t1 - t0) * (Math.min(share, x1) - x0)) / (x1 - x0);
  return STANDARD_PRESSURE_PA / saturationPressurePa(boils);
}

/**
 * Water activity of a liquor by the product rule (Ross 1975) over Norrish factors (1966); fat, protein and starch
 * act only by the water they bind.
 */
export function waterActivity(p: Pools, invertSugar = false): number {
  const bound = BOUND_WATER * (p.proteinOther + p.collagen + p.starch);
  const water = Math.max(p.water - bound, 0.1 * p.water) / MOLAR_MASS_WATER_G;
  let activity = 1;
  for (let i = 0; i < SOLUTES.length; i++) {
    const solute = SOLUTES[i] as (typeof SOLUTES)[number];
    const share = p.sugars / (p.sugars + p.water);
    if (i === 0 && share > THICK_SYRUP) {
      activity *= activityOfThickSyrup(share);
      continue;
    }
    const { molarMass, norrish } = i === 0 && invertSugar ? INVERT : solute;
    const n = (solute.particles * solute.of(p)) / molarMass;
    if (n <= 0) continue;
    const x = n / (n + water);
    activity *= (1 - x) * Math.exp(-norrish * x * x);
  }
  return activity;
}

/** Drier than this nothing flows any more; the boiling point of a crust is held at the last liquid's. */
const LEAST_ACTIVITY = 0.1;

/**
 * Bubble point of a liquor with or without alcohol, °C; plain numbers, for the solvers.
 * Secant on the logarithm of total vapour pressure over pressure, at most 40 passes.
 */
export const boilingPointC = (p: Pools, pressure: number, warmStart?: number, invertSugar = false): number =>
  boilsAtActivity(p, waterActivity(p, invertSugar), pressure, warmStart);

/** The same where the water activity is known already. */
export function boilsAtActivity(
  p: Pools,
  waterActivity: number,
  pressure: number,
  warmStart?: number,
): number {
  const activity = Math.max(LEAST_ACTIVITY, waterActivity);
  const start = warmStart ?? saturationC(pressure);
  if (p.ethanol <= 0)
    return solveBoiling(t => Math.log((activity * saturationPressurePa(t)) / pressure), start, 1e-8);
  const x = ethanolMoleFraction(p.ethanol, p.water);
  const ethanol = x * ethanolActivity(x);
  const water = (1 - x) * waterActivityBesideEthanol(x) * activity;
  const excess = (t: number) =>
    Math.log((ethanol * ethanolVapourPressurePa(t) + water * saturationPressurePa(t)) / pressure);
  let t0 = start;
  let f0 = excess(t0);
  let t1 = t0 - f0 / 0.0365;
  for (let pass = 0; pass < 40; pass++) {
    const f1 = excess(t1);
    if (Math.abs(f1) < 1e-10) return t1;
    if (!Number.isFinite(f1) || f1 === f0) break;
    [t0, f0, t1] = [t1, f1, t1 - (f1 * (t1 - t0)) / (f1 - f0)];
  }
  return bisectBoiling(excess);
}

/**
 * Boiling point of a liquor in this kitchen.
 *
 * @param liquor   g of each pool
 * @param pressure station pressure, Pa
 * @param invertSugar the sugars are mostly glucose and fructose (honey, fruit)
 * @errors PRESSURE · NO_WATER. Warns ELEVATION_EXTRAPOLATED.
 * Valid for: sugar below 99.5 % of sugar + water, boiling below 171 °C. Elevation ± 10 % up to 60 % sugar, ± 15 % above.
 */
export function boilingPoint(liquor: Pools, pressure: Pascals, invertSugar = false): Result<Celsius> {
  const problem = checkPressure(pressure);
  if (problem) return refuse(problem);
  if (!(liquor.water > 0))
    return refuse({
      code: "NO_WATER",
      field: "composition",
      message: "There is no water in this liquid to boil.",
    });
  const boils = boilingPointC(liquor, pressure, undefined, invertSugar);
  const sweet = liquor.sugars / (liquor.sugars + liquor.water);
  const warnings: Warning[] =
    sweet > 0.995 || boils > 171
      ? [
          {
            code: "ELEVATION_EXTRAPOLATED",
            message: "So much sugar is beyond what the boiling-point tables cover: trust the thermometer.",
          },
        ]
      : [];
  return ok(degC(boils), warnings);
}

/** Latent heat of water, J/g, 0–140 °C; fit to steam tables, ≤ 1 J/g off. */
export const latentHeatJPerG = (t: number): number => 2500.9 - 2.3005 * t - 0.00144 * t * t;
