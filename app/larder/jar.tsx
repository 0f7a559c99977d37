import type { Composition } from "~/core/things/larder";
import { printNumber } from "~/core/ground/quantity";
import { labelHeights, stacked } from "./layers";

const WIDTH = 300;
const HEIGHT = 330;
const JAR = { x: 12, y: 34, w: 118, h: 282 } as const;
const LABEL_STEP = 24;

/** An ingredient as it would settle in a jar, fat on top, solids below, each layer as thick as its share. */
export function Jar({ name, composition }: { name: string; composition: Composition }) {
  const layers = stacked(composition, JAR.y, JAR.h);
  // Labels keep their distance; a thin layer's label is led to it by a line.
  const heights = labelHeights(layers, LABEL_STEP, HEIGHT - 10);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`${name}: ${layers.map(l => `${printNumber(l.pct, 1)} % ${l.label}`).join(", ")}`}
      className="w-full max-w-80"
    >
      <clipPath id="jar-inside">
        <path d={`M${JAR.x},${JAR.y}h${JAR.w}v${JAR.h - 16}q0,16 -16,16h${-(JAR.w - 32)}q-16,0 -16,-16z`} />
      </clipPath>
      <g clipPath="url(#jar-inside)">
        {layers.map(layer => (
          <rect
            key={layer.key}
            x={JAR.x}
            y={layer.from}
            width={JAR.w}
            height={layer.size + 0.6}
            fill={layer.colour}
          />
        ))}
      </g>
      <path
        d={`M${JAR.x},${JAR.y - 16}v${JAR.h}q0,16 16,16h${JAR.w - 32}q16,0 16,-16v${-JAR.h}`}
        fill="none"
        stroke="#231f2b"
        strokeWidth={4}
        strokeLinecap="round"
      />
      <path
        d={`M${JAR.x - 8},${JAR.y - 18}h${JAR.w + 16}`}
        stroke="#231f2b"
        strokeWidth={9}
        strokeLinecap="round"
      />
      {layers.map((layer, i) => {
        const y = heights[i] ?? 0;
        return (
          <g key={layer.key}>
            <path
              d={`M${JAR.x + JAR.w + 4},${layer.from + layer.size / 2}L${JAR.x + JAR.w + 22},${y}`}
              stroke="#6a6472"
              strokeWidth={1}
            />
            <text x={JAR.x + JAR.w + 28} y={y + 5} fontSize={15} fill="#231f2b">
              <tspan fontWeight={700}>{printNumber(layer.pct, layer.pct < 10 ? 1 : 0)}</tspan>
              <tspan fill="#6a6472"> % {layer.label}</tspan>
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** The same lying down, for a row of the table. */
export function LyingJar({ composition }: { composition: Composition }) {
  const layers = stacked(composition, 0, 100);
  return (
    <svg
      viewBox="0 0 100 10"
      preserveAspectRatio="none"
      aria-hidden="true"
      className="h-3.5 w-full min-w-20 rounded-sm border border-faded/40"
    >
      {layers.map(layer => (
        <rect key={layer.key} x={layer.from} y={0} width={layer.size + 0.2} height={10} fill={layer.colour} />
      ))}
    </svg>
  );
}
