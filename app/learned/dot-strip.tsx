import type { Evidence } from "~/core/learning";

const WIDTH = 240;
const HEIGHT = 44;
const EDGE = 8;
const LINE_Y = 24;
const DOT = 4;

/** Readings as dots on a line, what counted before as a dashed mark, what they say now as a bar. */
export function DotStrip({
  evidence,
  before,
  now,
  lo,
  hi,
  text,
}: {
  evidence: readonly Evidence[];
  before: number | null;
  now: number;
  lo: number | null;
  hi: number | null;
  /** How a value is written. */
  text: (value: number) => string;
}) {
  const ends = [...evidence.map(e => e.value), now, ...[before, lo, hi].filter(v => v !== null)];
  const [low, high] = [Math.min(...ends), Math.max(...ends)];
  const span = high - low || Math.abs(high) || 1;
  const x = (value: number): number => EDGE + ((value - low) / span) * (WIDTH - 2 * EDGE);
  const n = evidence.length;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="h-11 w-full max-w-60"
      role="img"
      aria-label={`${n} ${n === 1 ? "reading" : "readings"} between ${text(low)} and ${text(high)}`}
    >
      <line x1={EDGE} x2={WIDTH - EDGE} y1={LINE_Y} y2={LINE_Y} className="stroke-rule" />
      {lo !== null && hi !== null && (
        <rect
          x={x(lo)}
          y={LINE_Y - 7}
          width={Math.max(2, x(hi) - x(lo))}
          height={14}
          rx={3}
          className="fill-copper/15"
        />
      )}
      {before !== null && (
        <line
          x1={x(before)}
          x2={x(before)}
          y1={LINE_Y - 14}
          y2={LINE_Y + 14}
          strokeDasharray="3 3"
          className="stroke-faded"
        />
      )}
      {evidence.map((e, i) => (
        <circle
          key={`${e.at} ${i}`}
          cx={x(e.value)}
          cy={LINE_Y}
          r={DOT}
          className={e.counts ? "fill-ink/70" : "fill-enamel stroke-faded"}
        >
          <title>{`${text(e.value)} · ${e.words}`}</title>
        </circle>
      ))}
      <line
        x1={x(now)}
        x2={x(now)}
        y1={LINE_Y - 11}
        y2={LINE_Y + 11}
        strokeWidth={3}
        className="stroke-copper"
      />
    </svg>
  );
}
