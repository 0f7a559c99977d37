/** A value with its 90 % interval and the weakest kind of knowledge that entered it. */

/** From strongest to weakest. */
export const BASES = ["exact", "measured", "published", "memory", "trade", "estimate"] as const;
export type Basis = (typeof BASES)[number];

/** The mark a fact carries in its facts file: published, memory, trade, estimate. */
export type Mark = "P" | "M" | "T" | "E";

export const BASIS_OF_MARK: Record<Mark, Basis> = {
  P: "published",
  M: "memory",
  T: "trade",
  E: "estimate",
};

export interface Estimate {
  readonly value: number;
  readonly lo: number;
  /** `null`: no upper bound yet. */
  readonly hi: number | null;
  readonly basis: Basis;
  readonly notes: readonly string[];
}

/** The weakest of several bases; `exact` for none. */
export function weakest(bases: readonly Basis[]): Basis {
  let index = 0;
  for (const basis of bases) index = Math.max(index, BASES.indexOf(basis));
  return BASES[index] ?? "exact";
}

/** An uncertain parameter of a model: nominal value with its 90 % limits. */
export interface Swing {
  readonly key: string;
  readonly value: number;
  readonly lo: number;
  readonly hi: number;
}

/**
 * 90 % interval of several outputs at once, by one-at-a-time swings combined as the root of the sum of squares.
 *
 * Each parameter is moved alone to its low and its high limit; the outward moves of every output add up in
 * quadrature. Parameters count as independent; what is one physical thing must be one parameter.
 *
 * @param evaluate outputs with one parameter moved, or with none; `NaN` marks an output that was never reached
 * @param swings   the parameters with their limits
 * @param positive outputs that are strictly positive: their interval is formed on the logarithm
 * @returns for each output its nominal value and limits; `hi` is `null` where a swing was never reached
 *
 * Cost: 2n + 1 evaluations.
 * Source: own rule (linear error propagation with asymmetric limits), docs/models.md "Intervals".
 */
export function swingIntervals(
  evaluate: (moved: { readonly key: string; readonly value: number } | null) => readonly number[],
  swings: readonly Swing[],
  positive = true,
): { value: number; lo: number; hi: number | null }[] {
  const base = evaluate(null);
  const up = base.map(() => 0);
  const down = base.map(() => 0);
  const unbounded = base.map(() => false);
  const logarithmic = base.map(b => positive && b > 0);
  const onScale = (x: number, i: number) => (logarithmic[i] ? Math.log(Math.max(x, Number.MIN_VALUE)) : x);

  for (const swing of swings) {
    const ends = [swing.lo, swing.hi]
      .filter(limit => limit !== swing.value)
      .map(value => evaluate({ key: swing.key, value }));
    base.forEach((b, i) => {
      let high = 0;
      let low = 0;
      for (const end of ends) {
        const e = end[i];
        if (e === undefined || !Number.isFinite(e)) {
          unbounded[i] = true;
          continue;
        }
        const move = onScale(e, i) - onScale(b, i);
        high = Math.max(high, move);
        low = Math.max(low, -move);
      }
      up[i] = (up[i] ?? 0) + high * high;
      down[i] = (down[i] ?? 0) + low * low;
    });
  }
  return base.map((value, i) => {
    const u = Math.sqrt(up[i] ?? 0);
    const d = Math.sqrt(down[i] ?? 0);
    const lo = logarithmic[i] ? value * Math.exp(-d) : value - d;
    const hi = logarithmic[i] ? value * Math.exp(u) : value + u;
    return { value, lo, hi: unbounded[i] ? null : hi };
  });
}

/** From a standard deviation to half of a 90 % interval. */
const SD_TO_90 = 1.645;

/** An estimate from a value and its standard deviation, clipped to what can be. */
export const fromSd = (
  value: number,
  sd: number,
  limits: { readonly min: number; readonly max: number },
  basis: Basis = "estimate",
  notes: readonly string[] = [],
): Estimate => ({
  value,
  lo: Math.max(limits.min, value - SD_TO_90 * sd),
  hi: Math.min(limits.max, value + SD_TO_90 * sd),
  basis,
  notes,
});
