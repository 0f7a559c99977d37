/** What is left of a sauce while service runs, how many guests that is, and when the next has to go on. */

export interface LeftInput {
  /** Made, and from the cold, g. */
  readonly madeG: number;
  readonly portionG: number;
  readonly covers: number;
  /** Minutes of service and how long it lasts. */
  readonly beginsMin: number;
  readonly lastsMin: number;
  /** What was weighed or counted, the earliest first. */
  readonly readings: readonly { readonly min: number; readonly massG: number }[];
  readonly nowMin: number;
  /** Minutes another pot of it takes. */
  readonly leadMin: number;
}

export interface LeftNow {
  readonly leftG: number;
  readonly covers: number;
  /** g a minute: as it went so far, or as the menu foresees it. */
  readonly perMin: number;
  readonly counted: boolean;
  /** When nothing will be left, if that is before the end of service. */
  readonly emptyMin: number | null;
  /** Until when another pot must be on, if it will not last. */
  readonly nextOnMin: number | null;
}

/** Readings closer together than this tell no pace. */
const SHORTEST_MIN = 10;

/**
 * A sauce at a moment of service. Until something was weighed it is taken to go evenly, as the menu says.
 * @example 851 g for 20 covers of 35 g, 400 g left after an hour of four → 11 covers; empty 53 min later
 * Source: arithmetic; docs/models.md "The day".
 */
export function leftNow(input: LeftInput): LeftNow {
  const { madeG, portionG, covers, beginsMin, lastsMin, readings, nowMin, leadMin } = input;
  const endMin = beginsMin + lastsMin;
  const last = readings.at(-1);
  const since = last ?? { min: beginsMin, massG: madeG };
  const went = last ? madeG - last.massG : 0;
  const ran = last ? last.min - beginsMin : 0;
  const counted = went > 0 && ran >= SHORTEST_MIN;
  const perMin = counted ? went / ran : (covers * portionG) / lastsMin;
  const leftG = Math.max(0, since.massG - perMin * Math.max(0, nowMin - Math.max(since.min, beginsMin)));
  const empty = perMin > 0 ? Math.max(nowMin, beginsMin) + leftG / perMin : Infinity;
  const emptyMin = empty < endMin ? empty : null;
  return {
    leftG,
    covers: Math.floor(leftG / portionG + 1e-9),
    perMin,
    counted,
    emptyMin,
    nextOnMin: emptyMin === null ? null : emptyMin - leadMin,
  };
}
