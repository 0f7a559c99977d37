/** Chance that comes out the same from the same seed. */
export interface Chance {
  /** Between 0 and 1. */
  readonly uniform: () => number;
  /** Standard normal, by Box and Muller. */
  readonly normal: () => number;
}

/** Mulberry32: a small generator of good repute; 32 bits of state. */
export function chance(seed: number): Chance {
  let state = seed >>> 0;
  const uniform = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return {
    uniform,
    normal: () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform()),
  };
}

/** One number of a text: a seed for what has a name. */
export const seedOf = (text: string): number =>
  [...text].reduce((hash, sign) => Math.imul(hash ^ (sign.codePointAt(0) ?? 0), 16777619), 2166136261) >>> 0;
