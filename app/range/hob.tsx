import { type ReactNode, useCallback, useState } from "react";
import { useDraggable, useDroppable } from "@dnd-kit/core";
import { Link } from "react-router";
import type { Burner } from "~/core/laws/reduction";
import { g, printMass } from "~/core/ground/quantity";
import { profileMm } from "~/core/things/vessel";
import { betweenTimes, minutesLeft, momentOf } from "../text/format";
import { isDark, liquidColour } from "../ui/liquid";
import type { PotNow } from "./pot-now";

/** The hob's edge around its burners, mm. */
const EDGE_MM = 40;
/** Drawn size of a pot that is in the oven or in no vessel yet. */
const NO_VESSEL_MM = 260;
/** Where the start line dries, and where a step that ends by the clock draws in to, as shares of the inside. */
const START_LINE = 0.93;
const CLOCK_END = 0.62;

/** The kitchen's own hob from above, pots at true relative diameter. */
export function Hob({
  burners,
  pots,
  now,
  timeZone,
}: {
  burners: readonly Burner[];
  pots: readonly PotNow[];
  now: number;
  timeZone: string;
}) {
  const right = Math.max(...burners.map(b => b.xMm + b.widthMm)) + EDGE_MM;
  const back = Math.max(...burners.map(b => b.yMm + b.depthMm)) + EDGE_MM;
  // The cook stands in front: front is at the bottom of the picture.
  const top = (b: Burner) => back - b.yMm - b.depthMm;
  const places = pots.map(pot => {
    const burner = burners.find(b => b.id === pot.burnerId) ?? burners[0];
    const sharing = pots.filter(other => other.burnerId === pot.burnerId);
    const nth = sharing.indexOf(pot);
    if (!burner) return { pot, x: 0, y: 0 };
    const along = (nth + 1) / (sharing.length + 1);
    return {
      pot,
      x: burner.xMm + burner.widthMm / 2,
      y: top(burner) + burner.depthMm * (sharing.length > 1 ? along : 0.5),
    };
  });
  return (
    <svg
      viewBox={`-${EDGE_MM} -10 ${right + EDGE_MM} ${back + 20}`}
      className="max-h-[58vh] w-full"
      role="group"
      aria-label="Burners and the pots on them"
    >
      <rect
        x={-EDGE_MM + 6}
        y={-4}
        width={right + EDGE_MM - 12}
        height={back + 8}
        rx={36}
        fill="#ede5d6"
        stroke="#cfc4ae"
        strokeWidth={5}
      />
      {burners.map(burner => {
        const taken = places.some(place => place.pot.burnerId === burner.id);
        const x = burner.xMm;
        const y = top(burner);
        if (burner.kind.startsWith("flat-top"))
          return (
            <BurnerPlace key={burner.id} id={burner.id}>
              <rect
                x={x}
                y={y}
                width={burner.widthMm}
                height={burner.depthMm}
                rx={14}
                fill={burner.kind === "flat-top-centre" ? "#d3c5b0" : "#ddd2c0"}
              />
              {!taken && (
                <text x={x + 20} y={y + burner.depthMm - 20} fontSize={30} fill="#5d5664">
                  {burner.name.toLowerCase()}
                </text>
              )}
            </BurnerPlace>
          );
        const r = burner.kind.includes("small") ? 120 : 165;
        const [cx, cy] = [x + burner.widthMm / 2, y + burner.depthMm / 2];
        return (
          <BurnerPlace key={burner.id} id={burner.id}>
            <rect x={x} y={y} width={burner.widthMm} height={burner.depthMm} fill="transparent" />
            <g stroke="#bdb199" strokeWidth={5} fill="none">
              {!taken && (
                <>
                  <circle cx={cx} cy={cy} r={r} />
                  <path
                    d={`M${cx - r},${cy}H${cx - r * 0.35}M${cx + r * 0.35},${cy}H${cx + r}M${cx},${cy - r}V${cy - r * 0.35}M${cx},${cy + r * 0.35}V${cy + r}`}
                  />
                  <circle cx={cx} cy={cy} r={r * 0.22} />
                </>
              )}
              <text x={x + 14} y={y + 36} fontSize={34} fill="#5d5664" stroke="none">
                {burner.name.replace(/\D/g, "")}
              </text>
            </g>
          </BurnerPlace>
        );
      })}
      {places.map(place => (
        <PotFromAbove key={place.pot.to} {...place} now={now} timeZone={timeZone} />
      ))}
    </svg>
  );
}

/** A burner that a pot can be put on. */
function BurnerPlace({ id, children }: { id: string; children: ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id });
  return (
    // The library measures the box on the screen, which a group has as well.
    <g ref={node => setNodeRef(node as unknown as HTMLElement | null)} opacity={isOver ? 0.55 : 1}>
      {children}
    </g>
  );
}

/** A pot from above. Start, now and mark are tide lines; the liquid draws in from the first to the last. */
function PotFromAbove({
  pot,
  x,
  y,
  now,
  timeZone,
}: {
  pot: PotNow;
  x: number;
  y: number;
  now: number;
  timeZone: string;
}) {
  const { vessel, forecast } = pot;
  const r = vessel
    ? Math.min(215, profileMm(vessel.shape, vessel.shape.shape === "table" ? 0 : vessel.shape.heightMm))
    : NO_VESSEL_MM / 2;
  const start = r * START_LINE;
  const drawnIn =
    pot.markMm !== null && pot.startMm ? Math.max(0.45, Math.sqrt(pot.markMm / pot.startMm)) : CLOCK_END;
  const mark = start * drawnIn;
  const progress = forecast?.progress ?? 0;
  const liquid = start - (start - mark) * progress;
  const dark = isDark(pot.liquid);
  const ink = dark ? "#ffffff" : "#231f2b";
  const size = Math.max(32, Math.min(50, r * 0.25));
  const left = forecast
    ? minutesLeft(forecast.endsAt - now)
    : pot.improvised
      ? printMass(pot.state.steps[0]?.foreseen?.massG ?? g(0))
      : "begin";
  const label = `${pot.name}, ${pot.title.toLowerCase()}: ${forecast ? `${left}, at ${momentOf(forecast.endsAt, now, timeZone)}` : pot.improvised ? "without a formula" : "waits to begin"}`;
  // A second pan is called by its own name there.
  const name = pot.pan ? (pot.name.split(", ").at(-1) ?? pot.name) : shortName(pot.name);
  const small = r < 125;
  const between = forecast && betweenTimes(forecast, now, timeZone);
  // Where the interval would cross the mark it stands under the pot.
  const outside =
    small ||
    (between?.length ?? 0) * size * 0.58 * 0.26 > Math.sqrt(Math.max(0, mark ** 2 - (size * 2.25) ** 2));
  const [group, setGroup] = useState<SVGGElement | null>(null);
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({ id: pot.to });
  const hold = useCallback(
    (node: SVGGElement | null) => {
      setGroup(node);
      setNodeRef(node as unknown as HTMLElement | null);
    },
    [setNodeRef],
  );
  // What the finger moves in pixels the drawing moves in its own millimetres.
  const mm = 1 / (group?.ownerSVGElement?.getScreenCTM()?.a ?? 1);
  return (
    <g
      ref={hold}
      {...listeners}
      aria-describedby={attributes["aria-describedby"]}
      transform={transform ? `translate(${transform.x * mm} ${transform.y * mm})` : undefined}
      className={isDragging ? "cursor-grabbing" : "cursor-grab touch-manipulation"}
    >
      <Link to={pot.to} aria-label={label} draggable={false}>
        {vessel?.handles === "two" && (
          <path
            d={`M${x - r - 34},${y}h26M${x + r + 8},${y}h26`}
            stroke="#231f2b"
            strokeWidth={30}
            strokeLinecap="round"
          />
        )}
        {vessel?.handles === "long" && (
          <path
            d={`M${x + r * 0.6},${y + r * 0.8}l95,125`}
            stroke="#231f2b"
            strokeWidth={24}
            strokeLinecap="round"
          />
        )}
        <circle cx={x} cy={y} r={r + 8} fill="#231f2b" />
        <circle cx={x} cy={y} r={r} fill="#e9e2d6" />
        <circle
          cx={x}
          cy={y}
          r={start}
          fill="#d8c8ab"
          stroke="#a98f66"
          strokeWidth={4}
          strokeDasharray="3 9"
          strokeLinecap="round"
        />
        <circle cx={x} cy={y} r={liquid} fill={liquidColour(pot.liquid)} />
        <circle cx={x} cy={y} r={mark} fill="none" stroke={dark ? "#ffd9bd" : "#a9502a"} strokeWidth={5} />
        <g
          textAnchor="middle"
          fill={ink}
          fontFamily="var(--font-sans)"
          // A rim of the liquid's own colour keeps the words clear of the lines they cross.
          stroke={liquidColour(pot.liquid)}
          strokeWidth={9}
          strokeLinejoin="round"
          paintOrder="stroke"
        >
          <text x={x} y={y - size * 0.95} fontSize={size * 0.74} fontWeight={700}>
            {small && name.length > MOST_IN_A_SMALL_POT ? wordFor(name) : name}
          </text>
          <text
            x={x}
            y={y + size * 0.45}
            fontSize={size * 1.22}
            fontWeight={650}
            fontFamily="var(--font-display)"
          >
            {left}
          </text>
          <text x={x} y={y + size * 1.45} fontSize={size * 0.68}>
            {forecast
              ? forecast.late && small
                ? "late"
                : `${forecast.late ? "late, " : ""}at ${momentOf(forecast.endsAt, now, timeZone)}`
              : pot.improvised
                ? "no formula"
                : "not begun"}
          </text>
          {between && !outside && (
            <text x={x} y={y + size * 2.25} fontSize={size * 0.58}>
              {between}
            </text>
          )}
        </g>
        {between && outside && (
          <text
            x={x}
            y={y + r + 8 + size * 0.75}
            fontSize={size * 0.58}
            textAnchor="middle"
            fill="#231f2b"
            fontFamily="var(--font-sans)"
          >
            {between}
          </text>
        )}
      </Link>
    </g>
  );
}

const MOST_IN_A_SMALL_POT = 9;

/** The word of a name that tells most: the last, or what a pan is for. */
const wordFor = (name: string): string =>
  name
    .replace(/ (?:pan|pot)$/, "")
    .split(" ")
    .at(-1) ?? name;

/** Long names lose their first word in a pot: "Guinea-fowl brown stock" is "brown stock" there. */
const shortName = (name: string): string =>
  name.length > 16 ? name.split(" ").slice(1).join(" ") || name : name;
