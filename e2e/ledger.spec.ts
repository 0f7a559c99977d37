import AxeBuilder from "@axe-core/playwright";
import { expect, test } from "@playwright/test";
import { openDatabase } from "../data";
import { putToWork } from "../demo/load";
import { signAs } from "./kitchen";

/** Ten weeks of three sauces; on a burner no other test looks at, so that what they teach changes no forecast. */
const SAUCES = ["morel-cream", "smoked-trout-veloute"];

test.beforeAll(async () => {
  const { db, close } = openDatabase(process.env.DATABASE_URL ?? "");
  await putToWork(db, new Date(), run => SAUCES.includes(run.formulaId));
  await close();
});

test("a sauce that drifts is found, its cause is said, and its batch read", async ({ page }) => {
  await signAs(page, "Noor Adeyi");
  await page.goto("/ledger/charts");
  const first = page.getByRole("main").getByRole("listitem").first();
  await expect(first.getByRole("link", { name: "Morel cream" })).toBeVisible();
  await first.getByRole("link", { name: /yield.*drifts/ }).click();
  await expect(page.getByText(/It falls by .* a batch/)).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  const odd = page.getByRole("region", { name: "Out of the ordinary" }).getByRole("listitem");
  const before = await odd.count();
  expect(before).toBeGreaterThan(0);
  await expect(async () => {
    await odd.last().getByRole("textbox").fill("a new sieve");
    await odd.last().getByRole("button", { name: "Note the cause" }).click();
    await expect(page.getByText("◇").first()).toBeVisible({ timeout: 5000 });
  }).toPass();
  await page.getByRole("link", { name: "Its batches" }).click();
  await expect(page).toHaveURL(/\/ledger\?sauce=morel-cream/);
  await expect(page.getByRole("list", { name: /Batches on the rack/ }).getByRole("link")).not.toHaveCount(0);
  await page.getByRole("row").nth(1).getByRole("link").first().click();
  await expect(page.getByRole("heading", { name: /the batch$|Morel cream/ }).first()).toBeVisible();
});

test("the ledger in groups shows whose salt is high, and fits a phone", async ({ page }) => {
  await signAs(page, "Noor Adeyi");
  await page.goto("/ledger?sauce=smoked-trout-veloute&by=cook");
  await expect(page.getByRole("row", { name: /Petr/ })).toContainText(/\+\d/);
  for (const path of ["/ledger", "/ledger/charts", "/ledger/losses", "/tastings"]) {
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(path);
    expect((await new AxeBuilder({ page }).analyze()).violations, path).toEqual([]);
    await page.setViewportSize({ width: 390, height: 844 });
    await expect
      .poll(() => page.evaluate(() => document.documentElement.scrollWidth - innerWidth), { message: path })
      .toBeLessThanOrEqual(0);
  }
});
