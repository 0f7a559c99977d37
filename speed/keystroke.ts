import { type Page, chromium } from "@playwright/test";
import { plainLine, withReductions } from "./lines";
import { QuietRounds } from "./steady";

/**
 * How long a keystroke in an amount takes, in the real browser on a processor made four times slower: until it stands in
 * its field, and until the line below is painted with what follows from it.
 */

const SLOWER = 4;
/** Every pace is measured in rounds, one after the other in turn; all keys of all rounds count alike. */
const ROUNDS = 5;
/** So many times at most the machine is waited for to be quiet. */
const MOST_DISTURBED = 20;
const KEYS = 40;
/** Keys of each pace before those that count: the browser compiles what runs often. */
const WARMING = 20;
/** How far apart the keys are that the field is measured with, ms. */
const FIELD_PACE = 120;
/** How far apart the keys are that the line is measured with, ms: typed on, and one at a time. */
const LINE_PACES = [150, 500];
/** A key is held down so long, as a finger holds it, ms. */
const HELD = 60;
/** What the browser has seen of a round is all told so long after it, ms. */
const TOLD_AFTER = 500;
const GOAL_MS = 50;
/** Events shorter than this are not reported by the browser; they count as this long. */
const SHORTEST_MS = 16;

const url = process.env.HONDARO_URL ?? "http://127.0.0.1:4180";
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
  args: ["--no-sandbox", "--disable-gpu"],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });

interface Seen {
  readonly interactionId: number;
  readonly duration: number;
}

/** What the page itself keeps while it is measured. */
interface Watched {
  /** How long the browser says keys took to the next paint. */
  seen: Seen[];
  /** How long it took from a key until a figure of the line was painted. */
  painted: number[];
  /** Whether the line is watched. */
  lineWatched: boolean;
}

// 2 → 21 → 2 → 23 …: each key changes the amount, and with it all forty steps and both reductions.
const keyAt = (i: number): string => (i % 2 ? "Backspace" : String(1 + (i % 9)));

/** Presses so many keys where the caret stands, each so long after the one before, ms. */
async function press(target: Page, count: number, apartMs: number): Promise<void> {
  for (let i = 0; i < count; i++) {
    await target.keyboard.press(keyAt(i), { delay: HELD });
    await target.waitForTimeout(apartMs - HELD);
  }
  await target.waitForTimeout(TOLD_AFTER);
}

/** From now on the browser tells of every key how long it took to the next paint. */
const watchTheKeys = (target: Page): Promise<void> =>
  target.evaluate(() => {
    const seen: Seen[] = [];
    Object.assign(window, { seen });
    new PerformanceObserver(list => {
      for (const { interactionId, duration } of list.getEntries() as (PerformanceEntry & Seen)[])
        if (interactionId) seen.push({ interactionId, duration });
    }).observe({ type: "event", durationThreshold: 16 } as PerformanceObserverInit);
  });

/** How long each key of a round took to the next paint, sorted. */
async function untilTheNextPaint(target: Page, count = KEYS): Promise<number[]> {
  await target.evaluate(() => ((window as unknown as Watched).seen.length = 0));
  await press(target, count, FIELD_PACE);
  const seen = await target.evaluate(() => (window as unknown as Watched).seen);
  const longest = new Map<number, number>();
  for (const { interactionId, duration } of seen)
    longest.set(interactionId, Math.max(longest.get(interactionId) ?? 0, duration));
  const times = [...longest.values()];
  while (times.length < count) times.push(SHORTEST_MS);
  return times.sort((a, b) => a - b);
}

/** Makes the page keep, while it is asked to, how long each key took until a figure of the line was painted. */
async function watchTheLine(target: Page): Promise<void> {
  await target.evaluate(() => {
    const painted: number[] = [];
    const watched = Object.assign(window, { painted, lineWatched: false });
    let pressed = 0;
    addEventListener("keydown", () => (pressed = watched.lineWatched ? performance.now() : 0), true);
    const line = document.querySelector("section[aria-label='The line'] ol");
    if (!line) throw new Error("There is no line on this page.");
    new MutationObserver(changes => {
      const from = pressed;
      // Written in one piece: a named function inside would not survive the way into the page.
      if (
        !from ||
        !changes.some(({ target: node }) =>
          (node instanceof Element ? node : node.parentElement)?.closest("dl"),
        )
      )
        return;
      pressed = 0;
      requestAnimationFrame(() => {
        // A message comes after the frame has been painted.
        const { port1, port2 } = new MessageChannel();
        port1.onmessage = () => painted.push(performance.now() - from);
        port2.postMessage(null);
      });
    }).observe(line, { subtree: true, characterData: true, childList: true });
  });
}

/** How long each key of a round took until the line was painted, sorted. */
async function untilTheLine(target: Page, apartMs: number, count = KEYS): Promise<number[]> {
  await target.evaluate(() => {
    const watched = window as unknown as Watched;
    watched.painted.length = 0;
    watched.lineWatched = true;
  });
  await press(target, count, apartMs);
  const painted = await target.evaluate(() => {
    const watched = window as unknown as Watched;
    watched.lineWatched = false;
    return watched.painted;
  });
  return painted.sort((a, b) => a - b);
}

const at = (times: readonly number[], share: number): number =>
  times[Math.min(times.length - 1, Math.floor(times.length * share))] ?? NaN;

/** One thing that is measured, round by round. */
interface Measured {
  readonly what: string;
  readonly round: (count?: number) => Promise<number[]>;
  readonly rounds: number[][];
}

const quiet = new QuietRounds(MOST_DISTURBED);

/** Measures all in turn, round by round. */
async function inTurn(all: readonly Measured[]): Promise<void> {
  for (const { round } of all) await round(WARMING);
  for (let i = 0; i < ROUNDS; i++)
    for (const { round, rounds } of all) rounds.push(await quiet.take(() => round()));
}

/** Of all keys of all rounds. */
const ofAll = ({ rounds }: Measured, share: number): number =>
  at(
    rounds.flat().sort((a, b) => a - b),
    share,
  );

const shown = (ms: number): string => ms.toFixed(0);

try {
  await page.goto(`${url}/who?to=/bench/new/file`);
  await page.getByRole("button", { name: "Tomas Reyhl" }).click();
  const document = { ...withReductions(plainLine(40)), name: "Forty steps" };
  await page.getByLabel("or pasted here").fill(JSON.stringify(document));
  await page.getByRole("button", { name: "Look it over" }).click();
  await page.getByRole("button", { name: "Bring it in" }).click();
  await page.getByRole("link", { name: "Forty steps" }).first().click();
  await page.getByRole("region", { name: "Formula" }).getByText(/±|–\d/).first().waitFor();
  await page.locator("[data-step]").first().click();
  const slow = await page.context().newCDPSession(page);
  await slow.send("Emulation.setCPUThrottlingRate", { rate: SLOWER });
  const field = page.getByLabel(/^Amount of /).first();
  await field.fill("20 %");
  await field.press("Home");
  await field.press("ArrowRight");
  await watchTheKeys(page);
  await watchTheLine(page);
  const measured: Measured[] = [
    { what: "in the field", round: count => untilTheNextPaint(page, count), rounds: [] },
    ...LINE_PACES.map(apart => ({
      what: `until the line is painted, keys ${apart} ms apart`,
      round: (count?: number) => untilTheLine(page, apart, count),
      rounds: [],
    })),
  ];
  await inTurn(measured);
  // The floor of this machine: the same keys in a page that holds one field and nothing else.
  await page.goto("about:blank");
  await page.setContent("<input>");
  await page.locator("input").click();
  await watchTheKeys(page);
  const floor: Measured = {
    what: "in an empty page",
    round: count => untilTheNextPaint(page, count),
    rounds: [],
  };
  await inTurn([floor]);
  console.log(
    `\nA keystroke in the amount of the first of 40 steps with two reductions, processor ${SLOWER} times slower; ${ROUNDS} rounds of ${KEYS} keys.`,
  );
  for (const one of [...measured, floor]) {
    const p95 = ofAll(one, 0.95);
    const goal = one === floor ? "" : `   goal ${GOAL_MS} ms: ${p95 < GOAL_MS ? "met" : "not met"}`;
    console.log(
      `${one.what.padEnd(46)} median ${shown(ofAll(one, 0.5)).padStart(3)} ms, 95th percentile ${shown(p95).padStart(3)} ms (rounds ${one.rounds.map(times => shown(at(times, 0.95))).join(" ")})${goal}`,
    );
  }
  if (quiet.disturbed)
    console.log(
      quiet.gaveUp
        ? `Other work held the processor ${quiet.disturbed} times and was waited for no longer: not all of this is of a quiet machine.`
        : `Other work held the processor ${quiet.disturbed} times; what it fell into was measured again.`,
    );
} finally {
  await browser.close();
}
