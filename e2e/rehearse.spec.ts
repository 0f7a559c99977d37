import { expect, test } from "@playwright/test";
import { allReady, begin, done, openFormula, plain, signAs, GLACE } from "./kitchen";

/** A trainee cooks on the simulated stove: readings from its instruments, a burner change in the middle, no trace behind. */
test("a reduction is rehearsed sixty times as fast: the scale is read with one tap, the pot is moved, and nothing of it is booked", async ({
  page,
}) => {
  await signAs(page, "Petr Lind");
  const onTheRange = async () => {
    await page.goto("/");
    await expect(page.getByRole("heading", { name: /^On the fire|^Nothing on the fire/ })).toBeVisible();
    return page
      .getByRole("region", { name: "The hob, from above" })
      .getByRole("link", { name: /^Guinea-fowl glace, / })
      .count();
  };
  const othersBefore = await onTheRange();
  await openFormula(page, GLACE);
  // A trainee changes no recipe, and cooks any size of it.
  await page.getByLabel(/^from /).fill("4000 g");
  await page.getByLabel(/^from /).blur();
  await expect(
    page.getByText("changed by cooks and chefs").or(page.getByText("not saved")).first(),
  ).toBeVisible();
  await page.getByText("Rehearse", { exact: true }).click();
  await page.getByRole("button", { name: "a minute in a second" }).click();
  await expect(page.getByText("REHEARSAL")).toBeVisible();
  await allReady(page);
  await begin(page);
  await done(page);
  await begin(page);
  await expect(page.getByRole("heading", { level: 1 })).toContainText("Reduce");

  const weigh = async () => {
    await page.getByRole("button", { name: "weigh", exact: true }).click();
    const offered = page.getByRole("button", { name: /the scale shows/ });
    await offered.click();
    await page.getByRole("button", { name: "Log it" }).click();
    await expect(page.getByRole("form")).toHaveCount(0);
  };
  await page.waitForTimeout(6000);
  await weigh();
  const before = await page
    .getByText(/here at/)
    .first()
    .innerText();

  // Onto the weakest burner: it says what that does to the time, and does it.
  await page.getByRole("button", { name: "move", exact: true }).click();
  await page.getByRole("group", { name: "burner" }).getByRole("button", { name: "Burner 8" }).click();
  await expect(page.getByText(/ later: there at/)).toBeVisible();
  await page.getByRole("button", { name: "Put it there" }).click();
  await expect(page.getByText(/Burner 8 · Low pot|Burner 8 ·/).first()).toBeVisible();
  await expect
    .poll(() =>
      page
        .getByText(/here at/)
        .first()
        .innerText(),
    )
    .not.toBe(before);
  await page.waitForTimeout(4000);
  await weigh();
  const aside = plain(await page.getByRole("complementary", { name: "This step" }).innerText());
  expect(aside).toContain("to Burner 8");
  expect(aside.match(/weighed/g)?.length).toBeGreaterThanOrEqual(2);

  // Off and forgotten elsewhere: given up, and no batch anywhere.
  await page.getByRole("button", { name: "more", exact: true }).click();
  await page.getByRole("button", { name: /^give up/ }).click();
  await page.getByRole("form").getByRole("textbox").first().fill("enough for today");
  await page.getByRole("button", { name: "Give it up" }).click();
  await expect(page.getByText("REHEARSAL: it counts as no batch")).toBeVisible();
  expect(await onTheRange()).toBe(othersBefore);
});
