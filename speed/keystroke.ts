import { type Page, chromium } from "@playwright/test";
import { median, quantile } from "simple-statistics";
import { plainLine, withReductions } from "./lines";
import { wasDisturbed } from "./disturbed";

/**
 * How long a keystroke in an amount takes, in the real browser on a processor made four times slower: until it stands in
 * its field, and until the line below is painted with what follows from it. A key during which others held the processor
 * tells little of the page: another is pressed, until enough were undisturbed. Both are told, the undisturbed keys and
 * every key there was, so that nobody needs to trust the choice.
 */

const SLOWER = 4;
/** The paces are measured in turn, in rounds of so many keys, until so many of each were undisturbed. */
const KEYS_A_ROUND = 40;
const KEYS = 200;
/** After so many rounds there are no more, however few keys were undisturbed. */
const MOST_ROUNDS = 12;
/** Keys of each pace before those that count: the browser compiles what runs often. */
const WARMING = 20;
/** How far apart the keys are, ms: typed on, and one at a time. */
const PACES = [150, 500];
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

/** What the page itself keeps of a key. */
interface Key {
  readonly at: number;
  /** How long it took until the browser showed the next frame, ms. */
  shown: number;
  /** How long it took until a figure of the line was painted, ms. */
  painted: number | null;
}
interface Watched {
  keys: Key[];
}
/** A key, and whether others held the processor at it. */
interface Pressed extends Key {
  readonly disturbed: boolean;
}

// 2 → 21 → 2 → 23 …: each key changes the amount, and with it all forty steps and both reductions.
const keyAt = (i: number): string => (i % 2 ? "Backspace" : String(1 + (i % 9)));

/** From now on the page keeps of every key how long it took. */
const watch = (target: Page): Promise<void> =>
  target.evaluate(shortest => {
    const keys: Key[] = [];
    Object.assign(window, { keys });
    addEventListener(
      "keydown",
      event => keys.push({ at: event.timeStamp, shown: shortest, painted: null }),
      true,
    );
    new PerformanceObserver(list => {
      for (const { startTime, duration } of list.getEntries()) {
        const key = keys.findLast(({ at }) => at <= startTime);
        if (key) key.shown = Math.max(key.shown, duration);
      }
    }).observe({ type: "event", durationThreshold: shortest } as PerformanceObserverInit);
    const line = document.querySelector("section[aria-label='The line'] ol");
    if (!line) return;
    new MutationObserver(changes => {
      const key = keys.at(-1);
      // Written in one piece: a named function inside would not survive the way into the page.
      if (
        !key ||
        key.painted !== null ||
        !changes.some(({ target: node }) =>
          (node instanceof Element ? node : node.parentElement)?.closest("dl"),
        )
      )
        return;
      key.painted = Infinity;
      requestAnimationFrame(() => {
        // A message comes after the frame has been painted.
        const { port1, port2 } = new MessageChannel();
        port1.onmessage = () => (key.painted = performance.now() - key.at);
        port2.postMessage(null);
      });
    }).observe(line, { subtree: true, characterData: true, childList: true });
  }, SHORTEST_MS);

/** Presses so many keys where the caret stands, each so long after the one before, ms. */
async function press(target: Page, apartMs: number, count = KEYS_A_ROUND): Promise<Pressed[]> {
  const disturbed: boolean[] = [];
  for (let i = 0; i < count; i++)
    disturbed.push(
      await wasDisturbed(async () => {
        await target.keyboard.press(keyAt(i), { delay: HELD });
        await target.waitForTimeout(apartMs - HELD);
      }),
    );
  await target.waitForTimeout(TOLD_AFTER);
  const keys = await target.evaluate(() => (window as unknown as Watched).keys.splice(0));
  return keys.map((key, i) => ({ ...key, disturbed: disturbed[i] ?? true }));
}

/** The keys of one pace. */
interface Pace {
  readonly apartMs: number;
  readonly keys: Pressed[];
}

const undisturbed = (keys: readonly Pressed[]): Pressed[] => keys.filter(({ disturbed }) => !disturbed);

/** Presses keys at all these paces in turn, until enough of each were undisturbed. */
async function inTurn(target: Page, paces: readonly number[]): Promise<Pace[]> {
  const all = paces.map(apartMs => ({ apartMs, keys: [] as Pressed[] }));
  for (const { apartMs } of all) await press(target, apartMs, WARMING);
  for (let i = 0; i < MOST_ROUNDS; i++)
    for (const { apartMs, keys } of all)
      if (undisturbed(keys).length < KEYS) keys.push(...(await press(target, apartMs)));
  return all;
}

/** One line: how long it took at so many keys, and whether that meets the goal. */
function tell(what: string, took: readonly number[], goal: boolean): void {
  const [half, p95] = took.length ? [median([...took]), quantile([...took], 0.95)] : [NaN, NaN];
  const judged = goal && took.length ? `   goal ${GOAL_MS} ms: ${p95 < GOAL_MS ? "met" : "not met"}` : "";
  const figures = [half, p95].map(ms => (took.length ? ms.toFixed(1) : "–").padStart(5));
  console.log(
    `${what.padEnd(46)} median ${figures[0]} ms, 95th percentile ${figures[1]} ms, ${took.length} keys${judged}`,
  );
}

/** The undisturbed keys of a pace, and every key of it. */
function tellBoth(what: string, { keys }: Pace, of: (key: Key) => number, goal: boolean): void {
  tell(what, undisturbed(keys).map(of), goal);
  tell("  every key, disturbed or not", keys.map(of), goal);
}

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
  await watch(page);
  const paces = await inTurn(page, PACES);
  // The floor of this machine: the same keys in a page that holds one field and nothing else.
  await page.goto("about:blank");
  await page.setContent("<input>");
  await page.locator("input").click();
  await watch(page);
  const floor = await inTurn(page, PACES.slice(0, 1));
  console.log(
    `\nA keystroke in the amount of the first of 40 steps with two reductions, processor ${SLOWER} times slower.`,
  );
  for (const pace of paces) {
    const apart = `, keys ${pace.apartMs} ms apart`;
    tellBoth(`in the field${apart}`, pace, key => key.shown, true);
    // A key nobody saw painted has not met any goal.
    tellBoth(`until the line is painted${apart}`, pace, key => key.painted ?? Infinity, true);
  }
  for (const pace of floor) tellBoth("in an empty page", pace, key => key.shown, false);
} finally {
  await browser.close();
}
