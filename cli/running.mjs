import { existsSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { endProcess, isAlive } from "./shell.mjs";
import { readJsonFile, writeWhole } from "./whole-file.mjs";

const fileIn = folder => join(folder, "running.json");

export const writeRunning = (folder, running) => writeWhole(fileIn(folder), JSON.stringify(running));
export const forgetRunning = folder => rmSync(fileIn(folder), { force: true });

/**
 * Whether a process is what its number was written down for: after a crash, or on a machine that was switched off, the
 * number may be another program's by now. Where the system does not tell, the number has to do.
 */
export function isStill(pid, words) {
  if (!pid || !isAlive(pid)) return false;
  try {
    return readFileSync(`/proc/${pid}/cmdline`, "utf8").includes(words);
  } catch {
    return true;
  }
}

/**
 * What is running below a folder; processes that are gone are `null`. Null as a whole where nothing was started.
 * A file that cannot be read any more hides nothing that matters but the server: the database has a file of its own.
 */
export function whatRuns(folder) {
  if (!existsSync(fileIn(folder))) return null;
  const known = readJsonFile(fileIn(folder)) ?? { mariadbPid: pidIn(join(folder, "mariadb.pid")) };
  const { pid, serverPid, mariadbPid, url } = known;
  const still = (id, words) => (isStill(id, words) ? id : null);
  return {
    pid: still(pid, "main.mjs"),
    serverPid: still(serverPid, join("server", "index.js")),
    mariadbPid: still(mariadbPid, join(folder, "mariadb")),
    url,
  };
}

const pidIn = file => (existsSync(file) ? Number(readFileSync(file, "utf8")) || null : null);

/** Ends what a starter left that died alone, the database last. */
export async function endLeft(folder, { serverPid, mariadbPid }) {
  await endProcess(serverPid);
  await endProcess(mariadbPid, 30_000);
  forgetRunning(folder);
}
