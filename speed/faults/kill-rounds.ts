import { type ChildProcess, spawn } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { createConnection } from "mysql2/promise";
import { type Cook, note, post, signIn, startRun } from "./client";

/** Readings are posted while the server, its database or its starter is killed; then everything is started again and counted. */

const POSTERS = 4;
const START_PATIENCE_MS = 90_000;
/** What is killed in turn, and what it is called. */
const VICTIMS = [
  ["serverPid", "server"],
  ["mariadbPid", "database"],
  ["pid", "starter"],
] as const;

export interface Counted {
  readonly rounds: number;
  /** How often each was killed. */
  readonly killed: Readonly<Record<string, number>>;
  readonly acknowledged: number;
  /** Acknowledged and not there. */
  readonly lost: number;
  /** Pages that said something broke, instead of asking to be asked again. */
  readonly brokenPages: number;
  /** More rows than readings that were ever sent. */
  readonly doubled: number;
}

const sleep = (ms: number) => new Promise(done => setTimeout(done, ms));

const freePort = () =>
  new Promise<number>(resolve => {
    const probe = createServer().listen(0, "127.0.0.1", () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === "object" && address ? address.port : 0));
    });
  });

class House {
  private starter: ChildProcess | null = null;
  constructor(
    readonly folder: string,
    readonly port: number,
  ) {}
  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }
  /** What a start wrote down; pids of processes that may be gone. */
  get running(): Readonly<Record<string, number>> {
    return JSON.parse(readFileSync(join(this.folder, "running.json"), "utf8")) as Record<string, number>;
  }
  async answers(): Promise<boolean> {
    const asked = { signal: AbortSignal.timeout(2000) };
    return fetch(`${this.url}/readyz`, asked).then(
      r => r.ok,
      () => false,
    );
  }
  /** Started, if nobody serves; ready, whoever did. */
  async ready(): Promise<void> {
    const until = Date.now() + START_PATIENCE_MS;
    while (!(await this.answers())) {
      if (Date.now() > until) throw new Error("It did not come back.");
      if (!this.starter || this.starter.exitCode !== null || this.starter.signalCode !== null) {
        this.starter = spawn("./hondaro", ["start", "--port", String(this.port), "--data", this.folder], {
          env: { ...process.env, DATABASE_URL: "", HONDARO_WRITES_PER_MINUTE: "1000000" },
          stdio: "ignore",
        });
      }
      await sleep(200);
    }
  }
  async stop(): Promise<void> {
    const child = spawn("./hondaro", ["stop", "--data", this.folder], { stdio: "ignore" });
    await new Promise(done => child.on("exit", done));
  }
}

/** Posts until told to stop; what was answered with 200 is acknowledged. */
async function poster(
  cook: () => Cook,
  run: string,
  sent: Set<string>,
  acknowledged: Set<string>,
  going: () => boolean,
): Promise<void> {
  let waiting: ReturnType<typeof note> | null = null;
  while (going()) {
    // As a device does: the same reading again until somebody takes it.
    waiting ??= note(`reading ${sent.size}`);
    sent.add(waiting.id);
    const answer = await post(cook(), `/api/runs/${run}/events`, { events: [waiting] }).catch(() => null);
    if (answer?.ok) {
      acknowledged.add(waiting.id);
      waiting = null;
    } else await sleep(50);
  }
}

/** Opens a page again and again; counts the answers that say something broke. Where nobody serves there is none. */
async function reader(cook: Cook, going: () => boolean): Promise<number> {
  let broken = 0;
  while (going()) {
    const answer = await fetch(`${cook.url}/kit`, { headers: cook.headers }).catch(() => null);
    await answer?.text().catch(() => "");
    if (answer && answer.status >= 500 && answer.status !== 503) broken += 1;
    await sleep(100);
  }
  return broken;
}

/**
 * @param rounds  how often something is killed, each of the three in turn
 */
export async function killRounds(rounds: number, formulaId: string): Promise<Counted> {
  const house = new House(mkdtempSync(join(tmpdir(), "hondaro-kill-")), await freePort());
  const sent = new Set<string>();
  const acknowledged = new Set<string>();
  const killed: Record<string, number> = {};
  let brokenPages = 0;
  try {
    await house.ready();
    const cook = await signIn(house.url);
    const run = await startRun(cook, formulaId);
    for (let round = 0; round < rounds; round++) {
      let going = true;
      const reading = reader(cook, () => going);
      const posting = Promise.all(
        Array.from({ length: POSTERS }, () =>
          poster(
            () => cook,
            run,
            sent,
            acknowledged,
            () => going,
          ),
        ),
      );
      await sleep(300 + 137 * (round % 7));
      const [pid, name] = VICTIMS[round % VICTIMS.length] ?? VICTIMS[0];
      const victim = house.running[pid];
      if (victim) {
        process.kill(victim, "SIGKILL");
        killed[name] = (killed[name] ?? 0) + 1;
      }
      await sleep(400);
      await house.ready();
      await sleep(300);
      going = false;
      await posting;
      brokenPages += await reading;
    }
    const { port, password } = JSON.parse(readFileSync(join(house.folder, "mariadb.json"), "utf8")) as {
      port: number;
      password: string;
    };
    const connection = await createConnection({
      host: "127.0.0.1",
      port,
      user: "hondaro",
      password,
      database: "hondaro",
    });
    const [rows] = await connection.query("SELECT id FROM run_event WHERE run_id = ? AND kind = 'noted'", [
      run,
    ]);
    await connection.end();
    const there = (rows as { id: string }[]).map(r => r.id);
    const known = new Set(there);
    return {
      rounds,
      killed,
      acknowledged: acknowledged.size,
      brokenPages,
      lost: [...acknowledged].filter(id => !known.has(id)).length,
      doubled: there.length - known.size + there.filter(id => !sent.has(id)).length,
    };
  } finally {
    await house.stop();
    rmSync(house.folder, { recursive: true, force: true });
  }
}
