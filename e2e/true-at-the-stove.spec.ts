import { type Page, expect, test } from "@playwright/test";
import { openFormula, reads, saved, signAs } from "./kitchen";

const lineOf = (page: Page) => page.getByRole("region", { name: "The line" });
const newFormula = async (page: Page, family: RegExp, name: string) => {
  await page.goto("/bench/new");
  await page.getByRole("link", { name: family }).click();
  await page.getByLabel("name of the formula").fill(name);
  await page.getByRole("button", { name: "Put it on the Bench" }).click();
  await expect(page.getByRole("textbox", { name: "Name of the formula" })).toHaveValue(name);
};
const retype = async (page: Page, label: string, text: string) => {
  const field = lineOf(page).getByLabel(label, { exact: true }).last();
  await field.fill(text);
  await field.blur();
};

test("a butter sauce held too hot is stopped: it parts, it has no body, and at 54 °C it stands again", async ({
  page,
}) => {
  await signAs(page, "Noor Adeyi");
  await openFormula(page, "Verjus butter sauce");
  const line = lineOf(page);
  await line.getByRole("button", { name: /Hold at/ }).click();
  await retype(page, "Held at", "65 °C");
  await expect(line.getByText(/the butter in it melts to oil: it holds up to 58/)).toBeVisible();
  await retype(page, "Held at", "54 °C");
  await expect(line.getByText(/melts to oil/)).toHaveCount(0);
  await saved(page);
});

test("legs under fat: the card says when the core is hot and how long it stays there", async ({ page }) => {
  await signAs(page, "Noor Adeyi");
  await newFormula(page, /^Confit/, "Duck confit, trial");
  await expect(lineOf(page).getByText(/core at 60 °C after about/)).toBeVisible();
  await expect(lineOf(page).getByText(/juice under the fat/)).toBeVisible();
  await page
    .getByRole("link", { name: /Card, print/ })
    .or(page.getByRole("button", { name: /Card, print/ }))
    .click();
  await expect(page.getByText(/core at 60 °C after about/).first()).toBeVisible();
});

test("a brown stock kept covered for nine hours: the water to have ready stands on the line", async ({
  page,
}) => {
  await signAs(page, "Noor Adeyi");
  await newFormula(page, /^Brown stock/, "Brown stock, nine hours");
  const line = lineOf(page);
  await line.getByRole("button", { name: /Cover with cold water/ }).click();
  await retype(page, "At least", "0.5");
  await line.getByRole("button", { name: /Simmer, barely moving/ }).click();
  await retype(page, "Time", "9 h");
  await expect(line.getByText(/kept covered: .* of hot water ready/)).toBeVisible();
  await expect(line.getByText(/water, topped up/)).toBeVisible();
});

/** Dictates a formula and puts it on the Bench, every step taken as it was understood. */
const dictated = async (page: Page, name: string, words: string) => {
  await page.goto("/bench/new/words");
  await expect(page.getByText("The steps stand here as soon as there are words.")).toBeVisible();
  await page.getByRole("textbox").first().fill(words);
  await page.getByRole("button", { name: /Take the \d+ clear ones/ }).click();
  await page.getByLabel("name of the formula").fill(name);
  await page.getByRole("button", { name: "Put it on the Bench" }).click();
  await expect(page.getByRole("textbox", { name: "Name of the formula" })).toHaveValue(name);
};
const toTheCard = (page: Page) =>
  page
    .getByRole("link", { name: /Card, print/ })
    .or(page.getByRole("button", { name: /Card, print/ }))
    .click();

test("a cream pan sauce: reduced to nappe, mounted, and on its card; nobody calls it broth", async ({
  page,
}) => {
  await signAs(page, "Noor Adeyi");
  await dictated(
    page,
    "Cream pan sauce",
    "Sweat 40 g shallots in 15 g butter. Deglaze with 100 g dry white wine. Reduce by 85 %. Add 400 g bought brown stock. Reduce by half. Add 300 g cream. Reduce to nappe. Mount with 30 g butter. Season with 3 g salt.",
  );
  const line = lineOf(page);
  await expect(line.getByText(/body 45 on the spoon/)).toBeVisible();
  await expect(line.getByText(/melts to oil/)).toHaveCount(0);
  const reduced = line.getByRole("listitem").filter({ hasText: "Reduce to nappe" });
  await reads(reduced).toMatch(/4[0-9] ± \d+/);
  await toTheCard(page);
  const card = page.getByRole("main");
  await expect(card.getByText(/Reduce to nappe/).first()).toBeVisible();
  await expect(card.getByText(/coats|coat|spoon/).first()).toBeVisible();
});

test("mussels give their liquor to a velouté: two kilograms strain to two thirds of a litre", async ({
  page,
}) => {
  await signAs(page, "Noor Adeyi");
  await dictated(
    page,
    "Mussel velouté",
    "Put 2 kg mussels and 250 g dry white wine into the pot. Simmer 4 minutes. Strain. Thicken with a roux of 30 g butter and 30 g flour, 10 minutes. Add 100 g cream. Reduce to nappe.",
  );
  const line = lineOf(page);
  await reads(line.getByRole("listitem").filter({ hasText: "Strain and let drip" })).toMatch(/0\.6[0-9] l/);
  await expect(line.getByText(/stands \d+ mm above the liquor/)).toHaveCount(0);
  await expect(page.getByText("molluscs")).toBeVisible();
});

test("a soy glaze ends as a syrup, and says how salty it gets", async ({ page }) => {
  await signAs(page, "Noor Adeyi");
  await dictated(page, "Soy glaze", "Add 60 g redcurrant jelly and 51 g soy sauce. Reduce to 60 %. Season.");
  const line = lineOf(page);
  const reduced = line.getByRole("listitem").filter({ hasText: "Reduce" });
  await reads(reduced).toMatch(/1[01]\d °C/);
  await expect(line.getByText(/% salt/).first()).toBeVisible();
  await expect(page.getByText(/Density is modelled/)).toHaveCount(0);
});
