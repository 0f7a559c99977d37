import { type Result, ok, refuse } from "../../ground/result";

/** Readings of a refractometer that no longer rise: less than this counts as level, °Bx per hour. Common practice, no source. */
const FLAT_BX_PER_H = 0.1;

export interface Plateau {
  /** Minute at which it had levelled off; `null`: it still rises. */
  readonly levelledAtMin: number | null;
  /** °Bx per hour over the last two readings. */
  readonly gainPerHour: number;
}

/**
 * Whether an extraction has levelled off, from refractometer readings.
 *
 * It has when from some reading on every further one gains less than `FLAT_BX_PER_H`; the earliest such reading is given.
 *
 * @errors EMPTY fewer than two readings · TIME_ORDER
 * Source: common practice, no source.
 * @example 3.5, 4.1, 4.2, 4.2 °Bx at 3, 4, 5, 6 h → levelled at 5 h
 */
export function plateau(readings: readonly { min: number; brix: number }[]): Result<Plateau> {
  if (readings.length < 2)
    return refuse({
      code: "EMPTY",
      field: "readings",
      message: "A plateau shows from two readings on: take another in half an hour.",
    });
  for (const [i, reading] of readings.entries()) {
    const before = readings[i - 1];
    if (before && !(reading.min > before.min))
      return refuse({
        code: "TIME_ORDER",
        field: `readings.${i}.min`,
        value: reading.min,
        message: `Reading ${i + 1} is not later than the one before.`,
      });
  }
  const gain = (i: number): number => {
    const [a, b] = [readings[i - 1], readings[i]];
    return a && b ? ((b.brix - a.brix) * 60) / (b.min - a.min) : Infinity;
  };
  const gainPerHour = gain(readings.length - 1);
  let levelled: number | null = null;
  for (let i = readings.length - 1; i > 0 && gain(i) < FLAT_BX_PER_H - 1e-9; i--)
    levelled = readings[i - 1]?.min ?? null;
  return ok({ levelledAtMin: levelled, gainPerHour });
}
