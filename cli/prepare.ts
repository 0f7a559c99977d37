import { migrateDatabase, openDatabase } from "../data";
import { loadDemo } from "../demo/load";

/** Brings a database up to date: its tables and, unless told otherwise, the demo kitchen in an empty one. */
const url = process.env.DATABASE_URL;
if (!url) throw new Error("DATABASE_URL is not set.");
await migrateDatabase(url);
if (!process.argv.includes("--no-demo")) {
  const connection = openDatabase(url);
  if (await loadDemo(connection.db, new Date())) console.log("Loaded the demo kitchen, Kelder Pass Station.");
  await connection.close();
}
