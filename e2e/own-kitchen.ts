import { execFile, spawn } from "node:child_process";
import { mkdtempSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { promisify } from "node:util";
import { expect } from "@playwright/test";

/** Awaited, never blocking: a blocked parent would keep its ended children as zombies. */
export const run = promisify(execFile);
export const env = { ...process.env, DATABASE_URL: "" };

export const freePort = () =>
  new Promise<number>(resolve => {
    const probe = createServer().listen(0, "127.0.0.1", () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === "object" && address ? address.port : 0));
    });
  });

/** A kitchen of its own below a throw-away folder, and how it is. */
export async function place(...more: string[]) {
  const folder = mkdtempSync(join(tmpdir(), "hondaro-start-"));
  const port = await freePort();
  const command = ["start", "--port", String(port), "--data", folder, ...more];
  const ask = (path: string) =>
    fetch(`http://127.0.0.1:${port}/${path}`).then(
      r => r.text(),
      () => "nobody there",
    );
  const begin = async () => {
    const child = spawn("./hondaro", command, { env });
    let said = "";
    child.stdout.on("data", chunk => (said += String(chunk)));
    await expect
      .poll(() => said, { timeout: 240_000 })
      .toContain(`serves the kitchen on http://127.0.0.1:${port}`);
    return { child, said: () => said };
  };
  const url = `http://127.0.0.1:${port}`;
  const stop = async () => (await run("./hondaro", ["stop", "--data", folder], { env })).stdout;
  return { folder, port, url, command, ask, begin, stop, running: join(folder, "running.json") };
}
