import type { FactValues } from "../../ground/facts";
import { type Celsius, type Grams, type Seconds, g, printNumber } from "../../ground/quantity";
import { type Problem, type Result, type Warning, checkNumber, ok, refuse } from "../../ground/result";
import { type BoneClass, SIMMER_WINDOWS, yieldingOf } from "./bone-class";

const GAS_CONSTANT = 8.314462618;
const REFERENCE_K = 366.15;
const ACTIVATION_GELATIN = 80_000;
const ACTIVATION_SOLIDS = 30_000;
const ACTIVATION_DECAY = 110_000;
/** Below this nothing worth having is extracted, °C. */
export const LEAST_EXTRACTION_C = 60;
const MOST_EXTRACTION_C = 110;
const CLEAR_STOCK_LIMIT_C = 98;
const STEP_H = 1 / 60;

const arrhenius = (t: number, activation: number): number =>
  Math.exp((-activation / GAS_CONSTANT) * (1 / (t + 273.15) - 1 / REFERENCE_K));

/** Bones or vegetables that give, with what they have given before. */
export interface Giving {
  readonly of: BoneClass;
  /** Raw mass, g; of roasted bones too. */
  readonly rawG: Grams;
  readonly roasted: boolean;
  readonly gaveGelatinG: Grams;
  readonly gaveSolidsG: Grams;
}

export interface Extract {
  readonly gelatinG: Grams;
  /** Everything else that dissolves. */
  readonly solidsG: Grams;
  /** Mean setting power of this gelatin against fresh, 0–1; `null` where there is no gelatin to give. */
  readonly strength: number | null;
}

const tooCool = (t: number): Problem => ({
  code: "T_LOW",
  field: "holdC",
  value: t,
  allowed: { min: LEAST_EXTRACTION_C },
  message: `No useful extraction below ${LEAST_EXTRACTION_C} °C, and too cool to keep: simmer hotter.`,
});

/**
 * Gelatin and other solids given up at a constant temperature, and how much setting power the gelatin has kept.
 *
 * G = (G∞·m − G_prev)(1 − e^(−k·t)), k by Arrhenius from its value at 93 °C; the same for other solids. Gelatin in
 * solution loses setting power at its own rate, so that a very long simmer gains grams and loses set.
 *
 * @param time s, 0–48 h
 * @errors T_LOW below `LEAST_EXTRACTION_C` · NEGATIVE · OUT_OF_RANGE
 * Valid for: order of magnitude; ceilings −40…+50 %. Source: docs/models.md "Stock" (our estimates).
 * @example veal 3629 g, 8 h, 93 °C → 138.5 g gelatin, 43.2 g solids, strength 0.907
 */
export function extraction(giving: Giving, time: Seconds, t: Celsius, f: FactValues): Result<Extract> {
  const problems = [
    ...checkNumber(time / 3600, "hours", "The time", { min: 0, max: 48, unit: "h" }),
    ...checkNumber(t, "holdC", "The temperature", { min: -20, max: MOST_EXTRACTION_C, unit: "°C" }),
  ];
  if (problems.length) return refuse(...problems);
  if (t < LEAST_EXTRACTION_C) return refuse(tooCool(t));
  const hours = time / 3600;
  const give = yieldingOf(giving.of, giving.roasted, f);
  const share = (rate: number, activation: number) => 1 - Math.exp(-rate * arrhenius(t, activation) * hours);
  const solidsG = g(
    Math.max(0, give.solids * giving.rawG - giving.gaveSolidsG) *
      share(give.solidsRatePerH, ACTIVATION_SOLIDS),
  );
  if (!give.gelatin) return ok({ gelatinG: g(0), solidsG, strength: null });
  const { most, ratePerH, decayPerH } = give.gelatin;
  return ok({
    gelatinG: g(Math.max(0, most * giving.rawG - giving.gaveGelatinG) * share(ratePerH, ACTIVATION_GELATIN)),
    solidsG,
    strength: meanStrength(
      ratePerH * arrhenius(t, ACTIVATION_GELATIN),
      decayPerH * arrhenius(t, ACTIVATION_DECAY),
      hours,
    ),
  });
}

function meanStrength(gain: number, decay: number, hours: number): number {
  const given = 1 - Math.exp(-gain * hours);
  if (given <= 0) return 1;
  if (Math.abs(gain - decay) < 1e-9) return (gain * hours * Math.exp(-decay * hours)) / given;
  return (gain * (Math.exp(-decay * hours) - Math.exp(-gain * hours))) / ((gain - decay) * given);
}

/** A temperature at a moment, s from the start of the simmer. */
export interface TemperaturePoint {
  readonly atS: number;
  readonly temperatureC: number;
}

/**
 * The same along a temperature that changes, linear between readings; below `LEAST_EXTRACTION_C` nothing counts.
 *
 * Method: classical Runge–Kutta in steps of one minute over gelatin, its setting power and other solids.
 *
 * @param log moments in order, at least two
 * @errors EMPTY · NOT_FINITE · OUT_OF_RANGE a moment not later than the one before
 */
export function extractionAlong(
  giving: Giving,
  log: readonly TemperaturePoint[],
  f: FactValues,
): Result<Extract> {
  const problem = logProblem(log);
  if (problem) return refuse(problem);
  const give = yieldingOf(giving.of, giving.roasted, f);
  const mostGelatin = give.gelatin ? Math.max(0, give.gelatin.most * giving.rawG - giving.gaveGelatinG) : 0;
  const mostSolids = Math.max(0, give.solids * giving.rawG - giving.gaveSolidsG);
  const slopes = (t: number, [gelatin, power, solids]: readonly [number, number, number]) => {
    if (t < LEAST_EXTRACTION_C) return [0, 0, 0] as const;
    const gain =
      (give.gelatin?.ratePerH ?? 0) * arrhenius(t, ACTIVATION_GELATIN) * Math.max(0, mostGelatin - gelatin);
    const loss = (give.gelatin?.decayPerH ?? 0) * arrhenius(t, ACTIVATION_DECAY) * power;
    return [
      gain,
      gain - loss,
      give.solidsRatePerH * arrhenius(t, ACTIVATION_SOLIDS) * Math.max(0, mostSolids - solids),
    ] as const;
  };
  let state: readonly [number, number, number] = [0, 0, 0];
  for (let i = 1; i < log.length; i++) {
    const [from, to] = [log[i - 1] as TemperaturePoint, log[i] as TemperaturePoint];
    const span = (to.atS - from.atS) / 3600;
    const steps = Math.max(1, Math.ceil(span / STEP_H));
    const h = span / steps;
    const at = (share: number) => from.temperatureC + (to.temperatureC - from.temperatureC) * share;
    for (let n = 0; n < steps; n++) {
      const k1 = slopes(at(n / steps), state);
      const k2 = slopes(at((n + 0.5) / steps), along(state, k1, h / 2));
      const k3 = slopes(at((n + 0.5) / steps), along(state, k2, h / 2));
      const k4 = slopes(at((n + 1) / steps), along(state, k3, h));
      state = [0, 1, 2].map(
        j => (state[j] ?? 0) + (h / 6) * ((k1[j] ?? 0) + 2 * (k2[j] ?? 0) + 2 * (k3[j] ?? 0) + (k4[j] ?? 0)),
      ) as unknown as readonly [number, number, number];
    }
  }
  const [gelatin, power, solids] = state;
  return ok({
    gelatinG: g(gelatin),
    solidsG: g(solids),
    strength: give.gelatin ? (gelatin > 0 ? power / gelatin : 1) : null,
  });
}

const along = (
  state: readonly [number, number, number],
  k: readonly [number, number, number],
  h: number,
): readonly [number, number, number] => [state[0] + k[0] * h, state[1] + k[1] * h, state[2] + k[2] * h];

function logProblem(log: readonly TemperaturePoint[]): Problem | null {
  if (log.length < 2)
    return {
      code: "EMPTY",
      field: "readings",
      message: "There is no simmer yet: give at least two readings.",
    };
  for (const [i, point] of log.entries()) {
    if (!Number.isFinite(point.atS) || !Number.isFinite(point.temperatureC))
      return {
        code: "NOT_FINITE",
        field: `readings.${i}`,
        message: "A reading needs a time and a temperature.",
      };
    if (i > 0 && !(point.atS > (log[i - 1]?.atS ?? 0)))
      return {
        code: "TIME_ORDER",
        field: `readings.${i}`,
        message: `Reading ${i + 1} is not later than the one before.`,
      };
  }
  return null;
}

/** What a cook should know about a simmer that is asked for. */
export function simmerWarnings(of: BoneClass, t: number, hours: number): Warning[] {
  const warnings: Warning[] = [];
  const { longest } = SIMMER_WINDOWS[of];
  if (t > CLEAR_STOCK_LIMIT_C)
    warnings.push({
      code: "BOILING",
      message: `${printNumber(t)} °C is a boil: fat is beaten in and the stock turns cloudy.`,
    });
  if (longest !== null && hours > longest)
    warnings.push({
      code: "TOO_LONG",
      message:
        of === "vegetables"
          ? `Vegetables are stewed after ${printNumber(longest * 60)} min: fresh notes go.`
          : `${of === "fish" ? "Fish" : "Shells"} turn bitter and gluey after ${printNumber(longest * 60)} min.`,
    });
  return warnings;
}
