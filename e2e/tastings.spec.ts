import { type Browser, type Page, expect, test } from "@playwright/test";
import AxeBuilder from "@axe-core/playwright";
import { signAs } from "./kitchen";

/** Sets a triangle up and returns its code and the cups of each place, as whoever pours reads them. */
async function setUp(page: Page, name: string): Promise<{ code: string; cups: string[][] }> {
  await page.goto("/tastings");
  const form = page.getByRole("form", { name: "Set a tasting up" });
  await expect(async () => {
    await form.getByLabel("what it is to settle").fill(name);
    await form.getByRole("textbox", { name: "tasters" }).fill("24");
    await form.getByLabel("or called").nth(0).fill("the old one");
    await form.getByLabel("or called").nth(1).fill("the new one");
    await form.getByRole("button", { name: "Set it up" }).click();
    await expect(page).toHaveURL(/\/tastings\/\w+$/, { timeout: 5000 });
  }).toPass();
  await expect(page.getByText(/0 of 24 have answered/)).toBeVisible();
  const code = (await page.locator("p.tracking-widest").innerText()).trim();
  await page.getByText("Who gets which cups, in this order").click();
  const rows = await page.getByRole("list", { name: "Cups" }).getByRole("listitem").allInnerTexts();
  return { code, cups: rows.map(row => row.match(/\d{3} [AB]/g) ?? []) };
}

/** The cup that is there once. */
const oddOf = (cups: readonly string[]): string =>
  cups.find(cup => cups.filter(other => other.at(-1) === cup.at(-1)).length === 1)?.slice(0, 3) ?? "";

/** A phone: its own browser, no account; it knows codes and nothing else. */
async function phone(browser: Browser, code: string, choose: string): Promise<void> {
  const own = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const joined = await own.request.post(`/taste/${code}`, { form: { name: "guest" }, maxRedirects: 0 });
  expect(joined.status()).toBe(302);
  const place = joined.headers().location ?? "";
  const sent = await own.request.post(place, { form: { chosen: choose, words: "" }, maxRedirects: 0 });
  expect(sent.status()).toBe(302);
  await own.close();
}

async function panel(
  page: Page,
  browser: Browser,
  cups: readonly (readonly string[])[],
  code: string,
  right: number,
): Promise<void> {
  for (const [i, own] of cups.entries()) {
    const odd = oddOf(own);
    const wrong = own.map(cup => cup.slice(0, 3)).find(cup => cup !== odd) ?? "";
    if (i > 0) await phone(browser, code, i < right ? odd : wrong);
  }
  await expect(page.getByText(/24 of 24 have answered/)).toBeVisible();
  await page.getByRole("button", { name: "Close it and open the answers" }).click();
}

test("24 phones: a triangle that shows a difference, told in words", async ({ page, browser }) => {
  await signAs(page, "Ilse Varga");
  const { code, cups } = await setUp(page, "Does anybody notice the new cream?");
  // One of them by hand, on a real phone.
  const own = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const guest = await own.newPage();
  await guest.goto("/taste");
  await expect(async () => {
    await guest.getByLabel("the code you were given").fill(code.toLowerCase());
    await guest.getByRole("button", { name: "Go in" }).click();
    await expect(guest.getByRole("button", { name: "Take a place" })).toBeVisible({ timeout: 5000 });
  }).toPass();
  await guest.getByRole("button", { name: "Take a place" }).click();
  await expect(guest.getByRole("heading", { name: /odd one/ })).toBeVisible();
  expect(await guest.getByText(/the old one|the new one/).count()).toBe(0);
  expect((await new AxeBuilder({ page: guest }).analyze()).violations).toEqual([]);
  await guest.getByLabel(oddOf(cups[0] ?? [])).check();
  await guest.getByRole("button", { name: "Send it" }).click();
  await expect(guest.getByRole("heading", { name: "Thank you" })).toBeVisible();
  await own.close();
  await panel(page, browser, cups, code, 15);
  await expect(page.getByText("People can tell them apart: 15 of 24 were right.")).toBeVisible();
  await page.getByLabel("What was decided, and why").fill("The old cream stays.");
  await page.getByRole("button", { name: "Note it" }).click();
  await expect(async () => {
    await page.goto("/tastings");
    await expect(page.getByText("The old cream stays.")).toBeVisible({ timeout: 3000 });
  }).toPass();
});

test("24 phones that do not show it: no proof of sameness, and how many it takes", async ({
  page,
  browser,
}) => {
  await signAs(page, "Ilse Varga");
  const { code, cups } = await setUp(page, "And the new butter?");
  await phone(browser, code, oddOf(cups[0] ?? []));
  await panel(page, browser, cups, code, 9);
  await expect(page.getByText(/That people can tell them apart is not shown: 9 of 24/)).toBeVisible();
  await expect(page.getByText(/That is no proof they are the same/)).toBeVisible();
  await expect(page.getByText(/13 of 24 would have shown it/)).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
});
