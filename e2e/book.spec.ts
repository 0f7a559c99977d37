import { expect, test } from "@playwright/test";
import { openFormula, setBase, signAs } from "./kitchen";

test("a cook cannot sign; the chef signs, changes it, and the old card says that it is out of date", async ({
  page,
}) => {
  await signAs(page, "Noor Adeyi");
  await openFormula(page, "Walnut-oil mayonnaise");
  await page.getByRole("link", { name: "Card, print" }).click();
  const place = page.getByRole("region", { name: "What it is" });
  await expect(page).toHaveURL(/\/book\//);
  await expect(place).toContainText("A chef signs it.");
  await expect(place.getByRole("button")).toHaveCount(0);
  const old = page.url();

  await signAs(page, "Ilse Varga");
  await page.goto(old);
  await expect(place).toContainText("Signed now it would be signed early");
  await place.getByRole("button", { name: "Make it the standard" }).click();
  await expect(place.getByRole("alert")).toContainText("Signed early it wants a reason");
  await place.getByLabel("why").fill("as it goes with the leeks");
  await place.getByRole("button", { name: "Make it the standard" }).click();
  await expect(page.getByRole("article")).toContainText("signed by Ilse Varga");

  await page.goto("/book");
  await expect(page.getByRole("link", { name: /^Walnut-oil mayonnaise/ })).toContainText("standard");
  await openFormula(page, "Walnut-oil mayonnaise");
  await setBase(page, "90 g");
  // What is edited now is another version, with a card of its own.
  await page.getByRole("link", { name: "Card, print" }).click();
  await expect(page).toHaveURL(/\/book\//);
  await expect(page).not.toHaveURL(old);
  await expect(page.getByRole("status").filter({ hasText: "Not the standard" })).toBeVisible();
  await place.getByLabel("why").fill("for two more covers");
  await place.getByRole("button", { name: "Make it the standard" }).click();
  await expect(page.getByRole("article")).toContainText("signed by Ilse Varga");
  await page.goto(old);
  await expect(page.getByRole("status").filter({ hasText: "Out of date" })).toBeVisible();
});
