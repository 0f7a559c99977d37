import { parseArgs } from "node:util";
import { ensurePackages } from "./packages.mjs";
import { dataFolder, inRoot } from "./paths.mjs";
import { databaseOf } from "./database-of.mjs";
import { Trouble, say } from "./say.mjs";
import { runProgram, tail } from "./shell.mjs";

/** A new password for somebody who has lost theirs: whoever may read the data folder may give one. */
export async function run(args) {
  let parsed;
  try {
    parsed = parseArgs({ args, options: { data: { type: "string" } }, allowPositionals: true });
  } catch (error) {
    throw new Trouble(error.message, "./hondaro help shows the options.");
  }
  const [login] = parsed.positionals;
  if (!login)
    throw new Trouble("Whose password?", "./hondaro password NAME, with the name they sign in with.");
  await ensurePackages();
  const folder = dataFolder(parsed.values.data);
  return databaseOf(folder, async url => {
    const told = ["--import", "tsx", inRoot("cli", "set-password.ts"), login];
    const done = await runProgram(process.execPath, told, { env: { DATABASE_URL: url } });
    if (done.code !== 0) throw new Trouble(tail(done.output, 3).trim());
    say.line(done.output.trim());
    return 0;
  });
}
