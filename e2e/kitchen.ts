import { type Locator, type Page, expect } from "@playwright/test";

/** What a cook does on many screens. */
export const STOCK = "Guinea-fowl brown stock";
export const GLACE = "Guinea-fowl glace";

/** Figures are set with special spaces; tests read them plain. */
export const plain = (text: string): string => text.replace(/[\u00a0\u202f]/g, " ");

/** How the demo’s people sign in. */
export const PASSWORD = "kelder-pass";

/** Signs in; the first batch goes through the page itself. */
export async function signAs(page: Page, name = "Tomas Reyhl"): Promise<void> {
  const login = name.split(" ")[0]?.toLowerCase() ?? "";
  const answer = await page.request.post("/who", { form: { login, password: PASSWORD }, maxRedirects: 0 });
  expect(answer.status()).toBe(302);
}

export async function openFormula(page: Page, name: string): Promise<void> {
  await page.goto(`/bench?q=${encodeURIComponent(name)}`);
  await page.getByRole("main").getByRole("link", { name }).click();
  await expect(page.getByRole("heading", { level: 1, name })).toBeVisible();
  // The page is alive once the worker has sent its first intervals.
  await expect(page.getByRole("region", { name: "Formula" }).getByText(/±|–\d/).first()).toBeVisible();
}

/** What stands there in plain words, asked until it holds: the page follows the keys after a moment. */
export const reads = (at: Locator) =>
  expect.poll(async () => plain(await at.innerText()).replace(/\s+/g, " "));

/** Leaves the field, so that all of the page follows it, and waits until the formula is saved. */
export async function saved(page: Page): Promise<void> {
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await expect(page.getByRole("status").filter({ hasText: "✓ saved" })).toBeVisible();
}

/** Sets the base and waits until the formula is saved. */
export async function setBase(page: Page, typed: string): Promise<void> {
  await page.getByLabel(/^from /).fill(typed);
  await saved(page);
}

/** Puts it on the fire, also where another pot cooks on that burner: that is said once. */
export async function cookThis(page: Page): Promise<void> {
  await page.getByRole("button", { name: "Cook this" }).click();
  await standsOnFire(page);
  await allReady(page);
}

/** It was sent to the fire and stands there, if need be beside what cooks there. */
export async function standsOnFire(page: Page): Promise<void> {
  const cooking = page.getByText(/step 1 of/);
  const taken = page.getByRole("alert").filter({ hasText: "press again to put this beside it" });
  await expect(cooking.or(taken)).toBeVisible();
  if (await taken.isVisible()) await page.getByRole("button", { name: "Cook this" }).click();
  await expect(cooking).toBeVisible();
}

/** What must stand ready before the first step stands ready. */
export async function allReady(page: Page): Promise<void> {
  const ready = page.getByRole("button", { name: "Everything stands ready" });
  await expect(async () => {
    if (await ready.isVisible()) await ready.click();
    await expect(ready).toHaveCount(0, { timeout: 1000 });
  }).toPass();
}

/** Ticks off what a step asks for before it begins or ends. */
async function tickOff(page: Page): Promise<void> {
  const open = page.getByRole("list", { name: "To tick off" }).getByRole("button");
  for (let left = await open.count(); left > 0; left--) {
    await open.first().click();
    await expect(open).toHaveCount(left - 1);
  }
}

/** Cooks a formula at a size and returns the id of the run. */
export async function cook(page: Page, name: string, base: string, burner?: string): Promise<string> {
  await openFormula(page, name);
  await setBase(page, base);
  if (burner) await page.getByLabel("On which burner").selectOption(burner);
  await cookThis(page);
  return page.url().split("/").at(-1) ?? "";
}

export const begin = (page: Page) => page.getByRole("button", { name: "Begin this step" }).click();
export const done = (page: Page) =>
  page.getByRole("button", { name: /It is there|This step is done/ }).click();

/** Logs a reading through its panel. */
export async function logReading(
  page: Page,
  kind: "weigh" | "dip" | "probe" | "jug" | "note",
  typed: string,
): Promise<void> {
  const field = page.getByRole("form").getByRole("textbox").first();
  // A page just opened may not hear the first press yet.
  await expect(async () => {
    if (!(await field.isVisible())) await page.getByRole("button", { name: kind, exact: true }).click();
    await expect(field).toBeVisible({ timeout: 2000 });
  }).toPass();
  await field.fill(typed);
  await page.getByRole("button", { name: "Log it" }).click();
  await expect(page.getByRole("form")).toHaveCount(0);
}

export const allKept = (page: Page) => expect(page.getByText("all readings kept")).toBeVisible();

/** Begins and ends every step that is left, then finishes the batch. */
export async function cookThrough(page: Page): Promise<void> {
  const finish = page.getByRole("button", { name: "Finish the batch" });
  for (let i = 0; i < 40 && !(await finish.isVisible()); i++) {
    const next = page.getByRole("button", { name: /Begin this step|It is there|This step is done/ });
    await tickOff(page);
    const words = await page.getByRole("main").innerText();
    await next.click();
    await expect.poll(() => page.getByRole("main").innerText()).not.toBe(words);
  }
  await finish.click();
  await expect(page.getByRole("heading", { name: /the batch$/ })).toBeVisible();
}

/** Opens the palette and says a sum. */
export async function say(page: Page, text: string): Promise<void> {
  await expect(async () => {
    await page.keyboard.press("Control+k");
    await expect(page.getByPlaceholder(/^Go to, do/)).toBeVisible({ timeout: 1000 });
  }).toPass();
  await page.keyboard.type(text);
}
