import { type Result, type Problem, type Warning, ok, refuse } from "../../ground/result";
import { PRESETS, type Preset, type PresetId } from "./presets";

export interface ProbeReading {
  readonly min: number;
  readonly c: number;
}

export interface Lethality {
  /** Minutes at the reference temperature the history is worth, and its limits by the probe's error. */
  readonly minutes: { readonly value: number; readonly lo: number; readonly hi: number };
  /** Low limit over the benchmark: what decides. */
  readonly ratio: number;
  /** Powers of ten, by the value; only where the source gives a D. */
  readonly logReduction: number | null;
}

/** What lethal rate needs of a preset. `fromC` −∞ and `capC` ∞ switch the limits off. */
export type LethalRate = Pick<Preset, "referenceC" | "zK" | "fromC" | "capC">;

const rateAt = (t: number, p: LethalRate): number =>
  t < p.fromC ? 0 : 10 ** ((Math.min(t, p.capC) - p.referenceC) / p.zK);

/** Minutes at the reference of one straight piece of the curve, integrated exactly. */
export function segmentMinutes(from: number, to: number, lasting: number, p: LethalRate): number {
  const [low, high] = from < to ? [from, to] : [to, from];
  if (high - low < 1e-9) return lasting * rateAt(low, p);
  const c = Math.LN10 / p.zK;
  const perMinute = (high - low) / lasting;
  const a = Math.max(low, p.fromC);
  const b = Math.min(high, p.capC);
  let total = 0;
  if (b > a) total += (Math.exp(c * (b - p.referenceC)) - Math.exp(c * (a - p.referenceC))) / (c * perMinute);
  if (high > p.capC)
    total += ((high - Math.max(low, p.capC)) / perMinute) * Math.exp(c * (p.capC - p.referenceC));
  return total;
}

/** Readings in order, in range, at least two. */
export function readingsProblem(readings: readonly ProbeReading[]): Problem | null {
  for (const [i, reading] of readings.entries()) {
    const field = `readings.${i}`;
    if (!Number.isFinite(reading.min) || !Number.isFinite(reading.c))
      return {
        code: "NOT_FINITE",
        field,
        value: reading,
        message: `Reading ${i + 1} needs a time and a temperature.`,
      };
    if (reading.c < -30 || reading.c > 130)
      return {
        code: "PROBE",
        field: `${field}.c`,
        value: reading.c,
        allowed: { min: -30, max: 130 },
        message: `Reading ${i + 1} says ${reading.c} °C: no probe in a pot shows that. Check the probe or the typing.`,
      };
    const before = readings[i - 1];
    if (before && !(reading.min > before.min))
      return {
        code: "TIME_ORDER",
        field: `${field}.min`,
        value: reading.min,
        message: `Reading ${i + 1} is not later than the one before.`,
      };
  }
  return readings.length < 2
    ? { code: "EMPTY", field: "readings", message: "One reading is no history: give at least two." }
    : null;
}

const MOST_PROBE_ERROR_K = 3;

/** A probe whose error is not between nothing and `MOST_PROBE_ERROR_K` decides nothing. */
export const probeErrorProblem = (errorK: number): Problem | null =>
  errorK >= 0 && errorK <= MOST_PROBE_ERROR_K
    ? null
    : {
        code: "OUT_OF_RANGE",
        field: "probeErrorC",
        value: errorK,
        allowed: { min: 0, max: MOST_PROBE_ERROR_K },
        message: `A probe’s error lies between 0 and ${MOST_PROBE_ERROR_K} °C; a worse one must not be used.`,
      };

const SPARSE_MIN = 10;
const SPARSE_K = 8;

/**
 * What a temperature history did to the target organism, as minutes at the preset's reference temperature.
 *
 * Between readings the temperature is a straight line, integrated exactly. The low limit takes the colder end of every
 * piece less the probe's error, and it alone decides: a cooling curve's chord lies above it.
 *
 * @param probeErrorK 0–3, half a degree unless the probe is unproved
 * @param species     what is cooked, where the preset excludes some
 * @errors TIME_ORDER · PROBE · EMPTY · NOT_FINITE · OUT_OF_RANGE · PRESET_SPECIES
 * Warns SPARSE, ABOVE_CAP. Guidance for the cook, never a proof; the local code decides.
 * Source: docs/models.md "Lethality".
 * @example hollandaise 0 40, 4 63, 7 63, plain yolk → 15.6 min, low limit 10.9, ratio 1.75
 */
export function lethality(
  readings: readonly ProbeReading[],
  presetId: PresetId,
  probeErrorK = 0.5,
  species?: string,
): Result<Lethality> {
  const problem = readingsProblem(readings);
  if (problem) return refuse(problem);
  const unproved = probeErrorProblem(probeErrorK);
  if (unproved) return refuse(unproved);
  const preset = PRESETS[presetId];
  if (species && preset.notFor?.includes(species))
    return refuse({
      code: "PRESET_SPECIES",
      field: "preset",
      value: species,
      message: "This table is for beef; poultry, game and eggs need longer times.",
    });
  const minutes = { value: 0, lo: 0, hi: 0 };
  const warnings = new Map<string, Warning>();
  for (let i = 1; i < readings.length; i++) {
    const [a, b] = [readings[i - 1] as ProbeReading, readings[i] as ProbeReading];
    const lasting = b.min - a.min;
    minutes.value += segmentMinutes(a.c, b.c, lasting, preset);
    minutes.lo += lasting * rateAt(Math.min(a.c, b.c) - probeErrorK, preset);
    minutes.hi += segmentMinutes(a.c + probeErrorK, b.c + probeErrorK, lasting, preset);
    if (Math.max(a.c, b.c) >= preset.fromC && (lasting > SPARSE_MIN || Math.abs(b.c - a.c) > SPARSE_K))
      warnings.set("SPARSE", {
        code: "SPARSE",
        message: `Between minute ${a.min} and ${b.min} the temperature is guessed: read the probe more often.`,
      });
    if (Math.max(a.c, b.c) > preset.capC)
      warnings.set("ABOVE_CAP", {
        code: "ABOVE_CAP",
        message: `What was above ${preset.capC} °C counts as ${preset.capC} °C.`,
      });
  }
  return ok(
    {
      minutes,
      ratio: minutes.lo / preset.benchmarkMin,
      logReduction: preset.dMin === undefined ? null : minutes.value / preset.dMin,
    },
    [...warnings.values()],
  );
}
