import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { TestProject } from "vitest/node";
import { startMariadb } from "../../cli/mariadb.mjs";
import { migrateDatabase } from "../migrate";

declare module "vitest" {
  interface ProvidedContext {
    databaseUrl: string;
  }
}

/** A throw-away MariaDB for the data tests; it may run beside a running kitchen. */
export default async function setup({ provide }: TestProject) {
  const folder = mkdtempSync(join(tmpdir(), "hondaro-test-"));
  const server = await startMariadb(folder);
  await migrateDatabase(server.url);
  provide("databaseUrl", server.url);
  return async () => {
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  };
}
