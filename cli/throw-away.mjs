import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { ensureBuild } from "./build.mjs";
import { findProgram, installDebianPackage } from "./debian.mjs";
import { freePort, startMariadb } from "./mariadb.mjs";
import { endProcess } from "./shell.mjs";
import { prepareDatabase, startServer } from "./start.mjs";

const CHROMIUM = ["/usr/bin/chromium", "/usr/bin/chromium-browser"];

/** Tests and measures send more in a minute than a section does. */
const MANY = "1000000";

/** A server that a test starts anew knows who was signed in, as one that the starter starts does. */
const SECRETS = "only-for-tests";

/**
 * Runs some work against the real application with the demo kitchen, on a database that is thrown away afterwards.
 * @param work gets the environment in which a browser finds the application, and a folder for its reports
 */
export async function withApplication(work) {
  if (!findProgram(CHROMIUM)) await installDebianPackage("chromium", "The Chromium browser");
  await ensureBuild();
  const folder = mkdtempSync(join(tmpdir(), "hondaro-e2e-"));
  const mariadb = await startMariadb(folder);
  let server = null;
  try {
    await prepareDatabase(mariadb.url, true);
    const port = await freePort();
    server = await startServer(port, mariadb.url, {
      env: { HONDARO_WRITES_PER_MINUTE: MANY, HONDARO_WATCH_LOOP: "1", HONDARO_SECRETS: SECRETS },
    });
    const env = {
      HONDARO_URL: `http://127.0.0.1:${port}`,
      DATABASE_URL: mariadb.url,
      CHROMIUM: findProgram(CHROMIUM),
      HONDARO_SERVER_PID: String(server.pid),
      HONDARO_SECRETS: SECRETS,
    };
    return await work(env, folder);
  } finally {
    if (server) await endProcess(server.pid);
    await mariadb.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
