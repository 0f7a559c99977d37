/** Codes of the database driver, read in one place. The message holds SQL and parameters: never log or show it. */
export function databaseCode(error: unknown): string | null {
  const cause = error instanceof Error ? (error.cause ?? error) : error;
  return cause && typeof cause === "object" && "code" in cause && typeof cause.code === "string"
    ? cause.code
    : null;
}

export const isDuplicate = (error: unknown): boolean => databaseCode(error) === "ER_DUP_ENTRY";

/** The database broke a tie between two transactions; the loser may simply try again. */
export const isDeadlock = (error: unknown): boolean => databaseCode(error) === "ER_LOCK_DEADLOCK";

/** Whether an insert made its row; `false` where one of that key is there already. Whatever else fails is thrown. */
export const inserted = (insert: PromiseLike<unknown>): Promise<boolean> =>
  Promise.resolve(insert).then(
    () => true,
    (error: unknown) => {
      if (isDuplicate(error)) return false;
      throw error;
    },
  );

const AWAY: ReadonlySet<string> = new Set([
  "ECONNREFUSED",
  "ECONNRESET",
  "EPIPE",
  "ETIMEDOUT",
  "PROTOCOL_CONNECTION_LOST",
  "ER_SERVER_SHUTDOWN",
  "ER_CON_COUNT_ERROR",
  "ER_CONNECTION_KILLED",
]);

/** The database does not answer now; asked again in a moment it may. */
export const isAway = (error: unknown): boolean => AWAY.has(databaseCode(error) ?? "");
