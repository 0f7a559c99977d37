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
