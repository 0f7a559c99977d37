import { createHash } from "node:crypto";
import { existsSync, readFileSync, readdirSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { ROOT, inRoot } from "./paths.mjs";
import { Trouble, say } from "./say.mjs";
import { runProgram, tail } from "./shell.mjs";

const SOURCES = [
  "app",
  "core",
  "data",
  "server",
  "package-lock.json",
  "vite.config.ts",
  "react-router.config.ts",
];
const STAMP = inRoot("build", ".source");

function filesBelow(path) {
  return readdirSync(path, { withFileTypes: true })
    .sort((a, b) => (a.name < b.name ? -1 : 1))
    .flatMap(entry => (entry.isDirectory() ? filesBelow(join(path, entry.name)) : [join(path, entry.name)]));
}

function fingerprint() {
  const hash = createHash("sha256");
  for (const source of SOURCES) {
    const path = inRoot(source);
    const files = /\.\w+$/.test(source)
      ? [path]
      : filesBelow(path).filter(file => !/\.(db)?test\.tsx?$/.test(file));
    for (const file of files) hash.update(file.slice(inRoot().length)).update(readFileSync(file));
  }
  return hash.digest("hex");
}

/** Builds the application if its sources have changed since the last build. */
export async function ensureBuild() {
  const wanted = fingerprint();
  if (existsSync(STAMP) && readFileSync(STAMP, "utf8") === wanted) return;
  say.step("Building the application …");
  const done = await runProgram("npx", ["--no-install", "react-router", "build"], {
    env: { NODE_ENV: "production" },
  });
  if (done.code !== 0) throw new Trouble(`The application could not be built:\n${tail(done.output, 20)}`);
  await buildJobs();
  writeFileSync(STAMP, wanted);
}

/** What runs in threads of its own beside the server is put together by itself. */
async function buildJobs() {
  const { build } = await import("vite");
  await build({
    configFile: false,
    root: ROOT,
    logLevel: "error",
    publicDir: false,
    build: {
      ssr: true,
      outDir: inRoot("build", "jobs"),
      target: "node20",
      rolldownOptions: { input: inRoot("server", "jobs.ts") },
    },
  });
}
