import { existsSync } from "node:fs";
import { Trouble, say } from "./say.mjs";
import { runProgram, tail } from "./shell.mjs";

/** First of some places where a program is. */
export const findProgram = places => places.find(place => existsSync(place)) ?? null;

/**
 * Installs a Debian package if it may: as root, or where sudo asks for no password.
 * Otherwise it says the one line to run.
 */
export async function installDebianPackage(name, what) {
  const line = `sudo apt-get update && sudo apt-get install -y ${name}`;
  const apt = findProgram(["/usr/bin/apt-get"]);
  if (!apt)
    throw new Trouble(
      `${what} is missing, and this machine has no apt-get.`,
      `Install ${name} with your system’s package manager, then run this again.`,
    );
  const root = process.getuid?.() === 0;
  const sudo = !root && (await runProgram("sudo", ["-n", "true"])).code === 0;
  if (!root && !sudo)
    throw new Trouble(
      `${what} is missing, and installing it needs an administrator.`,
      `Run this once: ${line}`,
    );
  say.step(`Installing ${what} (Debian’s ${name}) …`);
  const env = { DEBIAN_FRONTEND: "noninteractive" };
  const call = args =>
    root
      ? runProgram(apt, args, { env })
      : runProgram("sudo", ["-n", "DEBIAN_FRONTEND=noninteractive", apt, ...args]);
  await call(["update"]);
  const done = await call(["install", "-y", "--no-install-recommends", name]);
  if (done.code !== 0)
    throw new Trouble(`${what} could not be installed:\n${tail(done.output, 6)}`, `Try it by hand: ${line}`);
}
