import { rmSync } from "node:fs";
import { readOptions } from "./options.mjs";
import { dataFolder } from "./paths.mjs";
import { say } from "./say.mjs";
import { endProcess } from "./shell.mjs";
import { runningFile, whatRuns } from "./start.mjs";

export async function run(args) {
  const folder = dataFolder(readOptions(args).data);
  const running = whatRuns(folder);
  if (!running) {
    say.line("Nothing of Hondaro is running here.");
    return 0;
  }
  if (running.pid) await endProcess(running.pid, 60_000);
  // The starter may have died alone: then its children are ended one by one, the database last.
  await endProcess(running.serverPid);
  await endProcess(running.mariadbPid, 30_000);
  rmSync(runningFile(folder), { force: true });
  say.line("Hondaro has stopped.");
  return 0;
}
