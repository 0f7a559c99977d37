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
