import { createContext } from "react";

/** What the clock of a page makes of the time: a rehearsal runs faster than its kitchen. */
export interface PageClock {
  /** The page’s time at a real one, ms. */
  readonly at: (real: number) => number;
}

export const REAL_TIME: PageClock = { at: real => real };

export const ClockContext = createContext<PageClock>(REAL_TIME);

/** The clock of a rehearsal. @param startedAt ms */
export const rehearsalClock = (startedAt: number, speed: number): PageClock => ({
  at: real => startedAt + (real - startedAt) * speed,
});
