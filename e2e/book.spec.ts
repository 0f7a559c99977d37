import { expect, test } from "@playwright/test";
import { openFormula, setBase, signAs } from "./kitchen";

test("a cook cannot sign; the chef signs, changes it, and the old card says that it is out of date", async ({
  page,
}) => {
  await signAs(page, "Noor Adeyi");
  await openFormula(page, "Smoked-trout velouté");
  await page.getByRole("link", { name: "Card, print" }).click();
  const place = page.getByRole("region", { name: "What it is" });
  await expect(page).toHaveURL(/\/book\//);
  await expect(place).toContainText("A chef signs it.");
  await expect(place.getByRole("button")).toHaveCount(0);
  const old = page.url();

  await signAs(page, "Ilse Varga");
  await page.goto(old);
  await expect(place).toContainText("Signed now it would be signed early");
  await place.getByRole("button", { name: "Make it the standard" }).click();
  await expect(place.getByRole("alert")).toContainText("Signed early it wants a reason");
  await place.getByLabel("why").fill("as it goes with the leeks");
  await place.getByRole("button", { name: "Make it the standard" }).click();
  await expect(page.getByRole("article")).toContainText("signed by Ilse Varga");

  // Four batch sizes, on the screen and on paper.
  await page.getByLabel("with columns for").fill("1 kg; 2 kg; 3,5 kg; ×8");
  await page.getByRole("button", { name: "Show it so" }).click();
  const sizes = page.getByRole("region", { name: "Batch sizes" }).getByRole("columnheader");
  await expect(sizes.filter({ hasText: /kg|×/ })).toHaveCount(4);
  const paper = await page.request.get(`${new URL(old).pathname}/card.pdf?columns=1+kg;2+kg;3,5+kg;x8`);
  expect(paper.headers()["content-type"]).toBe("application/pdf");
  expect((await paper.body()).subarray(0, 5).toString()).toBe("%PDF-");
  // The code on the wall leads here.
  const wall = `${old}?printed=`;
  await page.goto(`${wall}0123456789ab`);
  await expect(page.getByRole("alert").filter({ hasText: "not what stands here any more" })).toBeVisible();

  await page.goto("/book");
  await expect(page.getByRole("link", { name: /^Smoked-trout velouté/ })).toContainText("standard");
  await openFormula(page, "Smoked-trout velouté");
  await setBase(page, "1.2 kg");
  // What is edited now is another version, with a card of its own.
  await page.getByRole("link", { name: "Card, print" }).click();
  await expect(page).toHaveURL(/\/book\//);
  await expect(page).not.toHaveURL(old);
  await expect(page.getByRole("status").filter({ hasText: "Not the standard" })).toBeVisible();
  await place.getByLabel("why").fill("for two more covers");
  await place.getByRole("button", { name: "Make it the standard" }).click();
  await expect(page.getByRole("article")).toContainText("signed by Ilse Varga");
  await page.goto(old);
  await expect(page.getByRole("status").filter({ hasText: "Out of date" })).toBeVisible();
});

test("a recipe of another program comes in by its words, with what is unknown asked and the rest in the notes", async ({
  page,
}) => {
  await signAs(page, "Noor Adeyi");
  await page.goto("/bench/new/file");
  await page.getByLabel("or pasted here").fill(
    JSON.stringify({
      "@context": "https://schema.org",
      "@type": "Recipe",
      name: "Mustard cream",
      author: "somebody",
      recipeIngredient: ["500 ml chicken stock", "20 cl cream", "30 g mustard", "2 sprigs zorblax"],
      recipeInstructions: [
        { "@type": "HowToStep", text: "Reduce the stock by half." },
        { "@type": "HowToStep", text: "Add the cream and whisk in the mustard." },
      ],
    }),
  );
  await page.getByRole("button", { name: "Look it over" }).click();
  await expect(page.getByRole("heading", { name: "It is a recipe in JSON-LD" })).toBeVisible();
  await page.getByRole("link", { name: "Read its words" }).click();
  const understood = page.getByRole("region", { name: "What was understood" });
  await expect(understood).toContainText("zorblax");
  await expect(understood.getByRole("heading")).toContainText(/\d+ steps?, \d+ questions?/);
  await expect(page.getByLabel("name of the formula")).toHaveValue("Mustard cream");
});

test("on a shared device cooks change to their names with a PIN, and a trainee sees no price", async ({
  page,
}) => {
  await page.goto("/who?to=/larder");
  const form = page.getByRole("form", { name: "Sign in" });
  await form.getByLabel("Sign-in name").fill("tomas");
  await form.getByLabel("Password").fill("kelder-pass");
  await form.getByLabel(/Several cooks share/).check();
  await form.getByRole("button", { name: "Sign in" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Larder" })).toBeVisible();
  await page.getByRole("link", { name: "Tomas", exact: true }).click();
  await page.getByRole("link", { name: /Petr Lind/ }).click();
  await page.getByLabel("PIN").fill("0000");
  await page.getByRole("button", { name: "That is me" }).click();
  await expect(page.getByRole("alert")).toContainText("That PIN is not right");
  await page.getByLabel("PIN").fill("1180");
  await page.getByRole("button", { name: "That is me" }).click();
  await expect(page.getByRole("link", { name: "Petr", exact: true })).toBeVisible();
  const asked = (prefix: string) =>
    page.evaluate(async of => {
      const answer = await fetch(`/kitchen/${of}${document.documentElement.dataset.kitchen}.json`);
      return answer.ok ? answer.text() : String(answer.status);
    }, prefix);
  // What the browser kept for the saucier is gone.
  await expect.poll(() => asked("")).toBe("403");
  expect(await asked("plain-")).not.toContain("perKg");
});
