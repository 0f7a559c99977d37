import { parseArgs } from "node:util";
import { databaseOf } from "./database-of.mjs";
import { ensurePackages } from "./packages.mjs";
import { asTyped, dataFolder, inRoot } from "./paths.mjs";
import { Trouble, say } from "./say.mjs";
import { runProgram, tail } from "./shell.mjs";

/** Both ways of an archive: the work itself is done in TypeScript, with the database of the folder. */
const both = way => async args => {
  let parsed;
  try {
    parsed = parseArgs({ args, options: { data: { type: "string" } }, allowPositionals: true });
  } catch (error) {
    throw new Trouble(error.message, "./hondaro help shows the options.");
  }
  const [file] = parsed.positionals;
  if (!file) throw new Trouble("Which file?", `./hondaro ${way} FILE`);
  await ensurePackages();
  const whole = asTyped(file);
  return databaseOf(dataFolder(parsed.values.data), async url => {
    const told = ["--import", "tsx", inRoot("cli", "archive.ts"), way, whole];
    const done = await runProgram(process.execPath, told, { env: { DATABASE_URL: url } });
    if (done.code !== 0) throw new Trouble(tail(done.output, 4).trim());
    say.line(done.output.trim());
    return 0;
  });
};

export const backup = both("backup");
export const restore = both("restore");
