import { useId } from "react";
import { type Vessel, geometryOfVessel, profileMm } from "~/core/things/vessel";
import { type LiquidLook, liquidColour } from "./liquid";
import { Handles, Solids } from "./pot-parts";

export interface GhostLevel {
  readonly levelMm: number;
  readonly label: string;
}

export interface PotSectionProps {
  vessel: Vessel;
  levelMm: number | null;
  /** Height of the heap of solids. */
  bulkMm?: number;
  floatFatMm?: number;
  liquid: LiquidLook;
  ghosts?: readonly GhostLevel[];
  mark?: { readonly levelMm: number; readonly label: string } | null;
  /** Dip-stick drawn in the pot. */
  stick?: boolean;
  width: number;
  height: number;
  night?: boolean;
  /** Says in words what is drawn. */
  title: string;
  className?: string;
  /** Without handles, for a small picture. */
  bare?: boolean;
  /** Room left and right of the pot for labels, px. */
  gutter?: number;
}

const SAMPLES = 28;
const LABEL_GAP = 15;

/** A vessel's place in a drawing: pixels per millimetre and the way from mm to px. Used by labels that hang on marks. */
export function placePot(vessel: Vessel, width: number, height: number, gutter: number) {
  const geometry = geometryOfVessel(vessel);
  const widest = 2 * Math.max(profileMm(vessel.shape, geometry.heightMm), profileMm(vessel.shape, 0));
  const top = height < 80 ? 6 : 26;
  const bottom = height < 80 ? 4 : 10;
  const scale = Math.min((width - 2 * gutter) / widest, (height - top - bottom) / geometry.heightMm);
  const base = height - bottom;
  const heightMm: number = geometry.heightMm;
  return {
    scale,
    centre: width / 2,
    base,
    heightMm,
    y: (levelMm: number) => base - levelMm * scale,
    half: (levelMm: number) => profileMm(vessel.shape, Math.min(heightMm, Math.max(0, levelMm))) * scale,
  };
}

/** Height that just holds the vessel and its stick when it is drawn this wide; at most `tallest`. */
export function snugHeight(vessel: Vessel, width: number, tallest: number, gutter: number): number {
  const { heightMm, scale } = placePot(vessel, width, tallest, gutter);
  return Math.min(tallest, heightMm * scale + 44);
}

/**
 * The signature drawing: a true-to-scale section of the vessel with its liquid, the levels of earlier steps, the
 * mark for the dip-stick, fat and solids.
 */
export function PotSection(props: PotSectionProps) {
  const {
    vessel,
    levelMm,
    bulkMm = 0,
    floatFatMm = 0,
    liquid,
    ghosts = [],
    mark,
    stick,
    width,
    height,
    night,
    title,
    bare = false,
    gutter = 92,
  } = props;
  const clip = useId();
  const { scale, centre, base, heightMm, y, half } = placePot(vessel, width, height, gutter);
  const outline = (to: number) => {
    const heights = Array.from({ length: SAMPLES + 1 }, (_, i) => (to * i) / SAMPLES);
    const right = heights.map(h => `${centre + half(h)},${y(h)}`);
    const left = [...heights].reverse().map(h => `${centre - half(h)},${y(h)}`);
    return `M${[...right, ...left].join("L")}Z`;
  };
  const wall = `M${centre - half(heightMm)},${y(heightMm)}L${wallPoints(heightMm, -1)}L${wallPoints(heightMm, 1)}`;
  function wallPoints(top: number, side: 1 | -1): string {
    const heights = Array.from(
      { length: SAMPLES + 1 },
      (_, i) => (top * (side > 0 ? i : SAMPLES - i)) / SAMPLES,
    );
    return heights.map(h => `${centre + side * half(h)},${y(h)}`).join("L");
  }
  const line = night ? "#f8efdf" : "#231f2b";
  const faint = night ? "#b9aebd" : "#6a6472";
  const accent = night ? "#e58a55" : "#a9502a";
  const level = levelMm ?? 0;
  const stickX = centre + half(level || heightMm / 2) * 0.55;
  const tickStep = scale * 10 >= 7 ? 10 : 50;
  const spread = spreadLabels(
    ghosts.map(ghost => ({ ...ghost, at: y(ghost.levelMm) })),
    y(heightMm) + 4,
    base,
  );

  return (
    <svg
      role="img"
      aria-label={title}
      viewBox={`0 0 ${width} ${height}`}
      width={width}
      height={height}
      className={props.className}
    >
      <defs>
        <clipPath id={clip}>
          <path d={outline(heightMm)} />
        </clipPath>
        <linearGradient id={`${clip}-liquid`} x1="0" y1="0" x2="0" y2="1">
          <stop offset="0" stopColor={liquidColour(liquid, 1.06)} />
          <stop offset="1" stopColor={liquidColour(liquid, 0.8)} />
        </linearGradient>
      </defs>
      <path d={outline(heightMm)} fill={night ? "#221d29" : "#ffffff"} opacity={night ? 1 : 0.75} />
      <g clipPath={`url(#${clip})`}>
        {bulkMm > level && (
          <Solids
            centre={centre}
            half={half}
            y={y}
            from={level}
            to={bulkMm}
            scale={scale}
            colour={night ? "#6d4c33" : "#b58f6a"}
          />
        )}
        {levelMm !== null && (
          <>
            <rect
              x={0}
              y={y(level)}
              width={width}
              height={Math.max(0, base - y(level))}
              fill={`url(#${clip}-liquid)`}
            />
            {bulkMm > 0 && (
              <Solids
                centre={centre}
                half={half}
                y={y}
                from={0}
                to={Math.min(bulkMm, level)}
                scale={scale}
                colour="rgb(58 30 12 / 0.34)"
              />
            )}
            {floatFatMm > 0.4 && (
              <rect
                x={0}
                y={y(level) - Math.max(2, floatFatMm * scale)}
                width={width}
                height={Math.max(2, floatFatMm * scale)}
                fill="#e2bf5a"
              />
            )}
          </>
        )}
        {ghosts.map(ghost => (
          <line
            key={`${ghost.label}${ghost.levelMm}`}
            x1={centre - half(ghost.levelMm)}
            x2={centre + half(ghost.levelMm)}
            y1={y(ghost.levelMm)}
            y2={y(ghost.levelMm)}
            stroke={ghost.levelMm < level ? (night ? "#f8efdf" : "#fff8ea") : faint}
            strokeOpacity={0.75}
            strokeWidth={1.25}
            strokeDasharray="4 4"
          />
        ))}
        {mark && (
          <line
            x1={centre - half(mark.levelMm)}
            x2={centre + half(mark.levelMm)}
            y1={y(mark.levelMm)}
            y2={y(mark.levelMm)}
            stroke={accent}
            strokeWidth={3}
          />
        )}
      </g>
      <path
        d={wall}
        fill="none"
        stroke={line}
        strokeWidth={bare ? 3 : night ? 5 : 4.5}
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      {!bare && (
        <Handles
          vessel={vessel}
          centre={centre}
          halfTop={half(heightMm)}
          top={y(heightMm)}
          colour={line}
          width={width}
        />
      )}
      {stick && (
        <g stroke={line} strokeWidth={2.5} strokeLinecap="round">
          <line x1={stickX} x2={stickX} y1={base - 3} y2={y(heightMm) - 18} />
          <g strokeWidth={1.25}>
            {Array.from({ length: Math.floor(heightMm / tickStep) }, (_, i) => (i + 1) * tickStep).map(
              tick => (
                <line
                  key={tick}
                  x1={stickX - (tick % 50 ? 3 : 6)}
                  x2={stickX + (tick % 50 ? 3 : 6)}
                  y1={y(tick)}
                  y2={y(tick)}
                />
              ),
            )}
          </g>
        </g>
      )}
      {spread.map(ghost => (
        <text
          key={ghost.label + ghost.levelMm}
          x={centre - half(ghost.levelMm) - 12}
          y={ghost.at + 4}
          textAnchor="end"
          fontSize={12.5}
          fill={faint}
        >
          {ghost.label}
        </text>
      ))}
      {mark && (
        <g>
          <line
            x1={centre + half(mark.levelMm) + 4}
            x2={centre + half(mark.levelMm) + 14}
            y1={y(mark.levelMm)}
            y2={y(mark.levelMm)}
            stroke={accent}
            strokeWidth={3}
          />
          <text
            x={centre + half(mark.levelMm) + 18}
            y={y(mark.levelMm) + 5}
            fontSize={14}
            fontWeight={700}
            fill={accent}
          >
            {mark.label}
          </text>
        </g>
      )}
    </svg>
  );
}

/** Pushes labels apart so that none lies on another, keeping their order. */
function spreadLabels<T extends { at: number }>(labels: readonly T[], top: number, bottom: number): T[] {
  const sorted = [...labels].sort((a, b) => a.at - b.at);
  let last = top - LABEL_GAP;
  const down = sorted.map(label => {
    last = Math.max(label.at, last + LABEL_GAP);
    return { ...label, at: last };
  });
  const over = (down.at(-1)?.at ?? 0) - bottom;
  return over > 0 ? down.map(label => ({ ...label, at: label.at - over })) : down;
}
