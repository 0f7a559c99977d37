import { printDuration, printNumber, s } from "~/core/ground/quantity";

const BOX = { w: 460, h: 180, left: 42, right: 14, top: 12, bottom: 26 } as const;
/** Two figures nearer than this would stand in each other, px. */
const LETTERS = 16;

interface Point {
  readonly x: number;
  readonly y: number;
}

/** A curve falling over the minutes through its gates. */
export function Falling({
  points,
  gates,
  unit,
  marked = false,
}: {
  points: readonly Point[];
  gates: readonly number[];
  unit: string;
  marked?: boolean;
}) {
  const most = Math.max(1, ...points.map(p => p.x));
  const high = Math.max(...points.map(p => p.y));
  const low = Math.min(0, ...points.map(p => p.y));
  const x = (v: number) => BOX.left + (v / most) * (BOX.w - BOX.left - BOX.right);
  const y = (v: number) =>
    BOX.top + ((high - v) / Math.max(1e-9, high - low)) * (BOX.h - BOX.top - BOX.bottom);
  const passed = gates.filter(gate => gate < high);
  const crossing = (gate: number): number | null => {
    const i = points.findIndex((p, n) => n > 0 && p.y <= gate && (points[n - 1]?.y ?? 0) > gate);
    const [a, b] = [points[i - 1], points[i]];
    return a && b ? a.x + ((b.x - a.x) * (a.y - gate)) / (a.y - b.y) : null;
  };
  const end = points.at(-1);
  return (
    <figure className="mt-3">
      <svg
        viewBox={`0 0 ${BOX.w} ${BOX.h}`}
        className="w-full"
        role="img"
        aria-label={`From ${printNumber(points[0]?.y ?? 0)} to ${printNumber(end?.y ?? 0)} ${unit} in ${printNumber(most)} min`}
      >
        {passed.map(gate => {
          const at = crossing(gate);
          return (
            <g key={gate}>
              <path
                d={`M${BOX.left},${y(gate)}H${BOX.w - BOX.right}`}
                stroke="#c98a06"
                strokeWidth={1.5}
                strokeDasharray="5 4"
              />
              <text x={BOX.left - 6} y={y(gate) + 4} textAnchor="end" fontSize={12} fill="#7a5200">
                {gate}
              </text>
              {at !== null && (
                <>
                  <circle cx={x(at)} cy={y(gate)} r={4} fill="#a9502a" />
                  <text
                    x={at > 0.8 * most ? x(at) - 7 : x(at) + 7}
                    y={y(gate) - 6}
                    textAnchor={at > 0.8 * most ? "end" : "start"}
                    fontSize={12}
                    fill="#231f2b"
                  >
                    {printDuration(s(at * 60))}
                  </text>
                </>
              )}
            </g>
          );
        })}
        <polyline
          points={points.map(p => `${x(p.x)},${y(p.y)}`).join(" ")}
          fill="none"
          stroke="#4a2a12"
          strokeWidth={2.5}
          strokeLinejoin="round"
        />
        {marked && points.map(p => <circle key={p.x} cx={x(p.x)} cy={y(p.y)} r={4} fill="#4a2a12" />)}
        <path d={`M${BOX.left},${y(low)}H${BOX.w - BOX.right}`} stroke="#6a6472" />
        <text x={BOX.left} y={BOX.h - 7} fontSize={12} fill="#6a6472">
          0
        </text>
        <text x={BOX.w - BOX.right} y={BOX.h - 7} textAnchor="end" fontSize={12} fill="#6a6472">
          {printDuration(s(most * 60))}
        </text>
        {passed.every(gate => y(gate) - y(high) > LETTERS) && (
          <text x={BOX.left - 6} y={y(high) + 8} textAnchor="end" fontSize={12} fill="#6a6472">
            {printNumber(high)}
          </text>
        )}
      </svg>
    </figure>
  );
}
