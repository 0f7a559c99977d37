/** Small shapes the models are written in. Pure numbers. */

/** `x` kept between `lo` and `hi`. */
export const clamp = (x: number, lo: number, hi: number): number => Math.min(hi, Math.max(lo, x));

/** Straight from (x0, y0) to (x1, y1), flat outside; x1 may lie below x0. */
export const ramp = (x: number, x0: number, y0: number, x1: number, y1: number): number =>
  y0 + (y1 - y0) * clamp((x - x0) / (x1 - x0), 0, 1);

/** Straight between nodes of rising x, flat outside. */
export function piecewise(x: number, nodes: readonly (readonly [x: number, y: number])[]): number {
  const [first] = nodes;
  if (!first || x <= first[0]) return first?.[1] ?? NaN;
  for (let i = 1; i < nodes.length; i++) {
    const [x0, y0] = nodes[i - 1] as readonly [number, number];
    const [x1, y1] = nodes[i] as readonly [number, number];
    if (x <= x1) return ramp(x, x0, y0, x1, y1);
  }
  return nodes.at(-1)?.[1] ?? NaN;
}

/** Most halvings of a bracket; the half-width is far below any scale by then. */
const MOST_HALVINGS = 200;

/**
 * Where a function crosses zero inside a bracket, by halving it: never diverges, always the same answer.
 *
 * @param f   any continuous function; a trial that is no number counts as +∞
 * @param within half-width at which it has been found, in the unit of x
 * @returns x, or `null` when both ends have one sign
 */
export function bisect(f: (x: number) => number, lo: number, hi: number, within = 1e-9): number | null {
  const at = (x: number): number => {
    const y = f(x);
    return Number.isNaN(y) ? Infinity : y;
  };
  const atLo = at(lo);
  const atHi = at(hi);
  if (atLo === 0) return lo;
  if (atHi === 0) return hi;
  if (Math.sign(atLo) === Math.sign(atHi)) return null;
  let [a, b] = [lo, hi];
  for (let i = 0; i < MOST_HALVINGS && Math.abs(b - a) / 2 >= within; i++) {
    const middle = (a + b) / 2;
    const y = at(middle);
    if (y === 0) return middle;
    if (Math.sign(y) === Math.sign(atLo)) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}
