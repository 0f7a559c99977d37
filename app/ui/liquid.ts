/** The liquid's own colour: it deepens with dissolved solids. */
const STOPS: readonly (readonly [pct: number, r: number, g: number, b: number])[] = [
  [0, 0xdc, 0xc7, 0x9c],
  [2.5, 0xb8, 0x80, 0x3e],
  [12, 0x86, 0x50, 0x22],
  [40, 0x4a, 0x2a, 0x12],
];

export function liquidColour(dissolvedPct: number, shade = 1): string {
  const at = STOPS.findIndex(([pct]) => pct >= dissolvedPct);
  const high = STOPS[at < 0 ? STOPS.length - 1 : at] ?? STOPS[0];
  const low = STOPS[Math.max(0, (at < 0 ? STOPS.length : at) - 1)] ?? high;
  if (!high || !low) return "#b8803e";
  const span = high[0] - low[0];
  const k = span > 0 ? Math.min(1, Math.max(0, (dissolvedPct - low[0]) / span)) : 0;
  const channel = (i: 1 | 2 | 3) => Math.round((low[i] + (high[i] - low[i]) * k) * shade);
  return `rgb(${channel(1)} ${channel(2)} ${channel(3)})`;
}
