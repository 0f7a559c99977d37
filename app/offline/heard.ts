import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import type { RunEvent } from "~/core/run";

/**
 * What was heard of the kitchen’s pots, kept on the tablet: a page that opens without a network knows of them what this
 * tablet last knew, not only what it was last drawn with.
 */

interface Heard {
  readonly runId: string;
  readonly event: RunEvent;
  readonly heardAt: number;
}
interface HeardSchema extends DBSchema {
  heard: { key: string; value: Heard; indexes: { runId: string; heardAt: number } };
}

/** A pot is over by then. */
const KEPT_MS = 3 * 24 * 3_600_000;

let opened: Promise<IDBPDatabase<HeardSchema>> | null = null;
const store = (): Promise<IDBPDatabase<HeardSchema>> =>
  (opened ??= openDB<HeardSchema>("hondaro.heard", 1, {
    upgrade(db) {
      const made = db.createObjectStore("heard", { keyPath: "event.id" });
      made.createIndex("runId", "runId");
      made.createIndex("heardAt", "heardAt");
    },
  }));

export async function keepHeard(
  entries: readonly { readonly runId: string; readonly event: RunEvent }[],
): Promise<void> {
  const heardAt = Date.now();
  const transaction = (await store()).transaction("heard", "readwrite");
  const old = await transaction.store
    .index("heardAt")
    .getAllKeys(IDBKeyRange.upperBound(heardAt - KEPT_MS), 200);
  await Promise.all([
    ...old.map(key => transaction.store.delete(key)),
    ...entries.map(({ runId, event }) => transaction.store.put({ runId, event, heardAt })),
    transaction.done,
  ]);
}

export async function heardOf(runIds: readonly string[]): Promise<ReadonlyMap<string, readonly RunEvent[]>> {
  const db = await store();
  const rows = await Promise.all(
    runIds.map(async id => [id, await db.getAllFromIndex("heard", "runId", id)] as const),
  );
  return new Map(rows.map(([id, heard]) => [id, heard.map(row => row.event)]));
}
