import { createConnection } from "mysql2/promise";
import { ulid } from "ulid";
import { inject } from "vitest";
import { migrateDatabase, openDatabase } from "..";

/**
 * A database that nobody else writes to, with its tables and nothing in them.
 * @param before what an earlier version had left there, as SQL
 */
export async function freshDatabase(before?: string): Promise<string> {
  const url = new URL(inject("databaseUrl"));
  const name = `hondaro_${ulid().toLowerCase()}`;
  const connection = await createConnection({ uri: url.href, multipleStatements: true });
  await connection.query(`CREATE DATABASE ${name} CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci`);
  if (before !== undefined) await connection.query(`USE ${name}; ${before}`);
  await connection.end();
  url.pathname = `/${name}`;
  await migrateDatabase(url.href);
  return url.href;
}

/** The same, opened. */
export const openFresh = async () => openDatabase(await freshDatabase());
