import type { Vessel } from "~/core/things/vessel";

/** Pieces of bone and root, laid in rows; always the same for the same pot. */
export function Solids({
  centre,
  half,
  y,
  from,
  to,
  scale,
  colour,
}: {
  centre: number;
  half: (h: number) => number;
  y: (h: number) => number;
  from: number;
  to: number;
  scale: number;
  colour: string;
}) {
  const piece = Math.min(44, Math.max(20, 34 * scale * 2));
  const rows = Math.max(1, Math.round(((to - from) * scale) / (piece * 0.62)));
  const ellipses = Array.from({ length: rows }, (_, row) => {
    const h = from + ((row + 0.5) / rows) * (to - from);
    const span = half(h) - piece * 0.55;
    const count = Math.max(2, Math.round((2 * span) / (piece * 1.08)));
    return Array.from({ length: count + 1 }, (_unused, i) => {
      const wobble = Math.sin((row + 1) * 12.9 + i * 78.2) * 0.5;
      return {
        x: centre - span + ((i + (row % 2) * 0.5) * 2 * span) / (count + 0.5),
        y: y(h) + wobble * piece * 0.16,
        rx: piece * (0.46 + wobble * 0.14),
        ry: piece * (0.27 + wobble * 0.07),
        turn: wobble * 46,
      };
    });
  }).flat();
  return (
    <g fill={colour}>
      {ellipses.map((e, i) => (
        <ellipse
          key={i}
          cx={e.x}
          cy={e.y}
          rx={e.rx}
          ry={e.ry}
          transform={`rotate(${e.turn} ${e.x} ${e.y})`}
        />
      ))}
    </g>
  );
}

export function Handles({
  vessel,
  centre,
  halfTop,
  top,
  colour,
  width,
}: {
  vessel: Vessel;
  centre: number;
  halfTop: number;
  top: number;
  colour: string;
  width: number;
}) {
  if (vessel.handles === "none") return null;
  if (vessel.handles === "long")
    return (
      <line
        x1={centre + halfTop + 2}
        y1={top + 10}
        x2={Math.min(width - 4, centre + halfTop + 74)}
        y2={top - 6}
        stroke={colour}
        strokeWidth={8}
        strokeLinecap="round"
      />
    );
  return (
    <g stroke={colour} strokeWidth={5} strokeLinecap="round">
      <line x1={centre - halfTop - 3} x2={centre - halfTop - 14} y1={top + 22} y2={top + 22} />
      <line x1={centre + halfTop + 3} x2={centre + halfTop + 14} y1={top + 22} y2={top + 22} />
    </g>
  );
}
