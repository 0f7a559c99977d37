import { expect, test } from "@playwright/test";
import { openFormula, reads, signAs, STOCK } from "./kitchen";

test("an ingredient is written in, refused with reasons, saved, found by a slip, and used", async ({
  page,
}) => {
  await signAs(page);
  await page.goto("/larder/new");
  await page.getByLabel("Name", { exact: true }).fill("sea buckthorn juice");
  await page.getByLabel("water", { exact: true }).fill("60");
  await page.getByRole("button", { name: "Put it in the larder" }).click();
  await expect(page.getByRole("alert").first()).toContainText("adds up to 60.0 g");
  // What was typed stays.
  await expect(page.getByLabel("water", { exact: true })).toHaveValue("60");
  await page.getByLabel("water", { exact: true }).fill("86");
  await page.getByLabel("fat", { exact: true }).fill("5,0");
  await page.getByLabel("sugars", { exact: true }).fill("3");
  await page.getByLabel("acid", { exact: true }).fill("3");
  await page.getByLabel(/A millilitre weighs/).fill("1.6");
  await page.getByRole("button", { name: "Put it in the larder" }).click();
  // Odd, not impossible: it must be meant.
  await expect(page.getByText(/A litre of this would weigh about/)).toBeVisible();
  await page.getByLabel(/A millilitre weighs/).fill("1.01");
  await page.getByRole("button", { name: "Put it in the larder" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "sea buckthorn juice" })).toBeVisible();
  await expect(page.getByRole("img", { name: /sea buckthorn juice: .*86/ })).toBeVisible();

  await page.getByRole("textbox", { name: "per kg" }).fill("14.20");
  await page.getByRole("textbox", { name: "from (day)" }).fill("yesterday");
  await page.getByRole("button", { name: "Note this price" }).click();
  await expect(page.getByText("Type it as 2026-11-23.")).toBeVisible();
  await page.getByRole("textbox", { name: "per kg" }).fill("14.20");
  await page.getByRole("textbox", { name: "from (day)" }).fill("2026-11-20");
  await page.getByRole("button", { name: "Note this price" }).click();
  await expect(page.getByText("14.20").first()).toBeVisible();

  await page.goto("/larder");
  await page.getByRole("searchbox").fill("sea bukthorn");
  await expect(page.getByRole("row").nth(1)).toContainText("sea buckthorn juice");
  await page.getByRole("searchbox").press("Enter");
  await expect(page.getByRole("heading", { level: 1, name: "sea buckthorn juice" })).toBeVisible();

  // Used: in a formula's line, by its name.
  await openFormula(page, STOCK);
  await page.locator("[data-step]").nth(3).click();
  const add = page.getByLabel(/Add an ingredient|New line|ingredient/i).last();
  await expect(add).toBeVisible();
  await expect(page.locator('option[value="sea buckthorn juice"]')).not.toHaveCount(0);
});

test("another brand shows which formulas move", async ({ page }) => {
  await signAs(page);
  await page.goto("/larder/onion");
  await page.getByLabel(/Instead of onion/).fill("shallot");
  await page.getByRole("button", { name: "See what moves" }).click();
  await expect(page.getByText("Guinea-fowl brown stock")).toBeVisible();
  await page.getByLabel(/Instead of onion/).fill("shalott");
  await page.getByRole("button", { name: "See what moves" }).click();
  await expect(page.getByRole("alert")).toContainText("Did you mean");
});

test("a file is looked over row by row; nothing comes in while a row is refused", async ({ page }) => {
  await signAs(page);
  await page.goto("/larder/import");
  const good = "birch syrup,35,64,1";
  await page.getByRole("textbox").fill(`name,water,sugars,other\n${good}\nwrong thing,10,10,10`);
  await page.getByRole("button", { name: "Look it over" }).click();
  await expect(page.getByText("1 ready, 1 refused")).toBeVisible();
  await expect(page.getByText(/adds up to 30.0 g/)).toBeVisible();
  await expect(page.getByRole("button", { name: /Bring/ })).toHaveCount(0);
  await expect(page.getByRole("textbox")).toHaveValue(/wrong thing/);
  await page.getByRole("textbox").fill(`name,water,sugars,other\n${good}`);
  await page.getByRole("button", { name: "Look it over" }).click();
  await page.getByRole("button", { name: "Bring it in" }).click();
  await expect(page).toHaveURL(/\/larder$/);
  await page.getByRole("searchbox").fill("birch syrup");
  await expect(page.getByRole("row").nth(1)).toContainText("birch syrup");
  const csv = await page.request.get("/larder.csv");
  expect(csv.headers()["content-type"]).toContain("text/csv");
  expect(await csv.text()).toContain("birch syrup");
  const json = (await (await page.request.get("/larder.json")).json()) as { ingredients: { id: string }[] };
  expect(json.ingredients.map(i => i.id)).toContain("birch-syrup");
});

test("a pot is measured by pouring litres in", async ({ page }) => {
  await signAs(page);
  await page.goto("/kit/new");
  await page.getByRole("textbox", { name: "Name" }).fill("Dented pot");
  await page.getByLabel("Empty (g)").fill("2150");
  await page.getByText("measured by pouring").click();
  const pour = async (n: number, litres: string, level: string) => {
    await page.getByLabel(`Pour ${n}, litres in all`).fill(litres);
    await page.getByLabel(`Pour ${n}, millimetres`).fill(level);
  };
  await pour(1, "1", "21");
  await pour(2, "2", "18");
  await page.getByRole("button", { name: "Put it in the kit" }).click();
  await expect(page.getByRole("alert")).toContainText("Pour 2: both the litres and the level must be more");
  await expect(page.getByLabel("Pour 1, millimetres")).toHaveValue("21");
  await pour(2, "2", "40");
  await pour(3, "4", "76");
  await page.getByRole("button", { name: "Put it in the kit" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Dented pot" })).toBeVisible();
  await reads(page.getByRole("main")).toContain("Holds 4.00 l to the brim");
  await page.goto("/kit");
  await expect(page.getByText("✓ measured by pouring, 3 marks")).toBeVisible();
});

test("the hob is arranged by drag and by keyboard, and stays so", async ({ page }) => {
  await signAs(page);
  await page.goto("/kit");
  const burner = page.getByRole("button", { name: /^Burner 4,/ });
  await expect(burner).toHaveAttribute("aria-label", /195 cm from the left/);
  await expect(async () => {
    await burner.focus();
    await page.keyboard.press("Shift+ArrowRight");
    await expect(burner).toHaveAttribute("aria-label", /205 cm from the left/, { timeout: 1000 });
  }).toPass();
  const box = await burner.boundingBox();
  if (!box) throw new Error("The burner is not on the screen.");
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2, { steps: 8 });
  await page.mouse.up();
  await expect(burner).not.toHaveAttribute("aria-label", /205 cm from the left/);
  await expect(page.getByRole("status").filter({ hasText: /Burner 4 stands.*✓ kept/ })).toBeVisible();
  // Onto its neighbour: refused, and said why.
  for (let i = 0; i < 5; i++) await burner.press("Shift+ArrowLeft");
  await expect(page.getByText(/would stand on Burner 3/)).toBeVisible();
  // A small step back, and what is said to be kept is there again, however fast the steps came.
  await burner.press("ArrowRight");
  await expect(page.getByRole("status").filter({ hasText: /Burner 4 stands.*✓ kept/ })).toBeVisible();
  const now = (await burner.getAttribute("aria-label")) ?? "";
  await page.reload();
  await expect(page.getByRole("button", { name: /^Burner 4,/ })).toHaveAttribute("aria-label", now);
});

test("air and probes: nonsense is refused where it stands, good figures change the boil", async ({
  page,
}) => {
  await signAs(page);
  await page.goto("/kit");
  // What is typed while the page is being drawn anew may be lost: it is typed until it is answered.
  const soon = { timeout: 4000 };
  const barometer = (typed: string, answered: () => Promise<void>) =>
    expect(async () => {
      await page.getByLabel("Barometer (hPa)").fill(typed);
      await page.getByRole("button", { name: "Keep these" }).click(soon);
      await answered();
    }).toPass();
  await barometer("1013", () => expect(page.getByRole("alert")).toContainText("sea-level value", soon));
  await expect(page.getByLabel("Barometer (hPa)")).toHaveValue("1013");
  await barometer("890", () => expect(page.getByText(/by the barometer/)).toContainText("96.4", soon));
  await barometer("", () => expect(page.getByText(/by its altitude/)).toBeVisible(soon));

  const iced = (typed: string, answered: () => Promise<void>) =>
    expect(async () => {
      const probe = page.getByLabel("Probe of the walk-in: reading in ice, °C");
      await probe.fill(typed);
      await probe.press("Enter");
      await answered();
    }).toPass();
  await iced("9", () => expect(page.getByRole("alert")).toContainText("too far off", soon));
  await iced("1.4", () => expect(page.getByText(/−1.4 °C added/)).toBeVisible(soon));
});

test("a figure of the kitchen's own: refused, kept, counted with, given up", async ({ page }) => {
  const body = async () => {
    await openFormula(page, "Smoked-trout velouté");
    const pot = page.getByRole("complementary", { name: "The pot" });
    return Number(/\d+/.exec(await pot.getByText(/^body/).innerText())?.[0]);
  };
  await signAs(page);
  const usual = await body();
  await page.goto("/kit");
  await page.getByRole("link", { name: "Figures the sums rest on" }).click();
  await page.getByRole("searchbox").fill("from which it can be felt");
  await page.getByText(/flour per kg of fat-free sauce/).click();
  const own = page.getByLabel("In this kitchen (g/kg)");
  const keep = page.getByRole("button", { name: "Keep" });
  await own.fill("90");
  await keep.click();
  await expect(page.getByRole("alert")).toContainText("must be between");
  await expect(own).toHaveValue("90");
  await own.fill("14");
  await keep.click();
  await expect(page.getByRole("status")).toContainText("Kept");
  expect(await body()).toBeLessThan(usual - 3);

  await page.goto("/kit/figures");
  await page.getByRole("checkbox", { name: "only this kitchen’s own" }).check();
  await page.getByText(/flour per kg of fat-free sauce/).click();
  await expect(page.getByText(/Usually 9.2, from 8.4 to 10/)).toBeVisible();
  await own.fill("");
  await keep.click();
  await expect(page.getByRole("status")).toContainText("usual");
  expect(await body()).toBe(usual);
});
