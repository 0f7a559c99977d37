/** Most halvings of a bracket; the half-width is far below any scale by then. */
const MOST_HALVINGS = 200;

/**
 * Halves a bracket again and again: its lower end stays where something is still too little, its upper where it is not.
 *
 * @param isLittle asked in the middle; where it jumps, the bracket closes in on the jump
 * @param settled  whether the bracket is narrow enough
 * @param most     halvings at most
 * @returns both ends as they stand then
 */
export function halve(
  isLittle: (x: number) => boolean,
  lo: number,
  hi: number,
  settled: (lo: number, hi: number) => boolean,
  most = MOST_HALVINGS,
): [lo: number, hi: number] {
  let [a, b] = [lo, hi];
  for (let i = 0; i < most && !settled(a, b); i++) {
    const middle = (a + b) / 2;
    if (isLittle(middle)) a = middle;
    else b = middle;
  }
  return [a, b];
}

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
  const side = Math.sign(atLo);
  if (side === Math.sign(atHi)) return null;
  let found: number | null = null;
  const [a, b] = halve(
    x => {
      const y = at(x);
      if (y === 0) found = x;
      return Math.sign(y) === side;
    },
    lo,
    hi,
    (p, q) => found !== null || Math.abs(q - p) / 2 < within,
  );
  return found ?? (a + b) / 2;
}
