import { median } from "simple-statistics";

/** What a cook weighed for one line in one batch. */
export interface WeighedLine {
  readonly lineId: string;
  readonly massG: number;
  /** Size of that batch, by its base. */
  readonly baseG: number;
}

/** What the hand has put in so far, for a batch of a given size. */
export interface LearnedWeight {
  readonly massG: number;
  readonly loG: number;
  readonly hiG: number;
  readonly batches: number;
}

/**
 * The weight that cooks really put in by feel, taken to a batch of another size: the middle of what was weighed, with
 * the least and the most. `null` while nobody has weighed it.
 * @param baseG size of the batch it is wanted for
 */
export function learnedWeight(
  weighed: readonly WeighedLine[],
  lineId: string,
  baseG: number,
): LearnedWeight | null {
  const masses = weighed
    .filter(w => w.lineId === lineId && w.baseG > 0)
    .map(w => (w.massG * baseG) / w.baseG);
  if (!masses.length) return null;
  return {
    massG: median(masses),
    loG: Math.min(...masses),
    hiG: Math.max(...masses),
    batches: masses.length,
  };
}
