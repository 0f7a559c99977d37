import { expect, test } from "@playwright/test";
import { begin, cookThis, done, signAs } from "./kitchen";

/** A sauce in two pans: told in words, drawn on the Bench, both pots on the Stove, the one brought to the other. */
test("cream reduced in a small pan beside the sauce, from the words to the finished pot", async ({
  page,
}) => {
  await signAs(page, "Noor Adeyi");
  await page.goto("/bench/new/words");
  await expect(page.getByText("The steps stand here as soon as there are words.")).toBeVisible();
  await page
    .getByRole("textbox")
    .first()
    .fill(
      "Two-pan cream. Simmer 1 l mushroom and barley stock for 10 minutes. " +
        "Meanwhile reduce 400 ml cream by half in a small pan. Pour the cream into the stock.",
    );
  const read = page.getByRole("region", { name: "What was understood" });
  await expect(read).toContainText("In the small pan: reduce");
  const take = read.getByRole("button", { name: /^Take(?: as said)?$/ });
  for (let left = await take.count(); left > 0; left = await take.count()) await take.first().click();
  await read.getByLabel("name of the formula").fill("Two-pan cream");
  await read.getByRole("button", { name: "Put it on the Bench" }).click();

  const line = page.getByRole("region", { name: "The line" });
  await expect(line.getByText("small pan, beside the main pot")).toBeVisible();
  await expect(line.getByText("Bring in the small pan")).toBeVisible();
  await expect(page.getByRole("button", { name: "Cook this" })).toBeEnabled();
  await cookThis(page);

  // The stock simmers; the pan is begun beside it, and each pot is a tap away from the other.
  await begin(page);
  const others = page.getByRole("navigation", { name: "Other pots" });
  await others.getByRole("link", { name: /small pan/ }).click();
  await expect(page.getByText(/Two-pan cream, small pan · step 2 of 3/)).toBeVisible();
  await begin(page);
  await expect(others.getByRole("link", { name: /Two-pan cream(?!, small)/ })).toBeVisible();
  await done(page);
  await done(page);
  await expect(page.getByRole("heading", { name: "Bring in the small pan" })).toBeVisible();
  await begin(page);
  await done(page);
  await expect(page.getByText("All steps done")).toBeVisible();
});
