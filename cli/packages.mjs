import { createHash } from "node:crypto";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { inRoot } from "./paths.mjs";
import { Trouble, say } from "./say.mjs";
import { runProgram, tail } from "./shell.mjs";

const STAMP = inRoot("node_modules", ".hondaro-installed");

const fingerprint = () =>
  createHash("sha256")
    .update(readFileSync(inRoot("package-lock.json")))
    .update(readFileSync(inRoot("package.json")))
    .digest("hex");

/** Installs the npm packages of the committed lock file, unless they are there already. */
export async function ensurePackages() {
  const wanted = fingerprint();
  if (existsSync(STAMP) && readFileSync(STAMP, "utf8") === wanted) return;
  say.step("Installing npm packages …");
  // `npm ci` refuses a lock file written where a registry serves only some platforms; `install` keeps it unchanged.
  const done = await runProgram("npm", [
    "install",
    "--ignore-scripts",
    // The application is built here, whatever the environment is called.
    "--include=dev",
    "--no-audit",
    "--no-fund",
    "--loglevel=error",
  ]);
  if (done.code !== 0) {
    const advice = /ENOSPC/.test(done.output)
      ? "The disk is full: free about 1 GB, then run this again."
      : /EACCES|EPERM/.test(done.output)
        ? 'This folder belongs to somebody else: take it over with sudo chown -R "$USER" .'
        : "Check the network and run this again.";
    throw new Trouble(`The npm packages could not be installed:\n${tail(done.output, 8)}`, advice);
  }
  writeFileSync(STAMP, fingerprint());
}
