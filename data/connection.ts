import { drizzle } from "drizzle-orm/mysql2";
import type { Pool as RawPool } from "mysql2";
import { type Pool, createPool } from "mysql2/promise";

const connect = (pool: Pool) => drizzle(pool, { casing: "snake_case", mode: "default" });

export type Database = ReturnType<typeof connect>;
/** A database or a transaction in it. */
export type Queries = Pick<Database, "select" | "insert" | "update" | "delete">;
/** What can open a transaction, itself within one or not. */
export interface Transacting extends Queries {
  readonly transaction: <T>(work: (tx: Queries) => Promise<T>) => Promise<T>;
}

export interface Connection {
  readonly db: Database;
  /** The connections themselves, for a library that keeps its own table. */
  readonly pool: RawPool;
  readonly ping: () => Promise<void>;
  readonly close: () => Promise<void>;
}

/**
 * A machine that is busy just after a start may take this long to shake hands; ours waits on loopback, where nothing else
 * makes it late, ms.
 */
const CONNECT_PATIENCE_MS = 60_000;

/** Opens a pool whose sessions all think in UTC. */
export function openDatabase(url: string): Connection {
  const pool = createPool({
    uri: url,
    timezone: "Z",
    connectionLimit: 8,
    connectTimeout: CONNECT_PATIENCE_MS,
    charset: "utf8mb4_unicode_ci",
  });
  pool.pool.on("connection", connection => connection.query("SET time_zone = '+00:00'"));
  return {
    db: connect(pool),
    pool: pool.pool as unknown as RawPool,
    ping: async () => {
      await pool.query("SELECT 1");
    },
    close: () => pool.end(),
  };
}

let shared: Connection | undefined;

/** The process's one connection pool, from `DATABASE_URL`. */
export function database(): Connection {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error("DATABASE_URL is not set; ./hondaro start sets it.");
  shared ??= openDatabase(url);
  return shared;
}
