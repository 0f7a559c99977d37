import { existsSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { findProgram, installDebianPackage } from "./debian.mjs";
import { ensurePackages } from "./packages.mjs";
import { inRoot } from "./paths.mjs";
import { Trouble, say } from "./say.mjs";
import { runProgram, tail } from "./shell.mjs";
import { withApplication } from "./throw-away.mjs";

const PDFTOTEXT = ["/usr/bin/pdftotext"];
/** Checks that pass or fail as one. */
const WHOLE_CHECKS = [
  ["formatting", "check:format"],
  ["lint", "check:lint"],
  // Types first: they write the route types the next two look for.
  ["types", "check:types"],
  ["rings", "check:rings"],
  ["unused code", "check:unused"],
];

const tally = { passed: 0, failed: 0, skipped: 0 };

function count(passed, failed, skipped = 0) {
  tally.passed += passed;
  tally.failed += failed;
  tally.skipped += skipped;
}

async function wholeCheck([name, script]) {
  const done = await runProgram("npm", ["run", "--silent", script]);
  count(done.code === 0 ? 1 : 0, done.code === 0 ? 0 : 1);
  say.step(`${name}: ${done.code === 0 ? "passed" : "FAILED"}`);
  if (done.code !== 0) say.line(tail(done.output, 60));
}

/** Runs Vitest projects and counts their tests. */
async function vitest(name, projects) {
  const folder = mkdtempSync(join(tmpdir(), "hondaro-report-"));
  const report = join(folder, "vitest.json");
  const args = [
    "--no-install",
    "vitest",
    "run",
    ...projects.flatMap(p => ["--project", p]),
    "--reporter=dot",
    "--reporter=json",
    `--outputFile.json=${report}`,
  ];
  // The build beside it says “production” to every program that starts after it.
  const done = await runProgram("npx", args, { env: { NODE_ENV: "test" } });
  if (!existsSync(report)) count(0, 1);
  else {
    const { numPassedTests, numFailedTests, numPendingTests, testResults } = JSON.parse(
      readFileSync(report, "utf8"),
    );
    // A file that could not be loaded fails without a failed test in it.
    const unloaded = testResults.filter(
      ({ status, assertionResults }) =>
        status === "failed" && assertionResults.every(test => test.status !== "failed"),
    ).length;
    const failed = Math.max(numFailedTests + unloaded, done.code === 0 ? 0 : 1);
    count(numPassedTests, failed, numPendingTests);
    say.step(`${name}: ${numPassedTests} passed, ${failed} failed`);
  }
  if (done.code !== 0) say.line(tail(done.output, 120));
  rmSync(folder, { recursive: true, force: true });
}

/** Drives the real application in Chromium on a throw-away database. */
async function endToEnd() {
  if (!findProgram(PDFTOTEXT)) await installDebianPackage("poppler-utils", "The PDF reader for the tests");
  await withApplication(async (env, folder) => {
    const report = join(folder, "playwright.json");
    const done = await runProgram("npx", ["--no-install", "playwright", "test", "--reporter=list,json"], {
      env: { ...env, PLAYWRIGHT_JSON_OUTPUT_NAME: report },
      echo: true,
    });
    if (!existsSync(report)) count(0, 1);
    else {
      const { stats } = JSON.parse(readFileSync(report, "utf8"));
      count(stats.expected + stats.flaky, stats.unexpected || (done.code === 0 ? 0 : 1), stats.skipped);
      if (stats.flaky) say.step(`browser tests that passed only the second time: ${stats.flaky}`);
    }
  });
}

async function withoutBrowser() {
  for (const check of WHOLE_CHECKS) await wholeCheck(check);
  await vitest("unit and reference tests", ["core", "ui"]);
  await vitest("data tests", ["data"]);
}

export async function run([what = "all"]) {
  if (!["unit", "e2e", "all"].includes(what))
    throw new Trouble(`There is no set of tests “${what}”.`, "Type unit, e2e or all.");
  await ensurePackages();
  if (!existsSync(inRoot("package-lock.json")))
    throw new Trouble("package-lock.json is missing.", "Restore it from version control.");
  // Side by side: a browser waits half of its time, and the other tests keep one core busy.
  await Promise.all([what === "e2e" ? null : withoutBrowser(), what === "unit" ? null : endToEnd()]);
  say.line(`\n${tally.passed} passed, ${tally.failed} failed, ${tally.skipped} skipped`);
  return tally.failed === 0 ? 0 : 1;
}
