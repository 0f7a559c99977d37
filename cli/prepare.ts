import { migrateDatabase, openDatabase } from "../data";
import { loadDemo } from "../demo/load";

/** Brings a database up to date: its tables and, unless told otherwise, the demo kitchen in an empty one. */
const url = process.env.DATABASE_URL;
if (!url) throw new Error("DATABASE_URL is not set.");
try {
  await migrateDatabase(url);
} catch (error) {
  // The cause, not the stack around it: what the database itself said.
  const cause = error instanceof Error && error.cause instanceof Error ? error.cause : error;
  console.error(cause instanceof Error ? cause.message : String(cause));
  process.exit(1);
}
if (!process.argv.includes("--no-demo")) {
  const connection = openDatabase(url);
  if (await loadDemo(connection.db, new Date(), process.argv.includes("--at-work")))
    console.log("Loaded the demo kitchen, Kelder Pass Station.");
  await connection.close();
}
