import { type Page, expect, test } from "@playwright/test";
import { allKept, begin, cook, openFormula, plain, reads, saved, signAs } from "./kitchen";

const panel = async (page: Page, name: string) => {
  await page
    .getByRole("group", { name: "The whole formula" })
    .getByRole("button", { name, exact: true })
    .click();
  return page.getByRole("region", { name, exact: true });
};
const type = async (field: ReturnType<Page["getByLabel"]>, text: string) => {
  await field.fill(text);
  await field.blur();
};

test("walnut-oil mayonnaise for 2 kg: the oil is raised until it warns, it splits, and is taken up again", async ({
  page,
}) => {
  await signAs(page, "Noor Adeyi");
  await openFormula(page, "Walnut-oil mayonnaise");
  const scale = await panel(page, "Scale");
  await scale.getByRole("combobox").first().selectOption({ label: "it must give, by weight" });
  await type(scale.getByRole("textbox").first(), "2 kg");
  await scale.getByRole("button", { name: "Scale", exact: true }).click();
  await scale.getByRole("button", { name: "Take this size" }).click();
  await saved(page);

  const emulsion = await panel(page, "Emulsion");
  await expect(emulsion.getByText(/risk (low|moderate)/)).toBeVisible();
  const oil = emulsion.getByLabel("oil", { exact: true });
  await type(oil, "2400 g");
  await expect(emulsion.getByText(/risk (high|do not start)/)).toBeVisible();
  await expect(emulsion.getByText(/too much oil for the water: add \d+ g water/)).toBeVisible();
  await type(oil, "9000 g");
  await expect(emulsion.getByRole("alert")).toContainText(/above 90 % no water is left/);
  await expect(emulsion.getByRole("alert")).toContainText(/take at most/);
  await type(oil, "1800 g");
  const egg = emulsion.getByRole("group", { name: "Egg" });
  await expect(egg).toContainText(/Raw egg.*raw egg – not for vulnerable guests.*kept 1 day/);
  await egg.getByRole("radio", { name: "pasteurised" }).check();
  await expect(egg).toContainText(/pasteurised egg.*kept 3 days/);
  await expect(page.getByRole("complementary", { name: "The pot" })).toContainText(
    /For guests\s*pasteurised egg/,
  );
  await egg.getByRole("radio", { name: "raw" }).check();
  await expect(page.getByRole("complementary", { name: "The pot" })).toContainText("raw egg");
  const blend = emulsion.getByRole("group", { name: "Taste of the oil" });
  await type(blend.getByLabel("neutral part"), "85 %");
  await reads(blend).toMatch(/1 ?530 g neutral, 270 g with taste/);

  await emulsion.getByRole("button", { name: "It has split", exact: true }).click();
  const rescue = emulsion.getByRole("region", { name: "Rescue" });
  await expect(rescue).toContainText(/A clean bowl: \d+ g water/);
  await expect(rescue).toContainText(/broken sauce in/);
  await expect(rescue).not.toContainText("a new yolk");
  await emulsion.getByRole("button", { name: "It has split again" }).click();
  await expect(rescue).toContainText("a new yolk");
  await emulsion.getByRole("button", { name: "Take this much oil" }).click();
  await saved(page);
});

test("velouté at medium thickness: with wheat, and with starch that has none", async ({ page }) => {
  await signAs(page, "Ilse Varga");
  await openFormula(page, "Smoked-trout velouté");
  const binding = await panel(page, "Binding");
  await expect(binding.getByText(/^body/).first()).toContainText(/nappe|coat/);
  const wanted = binding.getByRole("slider", { name: "Body wanted" });
  await wanted.fill("52");
  await expect(binding.getByText(/wanted/).first()).toBeVisible();
  const roux = binding.getByRole("row").filter({ hasText: /^Roux/ });
  await expect(roux).toContainText("brings gluten");
  await expect(roux).toContainText("wheat flour");
  const corn = binding.getByRole("row").filter({ hasText: "Corn starch slurry" });
  await expect(corn).toContainText("no gluten of its own");
  await expect(corn).not.toContainText("gluten-free");
  const grams = async (row: typeof roux) => Number(/(\d+) g/.exec(plain(await row.innerText()))?.[1]);
  await expect.poll(async () => (await grams(roux)) / (await grams(corn))).toBeGreaterThan(1.7);
  await corn.getByRole("button").click();
  await saved(page);
  await expect(page.getByRole("region", { name: "The line" })).toContainText("Bind with slurry");
  await expect(binding.getByText(/It stands where it is wanted|loosen with/).first()).toBeVisible();
  await page.keyboard.press("Escape");
  await page.getByRole("complementary", { name: "The pot" }).getByRole("button", { name: /^Body/ }).click();
  await expect(page.getByRole("dialog")).toContainText("starch, as flour");
});

test("salsify purée from 5 kg as bought: what is left, how it sits, and no blade for potato", async ({
  page,
}) => {
  await signAs(page);
  await openFormula(page, "Salsify purée");
  const puree = await panel(page, "Purée");
  await expect(puree.getByLabel("vegetable")).toHaveValue("salsify");
  await type(puree.getByLabel("as bought"), "5 kg");
  await expect(puree).toContainText(/trimmed/);
  await reads(puree).toMatch(/trimmed 56 % left ?2 800 g/);
  await expect(puree).toContainText(/what makes it stand/);
  await puree.getByLabel("moistened with").selectOption("cream");
  await expect(puree).toContainText(/For body 72/);
  await expect(puree).toContainText(/Hot liquid lifts the lid/);
  await puree.getByLabel("vegetable").selectOption("potato");
  await expect(puree).toContainText("no blade");
  await expect(puree).not.toContainText("Hot liquid lifts the lid");
});

test("a pan sauce at 1.6 % salt is brought to 1.0 %, on the Bench and at the Stove", async ({ page }) => {
  await signAs(page);
  await openFormula(page, "Cider and juniper pan sauce");
  const aim = await panel(page, "Aim");
  await type(aim.getByLabel("salt", { exact: true }), "1.6 %");
  await aim.getByRole("button", { name: "Work backwards" }).click();
  await aim.getByRole("button", { name: "Take these amounts" }).click();
  await saved(page);
  const fixes = await panel(page, "Fixes");
  await fixes.getByRole("button", { name: "too salty" }).click();
  await type(fixes.getByLabel("salt wanted"), "1.0 %");
  const card = fixes.getByRole("listitem").filter({ hasText: "stretch with water" });
  await expect(card).toContainText(/1[.,]60 % → 1[.,]00 %/);
  await expect(fixes.getByRole("listitem").filter({ hasText: "exchange a part" })).toContainText(
    "the amount stays",
  );
  await fixes.getByRole("button", { name: "bitter" }).click();
  const cream = fixes.getByRole("listitem").filter({ hasText: "a little cream or butter" });
  await expect(cream).toContainText(/Costs 0[.,]\d\d EUR · brings milk/);
  await fixes.getByRole("button", { name: "greasy" }).click();
  await expect(fixes.getByText(/fat|greasy/).first()).toBeVisible();

  const taste = await panel(page, "Taste");
  await expect(taste).toContainText("half of a dose first");
  await expect(taste).toContainText("black pepper");
  const glaze = taste.getByRole("group", { name: "A salty condiment, boiled down" });
  await expect(glaze).toContainText(/▲ 10[.,]6 % salt: 1[.,]27 g in one serving/);
  await type(glaze.getByLabel("down to"), "900 g");
  await expect(glaze.getByRole("alert")).toContainText(/240/);

  await cook(page, "Smoked-trout velouté", "3 kg");
  await begin(page);
  await allKept(page);
  await page.getByRole("button", { name: "mend", exact: true }).click();
  const sheet = page.getByRole("dialog");
  await sheet.getByRole("button", { name: "lumpy" }).click();
  await expect(sheet).toContainText("pass it");
  await sheet.getByRole("button", { name: "Back to the pot" }).click();
  await expect(page.getByRole("button", { name: /This step is done|It is there/ })).toBeVisible();
});

test("three plates read in this kitchen put its veloutés right; one is taken back", async ({ page }) => {
  await signAs(page, "Tomas Reyhl");
  await openFormula(page, "Morel cream");
  const binding = await panel(page, "Binding");
  const read = binding.getByRole("region", { name: "Read it" });
  await expect(read).toContainText("Not yet calibrated: 0 of 3");
  // A reading no plate can give says which test can.
  await read.getByLabel(/radius/).fill("14");
  await expect(read).toContainText("Take the syringe");
  await expect(read.getByRole("button", { name: "Keep this reading" })).toBeDisabled();
  for (const [n, cm] of ["6.1", "6.0", "6.2"].entries()) {
    await read.getByLabel(/radius/).fill(cm);
    await read.getByRole("button", { name: "Keep this reading" }).click();
    await expect(read.getByRole("listitem")).toHaveCount(n + 1);
  }
  await expect(read).toContainText("✓ 3 readings");
  await expect(read).toContainText(/points thicker/);
  await read.getByRole("button", { name: "take back" }).first().click();
  await expect(read).toContainText("Not yet calibrated: 2 of 3");
});

test("a bisque through the flow cup three times: its forecast is another, and says what it counts on", async ({
  page,
}) => {
  await signAs(page, "Tomas Reyhl");
  await openFormula(page, "Langoustine bisque");
  const binding = await panel(page, "Binding");
  const read = binding.getByRole("region", { name: "Read it" });
  await read.getByRole("combobox", { name: "test" }).selectOption({ label: "flow cup" });
  const expected = /should read about ([\d.]+) s/.exec(await read.innerText())?.[1];
  const bodyNow = async () => Number(/body (\d+)/.exec(await binding.innerText())?.[1]);
  const before = await bodyNow();
  expect(before).toBeGreaterThan(0);
  const seconds = String(Math.round(1.6 * Number(expected)));
  for (let n = 1; n <= 3; n++) {
    await read.getByRole("textbox").first().fill(seconds);
    await read.getByRole("button", { name: "Keep this reading" }).click();
    await expect(read.getByRole("listitem")).toHaveCount(n);
  }
  await expect(read).toContainText("✓ 3 readings");
  await expect.poll(bodyNow).toBeGreaterThan(before);
  await expect(page.getByRole("region", { name: "Counts on" })).toContainText("body put right by 3 readings");
});
