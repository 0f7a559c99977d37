import AxeBuilder from "@axe-core/playwright";
import { expect, test } from "@playwright/test";
import { signAs } from "./kitchen";

test("three weighings of a lemon wait for the chef; taken, the larder counts with them; reset, they are forgotten", async ({
  page,
}) => {
  await signAs(page, "Petr Lind");
  await page.goto("/larder/lemon-juice");
  const weighed = page.getByRole("region", { name: "Weighed here" });
  await weighed.getByLabel("as bought").fill("12");
  await weighed.getByLabel("counted in").selectOption("per piece");
  await weighed.getByRole("button", { name: "Keep it" }).click();
  await expect(weighed.getByText(/What did it give/)).toBeVisible();
  for (const grams of ["492", "480", "500"]) {
    const before = await weighed.getByRole("listitem").count();
    await weighed.getByLabel("as bought").fill("12");
    await weighed.getByLabel("counted in").selectOption("per piece");
    await weighed.getByLabel("and gave, g").fill(grams);
    await weighed.getByRole("button", { name: "Keep it" }).click();
    await expect(weighed.getByRole("listitem")).toHaveCount(before + 1);
  }
  await page.goto("/ledger/learned");
  const row = page.getByRole("listitem").filter({ hasText: "lemon juice, a lemon" }).first();
  await expect(page.getByRole("region", { name: "Waits for a chef" })).toContainText("lemon juice, a lemon");
  await expect(row.getByRole("button")).toHaveCount(0);

  await signAs(page, "Ilse Varga");
  await page.goto("/ledger/learned");
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await row.getByRole("button", { name: /^Take 40\.9 for lemon juice/ }).click();
  await expect(row).toContainText(/counts, taken/);
  await page.goto("/larder/lemon-juice");
  await expect(page.getByText(/3 readings in this kitchen/)).toBeVisible();
  await page.goto("/ledger/learned");
  await row.getByRole("button", { name: /^Reset/ }).click();
  await expect(row).toHaveCount(0);
});

test("two versions of a sauce are set against each other, and the better one is taken up", async ({
  page,
}) => {
  await signAs(page, "Ilse Varga");
  await page.goto("/ledger/trials");
  await page.getByLabel("sauce").selectOption({ label: "Cider and juniper pan sauce" });
  await page.getByRole("button", { name: "Its versions" }).click();
  const setUp = page.getByRole("region", { name: "Set a trial up" });
  await setUp.getByRole("checkbox").first().check();
  await setUp.getByLabel("the one thing that differs").fill("butter 60 or 30 g a litre");
  await setUp.getByLabel("called").fill("Cider, less butter");
  await setUp.getByRole("button", { name: "Set it up" }).click();
  await expect(setUp.getByText(/at least two versions/)).toBeVisible();
  await expect(setUp.getByLabel("called")).toHaveValue("Cider, less butter");
  await setUp.getByRole("checkbox").last().check();
  await setUp.getByRole("button", { name: "Set it up" }).click();
  await expect(page.getByRole("heading", { name: "Cider, less butter" })).toBeVisible();
  await expect(page.getByText(/things differ. What is found may come of any of them/)).toBeVisible();
  await expect(page.getByRole("row", { name: /^yield/ })).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await page.getByRole("button", { name: "Write it down" }).click();
  await expect(page.getByText(/Say what was decided and why/)).toBeVisible();
  await page.getByRole("radio", { name: /^A, version/ }).check();
  await page.getByLabel("what, and why").fill("less butter, cleaner; nobody missed it");
  await page.getByRole("button", { name: "Write it down" }).click();
  await expect(page).toHaveURL(/\/bench\/cider-juniper-pan-sauce/);
  await page.goto("/ledger/trials");
  await expect(page.getByText("less butter, cleaner; nobody missed it")).toBeVisible();
});
