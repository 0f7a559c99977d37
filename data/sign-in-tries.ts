import { RateLimiterMySQL, RateLimiterRes } from "rate-limiter-flexible";
import { type Connection, database } from "./connection";

/** How often a wrong password or PIN is taken before one has to wait; counted in the database, so a restart forgets none. */
const MOST = {
  /** Passwords of one name from one address. */
  account: { points: 10, duration: 15 * 60 },
  /** Passwords of any name from one address. */
  address: { points: 60, duration: 15 * 60 },
  /** Passwords of one name from anywhere: a crowd of addresses gains little. */
  name: { points: 100, duration: 15 * 60 },
  /** PINs of one name on one tablet. Four digits hold only because few are tried. */
  pin: { points: 5, duration: 15 * 60 },
  /** Codes of tastings that let nobody in, from one address. */
  code: { points: 60, duration: 15 * 60 },
  /** PINs of any name on one tablet. */
  tablet: { points: 20, duration: 15 * 60 },
} as const;

export type Counted = Partial<Record<keyof typeof MOST, string>>;

export interface Refused {
  readonly waitS: number;
}

const made = new WeakMap<Connection, Record<keyof typeof MOST, RateLimiterMySQL>>();

function limiters(): Record<keyof typeof MOST, RateLimiterMySQL> {
  const connection = database();
  const known = made.get(connection);
  if (known) return known;
  const dbName = new URL(process.env.DATABASE_URL ?? "").pathname.slice(1);
  const fresh = Object.fromEntries(
    Object.entries(MOST).map(([keyPrefix, most]) => [
      keyPrefix,
      new RateLimiterMySQL({
        storeClient: connection.pool,
        storeType: "pool",
        dbName,
        tableName: "sign_in_try",
        tableCreated: true,
        clearExpiredByTimeout: false,
        keyPrefix,
        ...most,
      }),
    ]),
  ) as Record<keyof typeof MOST, RateLimiterMySQL>;
  made.set(connection, fresh);
  return fresh;
}

/** Counts a try before it is looked at: tries at the same moment count as many. @returns how long to wait, or `null` */
export async function countTry(of: Counted): Promise<Refused | null> {
  const counting = limiters();
  for (const [kind, key] of Object.entries(of)) {
    try {
      await counting[kind as keyof typeof MOST].consume(key);
    } catch (error) {
      if (error instanceof RateLimiterRes) return { waitS: Math.ceil(error.msBeforeNext / 1000) };
      throw error;
    }
  }
  return null;
}

/**
 * A right one clears what was counted against its name, and gives back only its own try where many names share a count:
 * a brigade behind one address is not shut out by its own good passwords, and one good password opens no way to guess others.
 */
export async function forgetTries(of: Counted, shared: Counted = {}): Promise<void> {
  const counting = limiters();
  const each = (counted: Counted) => Object.entries(counted) as [keyof typeof MOST, string][];
  await Promise.all([
    ...each(of).map(([kind, key]) => counting[kind].delete(key)),
    ...each(shared).map(([kind, key]) => counting[kind].reward(key)),
  ]);
}
