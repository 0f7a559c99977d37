import { existsSync } from "node:fs";
import { ensurePackages } from "./packages.mjs";
import { inRoot } from "./paths.mjs";
import { Trouble, say } from "./say.mjs";
import { runProgram, tail } from "./shell.mjs";
import { withApplication } from "./throw-away.mjs";

const SHEET = inRoot("speed", "spreadsheet");

/** The spreadsheet engine measured against has a manifest of its own: it is never part of the application. */
async function ensureSpreadsheet() {
  if (existsSync(inRoot("speed", "spreadsheet", "node_modules", "hyperformula"))) return;
  say.step("Installing the spreadsheet engine to measure against …");
  const done = await runProgram("npm", ["install", "--prefix", SHEET, "--no-save", "--ignore-scripts"]);
  if (done.code !== 0)
    throw new Trouble(
      `The spreadsheet engine could not be installed:\n${tail(done.output, 8)}`,
      "Check the network and run this again.",
    );
}

const measure = (script, env = {}) =>
  runProgram(process.execPath, ["--import", "tsx", inRoot("speed", script)], { echo: true, env });

/** How fast the sums and the Bench are. Figures depend on the machine; the ratios between them do not much. */
export async function run() {
  await ensurePackages();
  await ensureSpreadsheet();
  const done = [await measure("walk.ts"), await measure("against-a-spreadsheet.ts")];
  done.push(await withApplication(env => measure("keystroke.ts", env)));
  return done.every(d => d.code === 0) ? 0 : 1;
}
