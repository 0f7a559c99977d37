import { database, loggedSince, pulseOf } from "~/data";
import { type Message, hubOf } from "./hub.server";

/** Server-sent events of one kitchen: one stream for each browser that looks. */

/** Keeps what stands between from closing a quiet stream, and tells a browser that it is not hanging on a dead one. */
const BEAT_MS = 15_000;
/** After a longer absence a page is better read anew. */
const MOST_MISSED = 1000;
/** How soon a browser asks again when the stream breaks. */
const RETRY_MS = 1000;

const open = new Set<() => void>();
/** Ends all streams: the server is stopping, and browsers come back to the next. */
export const endStreams = (): void => {
  for (const end of [...open]) end();
};

/**
 * @param since number of the last event the browser has; `null` begins with what is new from now on
 */
export function streamOf(kitchenId: string, since: number | null, signal: AbortSignal): Response {
  const encoder = new TextEncoder();
  let end = () => {};
  const body = new ReadableStream<Uint8Array>({
    async start(controller) {
      const send = (text: string) => controller.enqueue(encoder.encode(text));
      let reached = since ?? -1;
      const tell = (message: Message) => {
        if (message.kind === "kitchen")
          return send(`event: kitchen\ndata: ${JSON.stringify({ revision: message.revision })}\n\n`);
        if (message.kind === "shown") return send(`event: shown\ndata: ${JSON.stringify(message.shown)}\n\n`);
        const entries = message.entries.filter(entry => entry.seq > reached);
        if (!entries.length) return;
        reached = message.seq;
        send(`id: ${message.seq}\nevent: log\ndata: ${JSON.stringify(entries.map(({ runId, event }) => ({ runId, event })))}\n\n`); // prettier-ignore
      };
      const waiting: Message[] = [];
      let hold = true;
      const leave = hubOf(kitchenId).add(message => (hold ? void waiting.push(message) : tell(message)));
      const beat = setInterval(() => send("event: beat\ndata: {}\n\n"), BEAT_MS);
      end = () => {
        if (!open.delete(end)) return;
        clearInterval(beat);
        leave();
        try {
          controller.close();
        } catch {
          // The browser has closed it already.
        }
      };
      open.add(end);
      signal.addEventListener("abort", end);
      send(`retry: ${RETRY_MS}\n\n`);
      const { db } = database();
      const seq = hubOf(kitchenId).from((await pulseOf(db, kitchenId)).seq);
      // What came while the browser was away comes first, or the page is told to read itself anew.
      if (since !== null && since < seq) {
        const missed = await loggedSince(db, kitchenId, since, MOST_MISSED + 1);
        if (missed.length > MOST_MISSED) send(`event: anew\ndata: {}\n\n`);
        else tell({ kind: "log", seq, entries: missed });
      }
      reached = Math.max(reached, seq);
      send(`id: ${seq}\nevent: here\ndata: ${JSON.stringify({ seq })}\n\n`);
      hold = false;
      waiting.splice(0).forEach(tell);
    },
    cancel() {
      end();
    },
  });
  return new Response(body, {
    headers: {
      "Content-Type": "text/event-stream",
      // Packing would hold every event back until a block is full.
      "Cache-Control": "no-store, no-transform",
      "X-Accel-Buffering": "no",
    },
  });
}
