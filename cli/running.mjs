import { existsSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { endProcess, isAlive } from "./shell.mjs";

const fileIn = folder => join(folder, "running.json");

export const writeRunning = (folder, running) => writeFileSync(fileIn(folder), JSON.stringify(running));
export const forgetRunning = folder => rmSync(fileIn(folder), { force: true });

/**
 * Whether a process is what its number was written down for: after a crash, or on a machine that was switched off, the
 * number may be another program's by now. Where the system does not tell, the number has to do.
 */
function isStill(pid, words) {
  if (!pid || !isAlive(pid)) return false;
  try {
    return readFileSync(`/proc/${pid}/cmdline`, "utf8").includes(words);
  } catch {
    return true;
  }
}

/** What is running below a folder; processes that are gone are `null`. Null as a whole where nothing was started. */
export function whatRuns(folder) {
  if (!existsSync(fileIn(folder))) return null;
  const { pid, serverPid, mariadbPid, url } = JSON.parse(readFileSync(fileIn(folder), "utf8"));
  const still = (id, words) => (isStill(id, words) ? id : null);
  return {
    pid: still(pid, "main.mjs"),
    serverPid: still(serverPid, join("server", "index.js")),
    mariadbPid: still(mariadbPid, join(folder, "mariadb")),
    url,
  };
}

/** Ends what a starter left that died alone, the database last. */
export async function endLeft(folder, { serverPid, mariadbPid }) {
  await endProcess(serverPid);
  await endProcess(mariadbPid, 30_000);
  forgetRunning(folder);
}
