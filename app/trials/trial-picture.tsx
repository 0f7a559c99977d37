import { type TrialRow, letterOf } from "~/core/trial";
import { printNumber } from "~/core/ground/quantity";

const WIDTH = 640;
const ROW = 46;
const LEFT = 120;
const RIGHT = 70;
const INKS = [
  "fill-copper stroke-copper",
  "fill-sorrel stroke-sorrel",
  "fill-broth-deep stroke-broth-deep",
  "fill-saffron-ink stroke-saffron-ink",
  "fill-beet stroke-beet",
];

/** Every figure as a line of its own: small dots are batches, letters their middle, rings what the sums foresee. */
export function TrialPicture({ rows }: { rows: readonly TrialRow[] }) {
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${rows.length * ROW}`}
      className="w-full"
      role="img"
      aria-label="The variants beside each other, figure by figure; the table below holds the same"
    >
      {rows.map((row, i) => (
        <g key={row.label} transform={`translate(0 ${i * ROW + ROW / 2})`}>
          <Strip row={row} />
        </g>
      ))}
    </svg>
  );
}

function Strip({ row }: { row: TrialRow }) {
  const all = row.variants.flatMap(v => [...v.each, ...(v.foreseen === null ? [] : [v.foreseen])]);
  const [low, high] = [Math.min(...all), Math.max(...all)];
  // A strip is never so fine that a tenth looks like a gulf.
  const least = Math.max(10 ** -row.decimals * 4, 0.04 * Math.abs(high));
  const middle = (low + high) / 2;
  const half = Math.max(high - low, least) / 2;
  const x = (value: number): number => LEFT + ((value - middle + half) / (2 * half)) * (WIDTH - LEFT - RIGHT);
  return (
    <>
      <text x={0} y={5} className="fill-ink text-base">
        {row.label}
      </text>
      <line x1={LEFT} x2={WIDTH - RIGHT} y1={0} y2={0} className="stroke-rule" />
      {row.variants.map(({ foreseen, each, cooked }, i) => {
        const ink = INKS[i % INKS.length];
        const lift = (i - (row.variants.length - 1) / 2) * 9;
        return (
          <g key={i} className={ink}>
            {foreseen !== null && (
              <circle cx={x(foreseen)} cy={lift} r={8} fill="none" strokeWidth={1.5}>
                <title>{`${letterOf(i)} by the sums: ${printNumber(foreseen, row.decimals)} ${row.unit}`}</title>
              </circle>
            )}
            {each.map((value, j) => (
              <circle key={j} cx={x(value)} cy={lift} r={3} opacity={0.5} stroke="none" />
            ))}
            {cooked && (
              <text
                x={x(cooked.value)}
                y={lift + 5}
                textAnchor="middle"
                stroke="none"
                className="text-base font-bold"
              >
                {letterOf(i)}
              </text>
            )}
          </g>
        );
      })}
      <text x={WIDTH} y={4} textAnchor="end" className="fill-faded text-xs">
        {row.apart === true ? "apart" : row.apart === false ? "not apart" : ""}
      </text>
    </>
  );
}
