import { fileURLToPath } from "node:url";
import { drizzle } from "drizzle-orm/mysql2";
import { migrate } from "drizzle-orm/mysql2/migrator";
import { createConnection } from "mysql2/promise";

const LOCK = "hondaro-migrations";
const LOCK_WAIT_S = 60;

/** Brings the tables up to date. Several processes may call it at once: a lock lets one work, the others wait. */
export async function migrateDatabase(url: string): Promise<void> {
  const connection = await createConnection({ uri: url, timezone: "Z" });
  try {
    await connection.query("SELECT GET_LOCK(?, ?)", [LOCK, LOCK_WAIT_S]);
    await migrate(drizzle(connection, { casing: "snake_case", mode: "default" }), {
      migrationsFolder: fileURLToPath(new URL("./migrations", import.meta.url)),
    });
  } finally {
    await connection.end();
  }
}
