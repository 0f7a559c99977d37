import { type Page, chromium } from "@playwright/test";
import { plainLine, withReductions } from "./lines";

/**
 * How long a keystroke in an amount takes, in the real browser on a processor made four times slower: until it stands in
 * its field, and until the line below is painted with what follows from it.
 */

const SLOWER = 4;
const KEYS = 120;
/** Keys before those that count: the browser compiles what runs often. */
const WARMING = 20;
/** How far apart the keys are that the field is measured with, ms. */
const FIELD_PACE = 120;
/** How far apart the keys are that the line is measured with, ms: typed on, and one at a time. */
const PACES = [150, 500];
/** A key is held down so long, as a finger holds it, ms. */
const HELD = 60;
const GOAL_MS = 50;
/** Events shorter than this are not reported by the browser; they count as this long. */
const SHORTEST_MS = 16;

const url = process.env.HONDARO_URL ?? "http://127.0.0.1:4180";
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
  args: ["--no-sandbox", "--disable-gpu"],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });

/** Presses keys where the caret stands, each so long after the one before, ms. */
async function press(target: Page, keys: readonly string[], apartMs: number): Promise<void> {
  for (const key of keys) {
    await target.keyboard.press(key, { delay: HELD });
    await target.waitForTimeout(apartMs - HELD);
  }
}

/**
 * Presses keys where the caret stands and reads from the browser how long each of those after the warming took to the
 * next paint, sorted.
 */
async function keystrokes(target: Page, keys: readonly string[]): Promise<number[]> {
  await press(target, keys.slice(0, WARMING), FIELD_PACE);
  await target.waitForTimeout(500);
  const counted = keys.slice(WARMING);
  await target.evaluate(() => {
    const seen: { name: string; interactionId: number; duration: number }[] = [];
    Object.assign(window, { seen });
    new PerformanceObserver(list => {
      for (const entry of list.getEntries() as (PerformanceEntry & { interactionId: number })[])
        seen.push({ name: entry.name, interactionId: entry.interactionId, duration: entry.duration });
    }).observe({ type: "event", durationThreshold: 16 } as PerformanceObserverInit);
  });
  await press(target, counted, FIELD_PACE);
  const seen = await target.evaluate(
    () => (window as unknown as { seen: { name: string; interactionId: number; duration: number }[] }).seen,
  );
  const longest = new Map<number, number>();
  for (const { interactionId, duration } of seen)
    if (interactionId) longest.set(interactionId, Math.max(longest.get(interactionId) ?? 0, duration));
  const times = [...longest.values()];
  while (times.length < counted.length) times.push(SHORTEST_MS);
  return times.sort((a, b) => a - b);
}

/** Keeps for every key from now on how long it took until a figure of the line had changed and was painted. */
async function watchTheLine(target: Page): Promise<void> {
  await target.evaluate(() => {
    const painted: number[] = [];
    Object.assign(window, { painted });
    let pressed = 0;
    addEventListener("keydown", () => (pressed = performance.now()), true);
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

/** Presses keys so far apart; how long those after the warming took until the line was painted, sorted. */
async function untilTheLine(target: Page, keys: readonly string[], apartMs: number): Promise<number[]> {
  const timesSince = (start: number) =>
    target.evaluate(from => (window as unknown as { painted: number[] }).painted.slice(from), start);
  await press(target, keys.slice(0, WARMING), apartMs);
  const start = (await timesSince(0)).length;
  await press(target, keys.slice(WARMING), apartMs);
  return (await timesSince(start)).sort((a, b) => a - b);
}

const at = (times: readonly number[], share: number): number =>
  times[Math.min(times.length - 1, Math.floor(times.length * share))] ?? NaN;

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
  // 2 → 21 → 2 → 22 …: each key changes the amount, and with it all forty steps and both reductions.
  const keys = Array.from({ length: KEYS }, (_, i) => (i % 2 ? "Backspace" : String(1 + (i % 9))));
  const field = page.getByLabel(/^Amount of /).first();
  await field.fill("20 %");
  await field.press("Home");
  await field.press("ArrowRight");
  const times = await keystrokes(page, keys);
  await watchTheLine(page);
  const lines: [number, number[]][] = [];
  for (const apart of PACES) lines.push([apart, await untilTheLine(page, keys, apart)]);
  // The floor of this machine: the same keys in a page that holds one field and nothing else.
  await page.goto("about:blank");
  await page.setContent("<input>");
  await page.locator("input").click();
  const floor = await keystrokes(page, keys);
  console.log(
    `\nA keystroke to the next paint, ${SLOWER} times slower processor, ${KEYS - WARMING} keys each; the amount stands in the first of 40 steps with two reductions.`,
  );
  for (const [what, share] of [
    ["median", 0.5],
    ["95th percentile", 0.95],
  ] as const) {
    const [mine, least] = [at(times, share), at(floor, share)];
    console.log(
      `${`in the amount, ${what}`.padEnd(44)} ${mine.toFixed(0).padStart(5)} ms   in an empty page ${least.toFixed(0).padStart(5)} ms   × ${(mine / least).toFixed(1)}`,
    );
  }
  for (const [apart, line] of lines)
    console.log(
      `until the line is painted, keys ${apart} ms apart: median ${at(line, 0.5).toFixed(0)} ms, 95th percentile ${at(line, 0.95).toFixed(0)} ms`,
    );
  for (const [what, p95] of [
    ["the field", at(times, 0.95)],
    ...lines.map(([apart, line]) => [`the line, keys ${apart} ms apart,`, at(line, 0.95)] as const),
  ] as const)
    console.log(
      `The goal for ${what} is ${GOAL_MS} ms at the 95th percentile: ${p95 < GOAL_MS ? "met" : "not met"}.`,
    );
} finally {
  await browser.close();
}
