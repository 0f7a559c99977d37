import { expect, test } from "@playwright/test";
import { begin, cook, cookThrough, done, plain, signAs } from "./kitchen";

/** An emulsion parts at the stove: it is taken up again dose by dose, and the batch remembers. */
test("a mayonnaise that splits is rescued in guided doses, logged with its outcome, and the batch says so", async ({
  page,
}) => {
  await signAs(page, "Noor Adeyi");
  await cook(page, "Walnut-oil mayonnaise", "400 g");
  const oil = page.getByRole("region", { name: "The oil" });
  for (let n = 0; n < 6; n++) {
    await begin(page);
    if (await oil.isVisible()) break;
    await done(page);
  }
  await expect(oil).toBeVisible();

  await page.getByRole("button", { name: "more", exact: true }).click();
  await page.getByRole("button", { name: /^went wrong/ }).click();
  await page.getByRole("button", { name: "split", exact: true }).click();
  await page.getByRole("button", { name: "Log it" }).click();
  const rescue = page.getByRole("region", { name: "Rescue" });
  await expect(rescue).toContainText(/It has split\. Clean bowl, \d+(\.\d+)? g water/);
  await rescue.getByRole("button", { name: /^Dose 1 of/ }).click();
  await expect(rescue.getByRole("button", { name: /^Dose 2 of/ })).toBeVisible();

  // Once failed: the next try has a new yolk.
  await rescue.getByRole("button", { name: "It parted again" }).click();
  await expect(rescue).toContainText("a new yolk");
  await expect(rescue.getByRole("button", { name: /^Dose 1 of/ })).toBeVisible();
  await rescue.getByRole("button", { name: "It holds again" }).click();
  await expect(rescue).toHaveCount(0);
  const aside = page.getByRole("complementary", { name: "This step" });
  await expect(aside).toContainText("split: taken up onto");
  await expect.poll(async () => plain(await aside.innerText())).toMatch(/g water in/);

  await cookThrough(page);
  await expect(page.getByText("▲ split").first()).toBeVisible();
});
