import { rmSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { type Page, expect, test } from "@playwright/test";
import { PASSWORD } from "./kitchen";
import { env, place, run } from "./own-kitchen";

test.setTimeout(300_000);

/** Signs in at a kitchen of its own. */
async function signAt(page: Page, url: string, login: string, password: string): Promise<void> {
  const answer = await page.request.post(`${url}/who`, { form: { login, password }, maxRedirects: 0 });
  expect(answer.status()).toBe(302);
}

/** What the list of formulas says of each: its name, its base and what comes out. */
async function outcomes(page: Page, url: string): Promise<string[]> {
  await page.goto(`${url}/bench`);
  await expect(page.getByRole("heading", { level: 1, name: "Bench" })).toBeVisible();
  return page
    .getByRole("main")
    .getByRole("listitem")
    .evaluateAll(rows => rows.map(row => (row.textContent ?? "").replace(/\d+ \w+ 2\d{3}.*$/, "")));
}

test("a kitchen is taken away, comes into an empty house and walks there the same; a backup brings back all of it", async ({
  page,
}) => {
  const home = await place();
  await home.begin();
  await signAt(page, home.url, "ilse", PASSWORD);
  const before = await outcomes(page, home.url);
  expect(before.length).toBeGreaterThan(10);
  const taken = await page.request.get(`${home.url}/kitchen.ndjson`);
  const file = join(home.folder, "taken.ndjson");
  writeFileSync(file, await taken.body());

  // Into an empty house, by its first page.
  const other = await place("--no-demo");
  await other.begin();
  await page.goto(other.url);
  await expect(page.getByRole("heading", { level: 1, name: "A new kitchen" })).toBeVisible();
  const form = page.getByRole("form", { name: "A kitchen that was taken away" });
  const broken = join(home.folder, "broken.ndjson");
  writeFileSync(broken, (await taken.body()).subarray(0, 20_000));
  await form.getByLabel("Its file").setInputFiles(broken);
  await form.getByRole("button", { name: "Look it over" }).click();
  await expect(page.getByRole("alert")).toContainText("cut off or spoiled. Nothing was brought in");
  await form.getByLabel("Its file").setInputFiles(file);
  await form.getByRole("button", { name: "Look it over" }).click();
  await expect(form.getByRole("status")).toContainText("Kelder Pass Station comes in: 18 formulas");
  await form.getByLabel("Its file").setInputFiles(file);
  await form.getByLabel(/A password for its chef/).fill("three copper lids");
  await form.getByLabel(/Bring it in/).check();
  await form.getByRole("button", { name: "Bring it in" }).click();
  await expect(page).toHaveURL(/\/who/);
  await signAt(page, other.url, "ilse", "three copper lids");
  expect(await outcomes(page, other.url)).toEqual(before);
  await other.stop();

  // A backup while it works; the house burns down; all of it comes back, passwords too.
  const kept = join(other.folder, "kept.ndjson.gz");
  const said = await run("./hondaro", ["backup", kept, "--data", home.folder], { env });
  expect(said.stdout).toContain("read back whole");
  expect(statSync(kept).mode & 0o077).toBe(0);
  await home.stop();
  rmSync(home.folder, { recursive: true, force: true });
  const again = await place();
  await run("./hondaro", ["restore", kept, "--data", again.folder], { env });
  await again.begin();
  await signAt(page, again.url, "tomas", PASSWORD);
  expect(await outcomes(page, again.url)).toEqual(before);
  await page.goto(`${again.url}/book?q=fumet&state=standard`);
  await expect(page.getByRole("link", { name: /Trout fumet/ })).toBeVisible();
  await again.stop();
  for (const { folder } of [other, again]) rmSync(folder, { recursive: true, force: true });
});

test("an empty house is founded by its first chef, who signs in from then on", async ({ page }) => {
  const house = await place("--no-demo");
  await house.begin();
  await page.goto(`${house.url}/book`);
  await page.getByLabel("What the kitchen is called").fill("Harbour Lights");
  await page.getByLabel("How high it stands, m").fill("12");
  await page.getByLabel("Your name").fill("Ada Brook");
  await page.getByLabel(/^Your password/).fill("12345678");
  await page.getByRole("button", { name: "Open this kitchen" }).click();
  await expect(page.getByRole("alert")).toContainText("first thing anybody would try");
  await page.getByLabel(/^Your password/).fill("three copper lids");
  await page.getByRole("button", { name: "Open this kitchen" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Kit", exact: true })).toBeVisible();
  await page.goto(`${house.url}/bench/new`);
  await expect(page.getByRole("banner")).toContainText("Harbour Lights");
  await house.stop();
  rmSync(house.folder, { recursive: true, force: true });
});
