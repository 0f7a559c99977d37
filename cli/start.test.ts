import { execFile, spawnSync } from "node:child_process";
import { existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { promisify } from "node:util";
import { afterAll, describe, expect, test } from "vitest";
import { lockHolder, takeLock } from "./lock.mjs";

const folder = mkdtempSync(join(tmpdir(), "hondaro-cli-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** What the command says when it refuses. The port is one that nothing listens on in these tests. */
function refusal(args: readonly string[], env: Record<string, string> = {}) {
  const done = spawnSync("./hondaro", args, {
    encoding: "utf8",
    env: { ...process.env, DATABASE_URL: "", ...env },
    timeout: 20_000,
  });
  return { code: done.status, text: done.stderr };
}

/** The same, while this process goes on answering. */
const refusalMeanwhile = (args: readonly string[]) =>
  promisify(execFile)("./hondaro", args, { env: { ...process.env, DATABASE_URL: "" } }).then(
    () => ({ code: 0, text: "" }),
    (error: { code: number; stderr: string }) => ({ code: error.code, text: error.stderr }),
  );

describe("start says what is wrong and what to do", () => {
  test("a taken port", async () => {
    const taken = createServer();
    const port = await new Promise<number>(resolve =>
      taken.listen(0, "127.0.0.1", () => resolve((taken.address() as { port: number }).port)),
    );
    const { code, text } = refusal(["start", "--port", String(port), "--data", join(folder, "a")]);
    taken.close();
    expect(code).toBe(1);
    expect(text).toContain(`Port ${port} is taken by another program.`);
    expect(text).toContain(`./hondaro start --port ${port + 1}`);
  });
  test("a folder it may not write to", () => {
    writeFileSync(join(folder, "file"), "");
    const { code, text } = refusal(["start", "--port", "41973", "--data", join(folder, "file", "below")]);
    expect(code).toBe(1);
    expect(text).toContain("may not write to");
    expect(text).toContain("--data FOLDER");
  });
  test("a disk without room", () => {
    const { code, text } = refusal(["start", "--port", "41973", "--data", join(folder, "b")], {
      HONDARO_LEAST_FREE_MB: "999999999",
    });
    expect(code).toBe(1);
    expect(text).toMatch(/Only \d+ MB are free/);
  });
  test("a half-made data folder", () => {
    mkdirSync(join(folder, "c", "mariadb"), { recursive: true });
    const { code, text } = refusal(["start", "--port", "41973", "--data", join(folder, "c")]);
    expect(code).toBe(1);
    expect(text).toContain("half-made");
    expect(text).toContain("rm -r");
  });
  test("a start that somebody else has begun", async () => {
    const holder = await takeLock(join(folder, "e"));
    const { code, text } = await refusalMeanwhile(["start", "--port", "41973", "--data", join(folder, "e")]);
    expect(code).toBe(1);
    expect(text).toContain(`being started here already (process ${process.pid})`);
    holder?.release();
    expect(await lockHolder(join(folder, "e"))).toBeNull();
  });
  test("what is running stands in a file that a full disk has spoiled", () => {
    mkdirSync(join(folder, "f"), { recursive: true });
    writeFileSync(join(folder, "f", "running.json"), "");
    const stop = spawnSync("./hondaro", ["stop", "--data", join(folder, "f")], { encoding: "utf8" });
    expect(stop.status).toBe(0);
    expect(existsSync(join(folder, "f", "running.json"))).toBe(false);
  });
  test("a data folder whose password is gone", () => {
    mkdirSync(join(folder, "d", "mariadb", "mysql"), { recursive: true });
    expect(refusal(["start", "--port", "41973", "--data", join(folder, "d")]).text).toContain(
      "password of the database",
    );
  });
  test("a port that is none, an option and a command it does not know", () => {
    expect(refusal(["start", "--port", "soup"]).text).toContain("is not a port");
    expect(refusal(["start", "--loud"]).text).toContain("./hondaro help");
    expect(refusal(["boil"]).text).toContain("There is no command “boil”");
    expect(refusal(["test", "some"]).text).toContain("unit, e2e or all");
  });
});

test("stop where nothing runs is no mistake; help lists the commands", () => {
  const stop = spawnSync("./hondaro", ["stop", "--data", join(folder, "e")], { encoding: "utf8" });
  expect(stop.status).toBe(0);
  expect(stop.stdout).toContain("Nothing of Hondaro is running here.");
  const help = spawnSync("./hondaro", [], { encoding: "utf8" });
  for (const command of ["start", "stop", "test", "bench", "help"])
    expect(help.stdout).toContain(`./hondaro ${command}`);
});
