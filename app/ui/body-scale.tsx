import { useId } from "react";
import { BANDS, bandOf, endOf } from "~/core/laws/texture";
import { printNumber } from "~/core/ground/quantity";
import { type LiquidLook, liquidColour } from "./liquid";

/** The poured edge of the scale: it stands higher the thicker the sauce is. */
const HEIGHT = 64;
const WIDTH = 1000;
const edgeAt = (body: number): number => HEIGHT - 6 - (body / 100) ** 1.6 * (HEIGHT - 16);
const EDGE = Array.from({ length: 51 }, (_, i) => `${i * 20},${edgeAt(i * 2)}`).join(" L");

/**
 * The scale of body, poured from broth to piping-firm: where the sauce stands with its band, and a mark to drag along it.
 * Without `onWant` it only shows.
 */
export function BodyScale({
  now,
  lo,
  hi,
  want,
  onWant,
}: {
  now: number | null;
  lo?: number | undefined;
  hi?: number | undefined;
  want?: number | undefined;
  onWant?: (body: number) => void;
}) {
  const id = useId();
  const band = now === null ? null : bandOf(now);
  return (
    <div>
      <div className="relative">
        <svg
          viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
          preserveAspectRatio="none"
          className="block h-16 w-full"
          aria-hidden="true"
        >
          <defs>
            <linearGradient id={`${id}-pour`}>
              <stop offset="0" stopColor="#dcc79c" />
              <stop offset="0.45" stopColor="#b8803e" />
              <stop offset="1" stopColor="#6b3f16" />
            </linearGradient>
          </defs>
          <path d={`M${EDGE} L${WIDTH},${HEIGHT} L0,${HEIGHT}Z`} fill={`url(#${id}-pour)`} opacity="0.85" />
          {lo !== undefined && hi !== undefined && (
            <rect
              x={lo * 10}
              width={Math.max(4, (hi - lo) * 10)}
              y="0"
              height={HEIGHT}
              fill="#231f2b"
              opacity="0.08"
            />
          )}
          {now !== null && <Upright at={now} stroke="#231f2b" />}
          {want !== undefined && <Upright at={want} stroke="#a9502a" strokeDasharray="5 4" />}
        </svg>
        {onWant && (
          <input
            type="range"
            min={2}
            max={95}
            step={1}
            value={Math.round(want ?? 45)}
            aria-label="Body wanted"
            aria-valuetext={`${Math.round(want ?? 45)}, ${bandOf(want ?? 45).name}`}
            onChange={event => onWant(Number(event.currentTarget.value))}
            className="absolute inset-0 h-full w-full cursor-ew-resize opacity-0 focus-visible:opacity-100"
          />
        )}
      </div>
      <div className="relative mt-1 h-5 text-xs text-faded" aria-hidden="true">
        {BANDS.map(b => (
          <span
            key={b.id}
            className={
              band?.id === b.id
                ? "absolute -translate-x-1/2 font-bold whitespace-nowrap text-ink"
                : "absolute hidden -translate-x-1/2 whitespace-nowrap md:inline"
            }
            style={{ left: `${(b.from + endOf(b)) / 2}%` }}
          >
            {b.name}
          </span>
        ))}
      </div>
      {band && now !== null && (
        <p className="mt-1 text-sm">
          body <strong>{printNumber(now)}</strong>, {band.name}: {band.seen}
        </p>
      )}
    </div>
  );
}

/** The back of a spoon dipped in it, with a finger’s line drawn across: how it coats is seen, not read. */
export function SpoonPicture({
  body,
  liquid,
  width = 132,
}: {
  body: number;
  liquid: LiquidLook;
  width?: number;
}) {
  const colour = liquidColour(liquid, 0.96);
  const coat = Math.max(0, Math.min(1, (body - 14) / 55));
  // The line closes at once in a thin sauce and stays wide and sharp in a thick one.
  const line = body < 24 ? 0 : Math.min(1, (body - 22) / 30);
  const { name, seen } = bandOf(body);
  return (
    <svg viewBox="0 0 132 84" width={width} role="img" aria-label={`The back of a spoon: ${name}, ${seen}`}>
      <path d="M84 44 L130 38" stroke="#8d8894" strokeWidth="7" strokeLinecap="round" />
      <ellipse cx="48" cy="46" rx="42" ry="30" fill="#a8a3ab" />
      <ellipse cx="48" cy="46" rx="42" ry="30" fill="none" stroke="#77727e" strokeWidth="2" />
      <ellipse cx="48" cy="46" rx={41} ry={29} fill={colour} opacity={Math.min(1, 0.12 + 1.6 * coat)} />
      {line > 0 && (
        <path
          d="M10 38 C30 50 62 52 88 42"
          stroke="#a8a3ab"
          strokeWidth={3 + 8 * line}
          strokeLinecap="round"
          fill="none"
          opacity={0.4 + 0.6 * line}
        />
      )}
      {coat > 0.05 && (
        <path
          d={`M${34 - 6 * coat} 74 q6 ${4 + 10 * coat} 12 0`}
          fill={colour}
          opacity={Math.min(1, 0.35 + 1.2 * coat)}
        />
      )}
    </svg>
  );
}

/** A line across the scale at a body. */
function Upright({ at, ...look }: { at: number } & React.SVGProps<SVGLineElement>) {
  return (
    <line
      x1={at * 10}
      x2={at * 10}
      y1="0"
      y2={HEIGHT}
      strokeWidth="3"
      vectorEffect="non-scaling-stroke"
      {...look}
    />
  );
}
