import { setTimeout as pause } from "node:timers/promises";

/**
 * Whether the machine gives its processor to who measures on it. A guest of a busy host is held up for hundreds of
 * milliseconds at a time and cannot see it but by the clock.
 */

const SUMS = 7e6;
const PROBES = 20;
/** A machine that takes so many times its best time for the same sums is not quiet. */
const DISTURBED = 1.25;
/** Looked at again so long after it was not quiet, ms. */
const LATER = 3000;
/** What was measured has come to rest so long after a round, ms: its own work is no disturbance. */
const AT_REST = 3000;

function timed(): number {
  const start = performance.now();
  let sum = 0;
  for (let i = 0; i < SUMS; i++) sum = (sum * 31 + i) | 0;
  // What nobody reads might not be reckoned at all.
  return sum === 0.5 ? NaN : performance.now() - start;
}

const timesOf = (count: number): number[] => Array.from({ length: count }, timed);

// The first are slow: the engine compiles them.
let best = Math.min(...timesOf(PROBES));

function isQuiet(): boolean {
  const times = timesOf(PROBES);
  best = Math.min(best, ...times);
  return times.reduce((a, b) => a + b, 0) / PROBES < best * DISTURBED;
}

/**
 * Takes rounds of a measurement only while the machine is quiet: a round is taken when it is quiet before it, and counts
 * when it still is after it. What a round has measured does not decide.
 */
export class QuietRounds {
  /** How often the machine was found disturbed. */
  disturbed = 0;

  /** @param mostDisturbed so many disturbances are waited out; after them a round counts as it comes */
  constructor(private readonly mostDisturbed: number) {}

  get gaveUp(): boolean {
    return this.disturbed >= this.mostDisturbed;
  }

  async take<T>(round: () => Promise<T>): Promise<T> {
    for (;;) {
      while (!isQuiet() && !this.gaveUp) {
        this.disturbed++;
        await pause(LATER);
      }
      const measured = await round();
      await pause(AT_REST);
      if (isQuiet() || this.gaveUp) return measured;
      this.disturbed++;
    }
  }
}
