import { Trouble, say } from "./say.mjs";

const [major = 0, minor = 0] = process.versions.node.split(".").map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  say.trouble(
    `Hondaro needs Node 20.19 or newer; this is ${process.version}. Install a newer one, then run this again.`,
  );
  process.exit(1);
}

const COMMANDS = {
  start: () => import("./start.mjs"),
  stop: () => import("./stop.mjs"),
  test: () => import("./test.mjs"),
  calc: () => import("./calc.mjs"),
  read: async () => ({ run: (await import("./words.mjs")).read }),
  walk: async () => ({ run: (await import("./words.mjs")).walk }),
  password: () => import("./password.mjs"),
  certificate: () => import("./certificate.mjs"),
  backup: async () => ({ run: (await import("./backup.mjs")).backup }),
  restore: async () => ({ run: (await import("./backup.mjs")).restore }),
  bridge: () => import("./bridge.mjs"),
  bench: () => import("./bench.mjs"),
  help: () => import("./help.mjs"),
};

const [name = "help", ...args] = process.argv.slice(2);
const command = COMMANDS[name.replace(/^--?/, "")];
try {
  if (!command) throw new Trouble(`There is no command “${name}”.`, "./hondaro help lists them.");
  const { run } = await command();
  process.exitCode = (await run(args)) ?? 0;
} catch (error) {
  if (!(error instanceof Trouble)) throw error;
  say.trouble(error.message, error.advice);
  process.exitCode = 1;
}
