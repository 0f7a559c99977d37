import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import type { RunEvent } from "~/core/run";

interface Kept {
  readonly runId: string;
  readonly event: RunEvent;
  /** The server has it, but no page has been told so yet. */
  readonly delivered?: boolean;
}

/** Readings kept on the device: they survive a reload and a dead network, and go once a page is told them by the server. */
interface QueueSchema extends DBSchema {
  pending: { key: string; value: Kept; indexes: { runId: string } };
}

let opened: Promise<IDBPDatabase<QueueSchema>> | null = null;

const queue = (): Promise<IDBPDatabase<QueueSchema>> =>
  (opened ??= openDB<QueueSchema>("hondaro", 1, {
    upgrade(db) {
      db.createObjectStore("pending", { keyPath: "event.id" }).createIndex("runId", "runId");
    },
  }));

/**
 * A page may be left before the queue has written anything, for it writes in its own time.
 * What is logged is therefore jotted down at once, and crossed out when the queue has it.
 */
const JOTTED = "hondaro.reading.";

function jot(kept: Kept): void {
  try {
    localStorage.setItem(JOTTED + kept.event.id, JSON.stringify(kept));
  } catch {
    // No room to jot: the queue is written a moment later all the same.
  }
}

/** A jotting as it was written; one that something else has spoiled keeps no other from the queue. */
function readJotted(text: string | null): Kept | null {
  try {
    const kept = JSON.parse(text ?? "null") as Kept | null;
    return kept?.runId && kept.event?.id ? kept : null;
  } catch {
    return null;
  }
}

async function takeUpJotted(): Promise<void> {
  for (const key of Object.keys(localStorage).filter(k => k.startsWith(JOTTED))) {
    const kept = readJotted(localStorage.getItem(key));
    if (kept) await (await queue()).put("pending", kept);
    localStorage.removeItem(key);
  }
}

export async function enqueue(runId: string, event: RunEvent): Promise<void> {
  const kept: Kept = { runId, event };
  jot(kept);
  await (await queue()).put("pending", kept);
  localStorage.removeItem(JOTTED + event.id);
}

/** Every reading of a run on this device, sent or not, in the order it was logged. */
export async function keptOf(runId: string): Promise<RunEvent[]> {
  return (await rowsOf(runId)).map(row => row.event);
}

/** The readings of a run that the server does not have yet. */
export async function pendingOf(runId: string): Promise<RunEvent[]> {
  return (await rowsOf(runId)).filter(row => !row.delivered).map(row => row.event);
}

async function rowsOf(runId: string): Promise<Kept[]> {
  await takeUpJotted();
  const rows = await (await queue()).getAllFromIndex("pending", "runId", runId);
  return rows.sort((a, b) => (a.event.id < b.event.id ? -1 : 1));
}

/** The server has told these: the device need not keep them any longer. */
export async function forget(ids: readonly string[]): Promise<void> {
  const transaction = (await queue()).transaction("pending", "readwrite");
  await Promise.all([...ids.map(id => transaction.store.delete(id)), transaction.done]);
}

async function markDelivered(runId: string, events: readonly RunEvent[]): Promise<void> {
  const transaction = (await queue()).transaction("pending", "readwrite");
  await Promise.all([
    ...events.map(event => transaction.store.put({ runId, event, delivered: true })),
    transaction.done,
  ]);
}

export type Delivery =
  | { readonly kind: "delivered"; readonly serverNow: number }
  | { readonly kind: "refused"; readonly message: string }
  | { readonly kind: "unreachable" };

/** A network that takes a reading and gives no answer is none; the server knows a reading that it gets twice. */
const ANSWER_PATIENCE_MS = 20_000;

/** Sends what waits for a run. Delivered readings wait no longer; refused ones do, with the reason. */
export async function deliver(
  runId: string,
  send: typeof fetch = fetch,
  patienceMs = ANSWER_PATIENCE_MS,
): Promise<Delivery> {
  const events = await pendingOf(runId);
  if (!events.length) return { kind: "delivered", serverNow: Date.now() };
  let response: Response;
  try {
    response = await send(`/api/runs/${runId}/events`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ events }),
      signal: AbortSignal.timeout(patienceMs),
    });
  } catch {
    return { kind: "unreachable" };
  }
  if (response.ok) {
    await markDelivered(runId, events);
    const { serverNow } = (await response.json()) as { serverNow: number };
    return { kind: "delivered", serverNow };
  }
  if (response.status >= 500 || response.status === 429) return { kind: "unreachable" };
  const body = (await response.json().catch(() => ({}))) as { detail?: string };
  return { kind: "refused", message: body.detail ?? "The server does not take this reading." };
}
