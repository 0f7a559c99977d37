import { readOptions } from "./options.mjs";
import { dataFolder } from "./paths.mjs";
import { endLeft, whatRuns } from "./running.mjs";
import { say } from "./say.mjs";
import { endProcess } from "./shell.mjs";

export async function run(args) {
  const folder = dataFolder(readOptions(args).data);
  const running = whatRuns(folder);
  if (!running) {
    say.line("Nothing of Hondaro is running here.");
    return 0;
  }
  if (running.pid) await endProcess(running.pid, 60_000);
  // The starter may have died alone.
  const left = whatRuns(folder);
  if (left) await endLeft(folder, left);
  say.line("Hondaro has stopped.");
  return 0;
}
