import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { createConnection } from "mysql2/promise";
import type { TestProject } from "vitest/node";
import { startMariadb } from "../../cli/mariadb.mjs";

declare module "vitest" {
  interface ProvidedContext {
    databaseUrl: string;
  }
}

/** A throw-away MariaDB for the data tests; it may run beside a running kitchen. */
export default async function setup({ provide }: TestProject) {
  const folder = mkdtempSync(join(tmpdir(), "hondaro-test-"));
  const server = await startMariadb(folder);
  await letMakeDatabases(folder);
  provide("databaseUrl", server.url);
  return async () => {
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  };
}

/** Each file of tests has a database of its own: what one writes stands in no other's way. */
async function letMakeDatabases(folder: string): Promise<void> {
  const { password } = JSON.parse(readFileSync(join(folder, "mariadb.json"), "utf8")) as { password: string };
  const root = await createConnection({ socketPath: join(folder, "mariadb.sock"), user: "root", password });
  await root.query("GRANT ALL PRIVILEGES ON `hondaro_%`.* TO 'hondaro'@'127.0.0.1'");
  await root.end();
}
