import { type Page, expect, test } from "@playwright/test";
import { openFormula, saved, signAs } from "./kitchen";

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
