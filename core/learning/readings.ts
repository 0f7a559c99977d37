import type { BodyReading, PaceReading } from "../formula";
import type { Seasoned, Taught } from "../run";
import type { GroupId } from "./groups";
import type { Mark, Standing } from "./marks";
import type { YieldReading } from "./yields";

/** What is read in a kitchen, and what it comes to. */

/** A reading behind a learned value, in its unit. */
export interface Evidence {
  readonly at: number;
  readonly value: number;
  /** Which sauce or what it was. */
  readonly words: string;
  /** Its batch; `null` where it came from none. */
  readonly runId: string | null;
  readonly counts: boolean;
}

export interface Learned {
  readonly group: GroupId;
  readonly key: string;
  readonly title: string;
  /** What counts without the readings; `null` where there is nothing. */
  readonly before: number | null;
  /** What the readings say. */
  readonly now: number;
  readonly lo: number | null;
  readonly hi: number | null;
  /** Readings that count. */
  readonly n: number;
  /** `learning`: too few yet · `agrees`: nothing to take · `proposed`: waits for a chef · `counts`: the sums use it. */
  readonly status: "learning" | "agrees" | "proposed" | "counts";
  readonly frozen: boolean;
  /** What was taken last; `null` where nothing was. */
  readonly accepted: Standing["accepted"];
  /** More that is to be said of it. */
  readonly note: string | null;
  readonly evidence: readonly Evidence[];
}

/** A finished batch, as far as it teaches. */
export interface TeachingBatch {
  readonly runId: string;
  readonly formulaId: string;
  readonly name: string;
  readonly at: number;
  readonly plannedG: number | null;
  readonly actualG: number | null;
  readonly plannedMin: number | null;
  readonly actualMin: number | null;
  readonly score: number | null;
  /** What went wrong in it, how often. */
  readonly incidents: number;
  readonly seasoned: readonly Seasoned[];
  readonly taught: readonly Taught[];
  readonly paces: readonly PaceReading[];
}

export interface KeptMark extends Mark {
  readonly group: GroupId;
  readonly key: string;
}

export interface Readings {
  readonly batches: readonly TeachingBatch[];
  readonly body: readonly BodyReading[];
  readonly yields: readonly (YieldReading & { readonly at: number })[];
  readonly marks: readonly KeptMark[];
}

export const markKey = (group: string, key: string): string => `${group}:${key}`;

/** A dish scored under this did not taste right: its doses teach nothing. Common practice, no source. */
const TASTED_RIGHT = 6;
export const tastedRight = ({ score }: { readonly score: number | null }): boolean =>
  score === null || score >= TASTED_RIGHT;
/** The last so many batches say what the next will take. Common practice, no source. */
export const LAST = 8;

/** Readings, each with whether it counts. */
export const withCounts = (
  readings: readonly Omit<Evidence, "counts">[],
  own: readonly Omit<Evidence, "counts">[],
): Evidence[] => readings.map(one => ({ ...one, counts: own.includes(one) }));
