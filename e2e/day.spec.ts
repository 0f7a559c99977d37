import { type Page, expect, test } from "@playwright/test";
import { database, findDay } from "../data";
import { KITCHEN_ID } from "../demo/kitchen";
import { nextSaturday, planSaturday } from "../demo/saturday";
import { allKept, begin, cook, signAs } from "./kitchen";
import { accessible, fits } from "./seen";

/** Saturday at Kelder Pass Station: seven sauces, 64 covers. */

test.beforeAll(async () => {
  const connection = database();
  const now = new Date();
  // Another worker may have planned it before.
  const { menu } = await findDay(connection.db, KITCHEN_ID, nextSaturday(now));
  if (!menu.length) await planSaturday(connection.db, now);
  await connection.close();
});

const chosen = (page: Page) => page.getByRole("region", { name: "The chosen job" });
const openSaturday = async (page: Page): Promise<string> => {
  await page.goto(`/day/${nextSaturday(new Date())}`);
  await expect(page.getByRole("heading", { level: 1, name: /^Saturday/ })).toBeVisible();
  return new URL(page.url()).pathname;
};

test("a Saturday is planned, its clash is solved, a burner is taken away and the plan says why", async ({
  page,
}) => {
  await signAs(page, "Noor Adeyi");
  await openSaturday(page);
  await expect(page.getByRole("region", { name: "Menu" }).getByRole("listitem")).not.toHaveCount(0);

  // One job was put where it cannot stay: it is told, and let go.
  const settled = page.getByRole("region", { name: "Limits that are broken" });
  await expect(settled).toContainText("Verjus butter sauce");
  await page
    .getByRole("button", { name: /^Verjus butter sauce, .*breaks a limit/ })
    .first()
    .click();
  await chosen(page).getByRole("button", { name: "Let it find its own time" }).click();
  await expect(settled).toHaveCount(0);
  await expect(page.getByRole("status").filter({ hasText: "It fits" })).toBeVisible();

  // Why a job is when it is stands with it.
  await page
    .getByRole("button", { name: /^Smoked-trout velouté, / })
    .first()
    .click();
  await expect(chosen(page)).toContainText(/because|wanted/);

  // Moved with the keyboard it stays there, and the others go around it.
  const pot = page.getByRole("button", { name: /^Salsify purée, / }).first();
  const before = await pot.getAttribute("aria-label");
  await pot.press("ArrowUp");
  await expect(page.getByRole("button", { name: /^Salsify purée, .*locked/ }).first()).toBeVisible();
  expect(
    await page
      .getByRole("button", { name: /^Salsify purée, / })
      .first()
      .getAttribute("aria-label"),
  ).not.toBe(before);

  // Half of the fire is gone: the sheet still says what is possible.
  const gear = page.locator("details").filter({ hasText: "Service, hands and gear" });
  await gear.locator("summary").click();
  for (const n of [1, 2, 3, 4, 5, 6, 7]) await gear.getByLabel(`Burner ${n}`, { exact: true }).uncheck();
  await gear.getByRole("button", { name: "Plan with this" }).click();
  await expect(page.getByRole("button", { name: /^Smoked-trout velouté, / }).first()).toBeVisible();
  await expect(page.getByText("Burner 7").first()).toHaveCount(1);
});

test("a pot that is put on moves the plan: it stands where it cooks, and leads to its Stove", async ({
  page,
}) => {
  await signAs(page, "Tomas Reyhl");
  // Tomorrow: what is on the fire today is in its plan, whatever the hour.
  const tomorrow = new Date(Date.now() + 24 * 3600_000).toISOString().slice(0, 10);
  await page.goto(`/day/${tomorrow}`);
  const menu = page.getByRole("region", { name: "Menu" });
  await expect(async () => {
    if (!(await menu.getByLabel("covers").isVisible()))
      await menu.getByRole("button", { name: "Another sauce" }).click();
    await expect(menu.getByLabel("covers")).toBeVisible({ timeout: 1000 });
  }).toPass();
  await menu.getByLabel("Sauce").selectOption({ label: "Mushroom and barley stock" });
  await menu.getByLabel("covers").fill("20");
  await menu.getByRole("button", { name: "Put on" }).click();
  const pot = page.getByRole("button", { name: /^Mushroom and barley stock, / }).first();
  await expect(pot).toBeVisible();
  const planned = await pot.getAttribute("aria-label");
  await cook(page, "Mushroom and barley stock", "2 kg");
  await begin(page);
  await allKept(page);
  await page.goto(`/day/${tomorrow}`);
  await expect(pot).toBeVisible();
  expect(await pot.getAttribute("aria-label")).not.toBe(planned);
  await pot.click();
  await expect(chosen(page).getByRole("link", { name: "On the fire: to its Stove" })).toBeVisible();
});

test("what is ticked without a network is ticked when it is back, also after a reload", async ({
  browser,
}) => {
  const phone = await browser.newContext({ viewport: { width: 390, height: 780 } });
  const page = await phone.newPage();
  await signAs(page, "Tomas Reyhl");
  const day = await openSaturday(page);
  await page.goto(`${day}/lists`);
  const buy = page.getByRole("region", { name: "To buy" });
  const item = buy.getByRole("checkbox").nth(3);
  await expect(item).not.toBeChecked();
  // The page is alive once it answers.
  const left = page.getByLabel("only what is left");
  const bought = buy.getByText("salsify", { exact: true });
  await expect(async () => {
    await left.check();
    await expect(bought).toHaveCount(0, { timeout: 1000 });
  }).toPass();
  await left.uncheck();
  await phone.setOffline(true);
  await item.click();
  await expect(buy.getByText("being kept")).toBeVisible();
  // The tab is closed with the tick in hand; another one of this phone brings it.
  await page.close();
  await phone.setOffline(false);
  const again = await phone.newPage();
  await again.goto("/");
  await expect(async () => {
    await again.goto(`${day}/lists`);
    await expect(again.getByRole("region", { name: "To buy" }).getByRole("checkbox").nth(3)).toBeChecked({
      timeout: 2000,
    });
  }).toPass({ timeout: 40_000 });
  await phone.close();
});

test("a cooling that misses its first gate says so, with what was done, and stays as it was signed", async ({
  page,
}) => {
  await signAs(page, "Petr Lind");
  await page.goto("/cold");
  await page.getByRole("link", { name: /Mushroom and barley stock.*cooling/ }).click();
  await expect(page.getByRole("status")).toContainText("Outside the limits");
  await expect(page.getByText(/57 to 21 °C.*took 2 h/)).toBeVisible();

  await page.goto("/cold");
  const logs = page.getByRole("region", { name: "Logs" });
  await logs.getByText("Begin a log").click();
  await logs.getByLabel("what it is").fill("Brown stock, tall pot");
  await logs.getByLabel("grams").fill("12000");
  await logs.getByLabel("in what").selectOption("tall-1");
  await expect(async () => {
    await logs.getByRole("button", { name: "Begin" }).click({ timeout: 1000 });
    await expect(page.getByRole("heading", { level: 1, name: "Brown stock, tall pot" })).toBeVisible({
      timeout: 3000,
    });
  }).toPass();
  await page.getByLabel("probe, °C").fill("79");
  await page.getByRole("button", { name: "Log it" }).click();
  await expect(page.getByRole("region", { name: "What was entered" })).toContainText("79");
  await page.getByLabel("what was done about it").fill("Into two inserts");
  await page.getByRole("button", { name: "Write it down" }).click();
  await page.getByRole("button", { name: "Sign and close" }).click();
  await expect(page.getByText("Signed. From here on")).toBeVisible();
  await expect(page.getByRole("button", { name: "Log it" })).toHaveCount(0);
});

test("service: three ladles left are covers left, and a calendar takes the plan", async ({ page }) => {
  await signAs(page, "Noor Adeyi");
  const day = await openSaturday(page);
  await page.goto(`${day}/service`);
  const sauce = page.getByRole("listitem").filter({ hasText: "Verjus butter sauce" });
  await sauce.getByLabel("What is left").fill("105");
  await sauce.getByRole("button", { name: "Note" }).click();
  await expect(sauce).toContainText("3 covers");
  const file = await page.request.get(`${day}/plan.ics`);
  expect(await file.text()).toMatch(/^BEGIN:VCALENDAR[\s\S]*SUMMARY:Service/);
});

test("the screens of a day are accessible, and fit a phone", async ({ page }) => {
  test.slow();
  await signAs(page, "Ilse Varga");
  const day = await openSaturday(page);
  for (const path of [day, `${day}/lists`, `${day}/service`, `${day}/hand-over`, `${day}/paper`, "/cold"]) {
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(path);
    await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
    await accessible(page, path);
    for (const width of [390, 768]) {
      await page.setViewportSize({ width, height: 844 });
      await fits(page, `${path} at ${width}`);
    }
  }
});
