import { checkDataFolder, databaseUrl, makeFolder, startMariadb } from "./mariadb.mjs";
import { whatRuns } from "./running.mjs";
import { takeLock } from "./lock.mjs";
import { Trouble } from "./say.mjs";

/**
 * Some work with the database of a data folder: with the one that runs there, or one started for as long as it takes.
 * `DATABASE_URL`, when set, is used instead.
 */
export async function databaseOf(folder, work) {
  if (process.env.DATABASE_URL) return work(process.env.DATABASE_URL);
  const running = whatRuns(folder);
  const url = running?.mariadbPid ? databaseUrl(folder) : null;
  if (url) return work(url);
  makeFolder(folder);
  checkDataFolder(folder);
  const lock = await takeLock(folder);
  if (!lock) throw new Trouble("Hondaro is being started here just now.", "Wait a moment, then try again.");
  try {
    const mariadb = await startMariadb(folder);
    try {
      return await work(mariadb.url);
    } finally {
      await mariadb.stop();
    }
  } finally {
    lock.release();
  }
}
