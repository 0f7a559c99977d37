import { type Page, expect, test } from "@playwright/test";
import { openFormula, reads, saved, signAs } from "./kitchen";

const panel = async (page: Page, name: string) => {
  await page
    .getByRole("group", { name: "The whole formula" })
    .getByRole("button", { name, exact: true })
    .click();
  return page.getByRole("region", { name, exact: true });
};

test("a cider pan sauce from the template: another school, 0.85 % salt, from 24 to 84 covers", async ({
  page,
}) => {
  await signAs(page);
  await page.goto("/bench");
  await page.getByRole("link", { name: "New formula" }).click();
  await page.getByRole("link", { name: /^Pan sauce/ }).click();
  await expect(page.getByRole("radio", { name: /^cider/ })).toBeChecked();
  await page.getByLabel("name of the formula").fill("Cider sauce, trial");
  await expect(page.getByRole("region", { name: "What comes out" })).toContainText("dry cider");
  await page.getByRole("button", { name: "Put it on the Bench" }).click();
  await expect(page.getByRole("textbox", { name: "Name of the formula" })).toHaveValue("Cider sauce, trial");
  await expect(page.getByRole("region", { name: "Formula" }).getByText(/±|–\d/).first()).toBeVisible();

  // Another school: the liquid goes by half, not almost dry.
  const line = page.getByRole("region", { name: "The line" });
  await expect(line.getByRole("button", { name: /Reduce by 85 %/ })).toBeVisible();
  const schools = await panel(page, "Schools");
  await schools.getByRole("radio", { name: /^by half/ }).check();
  await expect(line.getByRole("button", { name: /Reduce by half/ })).toBeVisible();
  await saved(page);

  // Backwards: 0.85 % salt.
  const aim = await panel(page, "Aim");
  await aim.getByLabel("salt", { exact: true }).fill("0.85 %");
  await aim.getByLabel("salt", { exact: true }).blur();
  await aim.getByRole("button", { name: "Work backwards" }).click();
  await expect(aim.getByRole("status")).toContainText("✓ salt 0.85 %");
  await aim.getByRole("button", { name: "Take these amounts" }).click();
  await saved(page);
  const salt = await panel(page, "Salt");
  await expect(salt).toContainText(/0[.,]85/);

  // From 24 to 84 covers of 40 g: what plain multiplication would do stands beside what is right, with the reason.
  const scale = await panel(page, "Scale");
  await scale.getByRole("combobox").first().selectOption({ label: "covers" });
  await scale.getByRole("textbox", { name: "Covers" }).fill("24");
  await scale.getByRole("textbox", { name: "Portion" }).fill("40 g");
  await scale.getByRole("button", { name: "Scale", exact: true }).click();
  await scale.getByRole("button", { name: "Take this size" }).click();
  await saved(page);
  await scale.getByRole("combobox").first().selectOption({ label: "covers" });
  await scale.getByRole("textbox", { name: "Covers" }).fill("84");
  await scale.getByRole("button", { name: "Scale", exact: true }).click();
  const sides = page.getByRole("region", { name: "Side by side" });
  await expect(sides).toBeVisible();
  await reads(sides.getByRole("row").filter({ hasText: "dry cider" })).toMatch(
    /Lift \d pans|fond goes with the floor/,
  );
  await expect(page.getByText(/^× 3[.,]5/)).toBeVisible();
  await expect(sides.getByText("Steps that change")).toBeVisible();
});

test("a dictated recipe: pieces taken one by one, what is unknown is settled", async ({ page }) => {
  await signAs(page, "Noor Adeyi");
  await page.goto("/bench/new/words");
  const words = page.getByRole("textbox").first();
  await expect(page.getByText("The steps stand here as soon as there are words.")).toBeVisible();
  await words.fill(
    [
      "Dictated cider sauce",
      "Sweat 120 g shallots with 400 g mirpoy in a knob of butter.",
      "Deglaze with 500 ml cider, then reduce almost dry.",
      "Add 2 kg bought brown stock and juniper.",
      "Reduce a third.",
      "Strain.",
      "Season with 1 cup salt.",
      "Sing to it.",
    ].join("\n"),
  );
  const read = page.getByRole("region", { name: "What was understood" });
  await expect(page.getByText("mirpoy → mirepoix")).toBeVisible();
  await expect(read.getByRole("heading")).toContainText("7 steps");
  await expect(read.getByText(/Is the amount meant/)).toBeVisible();

  // By or to: one of the two is picked.
  await expect(read.getByText(/by or to\?/)).toBeVisible();
  await read.getByRole("button", { name: "by a third (to two thirds)" }).click();
  await expect(read.getByText(/by or to\?/)).toHaveCount(0);
  await expect(read.getByText("Reduce by a third")).toBeVisible();

  // What was not said is said.
  await read.getByLabel("juniper berries: amount").fill("6 g");
  await read.getByRole("button", { name: "So it is" }).click();
  await expect(read.getByText(/How much juniper/)).toHaveCount(0);
  // Strength that the larder only estimates is told.
  const stock = read.getByRole("listitem").filter({ hasText: "bought brown stock and juniper" });
  await expect(stock).toContainText("only an estimate");
  await stock.getByRole("button", { name: "As taken" }).click();

  // What stands for several things is taken apart, and asked.
  const mirepoix = read.getByRole("listitem").filter({ hasText: "400 g mirpoy" });
  await expect(mirepoix).toContainText(/onion 200.g · carrot 100.g · celery 100.g/);
  await mirepoix.getByRole("button", { name: "As taken" }).click();
  await expect(read.getByText(/What is in/)).toHaveCount(0);

  // The cup of salt is left out, the rest is taken; a reload loses no word.
  await read
    .getByRole("listitem")
    .filter({ hasText: "1 cup salt" })
    .getByRole("button", { name: "Leave out" })
    .click();
  await read.getByRole("button", { name: /Take the \d clear ones/ }).click();
  await expect(read.getByRole("button", { name: "✓ taken" })).toHaveCount(6);
  await expect(read.getByText(/“Sing to it/)).toBeVisible();
  await read.getByRole("button", { name: "Put it on the Bench" }).click();
  await expect(page.getByRole("textbox", { name: "Name of the formula" })).toHaveValue(
    "Dictated cider sauce",
  );
  await expect(page.getByRole("region", { name: "The line" })).toContainText(/500.g/);
  await expect(page.getByText("Sing to it")).toBeVisible();
});

test("versions: kept with a reason, compared, gone back to", async ({ page }) => {
  await signAs(page, "Ilse Varga");
  await openFormula(page, "Salsify purée");
  await page.getByRole("link", { name: "Versions" }).click();
  await expect(page.getByText("There is one version so far.")).toBeVisible();
  await page.getByLabel(/^keep version 1/).fill("as served in November");
  await page.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(page.getByText("“as served in November”").first()).toBeVisible();
  await page.getByRole("link", { name: "← Bench" }).click();
  await page.getByLabel(/^from /).fill("3.3 kg");
  await saved(page);
  await page.getByRole("link", { name: "Versions" }).click();
  await expect(page.getByRole("heading", { name: "From version 1 to 2" })).toBeVisible();
  const changed = page.getByRole("region", { name: "What changed" });
  await expect(changed).toContainText(/3[.,]30.kg/);
  await expect(changed.getByRole("row").filter({ hasText: "yield" }).first()).toContainText(/[+−]/);
  await page.getByRole("button", { name: "Go on from 1 …" }).click();
  await page.getByLabel("because", { exact: true }).fill("the larger batch did not fit the sieve");
  await page.getByRole("button", { name: "Put it back" }).click();
  await expect(page.getByLabel(/^from /)).not.toHaveValue(/3[.,]30/);
  await expect(page.getByText(/version 3/)).toBeVisible();
});

test("formulas go out as files and come in again without doing harm", async ({ page }) => {
  await signAs(page);
  await page.goto("/bench");
  const download = page.waitForEvent("download");
  await page.getByRole("link", { name: "Take all away" }).click();
  const file = await (await download).path();
  await page.goto("/bench/new/file");
  await page.getByLabel("A file").setInputFiles(file);
  await page.getByRole("button", { name: "Look it over" }).click();
  await expect(page.getByText("✓ Everything in it is here already.")).toBeVisible();
  await page.goto("/bench/new/file");
  await page.getByLabel("or pasted here").fill('{"half": ');
  await page.getByRole("button", { name: "Look it over" }).click();
  await expect(page.getByRole("alert")).toContainText("not whole JSON");
  for (const [ending, words] of [
    ["md", "# Buckwheat brown gravy"],
    ["csv", "buckwheat flour"],
    ["jsonld", '"@type": "Recipe"'],
  ] as const) {
    const one = await page.request.get(`/api/formulas/buckwheat-brown-gravy.${ending}`);
    expect(await one.text()).toContain(words);
  }
  expect((await page.request.get("/api/formulas/buckwheat-brown-gravy.docx")).status()).toBe(404);
});

test("same method, other main ingredient: what cannot be known is asked", async ({ page }) => {
  await signAs(page);
  await page.goto("/bench/langoustine-bisque/other-main");
  await page.getByLabel("in place of").selectOption({ label: "langoustine shells" });
  await page.getByLabel("take", { exact: true }).fill("prawn shells");
  const out = page.getByRole("region", { name: "What comes out" });
  await expect(out).toContainText("prawn shells");
  await expect(out.getByText(/How long with prawn shells/).first()).toBeVisible();
  await page.getByLabel("name of the new formula").fill("Prawn bisque");
  await page.getByRole("button", { name: "Put it on the Bench" }).click();
  await expect(page.getByRole("textbox", { name: "Name of the formula" })).toHaveValue("Prawn bisque");
});

test("each cook's card in each cook's units, and the house's own words", async ({ page }) => {
  await signAs(page, "Noor Adeyi");
  await openFormula(page, "Guinea-fowl glace");
  await page.getByRole("link", { name: "Card, print" }).click();
  const card = page.getByRole("article");
  await expect(card).toContainText(/8[.]000.kg/);
  await page.getByLabel("amounts for me in").selectOption({ label: "pounds and ounces, to ¼ oz" });
  await expect(card).toContainText("17 lb 10¼ oz");
  await page.reload();
  await expect(card).toContainText("17 lb 10¼ oz");
  await page.getByLabel("amounts for me in").selectOption({ label: "grams" });
  await expect(card).toContainText(/8[.]000.kg/);

  await page.goto("/kit");
  await page.getByLabel("Demi-glace, of stock (%)").fill("40");
  await page.getByRole("button", { name: "Keep words and rates" }).click();
  await expect(page.getByText("✓ Kept. New formulas and costs go by it.")).toBeVisible();
  await page.goto("/bench/new/glace");
  await expect(page.getByRole("region", { name: "What comes out" })).toContainText("Reduce to 40 %");
  await page.goto("/kit");
  await page.getByLabel("Demi-glace, of stock (%)").fill("50");
  await page.getByRole("button", { name: "Keep words and rates" }).click();
  await expect(page.getByText("✓ Kept. New formulas and costs go by it.")).toBeVisible();
});
