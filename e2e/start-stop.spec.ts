import { execFile, spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { promisify } from "node:util";
import { join } from "node:path";
import { expect, test } from "@playwright/test";

/** Awaited, never blocking: a blocked parent would keep its ended children as zombies. */
const run = promisify(execFile);
const env = { ...process.env, DATABASE_URL: "" };

const freePort = () =>
  new Promise<number>(resolve => {
    const probe = createServer().listen(0, "127.0.0.1", () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === "object" && address ? address.port : 0));
    });
  });

test("start sets everything up, a second start is quick and changes nothing, stop leaves nothing behind", async () => {
  const folder = mkdtempSync(join(tmpdir(), "hondaro-start-"));
  const port = await freePort();
  const command = ["start", "--port", String(port), "--data", folder];
  const health = () =>
    fetch(`http://127.0.0.1:${port}/healthz`).then(
      r => r.text(),
      () => "nobody there",
    );
  const begin = async () => {
    const child = spawn("./hondaro", command, { env });
    let said = "";
    child.stdout.on("data", chunk => (said += String(chunk)));
    await expect
      .poll(() => said, { timeout: 60_000 })
      .toContain(`serves the kitchen on http://127.0.0.1:${port}`);
    return { child, said: () => said };
  };
  const first = await begin();
  expect(first.said()).toContain("Loaded the demo kitchen");
  expect(await health()).toBe("ok");
  const page = await fetch(`http://127.0.0.1:${port}/who`);
  expect(page.headers.get("content-security-policy")).toContain("'nonce-");
  expect(page.headers.get("x-content-type-options")).toBe("nosniff");
  expect(page.headers.get("x-frame-options")).toBe("DENY");

  expect((await run("./hondaro", command, { env })).stdout).toContain("running already");
  expect((await run("./hondaro", ["stop", "--data", folder], { env })).stdout).toContain("has stopped");
  expect(await health()).toBe("nobody there");

  const second = await begin();
  expect(second.said()).not.toContain("Loaded the demo kitchen");
  second.child.kill("SIGINT");
  await new Promise(resolve => second.child.on("exit", resolve));
  expect(await health()).toBe("nobody there");
  expect((await run("./hondaro", ["stop", "--data", folder], { env })).stdout).toContain(
    "Nothing of Hondaro is running",
  );
  rmSync(folder, { recursive: true, force: true });
});
