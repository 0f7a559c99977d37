import { spawn } from "node:child_process";
import { randomBytes } from "node:crypto";
import { existsSync, readFileSync, statfsSync } from "node:fs";
import http from "node:http";
import https from "node:https";
import { createServer } from "node:net";
import { join } from "node:path";
import { ensureBuild } from "./build.mjs";
import { keepDatabase } from "./keep-database.mjs";
import { lockHolder, takeLock } from "./lock.mjs";
import { checkDataFolder, makeFolder, startMariadb } from "./mariadb.mjs";
import { ownNames } from "./names.mjs";
import { LOOPBACK, readOptions } from "./options.mjs";
import { ensurePackages } from "./packages.mjs";
import { dataFolder, inRoot } from "./paths.mjs";
import { endLeft, forgetRunning, whatRuns, writeRunning } from "./running.mjs";
import { Trouble, say } from "./say.mjs";
import { endProcess, runProgram, tail } from "./shell.mjs";
import { writeWhole } from "./whole-file.mjs";

/** A question that gets no answer is asked again after so long. */
const ASK_FOR_MS = 3000;
const LEAST_FREE_MB = Number(process.env.HONDARO_LEAST_FREE_MB ?? 400);

const portFree = (port, host) =>
  new Promise((resolve, reject) => {
    const probe = createServer();
    probe.on("error", reject);
    probe.listen(port, host, () => probe.close(resolve));
  });

/** Ports of other services that no browser opens, such as 4190. */
const opensInBrowsers = port =>
  fetch(`http://${LOOPBACK}:${port}/`, { signal: AbortSignal.timeout(ASK_FOR_MS) }).then(
    () => true,
    error => error.cause?.message !== "bad port",
  );

const nextPort = async port => ((await opensInBrowsers(port + 1)) ? port + 1 : nextPort(port + 1));

async function checkPort({ port, host }) {
  if (!(await opensInBrowsers(port)))
    throw new Trouble(
      `Browsers do not open port ${port}: it belongs to another service.`,
      `Choose another: ./hondaro start --port ${await nextPort(port)}`,
    );
  try {
    await portFree(port, host);
  } catch (error) {
    if (error.code === "EACCES")
      throw new Trouble(
        `Port ${port} needs an administrator.`,
        "Choose one above 1023: ./hondaro start --port 4180",
      );
    throw new Trouble(
      `Port ${port} is taken by another program.`,
      `Stop that one, or serve Hondaro elsewhere: ./hondaro start --port ${await nextPort(port)}`,
    );
  }
}

function checkSpace(folder) {
  const { bavail, bsize } = statfsSync(folder);
  const freeMb = Math.floor((bavail * bsize) / 1e6);
  if (freeMb < LEAST_FREE_MB)
    throw new Trouble(
      `Only ${freeMb} MB are free on the disk that holds ${folder}; Hondaro wants ${LEAST_FREE_MB} MB.`,
      "Free some space, or keep the data elsewhere with --data FOLDER.",
    );
}

/** Brings the tables up to date and loads the demo kitchen into an empty database. */
/** @param atWork the demo kitchen has cooked for days, and has pots on the fire */
export async function prepareDatabase(url, demo, atWork = false) {
  const told = [...(demo ? [] : ["--no-demo"]), ...(atWork ? ["--at-work"] : [])];
  const args = ["--import", "tsx", inRoot("cli", "prepare.ts"), ...told];
  const done = await runProgram(process.execPath, args, { env: { DATABASE_URL: url } });
  if (done.code !== 0)
    throw new Trouble(`The database could not be brought up to date:\n${tail(done.output, 8)}`);
  return done.output.trim();
}

const START_PATIENCE_MS = 60_000;
/** Starts the HTTP server and waits until it answers; one that does not in time is ended. */
export async function startServer(
  port,
  url,
  { patienceMs = START_PATIENCE_MS, env = {}, host = LOOPBACK, tls = null } = {},
) {
  const child = spawn(process.execPath, [inRoot("server", "index.js")], {
    env: {
      ...process.env,
      ...env,
      ...(tls && { HONDARO_CERT: tls.cert, HONDARO_KEY: tls.key }),
      NODE_ENV: "production",
      DATABASE_URL: url,
      PORT: String(port),
      HOST: host,
    },
    stdio: ["ignore", "inherit", "inherit"],
    detached: true,
  });
  let gone = false;
  child.on("exit", () => (gone = true));
  const until = Date.now() + patienceMs;
  for (;;) {
    if (gone || Date.now() > until) {
      await endProcess(child.pid);
      throw new Trouble("The application did not start; its last words stand above.");
    }
    if (await isReady(port, host, tls)) return child;
    await new Promise(done => setTimeout(done, 100));
  }
}

/** Where this machine reaches a server that listens at an address. */
const near = host => (host === "0.0.0.0" || host === "::" ? LOOPBACK : host);

/** Whether the server answers; what its certificate is worth is for browsers to say. */
function isReady(port, host, tls) {
  return new Promise(resolve => {
    const asked = (tls ? https : http).get(
      { host: near(host), port, path: "/readyz", timeout: ASK_FOR_MS, rejectUnauthorized: false },
      answer => {
        answer.resume();
        resolve(answer.statusCode === 200);
      },
    );
    asked.on("timeout", () => asked.destroy());
    asked.on("error", () => resolve(false));
  });
}

/** What signs the cookies, kept beside the data: a restart signs nobody out. */
function cookieSecret(folder) {
  const file = join(folder, "cookie-secret");
  if (!existsSync(file)) writeWhole(file, randomBytes(32).toString("base64url"));
  return readFileSync(file, "utf8").trim();
}

/** What whoever started it has to know to sign in, and what a plain line from elsewhere does not do. */
function tellHowToComeIn({ demo, host, tls }, address) {
  const open = host !== LOOPBACK && host !== "localhost";
  if (demo)
    say.line(
      `The demo’s people sign in as ilse (chef), tomas, noor (cooks), petr (trainee) or sana (viewer), password kelder-pass, PIN 1180.${
        open ? "\nWhoever reaches this machine reads that too: serve a real kitchen with --no-demo." : ""
      }\n`,
    );
  if (open && !tls)
    say.line(
      `From another machine, without https: passwords go over the line in clear, and browsers there keep nothing for a dead
network (no offline work), no screen awake at the Stove and no pictures from the camera.
./hondaro certificate makes what --cert and --key want.\n`,
    );
  if (open) say.line(`From other machines: ${address.replace(near(host), ownNames()[0])}\n`);
}

export async function run(args) {
  const options = readOptions(args);
  const folder = dataFolder(options.data);
  const lock = await takeLock(folder);
  if (!lock) return alreadyStarted(folder);
  try {
    return await startHere(folder, options);
  } finally {
    lock.release();
  }
}

/** Somebody else starts or serves this folder: says who, and touches nothing of theirs. */
async function alreadyStarted(folder) {
  const running = whatRuns(folder);
  if (running?.pid) {
    say.line(`Hondaro is running already: ${running.url}  (./hondaro stop ends it)`);
    return 0;
  }
  throw new Trouble(
    `Hondaro is being started here already (process ${await lockHolder(folder)}).`,
    "Wait for it to say where it serves, or end it with ./hondaro stop.",
  );
}

async function startHere(folder, options) {
  const running = whatRuns(folder);
  if (running?.serverPid || running?.mariadbPid) {
    say.step("Ending what an earlier start left running …");
    await endLeft(folder, running);
  }
  await checkPort(options);
  makeFolder(folder);
  checkSpace(folder);
  if (!process.env.DATABASE_URL) checkDataFolder(folder);
  await ensurePackages();
  await ensureBuild();

  let mariadb = null;
  let kept = null;
  let server = null;
  let stopping = null;
  const stop = () =>
    (stopping ??= (async () => {
      await kept?.rest();
      if (server) await endProcess(server.pid);
      await (kept?.now() ?? mariadb)?.stop();
      forgetRunning(folder);
    })());
  const ended = new Promise(resolve => {
    for (const signal of ["SIGINT", "SIGTERM", "SIGHUP"])
      process.on(signal, () => {
        say.line("\nStopping …");
        void stop().then(() => resolve(0));
      });
  });

  try {
    let url = process.env.DATABASE_URL;
    if (!url) {
      say.step("Starting the database …");
      mariadb = await startMariadb(folder);
      ({ url } = mariadb);
    }
    say.step("Bringing the tables up to date …");
    const prepared = await prepareDatabase(url, options.demo, options.demo);
    if (prepared) say.step(prepared);
    if (stopping) return ended;
    const { host, tls } = options;
    const secrets = [process.env.HONDARO_SECRETS, cookieSecret(folder)].filter(Boolean).join(",");
    server = await startServer(options.port, url, { host, tls, env: { HONDARO_SECRETS: secrets } });
    const address = `${tls ? "https" : "http"}://${near(host)}:${options.port}`;
    const remember = database =>
      writeRunning(folder, {
        pid: process.pid,
        serverPid: server.pid,
        mariadbPid: database?.pid ?? null,
        url: address,
      });
    remember(mariadb);
    const endWith = (what, advice) => {
      if (stopping) return;
      say.trouble(what, advice);
      void stop().then(() => process.exit(1));
    };
    if (mariadb)
      kept = keepDatabase(folder, mariadb, {
        restarted: remember,
        givenUp: error => endWith(error.message, error.advice),
      });
    server.on("exit", code =>
      endWith(
        `The application ended by itself (code ${code}).`,
        "Its last words stand above; ./hondaro start begins again.",
      ),
    );
    say.line(`\nHondaro serves the kitchen on ${address}   (Ctrl+C or ./hondaro stop ends it)\n`);
    tellHowToComeIn(options, address);
    return await ended;
  } catch (error) {
    await stop();
    throw error;
  }
}
