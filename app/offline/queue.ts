import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import type { RunEvent } from "~/core/run";

/** Who is cooking at this device, and where: only their readings go out under their name. */
export interface Owner {
  readonly kitchenId: string;
  readonly personId: string;
}

interface Kept {
  readonly runId: string;
  readonly event: RunEvent;
  /** The kitchen it was logged in. */
  readonly kitchenId?: string;
  /** The server has it, but no page has been told so yet. */
  readonly delivered?: boolean;
  /** Why the server does not take it: it stands aside until a cook drops it, and keeps no other waiting. */
  readonly refused?: string;
}

/** A reading the server does not take, and why. */
export interface Refused {
  readonly event: RunEvent;
  readonly reason: string;
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

export async function enqueue(runId: string, event: RunEvent, kitchenId?: string): Promise<void> {
  const kept: Kept = { runId, event, ...(kitchenId && { kitchenId }) };
  jot(kept);
  await (await queue()).put("pending", kept);
  localStorage.removeItem(JOTTED + event.id);
}

const waits = (row: Kept): boolean => !row.delivered && row.refused === undefined;
/** Whether a reading is one of somebody’s; of everybody’s where nobody is named. */
const isOf =
  (owner: Owner | undefined) =>
  ({ event, kitchenId }: Kept): boolean =>
    !owner ||
    (event.personId === owner.personId && (kitchenId === undefined || kitchenId === owner.kitchenId));

/** Every reading of a run on this device that counts, sent or not, in the order it was logged. */
export async function keptOf(runId: string): Promise<RunEvent[]> {
  return (await rowsOf(runId)).filter(row => row.refused === undefined).map(row => row.event);
}

/** The readings of a run that the server does not have yet. */
export async function pendingOf(runId: string, owner?: Owner): Promise<RunEvent[]> {
  return (await rowsOf(runId))
    .filter(waits)
    .filter(isOf(owner))
    .map(row => row.event);
}

/** The readings of a run that the server does not take. */
export async function refusedOf(runId: string): Promise<Refused[]> {
  return (await rowsOf(runId)).flatMap(({ event, refused }) =>
    refused === undefined ? [] : [{ event, reason: refused }],
  );
}

/** Runs of which readings wait on this device. */
export async function runsWaiting(owner?: Owner): Promise<string[]> {
  await takeUpJotted();
  const rows = await (await queue()).getAll("pending");
  return [
    ...new Set(
      rows
        .filter(waits)
        .filter(isOf(owner))
        .map(row => row.runId),
    ),
  ];
}

async function rowsOf(runId: string): Promise<Kept[]> {
  await takeUpJotted();
  const rows = await (await queue()).getAllFromIndex("pending", "runId", runId);
  return rows.sort((a, b) => (a.event.id < b.event.id ? -1 : 1));
}

/** The server has told these, or a cook has dropped them: the device need not keep them any longer. */
export async function forget(ids: readonly string[]): Promise<void> {
  const transaction = (await queue()).transaction("pending", "readwrite");
  await Promise.all([...ids.map(id => transaction.store.delete(id)), transaction.done]);
}

async function mark(events: readonly RunEvent[], as: Partial<Kept>): Promise<void> {
  const transaction = (await queue()).transaction("pending", "readwrite");
  const one = async (id: string) => {
    const row = await transaction.store.get(id);
    if (row) await transaction.store.put({ ...row, ...as });
  };
  await Promise.all([...events.map(event => one(event.id)), transaction.done]);
}

/** `serverNow` is the server’s clock when it answered; null where nothing was sent. */
export type Delivery =
  { readonly kind: "delivered"; readonly serverNow: number | null } | { readonly kind: "unreachable" };

/** A network that takes a reading and gives no answer is none; the server knows a reading that it gets twice. */
const ANSWER_PATIENCE_MS = 20_000;
/** Sent at once: well below what the server takes. */
const MOST_AT_ONCE = 200;
/** Answers that say something of the reading itself; any other refusal is of the way it was sent, and it waits. */
const OF_THE_READING: ReadonlySet<number> = new Set([400, 404, 409, 413, 422]);

type Answer =
  | { readonly kind: "taken"; readonly serverNow: number }
  | { readonly kind: "refused"; readonly reason: string }
  | { readonly kind: "unreachable" };

async function post(
  runId: string,
  events: readonly RunEvent[],
  send: typeof fetch,
  patienceMs: number,
): Promise<Answer> {
  try {
    const response = await send(`/api/runs/${runId}/events`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ events }),
      signal: AbortSignal.timeout(patienceMs),
    });
    if (response.ok) {
      const { serverNow } = (await response.json()) as { serverNow: number };
      return { kind: "taken", serverNow };
    }
    if (!OF_THE_READING.has(response.status)) return { kind: "unreachable" };
    const body = (await response.json().catch(() => ({}))) as { detail?: string };
    return { kind: "refused", reason: body.detail ?? "The server does not take this reading." };
  } catch {
    return { kind: "unreachable" };
  }
}

/**
 * Sends what waits for a run, of one owner only where one is named. Where the server refuses, each reading is sent by itself: what it takes waits no longer, what
 * it does not take is set aside with its reason.
 */
export async function deliver(
  runId: string,
  send: typeof fetch = fetch,
  patienceMs = ANSWER_PATIENCE_MS,
  owner?: Owner,
): Promise<Delivery> {
  let serverNow: number | null = null;
  const sendOff = async (events: readonly RunEvent[]): Promise<boolean> => {
    const answer = await post(runId, events, send, patienceMs);
    if (answer.kind === "unreachable") return false;
    if (answer.kind === "taken") {
      ({ serverNow } = answer);
      await mark(events, { delivered: true });
      return true;
    }
    if (events.length === 1) {
      await mark(events, { refused: answer.reason });
      return true;
    }
    for (const event of events) if (!(await sendOff([event]))) return false;
    return true;
  };
  const waiting = await pendingOf(runId, owner);
  for (let i = 0; i < waiting.length; i += MOST_AT_ONCE)
    if (!(await sendOff(waiting.slice(i, i + MOST_AT_ONCE)))) return { kind: "unreachable" };
  return { kind: "delivered", serverNow };
}
