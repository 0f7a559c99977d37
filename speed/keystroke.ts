import { type Page, chromium } from "@playwright/test";
import { plainLine, withReductions } from "./lines";

/** How long a keystroke in an amount takes to the repainted line, in the real browser on a processor made four times slower. */

const SLOWER = 4;
const KEYS = 80;
const GOAL_MS = 50;
/** Events shorter than this are not reported by the browser; they count as this long. */
const SHORTEST_MS = 16;

const url = process.env.HONDARO_URL ?? "http://127.0.0.1:4180";
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
  args: ["--no-sandbox", "--disable-gpu"],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });

/** Presses keys where the caret stands and reads from the browser how long each took to the next paint. */
async function keystrokes(target: Page, keys: readonly string[]): Promise<number[]> {
  await target.evaluate(() => {
    const seen: { name: string; interactionId: number; duration: number }[] = [];
    Object.assign(window, { seen });
    new PerformanceObserver(list => {
      for (const entry of list.getEntries() as (PerformanceEntry & { interactionId: number })[])
        seen.push({ name: entry.name, interactionId: entry.interactionId, duration: entry.duration });
    }).observe({ type: "event", durationThreshold: 16 } as PerformanceObserverInit);
  });
  for (const key of keys) {
    await target.keyboard.press(key);
    await target.waitForTimeout(120);
  }
  const seen = await target.evaluate(
    () => (window as unknown as { seen: { name: string; interactionId: number; duration: number }[] }).seen,
  );
  const longest = new Map<number, number>();
  for (const { interactionId, duration } of seen)
    if (interactionId) longest.set(interactionId, Math.max(longest.get(interactionId) ?? 0, duration));
  const times = [...longest.values()];
  while (times.length < keys.length) times.push(SHORTEST_MS);
  return times.sort((a, b) => a - b);
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
  await page.getByRole("link", { name: "Forty steps" }).click();
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
  // The floor of this machine: the same keys in a page that holds one field and nothing else.
  await page.goto("about:blank");
  await page.setContent("<input>");
  await page.locator("input").click();
  const floor = await keystrokes(page, keys);
  console.log(
    `\nA keystroke to the next paint, ${SLOWER} times slower processor, ${KEYS} keys; the amount stands in the first of 40 steps with two reductions.`,
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
  const p95 = at(times, 0.95);
  console.log(`The goal is ${GOAL_MS} ms at the 95th percentile: ${p95 < GOAL_MS ? "met" : "not met"}.`);
} finally {
  await browser.close();
}
