import {
  BASIS_OF_MARK,
  type Basis,
  type Estimate,
  type Swing,
  swingIntervals,
  weakest,
} from "../ground/estimate";
import { FACTS, type FactId, type FactValues } from "../ground/facts";
import { type Result, ok } from "../ground/result";

/** A swing of the input itself: a weight, a reading; by its own 90 % limits. */
export interface OwnSwing extends Swing {
  readonly basis: Basis;
}

/**
 * The 90 % intervals of some figures of a sum: every uncertain fact the sum reads is moved alone, and every own doubt.
 *
 * @param work      the figures for a set of facts; `own` gives the moved value of an own swing
 * @param positive  figures above zero: their interval is formed on the logarithm
 */
export function estimated<K extends string>(
  facts: FactValues,
  work: (facts: FactValues, own: (key: string) => number) => Result<Readonly<Record<K, number>>>,
  owns: readonly OwnSwing[] = [],
  positive = true,
): Result<Record<K, Estimate>> {
  const read = new Set<FactId>();
  const watched = new Proxy(facts, {
    get(values, id: FactId) {
      if (FACTS[id].lo !== FACTS[id].hi) read.add(id);
      return values[id];
    },
  });
  const nominalOwn = (key: string) => owns.find(o => o.key === key)?.value ?? NaN;
  const nominal = work(watched, nominalOwn);
  if (!nominal.ok) return nominal;
  const keys = Object.keys(nominal.value) as K[];
  const swings: Swing[] = [
    ...[...read].map(id => ({
      key: id,
      value: facts[id],
      lo: facts[id] + FACTS[id].lo - FACTS[id].value,
      hi: facts[id] + FACTS[id].hi - FACTS[id].value,
    })),
    ...owns,
  ];
  const evaluate: Parameters<typeof swingIntervals>[0] = moved => {
    const isFact = [...read].find(id => id === moved?.key);
    const done = work(isFact && moved ? { ...facts, [isFact]: moved.value } : facts, key =>
      key === moved?.key ? moved.value : nominalOwn(key),
    );
    return keys.map(key => (done.ok ? done.value[key] : NaN));
  };
  const found = swingIntervals(evaluate, swings, positive);
  const basis = weakest([...[...read].map(id => BASIS_OF_MARK[FACTS[id].mark]), ...owns.map(o => o.basis)]);
  const result = Object.fromEntries(
    keys.map((key, i) => {
      const { value, lo, hi } = found[i] ?? { value: nominal.value[key], lo: nominal.value[key], hi: null };
      const exact = lo === hi;
      return [key, { value, lo, hi, basis: exact ? "exact" : basis, notes: [] } satisfies Estimate];
    }),
  ) as unknown as Record<K, Estimate>;
  return ok(result, nominal.warnings);
}

/** Keeps an estimate inside what can be. */
export const clipped = (of: Estimate, least: number, most: number): Estimate => ({
  ...of,
  lo: Math.max(least, of.lo),
  hi: of.hi === null ? null : Math.min(most, of.hi),
});
