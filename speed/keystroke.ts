import { type Page, chromium } from "@playwright/test";
import { median, quantile } from "simple-statistics";
import { plainLine, withReductions } from "./lines";
import { wasDisturbed } from "./disturbed";

/**
 * How long a keystroke in an amount takes, in the real browser on a processor made four times slower: until it stands in
 * its field, and until the line below is painted with what follows from it. A key during which others held the processor
 * tells nothing of the page; it is left out, whatever it took, and another is pressed.
 */

const SLOWER = 4;
/** The paces are measured in turn, in rounds of so many keys, until so many of each count. */
const KEYS_A_ROUND = 40;
const KEYS = 200;
/** After so many rounds there are no more, however few keys count. */
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

/** Keys that were left out. */
let leftOut = 0;

/** Presses so many keys where the caret stands, each so long after the one before, ms; tells of those that count. */
async function press(target: Page, apartMs: number, count = KEYS_A_ROUND): Promise<Key[]> {
  const undisturbed: boolean[] = [];
  for (let i = 0; i < count; i++) {
    const disturbed = await wasDisturbed(async () => {
      await target.keyboard.press(keyAt(i), { delay: HELD });
      await target.waitForTimeout(apartMs - HELD);
    });
    undisturbed.push(!disturbed);
  }
  await target.waitForTimeout(TOLD_AFTER);
  const keys = await target.evaluate(() => (window as unknown as Watched).keys.splice(0));
  const counted = keys.filter((_, i) => undisturbed[i]);
  leftOut += keys.length - counted.length;
  return counted;
}

/** Keys of one pace, round by round. */
interface Pace {
  readonly apartMs: number;
  readonly rounds: Key[][];
}

/** Presses keys at all these paces in turn, until enough of each count. */
async function inTurn(target: Page, paces: readonly number[]): Promise<Pace[]> {
  const all = paces.map(apartMs => ({ apartMs, rounds: [] as Key[][] }));
  for (const { apartMs } of all) await press(target, apartMs, WARMING);
  for (let i = 0; i < MOST_ROUNDS; i++)
    for (const { apartMs, rounds } of all)
      if (rounds.flat().length < KEYS) rounds.push(await press(target, apartMs));
  return all;
}

const shown = (ms: number): string => ms.toFixed(0);

/** One figure of all keys that count, with the rounds it is made of. */
function tell(what: string, { rounds }: Pace, of: (key: Key) => number, goal: boolean): void {
  const all = rounds.flat().map(of);
  if (all.length === 0) {
    console.log(`${what.padEnd(46)} not known: others held the processor at every key`);
    return;
  }
  const p95 = quantile(all, 0.95);
  const judged = goal ? `   goal ${GOAL_MS} ms: ${p95 < GOAL_MS ? "met" : "not met"}` : "";
  console.log(
    `${what.padEnd(46)} median ${shown(median(all)).padStart(3)} ms, 95th percentile ${shown(p95).padStart(3)} ms (rounds ${rounds
      .filter(round => round.length > 0)
      .map(round => shown(quantile(round.map(of), 0.95)))
      .join(" ")})${judged}`,
  );
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
    `\nA keystroke in the amount of the first of 40 steps with two reductions, processor ${SLOWER} times slower; ${paces.map(({ rounds }) => rounds.flat().length).join(" and ")} keys.`,
  );
  for (const pace of paces) {
    const apart = `, keys ${pace.apartMs} ms apart`;
    tell(`in the field${apart}`, pace, key => key.shown, true);
    // A key nobody saw painted has not met any goal.
    tell(`until the line is painted${apart}`, pace, key => key.painted ?? Infinity, true);
  }
  for (const pace of floor) tell("in an empty page", pace, key => key.shown, false);
  if (leftOut) console.log(`${leftOut} keys fell into moments when others held the processor: left out.`);
} finally {
  await browser.close();
}
