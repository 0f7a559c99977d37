import { and, asc, desc, eq, inArray } from "drizzle-orm";
import { recordAudit } from "./audit";
import type { Database, Queries } from "./connection";
import { coldEntry, coldLog, person } from "./schema";

/** Logs of cooling, hot holding and warming again. What was entered stays as it was entered. */

interface Change {
  readonly kitchenId: string;
  readonly personId: string;
  readonly now: Date;
}

export type StoredLog = Omit<typeof coldLog.$inferSelect, "kitchenId">;

export interface LogEntry {
  readonly id: string;
  readonly at: Date;
  readonly kind: "probe" | "action" | "closed";
  readonly c: number | null;
  readonly deviceId: string | null;
  readonly words: string;
  readonly by: string;
}

export const startLog = (
  db: Database,
  change: Change,
  started: Omit<StoredLog, "startedBy" | "startedAt">,
): Promise<void> =>
  db.transaction(async tx => {
    const { kitchenId, personId, now } = change;
    const [done] = await tx
      .insert(coldLog)
      .ignore()
      .values({ ...started, kitchenId, startedBy: personId, startedAt: now });
    if (done.affectedRows)
      await recordAudit(tx, { ...change, what: "log", subject: started.id, detail: { name: started.name } });
  });

export async function findLog(
  db: Queries,
  kitchenId: string,
  id: string,
): Promise<{ readonly log: StoredLog; readonly entries: readonly LogEntry[] } | null> {
  const [log] = await db
    .select()
    .from(coldLog)
    .where(and(eq(coldLog.kitchenId, kitchenId), eq(coldLog.id, id)));
  return log ? { log, entries: (await entriesOf(db, [id])).get(id) ?? [] } : null;
}

async function entriesOf(db: Queries, ids: readonly string[]): Promise<Map<string, LogEntry[]>> {
  const by = new Map<string, LogEntry[]>();
  if (!ids.length) return by;
  const rows = await db
    .select({
      logId: coldEntry.logId,
      id: coldEntry.id,
      at: coldEntry.at,
      kind: coldEntry.kind,
      c: coldEntry.c,
      deviceId: coldEntry.deviceId,
      words: coldEntry.words,
      by: person.name,
    })
    .from(coldEntry)
    .innerJoin(person, eq(person.id, coldEntry.personId))
    .where(inArray(coldEntry.logId, [...ids]))
    .orderBy(asc(coldEntry.at), asc(coldEntry.id));
  for (const { logId, ...entry } of rows) by.set(logId, [...(by.get(logId) ?? []), entry]);
  return by;
}

/** Logs, the latest first. */
export async function listLogs(
  db: Queries,
  kitchenId: string,
  most: number,
): Promise<{ readonly log: StoredLog; readonly entries: readonly LogEntry[] }[]> {
  const logs = await db
    .select()
    .from(coldLog)
    .where(eq(coldLog.kitchenId, kitchenId))
    .orderBy(desc(coldLog.startedAt))
    .limit(most);
  const entries = await entriesOf(
    db,
    logs.map(log => log.id),
  );
  return logs.map(log => ({ log, entries: entries.get(log.id) ?? [] }));
}

/** Logs of cooling that belong to these runs. */
export async function coolingOf(
  db: Queries,
  kitchenId: string,
  runIds: readonly string[],
): Promise<{ readonly log: StoredLog; readonly entries: readonly LogEntry[] }[]> {
  if (!runIds.length) return [];
  const logs = await db
    .select()
    .from(coldLog)
    .where(
      and(eq(coldLog.kitchenId, kitchenId), eq(coldLog.kind, "cooling"), inArray(coldLog.runId, [...runIds])),
    );
  const entries = await entriesOf(
    db,
    logs.map(log => log.id),
  );
  return logs.map(log => ({ log, entries: entries.get(log.id) ?? [] }));
}

/** Adds to a log; sent twice it stands once. @returns whether the log is this kitchen’s and still open */
export const addEntry = (
  db: Database,
  change: Change,
  logId: string,
  entry: Omit<LogEntry, "by">,
): Promise<boolean> =>
  db.transaction(async tx => {
    const { kitchenId, personId, now } = change;
    const [own] = await tx
      .select({ id: coldLog.id })
      .from(coldLog)
      .where(and(eq(coldLog.kitchenId, kitchenId), eq(coldLog.id, logId)))
      .for("update");
    if (!own) return false;
    const [closed] = await tx
      .select({ id: coldEntry.id })
      .from(coldEntry)
      .where(and(eq(coldEntry.logId, logId), eq(coldEntry.kind, "closed")));
    // What was signed is added to by words only, never by a reading.
    if (closed && closed.id !== entry.id && entry.kind !== "action") return false;
    await tx
      .insert(coldEntry)
      .ignore()
      .values({ ...entry, kitchenId, logId, personId, receivedAt: now });
    return true;
  });
