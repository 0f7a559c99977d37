import { type Page, expect, test } from "@playwright/test";
import { ulid } from "ulid";
import { STOCK, begin, cook, logReading, plain, signAs } from "./kitchen";

/** The network goes and the tab is closed: the pot is still there, and what is logged arrives once. */
test("with the network gone a live pot opens again, its clock right, and what is logged arrives when it is back", async ({
  browser,
}) => {
  const tablet = await browser.newContext();
  const first = await tablet.newPage();
  await signAs(first, "Noor Adeyi");
  const runId = await cook(first, "Verjus butter sauce", "600 g");
  await begin(first);
  // Another cook logs while this tablet looks at the Range.
  await first.goto("/");
  await expect(first.getByText(/^On the fire/)).toBeVisible();
  const elsewhere = await browser.newContext();
  const other = await elsewhere.newPage();
  await signAs(other, "Tomas Reyhl");
  await other.goto(`/stove/${runId}`);
  // The keeper takes its time; the Range has asked it for this pot.
  await expect
    .poll(
      () =>
        first.evaluate(async id => {
          const names = (await caches.keys()).filter(name => name.startsWith("hondaro.pages"));
          const caches_ = await Promise.all(names.map(name => caches.open(name)));
          return (await Promise.all(caches_.map(cache => cache.match(`/stove/${id}`)))).some(Boolean);
        }, runId),
      { timeout: 20_000 },
    )
    .toBe(true);
  await logReading(other, "note", "heard before the network went");
  await first.waitForTimeout(1500);
  await first.close();

  await tablet.setOffline(true);
  const again = await tablet.newPage();
  await again.goto(`/stove/${runId}`);
  await expect(again.getByText("no network: kept on this tablet")).toBeVisible();
  await expect(again.getByText("heard before the network went")).toBeVisible();
  await logReading(again, "note", "logged without a network");
  await expect(again.getByText(/1 waiting for the network/)).toBeVisible();
  // Back over the Range, which is here too.
  await again.getByRole("link", { name: "← Range" }).click();
  await expect(again.getByText(/^On the fire/)).toBeVisible();
  await again.goto(`/stove/${runId}`);
  await expect(again.getByText("logged without a network")).toBeVisible();
  await expect(again.getByText(/1 waiting for the network/)).toBeVisible();

  await tablet.setOffline(false);
  await expect(other.getByText("logged without a network")).toBeVisible({ timeout: 30_000 });
  const told = plain(await other.getByRole("main").innerText()).match(/logged without a network/g);
  expect(told).toHaveLength(1);
  await Promise.all([tablet.close(), elsewhere.close()]);
});

const HALF_HOUR_MS = 30 * 60_000;
const EACH = 150;
/** What a tablet has jotted down of a run in the last half hour, as it does before its queue has written it. */
async function jot(
  page: Page,
  runId: string,
  personId: string,
  shiftMs: number,
  name: string,
): Promise<string[]> {
  const from = Date.now() - HALF_HOUR_MS;
  const kept = Array.from({ length: EACH }, (_, i) => {
    // The two tablets take turns; the clock of one is hours off, and it knows by how much.
    const real =
      from + shiftMs / 1e9 + (HALF_HOUR_MS / EACH) * i + (name === "B" ? HALF_HOUR_MS / EACH / 2 : 0);
    const event = {
      id: ulid(Math.round(real)),
      at: new Date(real + shiftMs).toISOString(),
      clockOffsetMs: -shiftMs,
      personId,
      payload: { kind: "noted", stepId: "s1", text: `${name} ${i}` },
    };
    return { runId, event };
  });
  await page.evaluate(rows => {
    for (const row of rows) localStorage.setItem(`hondaro.reading.${row.event.id}`, JSON.stringify(row));
  }, kept);
  return kept.map(({ event }) => event.payload.text);
}

/** The notes of a pot in the order they stand in, the oldest first. */
const notesOf = async (page: Page): Promise<string[]> =>
  (plain(await page.getByRole("main").innerText()).match(/“[AB] \d+”/g) ?? [])
    .map(text => text.slice(1, -1))
    .reverse();

test("half an hour without a network, 300 readings on two tablets, one two hours off: all arrive, once and in order", async ({
  browser,
}) => {
  test.slow();
  const tablets = await Promise.all([browser.newContext(), browser.newContext()]);
  const [a, b] = await Promise.all(tablets.map(tablet => tablet.newPage()));
  if (!a || !b) throw new Error("There are no tablets.");
  await signAs(a, "Noor Adeyi");
  await signAs(b, "Tomas Reyhl");
  const runId = await cook(a, STOCK, "5 kg");
  await b.goto(`/stove/${runId}`);
  await expect(b.getByText(/step 1 of/)).toBeVisible();
  await Promise.all(tablets.map(tablet => tablet.setOffline(true)));
  const [ofA, ofB] = [await jot(a, runId, "noor", 0, "A"), await jot(b, runId, "tomas", 2 * 3_600_000, "B")];
  await Promise.all(tablets.map(tablet => tablet.setOffline(false)));
  const inTurn = ofA.flatMap((text, i) => [text, ofB[i]]);
  for (const page of [a, b])
    await expect
      .poll(
        async () => {
          if ((await notesOf(page)).length < 2 * EACH) await page.reload();
          return notesOf(page);
        },
        { timeout: 60_000, intervals: [4000] },
      )
      .toEqual(inTurn);
  await Promise.all(tablets.map(tablet => tablet.close()));
});

test("a tab that crashes right after a tap has lost nothing", async ({ browser }) => {
  const tablet = await browser.newContext({ serviceWorkers: "block" });
  const page = await tablet.newPage();
  await signAs(page, "Noor Adeyi");
  const runId = await cook(page, "Verjus butter sauce", "600 g");
  await begin(page);
  const system = await browser.newBrowserCDPSession();
  const { processInfo } = await system.send("SystemInfo.getProcessInfo");
  // Opened before the crash, in a process of its own: a driver gets no new page after one.
  const again = await tablet.newPage();
  await page.bringToFront();
  await page.route("**/api/runs/**", route => route.abort());
  await logReading(page, "note", "before the crash");
  const crashed = page.waitForEvent("crash");
  // The tab that has worked is the one that has reckoned most.
  const [tab] = processInfo.filter(p => p.type === "renderer").sort((a, b) => b.cpuTime - a.cpuTime);
  process.kill(tab?.id ?? NaN, "SIGKILL");
  await crashed;
  await again.goto(`/stove/${runId}`);
  await expect(again.getByText("“before the crash”")).toHaveCount(1);
  await expect(again.getByText("all readings kept")).toBeVisible({ timeout: 30_000 });
  await tablet.close();
});

test("a price that waited for the network arrives though its page was closed", async ({ browser }) => {
  const tablet = await browser.newContext();
  const page = await tablet.newPage();
  await signAs(page, "Noor Adeyi");
  await page.goto("/larder/verjus");
  await page.getByRole("textbox", { name: "per kg" }).fill("7.35");
  await page.getByRole("textbox", { name: "from (day)" }).fill("2026-11-20");
  await tablet.setOffline(true);
  await page.getByRole("button", { name: "Note this price" }).click();
  await expect(page.getByText(/It goes on as soon as there is one/)).toBeVisible();
  await page.close();
  await tablet.setOffline(false);
  const again = await tablet.newPage();
  await again.goto("/");
  await expect(again.getByText(/^Larder: what waited since .* is kept now/)).toBeVisible({ timeout: 30_000 });
  await again.goto("/larder/verjus");
  await expect(again.getByText(/7\.35/).first()).toBeVisible();
  await tablet.close();
});
