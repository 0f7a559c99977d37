import { mkdtempSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type Connection as Mysql, createConnection } from "mysql2/promise";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { startMariadb } from "../cli/mariadb.mjs";
import { migrateDatabase } from "./migrate";

/** A server of its own: these tests take its tables away, and end it as a power cut would. */
const folder = mkdtempSync(join(tmpdir(), "hondaro-migrations-"));
let server: Awaited<ReturnType<typeof startMariadb>>;
beforeAll(async () => {
  server = await startMariadb(folder);
});
afterAll(async () => {
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
});

const migrations = readdirSync("data/migrations")
  .filter(name => name.endsWith(".sql"))
  .sort()
  .map(name => readFileSync(join("data/migrations", name), "utf8").split("--> statement-breakpoint"));

async function shape(connection: Mysql): Promise<string> {
  const [tables] = await connection.query("SHOW TABLES");
  const texts = await Promise.all(
    (tables as Record<string, string>[]).map(async row => {
      const [found] = await connection.query(`SHOW CREATE TABLE \`${Object.values(row)[0]}\``);
      // Where counting goes on is no part of a table's shape.
      return String((found as Record<string, unknown>[])[0]?.["Create Table"]).replace(
        /AUTO_INCREMENT=\d+ /,
        "",
      );
    }),
  );
  return texts.sort().join("\n");
}

async function emptied(): Promise<Mysql> {
  const connection = await createConnection({ uri: server.url, multipleStatements: true });
  await connection.query("DROP DATABASE hondaro; CREATE DATABASE hondaro; USE hondaro");
  return connection;
}

describe("a start that is cut off goes on at the next", () => {
  let whole = "";
  beforeAll(async () => {
    const connection = await emptied();
    await migrateDatabase(server.url);
    whole = await shape(connection);
    await connection.end();
  });
  const [first = []] = migrations;
  test.each([1, 5, first.length - 1, first.length])(
    "killed after statement %i of the first migration",
    async done => {
      const connection = await emptied();
      for (const statement of first.slice(0, done)) await connection.query(statement);
      await migrateDatabase(server.url);
      expect(await shape(connection)).toBe(whole);
      await connection.end();
    },
  );
  test("every statement of every migration can be said twice", async () => {
    const connection = await emptied();
    for (const statement of migrations.flat()) {
      await connection.query(statement);
      await connection.query(statement);
    }
    await migrateDatabase(server.url);
    expect(await shape(connection)).toBe(whole);
    await connection.end();
  });
});

describe("the private server", () => {
  const asRoot = (host: string) => {
    const settings = JSON.parse(readFileSync(join(folder, "mariadb.json"), "utf8")) as { port: number };
    return createConnection({ host, port: settings.port, user: "root" }).then(
      async connection => {
        await connection.end();
        return "let in";
      },
      (error: Error & { code?: string }) => error.code,
    );
  };
  test("lets nobody in as root over the network", async () => {
    expect(await asRoot("127.0.0.1")).not.toBe("let in");
  });
  test("an older folder heals at its next start, and a spoiled file of settings costs nothing", async () => {
    const root = await createConnection({
      socketPath: join(folder, "mariadb.sock"),
      user: "root",
      password: (JSON.parse(readFileSync(join(folder, "mariadb.json"), "utf8")) as { password: string })
        .password,
      multipleStatements: true,
    });
    await root.query(
      "CREATE USER root@'127.0.0.1'; GRANT ALL ON *.* TO root@'127.0.0.1'; CREATE USER ''@'127.0.0.1'",
    );
    await root.end();
    expect(await asRoot("127.0.0.1")).toBe("let in");
    await server.stop();
    // What a disk that ran full has left behind.
    writeFileSync(join(folder, "mariadb.json"), "");
    server = await startMariadb(folder);
    expect(await asRoot("127.0.0.1")).not.toBe("let in");
    const kitchen = await createConnection(server.url);
    await kitchen.end();
    expect(statSync(join(folder, "mariadb.json")).mode & 0o077).toBe(0);
  });
  test("one that was left running is ended before another begins", async () => {
    const before = server.pid;
    server = await startMariadb(folder);
    expect(server.pid).not.toBe(before);
    expect(() => process.kill(before, 0)).toThrow();
  });
});
