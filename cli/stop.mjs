import { lockHolder } from "./lock.mjs";
import { readOptions } from "./options.mjs";
import { dataFolder } from "./paths.mjs";
import { endLeft, whatRuns } from "./running.mjs";
import { say } from "./say.mjs";
import { endProcess } from "./shell.mjs";

export async function run(args) {
  const folder = dataFolder(readOptions(args).data);
  const running = whatRuns(folder);
  // A start that does not serve yet has written nothing down; it holds the folder all the same.
  const starter = running?.pid ?? (await lockHolder(folder));
  if (!running && !starter) {
    say.line("Nothing of Hondaro is running here.");
    return 0;
  }
  if (starter) await endProcess(starter, 60_000);
  // The starter may have died alone.
  const left = whatRuns(folder);
  if (left) await endLeft(folder, left);
  say.line("Hondaro has stopped.");
  return 0;
}
