import { expect, test } from "@playwright/test";
import { GLACE, STOCK, begin, cook, cookThrough, openFormula, saved, signAs } from "./kitchen";
import { accessible, fits } from "./seen";

test("bench, numbers and sums are accessible", async ({ page }) => {
  test.slow();
  await page.goto("/who");
  await accessible(page, "who");
  await signAs(page);
  await page.goto("/bench");
  await accessible(page, "formulas");
  await openFormula(page, STOCK);
  await accessible(page, "bench");
  await page.getByRole("button", { name: /Brown the/ }).click();
  await accessible(page, "bench, row open");
  await page
    .getByRole("button", { name: /mass in the pot after step/ })
    .first()
    .click();
  await accessible(page, "a number taken apart");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Scale" }).click();
  await accessible(page, "scale");
  await page.keyboard.press("Escape");
  await page.keyboard.press("Control+k");
  await expect(page.getByPlaceholder(/^Go to, do/)).toBeVisible();
  await accessible(page, "palette");
  await page.keyboard.press("Escape");

  await page.keyboard.press("Control+k");
  await page.keyboard.type("ice 8 l 85 to 20");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Ice", exact: true })).toBeVisible();
  await accessible(page, "a quick sum");
  await page.keyboard.press("Escape");
});

test("the sheets of body and balance are accessible, and fit a phone", async ({ page }) => {
  test.slow();
  await signAs(page);
  for (const [formula, sheets] of [
    ["Smoked-trout velouté", ["Binding", "Purée", "Taste", "Fixes"]],
    ["Walnut-oil mayonnaise", ["Emulsion"]],
  ] as const) {
    await openFormula(page, formula);
    for (const sheet of sheets) {
      const bar = page.getByRole("group", { name: "The whole formula" });
      // A sheet that has nothing to say of this formula stands behind "more".
      if (sheet === "Purée") {
        await bar.getByRole("button", { name: "more", exact: true }).click();
        await page.getByRole("button", { name: /^Purée/ }).click();
      } else await bar.getByRole("button", { name: sheet, exact: true }).click();
      if (sheet === "Fixes") await page.getByRole("button", { name: "lumpy" }).click();
      await accessible(page, sheet);
      await page.setViewportSize({ width: 390, height: 800 });
      await fits(page, sheet);
      await page.setViewportSize({ width: 1280, height: 800 });
    }
  }
});

test("screens of formulas, larder and kit are accessible", async ({ page }) => {
  test.slow();
  await signAs(page);
  for (const path of [
    "/bench/new",
    "/bench/new/pan-sauce",
    "/bench/new/words",
    "/bench/new/file",
    "/bench/buckwheat-brown-gravy/other-main",
    "/bench/cider-juniper-pan-sauce/versions",
    "/larder",
    "/larder/cream",
    "/larder/new",
    "/larder/import",
    "/kit",
    "/kit/sauteuse-24",
    "/kit/new",
  ]) {
    await page.goto(path);
    await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
    await accessible(page, path);
  }
});

test("the figures the sums rest on are accessible", async ({ page }) => {
  test.slow();
  await signAs(page);
  await page.goto("/kit/figures");
  await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
  await accessible(page, "/kit/figures");
});

test("stove, range and book are accessible", async ({ page }) => {
  test.slow();
  await signAs(page);
  await cook(page, GLACE, "8 kg", "open-6");
  await begin(page);
  await accessible(page, "stove");
  await page.getByRole("button", { name: "weigh", exact: true }).click();
  await accessible(page, "stove, weighing");
  await page.goto("/");
  await expect(page.getByRole("heading", { level: 1 })).toContainText("On the fire");
  await accessible(page, "range");
  await page.goBack();
  await cookThrough(page);
  await accessible(page, "batch");
  await page.getByRole("link", { name: "The card of this batch" }).click();
  await expect(page.getByRole("article")).toBeVisible();
  await accessible(page, "card");
  await page.goto("/book");
  await accessible(page, "book");
});

test("from 390 to 1600 px nothing is cut off", async ({ page }) => {
  test.slow();
  await signAs(page, "Ilse Varga");
  const run = await cook(page, STOCK, "6 kg", "open-7");
  await page.goto("/book");
  const card = await page.locator("main a[href^='/book/']").first().getAttribute("href");
  for (const path of [
    "/",
    "/bench",
    "/bench/guinea-fowl-brown-stock",
    "/bench/new",
    "/bench/new/pan-sauce",
    "/bench/new/words",
    "/bench/cider-juniper-pan-sauce/versions",
    `/stove/${run}`,
    "/larder",
    "/larder/cream",
    "/larder/import",
    "/kit",
    "/kit/figures",
    "/kit/tall-1",
    "/book",
    card ?? "/book",
    "/me",
    "/people",
    "/people/changes",
    "/ledger/learned",
    "/ledger/trials",
    "/tastings",
  ]) {
    await page.goto(path);
    await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
    for (const [width, height] of [
      [390, 844],
      [768, 1024],
      [1024, 768],
      [1280, 800],
      [1600, 1000],
    ] as const) {
      await page.setViewportSize({ width, height });
      await fits(page, `${path} at ${width}`);
    }
  }
  // Wet fingers: the Stove's buttons are at least 56 px.
  await page.setViewportSize({ width: 1024, height: 768 });
  await page.goto(`/stove/${run}`);
  for (const button of await page.getByRole("main").getByRole("button").all()) {
    const box = await button.boundingBox();
    expect(box?.height ?? 0).toBeGreaterThanOrEqual(56);
  }
});

test("who is cooking can be said without any script", async ({ browser, baseURL }) => {
  const page = await browser.newPage({ javaScriptEnabled: false, ...(baseURL && { baseURL }) });
  await page.goto("/who?to=/book");
  await page.getByRole("button", { name: "Petr Lind" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Book" })).toBeVisible();
  await expect(page.getByRole("link", { name: "Petr", exact: true })).toBeVisible();
  await page.close();
});

test("no script of this page breaks its own rules", async ({ page }) => {
  const complaints: string[] = [];
  page.on("console", message => {
    if (message.type() === "error") complaints.push(message.text());
  });
  page.on("pageerror", error => complaints.push(error.message));
  await signAs(page);
  await openFormula(page, STOCK);
  await page.getByLabel(/^from /).fill("7 kg");
  await saved(page);
  await page.goto("/");
  await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
  expect(complaints).toEqual([]);
});
