import { existsSync } from "node:fs";
import { ensureBuild } from "./build.mjs";
import { ensurePackages } from "./packages.mjs";
import { ROOT, inRoot } from "./paths.mjs";
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

const SCRIPTS = [
  "walk",
  "against-a-spreadsheet",
  "keystroke",
  "routes",
  "faults",
  "tracker",
  "range",
  "schedule",
  "ledger",
];
/** What needs the running application, by name. */
const ALONE = ["routes", "faults", "range", "ledger"];

/** What is measured is put together by what builds the application: sums translated as they are read cost more than they do there. */
async function putTogether() {
  const { build } = await import("vite");
  await build({
    configFile: false,
    root: ROOT,
    logLevel: "warn",
    publicDir: false,
    build: {
      ssr: true,
      outDir: inRoot("build", "speed"),
      target: "node20",
      rolldownOptions: { input: SCRIPTS.map(script => inRoot("speed", `${script}.ts`)) },
    },
  });
}

const measure = (script, env = {}) =>
  runProgram(process.execPath, [inRoot("build", "speed", `${script}.js`)], { echo: true, env });

/**
 * How fast the sums and the Bench are. Figures depend on the machine; the ratios between them do not much.
 * `routes`: pages alone, in the demo kitchen and in a large one. `range`: 40 live pots and 10 tablets. `tracker`: how good “ready
 * at” is. `ledger`: 100 000 batches. `schedule`: how good and fast days are planned. `faults`: what hostile inputs and killed processes do to it.
 */
export async function run([what = "speed"]) {
  if (!["speed", "tracker", "schedule", ...ALONE].includes(what))
    throw new Trouble(
      `There is nothing called “${what}” to measure.`,
      "Type speed, routes, range, ledger, tracker, schedule or faults.",
    );
  await ensurePackages();
  if (what === "speed") await ensureSpreadsheet();
  // The application first: building it empties the folder both are built into.
  await ensureBuild();
  await putTogether();
  if (what === "tracker" || what === "schedule") return (await measure(what)).code;
  if (what !== "speed") return (await withApplication(env => measure(what, env))).code;
  const done = [
    await measure("walk"),
    await measure("against-a-spreadsheet", { HONDARO_SHEET: inRoot("speed", "spreadsheet", "sheet.mjs") }),
    await withApplication(env => measure("keystroke", env)),
    await withApplication(env => measure("routes", env)),
  ];
  return done.every(d => d.code === 0) ? 0 : 1;
}
