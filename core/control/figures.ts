import type { Band } from "./drift";

/** What of a batch is drawn over time, and what counts as inside. */

/** What counts as inside where the house has not said: shares of what was planned, body of its whole scale. Our estimate. */
export const TOLERANCE = { yield: 0.08, time: 0.2, salt: 0.1, thickness: 0.08 };

/** The figures of one batch; `null` where nobody measured. */
export interface BatchFigures {
  readonly plannedG: number | null;
  readonly actualG: number | null;
  readonly plannedMin: number | null;
  readonly actualMin: number | null;
  readonly brixPlanned: number | null;
  readonly brix: number | null;
  readonly ph: number | null;
  readonly saltPlanned: number | null;
  readonly salt: number | null;
  readonly bodyPlanned: number | null;
  readonly body: number | null;
  readonly score: number | null;
}

export interface Charted {
  readonly label: string;
  readonly unit: string;
  readonly decimals: number;
  /** Smallest step in which it is read; the spread of equal readings is taken from it. */
  readonly resolution: number;
  readonly of: (batch: BatchFigures) => number | null;
  /** What is wanted of it; `null` where nothing is. */
  readonly band: (batch: BatchFigures) => Band | null;
}

const ratio = (actual: number | null, planned: number | null): number | null =>
  actual !== null && planned !== null && planned > 0 ? (100 * actual) / planned : null;

const around = (middle: number | null, half: (middle: number) => number): Band | null =>
  middle === null || middle <= 0 ? null : { low: middle - half(middle), high: middle + half(middle) };

/** Sizes differ from batch to batch: weight and time are drawn as shares of their plan. */
export const CHARTED = {
  yield: {
    label: "yield",
    unit: "% of plan",
    decimals: 1,
    resolution: 0.1,
    of: b => ratio(b.actualG, b.plannedG),
    band: () => ({ low: 100 * (1 - TOLERANCE.yield), high: 100 * (1 + TOLERANCE.yield) }),
  },
  time: {
    label: "time",
    unit: "% of plan",
    decimals: 0,
    resolution: 1,
    of: b => ratio(b.actualMin, b.plannedMin),
    band: () => ({ low: 100 * (1 - TOLERANCE.time), high: 100 * (1 + TOLERANCE.time) }),
  },
  salt: {
    label: "salt",
    unit: "%",
    decimals: 2,
    resolution: 0.01,
    of: b => b.salt,
    band: b => around(b.saltPlanned, middle => middle * TOLERANCE.salt),
  },
  body: {
    label: "body",
    unit: "of 100",
    decimals: 0,
    resolution: 1,
    of: b => b.body,
    band: b => around(b.bodyPlanned, () => 100 * TOLERANCE.thickness),
  },
  brix: {
    label: "strength",
    unit: "°Bx",
    decimals: 1,
    resolution: 0.1,
    of: b => b.brix,
    // A refractometer reads dissolved solids of any kind: it is compared with itself, not with the sums.
    band: () => null,
  },
  ph: { label: "pH", unit: "", decimals: 2, resolution: 0.05, of: b => b.ph, band: () => null },
  score: { label: "score", unit: "of 10", decimals: 1, resolution: 1, of: b => b.score, band: () => null },
} as const satisfies Readonly<Record<string, Charted>>;
export type ChartedId = keyof typeof CHARTED;
export const CHARTED_IDS = Object.keys(CHARTED) as ChartedId[];
