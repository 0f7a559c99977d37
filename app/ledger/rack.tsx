import { Link } from "react-router";
import { printNumber } from "~/core/ground/quantity";

export interface RackBatch {
  readonly runId: string;
  readonly name: string;
  readonly day: string;
  /** Off its planned yield, as a share; `null` where nobody weighed it. */
  readonly yieldOff: number | null;
  readonly incidents: number;
}

const HEIGHT = 96;
const WIDTH = 14;
/** The plan’s mark stands here from above; a stick shows ± 30 %. */
const MARK = HEIGHT / 2;
const SPAN = 0.3;

const told = ({ name, day, yieldOff, incidents }: RackBatch): string =>
  [
    `${name}, ${day}`,
    yieldOff === null
      ? "not weighed"
      : `${yieldOff < 0 ? "−" : "+"}${printNumber(Math.abs(100 * yieldOff), 1)} % of plan`,
    incidents > 0 && `${incidents} ${incidents === 1 ? "incident" : "incidents"}`,
  ]
    .filter(Boolean)
    .join(": ");

/** A rack of dip-sticks, one a batch: the notch is what was planned, the wet part what was weighed. */
export function Rack({ batches }: { batches: readonly RackBatch[] }) {
  return (
    <figure className="mt-5 rounded-2xl border border-rule bg-enamel px-5 pt-4 pb-3">
      <div className="overflow-x-auto">
        <ol aria-label="Batches on the rack, the oldest first" className="relative flex min-w-max gap-1.5">
          <li
            aria-hidden="true"
            className="pointer-events-none absolute inset-x-0 border-t border-dashed border-ink/60"
            style={{ top: MARK }}
          />
          {batches.map(batch => (
            <li key={batch.runId}>
              <Stick batch={batch} />
            </li>
          ))}
        </ol>
      </div>
      <figcaption className="mt-2 text-xs text-faded">
        Each stick is a batch. The line is its planned yield, the dark part what was weighed, as far as ±
        {printNumber(100 * SPAN)} %; an empty stick was not weighed, ▲ something went wrong.
      </figcaption>
    </figure>
  );
}

function Stick({ batch }: { batch: RackBatch }) {
  const { yieldOff, incidents, runId } = batch;
  const level =
    yieldOff === null ? null : MARK - (Math.max(-SPAN, Math.min(SPAN, yieldOff)) / SPAN) * (MARK - 6);
  return (
    <Link
      to={`/batch/${runId}`}
      title={told(batch)}
      aria-label={told(batch)}
      className="block rounded-sm outline-offset-2 hover:opacity-70"
    >
      <svg width={WIDTH} height={HEIGHT + 14} aria-hidden="true">
        <rect
          x={2}
          y={2}
          width={WIDTH - 4}
          height={HEIGHT - 4}
          rx={3}
          fill="none"
          stroke="#ddd5c6"
          strokeDasharray={level === null ? "3 3" : undefined}
        />
        {level !== null && (
          <rect x={3} y={level} width={WIDTH - 6} height={HEIGHT - 3 - level} rx={2} fill="#b8803e" />
        )}
        {level !== null && <rect x={1} y={level - 1.5} width={WIDTH - 2} height={3} fill="#4a2a12" />}
        {incidents > 0 && <path d={`M${WIDTH / 2},${HEIGHT + 2}l5,9h-10z`} fill="#8e1d3c" />}
      </svg>
    </Link>
  );
}
