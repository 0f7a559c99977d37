import { expect, test } from "@playwright/test";
import { begin, cook, logReading, plain, signAs } from "./kitchen";

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
