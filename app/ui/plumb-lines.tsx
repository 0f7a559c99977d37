import { printNumber } from "~/core/ground/quantity";
import { type Balance, TASTES, type Taste } from "~/core/laws/seasoning";

const WORDS: Readonly<Record<Taste, string>> = {
  salt: "salt",
  sweet: "sweet",
  sour: "sour",
  bitter: "bitter",
  umami: "umami",
  fat: "fat",
};
const TOP = 34;
const LENGTH = 150;
/** A step is twice as much; so many px. */
const PER_STEP = 26;

/**
 * Balance as plumb lines: each taste hangs from the house’s own level. A bob on the string is where it should be; below it
 * the taste is weak, above it is strong.
 */
export function PlumbLines({ now, level }: { now: Balance; level: Balance }) {
  const width = TASTES.length * 88;
  const rest = TOP + LENGTH / 2;
  return (
    <figure>
      <svg viewBox={`0 0 ${width} ${TOP + LENGTH + 44}`} className="w-full max-w-xl" aria-hidden="true">
        <line x1="0" x2={width} y1={TOP - 14} y2={TOP - 14} stroke="#231f2b" strokeWidth="4" />
        <line x1="0" x2={width} y1={rest} y2={rest} stroke="#a9502a" strokeDasharray="3 5" />
        <text x={width - 88} y={rest - 6} textAnchor="middle" fontSize="12" fill="#a9502a">
          house level
        </text>
        {TASTES.map((taste, i) => {
          const x = i * 88 + 44;
          const off = now.steps[taste] - level.steps[taste];
          const y = Math.min(TOP + LENGTH, Math.max(TOP + 6, rest - off * PER_STEP));
          const straight = Math.abs(off) <= 0.5;
          return (
            <g key={taste}>
              <line x1={x} x2={x} y1={TOP - 14} y2={y} stroke="#6a6472" strokeWidth="1.5" />
              <path
                d={`M${x - 9} ${y} L${x + 9} ${y} L${x + 6} ${y + 14} L${x} ${y + 26} L${x - 6} ${y + 14}Z`}
                fill={straight ? "#4f6b3b" : "#c98a06"}
              />
              <text x={x} y={TOP - 20} textAnchor="middle" fontSize="15" fontWeight="600" fill="#231f2b">
                {WORDS[taste]}
              </text>
              <text x={x} y={TOP + LENGTH + 40} textAnchor="middle" fontSize="13" fill="#6a6472">
                {printNumber(now.dose[taste], 1)} ×
              </text>
            </g>
          );
        })}
      </svg>
      <figcaption className="text-sm text-faded">
        Doses over threshold:{" "}
        {TASTES.map(taste => `${WORDS[taste]} ${said(now.steps[taste] - level.steps[taste])}`).join(", ")}. A
        yardstick, not how strong it tastes.
      </figcaption>
    </figure>
  );
}

const said = (off: number): string =>
  Math.abs(off) <= 0.5 ? "hangs straight" : off > 0 ? "stands high" : "hangs low";
