import { type Page, expect, test } from "@playwright/test";
import { STOCK, plain } from "./kitchen";

/** Tabs on until the wanted thing has the focus. */
async function tabTo(page: Page, what: RegExp): Promise<void> {
  for (let i = 0; i < 120; i++) {
    await page.keyboard.press("Tab");
    const focused = await page.evaluate(() => {
      const at = document.activeElement;
      const label =
        at instanceof HTMLInputElement || at instanceof HTMLSelectElement
          ? (at.labels?.[0]?.textContent ?? "")
          : "";
      return `${at?.getAttribute("aria-label") ?? ""} ${label} ${at?.textContent ?? ""}`;
    });
    if (what.test(plain(focused))) return;
  }
  throw new Error(`Tab never reached ${what}`);
}

test("the whole first batch without a mouse", async ({ page }) => {
  await page.goto("/");
  await tabTo(page, /Noor Adeyi/);
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { level: 1 })).toBeVisible();

  await expect(async () => {
    await page.keyboard.press("Control+k");
    await expect(page.getByPlaceholder(/^Go to, do/)).toBeVisible({ timeout: 1000 });
  }).toPass();
  await page.keyboard.type("brown stock");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { level: 1, name: STOCK })).toBeVisible();
  await tabTo(page, /^ ?\s*from carcasses/);
  await page.keyboard.type("5 kg");
  await expect(page.getByRole("status").filter({ hasText: "✓ saved" })).toBeVisible();

  // Along the line with the arrows; a row opens and closes in place; steps move; undo takes it back.
  await tabTo(page, /Roast the/);
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("Enter");
  await expect(page.locator("[data-step][aria-expanded=true]")).toContainText("Brown the mirepoix");
  await page.keyboard.press("Alt+ArrowDown");
  await expect(page.locator("[data-step]").nth(2)).toContainText("Brown the mirepoix");
  await page.keyboard.press("Control+z");
  await expect(page.locator("[data-step]").nth(1)).toContainText("Brown the mirepoix");
  await page.keyboard.press("Enter");

  await page.keyboard.press("Shift+?");
  await expect(page.getByRole("dialog")).toContainText("grams, ratio to base, per finished litre");
  await page.keyboard.press("Escape");

  await expect(page.getByRole("status").filter({ hasText: "✓ saved" })).toBeVisible();
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await tabTo(page, /Cook this/);
  await page.keyboard.press("Enter");
  await expect(page.getByText(/step 1 of 10/)).toBeVisible();
  // What must stand ready is ticked with one key.
  await expect(async () => {
    await page.keyboard.press("e");
    await expect(page.getByRole("button", { name: "Everything stands ready" })).toHaveCount(0, {
      timeout: 1000,
    });
  }).toPass();

  for (let step = 1; step <= 10; step++) {
    await expect(page.getByText(new RegExp(`step ${step} of 10`))).toBeVisible();
    await page.keyboard.press("Enter");
    await expect(page.getByRole("button", { name: /It is there|This step is done/ })).toBeVisible();
    if (step === 6) {
      await page.keyboard.press("r");
      await page.keyboard.type("17.2 kg");
      await page.keyboard.press("Enter");
      await expect(page.getByText(/weighed 13.080/)).toBeVisible();
    }
    await page.keyboard.press("Enter");
  }
  await expect(page.getByRole("button", { name: "Finish the batch" })).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: /the batch$/ })).toBeVisible();
  await tabTo(page, /The card of this batch/);
  await page.keyboard.press("Enter");
  await expect(page.getByRole("article")).toContainText("5.00");
});
