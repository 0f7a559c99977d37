import { expect, test } from "@playwright/test";
import { openFormula, reads, saved, say, signAs, STOCK } from "./kitchen";

test("five quick sums by keyboard alone", async ({ page }) => {
  await signAs(page);
  await page.goto("/");
  await say(page, "ice 8 l 85 to 20");
  await expect(page.getByRole("dialog")).toContainText("of ice for the bath");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Ice", exact: true })).toBeVisible();
  await reads(page.getByRole("dialog")).toContain("6 404 g of ice");
  await page.keyboard.press("Escape");

  await say(page, "dip mark Tall pot No 1 6.4 l by half");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("img", { name: /Tall pot No 1 cut through/ })).toBeVisible();
  await expect(page.getByRole("dialog")).toContainText("3.20");
  await page.keyboard.press("Escape");

  // Picked by name and filled in; the answer follows the typing, nonsense keeps its place.
  await say(page, "portions");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Portions" })).toBeVisible();
  await page.keyboard.type("6 l");
  await page.keyboard.press("Tab");
  await page.keyboard.type("150 ml");
  await expect(page.getByRole("dialog")).toContainText("40 portions");
  await page.keyboard.press("Control+a");
  await page.keyboard.type("a lot");
  await expect(page.getByRole("alert")).toBeVisible();
  await expect(page.locator(":focus")).toHaveValue("a lot");
  await page.keyboard.press("Escape");

  await say(page, "convert 5 turns pepper");
  await page.keyboard.press("Enter");
  await reads(page.getByRole("dialog")).toContain("0.50 g");
  await page.keyboard.press("Escape");

  await say(page, "boiling point");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Boiling point" })).toBeVisible();
  await page.keyboard.type("2240");
  await expect(page.getByRole("dialog")).toContainText("92.5");
  await page.keyboard.press("Escape");

  // What was worked out lately is at hand again.
  await say(page, "lately");
  await expect(page.getByRole("option", { name: /Ice: / })).toBeVisible();
});

test("an answer is dropped into the open formula", async ({ page }) => {
  await signAs(page);
  await openFormula(page, STOCK);
  await page.waitForLoadState("networkidle");
  await say(page, "ice 12 l 88 to 5");
  await page.keyboard.press("Enter");
  await page.getByRole("button", { name: /^Use it/ }).click();
  await expect(page.getByText(/Taken into the notes/)).toBeVisible();
  await saved(page);
});

test("the sums answer by HTTP, with reasons as problem+json", async ({ request }) => {
  const list = (await (await request.get("/api/sums")).json()) as { name: string; input: object }[];
  expect(list.length).toBeGreaterThan(35);
  const good = await request.post("/api/sums/ice", { data: { volumeMl: 8000, fromC: 85, toC: 20 } });
  expect(good.status()).toBe(200);
  const answer = (await good.json()) as { iceG: number; sentence: string; warnings: unknown[] };
  expect(answer.iceG).toBeCloseTo(6404, -1);
  expect(answer.warnings).toBeDefined();
  const bad = await request.post("/api/sums/ice", {
    data: { volumeMl: -8000, fromC: 85, toC: 20, bathC: 60 },
  });
  expect(bad.status()).toBe(422);
  expect(bad.headers()["content-type"]).toContain("application/problem+json");
  const problem = (await bad.json()) as {
    status: number;
    detail: string;
    problem: { code: string; field: string };
    problems: unknown[];
  };
  expect(problem).toMatchObject({ status: 422, problem: { code: "NEGATIVE", field: "volumeMl" } });
  expect((await request.post("/api/sums/gravy", { data: {} })).status()).toBe(404);
  expect(
    (
      await request.post("/api/sums/ice", {
        data: Buffer.from("{"),
        headers: { "Content-Type": "application/json" },
      })
    ).status(),
  ).toBe(400);
  // Nobody is signed in: the sum may not name a thing of the kit.
  const kit = await request.post("/api/sums/vessel-level", {
    data: { vessel: { id: "tall-1" }, volumeMl: 1000 },
  });
  expect(kit.status()).toBe(422);
});
