import { InvariantError } from "../../ground/result";

/** How fast the model loses mass, by the mass that is left: g → g/s, at equally spaced masses, constant beyond the ends. */
export interface RateProfile {
  readonly fromG: number;
  readonly stepG: number;
  /** g/s, from the smallest mass up; all above zero. */
  readonly rates: readonly number[];
}

const POINTS = 33;
const LEAST_RATE = 1e-9;

export const constantRate = (gPerS: number): RateProfile => ({
  fromG: 0,
  stepG: 1,
  rates: [Math.max(LEAST_RATE, gPerS)],
});

export function rateAt(profile: RateProfile, massG: number): number {
  const { fromG, stepG, rates } = profile;
  const at = Math.min(Math.max((massG - fromG) / stepG, 0), rates.length - 1);
  const i = Math.min(Math.floor(at), Math.max(0, rates.length - 2));
  const low = rates[i];
  if (low === undefined) throw new InvariantError("A rate profile needs a rate.");
  const high = rates[i + 1] ?? low;
  return low + (high - low) * (at - i);
}

/**
 * Profile of a course that falls, such as the trace of a simulation after it has come to the boil.
 *
 * @param points moments in order with everything in the pot, g
 * @returns rates at 33 equally spaced masses; a level course gives the least rate
 */
export function profileOf(points: readonly { readonly atS: number; readonly massG: number }[]): RateProfile {
  const slopes: { massG: number; rate: number }[] = [];
  for (let i = points.length - 1; i > 0; i--) {
    const [a, b] = [points[i - 1], points[i]];
    if (!a || !b || !(b.atS > a.atS) || !(a.massG > b.massG)) continue;
    slopes.push({ massG: (a.massG + b.massG) / 2, rate: (a.massG - b.massG) / (b.atS - a.atS) });
  }
  const [low, high] = [slopes[0], slopes.at(-1)];
  if (!low || !high || low === high) return constantRate(low?.rate ?? LEAST_RATE);
  const stepG = (high.massG - low.massG) / (POINTS - 1);
  let next = 1;
  const rates = Array.from({ length: POINTS }, (_, n) => {
    const massG = low.massG + n * stepG;
    while (next < slopes.length - 1 && (slopes[next]?.massG ?? Infinity) < massG) next++;
    const [a, b] = [slopes[next - 1], slopes[next]];
    if (!a || !b || b.massG === a.massG) return Math.max(LEAST_RATE, low.rate);
    const share = Math.min(1, Math.max(0, (massG - a.massG) / (b.massG - a.massG)));
    return Math.max(LEAST_RATE, a.rate + (b.rate - a.rate) * share);
  });
  return { fromG: low.massG, stepG, rates };
}
