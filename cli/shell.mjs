import { spawn } from "node:child_process";
import { ROOT } from "./paths.mjs";

/** Runs a program to its end and keeps what it printed. */
export function runProgram(program, args, { env = {}, echo = false, cwd = ROOT } = {}) {
  return new Promise(resolve => {
    const child = spawn(program, args, {
      cwd,
      env: { ...process.env, ...env },
      stdio: ["ignore", "pipe", "pipe"],
    });
    let output = "";
    const keep = chunk => {
      output += chunk;
      if (echo) process.stdout.write(chunk);
    };
    child.stdout.on("data", keep);
    child.stderr.on("data", keep);
    child.on("error", error => resolve({ code: 127, output: String(error) }));
    child.on("close", code => resolve({ code: code ?? 1, output }));
  });
}

export const isAlive = pid => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error.code === "EPERM";
  }
};

/** Asks a process to end, waits, and ends it hard only after `patienceMs`. */
export async function endProcess(pid, patienceMs = 15_000) {
  if (!pid || !isAlive(pid)) return;
  process.kill(pid, "SIGTERM");
  const until = Date.now() + patienceMs;
  while (isAlive(pid)) {
    if (Date.now() > until) {
      process.kill(pid, "SIGKILL");
      return;
    }
    await new Promise(done => setTimeout(done, 50));
  }
}

export const tail = (text, lines = 15) => text.trimEnd().split("\n").slice(-lines).join("\n");
