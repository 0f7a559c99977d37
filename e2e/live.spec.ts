import { expect, test } from "@playwright/test";
import { allKept, begin, cook, logReading, plain, signAs } from "./kitchen";

/** What one cook logs stands on every tablet within a moment, with no page read again by hand. */
test("two tablets on one pot: each sees the other’s readings, the Range follows, and a broken network heals", async ({
  browser,
}) => {
  const [one, two, hob] = await Promise.all([
    browser.newContext(),
    browser.newContext(),
    browser.newContext(),
  ]);
  const first = await one.newPage();
  await signAs(first, "Noor Adeyi");
  const runId = await cook(first, "Verjus butter sauce", "600 g");
  const second = await two.newPage();
  await signAs(second, "Tomas Reyhl");
  await second.goto(`/stove/${runId}`);
  const range = await hob.newPage();
  await signAs(range, "Tomas Reyhl");
  await range.goto("/");
  const onHob = range.getByRole("link", { name: /^Verjus butter sauce, .*waits to begin/ });
  await expect(onHob.first()).toBeVisible();

  await begin(first);
  await expect(second.getByRole("button", { name: /It is there|This step is done/ })).toBeVisible({
    timeout: 3000,
  });
  await expect(onHob).toHaveCount(0, { timeout: 3000 });

  await logReading(second, "note", "shallots cut coarser");
  await allKept(second);
  await expect(first.getByText("shallots cut coarser")).toBeVisible({ timeout: 3000 });

  // A timer is of the pot, not of the tablet: set on one, it stands on the other, and is stopped there.
  await second.getByRole("button", { name: "timer", exact: true }).click();
  await second.getByLabel("what for").fill("shallots");
  await second.getByLabel("in, or every").fill("1 min");
  await second.getByRole("button", { name: "Set it" }).click();
  await expect(first.getByRole("list", { name: "Timers" })).toContainText(/shallots.*in 0:5\d/, {
    timeout: 5000,
  });
  await first.getByRole("button", { name: "Stop the timer “shallots”" }).click();
  await expect(second.getByRole("list", { name: "Timers" })).toHaveCount(0, { timeout: 5000 });

  // The first loses the network: what it logs waits, and what the second logs comes later.
  await one.setOffline(true);
  await logReading(first, "note", "written without a network");
  await logReading(second, "note", "written meanwhile");
  await expect(second.getByText("written meanwhile")).toBeVisible();
  await expect(first.getByText(/waiting for the network/)).toBeVisible();
  await one.setOffline(false);
  await expect(second.getByText("written without a network")).toBeVisible({ timeout: 20_000 });
  await expect(first.getByText("written meanwhile")).toBeVisible({ timeout: 20_000 });
  expect(plain(await second.getByRole("main").innerText()).match(/written without a network/g)).toHaveLength(
    1,
  );
  await Promise.all([one.close(), two.close(), hob.close()]);
});
