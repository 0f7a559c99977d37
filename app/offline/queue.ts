import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import type { RunEvent } from "~/core/run";

/** Readings that have not reached the server yet, kept on the device: they survive a reload and a dead network. */
interface QueueSchema extends DBSchema {
  pending: { key: string; value: { runId: string; event: RunEvent }; indexes: { runId: string } };
}

let opened: Promise<IDBPDatabase<QueueSchema>> | null = null;

const queue = (): Promise<IDBPDatabase<QueueSchema>> =>
  (opened ??= openDB<QueueSchema>("hondaro", 1, {
    upgrade(db) {
      db.createObjectStore("pending", { keyPath: "event.id" }).createIndex("runId", "runId");
    },
  }));

export async function enqueue(runId: string, event: RunEvent): Promise<void> {
  await (await queue()).put("pending", { runId, event });
}

export async function pendingOf(runId: string): Promise<RunEvent[]> {
  const rows = await (await queue()).getAllFromIndex("pending", "runId", runId);
  return rows.map(row => row.event).sort((a, b) => (a.id < b.id ? -1 : 1));
}

export async function dequeue(ids: readonly string[]): Promise<void> {
  const transaction = (await queue()).transaction("pending", "readwrite");
  await Promise.all([...ids.map(id => transaction.store.delete(id)), transaction.done]);
}

export type Delivery =
  | { readonly kind: "delivered"; readonly serverNow: number }
  | { readonly kind: "refused"; readonly message: string }
  | { readonly kind: "unreachable" };

/** Sends what waits for a run. Delivered readings leave the queue; refused ones stay, with the reason. */
export async function deliver(runId: string, send: typeof fetch = fetch): Promise<Delivery> {
  const events = await pendingOf(runId);
  if (!events.length) return { kind: "delivered", serverNow: Date.now() };
  let response: Response;
  try {
    response = await send(`/api/runs/${runId}/events`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ events }),
    });
  } catch {
    return { kind: "unreachable" };
  }
  if (response.ok) {
    await dequeue(events.map(e => e.id));
    const { serverNow } = (await response.json()) as { serverNow: number };
    return { kind: "delivered", serverNow };
  }
  if (response.status >= 500 || response.status === 429) return { kind: "unreachable" };
  const body = (await response.json().catch(() => ({}))) as { detail?: string };
  return { kind: "refused", message: body.detail ?? "The server does not take this reading." };
}
