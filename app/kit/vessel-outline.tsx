import { geometryOfVessel, profileMm, type Vessel } from "~/core/things/vessel";
import { ml, mm } from "~/core/ground/quantity";

const SLICES = 24;
const METAL: Record<Vessel["metal"], string> = {
  steel: "#4b4753",
  aluminium: "#85818c",
  copper: "#a9502a",
  "cast iron": "#231f2b",
  plastic: "#5f7a86",
};

/** The inside of a vessel cut through, at so many pixels a millimetre; litre marks when asked for. */
export function VesselOutline({
  vessel,
  pxPerMm,
  marks = false,
  levelMm,
  markMm,
  startMm,
}: {
  vessel: Vessel;
  pxPerMm: number;
  marks?: boolean;
  levelMm?: number;
  /** Where to stop, and where it stood: drawn with their millimetres. */
  markMm?: number;
  startMm?: number | undefined;
}) {
  const geometry = geometryOfVessel(vessel);
  const height = geometry.heightMm;
  const half = (h: number) => profileMm(vessel.shape, h);
  const widest = Math.max(half(0), half(height), half(height / 2));
  const wall = Array.from({ length: SLICES + 1 }, (_, i) => {
    const h = (height * i) / SLICES;
    return [half(h), h] as const;
  });
  const pad = marks ? 16 : 8;
  const right = marks || markMm !== undefined ? 96 : pad;
  const w = 2 * widest * pxPerMm + pad + right;
  const h = height * pxPerMm + 2 * pad;
  const x = (r: number) => pad + (widest + r) * pxPerMm;
  const y = (at: number) => h - pad - at * pxPerMm;
  const points = [
    ...wall.map(([r, at]) => `${x(-r)},${y(at)}`).reverse(),
    ...wall.map(([r, at]) => `${x(r)},${y(at)}`),
  ];
  const litres = geometry.capacityMl / 1000;
  const step = litres > 30 ? 10 : litres > 12 ? 5 : litres > 5 ? 2 : litres > 1.5 ? 1 : 0.25;
  const ticks = marks
    ? Array.from({ length: Math.floor(litres / step) }, (_, i) => (i + 1) * step).map(l => ({
        l,
        mm: geometry.levelClipped(ml(l * 1000)) as number,
      }))
    : [];
  const filled = levelMm === undefined ? null : Math.min(height, levelMm);
  return (
    <svg
      width={w}
      height={h}
      viewBox={`0 0 ${w} ${h}`}
      role="img"
      aria-label={`${vessel.name} cut through, ${Math.round(height)} mm deep, holds ${litres.toFixed(1)} litres`}
      className="max-w-full"
    >
      {filled !== null && (
        <polygon
          fill="#dcc79c"
          points={[
            ...wall
              .filter(([, at]) => at <= filled)
              .map(([r, at]) => `${x(-r)},${y(at)}`)
              .reverse(),
            ...wall.filter(([, at]) => at <= filled).map(([r, at]) => `${x(r)},${y(at)}`),
            `${x(half(filled))},${y(filled)}`,
            `${x(-half(filled))},${y(filled)}`,
          ].join(" ")}
        />
      )}
      <polyline
        points={points.join(" ")}
        fill="none"
        stroke={METAL[vessel.metal]}
        strokeWidth={marks ? 5 : 3.5}
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      {startMm !== undefined && (
        <g>
          <path
            d={`M${x(-half(startMm))},${y(startMm)}H${x(half(startMm))}`}
            stroke="#a98f66"
            strokeWidth={2}
            strokeDasharray="2 5"
          />
          <text x={w - right + 12} y={y(startMm) + 5} fontSize={13} fill="#6a6472">
            {Math.round(startMm)} mm now
          </text>
        </g>
      )}
      {markMm !== undefined && (
        <g>
          <path
            d={`M${x(-half(markMm)) - 6},${y(markMm)}H${x(half(markMm)) + 6}`}
            stroke="#a9502a"
            strokeWidth={3}
          />
          <text x={w - right + 12} y={y(markMm) + 5} fontSize={15} fontWeight={700} fill="#a9502a">
            {Math.round(markMm)} mm
          </text>
        </g>
      )}
      {ticks.map(tick => {
        const at = y(tick.mm);
        const r = half(mm(tick.mm));
        return (
          <g key={tick.l}>
            <path d={`M${x(r) - 14},${at}H${x(r)}`} stroke="#a9502a" strokeWidth={2} />
            <text x={w - right + 12} y={at + 5} fontSize={14} fill="#231f2b">
              {tick.l} l <tspan fill="#6a6472">{Math.round(tick.mm)} mm</tspan>
            </text>
          </g>
        );
      })}
    </svg>
  );
}
