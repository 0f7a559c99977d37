import { execFileSync } from "node:child_process";
import { writeFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import {
  GLACE,
  STOCK,
  allKept,
  begin,
  cookThis,
  cookThrough,
  done,
  logReading,
  openFormula,
  plain,
  reads,
  setBase,
} from "./kitchen";

test("a first batch: from the bones on the table to a printed card", async ({ page }, info) => {
  await page.goto("/");
  await page.getByRole("button", { name: "Tomas Reyhl" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText(/Nothing on the fire|On the fire/);

  // Find the stock and set it to what lies on the table.
  await openFormula(page, STOCK);
  await setBase(page, "8.6 kg");
  const line = page.getByRole("region", { name: "The line" });
  const brown = line.getByRole("listitem").filter({ hasText: "Brown the mirepoix" });
  await reads(brown).toContain("onion from 586 g 516 g");
  await reads(brown).toContain("carrot from 315 g 258 g");
  await reads(brown).toContain("celery from 344 g 258 g");
  const cover = line.getByRole("listitem").filter({ hasText: "Cover with cold water" });
  await reads(cover).toMatch(/water.*15 \d{3} g/);
  await expect(page.getByRole("complementary", { name: "The pot" }).getByRole("heading")).toHaveText(
    "Cold insert 30",
  );
  await reads(page.getByRole("region", { name: "Formula" })).toMatch(/gives 13\.\d l (± \d|\d+–\d+)/);

  // Another burner, another time; back again.
  const burner = page.getByLabel("On which burner");
  await burner.selectOption("plate-cool");
  await expect(page.getByRole("region", { name: "Formula" })).not.toContainText(/in8.h.03/);
  await burner.selectOption("plate-hot");

  // The numbers turn their three faces.
  await page.keyboard.press("u");
  await expect(brown).toContainText("6.00 %");
  await page.keyboard.press("u");
  await expect(brown).toContainText("g/l");
  await page.keyboard.press("u");

  // Any number can be taken apart, and what is in it again.
  await page.getByRole("button", { name: /^Yield/ }).click();
  await expect(page.getByRole("dialog")).toContainText("What would sharpen it");
  await page.getByRole("dialog").locator("button.askable").first().click();
  await expect(page.getByRole("dialog")).toContainText("density at 20 °C");
  await page.keyboard.press("Escape");

  // Cook it, with readings.
  await cookThis(page);
  await expect(page.getByRole("heading", { level: 1 })).toHaveText(/Roast the guinea-fowl carcasses/);
  const stockRun = page.url();
  await page.getByRole("button", { name: /guinea-fowl carcasses/ }).click();
  await page.getByRole("form").getByRole("textbox").fill("8590");
  await page.getByRole("button", { name: "Log it" }).click();
  await expect(page.getByRole("button", { name: /guinea-fowl carcasses/ })).toContainText("✓");
  await begin(page);
  await logReading(page, "probe", "196");
  await done(page);
  for (let i = 0; i < 4; i++) {
    await begin(page);
    await done(page);
  }
  await expect(page.getByRole("heading", { level: 1 })).toHaveText(/Simmer/);
  await begin(page);
  await logReading(page, "weigh", "28.6 kg");
  await expect(page.getByText(/weighed 22/)).toBeVisible();
  await expect(page.getByText(/foreseen/).first()).toBeVisible();
  await logReading(page, "dip", "190");
  await logReading(page, "note", "clear, hardly any scum");
  await page.reload();
  await expect(page.getByText("“clear, hardly any scum”")).toBeVisible();
  await done(page);
  await begin(page);
  await done(page);
  await begin(page);
  await logReading(page, "jug", "11.6 l");
  await logReading(page, "jug", "350 ml");
  await done(page);
  await begin(page);
  await logReading(page, "probe", "4.6");
  await done(page);
  await begin(page);
  await done(page);
  await allKept(page);
  await page.getByRole("button", { name: "Finish the batch" }).click();

  // Planned beside actual.
  await expect(page.getByRole("heading", { name: `${STOCK}: the batch` })).toBeVisible();
  const table = page.getByRole("table");
  await reads(table).toContain("guinea-fowl carcasses 8 600 g 8 590 g −0.1 %");
  await reads(table).toContain("oven 200.0 °C 196.0 °C −2.0 %");
  await reads(table).toMatch(/in the jug 1\d\.\d\d l 11\.95 l/);
  await expect(page.getByText("of the liquor that was in the pot")).toBeVisible();

  // Its glace: to one third, by the stick.
  await openFormula(page, GLACE);
  await setBase(page, "8 kg");
  await cookThis(page);
  await begin(page);
  await done(page);
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Reduce to a third");
  await expect(page.getByText(/that is by two thirds/)).toBeVisible();
  await begin(page);
  await reads(page.getByText(/^stop at/)).toBe("stop at 27 mm");
  await logReading(page, "dip", "27");
  await done(page);
  await cookThrough(page);

  // The card of the stock, at the size that was cooked, on paper.
  await page.goto(stockRun);
  await page.getByRole("link", { name: "The card of this batch" }).click();
  await expect(page.getByRole("heading", { level: 1, name: STOCK, exact: true })).toBeVisible();
  const pdf = info.outputPath("card.pdf");
  writeFileSync(pdf, await page.pdf({ format: "A4" }));
  const text = plain(execFileSync("pdftotext", ["-layout", pdf, "-"], { encoding: "utf8" })).replace(
    /[ \t]+/g,
    " ",
  );
  for (const wanted of [
    "Guinea-fowl brown stock",
    "8.60 kg",
    "516 g",
    "258 g",
    "from 586 g",
    "Simmer, barely moving",
    "celery",
    "3 days at 4 °C",
    "57 to 21 °C within 2 h",
    "Tall pot No 2",
    "Follow your local food code",
    "DEMO, invented",
    "11.58 l",
  ])
    expect(text, wanted).toContain(wanted);
  expect(text).not.toContain("Print");

  // Another size of the same card.
  await page.getByLabel("for a batch from").fill("4.3 kg");
  await page.getByRole("button", { name: "Show it so" }).click();
  await expect(page.getByRole("article")).toContainText("129");

  // The batch has a page of its own, as it was booked.
  await page.getByRole("article").getByRole("link").first().click();
  await expect(page.getByRole("heading", { level: 1, name: `${STOCK}: the batch` })).toBeVisible();
  await expect(page.getByRole("table")).toContainText("in pot");
});
