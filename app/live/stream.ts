import type { RunEvent } from "~/core/run";
import { keepHeard } from "../offline/heard";
import type { Shown } from "../stove/shown";

/**
 * What is logged in the kitchen, as it is kept. One stream for a browser: of its tabs one holds it, under a lock, and tells
 * the others over a channel; when that tab is closed the next one takes over. Where a browser has no locks every tab holds its own.
 */

export interface LiveEntry {
  readonly runId: string;
  readonly event: RunEvent;
}
export type LiveNews =
  | { readonly kind: "log"; readonly entries: readonly LiveEntry[] }
  /** Larder, kit or house have changed, or too much was missed: what is shown is read anew. */
  | { readonly kind: "anew" }
  | { readonly kind: "state"; readonly live: boolean }
  /** What the connected instruments show now. */
  | { readonly kind: "shown"; readonly shown: readonly Shown[] };

type Listener = (news: LiveNews) => void;

const LOCK = "hondaro.live";
/** A stream that the server has ended for good is opened again after this long. */
const AGAIN_MS = 2000;
/** So much is kept for a tab that comes later: it may have missed it between its page and its first breath. */
const MOST_KEPT = 500;

const listeners = new Set<Listener>();
let pages = 0;
let close: () => void = () => {};
let live = false;
let kept: LiveEntry[] = [];

function hear(news: LiveNews): void {
  if (news.kind === "state") live = news.live;
  for (const listener of listeners) listener(news);
}

/** Whether the stream stands; without it a page asks now and then by itself. */
export const isLive = (): boolean => live;

export function onNews(listener: Listener): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

type Spoken = LiveNews | { readonly kind: "hello" };

/** A page is open: it hears what is logged as long as any is. */
export function startLive(): () => void {
  if (pages++ === 0) close = begin();
  return () => {
    if (--pages > 0) return;
    close();
    close = () => {};
    live = false;
  };
}

function begin(): () => void {
  const over = new AbortController();
  const channel = typeof globalThis.BroadcastChannel === "function" ? new BroadcastChannel(LOCK) : null;
  let holds = false;
  const say = (news: LiveNews) => {
    hear(news);
    channel?.postMessage(news);
  };
  channel?.addEventListener("message", ({ data }: MessageEvent<Spoken>) => {
    if (data.kind !== "hello") return hear(data);
    if (!holds) return;
    channel.postMessage({ kind: "state", live } satisfies LiveNews);
    if (kept.length) channel.postMessage({ kind: "log", entries: kept } satisfies LiveNews);
  });
  channel?.postMessage({ kind: "hello" } satisfies Spoken);
  const hold = () =>
    new Promise<void>(done => {
      holds = true;
      const stop = listen(say);
      over.signal.addEventListener("abort", () => {
        holds = false;
        stop();
        done();
      });
    });
  if ("locks" in navigator && channel)
    void navigator.locks.request(LOCK, { signal: over.signal }, hold).catch(() => {});
  else void hold();
  return () => {
    over.abort();
    channel?.close();
  };
}

/** The server beats every 15 s: a stream that is silent for longer hangs on a dead network, whatever the browser thinks. */
const SILENT_MS = 40_000;

/** Holds the stream open, whatever becomes of the network. */
function listen(say: Listener): () => void {
  let source: EventSource | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let silence: ReturnType<typeof setTimeout> | undefined;
  let last = "";
  if (typeof globalThis.EventSource !== "function") return () => {};
  const lose = () => {
    clearTimeout(timer);
    clearTimeout(silence);
    source?.close();
    source = null;
    say({ kind: "state", live: false });
  };
  const again = () => {
    lose();
    timer = setTimeout(connect, AGAIN_MS);
  };
  const alive = () => {
    clearTimeout(silence);
    silence = setTimeout(again, SILENT_MS);
  };
  function connect(): void {
    clearTimeout(timer);
    source?.close();
    const opened = new EventSource(`/api/live${last ? `?since=${last}` : ""}`);
    source = opened;
    opened.addEventListener("here", event => {
      last = event.lastEventId;
      alive();
      say({ kind: "state", live: true });
    });
    opened.addEventListener("log", event => {
      last = event.lastEventId;
      alive();
      const entries = JSON.parse(event.data as string) as LiveEntry[];
      kept = [...kept, ...entries].slice(-MOST_KEPT);
      void keepHeard(entries).catch(() => {});
      say({ kind: "log", entries });
    });
    opened.addEventListener("shown", event =>
      say({ kind: "shown", shown: JSON.parse(event.data as string) as Shown[] }),
    );
    opened.addEventListener("beat", alive);
    opened.addEventListener("kitchen", () => say({ kind: "anew" }));
    opened.addEventListener("anew", () => say({ kind: "anew" }));
    opened.addEventListener("error", () => {
      // The browser tries again by itself, unless the server has refused.
      if (opened.readyState === EventSource.CLOSED) again();
      else say({ kind: "state", live: false });
    });
  }
  connect();
  addEventListener("offline", lose);
  addEventListener("online", connect);
  return () => {
    removeEventListener("offline", lose);
    removeEventListener("online", connect);
    clearTimeout(timer);
    clearTimeout(silence);
    source?.close();
  };
}
