import { type Capability, capabilityOf } from "./capability";
import { type ControlChart, type Rule, controlChart } from "./chart";
import { type Band, type Drift, driftOf } from "./drift";
import { type BatchFigures, CHARTED, type Charted, type ChartedId } from "./figures";

/** One figure of a sauce from batch to batch: a phase for each version, as versions are never mixed. */

export interface ChartedBatch extends BatchFigures {
  readonly runId: string;
  /** ms since 1970. */
  readonly at: number;
  readonly version: number;
}

export interface Point {
  readonly runId: string;
  readonly at: number;
  readonly version: number;
  readonly value: number;
  readonly alarms: readonly Rule[];
  /** Why it is out of the ordinary, where somebody has said. */
  readonly cause: string | null;
}

export interface Phase {
  readonly version: number;
  /** Places of its first and last point. */
  readonly from: number;
  readonly to: number;
  /** `null` of a single batch. */
  readonly chart: ControlChart | null;
}

export interface Series {
  readonly points: readonly Point[];
  readonly phases: readonly Phase[];
  /** What is wanted of it now. */
  readonly band: Band | null;
  /** Of the last phase; `null` where there are too few batches, or an alarm is open. */
  readonly drift: Drift | null;
  readonly capability: Capability | null;
  /** An alarm of the last phase that nobody has explained. */
  readonly open: boolean;
  /** Batches in which nobody measured this. */
  readonly unmeasured: number;
}

/** A drift is of the last so many batches; one of years ago is history. Our estimate. */
const DRIFT_OVER = 120;
/** Alarms after which a capability says nothing. */
const UNSTEADY: ReadonlySet<Rule> = new Set(["one-far-out", "eight-on-a-side", "six-steadily"]);

/**
 * @param batches in the order they were made
 * @param causes  what was said of a batch, by its run: such a batch sets no limits
 */
export function seriesOf(
  batches: readonly ChartedBatch[],
  figure: ChartedId,
  causes: Readonly<Record<string, string>>,
): Series {
  const charted: Charted = CHARTED[figure];
  const measured = batches.flatMap(batch => {
    const value = charted.of(batch);
    return value === null || !Number.isFinite(value) ? [] : [{ batch, value }];
  });
  const points: Point[] = [];
  const phases: Phase[] = [];
  let at = 0;
  while (at < measured.length) {
    const version = measured[at]?.batch.version ?? 0;
    let end = at;
    while (end < measured.length && measured[end]?.batch.version === version) end++;
    const own = measured.slice(at, end);
    const explained = new Set(own.flatMap(({ batch }, i) => (causes[batch.runId] === undefined ? [] : [i])));
    const found = controlChart(
      own.map(({ value }) => value),
      { resolution: charted.resolution, explained },
    );
    const chart = found.ok ? found.value : null;
    own.forEach(({ batch, value }, i) =>
      points.push({
        runId: batch.runId,
        at: batch.at,
        version: batch.version,
        value,
        alarms: chart?.alarms.flatMap(alarm => (alarm.index === i ? [alarm.rule] : [])) ?? [],
        cause: causes[batch.runId] ?? null,
      }),
    );
    phases.push({ version, from: at, to: end - 1, chart });
    at = end;
  }
  const last = phases.at(-1);
  const lastPoints = last ? points.slice(last.from) : [];
  const counted = lastPoints.filter(point => point.cause === null).map(({ value }) => value);
  const latest = measured.at(-1);
  const band = latest ? charted.band(latest.batch) : null;
  const drift = driftOf(counted.slice(-DRIFT_OVER), band);
  const unsteady = lastPoints.some(point => point.alarms.some(rule => UNSTEADY.has(rule)));
  const capability = band && !unsteady ? capabilityOf(counted, band) : null;
  return {
    points,
    phases,
    band,
    drift: drift.ok ? drift.value : null,
    capability: capability?.ok ? capability.value : null,
    open: lastPoints.some(point => point.alarms.length > 0 && point.cause === null),
    unmeasured: batches.length - measured.length,
  };
}
