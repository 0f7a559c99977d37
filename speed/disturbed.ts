import { readFileSync } from "node:fs";

/**
 * Whether the machine gives all of its processor to who measures on it. A guest of a busy host is held up for hundreds
 * of milliseconds at a time, or shares a core with strangers; neither says anything of what is measured.
 */

/** Where the kernel of a guest tells how long its host gave the processors to others: the eighth figure of all of them. */
const STOLEN = 8;
const SUMS = 1e6;
/** A machine that takes so many times its best time for the same sums shares its cores. */
const SHARED = 1.2;

/** How long the host has given the processors to others so far, in ticks; 0 where nobody tells. */
function takenAway(): number {
  try {
    const [ofAll = ""] = readFileSync("/proc/stat", "utf8").split("\n");
    return Number(ofAll.split(/ +/)[STOLEN] ?? 0);
  } catch {
    return 0;
  }
}

function timed(): number {
  const start = performance.now();
  let sum = 0;
  for (let i = 0; i < SUMS; i++) sum = (sum * 31 + i) | 0;
  // What nobody reads might not be reckoned at all.
  return sum === 0.5 ? NaN : performance.now() - start;
}

// The best of three: one alone may be held up for once.
const sums = (): number => Math.min(timed(), timed(), timed());

let best = Infinity;
// The first are slow: the engine compiles them.
for (let i = 0; i < 20; i++) best = Math.min(best, sums());

function isShared(): boolean {
  const now = sums();
  best = Math.min(best, now);
  return now > best * SHARED;
}

/** Does a thing, and tells whether the machine was disturbed before, during or after it. What the thing did has no say. */
export async function wasDisturbed(thing: () => Promise<unknown>): Promise<boolean> {
  const before = takenAway();
  const shared = isShared();
  await thing();
  return shared || isShared() || takenAway() !== before;
}
