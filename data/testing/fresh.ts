import { createConnection } from "mysql2/promise";
import { ulid } from "ulid";
import { inject } from "vitest";
import { migrateDatabase, openDatabase } from "..";

/** A database that nobody else writes to, with its tables and nothing in them. */
export async function freshDatabase(): Promise<string> {
  const url = new URL(inject("databaseUrl"));
  const name = `hondaro_${ulid().toLowerCase()}`;
  const connection = await createConnection(url.href);
  await connection.query(`CREATE DATABASE ${name} CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci`);
  await connection.end();
  url.pathname = `/${name}`;
  await migrateDatabase(url.href);
  return url.href;
}

/** The same, opened. */
export const openFresh = async () => openDatabase(await freshDatabase());
