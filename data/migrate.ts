import { fileURLToPath } from "node:url";
import { drizzle } from "drizzle-orm/mysql2";
import { migrate } from "drizzle-orm/mysql2/migrator";
import { createConnection } from "mysql2/promise";
import { fillSearched } from "./formulas";

const LOCK = "hondaro-migrations";
const LOCK_WAIT_S = 60;

/**
 * Brings the tables up to date. Several processes may call it at once: a lock lets one work, the others wait.
 * MariaDB cannot take a change of tables back, so every statement of a migration can be said twice: one that was cut off
 * anywhere is simply begun again.
 */
export async function migrateDatabase(url: string): Promise<void> {
  const connection = await createConnection({ uri: url, timezone: "Z" });
  try {
    const [rows] = await connection.query("SELECT GET_LOCK(?, ?) AS mine", [LOCK, LOCK_WAIT_S]);
    if (!(rows as { mine: number | null }[])[0]?.mine)
      throw new Error(`Another process has been changing the tables for ${LOCK_WAIT_S} seconds. Try again.`);
    const db = drizzle(connection, { casing: "snake_case", mode: "default" });
    await migrate(db, { migrationsFolder: fileURLToPath(new URL("./migrations", import.meta.url)) });
    await fillSearched(db);
  } finally {
    await connection.end();
  }
}
