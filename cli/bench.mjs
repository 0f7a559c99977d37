import { ensurePackages } from "./packages.mjs";
import { inRoot } from "./paths.mjs";
import { runProgram } from "./shell.mjs";

/** How fast the sums are. Figures depend on the machine; the ratios between them do not much. */
export async function run() {
  await ensurePackages();
  const done = await runProgram(process.execPath, ["--import", "tsx", inRoot("speed", "walk.ts")], {
    echo: true,
  });
  return done.code;
}
