import type { Ahead } from "~/core/day";
import type { CoolingProfile } from "~/core/laws/cooling";
import { useWidth } from "../ui/use-size";

/** The pot’s curve falling through its gates: each limit is a gap it has to pass before the gate closes. */
export function Gates({
  readings,
  profile,
  startMin,
  ahead,
  nowMin,
}: {
  readings: readonly { min: number; c: number }[];
  profile: CoolingProfile;
  /** Minute at which the clock of the limits began; `null` while it is hotter. */
  startMin: number | null;
  ahead: readonly Ahead[];
  nowMin: number;
}) {
  const { ref, width } = useWidth<HTMLDivElement>(760);
  const [W, H, LEFT, BOTTOM] = [Math.max(320, width), 340, 44, 28];
  const begins = startMin ?? nowMin;
  const closes = profile.stages.map(stage => ({ ...stage, at: begins + stage.allowedMin }));
  const far = Math.max(nowMin, ...readings.map(r => r.min), ...closes.map(c => c.at)) * 1.06 + 5;
  const hot = Math.max(70, profile.startC, ...readings.map(r => r.c)) + 6;
  const x = (min: number): number => LEFT + ((W - LEFT - 8) * min) / far;
  const y = (c: number): number => 8 + ((H - BOTTOM - 8) * (hot - c)) / hot;
  const path = readings.map((r, i) => `${i ? "L" : "M"}${x(r.min).toFixed(1)},${y(r.c).toFixed(1)}`).join("");
  const last = readings.at(-1);
  const hours = Array.from({ length: Math.floor(far / 60) + 1 }, (_, i) => i);
  return (
    <div ref={ref}>
      <svg
        viewBox={`0 0 ${W} ${H}`}
        role="img"
        aria-label={`Temperature over time: ${readings.map(r => `${Math.round(r.min)} min ${r.c} °C`).join(", ")}`}
        className="w-full rounded-xl border border-rule bg-enamel"
      >
        {hours.map(h => (
          <g key={h}>
            <line x1={x(60 * h)} x2={x(60 * h)} y1={8} y2={H - BOTTOM} stroke="var(--color-linen)" />
            <text x={x(60 * h)} y={H - 8} textAnchor="middle" fontSize="12" fill="var(--color-faded)">
              {h} h
            </text>
          </g>
        ))}
        {[profile.startC, ...profile.stages.map(s => s.endC)].map(c => (
          <g key={c}>
            <line x1={LEFT} x2={W - 8} y1={y(c)} y2={y(c)} stroke="var(--color-rule)" strokeDasharray="3 4" />
            <text x={LEFT - 6} y={y(c) + 4} textAnchor="end" fontSize="12" fill="var(--color-faded)">
              {c} °C
            </text>
          </g>
        ))}
        {closes.map(gate => (
          <g key={gate.name}>
            {/* A closed gate: from its line up, nothing may be here any more. */}
            <line
              x1={x(gate.at)}
              x2={x(gate.at)}
              y1={8}
              y2={y(gate.endC)}
              stroke="var(--color-beet)"
              strokeWidth="5"
            />
            <line
              x1={x(gate.at) - 9}
              x2={x(gate.at) + 9}
              y1={y(gate.endC)}
              y2={y(gate.endC)}
              stroke="var(--color-beet)"
              strokeWidth="5"
            />
            <text x={x(gate.at) - 10} y={22} textAnchor="end" fontSize="12" fill="var(--color-beet)">
              {gate.endC} °C by here
            </text>
          </g>
        ))}
        {last &&
          ahead.map(a =>
            a.at ? (
              <g key={a.name}>
                <line
                  x1={x(last.min)}
                  y1={y(last.c)}
                  x2={x(a.at.value)}
                  y2={y(a.endC)}
                  stroke="var(--color-copper)"
                  strokeDasharray="5 5"
                  strokeWidth="2"
                />
                <line
                  x1={x(a.at.lo)}
                  x2={x(Math.min(far, a.at.hi ?? far))}
                  y1={y(a.endC)}
                  y2={y(a.endC)}
                  stroke="var(--color-copper)"
                  strokeWidth="4"
                  opacity="0.45"
                />
              </g>
            ) : null,
          )}
        <path d={path} fill="none" stroke="var(--color-broth-deep)" strokeWidth="3" strokeLinejoin="round" />
        {readings.map(r => (
          <circle
            key={r.min}
            cx={x(r.min)}
            cy={y(r.c)}
            r="4.5"
            fill="var(--color-enamel)"
            stroke="var(--color-broth-deep)"
            strokeWidth="2.5"
          />
        ))}
      </svg>
    </div>
  );
}
