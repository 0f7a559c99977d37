import type { Mean } from "../learning";
import { meanOf } from "../learning";

/** A finished batch of a variant. */
export interface TriedBatch {
  readonly baseG: number;
  readonly actualG: number | null;
  readonly actualMin: number | null;
  readonly body: number | null;
  readonly brix: number | null;
  readonly salt: number | null;
  readonly ph: number | null;
  readonly score: number | null;
  readonly cost: number | null;
}

/** What the sums foresee of a variant. */
export type Foreseen = TriedBatch;

interface Compared {
  readonly label: string;
  readonly unit: string;
  readonly decimals: number;
  readonly of: (batch: TriedBatch) => number | null;
}

const per = (a: number | null, b: number | null, times = 1): number | null =>
  a !== null && b !== null && b > 0 ? (times * a) / b : null;

/** What variants are compared by; sizes may differ, so weight and cost are told by the kilogram. */
const COMPARED: readonly Compared[] = [
  { label: "yield", unit: "g on the kilo of base", decimals: 0, of: b => per(b.actualG, b.baseG, 1000) },
  { label: "cost", unit: "a kilo, as purchased", decimals: 2, of: b => per(b.cost, b.actualG, 1000) },
  { label: "time", unit: "min", decimals: 0, of: b => b.actualMin },
  { label: "body", unit: "0–100", decimals: 0, of: b => b.body },
  { label: "strength", unit: "°Bx", decimals: 1, of: b => b.brix },
  { label: "salt", unit: "%", decimals: 2, of: b => b.salt },
  { label: "pH", unit: "", decimals: 2, of: b => b.ph },
  { label: "score", unit: "of 10", decimals: 1, of: b => b.score },
];

/** One figure of every variant. */
export interface TrialRow {
  readonly label: string;
  readonly unit: string;
  readonly decimals: number;
  readonly variants: readonly {
    /** By the sums; `null` where they do not say. */
    readonly foreseen: number | null;
    /** Of the batches that measured it. */
    readonly cooked: Mean | null;
    readonly each: readonly number[];
  }[];
  /** Whether what was cooked tells two variants apart: their intervals do not meet. `null`: too few batches to say. */
  readonly apart: boolean | null;
}

const ENOUGH = 2;

/**
 * The variants of a trial figure by figure; figures nobody foresees or measures are left out.
 *
 * Two are told apart where 90 % intervals of their means do not meet: with two or three batches only a large difference does.
 * Source: docs/models.md "Trials".
 */
export function compareVariants(
  variants: readonly { readonly foreseen: Foreseen | null; readonly batches: readonly TriedBatch[] }[],
): TrialRow[] {
  return COMPARED.map(({ of, ...row }) => {
    const found = variants.map(({ foreseen, batches }) => {
      const each = batches.flatMap(batch => of(batch) ?? []);
      return { foreseen: foreseen && of(foreseen), cooked: meanOf(each), each };
    });
    return { ...row, variants: found, apart: toldApart(found.map(v => v.cooked)) };
  }).filter(row => row.variants.some(v => v.foreseen !== null || v.cooked !== null));
}

function toldApart(means: readonly (Mean | null)[]): boolean | null {
  const known = means.filter(m => m !== null && m.n >= ENOUGH && m.lo !== null && m.hi !== null);
  if (known.length < 2) return null;
  return known.some((a, i) =>
    known.slice(i + 1).some(b => (a?.lo ?? 0) > (b?.hi ?? 0) || (b?.lo ?? 0) > (a?.hi ?? 0)),
  );
}

/** The letter of a variant. */
export const letterOf = (index: number): string => String.fromCharCode(65 + index);
