import { type ChildProcess, spawn } from "node:child_process";
import { once } from "node:events";
import { createServer } from "node:net";
import { expect, test } from "@playwright/test";
import { GLACE, begin, cook, logReading, openFormula, signAs, standsOnFire } from "./kitchen";

const freePort = () =>
  new Promise<number>(resolve => {
    const probe = createServer().listen(0, "127.0.0.1", () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === "object" && address ? address.port : 0));
    });
  });

async function serve(port: number): Promise<ChildProcess> {
  const child = spawn(process.execPath, ["server/index.js"], {
    env: { ...process.env, NODE_ENV: "production", PORT: String(port), HOST: "127.0.0.1" },
    // What it cannot do is told beside the test that met it.
    stdio: "inherit",
  });
  await expect
    .poll(() =>
      fetch(`http://127.0.0.1:${port}/readyz`).then(
        r => r.status,
        () => 0,
      ),
    )
    .toBe(200);
  return child;
}

async function end(child: ChildProcess): Promise<void> {
  const gone = once(child, "exit");
  child.kill("SIGTERM");
  await gone;
}

test("readings survive a reload, a dead server and its restart", async ({ browser }) => {
  const port = await freePort();
  let server = await serve(port);
  const page = await browser.newPage({
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1024, height: 768 },
  });
  await signAs(page, "Noor Adeyi");
  await cook(page, GLACE, "7 kg", "open-5");
  await begin(page);
  await logReading(page, "weigh", "11.6 kg");
  await expect(page.getByText("all readings kept")).toBeVisible();
  await page.reload();
  await expect(page.getByText(/weighed 6.950/)).toBeVisible();

  await end(server);
  await logReading(page, "note", "the lights went out");
  await expect(page.getByText(/1 waiting for the network/)).toBeVisible();
  await expect(page.getByText("“the lights went out”")).toBeVisible();

  server = await serve(port);
  await expect(page.getByText("all readings kept")).toBeVisible();
  await page.reload();
  await expect(page.getByText("“the lights went out”")).toBeVisible();
  await expect(page.getByText(/weighed 6.950/)).toBeVisible();

  // The page is gone in the very moment the button is pressed.
  await page.getByRole("button", { name: "note", exact: true }).click();
  await page.getByRole("form").getByRole("textbox").fill("knocked off the shelf");
  await page.getByRole("button", { name: "Log it" }).evaluate(button => {
    (button as HTMLButtonElement).click();
    location.reload();
  });
  await expect(page.getByText("“knocked off the shelf”")).toBeVisible();
  await expect(page.getByText("all readings kept")).toBeVisible();
  await page.close();
  await end(server);
});

test("the Bench and the Range outlive the network and a dead server; what was typed is saved when they are back", async ({
  browser,
}) => {
  const port = await freePort();
  let server = await serve(port);
  const at = { baseURL: `http://127.0.0.1:${port}`, viewport: { width: 1280, height: 800 } };
  const device = await browser.newContext(at);
  const page = await device.newPage();
  await signAs(page, "Noor Adeyi");
  const range = await device.newPage();
  await range.goto("/");
  await openFormula(page, GLACE);
  const saved = page.getByRole("status").filter({ hasText: "✓ saved" });
  const kept = page.getByRole("status").filter({ hasText: "kept on this device" });
  const hob = range.getByRole("region", { name: "The hob, from above" });

  await device.setOffline(true);
  await page.getByLabel(/^from /).fill("7.1 kg");
  await page.getByLabel(/^from /).blur();
  await expect(kept).toBeVisible();
  // The Range goes on with what it knows, and says so.
  await expect(range.getByText("no network: what was here last")).toBeVisible();
  await expect(hob).toBeVisible();
  await device.setOffline(false);
  await expect(saved).toBeVisible();

  await end(server);
  await page.getByLabel(/^from /).fill("7.2 kg");
  await page.getByLabel(/^from /).blur();
  await expect(kept).toBeVisible();
  server = await serve(port);
  await expect(saved).toBeVisible();
  await page.reload();
  await expect(page.getByLabel(/^from /)).toHaveValue(/7.2/);
  await expect(hob).toBeVisible();
  await expect(range.getByText(/no network/)).toHaveCount(0);

  // A form waits with what was sent: the pot stands on the range once the server is back.
  await end(server);
  await page.getByRole("button", { name: "Cook this" }).click();
  await expect(page.getByText(/No connection/)).toBeVisible();
  server = await serve(port);
  await standsOnFire(page);
  await device.close();
  await end(server);
});
