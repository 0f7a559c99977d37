import { readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import { say, signAs } from "./kitchen";

/** Recipes of the corpus as somebody pastes them: read, taken, put on the Bench. */
const corpus = JSON.parse(readFileSync("core/words/corpus/open.json", "utf8")) as {
  id: string;
  text: string;
}[];
const textOf = (id: string): string => corpus.find(recipe => recipe.id === id)?.text ?? "";

const WIDE = [
  "brown-veal-stock-kettle",
  "cider-shallot-reduction",
  "beurre-blanc-third-try",
  "celeriac-puree-forty",
  "bechamel-stuck-onion",
  "lamb-shanks-jus",
];
const NARROW = [
  "port-red",
  "red-wine-base-twelve",
  "spring-pea-quick",
  "mornay-gratins",
  "duxelles-classic",
  "fricassee-straw-not-gold",
];

for (const [ids, width, height] of [
  [WIDE, 1280, 800],
  [NARROW, 390, 844],
] as const)
  for (const id of ids)
    test(`${id}, pasted at ${width} px, comes to the Bench and to a card`, async ({ page }) => {
      await page.setViewportSize({ width, height });
      await signAs(page, "Noor Adeyi");
      await page.goto("/bench/new/words");
      await expect(page.getByText("The steps stand here as soon as there are words.")).toBeVisible();
      await page.getByRole("textbox").first().fill(textOf(id));
      const read = page.getByRole("region", { name: "What was understood" });
      await expect(read.getByRole("heading")).toContainText(/\d+ steps/);
      await expect(page.getByText("What became of each word")).toBeVisible();
      const take = read.getByRole("button", { name: /^Take(?: as said)?$/ });
      for (let left = await take.count(); left > 0; left = await take.count()) await take.first().click();
      const name = read.getByLabel("name of the formula");
      if (!(await name.inputValue())) await name.fill(id);
      await read.getByRole("button", { name: "Put it on the Bench" }).click();
      await expect(page.getByRole("textbox", { name: "Name of the formula" })).not.toHaveValue("");
      await expect(page.getByRole("region", { name: "The line" })).toBeVisible();
      await page.getByRole("link", { name: "Card, print" }).click();
      await expect(page.getByRole("main").getByRole("listitem").first()).toBeVisible();
    });

test("a thing nobody knows is settled where it stands, and known from then on", async ({ page }) => {
  await signAs(page, "Noor Adeyi");
  await page.goto("/bench/new/words");
  await expect(page.getByText("The steps stand here as soon as there are words.")).toBeVisible();
  const words = page.getByRole("textbox").first();
  await words.fill("Add 300 g moorhen stock and 20 g butter. Reduce by half.");
  const unknown = page.getByRole("group", { name: "What is moorhen stock?" });
  await expect(unknown).toContainText("not in the larder");
  await unknown.getByRole("button", { name: /a new entry/ }).click();
  await expect(unknown).toHaveCount(0);
  await page.goto("/larder?q=moorhen");
  await expect(page.getByRole("link", { name: "moorhen stock" })).toBeVisible();
});

test("a sum is said in pounds and °F, and what was not read is told", async ({ page }) => {
  await signAs(page, "Noor Adeyi");
  await page.goto("/");
  await say(page, "ice 22 lbs 212 F to 40 F purple");
  await expect(page.getByText(/did not read: purple/).first()).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("dialog").getByText("purple")).toBeVisible();
  await expect(page.getByRole("dialog")).toContainText(/kg of ice/);
});
